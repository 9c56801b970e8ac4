import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, localDate, refersTo } from '../fields';
import { recipeBodySchema } from '../values/recipeBody';

/** The makeover of one or several finds. */
export const recipe = defineEntity({
  table: 'recipes',
  name: 'recipe',
  noun: 'recipe',
  owner: 'project',
  travels: 'always',
  most: { count: 400, per: 'project' },
  fields: {
    name: line(1, 120),
    body: recipeBodySchema,
    /** Local date on which it was done; its supplies are off the shelf and its hours spent. */
    doneOn: localDate.nullable(),
    /** What was taken off the shelf when it was done; it goes back when it turns out not to be done. */
    uses: z.array(refersTo('supplyUses')).max(60, 'at most 60 supplies'),
  },
});
