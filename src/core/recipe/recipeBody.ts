import { coatings } from '../catalog/coatings';
import type { ChosenLayer, RecipeBody } from '../model/values/recipeBody';
import type { Measures } from '../surface/furnitureTemplate';

export type {
  ChosenLayer,
  ChosenPreparation,
  EnteredShape,
  OwnStep,
  OwnZone,
  RecipeBody,
  RecipePiece,
  Setback,
  StepEdit,
  ZoneEdit,
} from '../model/values/recipeBody';
export type { CoatSchool } from '../state/brief';

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

/** The coating of a layer, chosen or proposed (`primer:<coating>@<layer>`, `whiteBase:<coating>@<layer>`,
 * `topcoat:<coating>`); null when there is none. */
export function coatingOfLayer(body: RecipeBody, layerId: string): string | null {
  const chosen = body.layers.find((layer) => layer.id === layerId);
  if (chosen) return chosen.coatingId;
  return /^(?:primer|topcoat|whiteBase):([^@]+)/.exec(layerId)?.[1] ?? null;
}
