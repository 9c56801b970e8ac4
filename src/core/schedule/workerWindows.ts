import { dateAfter } from '../calendar/localDates';
import { instantOf } from '../calendar/zonedTime';
import { MS_PER_MINUTE } from '../kernel/units';
import type { WorkingHours } from '../state/workshop';
import type { Minute, Stretch } from './benchProblem';

/** A minute of a local date. */
export function minuteOf(date: string, minuteOfDay: number, timeZone: string): Minute {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  return Math.round(instantOf(year, month, day, minuteOfDay, timeZone) / MS_PER_MINUTE);
}

/** The hours of a local date: those of its exception, else those of its weekday. */
export function hoursOn({ week, exceptions }: WorkingHours, date: string): WorkingHours['week'][number] {
  const exception = exceptions.find((one) => one.date === date);
  return exception ? exception.hours : (week[new Date(`${date}T00:00:00Z`).getUTCDay()] ?? []);
}

/**
 * When somebody works from a local date on, for so many days: hours of the clock, so that an evening stays an evening when
 * the clocks change. Hours that overlap count once.
 * @returns in order, apart; nothing before `now`
 */
export function workerWindows(
  hours: WorkingHours,
  { from, days, now, timeZone }: { from: string; days: number; now: Minute; timeZone: string },
): Stretch[] {
  const windows: Stretch[] = [];
  for (let n = 0; n < days; n += 1) {
    const date = dateAfter(from, n);
    const ofDay = [...hoursOn(hours, date)].sort((a, b) => a.fromMinute - b.fromMinute);
    for (const { fromMinute, toMinute } of ofDay) {
      const start = Math.max(now, minuteOf(date, fromMinute, timeZone));
      const end = minuteOf(date, toMinute, timeZone);
      const last = windows.at(-1);
      if (last && start <= last.end) last.end = Math.max(last.end, end);
      else if (end > start) windows.push({ start, end });
    }
  }
  return windows;
}
