import type { FindingOf, Sentences } from '../kernel/finding';

/** What is said of a price story. */
export const priceSentences = {
  'price.unknown': (f: { piece?: string }) => `${f.piece ?? 'It'} has no price yet: totals read “at least”.`,
  'coupon.readBothWays': () => 'The coupon may be money or percent: both are counted, the dearer one is planned with.',
} satisfies Sentences;

/** Something about a price that somebody should know. */
export type PriceFinding = FindingOf<typeof priceSentences>;
