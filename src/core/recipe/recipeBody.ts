import { coatings } from '../catalog/coatings';
import type { Lab } from '../color/lab';
import type { Condition, PreparationKind } from '../state/preparation';
import type { Sheen } from '../state/surfaceState';
import type { Measures } from '../surface/furnitureTemplate';
import type { DetailKind, ZoneUse } from '../surface/zone';
import type { SetbackProblem } from './setbacks.data';
import type { SurfaceTestId } from './surfaceTests';

/** Which coats a studio gives: computed, always two, or as the label says. */
export const coatSchools = ['untilHidden', 'alwaysTwo', 'asLabel'] as const;
export type CoatSchool = (typeof coatSchools)[number];

/** A shape as it was entered: its kind and what was measured, millimeters, counts or m². */
export interface EnteredShape {
  kind: string;
  values: Record<string, number>;
}

/** What the stylist changed on a zone that its template proposed, and what is there now where it differs. */
export interface ZoneEdit {
  name?: string;
  included?: boolean;
  use?: ZoneUse;
  sides?: 1 | 2;
  count?: number;
  textureFactor?: number;
  detail?: DetailKind;
  /** An area measured by hand; older recipes have it, newer ones enter a shape. */
  areaM2?: number;
  shape?: EnteredShape;
  materialId?: string;
  /** The finish there now: an old finish, null for a bare material. */
  finishId?: string | null;
  sheen?: Sheen;
  color?: Lab | null;
  conditions?: Condition[];
}

/** A zone the stylist added. */
export interface OwnZone {
  id: string;
  name: string;
  shape: EnteredShape;
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
  ownZones: OwnZone[];
  /** Simple tests of the surface and what they showed. */
  tests: Partial<Record<SurfaceTestId, boolean>>;
}

/** A layer that the stylist chose, from the bottom up. Zones are keys `pieceId/zoneId`, or all included ones. */
export interface ChosenLayer {
  id: string;
  techniqueId: string;
  /** What is put on, or null where a technique only works what lies there. */
  coatingId: string | null;
  colorCardId: string | null;
  sheen: Sheen;
  zoneKeys: 'all' | string[];
  /** Coats overruled by the stylist, or null to compute them. */
  coats: number | null;
  /** What was set on the technique: a ratio, a share. */
  values: Record<string, number>;
}

/** A preparation that the stylist asked for beyond what the surface asks. */
export interface ChosenPreparation {
  kind: PreparationKind;
  zoneKeys: 'all' | string[];
}

/** Something that went wrong on a coat; what mends it is planned in after that coat. */
export interface Setback {
  id: string;
  layerId: string;
  coat: number;
  problem: SetbackProblem;
  note: string;
}

/** A step of the stylist's own, after another. */
export interface OwnStep {
  id: string;
  title: string;
  minutes: number;
  /** Hours that what follows has to wait. */
  waitHours: number;
  afterStepId: string | null;
}

/** What was overruled on a step. */
export interface StepEdit {
  runMinutes?: number;
  waitHours?: number;
  skipped?: boolean;
}

/** The stored shape of a recipe. Proposed primers and top coats are derived each time; `dropped` names those refused. */
export interface RecipeBody {
  version: 2;
  pieces: RecipePiece[];
  layers: ChosenLayer[];
  preparations: ChosenPreparation[];
  dropped: string[];
  /** Color cards of tinted primers, by the layer they are. */
  primerTints: Record<string, string>;
  /** The recipe's own school and label, or null for the project's. */
  school: CoatSchool | null;
  labelCoats: number | null;
  /** Minutes and waits overruled, by step id. */
  stepEdits: Record<string, StepEdit>;
  ownSteps: OwnStep[];
  setbacks: Setback[];
}

/** An empty recipe for one find. */
export function recipeFor(findId: string, templateId: string, measures: Measures, pieceId: string): RecipeBody {
  return {
    version: 2,
    pieces: [{ id: pieceId, findId, templateId, measures, count: 1, zoneEdits: {}, ownZones: [], tests: {} }],
    layers: [],
    preparations: [],
    dropped: [],
    primerTints: {},
    school: null,
    labelCoats: null,
    stepEdits: {},
    ownSteps: [],
    setbacks: [],
  };
}

/** A chosen layer of one coating in its usual technique. An unknown coating is kept, with the brush. */
export function chosenLayer(id: string, coatingId: string, more: Partial<ChosenLayer> = {}): ChosenLayer {
  const coating = coatings.find(coatingId);
  return {
    id,
    techniqueId: coating?.techniqueId ?? 'brushOn',
    coatingId,
    colorCardId: null,
    sheen: coating?.sheens[0] ?? 'matt',
    zoneKeys: 'all',
    coats: null,
    values: {},
    ...more,
  };
}

/** The coating of a layer, chosen or proposed (`primer:<coating>@<layer>`, `topcoat:<coating>`); null when there is none. */
export function coatingOfLayer(body: RecipeBody, layerId: string): string | null {
  const chosen = body.layers.find((layer) => layer.id === layerId);
  if (chosen) return chosen.coatingId;
  return /^(?:primer|topcoat):([^@]+)/.exec(layerId)?.[1] ?? null;
}

/** The color cards that a recipe refers to: of its layers and of its tinted primers. */
export function cardsOfRecipe(body: RecipeBody): string[] {
  const cards = [...body.layers.map((layer) => layer.colorCardId), ...Object.values(body.primerTints)];
  return [...new Set(cards.filter((card) => card !== null))];
}

type Json = Record<string, unknown>;
const listOf = (value: unknown): Json[] => (Array.isArray(value) ? (value as Json[]) : []);

/**
 * Brings a stored recipe body to the present version. Version 1 knew a coating by its usual technique only, no
 * preparations, tints, own steps or setbacks. What is no recipe at all is given back as it is.
 */
export function upgradeRecipeBody(stored: unknown): unknown {
  if (typeof stored !== 'object' || stored === null || (stored as Json).version !== 1) return stored;
  const body = stored as Json;
  return {
    ...body,
    version: 2,
    pieces: listOf(body.pieces).map((piece) => ({ ...piece, ownZones: [], tests: {} })),
    layers: listOf(body.layers).map((layer) => ({
      ...layer,
      techniqueId: coatings.find(String(layer.coatingId))?.techniqueId ?? 'brushOn',
      values: {},
    })),
    preparations: [],
    primerTints: {},
    ownSteps: [],
    setbacks: [],
  };
}
