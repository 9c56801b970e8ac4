import type { RowConflict } from '@contract/answers';
import type { Command, PayloadOf } from '@contract/commands';
import { type Act, type ActChange, readAct } from '../persistence/acts';
import { insertRow, readRow, removeInserted, type StoredRow, updateRow } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';
import { Refusal, refused } from './answer';
import type { Surroundings } from './surroundings';

/** Takes an act back: later changes of the same rows are conflicts; the ledger is reversed, never erased. */
export async function undoAct(
  transaction: Transaction,
  payload: PayloadOf<'undo'>,
  command: Command,
  actId: string,
  around: Surroundings,
): Promise<ActChange[]> {
  const act = await readAct(transaction, payload.actId);
  const home = command.projectId === transaction.scope.studioId ? null : command.projectId;
  if (!act || act.projectId !== home) throw new Refusal(refused('notFound'));
  if (act.undone)
    throw new Refusal(
      refused('command.refused', {
        fields: [{ field: 'actId', value: payload.actId, accepted: 'an act that is not taken back yet' }],
      }),
    );
  if (act.kind.startsWith('importHouse.')) return undoImport(transaction, act, actId);
  const done: ActChange[] = [];
  const reversalIds = [...payload.reversalIds];
  for (const change of [...act.changes].reverse()) {
    if (change.table === 'ledger') {
      if (change.after === null) continue;
      const reversal: StoredRow = {
        ...change.after,
        id: reversalIds.shift() ?? around.newId(),
        version: 1,
        atMs: around.nowMs(),
        reversesId: change.id,
        note: '',
      };
      await insertRow(transaction, 'ledger', reversal, command.projectId, actId);
      done.push({ table: 'ledger', id: reversal.id, before: null, after: reversal, version: 1 });
      continue;
    }
    const stored = await readRow(transaction, change.table, change.id);
    if (!stored || stored.row.version !== change.version) {
      throw new Refusal(refused('conflict', { conflicts: [await conflictOf(transaction, change)] }));
    }
    const ok = await updateRow(
      transaction,
      change.table,
      change.id,
      change.version,
      change.before ?? {},
      actId,
      change.before === null,
    );
    if (!ok) throw new Error('the row was locked and its version known, yet it was not changed');
    const version = change.version + 1;
    done.push({
      table: change.table,
      id: change.id,
      before: change.after,
      after: change.before === null ? null : { ...change.before, version },
      version,
    });
  }
  return done;
}

/** Takes an import back as one act: many rows at once. Rows that were changed since stand in the way, all of them told. */
async function undoImport(transaction: Transaction, act: Act, actId: string): Promise<ActChange[]> {
  const done: ActChange[] = [];
  const conflicts: RowConflict[] = [];
  const inserted = new Map<ActChange['table'], ActChange[]>();
  for (const change of [...act.changes].reverse()) {
    if (change.before === null) inserted.set(change.table, [...(inserted.get(change.table) ?? []), change]);
    else if (!(await updateRow(transaction, change.table, change.id, change.version, change.before, actId)))
      conflicts.push(await conflictOf(transaction, change));
    else
      done.push({
        table: change.table,
        id: change.id,
        before: change.after,
        after: { ...change.before, version: change.version + 1 },
        version: change.version + 1,
      });
  }
  for (const [table, changes] of inserted) {
    const ids = changes.map((change) => change.id);
    const kept = new Set(await removeInserted(transaction, table, ids, actId));
    for (const change of changes) {
      if (kept.has(change.id)) conflicts.push(await conflictOf(transaction, change));
      else done.push({ table, id: change.id, before: null, after: null, version: 2 });
    }
  }
  if (conflicts.length > 0) throw new Refusal(refused('conflict', { conflicts: conflicts.slice(0, 50) }));
  return done;
}

async function conflictOf(transaction: Transaction, change: ActChange): Promise<RowConflict> {
  const stored = await readRow(transaction, change.table, change.id);
  return {
    table: change.table,
    id: change.id,
    expected: change.version,
    theirs: stored && !stored.deleted ? stored.row : null,
    mine: change.before,
  };
}
