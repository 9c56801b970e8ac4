import type { Problem } from '@core/acts/act';
import { type ChangedTable, entityOf } from '@core/model/entities';
import { countRows } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';

/**
 * Whether there is still room for what was just written: the numbers that Euporia is made for. Asked after the writes;
 * an answer refuses them with a sentence.
 * @param tables those that rows came into
 */
export async function overLimits(
  transaction: Transaction,
  tables: ReadonlySet<ChangedTable>,
  projectId: string | null,
): Promise<Problem[]> {
  const problems: Problem[] = [];
  for (const table of tables) {
    const { most, noun } = entityOf(table);
    if (!most) continue;
    const there = await countRows(transaction, table, most.per === 'project' ? projectId : null);
    if (there > most.count)
      problems.push({
        field: noun,
        value: there,
        accepted: `at most ${most.count} of them in ${most.per === 'project' ? 'a project' : 'the studio'}`,
      });
  }
  return problems;
}

/** The tables into which changes bring rows. */
export const tablesGrown = (changes: readonly { table: ChangedTable; op: string }[]): ReadonlySet<ChangedTable> =>
  new Set(changes.filter(({ op }) => op === 'insert' || op === 'restore').map(({ table }) => table));
