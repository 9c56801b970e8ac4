import { localDate } from '../calendar/zonedTime';
import type { RowOf } from '../model/entities';
import type { FrozenPlan } from '../model/values/frozenPlan';
import type { Plan } from '../plan/computePlan';
import { namesOfOptions } from '../plan/nameOfOption';
import { CORE_VERSION } from '../plan/version';
import { cashOf, minutesOf, reckon } from './reckon';
import { yardstickOfFills } from './saved';
import { workByKind, workPlannedByWeek } from './workByKind';

type PlanFreezeRow = RowOf<'planFreezes'>;

/** The longest name that a frozen plan holds. */
const MOST_NAME = 400;

/**
 * What a plan comes to at its moment: what is spent, ordered and worked, and what is still planned, together. It says all
 * that it needs by itself, so that no later change of a slot, a price or a name changes what it says.
 */
export function frozenPlanOf(plan: Plan): FrozenPlan {
  const { project } = plan.rows;
  const reckoning = reckon(plan);
  const { spent, promised, spentAtLeast, promisedAtLeast } = plan.purse.money;
  const settled = spent + promised;
  const { cash } = plan.sums;
  const { doneMinutes, planned } = plan.purse.hands;
  const { lastUsableMs } = plan.purse.days;
  return {
    version: 1,
    coreVersion: CORE_VERSION,
    currency: project.currency,
    budget: project.budget,
    cash: {
      low: settled + cash.low,
      likely: settled + cash.likely,
      high: settled + cash.high,
      atLeast: cash.atLeast || spentAtLeast || promisedAtLeast,
    },
    stash: reckoning.all.stash,
    minutes: {
      low: rounded(doneMinutes + planned.low),
      likely: rounded(doneMinutes + planned.likely),
      high: rounded(doneMinutes + planned.high),
    },
    revealDate: project.revealDate,
    usableOn: lastUsableMs === null ? null : localDate(lastUsableMs, project.timeZone),
    byKind: reckoning.byKind.map(({ kind, paid, toGo }) => ({ kind, cash: paid + toGo })),
    bySource: reckoning.bySource.map(({ name, paid, toGo }) => ({ name: name.slice(0, MOST_NAME), cash: paid + toGo })),
    byWork: workByKind(plan).map(({ work, done, toGo }) => ({ work, minutes: rounded(done + toGo) })),
    byWeek: workPlannedByWeek(plan).map(({ monday, minutes }) => ({ monday, minutes: rounded(minutes) })),
    slots: reckoning.slots.map((of) => {
      const yardstick = yardstickOfFills(plan, of);
      return {
        slotId: of.slot.id,
        number: of.slot.number,
        name: of.slot.name.slice(0, MOST_NAME),
        filledWith: filledWith(of.fills.map(({ fill }) => fill.model)).slice(0, MOST_NAME),
        cash: cashOf(of),
        stash: of.stash,
        minutes: rounded(minutesOf(of)),
        yardstick: yardstick && {
          name: yardstick.name.slice(0, MOST_NAME),
          cost: yardstick.cost,
          minutes: rounded(yardstick.minutes),
        },
      };
    }),
  };
}

/** Minutes to the hundredth: what is written down reads the same everywhere. */
const rounded = (minutes: number): number => Math.max(0, Math.round(minutes * 100) / 100);

/** What fills a slot, by name. */
export const filledWith = (models: Parameters<typeof namesOfOptions>[0]): string =>
  [...namesOfOptions(models).values()].join(' + ');

/** A plan as it is now, as a row. */
export function freezeOf(plan: Plan, of: { id: string; why: PlanFreezeRow['why']; note: string }): PlanFreezeRow {
  return { ...of, version: 1, atMs: plan.asOfMs, plan: frozenPlanOf(plan) };
}

/** The freezes of a project, the earliest first; of the same moment by id. */
export const freezesInOrder = (freezes: readonly PlanFreezeRow[]): PlanFreezeRow[] =>
  [...freezes].sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));
