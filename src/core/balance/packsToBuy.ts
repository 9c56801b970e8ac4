import type { SupplyPack } from '../plan/model/pools';

/**
 * The packs that a cheapest purchase can hold, each at most so often: so many small ones that cost at least a larger one
 * and hold no more are never bought.
 * @param most the largest need beyond the stash, in the supply's unit
 */
export function packsToBuy(
  packs: readonly Pick<SupplyPack, 'size' | 'till'>[],
  most: number,
): { size: number; price: number; upper: number }[] {
  const priced = packs.flatMap(({ size, till }) => (till && size > 1e-6 ? [{ size, price: till.likely }] : []));
  return priced.flatMap((pack, n) => {
    let upper = Math.ceil((most - 1e-6) / pack.size);
    priced.forEach((other, m) => {
      if (n === m) return;
      const times =
        pack.price > 0 ? Math.max(1, Math.ceil(other.price / pack.price)) : other.price === 0 ? 1 : Infinity;
      const isSame = times === 1 && other.size === pack.size && other.price === pack.price;
      // Of two alike the first stays.
      if (isSame ? m < n : times * pack.size <= other.size) upper = Math.min(upper, times - 1);
    });
    return upper > 0 ? [{ ...pack, upper }] : [];
  });
}
