import { withFinds } from '../../model/finds';
import type { ProjectRows, StoredRows } from '../../model/rows';
import { recipeBody2 } from './upgrades/recipes';

/** Recipes whose stored body is of an older shape, brought to the present one; present ones stay the same objects. */
function present<R extends { body: unknown }>(recipes: readonly R[]): R[] {
  return recipes.map((recipe) => {
    const body = recipeBody2(recipe.body);
    return body === recipe.body ? recipe : { ...recipe, body };
  });
}

/** Rows as they were stored, with parameters of an older shape read in the present one, and with their finds. */
export function presentRows(rows: StoredRows): ProjectRows {
  return withFinds({ ...rows, recipes: present(rows.recipes), studioRecipes: present(rows.studioRecipes) });
}
