import { z } from 'zod';
import { currencyCodes } from '../../kernel/currencies.data';
import { QUANTITY_SCALE } from '../../pricing/bill';
import {
  id,
  line,
  localDate,
  MOST_MONEY,
  minorUnits,
  oneOf,
  paragraph,
  percentThousandths,
  registered,
  wholeNumber,
  yesNo,
} from '../fields';
import { billKinds, billSeries, draftKinds, MOST_LINES } from './billKinds';

const quantity = wholeNumber(-100_000_000, 100_000_000, 'a quantity in thousandths');
const percent = percentThousandths(100_000);

/** A line that comes to more than one amount of money may be cannot be reckoned with. */
const isReckonable = ({ quantityThousandths, unitPrice }: { quantityThousandths: number; unitPrice: number }) =>
  Math.abs((quantityThousandths * unitPrice) / QUANTITY_SCALE) <= MOST_MONEY;

const billLine = z
  .strictObject({
    id,
    what: line(1, 200),
    quantityThousandths: quantity,
    /** What it is counted in: h, pieces; empty where it is one. */
    unit: line(0, 20),
    /** Minor units for one; less than nothing for a discount. */
    unitPrice: wholeNumber(-MOST_MONEY, MOST_MONEY, 'an amount in minor units'),
    taxThousandths: percent,
  })
  .refine(isReckonable, {
    error: `a price at which the line comes to at most ${MOST_MONEY} minor units`,
    path: ['unitPrice'],
  });
export type WrittenLine = z.output<typeof billLine>;

/** Who bills, as it stands at the head of a bill. */
const party = z.strictObject({
  /** Name and address, line by line. */
  from: paragraph(0, 600),
  taxId: line(0, 60),
  /** Where to pay. */
  payTo: paragraph(0, 400),
});

/** What is said on a bill beside its number and day. */
export const billBody = z.strictObject({
  version: z.literal(1),
  currency: registered({ ids: currencyCodes }),
  ...party.shape,
  /** Name and address of whoever pays. */
  to: paragraph(0, 600),
  /** What it is for. */
  about: line(0, 200),
  lines: z.array(billLine).max(MOST_LINES, `at most ${MOST_LINES} lines`),
  isTaxIncluded: yesNo,
  /** What the tax is called where the stylist works; empty where there is none. */
  taxName: line(0, 30),
  payWithinDays: wholeNumber(0, 365, 'days'),
  note: paragraph(0, 1000),
});
export type BillBody = z.output<typeof billBody>;

/** What was paid before a bill was written, as it stands on it. */
export const paidBefore = z.strictObject({ onDate: localDate, amount: minorUnits, what: line(0, 120) });

/** What the stylist's bills have in common, until something else is said on one of them. */
export const billTerms = {
  ...party.shape,
  currency: registered({ ids: currencyCodes }),
  /** Minor units for an hour. */
  hourRate: minorUnits.nullable(),
  /** What is put on what was bought, and whether it stands on a line of its own. */
  markupThousandths: percentThousandths(300_000),
  showsMarkup: yesNo,
  taxName: line(0, 30),
  taxThousandths: percent,
  isTaxIncluded: yesNo,
  payWithinDays: wholeNumber(0, 365, 'days'),
  note: paragraph(0, 1000),
  /** What stands before every number, and the first number of each series, for who comes with bills of old. */
  prefix: line(0, 20),
  firstNumber: wholeNumber(1, 900_000_000, 'a number'),
} as const;

export const kindOfBill = oneOf(billKinds);
export const kindOfDraft = oneOf(draftKinds);
export const seriesOfBill = oneOf(billSeries);
