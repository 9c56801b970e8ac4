import { z } from 'zod';
import { line, refersTo } from '../fields';

/** What a task of the bench is of: a step of a recipe, a task of a spot, or setting an option in its place. */
export const benchSubject = {
  recipeId: refersTo('recipes').nullable(),
  spotId: refersTo('spots').nullable(),
  optionId: refersTo('options').nullable(),
  /** The step of the recipe, or the task of the spot; empty for an option. */
  stepId: line(0, 200),
};
export const benchSubjectSchema = z.strictObject(benchSubject);
export type BenchSubject = z.output<typeof benchSubjectSchema>;
