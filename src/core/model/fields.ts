import { z } from 'zod';

// The page's content security policy allows no generated code; schemas are walked instead.
z.config({ jitless: true });

/** What a field is beyond its form: how a table keeps it, and what it refers to. */
export interface FieldFacts {
  /** How a column keeps it, where the form alone does not say. */
  column?: 'uuid' | 'date' | 'bigint' | 'lab' | 'subject';
  /** The table that this id points into. */
  refersTo?: string;
  /** The table that this id pointed into when it was noted: what it names may be gone by now, and nothing is kept for it. */
  onceReferredTo?: string;
  /** Ids that stand inside a text: into which tables, and how they are read. */
  idsIn?: { tables: readonly string[]; read(text: string): readonly { table: string; id: string }[] };
}

/** Facts about fields, kept beside their schemas. */
export const fieldFacts = z.registry<FieldFacts>();

/**
 * Building blocks of all schemas. Every constraint's message says what would be accepted, so that a refused field can
 * be told as field, value, accepted.
 */
const uuid = () => z.uuid({ error: 'an id made by the device (UUID)' }).register(fieldFacts, { column: 'uuid' });
export const id = uuid();
export const version = z.int({ error: 'a version number' }).min(1, 'a version number from 1').max(2_000_000_000);

/** How an id reads wherever it stands in a text: for JavaScript and for PostgreSQL alike. */
export const UUID_PATTERN = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';

/** An id that points to a row of another table; the table is checked when the entities are put together. */
export function refersTo(table: string) {
  return z.uuid({ error: 'an id made by the device (UUID)' }).register(fieldFacts, { column: 'uuid', refersTo: table });
}

/**
 * An id of a row that may be gone: what is kept of a day speaks of what there was. Nobody checks that the row is there, it
 * comes along nowhere for this, and is not kept for it; a copy that gives the row a new id says that one.
 */
export function onceReferredTo(table: string) {
  return z
    .uuid({ error: 'an id made by the device (UUID)' })
    .register(fieldFacts, { column: 'uuid', onceReferredTo: table });
}

/** A NUL, or half of a character that takes two: nothing can keep or show such a text. */
const UNKEPT = /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

/** Whether a text holds only characters that can be kept and shown. */
export const isKeepable = (text: string) => !UNKEPT.test(text);

/** Text of limited length, trimmed. */
function text(least: number, most: number) {
  const accepted = least > 0 ? `text of ${least} to ${most} characters` : `text of at most ${most} characters`;
  return z
    .string({ error: accepted })
    .refine(isKeepable, { error: 'text without characters that nothing can show' })
    .trim()
    .min(least, accepted)
    .max(most, accepted);
}

/** One line of text: a line break in it becomes a space. */
export function line(least: number, most: number) {
  return text(least, most).overwrite((value) => value.replace(/\s*[\r\n\u2028\u2029]+\s*/g, ' '));
}

/** Text that may have several lines. */
export function paragraph(least: number, most: number) {
  return text(least, most);
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

/** The most that one amount of money may be, in minor units. */
export const MOST_MONEY = 100_000_000_000;

/** Money in minor units, never negative. */
export const minorUnits = wholeNumber(0, MOST_MONEY, 'an amount in minor units');

/** Percent in thousandths of a percent. */
export const percentThousandths = (most: number) => wholeNumber(0, most, 'a percentage in thousandths');

export const yesNo = z.boolean({ error: 'yes or no' });

/** One of a closed list of words. */
export function oneOf<const T extends readonly [string, ...string[]]>(values: T) {
  return z.enum(values, { error: `one of ${values.join(', ')}` });
}

/** One of the keys of a table. */
export function keyOf<T extends Readonly<Record<string, unknown>>>(table: T) {
  const keys = Object.keys(table) as [string & keyof T, ...(string & keyof T)[]];
  return z.enum(keys, { error: `one of ${keys.join(', ')}` });
}

/** One id of a registry. */
export function registered(registry: { ids: readonly string[] }) {
  const accepted = `one of ${registry.ids.join(', ')}`;
  return z.string({ error: accepted }).refine((value) => registry.ids.includes(value), { error: accepted });
}

/** Whether a text is a local date that exists, YYYY-MM-DD. */
export function isLocalDate(value: string): boolean {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(value);
  if (!match) return false;
  const [year, month, day] = match.slice(1).map(Number) as [number, number, number];
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day && year >= 1900;
}

/** A local date that exists, YYYY-MM-DD. */
export const localDate = z
  .string({ error: 'a date like 2026-06-20' })
  .refine(isLocalDate, { error: 'a date like 2026-06-20' })
  .register(fieldFacts, { column: 'date' });

/** A local date, or an empty text while nobody said. */
export const dateOrNothing = z.union([z.literal(''), localDate], { error: 'a date like 2026-06-20, or nothing' });
