import type { Plan, PlannedFill } from '../plan/computePlan';
import { namesOfOptions } from '../plan/nameOfOption';
import { type CostPer, costPerLasts } from '../plan/optionFacts';
import { type OriginKind, originKinds, originOf } from '../sourcing/origins';
import { earnedPerHour } from './earnedPerHour';
import { costOfAll, minutesOf, type Reckoning, type SlotReckoning } from './reckon';
import { workDone } from './workEntries';

/** A slot held against what it would have been without the making. Minor units and minutes. */
export interface SavedOfSlot {
  of: SlotReckoning;
  yardstick: { name: string; cost: number; minutes: number; atLeast: boolean };
  /** Its cost less what the fills came to, cash and stash. */
  saved: number;
}

/** What a project saved against new, and what an hour of it earned. */
export interface Saved {
  slots: readonly SavedOfSlot[];
  /** Filled slots that nothing is held against: they are named, not guessed. */
  without: readonly SlotReckoning[];
  saved: number;
  /** Whether it may be more (a yardstick's price is known from below), or less (what was paid is); both is nothing certain. */
  mayBeMore: boolean;
  mayBeLess: boolean;
  /**
   * All hands-on minutes of the project, those that the yardsticks would have taken, and those of the first that nobody
   * logged: still planned, or done and taken as planned.
   */
  minutes: number;
  yardstickMinutes: number;
  notLoggedMinutes: number;
  /** Minor units for an hour; null where the making took no longer than the yardsticks would have. */
  perHour: number | null;
  /** The same without the hours of slots that nothing is held against; null where it says nothing else. */
  perHourOfThese: number | null;
}

/**
 * Saved against new: over the filled slots with a yardstick, its cost less what this fill really came to in cash and stash.
 * What is still planned of a fill counts as planned. The hour earned is that over the hours of the project less the
 * yardsticks' own; differences of up to 15 minutes are not priced.
 */
export function savedAgainstNew(plan: Plan, reckoning: Reckoning): Saved {
  const slots: SavedOfSlot[] = [];
  const without: SlotReckoning[] = [];
  for (const of of reckoning.slots) {
    if (of.fills.length === 0) continue;
    const yardstick = yardstickOfFills(plan, of);
    if (yardstick === null) without.push(of);
    else slots.push({ of, yardstick, saved: yardstick.cost - costOfAll(of) });
  }
  const saved = slots.reduce((sum, entry) => sum + entry.saved, 0);
  const yardstickMinutes = slots.reduce((sum, { yardstick }) => sum + yardstick.minutes, 0);
  const minutes = minutesOf(reckoning.all);
  const elsewhere = without.reduce((sum, of) => sum + minutesOf(of), 0);
  const perHour = earnedPerHour(saved, minutes - yardstickMinutes);
  const ofThese = earnedPerHour(saved, minutes - elsewhere - yardstickMinutes);
  return {
    slots,
    without,
    saved,
    mayBeMore: slots.some(({ yardstick }) => yardstick.atLeast),
    mayBeLess: slots.some(({ of }) => of.atLeast),
    minutes,
    yardstickMinutes,
    notLoggedMinutes: Math.max(0, minutes - workDone(plan).reduce((sum, of) => sum + of.minutes, 0)),
    perHour,
    perHourOfThese: ofThese === perHour ? null : ofThese,
  };
}

/** What the slot's yardstick costs at the count that is filled, paid or not, beside the rest of the plan. */
export function yardstickOfFills(
  plan: Plan,
  { slot, fills }: Pick<SlotReckoning, 'slot' | 'fills'>,
): SavedOfSlot['yardstick'] | null {
  const known = plan.slot(slot.id);
  const option = known?.options.find(({ option: { id } }) => id === known.yardstickId);
  const count = fills.reduce((sum, { fill }) => sum + fill.count, 0);
  if (!option || count === 0) return null;
  const name = namesOfOptions(known?.options.map(({ model }) => model) ?? []).get(option.option.id) ?? '';
  return { name, ...addedInAll(plan, { model: option.model, count }) };
}

/** How much of what fills the slots came from where: by count, by what it came to, by what it stands for. Minor units. */
export interface OriginShare {
  origin: OriginKind;
  count: number;
  /** Cash and stash. */
  cost: number;
  /** What it would cost new, by the yardsticks; what nothing is held against stands for what it came to. */
  worth: number;
}

/**
 * Owned, thrifted, made and new: a piece that is made over came from where it was found. All shares together are all that fills slots, and all that it came to; what is starred as
 * ours counts, too. Origins that nothing came from are left out.
 */
export function originShares(plan: Plan, reckoning: Reckoning, saved: Saved): OriginShare[] {
  const yardsticks = new Map(saved.slots.map(({ of, yardstick }) => [of.slot.id, yardstick]));
  const shares = new Map<OriginKind, OriginShare>();
  const add = (origin: OriginKind, count: number, cost: number, worth: number) => {
    const known = shares.get(origin) ?? { origin, count: 0, cost: 0, worth: 0 };
    shares.set(origin, {
      origin,
      count: known.count + count,
      cost: known.cost + cost,
      worth: known.worth + worth,
    });
  };
  for (const of of reckoning.slots) {
    const yardstick = yardsticks.get(of.slot.id);
    const filled = of.fills.reduce((sum, { fill }) => sum + fill.count, 0);
    if (of.fills.length === 0 && of.slot.star !== null) add('owned', of.slot.quantity, 0, 0);
    for (const part of of.fills) {
      const cost = costOfAll(part);
      const worth = yardstick ? (yardstick.cost * part.fill.count) / filled : cost;
      add(originOf(plan, part.fill), part.fill.count, cost, worth);
    }
  }
  return originKinds.flatMap((origin) => {
    const share = shares.get(origin);
    return share ? [{ ...share, worth: Math.round(share.worth) }] : [];
  });
}

/** A fill with what it came to for each use, look and year that it is thought to be good for; minor units. */
export interface CostPerUse extends CostPer {
  fill: PlannedFill;
  name: string;
  slotName: string;
  cost: number;
}

/** What the fills come to for each use, look and year; only those of which somebody said how long they last. */
export function costsPer(reckoning: Reckoning): CostPerUse[] {
  return reckoning.slots.flatMap(({ slot, fills }) =>
    fills.flatMap((part): CostPerUse[] => {
      const cost = costOfAll(part);
      const per = costPerLasts(part.fill.model.option.lasts, cost);
      if (Object.values(per).every((minor) => minor === null)) return [];
      return [
        {
          fill: part.fill,
          name: namesOfOptions([part.fill.model]).get(part.fill.model.option.id) ?? '',
          slotName: slot.name,
          cost,
          ...per,
        },
      ];
    }),
  );
}

/** What filling a slot in one way adds to all the others, paid or not: P and S of the definitions. Minor units and minutes. */
function addedInAll(plan: Plan, fill: PlannedFill): { cost: number; minutes: number; atLeast: boolean } {
  const untouched = { ...fill, model: plan.model.asIfUntouched(fill.model) };
  const { cash, stash, minutes } = plan.addedByChoice(untouched, 'full');
  return { cost: cash.likely + stash, minutes: minutes.likely, atLeast: cash.atLeast };
}
