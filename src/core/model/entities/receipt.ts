import { z } from 'zod';
import type { SlipDiscount, SlipLine, SlipOffer } from '../../pricing/slip';
import { defineEntity } from '../entity';
import {
  id,
  line,
  localDate,
  minorUnits,
  oneOf,
  paragraph,
  percentThousandths,
  refersTo,
  wholeNumber,
  yesNo,
} from '../fields';
import { foreignMoney, roundings, taxSchema } from '../values/price';
import { subjectSchema } from '../values/subject';
import { supplyAmount } from './supply';

const percent = percentThousandths(100_000);

/** One printed line, with what it was for. */
export const receiptLineSchema = z.strictObject({
  id,
  /** What the line says. */
  what: line(1, 120),
  price: minorUnits,
  quantity: wholeNumber(1, 1000, 'a quantity'),
  markdowns: z.array(percent).max(5, 'at most 5 markdowns'),
  tax: taxSchema.nullable(),
  isFee: yesNo,
  /** What the money moved for; a lot names several things, which share the line. */
  subjects: z
    .array(
      z.strictObject({
        subject: subjectSchema,
        /** Its own price in a lot, or null where it shares what is left. */
        own: minorUnits.nullable(),
        pieces: wholeNumber(1, 1000, 'pieces'),
        /** What it counts for beside the others that share; its pieces where nobody said. */
        weight: wholeNumber(1, 1000, 'a weight').optional(),
        /** How much of a supply, in its own unit; 0 where it is none. */
        amount: supplyAmount(0),
      }),
    )
    .min(1, 'at least one thing')
    .max(100, 'at most 100 things'),
}) satisfies z.ZodType<SlipLine>;

const offer = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('money'), amount: minorUnits, by: oneOf(['store', 'maker']) }),
  z.strictObject({ kind: z.literal('percent'), percentThousandths: percent }),
  z.strictObject({
    kind: z.literal('buyGet'),
    buy: wholeNumber(1, 100, 'pieces to buy'),
    free: wholeNumber(1, 100, 'free pieces'),
  }),
  z.strictObject({ kind: z.literal('secondLess'), percentThousandths: percent }),
]) satisfies z.ZodType<SlipOffer>;

const discount = z.strictObject({
  id,
  offer,
  lineIds: z.array(id).max(100, 'at most 100 lines').nullable(),
  leastSpend: minorUnits.nullable(),
}) satisfies z.ZodType<SlipDiscount>;

/** A receipt as it was typed off. What was paid for each thing on it stands in the ledger, whose lines name it. */
export const receipt = defineEntity({
  table: 'receipts',
  name: 'receipt',
  noun: 'receipt',
  owner: 'project',
  travels: 'always',
  most: { count: 2000, per: 'project' },
  keptWhile: 'a receipt that no payment names',
  fields: {
    sourceId: refersTo('sources').nullable(),
    /** The shop's local date on it. */
    onDate: localDate,
    lines: z.array(receiptLineSchema).min(1, 'at least one line').max(100, 'at most 100 lines'),
    discounts: z.array(discount).max(20, 'at most 20 discounts'),
    tax: taxSchema,
    rounding: oneOf(roundings),
    /** What it says was paid, or null where only its lines are known. */
    paid: minorUnits.nullable(),
    /** What was paid in other money; the amounts above are in the project's. */
    foreign: foreignMoney.nullable(),
    photoId: refersTo('photos').nullable(),
    note: paragraph(0, 1000),
  },
});
