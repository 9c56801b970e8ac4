import { UNIT_PRICE_SCALE } from '../kernel/money';
import type { RowOf, SupplyRow } from '../model/rows';

/** What one job has of the cost of a can. */
export interface CanShare {
  what: string;
  /** In the supply's unit, all its uses together. */
  amount: number;
  /** Minor units; null where nobody knows what the can cost. */
  cost: number | null;
  /** The last day on which it was used for that. */
  lastOn: string;
}

/** A can's cost over what it served, the latest first, and what is still in it. */
export interface CanShares {
  served: CanShare[];
  left: { amount: number; cost: number | null };
}

/**
 * Shares what a can cost over the jobs that it served and what is left of it, by amount: a unit costs what was paid for
 * it on average. So a makeover that was nearly free, since the can was there, still shows what it really took.
 * @param uses of any supplies; others are left out
 */
export function canShares(supply: SupplyRow, uses: readonly RowOf<'supplyUses'>[]): CanShares {
  const costOf = (amount: number) =>
    supply.unitCostMillionths === null ? null : Math.round((amount * supply.unitCostMillionths) / UNIT_PRICE_SCALE);
  const byJob = new Map<string, { amount: number; lastOn: string }>();
  for (const use of uses) {
    if (use.supplyId !== supply.id) continue;
    const known = byJob.get(use.what);
    byJob.set(use.what, {
      amount: (known?.amount ?? 0) + use.amount,
      lastOn: known && known.lastOn > use.onDate ? known.lastOn : use.onDate,
    });
  }
  const left = supply.stash.state === 'none' ? 0 : supply.stash.amount;
  return {
    served: [...byJob]
      .map(([what, { amount, lastOn }]) => ({ what, amount, cost: costOf(amount), lastOn }))
      .sort((a, b) => b.lastOn.localeCompare(a.lastOn) || a.what.localeCompare(b.what)),
    left: { amount: left, cost: supply.stash.state === 'always' ? null : costOf(left) },
  };
}
