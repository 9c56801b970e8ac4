import { furnitureTemplates } from '../surface/templates';
import type { RecipePiece } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';

/** What a recipe works on: a find, or a thing that it makes, which has no id but the recipe's own. */
export const workpieceId = ({ id, findId }: Pick<RecipePiece, 'id' | 'findId'>): string => findId ?? id;

/** Whether a recipe makes a piece from scratch. */
export const isMade = ({ findId }: Pick<RecipePiece, 'findId'>): boolean => findId === null;

/** What is made of bare wood unless its kind says otherwise. */
const USUAL_MATERIAL = 'pine';

/**
 * What is known of a workpiece: the find's facts, or those of a new thing, bare and of the material that its kind is
 * usually made of.
 * @returns undefined for a find that is not there any more
 */
export function factsOf(piece: RecipePiece, { pieces }: Pick<RecipeContext, 'pieces'>): PieceFacts | undefined {
  if (piece.findId !== null) return pieces.get(piece.findId);
  const template = furnitureTemplates.find(piece.templateId);
  return {
    id: piece.id,
    name: template?.name ?? piece.templateId,
    kind: 'ordinary',
    materialId: template?.usual?.materialId ?? USUAL_MATERIAL,
    finishId: null,
    sheen: 'raw',
    color: null,
    era: 'recent',
    leadTest: 'notTested',
    cordCondition: 'none',
    inspected: [],
  };
}
