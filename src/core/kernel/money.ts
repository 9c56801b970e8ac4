/**
 * Money is a safe integer in minor units of the project's currency (cents, or yen).
 * Percentages are integers in thousandths of a percent (8.25 % = 8250); unit prices are in millionths of a minor unit.
 */
export const PERCENT_SCALE = 100_000;
export const UNIT_PRICE_SCALE = 1_000_000;

/**
 * a × b ÷ d rounded half away from zero, exact for safe integers (a refund mirrors its purchase).
 * @throws RangeError when an input is not a safe integer or d is not positive
 */
export function multiplyDivideRound(a: number, b: number, d: number): number {
  if (!Number.isSafeInteger(a) || !Number.isSafeInteger(b) || !Number.isSafeInteger(d) || d <= 0) {
    throw new RangeError(`multiplyDivideRound needs safe integers and a positive divisor, got ${a}, ${b}, ${d}`);
  }
  const product = a * b;
  if (Number.isSafeInteger(product)) {
    const sign = product < 0 ? -1 : 1;
    const size = Math.abs(product);
    const whole = Math.floor(size / d);
    const rest = size - whole * d;
    const rounded = rest * 2 >= d ? whole + 1 : whole;
    return rounded === 0 ? 0 : sign * rounded;
  }
  const exact = BigInt(a) * BigInt(b);
  const divisor = BigInt(d);
  const size = exact < 0n ? -exact : exact;
  const whole = size / divisor;
  const rounded = (size - whole * divisor) * 2n >= divisor ? whole + 1n : whole;
  return Number(exact < 0n ? -rounded : rounded);
}

/**
 * A percentage (in thousandths of a percent) of an amount, in minor units, rounded half away from zero.
 * @param amount minor units, may be negative
 * @param percentThousandths 8.25 % is 8250
 * @example 8.25 % of 12.00 → 0.99
 */
export function percentOf(amount: number, percentThousandths: number): number {
  return multiplyDivideRound(amount, percentThousandths, PERCENT_SCALE);
}

/** Whole shares of a size by exact division, with what is left over of each, comparable among themselves. */
function exactShares(size: number, weights: readonly number[], sum: number) {
  const [total, all] = [BigInt(size), BigInt(sum)];
  return weights.map((weight, index) => {
    const product = total * BigInt(weight);
    return { index, part: Number(product / all), remainder: Number(product % all) / sum };
  });
}

/** The same with weights that are no whole numbers. */
function nearShares(size: number, weights: readonly number[], sum: number) {
  return weights.map((weight, index) => {
    const share = (size * weight) / sum;
    const part = Math.floor(share + 1e-9);
    return { index, part, remainder: share - part };
  });
}

/**
 * Splits a total over weights so that the parts add up to the total exactly (largest remainder, earlier wins a tie).
 * With all weights zero the split is even.
 * @param total minor units, may be negative
 * @param weights non-negative numbers, at least one; whole numbers are reckoned with exactly
 */
export function splitAmount(total: number, weights: readonly number[]): number[] {
  if (weights.length === 0) throw new RangeError('splitAmount needs at least one weight');
  const given = weights.reduce((a, b) => a + b, 0);
  const used = given > 0 ? weights : weights.map(() => 1);
  const sum = given > 0 ? given : weights.length;
  const size = Math.abs(total);
  const isWhole = Number.isSafeInteger(sum) && used.every((weight) => Number.isSafeInteger(weight));
  const shares = isWhole ? exactShares(size, used, sum) : nearShares(size, used, sum);
  const parts = shares.map(({ part }) => part);
  let rest = size - parts.reduce((a, b) => a + b, 0);
  for (const { index } of shares.sort((a, b) => b.remainder - a.remainder || a.index - b.index)) {
    if (rest <= 0) break;
    parts[index] = (parts[index] ?? 0) + 1;
    rest -= 1;
  }
  return parts.map((part) => (total < 0 && part !== 0 ? -part : part));
}
