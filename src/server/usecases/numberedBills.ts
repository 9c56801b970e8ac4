import type { AnyRow, RowChange, Workspace } from '@core/acts/changes';
import { rowsOf } from '@core/acts/changes';
import type { Outcome } from '@core/acts/perform';
import type { BillRow } from '@core/model/rows';
import type { Transaction } from '../persistence/scope';
import { nextBillNumber } from '../persistence/sql/billNumbers';

type Done<W extends Workspace> = Extract<Outcome<W>, { ok: true }>;

/** Gives each bill that an act makes the next number of its series; only here all bills of the studio are known. */
export async function numberedBills<W extends Workspace>(transaction: Transaction, outcome: Done<W>): Promise<Done<W>> {
  const isOpen = (change: RowChange): change is Extract<RowChange, { op: 'insert' }> =>
    change.op === 'insert' && change.table === 'bills' && change.row.number === null;
  const open = outcome.changes.filter(isOpen);
  if (open.length === 0) return outcome;
  const firstNumber = Number(rowsOf(outcome.after, 'letterheads')[0]?.firstNumber ?? 1);
  const numbered = new Map<string, AnyRow>();
  // One after the other: the second of an act follows the first only once that is known.
  const given = new Map<string, number>();
  for (const { row } of open) {
    const { series } = row as AnyRow & Pick<BillRow, 'series'>;
    const last = given.get(series);
    const number = last === undefined ? await nextBillNumber(transaction, series, firstNumber) : last + 1;
    given.set(series, number);
    numbered.set(row.id, { ...row, number });
  }
  const bills = rowsOf(outcome.after, 'bills').map((row) => numbered.get(row.id) ?? row);
  return {
    ...outcome,
    changes: outcome.changes.map((change) =>
      isOpen(change) ? { ...change, row: numbered.get(change.row.id) ?? change.row } : change,
    ),
    after: { ...outcome.after, bills },
  };
}
