import { MS_PER_DAY, MS_PER_MINUTE } from '../kernel/units';
/** A wall-clock moment in a time zone; month and day start at 1, weekday 0 is Sunday. */
export interface ZonedMoment {
  year: number;
  month: number;
  day: number;
  hour: number;
  minute: number;
  weekday: number;
}

const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterFor(timeZone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(timeZone);
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formatters.set(timeZone, formatter);
  }
  return formatter;
}

/** Whether the running platform knows this IANA time zone name. */
export function isTimeZone(timeZone: string): boolean {
  try {
    formatterFor(timeZone);
    return true;
  } catch {
    return false;
  }
}

/**
 * The wall clock in `timeZone` at an instant (epoch milliseconds).
 * @param timeZone an IANA name
 * @throws RangeError for a name that the platform does not know
 * @example 2026-06-02T02:00Z in New York → June 1, 22:00, a Monday
 */
export function zonedMoment(instantMs: number, timeZone: string): ZonedMoment {
  const parts: Record<string, number> = {};
  for (const part of formatterFor(timeZone).formatToParts(instantMs)) {
    if (part.type !== 'literal') parts[part.type] = Number(part.value);
  }
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0 } = parts;
  return { year, month, day, hour, minute, weekday: new Date(Date.UTC(year, month - 1, day)).getUTCDay() };
}

/** How far a zone's clock is ahead of UTC at an instant, in milliseconds. */
function offsetMs(instantMs: number, timeZone: string): number {
  const minute = Math.floor(instantMs / MS_PER_MINUTE);
  let offsets = knownOffsets.get(timeZone);
  if (!offsets) {
    offsets = new Map();
    knownOffsets.set(timeZone, offsets);
  }
  let offset = offsets.get(minute);
  if (offset === undefined) {
    const m = zonedMoment(instantMs, timeZone);
    offset = Date.UTC(m.year, m.month - 1, m.day, m.hour, m.minute) - minute * MS_PER_MINUTE;
    if (offsets.size >= MOST_OFFSETS) offsets.clear();
    offsets.set(minute, offset);
  }
  return offset;
}

/** Asking the platform takes long, and the same evenings are asked for again and again. */
const knownOffsets = new Map<string, Map<number, number>>();
const MOST_OFFSETS = 4096;

/**
 * The local day that an instant falls on, counted from 1970-01-01; two instants of one local day have the same.
 * @param instantMs epoch milliseconds
 * @returns whole days, negative before 1970
 */
export function localDay(instantMs: number, timeZone: string): number {
  return Math.floor((instantMs + offsetMs(instantMs, timeZone)) / MS_PER_DAY);
}

/**
 * The calendar date of an instant in a time zone, as YYYY-MM-DD.
 * @param instantMs epoch milliseconds
 * @example 2026-06-02T02:00Z in New York → 2026-06-01
 */
export function localDate(instantMs: number, timeZone: string): string {
  return new Date(localDay(instantMs, timeZone) * MS_PER_DAY).toISOString().slice(0, 10);
}

/**
 * The instant of a wall-clock time. A time skipped by a clock change gives the instant after the gap;
 * a repeated one gives the first. `minuteOfDay` may run past 1440 into the next days.
 * @param month 1 to 12; a day beyond its month runs into the next
 * @returns epoch milliseconds
 * @example New York, March 8 2026 at 2:30, which the clocks skip → 7:30 UTC, 3:30 there
 */
export function instantOf(year: number, month: number, day: number, minuteOfDay: number, timeZone: string): number {
  const wall = Date.UTC(year, month - 1, day) + minuteOfDay * MS_PER_MINUTE;
  // No zone changes its clock twice within two days: a day before and a day after give every offset in question.
  const before = wall - offsetMs(wall - MS_PER_DAY, timeZone);
  const after = wall - offsetMs(wall + MS_PER_DAY, timeZone);
  if (before === after) return before;
  const shows = (instant: number) => instant + offsetMs(instant, timeZone) === wall;
  const fitting = [before, after].filter(shows);
  return fitting.length > 0 ? Math.min(...fitting) : before;
}

/**
 * The instant at which a calendar day begins.
 * @param date YYYY-MM-DD
 * @returns epoch milliseconds
 */
export function dayBegins(date: string, timeZone: string): number {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  return instantOf(year, month, day, 0, timeZone);
}
