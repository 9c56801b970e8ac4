import type { LogEntryRow, StepRunRow } from '../../model/rows';
import type { Lesson } from '../../recipe/recipeContext';

/**
 * What went wrong by the studio's log, in whatever project: what was laid or done, on what, and how it failed. A line of a recipe of
 * this project is known by it, so that a recipe is not warned of itself.
 */
export function lessonsOfLog(of: {
  logEntries: readonly LogEntryRow[];
  stepRuns: readonly Pick<StepRunRow, 'logId' | 'recipeId'>[];
}): Lesson[] {
  const recipeOf = new Map(of.stepRuns.map(({ logId, recipeId }) => [logId, recipeId]));
  return of.logEntries.flatMap(({ id, wrong, coatingId, substrateId }) =>
    wrong === null || substrateId === null
      ? []
      : [{ recipeId: recipeOf.get(id) ?? '', coatingId, substrateId, problem: wrong }],
  );
}
