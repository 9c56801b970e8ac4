import { MICRO, toMicro } from '../kernel/micro';
import { purchaseOf, tripsPulled } from '../plan/model/poolCost';
import { type SupplyPool, totalOf } from '../plan/model/pools';

/** What buying comes to for every need above that of the step before, up to `upTo`. */
export interface PurchaseStep {
  /** Total need up to which it serves, in millionths of the supply's unit. */
  upTo: number;
  cash: number;
  /** Trips on which it is fetched. */
  tripIds: readonly string[];
}

/** Needs this close are one: what the cheapest packs call equal. */
const TINY_MICRO = MICRO * 1e-6;

/** More steps than that are not told: so many packs of one supply that a formula does better. */
const MOST_STEPS = 400;

/**
 * The cheapest packs of a supply as a staircase of its need: a purchase that serves a need serves every larger one up to
 * what it holds, and stays the cheapest until then. The first step costs nothing: the stash covers it.
 * @param mostMicro the largest need that is asked for, in millionths of the supply's unit
 * @returns steps with growing `upTo`, the last at or beyond the largest need; null where there would be too many
 */
export function purchaseSteps(pool: SupplyPool, mostMicro: number): PurchaseStep[] | null {
  const steps: PurchaseStep[] = [{ upTo: pool.stashMicro + TINY_MICRO, cash: 0, tripIds: [] }];
  for (let upTo = pool.stashMicro + TINY_MICRO; upTo < mostMicro; ) {
    if (steps.length > MOST_STEPS) return null;
    const need = totalOf(upTo + TINY_MICRO);
    const purchase = purchaseOf(pool, need);
    // Without a pack to buy nothing more can be had, and the cost is not known.
    if (purchase.size <= 0) return steps;
    upTo = Math.max(upTo + 2 * TINY_MICRO, pool.stashMicro + toMicro(purchase.size) + TINY_MICRO);
    steps.push({
      upTo,
      cash: purchase.cash.likely,
      tripIds: tripsPulled(pool, need),
    });
  }
  return steps;
}

/** The step that a need stands on. */
export function stepAt(steps: readonly PurchaseStep[], needMicro: number): PurchaseStep | undefined {
  let [low, high] = [0, steps.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((steps[middle]?.upTo ?? 0) >= needMicro) high = middle;
    else low = middle + 1;
  }
  return steps[low];
}
