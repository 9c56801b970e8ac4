import type { FileUpgrade } from './index';
import { eachRow, type Loose, rowsIn } from './loose';

/** Techniques by the coatings they put on, as version 4 knew them; every other coating was brushed. */
const usualTechniques: Readonly<Record<string, readonly string[]>> = {
  chalkboard: ['chalkboardPaint'],
  groutColor: ['groutColorant'],
  sprayOn: ['aerosolEnamel', 'adhesionPromoter', 'aerosolClear'],
  textureSpray: ['aerosolStone'],
  stain: ['waterborneStain', 'oilStain', 'waterborneConditioner', 'oilConditioner'],
  stainAndSeal: ['stainAndSealOil', 'stainAndSealWater'],
  gelStain: ['gelStain'],
  glaze: ['glaze'],
  waxOn: ['darkWax', 'clearWax'],
  clearCoat: ['waterClear', 'waterbornePolyurethane', 'oilPolyurethane'],
};
const techniqueOf = new Map(
  Object.entries(usualTechniques).flatMap(([technique, coatings]) => coatings.map((coating) => [coating, technique])),
);

/**
 * Brings a stored recipe body from version 1 to 2. Version 1 knew a coating by its usual technique only, no
 * preparations, tints, own steps or setbacks. What is no such body is given back as it is.
 */
export function recipeBody2(stored: unknown): unknown {
  if (typeof stored !== 'object' || stored === null || (stored as Loose).version !== 1) return stored;
  const body = stored as Loose;
  return {
    ...body,
    version: 2,
    pieces: rowsIn(body.pieces).map((piece) => ({ ...piece, ownZones: [], tests: {} })),
    layers: rowsIn(body.layers).map((layer) => ({
      ...layer,
      techniqueId: techniqueOf.get(String(layer.coatingId)) ?? 'brushOn',
      values: {},
    })),
    preparations: [],
    primerTints: {},
    ownSteps: [],
    setbacks: [],
  };
}

/** Version 3 knew a layer by its coating alone: no techniques, preparations, own zones and steps, no setbacks, no studio recipes. */
export const recipes: FileUpgrade = {
  from: 3,
  upgrade: (file) => ({
    ...file,
    recipes: eachRow(file.recipes, (recipe) => ({ ...recipe, body: recipeBody2(recipe.body) })),
    studioRecipes: file.studioRecipes ?? [],
  }),
};
