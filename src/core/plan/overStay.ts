import { daysBetween } from '../calendar/localDates';
import type { OptionPlan, Plan } from './computePlan';
import { freshDaysOf } from './greenKind';
import type { OptionModel } from './model/optionModel';
import { costOf } from './optionFigures';

/** What a way comes to over all the days that the look is up. */
export interface OverStay {
  /** Days from the reveal to the last day of the look, both included. */
  daysUp: number;
  /** How many days one of it lasts; null for what stays. */
  lastsDays: number | null;
  /** How often it is bought or cut. */
  times: number;
  /** Minor units: its cost as often as that. */
  costMinor: number;
}

/** How many days the shortest-lived part of a way stays fresh; null for what stays. */
function shortestDays({ finds, offers, recipe }: OptionModel): number | null {
  const days = [
    ...finds.map(freshDaysOf),
    ...offers.map(({ offer }) => freshDaysOf({ name: offer.name, freshDays: null })),
    ...(recipe?.findings ?? []).map((finding) => (finding.code === 'build.freshDays' ? finding.figures.days : null)),
  ].filter((known) => known !== null);
  return days.length === 0 ? null : Math.min(...days);
}

/**
 * What a way comes to over the whole stay of the look: what wilts is bought again as often as it takes, what is dried or
 * faux once. Each time costs what it costs now.
 * @returns null where no reveal or no last day is set
 * @example up 40 days: a bunch of 9.00 that keeps 14 days is bought 3 times, 27.00; faux stems of 24.00 once
 */
export function overStay(plan: Plan, option: OptionPlan): OverStay | null {
  const { revealDate, standsUntil } = plan.rows.project;
  if (revealDate === null || standsUntil === null) return null;
  const daysUp = Math.max(1, daysBetween(revealDate, standsUntil) + 1);
  const lastsDays = shortestDays(option.model);
  const times = lastsDays === null ? 1 : Math.ceil(daysUp / lastsDays);
  return { daysUp, lastsDays, times, costMinor: costOf(option) * times };
}
