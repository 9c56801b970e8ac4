import { filmFindings } from '../recipe/filmFindings';
import type { PlanModel } from './model/planModel';

/**
 * Computes what a plan asks for at once, every way that is chosen with what there is to say of it, and pauses often:
 * whoever runs it may let others work in between. What it computed is in the memory of the model afterwards.
 */
export function* warming(model: PlanModel): Generator<undefined, void> {
  for (const { optionId, count } of model.rows.fills) {
    if (count <= 0) continue;
    const recipe = model.option(optionId)?.recipe ?? null;
    yield;
    if (!recipe) continue;
    const context = model.recipeContext();
    for (const layer of recipe.layers) {
      if (layer.artworkIds.length === 0) continue;
      // The places where a lettering is too thin take longest; they are remembered with its outline.
      filmFindings([layer], context);
      yield;
    }
    // Gathered when they are first read.
    void recipe.findings.length;
    yield;
  }
}
