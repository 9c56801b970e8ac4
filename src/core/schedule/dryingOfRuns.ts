import { MS_PER_DAY } from '../kernel/units';
import type { Plan } from '../plan/computePlan';
import { type Drying, dryingNow } from './dryingNow';
import { JobBook } from './jobBook';
import { placingJob, spotJobs } from './placingJobs';
import { recipeJobs } from './recipeJobs';

/** Nothing of the trade takes longer than this until it may be handled; what was done before is dry. */
const LONGEST_DAYS = 35;

/** Something that dries, with what it is a part of. */
export interface NamedDrying extends Drying {
  rowName: string;
}

/**
 * What was done lately and is not dry yet, without planning the rest: only what was done lately is looked at, so that it
 * can be asked anywhere and at any time.
 */
export function dryingOfRuns(plan: Plan, nowMs: number): NamedDrying[] {
  const recent = plan.rows.stepRuns.filter(
    ({ doneMs }) => doneMs !== null && doneMs > nowMs - LONGEST_DAYS * MS_PER_DAY,
  );
  if (recent.length === 0) return [];
  const book = new JobBook(plan, nowMs);
  const recipeIds = new Set(recent.flatMap((run) => run.recipeId ?? []));
  const spotIds = new Set(recent.flatMap((run) => run.spotId ?? []));
  for (const recipeId of recipeIds) {
    const recipe = plan.model.recipe(recipeId);
    if (recipe) recipeJobs(book, recipe);
  }
  for (const spotId of spotIds) spotJobs(book, spotId);
  // What is set in place is what many of them dry for.
  for (const fill of plan.chosen) {
    const { recipe, slot } = fill.model;
    if ((recipe && recipeIds.has(recipe.recipeId)) || spotIds.has(slot.spotId)) placingJob(book, fill);
  }
  return dryingNow(book.jobs, book.now).map((drying) => ({
    ...drying,
    rowName: book.rows.get(drying.rowId)?.name ?? '',
  }));
}
