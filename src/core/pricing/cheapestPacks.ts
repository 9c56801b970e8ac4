import { type Amount, addAmounts, mapAmount, nothing } from '../kernel/amount';

/** A size a supply can be bought in, with its price (tax in it); an unknown price is null. */
export interface PackChoice {
  id: string;
  size: number;
  price: Amount | null;
}

export interface PackPurchase {
  packs: { id: string; count: number; size: number; price: Amount | null }[];
  cash: Amount;
  /** Total amount bought. */
  size: number;
}

/** Amounts closer than this are equal: a measured need never asks for a second can over a rounding error. */
const TINY = 1e-6;

interface Best {
  cost: number;
  count: number;
  surplus: number;
  counts: number[];
}

/**
 * The cheapest whole packs that cover a need, over all mixes of sizes (exact: branch and bound).
 * Ties go to fewer packs, then to the smaller surplus. Packs of unknown price serve only when none is priced;
 * the cash is then "at least". With no packs at all the cash is unknown ("at least" nothing).
 * @param need in the supply's unit (mL, cans, sheets); zero or less buys nothing
 */
export function cheapestPacks(need: number, choices: readonly PackChoice[]): PackPurchase {
  if (need <= TINY) return { packs: [], cash: nothing, size: 0 };
  const priced = choices.filter((choice) => choice.price !== null && choice.size > TINY);
  if (priced.length === 0) {
    const largest = choices
      .filter((choice) => choice.size > TINY)
      .sort((a, b) => b.size - a.size || (a.id < b.id ? -1 : 1));
    const fitting = [...largest].reverse().find((choice) => choice.size >= need - TINY) ?? largest[0];
    if (!fitting) return { packs: [], cash: { ...nothing, atLeast: true }, size: 0 };
    const count = Math.ceil((need - TINY) / fitting.size);
    return {
      packs: [{ id: fitting.id, count, size: fitting.size, price: null }],
      cash: { ...nothing, atLeast: true },
      size: count * fitting.size,
    };
  }
  const rate = (choice: PackChoice) => (choice.price?.likely ?? 0) / choice.size;
  const sorted = [...priced].sort((a, b) => rate(a) - rate(b) || b.size - a.size || (a.id < b.id ? -1 : 1));
  // From the i-th size on nothing is cheaper by the unit than sizes[i], which bounds what the rest must cost.
  let best: Best | null = null;
  const counts = sorted.map(() => 0);
  const better = (cost: number, count: number, surplus: number): boolean =>
    best === null ||
    cost < best.cost ||
    (cost === best.cost && (count < best.count || (count === best.count && surplus < best.surplus - TINY)));
  const visit = (index: number, left: number, cost: number, count: number): void => {
    if (left <= TINY) {
      if (better(cost, count, -left)) best = { cost, count, surplus: -left, counts: [...counts] };
      return;
    }
    const choice = sorted[index];
    if (!choice) return;
    if (best !== null && cost + rate(choice) * left > best.cost + TINY) return;
    const price = choice.price?.likely ?? 0;
    for (let take = Math.ceil((left - TINY) / choice.size); take >= 0; take -= 1) {
      counts[index] = take;
      visit(index + 1, left - take * choice.size, cost + take * price, count + take);
    }
    counts[index] = 0;
  };
  visit(0, need, 0, 0);
  const found = best as Best | null;
  const packs = sorted
    .map((choice, index) => ({
      id: choice.id,
      count: found?.counts[index] ?? 0,
      size: choice.size,
      price: choice.price,
    }))
    .filter((pack) => pack.count > 0);
  return {
    packs,
    cash: packs.reduce(
      (sum, pack) =>
        addAmounts(
          sum,
          mapAmount(pack.price ?? nothing, (minor) => minor * pack.count),
        ),
      nothing,
    ),
    size: packs.reduce((sum, pack) => sum + pack.count * pack.size, 0),
  };
}
