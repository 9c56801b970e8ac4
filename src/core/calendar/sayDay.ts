import { monthNames, weekdayNames } from './dayNames';
import { daysBetween } from './localDates';
import { weekdayOf } from './recurrence';

/** A local date in short: "Dec 3"; with its year where that is not the present one. */
export function shortDate(date: string, today: string): string {
  const month = monthNames[Number(date.slice(5, 7)) - 1]?.slice(0, 3) ?? '';
  const year = date.slice(0, 4) === today.slice(0, 4) || Math.abs(daysBetween(today, date)) < 120;
  return `${month} ${Number(date.slice(8, 10))}${year ? '' : `, ${date.slice(0, 4)}`}`;
}

/**
 * A local date as one says it: "today", "tomorrow", "yesterday", "Thursday" within the coming six days, else
 * "Thu, Dec 10".
 */
export function sayDay(date: string, today: string): string {
  const away = daysBetween(today, date);
  if (away === 0) return 'today';
  if (away === 1) return 'tomorrow';
  if (away === -1) return 'yesterday';
  const weekday = weekdayNames[weekdayOf(date) - 1] ?? '';
  return away > 1 && away < 7 ? weekday : `${weekday.slice(0, 3)}, ${shortDate(date, today)}`;
}

/** A local date in full, as it stands on paper: "June 20, 2026". */
export const longDate = (date: string): string =>
  `${monthNames[Number(date.slice(5, 7)) - 1] ?? ''} ${Number(date.slice(8, 10))}, ${date.slice(0, 4)}`;

/** The same where there is less room: "Jun 20, 2026". */
export const mediumDate = (date: string): string =>
  `${monthNames[Number(date.slice(5, 7)) - 1]?.slice(0, 3) ?? ''} ${Number(date.slice(8, 10))}, ${date.slice(0, 4)}`;
