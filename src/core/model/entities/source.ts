import { z } from 'zod';
import type { OpenStretch } from '../../calendar/openingHours';
import { isRecurrenceRule } from '../../calendar/recurrence';
import { isTimeZone } from '../../calendar/zonedTime';
import { sourceKinds } from '../../catalog/sourceKinds';
import type { DiscountPattern, DiscountTerms, HoldsFor } from '../../pricing/discountPattern';
import type { ReturnRule } from '../../pricing/returns';
import { defineEntity } from '../entity';
import {
  id,
  line,
  localDate,
  minorUnits,
  number,
  oneOf,
  paragraph,
  percentThousandths,
  registered,
  wholeNumber,
  yesNo,
} from '../fields';
import { taxSchema } from '../values/price';

const percent = percentThousandths(100_000);

const holdsFor = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('everything') }),
  z.strictObject({ kind: z.literal('word'), word: line(1, 60) }),
  z.strictObject({ kind: z.literal('color'), color: line(1, 40) }),
  z.strictObject({
    kind: z.literal('rotation'),
    colors: z.array(line(1, 40)).min(1, 'at least one color').max(12, 'at most 12 colors'),
    from: localDate,
    periodDays: wholeNumber(1, 366, 'days'),
  }),
]) satisfies z.ZodType<HoldsFor>;

const rule = z
  .string({ error: 'a rule of days, weeks or months' })
  .refine(isRecurrenceRule, { error: 'a rule of days, weeks or months' });

const terms = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('rule'),
    from: localDate,
    rule,
    days: wholeNumber(1, 366, 'days'),
    until: localDate.nullable(),
    percentThousandths: percent,
  }),
  z.strictObject({
    kind: z.literal('dates'),
    dates: z.array(localDate).min(1, 'at least one day').max(366, 'at most 366 days'),
    percentThousandths: percent,
  }),
  z.strictObject({
    kind: z.literal('ladder'),
    why: oneOf(['season', 'closing']),
    rungs: z
      .array(z.strictObject({ from: localDate, percentThousandths: percent }))
      .min(1, 'at least one step')
      .max(12, 'at most 12 steps'),
    until: localDate.nullable(),
  }),
]) satisfies z.ZodType<DiscountTerms>;

const pattern = z.strictObject({ id, holdsFor, terms, stacks: yesNo }) satisfies z.ZodType<DiscountPattern>;

const minuteOfDay = wholeNumber(0, 1440, 'a time of day');
const openStretch = z
  .strictObject({
    days: z
      .array(wholeNumber(1, 7, 'a weekday'))
      .min(1, 'at least one weekday')
      .max(7, 'at most seven weekdays'),
    fromMinute: minuteOfDay,
    toMinute: minuteOfDay,
  })
  .refine(({ fromMinute, toMinute }) => fromMinute < toMinute, {
    error: 'a time from earlier to later on one day',
    path: ['toMinute'],
  }) satisfies z.ZodType<OpenStretch>;

const returns = z.discriminatedUnion('state', [
  z.strictObject({ state: z.literal('unknown') }),
  z.strictObject({ state: z.literal('final') }),
  z.strictObject({
    state: z.literal('within'),
    days: wholeNumber(0, 3650, 'days'),
    restockingThousandths: percent,
  }),
]) satisfies z.ZodType<ReturnRule>;

/** A place that things come from: a shop, a sale, an ad, the garden, a neighbor. */
export const source = defineEntity({
  table: 'sources',
  name: 'source',
  noun: 'place',
  owner: 'studio',
  travels: 'referred',
  most: { count: 500, per: 'studio' },
  unique: [['name']],
  keptWhile: 'a place that no find, offer or payment names',
  fields: {
    name: line(1, 120),
    kind: registered(sourceKinds),
    /** Its own tax, or null for the project's. */
    tax: taxSchema.nullable(),
    returns,
    /** The way there, one way. */
    minutesOneWay: wholeNumber(0, 1440, 'minutes').nullable(),
    distanceM: number(0, 2_000_000, 'a distance in m').nullable(),
    /** What it sends an order for: once an order, nothing from a sum of goods on; null where it sends nothing, or nobody asked. */
    delivers: z
      .strictObject({
        amount: minorUnits,
        taxed: yesNo,
        /** Goods from which on it sends for nothing, minor units; null where it never does. */
        freeFrom: minorUnits.nullable(),
      })
      .nullable(),
    hours: z.array(openStretch).max(30, 'at most 30 stretches'),
    /** Where its days are counted, or null for the project's time zone. */
    timeZone: z.string().refine(isTimeZone, { error: 'a time zone name like America/New_York' }).nullable(),
    patterns: z.array(pattern).max(30, 'at most 30 discounts'),
    note: paragraph(0, 1000),
  },
});
