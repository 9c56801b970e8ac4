import { currencyCodes } from '../../kernel/currencies.data';
import { parseLength } from '../../kernel/parseLength';
import { parseMoney } from '../../kernel/parseMoney';
import { parseNumber } from '../../kernel/parseQuantity';
import { MM_PER_INCH, type UnitSystem } from '../../kernel/units';
import { plainNumber } from '../table/readTable';
import { undefused } from '../table/writeTable';

/** How a file writes its figures, and what is taken where it does not say. */
export interface FileRim {
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
  heading(rim: FileRim): string;
  /** Further headings that mean it, lower case. */
  words: readonly string[];
  /** Puts a cell that is not empty into the line. `unit` is what the heading says in parentheses. */
  read(cell: string, into: R, rim: FileRim, unit: string): CellReading<null>;
  write(from: R, rim: FileRim): string | number;
}

const done: CellReading<null> = { ok: true, value: null };
const no = (accepted: string): CellReading<null> => ({ ok: false, accepted });

type Setter<R, T> = (into: R, value: T) => void;
type Getter<R, T> = (from: R) => T;

interface Named {
  id: string;
  heading: string;
  words?: readonly string[];
}

/** Text of limited length. */
export function textColumn<R>(
  named: Named & { most: number; least?: number },
  set: Setter<R, string>,
  get: Getter<R, string>,
): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const text = undefused(cell).trim();
      if (text.length > named.most) return no(`text of at most ${named.most} characters`);
      set(into, text);
      return done;
    },
    write: get,
  };
}

/** A length, written so finely that it reads back as it was; a bare number is in the unit of the heading, else in that of the studio. */
export function lengthColumn<R>(named: Named, set: Setter<R, number>, get: Getter<R, number | null>): Column<R> {
  return {
    id: named.id,
    heading: ({ units }) => `${named.heading} (${units === 'us' ? 'in' : 'cm'})`,
    words: named.words ?? [],
    read: (cell, into, rim, unit) => {
      const text = plainNumber(cell, rim.decimal);
      const bare = /^[\d.\s/]+$/.test(text) && ['mm', 'cm', 'm', 'in', 'ft'].includes(unit);
      const read = parseLength(bare ? `${text} ${unit}` : text, rim.units);
      if (!read.ok) return no(rim.units === 'us' ? 'a length like 34 1/2 or 80 cm' : 'a length like 80 or 0.8 m');
      set(into, Math.round(read.value * 100) / 100);
      return done;
    },
    write: (from, { units }) => {
      const mm = get(from);
      return mm === null ? '' : Math.round((mm / (units === 'us' ? MM_PER_INCH : 10)) * 10_000) / 10_000;
    },
  };
}

/** A whole number within limits. */
export function countColumn<R>(
  named: Named & { least: number; most: number },
  set: Setter<R, number>,
  get: Getter<R, number | null>,
): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into, rim) => {
      const value = parseNumber(plainNumber(cell, rim.decimal));
      if (value === null || !Number.isInteger(value) || value < named.least || value > named.most)
        return no(`a whole number from ${named.least} to ${named.most}`);
      set(into, value);
      return done;
    },
    write: (from) => get(from) ?? '',
  };
}

/** A quantity with a unit of its own, by a reader that gives null for what it cannot read. */
export function quantityColumn<R>(
  named: Named & { accepted: string; unitHeading?: (rim: FileRim) => string },
  read: (text: string, rim: FileRim, unit: string, into: R) => number | null,
  set: Setter<R, number>,
  write: (from: R, rim: FileRim) => string | number,
): Column<R> {
  return {
    id: named.id,
    heading: (rim) => (named.unitHeading ? `${named.heading} (${named.unitHeading(rim)})` : named.heading),
    words: named.words ?? [],
    read: (cell, into, rim, unit) => {
      const value = read(plainNumber(cell, rim.decimal), rim, unit, into);
      if (value === null) return no(named.accepted);
      set(into, value);
      return done;
    },
    write,
  };
}

/** Money in the currency of the line or the studio; minor units. */
export function moneyColumn<R>(
  named: Named,
  currencyOf: (of: R, rim: FileRim) => string,
  set: Setter<R, number>,
  write: (from: R) => string,
): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into, rim) => {
      const read = parseMoney(plainNumber(cell, rim.decimal), currencyOf(into, rim));
      if (!read.ok) return no('an amount of money like 12.50');
      set(into, read.value);
      return done;
    },
    write,
  };
}

/** A date as ISO writes it, or with days first and points (24.12.2026). A date with slashes is not guessed. */
export function dateColumn<R>(named: Named, set: Setter<R, string>, get: Getter<R, string | null>): Column<R> {
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
      set(into, iso);
      return done;
    },
    write: (from) => get(from) ?? '',
  };
}

/** Yes or no. */
export function yesColumn<R>(named: Named, set: Setter<R, boolean>, get: Getter<R, boolean>): Column<R> {
  return {
    id: named.id,
    heading: () => named.heading,
    words: named.words ?? [],
    read: (cell, into) => {
      const text = cell.trim().toLowerCase();
      const yes = ['yes', 'y', 'true', '1', 'x'].includes(text);
      if (!yes && !['no', 'n', 'false', '0'].includes(text)) return no('yes or no');
      set(into, yes);
      return done;
    },
    write: (from) => (get(from) ? 'yes' : ''),
  };
}

/** One entry of a list, by its id or its name, whatever the case. */
export function entryColumn<R>(
  named: Named & { entries: readonly { id: string; name: string; words?: readonly string[] }[] },
  set: Setter<R, string>,
  get: Getter<R, string | null>,
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
      set(into, id);
      return done;
    },
    write: (from) => {
      const id = get(from);
      return named.entries.find((entry) => entry.id === id)?.name ?? '';
    },
  };
}

/** A currency by its code. */
export function currencyColumn<R>(set: Setter<R, string>, get: Getter<R, string>): Column<R> {
  return {
    id: 'currency',
    heading: () => 'Currency',
    words: ['cur'],
    read: (cell, into) => {
      const code = cell.trim().toUpperCase();
      if (!(currencyCodes as readonly string[]).includes(code)) return no('a currency code like USD');
      set(into, code);
      return done;
    },
    write: get,
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
  rim: FileRim,
): (string | null)[] {
  const byWord = new Map<string, string>();
  for (const column of columns)
    for (const word of [headingParts(column.heading(rim)).word, column.id.toLowerCase(), ...column.words])
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
  rim: FileRim,
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
    const reading = column.read(cell, into, rim, headingParts(field).unit);
    if (!reading.ok) problems.push({ field, value: cell.slice(0, 80), accepted: reading.accepted });
  }
  return problems;
}
