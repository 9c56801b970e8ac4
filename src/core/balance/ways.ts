import { dayBegins } from '../calendar/zonedTime';
import type { OptionPlan, Plan, SlotPlan } from '../plan/computePlan';
import { type Exclusion, isExcluded } from './exclusions';
import { likingOf } from './lookValue';

/** Why a way to fill a slot is not among those that are chosen from. */
export type WhyOut = 'refused' | 'gone' | 'late' | 'unknownPrice' | 'nothingThere' | 'disliked' | 'excluded';

/** A way that stays out, and why. */
export interface WayOut {
  option: OptionPlan;
  why: WhyOut;
}

/** What is asked of a way: the least liking, 1 to 5, the day before which it must be ready, what the plan does without. */
export interface AskOfWays {
  leastLiking: number;
  revealDate?: string;
  without?: readonly Exclusion[];
}

const goneStates: ReadonlySet<string> = new Set(['passed', 'returned', 'sold']);

/**
 * Why an option cannot be chosen from; null where it can. Beforehand out is what is refused, what is not there any more,
 * what would not be ready before the day of the reveal begins, what costs nobody knows what, and what is liked too little.
 */
export function whyOut(
  plan: Plan,
  option: OptionPlan,
  { leastLiking, revealDate, without = [] }: AskOfWays,
): WhyOut | null {
  const { timeZone } = plan.rows.project;
  const reveal = revealDate ?? plan.rows.project.revealDate;
  if (option.refused) return 'refused';
  if (option.model.finds.some(({ state }) => goneStates.has(state))) return 'gone';
  if (option.capacity < 1) return 'nothingThere';
  if (option.alone.cash.atLeast) return 'unknownPrice';
  if (likingOf(option.option) < leastLiking) return 'disliked';
  if (isExcluded(option.model, without)) return 'excluded';
  if (reveal !== null && option.usableMs > dayBegins(reveal, timeZone)) return 'late';
  return null;
}

/** The ways of a slot that can be chosen from, and those that stay out. */
export function waysOf(plan: Plan, slot: SlotPlan, ask: AskOfWays): { open: OptionPlan[]; out: WayOut[] } {
  const open: OptionPlan[] = [];
  const out: WayOut[] = [];
  for (const option of slot.options) {
    const why = whyOut(plan, option, ask);
    if (why === null) open.push(option);
    else out.push({ option, why });
  }
  return { open, out };
}
