import type { ProjectSummary } from '@contract/answers';
import type { ProjectRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { ownedShare } from '@core/plan/ownedShare';
import { CORE_VERSION } from '@core/plan/version';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';
import type { Transaction } from '../persistence/scope';
import { projectRows, staleSummaries, storeSummary } from '../persistence/snapshots';

/** What the start page shows of a project, written with each revision. */
export function summaryOf(rows: ProjectRows, nowMs: number): Omit<ProjectSummary, 'studioRevision'> {
  const plan = computePlan(rows, nowMs);
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
    slots: { all: plan.slots.length, settled: plan.slots.filter((slot) => slot.open === 0).length },
  };
}

/** Projects looked at for one answer, and how long that may take in milliseconds; the rest follows with the next. */
const AT_ONCE = 40;
const BUDGET_MS = 300;

/**
 * Brings summaries up to date that a change in the house has made stale: a new price or a used-up can moves every
 * purse that counts on it. Whoever asked is not kept waiting for all of them.
 */
export async function refreshSummaries(transaction: Transaction, nowMs: number): Promise<void> {
  const startedAt = performance.now();
  for (const projectId of await staleSummaries(transaction, AT_ONCE)) {
    const rows = await projectRows(transaction, projectId);
    if (rows) await storeSummary(transaction, projectId, summaryOf(rows, nowMs));
    if (performance.now() - startedAt > BUDGET_MS) return;
  }
}
