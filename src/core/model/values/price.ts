import { z } from 'zod';
import type { Price } from '../../kernel/price';
import type { ForeignMoney } from '../../pricing/foreignMoney';
import type { PriceStory, Rounding, Tax } from '../../pricing/priceStory';
import { line, localDate, minorUnits, oneOf, percentThousandths, wholeNumber, yesNo } from '../fields';
import { anyCurrency } from './currency';

const inOrder = (range: { low: number; likely?: number; high: number }) =>
  range.low <= (range.likely ?? range.low) && (range.likely ?? range.low) <= range.high;

/** A price: stated, estimated, free or unknown. A range runs from its low end to its high end. */
export const priceSchema = z
  .discriminatedUnion(
    'state',
    [
      z.strictObject({ state: z.literal('stated'), low: minorUnits, high: minorUnits }),
      z.strictObject({ state: z.literal('estimated'), low: minorUnits, likely: minorUnits, high: minorUnits }),
      z.strictObject({ state: z.literal('over'), low: minorUnits }),
      z.strictObject({ state: z.literal('free') }),
      z.strictObject({ state: z.literal('unknown') }),
    ],
    { error: 'a price that is stated, estimated, over so much, free or unknown' },
  )
  .refine((price) => !('high' in price) || inOrder(price), {
    error: 'a range from its lowest to its highest price',
    path: ['low'],
  }) satisfies z.ZodType<Price>;

export const taxSchema = z.strictObject({
  percentThousandths: percentThousandths(50_000),
  included: yesNo,
}) satisfies z.ZodType<Tax>;

/** Where a till rounds. */
export const roundings = ['piece', 'line', 'receipt'] as const satisfies readonly Rounding[];

/** Money of another currency, with its rate and its day. */
export const foreignMoney = z.strictObject({
  currency: anyCurrency,
  amount: minorUnits,
  rateMillionths: wholeNumber(1, 1_000_000_000_000, 'a rate'),
  day: localDate,
}) satisfies z.ZodType<ForeignMoney>;

const priceLine = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('markdown'), percentThousandths: percentThousandths(100_000) }),
  z.strictObject({
    kind: z.literal('couponMoney'),
    amount: minorUnits,
    by: oneOf(['store', 'maker']),
    leastSpend: minorUnits.optional(),
  }),
  z.strictObject({
    kind: z.literal('couponPercent'),
    percentThousandths: percentThousandths(100_000),
    leastSpend: minorUnits.optional(),
  }),
  z.strictObject({ kind: z.literal('couponUnknown'), value: wholeNumber(0, 100_000, 'a number in thousandths') }),
  z.strictObject({ kind: z.literal('fee'), amount: minorUnits.nullable(), taxed: yesNo }),
  z.strictObject({ kind: z.literal('delivery'), amount: minorUnits.nullable(), taxed: yesNo }),
  z.strictObject({
    kind: z.literal('buyGet'),
    buy: wholeNumber(1, 100, 'pieces to buy'),
    free: wholeNumber(1, 100, 'free pieces'),
  }),
  z.strictObject({ kind: z.literal('secondLess'), percentThousandths: percentThousandths(100_000) }),
]);

/** Sorts of pieces with their counts. */
const sorts = z
  .array(z.strictObject({ what: line(1, 60), count: wholeNumber(1, 1000, 'a count') }))
  .max(30, 'at most 30 sorts');

/** The price story of a find, in order. */
export const priceStorySchema = z.strictObject({
  version: z.literal(2, { error: '2' }),
  tag: priceSchema,
  quantity: wholeNumber(1, 1000),
  lines: z.array(priceLine).max(20, 'at most 20 price lines'),
  tax: taxSchema.nullable(),
  rounding: oneOf(roundings),
  pieces: wholeNumber(1, 1000, 'pieces in a pack'),
  mix: z.strictObject({ contents: sorts, needs: sorts }).optional(),
}) satisfies z.ZodType<PriceStory>;
