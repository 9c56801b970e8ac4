import { z } from 'zod';
import { id } from '../../model/fields';
import type { ProjectRows, ReceiptRow, SupplyRow } from '../../model/rows';
import { subjectName } from '../../plan/subjectName';
import { linesInForce } from '../../pricing/ledger';
import { isRefusal, projectAct, refuse } from '../act';
import { applyChanges, type RowChange, update } from '../changes';
import { withoutPurchase } from './boughtSupply';
import { reversalOf } from './ledgerChanges';
import { bookReceipt, receiptPayload, thingsOn } from './receiptChanges';

/** The supplies that a receipt filled, as if it had not. */
function suppliesWithout(rows: ProjectRows, receipt: ReceiptRow): RowChange[] {
  const book = new Map<string, SupplyRow>();
  for (const { subject, amount, paid } of thingsOn(receipt)) {
    const supply = book.get(subject.id) ?? rows.supplies.find((row) => row.id === subject.id);
    if (subject.kind === 'supply' && supply && amount > 0)
      book.set(supply.id, { ...supply, ...withoutPurchase(supply, amount, paid) });
  }
  return [...book.values()].map(({ id: supplyId, stash, unitCostMillionths }) =>
    update('supplies', supplyId, { stash, unitCostMillionths }),
  );
}

/**
 * Sets a kept receipt right: its payments are taken back, and what it says now is booked in their place. What stood on a
 * line that is gone stays among the finds, as seen. Once something of it came back it stands as it is.
 */
export const correctReceipt = projectAct({
  kind: 'correctReceipt',
  title: 'Receipt set right',
  payload: receiptPayload.extend({
    /** Ids for the lines that take its payments back. */
    undoIds: z.array(id).max(1000, 'at most 1000 ids'),
  }),
  decide: (rows, { undoIds, ...payload }) => {
    const { receipt } = payload;
    const kept = rows.receipts.find((row) => row.id === receipt.id);
    if (!kept) return refuse('receipt', receipt.id, 'a receipt that is kept');
    const inForce = linesInForce(rows.ledger);
    const payments = inForce.filter(({ kind, receiptId }) => kind === 'payment' && receiptId === receipt.id);
    const paid = new Set(payments.map((line) => line.id));
    const back = inForce.find(({ refundsId }) => refundsId !== null && paid.has(refundsId));
    if (back) return refuse('receipt', subjectName(rows, back.subject), 'a receipt of which nothing came back yet');
    if (undoIds.length < payments.length)
      return refuse('undoIds', undoIds.length, `an id for each of its ${payments.length} payments`);
    const reversals = payments.map((line, n) => reversalOf(line, undoIds[n] as string, payload.atMs));
    const emptied = suppliesWithout(rows, kept);
    const before = applyChanges(rows, [...reversals, ...emptied]);
    const booked = bookReceipt(before, payload);
    if (isRefusal(booked)) return booked;
    const { id: receiptId, version: _version, ...values } = receipt;
    return [...reversals, ...emptied, update('receipts', receiptId, values), ...booked];
  },
});
