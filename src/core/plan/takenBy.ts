import { noParts } from '../cutting/part';
import { toMicro } from '../kernel/micro';
import type { RecipePlan } from '../recipe/computeRecipe';
import { needsOf } from '../recipe/needsOf';
import { partsOfRecipe } from '../recipe/partsOfRecipe';
import type { RecipeBody } from '../recipe/recipeBody';
import type { Total } from './model/pools';

/** What a recipe takes of each supply, all like pieces together: amounts, and parts to cut. */
export function takenBy(plan: RecipePlan, body: RecipeBody): Map<string, Total> {
  const amounts = needsOf(plan, body);
  const parts = partsOfRecipe(plan, body);
  return new Map(
    [...new Set([...amounts.keys(), ...parts.keys()])].map((key) => [
      key,
      { amount: toMicro(amounts.get(key) ?? 0), parts: parts.get(key) ?? noParts },
    ]),
  );
}
