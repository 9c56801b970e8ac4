import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { PEELS } from '../catalog/joints/rule';
import type { PrimerColumn } from '../catalog/substrate';
import { substrates } from '../catalog/substrates';
import { isBroken, type Joint } from '../state/joint';
import type { SurfaceState } from '../state/surfaceState';
import { bothOf, byColumn, judge } from './judgments';

/** The same product upon itself: inside its recoat window it holds, after it the film wants scuffing or rests. */
export function onItself(state: SurfaceState, coating: Coating): Joint {
  const last = coating.recoatIntervals.at(-1);
  if (state.age === 'cured') {
    const scuffed = last?.extraSteps.includes('scuff') ?? false;
    return scuffed
      ? judge(state, 'scuff', 'class.sameProductCured', 0, 'its recoat window is over: scuff it')
      : judge(state, 'ok', 'class.sameProductCured', 0, 'it follows itself on a cured film too');
  }
  return {
    verdict: 'ok',
    ruleId: 'class.sameProduct',
    reason: 'the same product follows itself inside its recoat window',
    fails: PEELS,
    remedies: [],
    waitHours: coating.recoatIntervals[0]?.fromHours ?? 0,
    allowed: coating.recoatIntervals,
  };
}

/** The columns of the substrates table that a primer's carrier falls under: shellac's spirit acts as water and solvent. */
function columnsOfCarrier({ film }: Coating): readonly (keyof PrimerColumn)[] {
  switch (film) {
    case 'waterborne':
    case 'powdery':
      return ['waterbornePaint'];
    case 'oil':
      return ['oilPaint'];
    case 'solvent':
      return ['solventPaint'];
    case 'shellac':
      return ['waterbornePaint', 'solventPaint'];
    case 'wax':
      return ['wax'];
    case 'none':
      return ['stain'];
    case 'vinyl':
      return ['film'];
    default:
      return film satisfies never;
  }
}

/**
 * A primer on a ground that it is not made for: what the ground refuses of a paint in the same carrier, it refuses of
 * the primer. Null where the ground refuses nothing; then nobody knows.
 */
function primerOffItsGround(state: SurfaceState, coating: Coating): Joint | null {
  const row = substrates.find(state.substrateId);
  if (!row?.primer) return null;
  const { primer } = row;
  const joints = columnsOfCarrier(coating).map((column) => byColumn(state, row.id, primer[column]));
  const worst = joints.reduce(bothOf);
  return isBroken(worst) ? worst : null;
}

/** The class rules that come before "not known"; null when none applies. */
export function classRule(state: SurfaceState, coating: Coating): Joint | null {
  if (state.productId === coating.id) return onItself(state, coating);
  const under = state.productId === null ? undefined : coatings.find(state.productId);
  if (coating.primer) {
    if (state.productId === null && coating.primer.madeFor.includes(state.substrateId))
      return judge(
        state,
        'scuff',
        'class.primerMadeFor',
        0,
        `${coating.name.toLowerCase()} is made for it, once it is clean and scuffed`,
      );
    const offGround = state.productId === null ? primerOffItsGround(state, coating) : null;
    if (offGround) return offGround;
    if (under)
      return judge(
        state,
        'scuff',
        'class.primerOverFilm',
        state.origin === 'laid' ? under.recoatHours.usual : 0,
        'a primer holds on a dry, scuffed film',
      );
  }
  if (under?.primer && under.group === 'primer')
    return judge(
      state,
      'afterWait',
      'class.overPrimer',
      under.recoatHours.usual,
      'it lies on a primer, after its wait',
    );
  if (coating.role === 'clear' && under && ['waterborne', 'powdery', 'oil', 'solvent', 'shellac'].includes(state.film))
    return clearOverFilm(state, coating, under);
  return null;
}

function clearOverFilm(state: SurfaceState, coating: Coating, under: Coating): Joint {
  const isFresh = state.origin === 'laid';
  if (state.sheen === 'gloss')
    return judge(
      state,
      'scuff',
      'class.clearOverGloss',
      isFresh ? Math.max(under.recoatHours.usual, under.film === 'solvent' ? 48 : 0) : 0,
      'a clear coat needs tooth on a glossy film',
    );
  if (isFresh && coating.film === 'solvent' && state.film === 'solvent')
    return {
      ...judge(
        state,
        'afterWait',
        'class.clearOverFilm',
        under.recoatIntervals[0]?.fromHours ?? 0,
        'sprayed films follow each other within the hour or after the window',
      ),
      allowed: under.recoatIntervals,
    };
  const wait = isFresh ? Math.max(under.recoatHours.usual, under.film === 'solvent' ? 48 : 0) : 0;
  return judge(state, 'afterWait', 'class.clearOverFilm', wait, 'a clear coat holds on any dry film');
}
