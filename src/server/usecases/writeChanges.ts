import { type AnyRow, idOf, type RowChange, rowIn, type Workspace } from '@core/acts/changes';
import type { KeptChange } from '@core/acts/undoChanges';
import { entityOf } from '@core/model/entities';
import { readRow, toggleRows, updateRow } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';
import { insertRows } from '../persistence/sql/insertRows';
import { Refusal, refused } from './answer';

/** Many like changes are kept without the rows' contents: those stand in their tables. */
const MANY = 200;

/**
 * Writes what was decided over some rows. Each row must still be as it was seen; otherwise everything goes back, with
 * both versions in the answer.
 */
export async function writeChanges(
  transaction: Transaction,
  rows: Workspace,
  changes: readonly RowChange[],
  projectId: string | null,
  actId: string,
): Promise<KeptChange[]> {
  const kept: KeptChange[] = [];
  const isBrief = changes.length > MANY;
  // A row that several changes touch is at a later version at each.
  const now = new Map<string, AnyRow | null>();
  const place = (change: RowChange) => `${change.table}:${idOf(change)}`;
  const before = (change: RowChange) => now.get(place(change)) ?? rowIn(rows, change.table, idOf(change));
  for (const run of runsOf(changes)) {
    const [first] = run;
    if (!first) continue;
    const { table } = first;
    if (first.op === 'insert') {
      const fresh = run.flatMap((change) => (change.op === 'insert' ? [change.row] : []));
      await insertRows(transaction, table, fresh, projectId, actId);
      for (const row of fresh) {
        now.set(`${table}:${row.id}`, row);
        kept.push({ table, id: row.id, op: 'insert', before: null, after: isBrief ? null : row, version: 1 });
      }
    } else if (first.op === 'update') {
      for (const change of run) {
        const row = before(change);
        if (change.op !== 'update' || !row) throw gone(change);
        if (!(await updateRow(transaction, table, change.id, row.version, change.values, actId)))
          throw await conflict(transaction, change, row.version);
        const after = { ...row, ...change.values, version: row.version + 1 };
        now.set(place(change), after);
        kept.push({ table, id: change.id, op: 'update', before: row, after, version: after.version });
      }
    } else {
      const isRemoval = first.op === 'remove';
      const at = run.map((change) => {
        const row = change.op === 'restore' ? { ...change.row, version: change.row.version - 1 } : before(change);
        if (!row) throw gone(change);
        return { change, row };
      });
      const missed = new Set(
        await toggleRows(
          transaction,
          table,
          at.map(({ row }) => row),
          isRemoval,
          actId,
        ),
      );
      for (const { change, row } of at) {
        if (missed.has(row.id)) throw await conflict(transaction, change, row.version);
        const after = isRemoval ? null : { ...row, version: row.version + 1 };
        now.set(place(change), after);
        kept.push({
          table,
          id: row.id,
          op: change.op,
          before: isRemoval && !isBrief ? row : null,
          after: isBrief ? null : after,
          version: row.version + 1,
        });
      }
    }
  }
  return kept;
}

/** Changes in a row of one table and one kind, so that they can be written together. */
function runsOf(changes: readonly RowChange[]): RowChange[][] {
  const runs: RowChange[][] = [];
  for (const change of changes) {
    const last = runs.at(-1);
    // The ledger's lines may refer to each other: one statement sees them all, in any order.
    if (last?.[0] && last[0].table === change.table && last[0].op === change.op) last.push(change);
    else runs.push([change]);
  }
  return runs;
}

const gone = (change: RowChange) =>
  new Refusal(
    refused('command.refused', {
      fields: [
        { field: change.table, value: idOf(change), accepted: `a ${entityOf(change.table).noun} that is still there` },
      ],
    }),
  );

async function conflict(transaction: Transaction, change: RowChange, expected: number): Promise<Refusal> {
  const stored = await readRow(transaction, change.table, idOf(change));
  return new Refusal(
    refused('conflict', {
      conflicts: [
        {
          table: change.table,
          id: idOf(change),
          expected,
          theirs: stored && !stored.deleted ? stored.row : null,
          mine: change.op === 'update' ? change.values : null,
        },
      ],
    }),
  );
}
