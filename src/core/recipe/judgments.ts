import { coatings } from '../catalog/coatings';
import { PEELS } from '../catalog/joints/rule';
import type { JointRule } from '../catalog/joints.data';
import type { PrimerDemand } from '../catalog/substrate';
import { type AllowedInterval, isBroken, type Joint, type Remedy, type Verdict, verdictSeverity } from '../state/joint';
import type { SurfaceState } from '../state/surfaceState';

/** When a layer may follow by its verdict, in the recoat windows of the film below; never where it does not hold. */
export function intervalsFor(
  verdict: Verdict,
  waitHours: number,
  withinHours: number | null,
  state: SurfaceState,
): AllowedInterval[] {
  const under = state.productId === null || state.origin !== 'laid' ? undefined : coatings.find(state.productId);
  const closing = under?.recoatIntervals.at(-1);
  switch (verdict) {
    case 'ok':
    case 'afterWait':
      if (withinHours !== null) return [{ fromHours: waitHours, toHours: withinHours, extraSteps: [] }];
      if (under?.role === 'primer' && closing && closing.toHours !== null)
        return [{ ...closing, fromHours: Math.min(waitHours, closing.fromHours) }];
      if (under?.role === 'primer' && closing && closing.extraSteps.length > 0)
        return [
          { fromHours: waitHours, toHours: closing.fromHours, extraSteps: [] },
          { ...closing, fromHours: Math.max(waitHours, closing.fromHours) },
        ];
      return [{ fromHours: waitHours, toHours: null, extraSteps: [] }];
    case 'scuff':
    case 'notKnown':
      return [{ fromHours: waitHours, toHours: null, extraSteps: ['scuff'] }];
    case 'barrierPrimer':
    case 'never':
      return [];
    default:
      return verdict satisfies never;
  }
}

/** A judgment with the starts that it allows. */
export function judge(
  state: SurfaceState,
  verdict: Verdict,
  ruleId: string,
  waitHours: number,
  reason: string,
  more: { fails?: string; remedies?: readonly Remedy[]; withinHours?: number | null } = {},
): Joint {
  const { fails = PEELS, remedies = [], withinHours = null } = more;
  const allowed = intervalsFor(verdict, waitHours, withinHours, state);
  return { verdict, ruleId, reason, fails, remedies, waitHours, allowed };
}

/** The judgment of a row of the table. */
export const byRow = (state: SurfaceState, row: JointRule): Joint =>
  judge(state, row.verdict, row.id, row.waitHours, row.reason, row);

/** The judgment of a cell of the substrates table. */
export const byColumn = (state: SurfaceState, substrateId: string, demand: PrimerDemand): Joint =>
  judge(state, demand.verdict, `substrate.${substrateId}`, 0, demand.reason, {
    fails: demand.fails,
    remedies: demand.primers.map((coatingId) => ({ kind: 'between', coatingId })),
  });

/**
 * What lies on a surface and the surface itself must both hold: the severer verdict, the longer wait, the ways out of
 * both. The first tells its reason unless only the second fails.
 */
export function bothOf(first: Joint, second: Joint): Joint {
  const isSecond = verdictSeverity[second.verdict] > verdictSeverity[first.verdict];
  const worse = isSecond ? second : first;
  const telling = isSecond && isBroken(second) ? second : first;
  const waitHours = Math.max(first.waitHours, second.waitHours);
  return {
    ...telling,
    verdict: worse.verdict,
    fails: worse.fails,
    waitHours,
    allowed: worse.allowed.map((interval) => ({ ...interval, fromHours: Math.max(interval.fromHours, waitHours) })),
    remedies: [...telling.remedies, ...(telling === first ? second : first).remedies],
  };
}
