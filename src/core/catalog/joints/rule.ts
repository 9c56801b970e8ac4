import type { Verdict } from '../../state/joint';
import type { Bleed, Film, FilmAge, Sheen } from '../../state/surfaceState';
import type { CoatingGroup } from '../coating';

/** Conditions on the surface below; each one given must hold. `groups` are those of the product that made the film. */
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
  dewaxed?: boolean;
  /** A color of L* over 60. */
  light?: boolean;
}

/** Conditions on the layer above. `light` is a color of L* over 60. */
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
  /** The coating that, laid in between, makes it hold; null when there is none. */
  remedy: string | null;
}

/** One row, in the order the table prints it. */
export function rule(
  id: string,
  under: UnderCondition,
  over: OverCondition,
  verdict: Verdict,
  waitHours: number,
  reason: string,
  more: { remedy?: string; withinHours?: number } = {},
): JointRule {
  return {
    id,
    under,
    over,
    verdict,
    waitHours,
    reason,
    remedy: more.remedy ?? null,
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
