import { dateAfter } from '../calendar/localDates';
import type { Amount } from '../kernel/amount';
import type { FindRow, SourceRow } from '../model/rows';
import { betterDays, type DiscountInForce, discountsFor, type TaggedThing } from '../pricing/discountPattern';
import type { PriceStory, Tax } from '../pricing/priceStory';
import { receiptOf } from '../pricing/receipt';
import type { CheaperDay } from './waitOrBuy';

/** How far ahead sales are looked for where no reveal presses. */
const LOOK_AHEAD_DAYS = 90;

/** What discounts are asked about: what the find is called, and the color of its tag. */
export const taggedThing = (find: Pick<FindRow, 'name' | 'tagColor'>): TaggedThing => ({
  words: find.name,
  tagColor: find.tagColor === '' ? null : find.tagColor,
});

/** Discounts as they stand in a price's story. */
const markdowns = (discounts: readonly DiscountInForce[]) =>
  discounts.map(({ percentThousandths }) => ({ kind: 'markdown' as const, percentThousandths }));

/** A story with the shop's discounts of a day in the place of those it had: coupons and fees stay. */
export function withDiscounts(story: PriceStory, discounts: readonly DiscountInForce[]): PriceStory {
  const lines = story.lines.filter(({ kind }) => kind !== 'markdown');
  return { ...story, lines: [...markdowns(discounts), ...lines] };
}

/** What a shop takes off a find on a day. */
export const discountsOf = (source: Pick<SourceRow, 'patterns'>, find: FindRow, day: string): DiscountInForce[] =>
  discountsFor(source.patterns, taggedThing(find), day);

/**
 * A find's price without what its shop took off on the day it was seen, to be priced anew on another day. A markdown that
 * no pattern of the shop explains, such as a hand-written sticker, is the find's own and stays.
 */
export function withoutShopDiscounts(source: Pick<SourceRow, 'patterns'>, find: FindRow): PriceStory {
  const taken = find.seenOn === null ? [] : discountsOf(source, find, find.seenOn);
  const open = taken.map(({ percentThousandths }) => percentThousandths);
  const lines = find.story.lines.filter((line) => {
    const at = line.kind === 'markdown' ? open.indexOf(line.percentThousandths) : -1;
    if (at >= 0) open.splice(at, 1);
    return at < 0;
  });
  return { ...find.story, lines };
}

/**
 * What a find comes to at its shop's till on a day, by what the shop takes off then; what it took off on the day the find
 * was seen is not taken off again.
 */
export function tillOnDay(
  source: Pick<SourceRow, 'patterns'>,
  find: FindRow,
  day: string,
  money: { currency: string; tax: Tax },
): Amount {
  const { lines, ...story } = withoutShopDiscounts(source, find);
  const thatDay = { ...story, lines: [...markdowns(discountsOf(source, find, day)), ...lines] };
  return receiptOf(thatDay, money.currency, money.tax).total;
}

/**
 * The coming days on which a find becomes cheaper at its shop, with what it would cost at the till then, minor units.
 * @param until the last local date that matters; null for what lies within three months
 */
export function cheaperDays(
  source: Pick<SourceRow, 'patterns'>,
  find: FindRow,
  today: string,
  until: string | null,
  money: { currency: string; tax: Tax },
): CheaperDay[] {
  const last = until ?? dateAfter(today, LOOK_AHEAD_DAYS);
  return betterDays(source.patterns, taggedThing(find), dateAfter(today, 1), last).map(({ day, discounts }) => ({
    day,
    discounts,
    till: receiptOf(withDiscounts(find.story, discounts), money.currency, money.tax).total.likely,
  }));
}
