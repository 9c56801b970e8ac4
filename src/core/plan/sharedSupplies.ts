import type { SupplyUnit } from '../catalog/consumables';
import type { CutLayout } from '../cutting/layout';
import type { Amount } from '../kernel/amount';
import { fromMicro } from '../kernel/micro';
import type { PlanSums } from './added';
import { sumsOf } from './added';
import { DrawTotals } from './drawTotals';
import { SAME_TIME_MINUTES } from './makeOrBuy';
import { mayFallShort } from './mayFallShort';
import { cutPurchaseOf } from './model/cutPurchase';
import type { PlanModel, PlannedFill } from './model/planModel';
import { neededMicro, purchaseOf, stashTaken } from './model/poolCost';
import { costOf } from './optionFigures';
import type { OptionPlan, SlotPlan } from './slotPlan';

/** A supply that the chosen options take, with what it costs all of them together. */
export interface SharedSupply {
  key: string;
  name: string;
  unit: SupplyUnit;
  need: number;
  fromStash: number;
  packs: { name: string; size: number; count: number; price: Amount | null }[];
  cash: Amount;
  bought: number;
  left: number;
  /** The chance that stash and packs do not reach, 0 to 1. */
  mayFallShort: number;
  /** How its parts are laid out together; null where nothing is cut from it. */
  cut: CutLayout | null;
  optionIds: string[];
  /** What the options that share it earn together an hour against their yardsticks; null when it cannot be said. */
  readonly togetherPerHour: number | null;
}

/**
 * The supplies of what is chosen, one line each, the dearest first and then by name.
 * @param sums what all that is chosen comes to; its lines hold each supply's total draw
 * @param slots read only when somebody asks what sharers earn together
 */
export function sharedSupplies(
  model: PlanModel,
  sums: PlanSums,
  chosen: readonly PlannedFill[],
  slots: readonly SlotPlan[],
): SharedSupply[] {
  const takers = new Map<string, PlannedFill[]>();
  for (const fill of chosen)
    for (const draw of fill.model.draws)
      if (draw.kind === 'supply') takers.set(draw.key, [...(takers.get(draw.key) ?? []), fill]);
  const lines: SharedSupply[] = [];
  for (const { pool, drawn } of sums.lines) {
    // What is always there is neither shared nor bought.
    if (pool.kind !== 'supply' || pool.isAlways) continue;
    const purchase = purchaseOf(pool, drawn);
    const need = fromMicro(neededMicro(pool, drawn));
    const sharers = takers.get(pool.key) ?? [];
    let together: { perHour: number | null } | null = null;
    lines.push({
      key: pool.key,
      name: pool.name,
      unit: pool.unit,
      need,
      fromStash: fromMicro(stashTaken(pool, drawn)),
      packs: purchase.packs.map((pack) => ({
        name: pool.packs.find((known) => known.id === pack.id)?.name ?? '',
        size: pack.size,
        count: pack.count,
        price: pack.price,
      })),
      cash: purchase.cash,
      bought: purchase.size,
      left: pool.stash + purchase.size - need,
      mayFallShort: mayFallShort(model, pool.key, need, pool.stash + purchase.size),
      cut: cutPurchaseOf(pool, drawn)?.layout ?? null,
      optionIds: sharers.map((fill) => fill.model.option.id),
      get togetherPerHour() {
        together ??= { perHour: sharers.length > 1 ? togetherPerHour(model, sums, chosen, sharers, slots) : null };
        return together.perHour;
      },
    });
  }
  return lines.sort((a, b) => b.cash.likely - a.cash.likely || (a.name < b.name ? -1 : 1));
}

/** What options sharing a supply earn together: their yardsticks' costs − their joint cost, over the joint extra time. */
function togetherPerHour(
  model: PlanModel,
  sums: PlanSums,
  chosen: readonly PlannedFill[],
  sharers: readonly PlannedFill[],
  slots: readonly SlotPlan[],
): number | null {
  let [yardCost, yardMinutes] = [0, 0];
  for (const sharer of sharers) {
    const option = planOf(slots, sharer);
    if (!option || !('deltaCost' in option.comparison)) return null;
    yardCost += option.comparison.deltaCost + costOf(option);
    yardMinutes += option.hoursAdded.likely - option.comparison.deltaMinutes;
  }
  const others = chosen.filter((fill) => !sharers.includes(fill));
  const without = sumsOf(model, new DrawTotals(others), others);
  const jointMinutes = sums.minutes.likely - without.minutes.likely - yardMinutes;
  if (sums.cash.atLeast || without.cash.atLeast || jointMinutes <= SAME_TIME_MINUTES) return null;
  const jointCost = sums.cash.likely - without.cash.likely + sums.stash - without.stash;
  return Math.round((yardCost - jointCost) / (jointMinutes / 60));
}

function planOf(slots: readonly SlotPlan[], fill: PlannedFill): OptionPlan | undefined {
  return slots
    .find((entry) => entry.slot.id === fill.model.slot.id)
    ?.options.find((option) => option.option.id === fill.model.option.id);
}
