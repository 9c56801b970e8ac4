import { z } from 'zod';
import { id } from '../../model/fields';
import { settledIds } from '../../pricing/ledger';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';
import { removeOptions } from '../rowActs';

/** Removes a find from the project with the options that use it. Its piece stays; a find that was paid or promised cannot go. */
export const removeFind = projectAct({
  kind: 'removeFind',
  title: 'Find removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.id);
    if (!find) return refuse('id', payload.id, 'a find that is still there');
    if (settledIds(rows.ledger).get('piece')?.has(find.pieceId))
      return refuse('id', find.name, 'a find that nothing was paid or promised for; take that back first');
    const gone = new Set(
      rows.options.filter((option) => option.parts.some((part) => part.findId === find.id)).map((option) => option.id),
    );
    const left = rows.options.filter((option) => !gone.has(option.id));
    const covered = rows.recipes.find(
      (recipe) =>
        recipe.body.pieces.some((piece) => piece.findId === find.id) &&
        (left.some((option) => option.recipeId === recipe.id) ||
          !rows.options.some((option) => option.recipeId === recipe.id)),
    );
    if (covered)
      return refuse(
        'id',
        find.name,
        `a find that “${covered.name}” does not cover; take it out of that makeover first`,
      );
    return [...removeOptions(rows, (option) => gone.has(option.id)), remove('sightings', find.id)];
  },
});
