import { z } from 'zod';
import { MOST_AMOUNT } from '../../model/entities/supply';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { type RowChange, remove, update } from '../changes';
import { afterCutting } from '../supplies/afterCutting';

/** Marks a finished recipe as not done: the supplies that it took are put back into the stash. */
export const reopenRecipe = projectAct({
  kind: 'reopenRecipe',
  title: 'Not done after all',
  payload: z.strictObject({ recipeId: id }),
  decide: (rows, payload) => {
    const recipe = rows.recipes.find((row) => row.id === payload.recipeId);
    if (!recipe) return refuse('recipeId', payload.recipeId, 'a recipe of this project');
    if (recipe.doneOn === null) return refuse('recipeId', recipe.name, 'a recipe that is done');
    const changes: RowChange[] = [];
    for (const use of rows.supplyUses.filter((row) => recipe.uses.includes(row.id))) {
      const supply = rows.supplies.find((row) => row.id === use.supplyId);
      if (supply) {
        const there = supply.stash.state === 'none' ? 0 : supply.stash.amount;
        const isBack = use.amount > 0 && supply.stash.state !== 'always';
        const amount = Math.min(MOST_AMOUNT, there + use.amount);
        const values = {
          ...(isBack ? { stash: { state: 'about' as const, amount } } : {}),
          ...(use.cut === null
            ? {}
            : { offcuts: afterCutting(supply.offcuts, { taken: use.cut.left, left: use.cut.taken }) }),
        };
        if (Object.keys(values).length > 0) changes.push(update('supplies', supply.id, values));
      }
      changes.push(remove('supplyUses', use.id));
    }
    return [update('recipes', recipe.id, { doneOn: null, uses: [] }), ...changes];
  },
});
