import { subtractAmounts } from '../kernel/amount';
import type { FindRow } from '../model/rows';
import type { Tax } from '../pricing/priceStory';
import { largestTagFor } from '../pricing/receipt';
import type { RestOfPlan } from './added';
import { type SideOfComparison, worthUpTo } from './makeOrBuy';
import { drawOf, isDrawn, totalDrawn } from './model/pools';
import type { OptionFigures } from './optionFigures';

/** What a find's price may be at most, at the till and on its tag; null when the price does not decide (paid or shared). */
export type WorthUpTo =
  | { kind: 'upTo'; till: number; readonly tag: number | null }
  | { kind: 'notEvenFree' }
  | { kind: 'noPrice' };

/** The price that still pays: only for an option on exactly one find that is not paid yet and serves no other slot. */
export function worthOfOption(
  option: OptionFigures,
  yardstick: SideOfComparison | null,
  isYardstick: boolean,
  of: { rest: RestOfPlan; hourValue: number; currency: string },
): WorthUpTo {
  const [find, ...more] = option.model.finds;
  if (!yardstick || isYardstick || yardstick.atLeast || !find || more.length > 0) return { kind: 'noPrice' };
  const draw = drawOf('find', find.id, 1);
  const pool = of.rest.poolOf(draw);
  if (pool?.kind !== 'find' || pool.isSettled || isDrawn(totalDrawn(of.rest.drawnFrom(draw))))
    return { kind: 'noPrice' };
  // The find's own price may be unknown: what it is worth does not depend on it, only on what comes on top.
  const others = subtractAmounts(option.cashAdded, pool.till);
  if (option.cashAdded.atLeast && !pool.till.atLeast) return { kind: 'noPrice' };
  const side = {
    cost: others.likely + option.stashUsed,
    minutes: option.hoursAdded,
    atLeast: option.cashAdded.atLeast,
  };
  const worth = worthUpTo(side, 0, yardstick, of.hourValue);
  return worth < 0 ? { kind: 'notEvenFree' } : upTo(worth, find, of.currency, pool.tax);
}

/** The tag takes a search through the price story: it is worked back once somebody asks for it. */
function upTo(till: number, find: FindRow, currency: string, tax: Tax): WorthUpTo {
  let known: { tag: number | null } | null = null;
  return {
    kind: 'upTo',
    till,
    get tag() {
      known ??= { tag: largestTagFor(find.story, currency, tax, till) };
      return known.tag;
    },
  };
}
