import { z } from 'zod';
import type { Decision } from '../act';
import { isRefusal, projectAct } from '../act';
import type { RowChange } from '../changes';
import { editRecipe } from './editRecipe';

/** Changes several recipes at once, for instance where another product takes the place of one in all of them. */
export const editRecipes = projectAct({
  kind: 'editRecipes',
  title: 'Recipes changed',
  payload: z.strictObject({ recipes: z.array(editRecipe.payload).min(1).max(200, 'at most 200 recipes') }),
  decide: (rows, { recipes }): Decision => {
    const changes: RowChange[] = [];
    for (const recipe of recipes) {
      const decided = editRecipe.decide(rows, recipe);
      if (isRefusal(decided)) return decided;
      changes.push(...decided);
    }
    return changes;
  },
});
