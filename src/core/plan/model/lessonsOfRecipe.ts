import { coatingOfLayer, type RecipeBody } from '../../recipe/recipeBody';
import type { Lesson, PieceFacts } from '../../recipe/recipeContext';

/** What went wrong in a recipe, with what on what; other recipes learn from it. */
export function lessonsOfRecipe(of: {
  recipeId: string;
  body: RecipeBody;
  pieces: readonly (PieceFacts | undefined)[];
}): Lesson[] {
  const { recipeId, body, pieces } = of;
  return body.setbacks.flatMap((setback) => {
    const coatingId = coatingOfLayer(body, setback.layerId);
    if (coatingId === null) return [];
    return pieces.flatMap((piece) => {
      const substrateId = piece ? (piece.finishId ?? piece.materialId) : null;
      return substrateId === null ? [] : [{ recipeId, coatingId, substrateId, problem: setback.problem }];
    });
  });
}
