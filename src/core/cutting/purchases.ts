import { addAmounts, mapAmount, nothing } from '../kernel/amount';
import type { PackChoice, PackPurchase } from '../pricing/cheapestPacks';

/** So many of each pack, as a purchase. */
export function purchaseOfPacks(packs: readonly PackChoice[], counts: readonly number[]): PackPurchase {
  const taken = packs.flatMap(({ id, size, price }, n) => {
    const count = counts[n] ?? 0;
    return count > 0 ? [{ id, count, size, price }] : [];
  });
  return {
    packs: taken,
    cash: taken.reduce(
      (sum, { price, count }) =>
        addAmounts(sum, price ? mapAmount(price, (minor) => minor * count) : { ...nothing, atLeast: true }),
      nothing,
    ),
    size: taken.reduce((sum, { count, size }) => sum + count * size, 0),
  };
}

/** Packs that may be bought: those with a price, or all of them where none has one. */
export function soldPacks(packs: readonly PackChoice[]): PackChoice[] {
  const priced = packs.filter(({ price, size }) => price !== null && size > 0);
  return priced.length > 0 ? priced : packs.filter(({ size }) => size > 0);
}

/** More packs together than any roll of a plan is bought in. */
const MOST_TRIED = 400;

/**
 * Every purchase that holds at least so much, the cheapest first; of equal cost the one with fewer packs, then the
 * larger. Without a price, the shorter ones first.
 * @param least in the packs' unit
 */
export function* purchasesByCost(packs: readonly PackChoice[], least: number): Generator<PackPurchase> {
  const sold = soldPacks(packs);
  if (sold.length === 0) return;
  const costOf = ({ price, size }: PackChoice) => price?.likely ?? size * 1000;
  interface State {
    counts: number[];
    cost: number;
    packs: number;
    size: number;
  }
  const waiting: State[] = [{ counts: sold.map(() => 0), cost: 0, packs: 0, size: 0 }];
  const seen = new Set<string>();
  for (let tried = 0; tried < MOST_TRIED && waiting.length > 0; ) {
    waiting.sort((a, b) => b.cost - a.cost || b.packs - a.packs || a.size - b.size);
    const state = waiting.pop();
    if (!state) return;
    if (state.packs > 0 && state.size >= least - 1e-9) {
      tried += 1;
      yield purchaseOfPacks(sold, state.counts);
    }
    sold.forEach((pack, n) => {
      const counts = state.counts.map((count, m) => (m === n ? count + 1 : count));
      const key = counts.join();
      if (seen.has(key)) return;
      seen.add(key);
      waiting.push({ counts, cost: state.cost + costOf(pack), packs: state.packs + 1, size: state.size + pack.size });
    });
  }
}
