import { MS_PER_MINUTE } from '@core/kernel/units';
import type { Minute } from '@core/schedule/benchProblem';

const weekdays = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** "Mon 1". */
export function dayName(date: string): string {
  const day = new Date(`${date}T00:00:00Z`);
  return `${weekdays[day.getUTCDay()]} ${day.getUTCDate()}`;
}

/** The clock of a moment: 18:00. */
export function clock(moment: Minute, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(
    moment * MS_PER_MINUTE,
  );
}
