import type { ProjectSummary } from '@contract/answers';
import { lookSummary } from '@core/arrange/look/lookSummary';
import { closingOf } from '@core/closing/projectClosing';
import type { Plan } from '@core/plan/computePlan';
import { ownedShare } from '@core/plan/ownedShare';
import { CORE_VERSION } from '@core/plan/version';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';

/** What the start page shows of a project. */
export function summaryOf(plan: Plan): Omit<ProjectSummary, 'revision' | 'studioRevision'> {
  const { money, hands, days } = plan.purse;
  const share = ownedShare(plan);
  return {
    coreVersion: CORE_VERSION,
    money: {
      budget: money.budget,
      spent: money.spent,
      promised: money.promised,
      planned: money.planned,
      keptBack: money.keptBack.likely,
      free: money.free,
    },
    hands: {
      onHandMinutes: hands.onHandMinutes,
      plannedMinutes: Math.round(hands.planned.likely),
      freeMinutes: hands.freeMinutes === null ? null : Math.round(hands.freeMinutes),
    },
    lastUsableMs: days.lastUsableMs === null ? null : Math.round(days.lastUsableMs),
    supplies: plan.supplies.map((line) => ({ ...partsOfSupplyKey(line.key), amount: line.need })),
    owned: {
      filled: share.filled,
      fromHouse: share.fromHouse,
      value: share.value,
      fromHouseValue: share.fromHouseValue,
    },
    firstSpot: firstSpotOf(plan),
    closing: closingOf(plan),
    slots: { all: plan.slots.length, settled: plan.slots.filter((slot) => slot.open === 0).length },
  };
}

/** The first spot in small, in the form that is kept. */
function firstSpotOf(plan: Plan): ProjectSummary['firstSpot'] {
  const found = lookSummary(plan);
  return found && { ...found, things: found.things.map((thing) => ({ ...thing, colors: { ...thing.colors } })) };
}
