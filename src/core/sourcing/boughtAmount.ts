import type { LedgerRow, ProjectRows } from '../model/rows';

/** How much of a supply a payment bought, by its receipt, in the supply's unit; 0 where no receipt says it. */
export function boughtAmount(rows: Pick<ProjectRows, 'receipts'>, payment: LedgerRow): number {
  const receipt = rows.receipts.find(({ id }) => id === payment.receiptId);
  const things = (receipt?.lines ?? []).flatMap(({ subjects }) => subjects);
  return things
    .filter(({ subject }) => subject.kind === payment.subject.kind && subject.id === payment.subject.id)
    .reduce((sum, { amount }) => sum + amount, 0);
}
