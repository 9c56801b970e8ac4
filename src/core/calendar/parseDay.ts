import { monthNames, placeOfName, weekdayNames } from './dayNames';
import { dateAfter } from './localDates';
import { weekdayFrom } from './recurrence';

const letters = (names: readonly string[]) => names.map((name) => `${name.slice(0, 3)}[a-z]*`).join('|');
const month = `(?:${letters(monthNames)})\\.?`;
const dayOfMonth = '\\d{1,2}(?:st|nd|rd|th)?';
const year = '(?:,?\\s+(?:\\d{4}))?';

/** How a day is said within a longer text, for a search without regard to capitals. */
export const DAY_PATTERN = `(?:\\d{4}-\\d{2}-\\d{2}|${month}\\s+${dayOfMonth}${year}|${dayOfMonth}\\s+${month}${year}|today|tomorrow|(?:next\\s+)?(?:${letters(weekdayNames)}))`;

/** A date that exists, or null. */
function dateOf(y: number, m: number, d: number): string | null {
  const date = new Date(Date.UTC(y, m - 1, d));
  return date.getUTCMonth() === m - 1 && date.getUTCDate() === d ? date.toISOString().slice(0, 10) : null;
}

/**
 * A day as people say it: `2026-12-03`, `Dec 3`, `3 December`, `Sunday`, `next Sunday`, `today`, `tomorrow`. A day
 * without its year is the next one of that name from today on; a weekday is today where today is one.
 * @param today the local date
 * @returns the local date, or null for what is no day
 * @example parseDay('Jan 5', '2026-11-28') → '2027-01-05'
 */
export function parseDay(text: string, today: string): string | null {
  const said = text.trim().toLowerCase();
  if (said === 'today') return today;
  if (said === 'tomorrow') return dateAfter(today, 1);
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(said);
  if (iso) return dateOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const weekday = placeOfName(weekdayNames, said.replace(/^next\s+/, ''));
  if (weekday >= 0) return weekdayFrom(said.startsWith('next') ? dateAfter(today, 1) : today, weekday + 1);
  const match =
    /^([a-z]+)\.?\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s+(\d{4}))?$/.exec(said) ??
    /^(?<d>\d{1,2})(?:st|nd|rd|th)?\s+(?<m>[a-z]+)\.?(?:,?\s+(?<y>\d{4}))?$/.exec(said);
  if (!match) return null;
  const [name, dayText, yearText] = match.groups
    ? [match.groups.m, match.groups.d, match.groups.y]
    : [match[1], match[2], match[3]];
  const place = placeOfName(monthNames, name ?? '');
  if (place < 0) return null;
  if (yearText !== undefined) return dateOf(Number(yearText), place + 1, Number(dayText));
  const thisYear = Number(today.slice(0, 4));
  // The 29th of February may be some years away.
  for (let y = thisYear; y <= thisYear + 8; y += 1) {
    const date = dateOf(y, place + 1, Number(dayText));
    if (date !== null && date >= today) return date;
  }
  return null;
}
