import type { Problem } from '@core/acts/act';
import { stillNeeded } from '@core/acts/invariants';
import type { KeptChange } from '@core/acts/undoChanges';
import { type ChangedTable, isHouseTable } from '@core/model/entities';
import type { Transaction } from '../persistence/scope';
import { stillPointedTo } from '../persistence/sql/pointers';

/** A row of the house that an act removed although something still needs it. */
export interface Needed {
  table: ChangedTable;
  id: string;
  problem: Problem;
}

/**
 * Shared rows that an act removed although some project, or the house itself, still points to them: without them that
 * project could not be worked on any more. Asked after the writes; an answer refuses them.
 */
export async function stillUsed(transaction: Transaction, changes: readonly KeptChange[]): Promise<Needed[]> {
  const removed = new Map<ChangedTable, string[]>();
  for (const { table, id, op } of changes)
    if (op === 'remove' && isHouseTable(table)) removed.set(table, [...(removed.get(table) ?? []), id]);
  const needed: Needed[] = [];
  for (const [table, ids] of removed)
    for (const id of await stillPointedTo(transaction, table, ids)) {
      const row = changes.find((change) => change.id === id)?.before ?? { id, version: 1 };
      needed.push({ table, id, problem: stillNeeded(table, row) });
    }
  return needed;
}
