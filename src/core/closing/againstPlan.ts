import { localDate } from '../calendar/zonedTime';
import { grouped } from '../kernel/grouped';
import type { MoneyKind } from '../model/moneyKinds';
import type { FrozenPlan } from '../model/values/frozenPlan';
import type { Plan } from '../plan/computePlan';
import { ledgerEntries } from '../sourcing/ledgerLists';
import { filledWith } from './freezePlan';
import { cashOf, minutesOf, type Reckoning } from './reckon';
import { mondayOf, workByKind, workDoneByWeek } from './workByKind';

/** Planned and actual side by side; null where the plan did not speak of it, or it is gone by now. */
export interface SideBySide {
  planned: number | null;
  actual: number | null;
}

/** A slot as it was planned and as it came out. Minor units and minutes. */
export interface SlotAgainstPlan {
  slotId: string;
  number: number;
  name: string;
  plannedWith: string;
  filledWith: string;
  cash: SideBySide;
  stash: SideBySide;
  minutes: SideBySide;
  /** Whether something else fills it than was planned. */
  isOther: boolean;
  /** Whether something of it is still planned. */
  isOpen: boolean;
}

/** Everything planned beside everything actual. */
export interface AgainstPlan {
  slots: readonly SlotAgainstPlan[];
  kinds: readonly ({ kind: MoneyKind } & SideBySide)[];
  sources: readonly ({ name: string } & SideBySide)[];
  works: readonly ({ work: string } & SideBySide)[];
  weeks: readonly { monday: string; minutes: SideBySide; cash: number }[];
}

/** Two lists of sums by what they are of, put side by side; what only one of them has stands alone there. */
function sideBySide<K extends string>(
  planned: readonly (readonly [K, number])[],
  actual: readonly (readonly [K, number])[],
): ({ key: K } & SideBySide)[] {
  const [was, is] = [new Map(planned), new Map(actual)];
  return [...new Set([...is.keys(), ...was.keys()])].map((key) => ({
    key,
    planned: was.get(key) ?? null,
    actual: is.get(key) ?? null,
  }));
}

/**
 * A frozen plan beside what it came to; without one, what it came to alone. Actual is what was paid, ordered and worked and what of the plan is still open;
 * weeks have only what was really done and paid in them.
 */
export function againstPlan(plan: Plan, given: FrozenPlan | null, reckoning: Reckoning): AgainstPlan {
  const frozen = given ?? nothingPlanned;
  const works = workByKind(plan).map(({ work, done, toGo }) => [work, done + toGo] as const);
  return {
    slots: slotsAgainst(frozen, reckoning),
    kinds: sideBySide(
      frozen.byKind.map(({ kind, cash }) => [kind, cash] as const),
      reckoning.byKind.map(({ kind, paid, toGo }) => [kind, paid + toGo] as const),
    ).map(({ key, ...sides }) => ({ kind: key, ...sides })),
    sources: sideBySide(
      frozen.bySource.map(({ name, cash }) => [name, cash] as const),
      reckoning.bySource.map(({ name, paid, toGo }) => [name, paid + toGo] as const),
    ).map(({ key, ...sides }) => ({ name: key, ...sides })),
    works: sideBySide(
      frozen.byWork.map(({ work, minutes }) => [work, minutes] as const),
      works,
    )
      .map(({ key, ...sides }) => ({ work: key, ...sides }))
      .sort((a, b) => (b.actual ?? 0) - (a.actual ?? 0) || (b.planned ?? 0) - (a.planned ?? 0)),
    weeks: weeksAgainst(plan, frozen),
  };
}

type Planned = Pick<FrozenPlan, 'slots' | 'byKind' | 'bySource' | 'byWork' | 'byWeek'>;

const nothingPlanned: Planned = { slots: [], byKind: [], bySource: [], byWork: [], byWeek: [] };

function slotsAgainst(frozen: Planned, reckoning: Reckoning): SlotAgainstPlan[] {
  const planned = new Map(frozen.slots.map((slot) => [slot.slotId, slot]));
  const now = reckoning.slots.map((of): SlotAgainstPlan => {
    const was = planned.get(of.slot.id);
    const names = filledWith(of.fills.map(({ fill }) => fill.model));
    return {
      slotId: of.slot.id,
      number: of.slot.number,
      name: of.slot.name,
      plannedWith: was?.filledWith ?? '',
      filledWith: names,
      cash: { planned: was?.cash ?? null, actual: cashOf(of) },
      stash: { planned: was?.stash ?? null, actual: of.stash },
      minutes: { planned: was?.minutes ?? null, actual: minutesOf(of) },
      isOther: was !== undefined && was.filledWith !== names,
      isOpen: of.cashToGo !== 0 || of.toGoMinutes >= 0.5,
    };
  });
  const present = new Set(reckoning.slots.map(({ slot }) => slot.id));
  const gone = frozen.slots
    .filter(({ slotId }) => !present.has(slotId))
    .map(
      (was): SlotAgainstPlan => ({
        slotId: was.slotId,
        number: was.number,
        name: was.name,
        plannedWith: was.filledWith,
        filledWith: '',
        cash: { planned: was.cash, actual: null },
        stash: { planned: was.stash, actual: null },
        minutes: { planned: was.minutes, actual: null },
        isOther: true,
        isOpen: false,
      }),
    );
  return [...now, ...gone];
}

function weeksAgainst(plan: Plan, frozen: Planned): AgainstPlan['weeks'] {
  const paid = grouped(ledgerEntries(plan.rows), ({ line }) =>
    mondayOf(localDate(line.atMs, plan.rows.project.timeZone)),
  );
  const cash = new Map(
    [...paid].map(([monday, entries]) => [monday, entries.reduce((sum, one) => sum + one.signed, 0)]),
  );
  const minutes = sideBySide(
    frozen.byWeek.map((week) => [week.monday, week.minutes] as const),
    workDoneByWeek(plan).map((week) => [week.monday, week.minutes] as const),
  );
  const mondays = new Set([...minutes.map(({ key }) => key), ...cash.keys()]);
  return [...mondays].sort().map((monday) => {
    const { planned = null, actual = null } = minutes.find(({ key }) => key === monday) ?? {};
    return { monday, minutes: { planned, actual }, cash: cash.get(monday) ?? 0 };
  });
}
