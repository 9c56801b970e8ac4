import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { id } from '../../model/fields';
import { recipeBodySchema } from '../../model/values/recipeBody';
import { projectAct, refuse } from '../act';
import { insert, type RowChange, update } from '../changes';
import { refuseLent } from '../options/lentPiece';

/**
 * Adds a find to a recipe, so that several pieces are made over alike. When an option is given, the find also
 * becomes a makeover of that slot.
 */
export const coverFind = projectAct({
  kind: 'coverFind',
  title: 'Covered by the same recipe',
  payload: z.strictObject({
    recipeId: id,
    findId: id,
    body: recipeBodySchema,
    option: rowSchema('options').nullable(),
  }),
  decide: (rows, payload) => {
    const { recipeId, findId, body, option } = payload;
    if (!rows.recipes.some((row) => row.id === recipeId))
      return refuse('recipeId', recipeId, 'a recipe of this project');
    if (!rows.finds.some((row) => row.id === findId)) return refuse('findId', findId, 'a find of this project');
    if (!body.pieces.some((piece) => piece.findId === findId))
      return refuse('body.pieces', findId, 'a body that covers this find');
    const lent = refuseLent(rows, [findId], 'findId');
    if (lent) return lent;
    const changes: RowChange[] = [update('recipes', recipeId, { body })];
    if (option) {
      if (!rows.slots.some((slot) => slot.id === option.slotId))
        return refuse('option.slotId', option.slotId, 'a slot of this project');
      if (option.recipeId !== recipeId || !option.parts.every((part) => part.findId === findId))
        return refuse('option', option.id, 'a makeover of this find by this recipe');
      changes.push(insert('options', option));
    }
    return changes;
  },
});
