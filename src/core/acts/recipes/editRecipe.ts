import { z } from 'zod';
import { recipe } from '../../model/entities/recipe';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';
import { refuseLent } from '../options/lentPiece';

/** Changes a recipe. Whether it is done changes only through `finishRecipe` and `reopenRecipe`. */
export const editRecipe = projectAct({
  kind: 'editRecipe',
  title: 'Recipe changed',
  payload: z.strictObject({ id, values: z.strictObject(recipe.fields).omit({ doneOn: true, uses: true }).partial() }),
  decide: (rows, payload) => {
    const known = rows.recipes.find((row) => row.id === payload.id);
    if (!known) return refuse('id', payload.id, 'a recipe that is still there');
    const covered = new Set(known.body.pieces.map((piece) => piece.findId));
    const added = (payload.values.body?.pieces ?? []).map((piece) => piece.findId).filter((find) => !covered.has(find));
    return refuseLent(rows, added, 'values.body.pieces') ?? [update('recipes', payload.id, payload.values)];
  },
});
