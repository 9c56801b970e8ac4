import { sameValue } from '@core/kernel/sameValue';
import type { ProjectRows } from '@core/model/rows';

/**
 * A project's rows as they are now, with the very objects of its earlier rows wherever those say the same: what was
 * computed from a row is found again by the row itself.
 */
export function keptRows(before: ProjectRows, now: ProjectRows): ProjectRows {
  const tables = Object.entries(now).map(([name, value]) => [name, kept(before[name as keyof ProjectRows], value)]);
  return Object.fromEntries(tables) as ProjectRows;
}

const kept = (before: unknown, now: unknown): unknown =>
  isTable(before) && isTable(now) ? keptTable(before, now) : sameValue(before, now) ? before : now;

function keptTable(before: Table, now: Table): Table {
  const known = new Map(before.map((row) => [row.id, row]));
  const rows = now.map((row) => {
    const earlier = known.get(row.id);
    return earlier !== undefined && sameValue(earlier, row) ? earlier : row;
  });
  return rows.length === before.length && rows.every((row, n) => row === before[n]) ? before : rows;
}

type Table = readonly { id: unknown }[];
const isTable = (value: unknown): value is Table =>
  Array.isArray(value) && value.every((row) => typeof row === 'object' && row !== null && 'id' in row);
