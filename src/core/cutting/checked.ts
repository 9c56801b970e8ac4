import { cutQuickly, cutStock } from './cutStock';
import type { CutLayout } from './layout';
import { partsKey } from './part';
import type { CutQuestion } from './question';
import { validateLayout } from './validateLayout';

/** A layout that failed its check: a bug of the cutter, to be shown as such and never to be cut by. */
export class LayoutFaultError extends Error {}

/**
 * A layout that the independent check has found nothing against. Where the one that was searched fails it, the first
 * one stands in; where that fails too, what was laid by hand is laid anew, so that the page goes on.
 * @throws LayoutFaultError when all fail: nothing unchecked is ever given
 */
function checked(question: CutQuestion, cutters: readonly ((question: CutQuestion) => CutLayout)[]): CutLayout {
  const asked = question.pins.length > 0 ? [question, { ...question, pins: [] }] : [question];
  for (const one of asked)
    for (const cutter of cutters) {
      const made = cutter(one);
      if (validateLayout(one, made).length === 0) return made;
    }
  throw new LayoutFaultError(`no layout of ${partsKey(question.parts).slice(0, 200)} passes its check`);
}

/** The layout of a plan, checked; see {@link cutStock}. */
export const cutChecked = (question: CutQuestion): CutLayout => checked(question, [cutStock, cutQuickly]);

/** The first layout, checked; see {@link cutQuickly}. */
export const cutQuicklyChecked = (question: CutQuestion): CutLayout => checked(question, [cutQuickly, cutStock]);

/**
 * What two questions have in common when their answers are the same: parts, stock, leftovers, what is whole, packs, pins
 * and seed.
 */
export function questionKey({ parts, ...rest }: CutQuestion): string {
  return `${partsKey(parts)} ${JSON.stringify(rest, (_, value) => (value === Number.POSITIVE_INFINITY ? 'endless' : value))}`;
}
