import { dateAfter } from '../calendar/localDates';
import { PERCENT_SCALE, percentOf, splitAmount } from '../kernel/money';

/** Whether a place takes things back: nobody asked yet, never, or within some days, keeping a share. */
export type ReturnRule =
  | { state: 'unknown' }
  | { state: 'final' }
  | { state: 'within'; days: number; restockingThousandths: number };

/**
 * The last day on which something can be taken back, in the shop's days: the day it was bought and so many more, that day
 * included; null where it cannot be, or nobody knows.
 * @param boughtOn the shop's local date
 * @example bought on June 1 with 30 days → July 1
 */
export function lastReturnDay(rule: ReturnRule, boughtOn: string): string | null {
  return rule.state === 'within' ? dateAfter(boughtOn, rule.days) : null;
}

/**
 * What was paid for some of the pieces of one payment: its share by largest remainder, after those that went back before.
 * @param already pieces that were taken back before
 * @example of three for 3.50, one by one → 1.17, 1.17, 1.16
 */
export function paidFor(paid: number, allPieces: number, pieces: number, already = 0): number {
  return splitAmount(
    paid,
    Array.from({ length: Math.max(1, allPieces) }, () => 1),
  )
    .slice(already, already + pieces)
    .reduce((sum, share) => sum + share, 0);
}

/** What comes back of what was paid, less the restocking percent; rounded half away from zero. */
export function refundOf(paid: number, restockingThousandths: number): number {
  return percentOf(paid, PERCENT_SCALE - restockingThousandths);
}
