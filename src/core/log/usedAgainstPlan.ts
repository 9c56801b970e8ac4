import type { LogEntryRow, StepRunRow } from '../model/rows';

/**
 * How much of each supply a recipe really took against what was planned, by the lines of its steps where amounts were noted.
 * @returns by kind of supply: 1.2 for a fifth more; nothing for kinds of which nobody noted anything
 */
export function usedAgainstPlan(
  recipeId: string,
  stepRuns: readonly Pick<StepRunRow, 'recipeId' | 'logId'>[],
  logEntries: readonly Pick<LogEntryRow, 'id' | 'amounts'>[],
): ReadonlyMap<string, number> {
  const own = new Set(stepRuns.filter((run) => run.recipeId === recipeId).map(({ logId }) => logId));
  const sums = new Map<string, { expected: number; used: number }>();
  for (const entry of logEntries)
    if (own.has(entry.id))
      for (const { kindId, expected, used } of entry.amounts) {
        const sum = sums.get(kindId) ?? { expected: 0, used: 0 };
        sums.set(kindId, { expected: sum.expected + expected, used: sum.used + used });
      }
  return new Map(
    [...sums].flatMap(([kindId, { expected, used }]) => (expected > 0 ? [[kindId, used / expected] as const] : [])),
  );
}
