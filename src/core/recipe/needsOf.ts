import { fromMicro } from '../kernel/micro';
import type { RecipePlan } from './computeRecipe';
import { needsOfDemand, noDemand } from './pieceDemand';
import type { RecipeBody } from './recipeBody';
import { workpieceId } from './workpiece';

/** What a recipe takes of each supply, all like pieces together, with what its sessions leave behind. */
export function needsOf(plan: RecipePlan, body: RecipeBody): Map<string, number> {
  const needs = new Map<string, number>();
  const counted = new Set<string>();
  for (const piece of body.pieces) {
    const id = workpieceId(piece);
    if (counted.has(id)) continue;
    counted.add(id);
    for (const [key, amount] of needsOfDemand(plan.demands.get(id) ?? noDemand))
      needs.set(key, (needs.get(key) ?? 0) + amount * piece.count);
  }
  for (const { supplyKey, micro } of plan.residues)
    needs.set(supplyKey, (needs.get(supplyKey) ?? 0) + fromMicro(micro));
  return needs;
}
