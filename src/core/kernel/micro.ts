/**
 * Amounts and minutes are summed as safe integers in millionths of their unit (mL, cans, sheets, minutes). Integers add
 * exactly in any order, so a total less one part is exactly the rest, however the total came about.
 * The largest sum that stays exact is 9,007,199,254 units: nine million liters, or seventeen thousand years.
 */
export const MICRO = 1_000_000;

/**
 * A quantity in millionths, rounded half away from zero.
 * @throws RangeError when it is not a number, or too large to stay exact
 * @example toMicro(0.25) → 250000
 */
export function toMicro(quantity: number): number {
  const size = Math.round(Math.abs(quantity) * MICRO);
  if (!Number.isSafeInteger(size)) throw new RangeError(`${quantity} is no quantity that can be summed exactly`);
  return quantity < 0 && size !== 0 ? -size : size;
}

/** Back from millionths to the unit. */
export function fromMicro(micro: number): number {
  return micro / MICRO;
}
