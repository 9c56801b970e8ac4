import { hexFromLab, type Lab, labFromHex } from '../../color/lab';
import { currencyCodes } from '../../kernel/currencies.data';
import { parseLength } from '../../kernel/parseLength';
import { parseMoney } from '../../kernel/parseMoney';
import { parseNumber } from '../../kernel/parseNumber';
import { MM_PER_INCH, type UnitSystem } from '../../kernel/units';
import { plainNumber } from '../table/readTable';
import { undefused } from '../table/writeTable';

/** How a file writes its figures, and what is taken where it does not say. */
export interface FileLocale {
  units: UnitSystem;
  currency: string;
  decimal: '.' | ',';
  /** Local date of today. */
  today: string;
}

/** A cell read, or what would have been accepted. */
export type CellReading<T> = { ok: true; value: T } | { ok: false; accepted: string };

/** One column of a table of the house: how it is headed, recognized, read and written. `R` is what a line becomes. */
export interface Column<R> {
  id: string;
  /** Heading in our own files; a unit stands in parentheses. */
  heading(locale: FileLocale): string;
  /** Further headings that mean it, lower case. */
  words: readonly string[];
  /** Puts a cell that is not empty into the line. `unit` is what the heading says in parentheses. */
  read(cell: string, into: R, locale: FileLocale, unit: string): CellReading<null>;
  write(from: R, locale: FileLocale): string | number;
}

const done: CellReading<null> = { ok: true, value: null };
const no = (accepted: string): CellReading<null> => ({ ok: false, accepted });

/** A column goes by the field of the line that it fills. */
interface Named<R> {
  id: keyof R & string;
  heading: string;
  words?: readonly string[];
}

/** Puts a value into a field; each reader gives what its field takes. */
function put<R>(into: R, field: keyof R, value: unknown): CellReading<null> {
  into[field] = value as R[typeof field];
  return done;
}

/** Text of limited length. */
export function textColumn<R>(named: Named<R> & { most: number; least?: number }): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const text = undefused(cell).trim();
      if (text.length > named.most) return no(`text of at most ${named.most} characters`);
      return put(into, named.id, text);
    },
    write: (from) => String(from[named.id] ?? ''),
  };
}

/** A length, written so finely that it reads back as it was; a bare number is in the unit of the heading, else in that of the studio. */
export function lengthColumn<R>(named: Named<R>): Column<R> {
  return {
    id: named.id,
    heading: ({ units }) => `${named.heading} (${units === 'us' ? 'in' : 'cm'})`,
    words: named.words ?? [],
    read: (cell, into, locale, unit) => {
      const text = plainNumber(cell, locale.decimal);
      const bare = /^[\d.\s/]+$/.test(text) && ['mm', 'cm', 'm', 'in', 'ft'].includes(unit);
      const read = parseLength(bare ? `${text} ${unit}` : text, locale.units);
      if (!read.ok) return no(locale.units === 'us' ? 'a length like 34 1/2 or 80 cm' : 'a length like 80 or 0.8 m');
      return put(into, named.id, Math.round(read.value * 100) / 100);
    },
    write: (from, { units }) => {
      const mm = from[named.id] as number | null;
      return mm === null ? '' : Math.round((mm / (units === 'us' ? MM_PER_INCH : 10)) * 10_000) / 10_000;
    },
  };
}

/** A whole number within limits. */
export function countColumn<R>(named: Named<R> & { least: number; most: number }): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into, locale) => {
      const value = parseNumber(plainNumber(cell, locale.decimal));
      if (value === null || !Number.isInteger(value) || value < named.least || value > named.most)
        return no(`a whole number from ${named.least} to ${named.most}`);
      return put(into, named.id, value);
    },
    write: (from) => (from[named.id] as string | number | null) ?? '',
  };
}

/** A quantity with a unit of its own, by a reader that gives null for what it cannot read. */
export function quantityColumn<R>(
  named: Named<R> & { accepted: string; unitHeading?: (locale: FileLocale) => string },
  read: (text: string, locale: FileLocale, unit: string, into: R) => number | null,
  write: (from: R, locale: FileLocale) => string | number,
): Column<R> {
  return {
    id: named.id,
    heading: (locale) => (named.unitHeading ? `${named.heading} (${named.unitHeading(locale)})` : named.heading),
    words: named.words ?? [],
    read: (cell, into, locale, unit) => {
      const value = read(plainNumber(cell, locale.decimal), locale, unit, into);
      if (value === null) return no(named.accepted);
      return put(into, named.id, value);
    },
    write,
  };
}

/** Money in the currency of the line or the studio; minor units. */
export function moneyColumn<R>(
  named: Named<R>,
  currencyOf: (of: R, locale: FileLocale) => string,
  write: (from: R) => string,
): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into, locale) => {
      const read = parseMoney(plainNumber(cell, locale.decimal), currencyOf(into, locale));
      if (!read.ok) return no('an amount of money like 12.50');
      return put(into, named.id, read.value);
    },
    write,
  };
}

