import type { FindingOf, SentenceLocale, Sentences } from '../kernel/finding';
import { formatMoney } from '../kernel/formatMoney';

/** What is said of a price story. */
export const priceSentences = {
  'price.unknown': (f: { piece?: string }) => `${f.piece ?? 'It'} has no price yet: totals read “at least”.`,
  'coupon.readBothWays': () => 'The coupon may be money or percent: both are counted, the dearer one is planned with.',
  'coupon.leastSpend': (f: { leastMinor: number }, locale: SentenceLocale) =>
    `The coupon counts from ${formatMoney(f.leastMinor, locale.currency)} on: nothing is taken off here.`,
} satisfies Sentences;

/** Something about a price that somebody should know. */
export type PriceFinding = FindingOf<typeof priceSentences>;
