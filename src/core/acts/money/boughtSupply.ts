import { UNIT_PRICE_SCALE } from '../../kernel/money';
import { MOST_AMOUNT, MOST_UNIT_COST } from '../../model/entities/supply';
import type { SupplyRow } from '../../model/rows';
import { type Refusal, refuse } from '../act';

/** What a unit costs on average after a purchase; what was there at an unknown cost does not make it cheaper. */
function unitCostAfter(before: SupplyRow, amount: number, paid: number): number {
  const there = before.stash.state === 'none' || before.unitCostMillionths === null ? 0 : before.stash.amount;
  const worth = (there * (before.unitCostMillionths ?? 0)) / UNIT_PRICE_SCALE + paid;
  return Math.min(MOST_UNIT_COST, Math.round((worth / (there + amount)) * UNIT_PRICE_SCALE));
}

/**
 * A supply after more of it was bought: the stash grows, the unit cost becomes what was paid on average.
 * @param paid minor units; null where nobody knows it
 */
export function boughtSupply(
  supply: SupplyRow,
  amount: number,
  paid: number | null,
): Pick<SupplyRow, 'stash' | 'unitCostMillionths'> | Refusal {
  const total = (supply.stash.state === 'none' ? 0 : supply.stash.amount) + amount;
  if (total > MOST_AMOUNT) return refuse('amount', amount, `so much that there are at most ${MOST_AMOUNT} then`);
  return {
    stash: supply.stash.state === 'always' ? supply.stash : { state: 'exact', amount: total },
    unitCostMillionths: paid === null ? supply.unitCostMillionths : unitCostAfter(supply, amount, paid),
  };
}

/**
 * A supply as if a purchase had not been: less of it, at what the rest cost on average before. What was used up meanwhile
 * cannot be less than nothing; where nothing is left the unit cost stays, for the next purchase to set.
 * What had been there at an unknown cost is valued like the purchase: what it was worth before cannot be known any more.
 * @param amount as it was bought, in its own unit
 * @param paid minor units
 */
export function withoutPurchase(
  supply: SupplyRow,
  amount: number,
  paid: number,
): Pick<SupplyRow, 'stash' | 'unitCostMillionths'> {
  const { stash, unitCostMillionths } = supply;
  const left = stash.state === 'none' ? 0 : stash.amount - amount;
  if (stash.state === 'always') return { stash, unitCostMillionths };
  if (left <= 0) return { stash: { state: 'none', amount: 0 }, unitCostMillionths };
  const worth = (stash.amount * (unitCostMillionths ?? 0)) / UNIT_PRICE_SCALE - paid;
  return {
    stash: { state: stash.state, amount: left },
    unitCostMillionths:
      unitCostMillionths === null || worth <= 0 ? unitCostMillionths : Math.round((worth / left) * UNIT_PRICE_SCALE),
  };
}
