import { dateAfter, daysBetween } from '../calendar/localDates';
import { localDate } from '../calendar/zonedTime';
import type { Plan } from './computePlan';

/** A week of the brief with the planned work that is laid into it; minutes. */
export interface WeekOfHours {
  /** Local date of its Monday. */
  monday: string;
  /** What there is in it: of a week that has begun, the share of the days that are left, today among them. */
  hasMinutes: number;
  takesMinutes: number;
}

/** Planned work by week. */
export interface HoursByWeek {
  weeks: readonly WeekOfHours[];
  /** What no week holds. */
  overMinutes: number;
}

const DAYS_OF_A_WEEK = 7;

/**
 * The work that is still planned, laid into the weeks of the brief, the earliest first; weeks that are over, and those
 * that begin after the reveal, hold nothing. It says whether the hours are there in time, not when each work is done.
 * @returns null where the brief has no weeks
 * @example 5 h of work, 2 h this week, 4 h the next → 2 h, 3 h of 4 h, nothing over
 */
export function hoursByWeek(plan: Plan): HoursByWeek | null {
  const { brief, timeZone, revealDate } = plan.rows.project;
  if (brief.weeks.length === 0) return null;
  const today = localDate(plan.asOfMs, timeZone);
  let left = Math.max(0, plan.sums.minutes.likely);
  const weeks = [...brief.weeks]
    .sort((a, b) => (a.monday < b.monday ? -1 : 1))
    .filter(({ monday }) => dateAfter(monday, DAYS_OF_A_WEEK - 1) >= today)
    .filter(({ monday }) => revealDate === null || monday < revealDate)
    .map(({ monday, minutes }): WeekOfHours => {
      const gone = Math.max(0, daysBetween(monday, today));
      const hasMinutes = Math.round((minutes * (DAYS_OF_A_WEEK - gone)) / DAYS_OF_A_WEEK);
      const takesMinutes = Math.min(left, hasMinutes);
      left -= takesMinutes;
      return { monday, hasMinutes, takesMinutes };
    });
  return { weeks, overMinutes: left };
}
