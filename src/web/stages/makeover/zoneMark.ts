import type { RecipeBody } from '@core/recipe/recipeBody';
import type { ZonePlan } from '@core/recipe/zonePlans';

/** A zone's letter, with the number of its piece where a recipe covers several: A, or 2A. */
export function zoneMark(body: RecipeBody, zone: ZonePlan): string {
  if (body.pieces.length < 2) return zone.zone.letter;
  return `${body.pieces.findIndex((piece) => piece.id === zone.pieceId) + 1}${zone.zone.letter}`;
}
