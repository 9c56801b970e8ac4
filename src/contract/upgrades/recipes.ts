import { upgradeRecipeBody } from '@core/recipe/recipeBody';
import type { FileUpgrade } from './index';

/** Rows whose recipes are of an older shape, brought to the present one; rows that are present stay the same objects. */
export function withPresentRecipes<T extends { recipes: readonly { body: unknown }[] }>(rows: T): T {
  const recipes = rows.recipes.map((recipe) => {
    const body = upgradeRecipeBody(recipe.body);
    return body === recipe.body ? recipe : { ...recipe, body };
  });
  return recipes.every((recipe, index) => recipe === rows.recipes[index]) ? rows : ({ ...rows, recipes } as T);
}

/** Version 3 knew a layer by its coating alone: no techniques, preparations, own zones and steps, no setbacks, no studio recipes. */
export const recipes: FileUpgrade = {
  from: 3,
  upgrade: (file) =>
    Array.isArray(file.recipes)
      ? {
          ...withPresentRecipes(file as Record<string, unknown> & { recipes: { body: unknown }[] }),
          studioRecipes: file.studioRecipes ?? [],
        }
      : file,
};
