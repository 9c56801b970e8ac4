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

/**
 * Splits a total over weights so that the parts add up to the total exactly (largest remainder, earlier wins a tie).
 * With all weights zero the split is even.
 * @param total minor units, may be negative
 * @param weights non-negative numbers, at least one
 */
export function splitAmount(total: number, weights: readonly number[]): number[] {
  if (weights.length === 0) throw new RangeError('splitAmount needs at least one weight');
  const sum = weights.reduce((a, b) => a + b, 0);
  const shares = weights.map((weight) => (sum > 0 ? weight / sum : 1 / weights.length));
  const size = Math.abs(total);
  const floors = shares.map((share) => Math.floor(size * share + 1e-9));
  let rest = size - floors.reduce((a, b) => a + b, 0);
  const order = shares
    .map((share, index) => ({ index, remainder: size * share - (floors[index] ?? 0) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  for (const { index } of order) {
    if (rest <= 0) break;
    floors[index] = (floors[index] ?? 0) + 1;
    rest -= 1;
  }
  return floors.map((part) => (total < 0 && part !== 0 ? -part : part));
}
