import type { LedgerKind } from '../pricing/ledger';
import type { LedgerRow } from './rows';

/** A line of the ledger for one thing, of which no more is known than what was paid. */
export function newLedgerLine(
  id: string,
  kind: LedgerKind,
  subject: LedgerRow['subject'],
  amount: number,
  atMs: number,
): LedgerRow {
  return {
    id,
    version: 1,
    kind,
    amount,
    atLeast: false,
    atMs,
    subject,
    reversesId: null,
    note: '',
    sourceId: null,
    receiptId: null,
    estimated: false,
    pieces: null,
    refundsId: null,
    foreign: null,
  };
}