/** A date as ISO writes it, or with days first and points (24.12.2026). A date with slashes is not guessed. */
export function dateColumn<R>(named: Named<R>): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const text = cell.trim();
      const points = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text);
      const iso = points
        ? `${points[3]}-${(points[2] ?? '').padStart(2, '0')}-${(points[1] ?? '').padStart(2, '0')}`
        : text;
      const date = new Date(`${iso}T00:00:00Z`);
      if (!/^\d{4}-\d{2}-\d{2}$/.test(iso) || Number.isNaN(date.getTime()) || date.toISOString().slice(0, 10) !== iso)
        return no('a date like 2026-06-20 or 20.6.2026');
      return put(into, named.id, iso);
    },
    write: (from) => (from[named.id] as string | number | null) ?? '',
  };
}

/** A yes or no; where an empty cell would read as yes, the no is written out. */
export function yesColumn<R>(named: Named<R> & { writesNo?: true }): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const text = cell.trim().toLowerCase();
      const yes = ['yes', 'y', 'true', '1', 'x'].includes(text);
      if (!yes && !['no', 'n', 'false', '0'].includes(text)) return no('yes or no');
      return put(into, named.id, yes);
    },
    write: (from) => (from[named.id] ? 'yes' : named.writesNo ? 'no' : ''),
  };
}

/** One entry of a list, by its id or its name, whatever the case. */
export function entryColumn<R>(
  named: Named<R> & { entries: readonly { id: string; name: string; words?: readonly string[] }[] },
): Column<R> {
  const byWord = new Map<string, string>();
  for (const entry of named.entries)
    for (const word of [...(entry.words ?? []), entry.name, entry.id]) byWord.set(word.toLowerCase(), entry.id);
  const names = named.entries.map((entry) => entry.name);
  const accepted = `one of ${names.slice(0, 12).join(', ')}${names.length > 12 ? ' …' : ''}`;
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const id = byWord.get(cell.trim().toLowerCase());
      if (id === undefined) return no(accepted);
      return put(into, named.id, id);
    },
    write: (from) => {
      const id = from[named.id];
      return named.entries.find((entry) => entry.id === id)?.name ?? '';
    },
  };
}

/** A color by its code, kept in Lab. */
export function colorColumn<R>(named: Named<R>): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const match = /^#?([0-9a-f]{6})$/i.exec(cell.trim());
      return match ? put(into, named.id, labFromHex(`#${match[1]}`)) : no('a color like #2f6f73');
    },
    write: (from) => {
      const lab = from[named.id] as Lab | null;
      return lab ? hexFromLab(lab) : '';
    },
  };
}

/** A currency by its code. */
export function currencyColumn<R extends { currency: string }>(): Column<R> {
  return {
    id: 'currency',
    heading: () => 'Currency',
    words: ['cur'],
    read: (cell, into) => {
      const code = cell.trim().toUpperCase();
      if (!(currencyCodes as readonly string[]).includes(code)) return no('a currency code like USD');
      return put(into, 'currency', code);
    },
    write: (from) => from.currency,
  };
}

/** What a heading says without its unit, and the unit. */
function headingParts(field: string): { word: string; unit: string } {
  const match = /^(.*?)\s*(?:[([]\s*([^)\]]*?)\s*[)\]])?$/.exec(field.trim().toLowerCase());
  return { word: (match?.[1] ?? '').replace(/[\s_-]+/g, ' ').trim(), unit: match?.[2] ?? '' };
}

/** Which column each field of a file is taken for: by its heading, in any case, with or without a unit; null for none. */
export function proposeMapping<R>(
  fields: readonly string[],
  columns: readonly Column<R>[],
  locale: FileLocale,
): (string | null)[] {
  const byWord = new Map<string, string>();
  for (const column of columns)
    for (const word of [headingParts(column.heading(locale)).word, column.id.toLowerCase(), ...column.words])
      if (!byWord.has(word)) byWord.set(word, column.id);
  const given = new Set<string>();
  return fields.map((field) => {
    const id = byWord.get(headingParts(field).word) ?? null;
    if (id === null || given.has(id)) return null;
    given.add(id);
    return id;
  });
}

/** A refused cell by its heading. */
export interface CellProblem {
  field: string;
  value: string;
  accepted: string;
}

/** Reads one line's cells into `into` by a mapping; cells that are empty leave it as it is. */
export function readLine<R>(
  fields: readonly string[],
  cells: readonly string[],
  mapping: readonly (string | null)[],
  columns: ReadonlyMap<string, Column<R>>,
  into: R,
  locale: FileLocale,
): CellProblem[] {
  const problems: CellProblem[] = [];
  // What a thing is and its currency are read first, since amounts are read by them.
  const early = (index: number) => Number(mapping[index] === 'currency' || mapping[index] === 'kindId');
  const order = mapping.map((_, index) => index).sort((a, b) => early(b) - early(a));
  for (const index of order) {
    const id = mapping[index];
    const column = id === null || id === undefined ? undefined : columns.get(id);
    const cell = cells[index] ?? '';
    if (!column || cell.trim() === '') continue;
    const field = fields[index] ?? '';
    const reading = column.read(cell, into, locale, headingParts(field).unit);
    if (!reading.ok) problems.push({ field, value: cell.slice(0, 80), accepted: reading.accepted });
  }
  return problems;
}
