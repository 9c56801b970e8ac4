import type { Remedy, Verdict } from '../../state/joint';
import type { Bleed, Film, FilmAge, Residue, Sheen } from '../../state/surfaceState';
import type { CoatingGroup } from '../coating';

/**
 * Conditions on the surface below; each one given must hold. `groups` are those that the product which made the film
 * counts as once it lies there. A row with `residues` speaks of what lies on the surface, beside the surface itself.
 */
export interface UnderCondition {
  products?: readonly string[];
  groups?: readonly CoatingGroup[];
  substrates?: readonly string[];
  films?: readonly Film[];
  sheens?: readonly Sheen[];
  ages?: readonly FilmAge[];
  bleeds?: readonly Bleed[];
  overHard?: boolean;
  bare?: boolean;
  sealed?: boolean;
  residues?: readonly Residue[];
  /** A color of L* over 60. */
  light?: boolean;
}

/**
 * Conditions on the layer above. `groups` are those that it counts as while it is laid; `light` is a color of L* over
 * 60, and neither light nor dark is met while nobody has chosen a color.
 */
export interface OverCondition {
  products?: readonly string[];
  groups?: readonly CoatingGroup[];
  light?: boolean;
  /** Whether it is laid to cover, and not thinned to a veil. */
  covers?: boolean;
}

/** One row of the compatibility table as a predicate on states. Hours are the usual wait of the row. */
export interface JointRule {
  id: string;
  under: UnderCondition;
  over: OverCondition;
  verdict: Verdict;
  waitHours: number;
  /** When it must follow before the film closes, hours. */
  withinHours: number | null;
  reason: string;
  /** What happens where it does not hold, to read after "would". */
  fails: string;
  /** The ways out that the row names, the best first. */
  remedies: readonly Remedy[];
}

/** Laid in between. */
export const between = (...coatingIds: string[]): Remedy[] =>
  coatingIds.map((coatingId) => ({ kind: 'between', coatingId }));
/** Another one above instead. */
export const instead = (...coatingIds: string[]): Remedy[] =>
  coatingIds.map((coatingId) => ({ kind: 'instead', coatingId }));
/** Another one beneath instead. */
export const insteadBelow = (...coatingIds: string[]): Remedy[] =>
  coatingIds.map((coatingId) => ({ kind: 'insteadBelow', coatingId }));
/** Down to the material. */
export const strip: readonly Remedy[] = [{ kind: 'prepare', work: 'strip' }];
/** Wax and polish washed off. */
export const dewax: readonly Remedy[] = [{ kind: 'prepare', work: 'dewax' }];

/** What a layer does that does not hold, where its row says nothing else. */
export const PEELS = 'peel';

/** One row, in the order the table prints it. */
export function rule(
  id: string,
  under: UnderCondition,
  over: OverCondition,
  verdict: Verdict,
  waitHours: number,
  reason: string,
  more: { remedies?: readonly Remedy[]; withinHours?: number; fails?: string } = {},
): JointRule {
  return {
    id,
    under,
    over,
    verdict,
    waitHours,
    reason,
    fails: more.fails ?? PEELS,
    remedies: more.remedies ?? [],
    withinHours: more.withinHours ?? null,
  };
}

/** Families as the table names them. */
export const WB = { groups: ['waterbornePaint'] } as const satisfies OverCondition & UnderCondition;
export const WATER_CLEAR = { groups: ['waterborneClear'] } as const satisfies OverCondition & UnderCondition;
export const OIL_FILM = { groups: ['oilPaint', 'oilClear'] } as const satisfies OverCondition & UnderCondition;
export const OIL_STAIN = { groups: ['oilStain'] } as const satisfies OverCondition & UnderCondition;
export const SOLVENT = { groups: ['solventPaint', 'solventClear'] } as const satisfies OverCondition & UnderCondition;
export const WAX = { groups: ['wax'] } as const satisfies OverCondition & UnderCondition;
export const DECOUPAGE = { groups: ['decoupage'] } as const satisfies OverCondition & UnderCondition;
export const FILM = { groups: ['film'] } as const satisfies OverCondition & UnderCondition;
