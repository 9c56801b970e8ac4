import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct, refuse } from '../act';
import { insert } from '../changes';

/** Notes that somebody read a caution. The note holds until what triggers the caution changes. */
export const acknowledge = projectAct({
  kind: 'acknowledge',
  title: 'Read and acknowledged',
  payload: z.strictObject({ acknowledgment: rowSchema('acknowledgments') }),
  decide: (rows, payload) =>
    rows.recipes.some((recipe) => recipe.id === payload.acknowledgment.recipeId)
      ? [insert('acknowledgments', payload.acknowledgment)]
      : refuse('acknowledgment.recipeId', payload.acknowledgment.recipeId, 'a recipe of this project'),
});
