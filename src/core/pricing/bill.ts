import { multiplyDivideRound, PERCENT_SCALE, percentOf } from '../kernel/money';

/** Quantities on a bill are whole thousandths: 2.5 hours are 2500. */
export const QUANTITY_SCALE = 1000;

/** A line of a bill, as far as it is reckoned with. Minor units; a discount is a line with a price below nothing. */
export interface BillLine {
  quantityThousandths: number;
  unitPrice: number;
  /** Its tax in thousandths of a percent. */
  taxThousandths: number;
}

/** What the lines of one rate come to. */
export interface TaxOfRate {
  taxThousandths: number;
  /** What is taxed: without the tax where it is added, with it where it is included. */
  base: number;
  tax: number;
}

/** What a bill comes to, minor units. */
export interface BillSums {
  lines: readonly number[];
  byRate: readonly TaxOfRate[];
  net: number;
  tax: number;
  total: number;
  /** What was paid before. */
  deposits: number;
  /** What is still to be paid; less than nothing where more was paid before. */
  due: number;
}

/** What a line comes to: quantity × price, rounded half away from zero. */
export const lineAmount = ({ quantityThousandths, unitPrice }: Pick<BillLine, 'quantityThousandths' | 'unitPrice'>) =>
  multiplyDivideRound(quantityThousandths, unitPrice, QUANTITY_SCALE);

/**
 * What a bill comes to. Every line is rounded by itself; the lines of one rate are added up and taxed together, so that
 * the tax is rounded once for each rate (EN 16931-1:2017, BR-CO-10 to BR-CO-17; from memory). Where prices include the
 * tax, it is taken out of what the lines come to, and the total is their sum.
 * @throws RangeError beyond safe integers
 */
export function billSums(
  lines: readonly BillLine[],
  isTaxIncluded: boolean,
  deposits: readonly { amount: number }[] = [],
): BillSums {
  const amounts = lines.map(lineAmount);
  const bases = new Map<number, number>();
  for (const [n, { taxThousandths }] of lines.entries())
    bases.set(taxThousandths, (bases.get(taxThousandths) ?? 0) + (amounts[n] ?? 0));
  const byRate = [...bases]
    .map(([taxThousandths, base]) => ({
      taxThousandths,
      base,
      tax: isTaxIncluded
        ? multiplyDivideRound(base, taxThousandths, PERCENT_SCALE + taxThousandths)
        : percentOf(base, taxThousandths),
    }))
    .sort((a, b) => b.taxThousandths - a.taxThousandths);
  const sum = amounts.reduce((all, amount) => all + amount, 0);
  const tax = byRate.reduce((all, rate) => all + rate.tax, 0);
  const total = isTaxIncluded ? sum : sum + tax;
  const paid = deposits.reduce((all, { amount }) => all + amount, 0);
  return {
    lines: amounts,
    byRate,
    net: total - tax,
    tax,
    total,
    deposits: paid,
    due: total - paid,
  };
}
