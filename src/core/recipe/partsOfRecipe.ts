import { noParts, type PartBag, partsTimes, partsTogether } from '../cutting/part';
import type { RecipePlan } from './computeRecipe';
import type { RecipeBody } from './recipeBody';
import { workpieceId } from './workpiece';

/** What a recipe cuts from each stock, all like pieces together. */
export function partsOfRecipe(plan: RecipePlan, body: RecipeBody): Map<string, PartBag> {
  const bags = new Map<string, PartBag>();
  const counted = new Set<string>();
  for (const piece of body.pieces) {
    const id = workpieceId(piece);
    if (counted.has(id)) continue;
    counted.add(id);
    for (const { supplyKey, parts } of plan.demands.get(id)?.supplies ?? [])
      if (parts.length > 0)
        bags.set(supplyKey, partsTogether(bags.get(supplyKey) ?? noParts, partsTimes(parts, piece.count)));
  }
  return bags;
}
