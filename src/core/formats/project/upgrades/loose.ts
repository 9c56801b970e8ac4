/** Parsed JSON of an older shape: nothing is known of it but that it was JSON. */
export type Loose = Record<string, unknown>;

/** Whether a value is an object with fields, and neither a list nor null. */
export const isObject = (value: unknown): value is Loose =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** Each row of a list changed; what is no list, or no row, is left for the schema to refuse. */
export function eachRow(list: unknown, change: (row: Loose) => Loose): unknown {
  return Array.isArray(list) ? list.map((row: unknown) => (isObject(row) ? change(row) : row)) : list;
}

/** The rows of a list as far as they are any. */
export const rowsIn = (list: unknown): Loose[] => (Array.isArray(list) ? list.filter(isObject) : []);

/** Adds fields that a row does not have yet. */
export const withDefaults = (list: unknown, defaults: Loose): unknown =>
  eachRow(list, (row) => ({ ...defaults, ...row }));

/** An id made from another: the same again each time a file is read. */
export const derivedId = (id: unknown, mark: number): string =>
  String(id).replace(/^[0-9a-f]/i, (digit) => (Number.parseInt(digit, 16) ^ mark).toString(16));
