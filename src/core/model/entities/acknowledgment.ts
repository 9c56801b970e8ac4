import { defineEntity } from '../entity';
import { line, moment, refersTo } from '../fields';

/** A caution that somebody read and took upon themselves. */
export const acknowledgment = defineEntity({
  table: 'acknowledgments',
  name: 'acknowledgment',
  noun: 'acknowledgment',
  owner: 'project',
  travels: 'always',
  fields: {
    recipeId: refersTo('recipes'),
    /** What was acknowledged; it lapses when the trigger changes. */
    trigger: line(1, 2000),
    by: line(0, 120),
    atMs: moment,
  },
});
