import { splitAmount } from '../kernel/money';
import type { SlotRow } from '../model/rows';
import { budgetShares } from '../plan/budgetShares';
import type { Plan } from '../plan/computePlan';
import { importanceWeight } from '../plan/importanceWeight';

/** One line of the hunting list: a slot for which something is still to be found. Money in minor units, mm. */
export interface HuntingLine {
  slot: SlotRow;
  spotName: string;
  /** How many are still needed. */
  needed: number;
  largest: { widthMm: number | null; depthMm: number | null; heightMm: number | null };
  /** The most that one may cost by the slot's share of the budget. */
  ceiling: number;
  /** What one may cost so that the free money of the purse still reaches all lines; never above the ceiling. */
  target: number;
}

/**
 * What is left to hunt: slots that are neither starred, left out nor wholly filled, in the order of spots and numbers.
 * The ceiling is the slot's share of the budget for each one of its quantity. The target spreads what the purse has
 * free now over all that is still needed, by importance, so that a good find early leaves more for the rest.
 */
export function huntingList(plan: Plan): HuntingLine[] {
  const { rows } = plan;
  const shares = new Map(budgetShares(rows).map((share) => [share.slotId, share.amount]));
  const position = new Map(rows.spots.map((spot) => [spot.id, spot.position]));
  const open = plan.slots
    .filter(({ slot, open: left }) => left > 0 && slot.star === null && !slot.leftOut)
    .sort(
      (a, b) =>
        (position.get(a.slot.spotId) ?? 0) - (position.get(b.slot.spotId) ?? 0) || a.slot.number - b.slot.number,
    );
  const splurge = rows.project.brief.splurge?.amount ?? 0;
  const free = Math.max(0, plan.purse.money.free.likely - splurge);
  const now = splitAmount(
    free,
    open.length > 0 ? open.map((entry) => importanceWeight[entry.slot.importance] * entry.open) : [1],
  );
  return open.map(({ slot, open: needed }, n) => {
    const ceiling = Math.floor((shares.get(slot.id) ?? 0) / slot.quantity);
    return {
      slot,
      spotName: rows.spots.find((spot) => spot.id === slot.spotId)?.name ?? '',
      needed,
      largest: {
        widthMm: slot.width.maximumMm,
        depthMm: slot.depth.maximumMm,
        heightMm: slot.height.maximumMm,
      },
      ceiling,
      target: Math.min(ceiling, Math.floor((now[n] ?? 0) / needed)),
    };
  });
}
