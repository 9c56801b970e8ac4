import { MS_PER_DAY } from '../kernel/units';

/** A local date (2026-06-01) as a number of days, for counting between dates. */
export const dayNumber = (date: string): number =>
  Date.UTC(Number(date.slice(0, 4)), Number(date.slice(5, 7)) - 1, Number(date.slice(8, 10))) / MS_PER_DAY;

/** The local date so many days after another; before it where the number is negative. */
export const dateAfter = (date: string, days: number): string =>
  new Date((dayNumber(date) + days) * MS_PER_DAY).toISOString().slice(0, 10);

/** Whole days from one local date to a later one; negative where it is earlier. */
export const daysBetween = (from: string, until: string): number => dayNumber(until) - dayNumber(from);
