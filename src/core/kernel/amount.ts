/**
 * A sum of money as a range in minor units. `low`, `likely` and `high` are the same sum with every price at its
 * low, likely or high end, so differences stay honest: what two plans share cancels. `atLeast` is true when a
 * price in it is unknown: unknown is never zero, the total then reads "at least".
 */
export interface Amount {
  low: number;
  likely: number;
  high: number;
  atLeast: boolean;
}

export const nothing: Amount = Object.freeze({ low: 0, likely: 0, high: 0, atLeast: false });

/** An amount known to the cent. */
export function exactly(minorUnits: number): Amount {
  return { low: minorUnits, likely: minorUnits, high: minorUnits, atLeast: false };
}

/**
 * a + b, end by end.
 * @returns "at least" when either is
 */
export function addAmounts(a: Amount, b: Amount): Amount {
  return { low: a.low + b.low, likely: a.likely + b.likely, high: a.high + b.high, atLeast: a.atLeast || b.atLeast };
}

/**
 * a − b with both at the same end of their prices. Where b grows more than a towards its high end, `low` is the larger:
 * such differences can still be summed; {@link inOrder} is for showing them.
 */
export function differenceByEnds(a: Amount, b: Amount): Amount {
  return { low: a.low - b.low, likely: a.likely - b.likely, high: a.high - b.high, atLeast: a.atLeast || b.atLeast };
}

/** The ends of a difference in order: the least of them low, the largest high. */
export function inOrder(amount: Amount): Amount {
  const { low, likely, high } = amount;
  if (low <= likely && likely <= high) return amount;
  return { ...amount, low: Math.min(low, likely, high), high: Math.max(low, likely, high) };
}

/**
 * a − b with both at the same end of their prices; the ends are put in order afterwards.
 * @returns "at least" when either is
 */
export function subtractAmounts(a: Amount, b: Amount): Amount {
  return inOrder(differenceByEnds(a, b));
}

/**
 * Every end passed through the same function of minor units (a tax, a factor with rounding).
 * @param change must not put a high end below a low one
 */
export function mapAmount(amount: Amount, change: (minorUnits: number) => number): Amount {
  return { ...amount, low: change(amount.low), likely: change(amount.likely), high: change(amount.high) };
}
