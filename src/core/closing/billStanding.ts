import { formatMoney } from '../kernel/formatMoney';
import type { BillRow, ProjectRows } from '../model/rows';
import { billSums } from '../pricing/bill';

/** How a bill stands: what it comes to is paid, in part, not at all, or it was taken back. */
export type BillState = 'quote' | 'open' | 'paidInPart' | 'paid' | 'takenBack' | 'creditNote';

/** What became of a bill after it was sent. */
export interface BillAfterwards {
  /** What the client paid for it, deposits that it names among it; minor units. */
  paid: number;
  /** Whether a credit note took it back. */
  isTakenBack: boolean;
}

export interface BillStanding {
  state: BillState;
  total: number;
  /** What is still to be paid, never less than nothing. */
  open: number;
  /** What was paid beyond what it comes to: it goes back. */
  beyond: number;
}

/** What became of a bill, by the rows of its project. */
export const afterwardsOf = (
  { id }: Pick<BillRow, 'id'>,
  { bills, clientPayments }: Pick<ProjectRows, 'bills' | 'clientPayments'>,
): BillAfterwards => ({
  paid: clientPayments.filter(({ billId }) => billId === id).reduce((sum, { amount }) => sum + amount, 0),
  isTakenBack: bills.some(({ cancelsId }) => cancelsId === id),
});

/** Bills in the order in which they were sent: by day, of the same day by number; what has none yet comes last. */
export const billsInOrder = (bills: readonly BillRow[]): BillRow[] =>
  [...bills].sort(
    (a, b) =>
      a.issuedOn.localeCompare(b.issuedOn) ||
      (a.number ?? Number.MAX_SAFE_INTEGER) - (b.number ?? Number.MAX_SAFE_INTEGER) ||
      (a.id < b.id ? -1 : 1),
  );

/** What of a bill is still to be paid, and how it stands. */
export function standingOf(
  { kind, body }: Pick<BillRow, 'kind' | 'body'>,
  { paid, isTakenBack }: BillAfterwards,
): BillStanding {
  const { total } = billSums(body.lines, body.isTaxIncluded);
  if (kind !== 'invoice') return { state: kind, total, open: 0, beyond: 0 };
  if (isTakenBack) return { state: 'takenBack', total, open: 0, beyond: 0 };
  const open = total - paid;
  const state = open <= 0 ? 'paid' : paid > 0 ? 'paidInPart' : 'open';
  return { state, total, open: Math.max(0, open), beyond: Math.max(0, -open) };
}

const stateWords: Readonly<Record<BillState, string>> = {
  quote: 'offered',
  open: 'open',
  paidInPart: 'paid in part',
  paid: 'paid',
  takenBack: 'taken back',
  creditNote: 'credit note',
};

/** How a bill stands, in words: "paid", "paid in part, $40.00 open", "paid, $5.00 too much". */
export function standingWords({ state, open, beyond }: BillStanding, currency: string): string {
  if (state === 'paidInPart') return `${stateWords[state]}, ${formatMoney(open, currency)} open`;
  return beyond > 0 ? `${stateWords[state]}, ${formatMoney(beyond, currency)} too much` : stateWords[state];
}

/** What is left to pay of a bill of which something was paid beforehand: "$66.00 of it still to pay". */
export function dueWords(due: number, currency: string): string {
  if (due === 0) return 'all of it paid beforehand';
  return due > 0
    ? `${formatMoney(due, currency)} of it still to pay`
    : `paid beforehand; ${formatMoney(-due, currency)} of that comes back`;
}
