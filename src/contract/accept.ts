import { z } from 'zod';

// The page's content security policy allows no generated code; schemas are walked instead.
z.config({ jitless: true });

/**
 * Building blocks of all schemas. Every constraint's message says what would be accepted, so that a refused field can
 * be told as field, value, accepted.
 */
export const id = z.uuid({ error: 'an id made by the device (UUID)' });
export const version = z.int({ error: 'a version number' }).min(1, 'a version number from 1');

/** One line of text, trimmed, of limited length. */
export function line(least: number, most: number) {
  const accepted = least > 0 ? `text of ${least} to ${most} characters` : `text of at most ${most} characters`;
  return z.string({ error: accepted }).trim().min(least, accepted).max(most, accepted);
}

/** A whole number within limits. */
export function wholeNumber(least: number, most: number, what = 'a whole number') {
  const accepted = `${what} from ${least} to ${most}`;
  return z.int({ error: accepted }).min(least, accepted).max(most, accepted);
}

/** A number within limits. */
export function number(least: number, most: number, what = 'a number') {
  const accepted = `${what} from ${least} to ${most}`;
  return z.number({ error: accepted }).min(least, accepted).max(most, accepted);
}

/** A moment in epoch milliseconds. */
export const moment = wholeNumber(0, 9_000_000_000_000, 'a moment');

/** Money in minor units, never negative. */
export const minorUnits = wholeNumber(0, 100_000_000_000, 'an amount in minor units');

/** One of a closed list of words. */
export function oneOf<const T extends readonly [string, ...string[]]>(values: T) {
  return z.enum(values, { error: `one of ${values.join(', ')}` });
}

/** One id of a registry. */
export function registered(registry: { ids: readonly string[] }) {
  const accepted = `one of ${registry.ids.join(', ')}`;
  return z.string({ error: accepted }).refine((value) => registry.ids.includes(value), { error: accepted });
}

/** A local date that exists, YYYY-MM-DD. */
export const localDate = z.string({ error: 'a date like 2026-06-20' }).refine(
  (value) => {
    const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(value);
    if (!match) return false;
    const [year, month, day] = match.slice(1).map(Number) as [number, number, number];
    const date = new Date(Date.UTC(year, month - 1, day));
    return date.getUTCMonth() === month - 1 && date.getUTCDate() === day && year >= 1900;
  },
  { error: 'a date like 2026-06-20' },
);
