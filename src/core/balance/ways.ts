import { dayBegins } from '../calendar/zonedTime';
import type { OptionPlan, Plan, SlotPlan } from '../plan/computePlan';
import { likingOf } from './lookValue';

/** Why a way to fill a slot is not among those that are chosen from. */
export type WhyOut = 'refused' | 'gone' | 'late' | 'unknownPrice' | 'nothingThere' | 'disliked' | 'beaten';

/** A way that stays out, and why. */
export interface WayOut {
  optionId: string;
  why: WhyOut;
  /** The way of the same slot that beats it in everything. */
  by: string | null;
}

const goneStates: ReadonlySet<string> = new Set(['passed', 'returned', 'sold']);

/**
 * Why an option cannot be chosen from; null where it can. Beforehand out is what is refused, what is not there any more,
 * what would not be ready before the day of the reveal begins, what costs nobody knows what, and what is liked too little.
 * @param leastLiking 1 to 5
 */
export function whyOut(plan: Plan, option: OptionPlan, leastLiking: number): WhyOut | null {
  const { revealDate, timeZone } = plan.rows.project;
  if (option.refused) return 'refused';
  if (option.model.finds.some(({ state }) => goneStates.has(state))) return 'gone';
  if (option.capacity < 1) return 'nothingThere';
  if (option.alone.cash.atLeast) return 'unknownPrice';
  if (likingOf(option.option) < leastLiking) return 'disliked';
  if (revealDate !== null && option.usableMs > dayBegins(revealDate, timeZone)) return 'late';
  return null;
}

/** The ways of a slot that can be chosen from, and those that stay out. */
export function waysOf(plan: Plan, slot: SlotPlan, leastLiking: number): { open: OptionPlan[]; out: WayOut[] } {
  const open: OptionPlan[] = [];
  const out: WayOut[] = [];
  for (const option of slot.options) {
    const why = whyOut(plan, option, leastLiking);
    if (why === null) open.push(option);
    else out.push({ optionId: option.option.id, why, by: null });
  }
  return { open, out };
}
