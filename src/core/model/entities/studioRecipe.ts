import { defineEntity } from '../entity';
import { line } from '../fields';
import { recipeBodySchema } from '../values/recipeBody';

/** A recipe kept by the studio, without its pieces: zones stand as `*` and the zone's own id. */
export const studioRecipe = defineEntity({
  table: 'studioRecipes',
  name: 'studio_recipe',
  noun: 'kept recipe',
  owner: 'studio',
  travels: 'never',
  fields: {
    name: line(1, 120),
    /** The kind of piece it was made on. */
    templateId: line(1, 60),
    body: recipeBodySchema,
  },
});
