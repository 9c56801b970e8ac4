import type { Sheen } from '../state/surfaceState';
import type { Measures } from '../surface/furnitureTemplate';
import type { DetailKind, ZoneUse } from '../surface/zone';

/** Which coats a studio gives: computed, always two, or as the label says. */
export type CoatSchool = 'untilHidden' | 'alwaysTwo' | 'asLabel';

/** What the stylist changed on a zone that its template proposed. */
export interface ZoneEdit {
  included?: boolean;
  use?: ZoneUse;
  sides?: 1 | 2;
  textureFactor?: number;
  detail?: DetailKind;
  areaM2?: number;
}

/** One piece (or a set of like pieces) a recipe covers: its shape and measures; zones derive from them. */
export interface RecipePiece {
  id: string;
  findId: string;
  templateId: string;
  measures: Measures;
  /** How many like pieces of the find are made this way. */
  count: number;
  zoneEdits: Record<string, ZoneEdit>;
}

/** A layer that the stylist chose, from the bottom up. Zones are keys `pieceId/zoneId`, or all included ones. */
export interface ChosenLayer {
  id: string;
  coatingId: string;
  colorCardId: string | null;
  sheen: Sheen;
  zoneKeys: 'all' | string[];
  /** Coats overruled by the stylist, or null to compute them. */
  coats: number | null;
}

/** The stored shape of a recipe. Proposed primers and top coats are derived each time; `dropped` names those refused. */
export interface RecipeBody {
  version: 1;
  pieces: RecipePiece[];
  layers: ChosenLayer[];
  dropped: string[];
  /** The recipe's own school and label, or null for the project's. */
  school: CoatSchool | null;
  labelCoats: number | null;
  /** Minutes and waits overruled, by step id. */
  stepEdits: Record<string, { runMinutes?: number; waitHours?: number }>;
}

/** An empty recipe for one find. */
export function recipeFor(findId: string, templateId: string, measures: Measures, pieceId: string): RecipeBody {
  return {
    version: 1,
    pieces: [{ id: pieceId, findId, templateId, measures, count: 1, zoneEdits: {} }],
    layers: [],
    dropped: [],
    school: null,
    labelCoats: null,
    stepEdits: {},
  };
}
