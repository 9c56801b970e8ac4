import { coatings } from '../catalog/coatings';
import type { Sheen } from '../state/surfaceState';
import type { RecipePlan } from './computeRecipe';
import { inCoating } from './likeCoatings';
import { type ChosenLayer, chosenLayer, type RecipeBody } from './recipeBody';

/** Another coating for a supply. */
export interface StandInCoating {
  coatingId: string;
  sheen: Sheen;
}

/** The layer that a proposed one lies beneath, by its id: `primer:<coating>@<layer>`; null for one on top of all. */
const layerAbove = (proposedId: string): string | null => /@(.+)$/.exec(proposedId)?.[1] ?? null;

/**
 * A recipe with another coating wherever a supply was laid: in the same places, colors and coats as computed. A layer that
 * was proposed becomes a chosen one, since nobody would propose this coating there.
 * @param newId makes the ids of the layers that are added
 * @returns null where no layer of the recipe lays the supply
 */
export function withStandIn(
  body: RecipeBody,
  recipe: Pick<RecipePlan, 'layers' | 'stacks'>,
  supplyKey: string,
  { coatingId, sheen }: StandInCoating,
  newId: () => string,
): RecipeBody | null {
  const coating = coatings.find(coatingId);
  const swapped = recipe.layers.filter((layer) => layer.supplyKey === supplyKey);
  if (!coating || swapped.length === 0) return null;
  const ids = new Set(swapped.map(({ id }) => id));
  let layers: ChosenLayer[] = body.layers.map((layer) => {
    if (!ids.has(layer.id)) return layer;
    // Coats that were overruled were meant for the other product.
    return { ...inCoating(layer, coating, sheen), coats: null };
  });
  for (const layer of swapped) {
    if (layer.origin !== 'proposed') continue;
    const zoneKeys = [...recipe.stacks].flatMap(([key, stack]) =>
      stack.some(({ layerId }) => layerId === layer.id) ? [key] : [],
    );
    const added = chosenLayer(newId(), coatingId, { colorCardId: layer.colorCardId, sheen, zoneKeys });
    const above = layers.findIndex(({ id }) => id === layerAbove(layer.id));
    layers = above < 0 ? [...layers, added] : [...layers.slice(0, above), added, ...layers.slice(above)];
  }
  const dropped = swapped.flatMap(({ id, origin }) => (origin === 'proposed' ? [id] : []));
  return { ...body, layers, dropped: [...new Set([...body.dropped, ...dropped])] };
}
