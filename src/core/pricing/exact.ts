import { PERCENT_SCALE } from '../kernel/money';

/** An exact fraction of minor units, so that half cents are decided once, at the place that rounds. */
export interface Exact {
  n: bigint;
  d: bigint;
}
export const scale = BigInt(PERCENT_SCALE);
export const whole = (minor: number): Exact => ({ n: BigInt(minor), d: 1n });
/** A percentage of an exact amount, in thousandths of a percent. */
export const times = (value: Exact, percentThousandths: number): Exact => ({
  n: value.n * BigInt(percentThousandths),
  d: value.d * scale,
});
export const add = (a: Exact, b: Exact): Exact =>
  a.d === b.d ? { n: a.n + b.n, d: a.d } : { n: a.n * b.d + b.n * a.d, d: a.d * b.d };
export const minus = (a: Exact, b: Exact): Exact => add(a, { n: -b.n, d: b.d });
export const positive = (a: Exact): Exact => (a.n < 0n ? whole(0) : a);
/** Whole minor units, half away from zero. */
export const round = (a: Exact): number => {
  const negative = a.n < 0n;
  const size = negative ? -a.n : a.n;
  const down = size / a.d;
  const up = (size - down * a.d) * 2n >= a.d ? down + 1n : down;
  return up === 0n ? 0 : Number(negative ? -up : up);
};

/** The tax due on a taxable amount, or the tax that is in it where prices include it; rounded once. */
export function taxOn(taxable: number, tax: { percentThousandths: number; included: boolean }): number {
  const rate = BigInt(tax.percentThousandths);
  return round(
    tax.included ? { n: BigInt(taxable) * rate, d: scale + rate } : times(whole(taxable), tax.percentThousandths),
  );
}
