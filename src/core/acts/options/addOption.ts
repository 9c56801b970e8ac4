import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct, refuse } from '../act';
import { insert } from '../changes';
import { newFindChanges } from '../finds/addFind';
import { findSchema } from '../finds/findFields';
import { refuseLent } from './lentPiece';

/** A new way to fill a slot, with whatever is new about it: the find, the offer, the recipe, the color. */
export const addOption = projectAct({
  kind: 'addOption',
  title: 'Option added',
  payload: z.strictObject({
    option: rowSchema('options'),
    find: findSchema.nullable(),
    offer: rowSchema('offers').nullable(),
    recipe: rowSchema('recipes').nullable(),
    colorCard: rowSchema('colorCards').nullable(),
  }),
  decide: (rows, payload) => {
    const { option, find, offer, recipe, colorCard } = payload;
    if (!rows.slots.some((slot) => slot.id === option.slotId))
      return refuse('option.slotId', option.slotId, 'a slot of this project');
    for (const part of option.parts) {
      if (part.findId !== null && part.findId !== find?.id && !rows.finds.some((row) => row.id === part.findId))
        return refuse('option.parts', part.findId, 'a find of this project');
      if (part.offerId !== null && part.offerId !== offer?.id && !rows.offers.some((row) => row.id === part.offerId))
        return refuse('option.parts', part.offerId, 'an offer of this project');
    }
    if (option.recipeId !== null) {
      const lent = refuseLent(
        rows,
        option.parts.map((part) => part.findId),
        'option.parts',
      );
      if (lent) return lent;
      if (option.recipeId !== recipe?.id && !rows.recipes.some((row) => row.id === option.recipeId))
        return refuse('option.recipeId', option.recipeId, 'a recipe of this project');
    }
    return [
      ...(colorCard ? [insert('colorCards', colorCard)] : []),
      ...(find ? newFindChanges(rows, find) : []),
      ...(offer ? [insert('offers', offer)] : []),
      ...(recipe ? [insert('recipes', recipe)] : []),
      insert('options', option),
    ];
  },
});
