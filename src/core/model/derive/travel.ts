import { allEntities, type ChangedTable, entityOf, isTable, rowEntities } from '../entities';
import type { Row } from '../entity';
import type { StoredRows } from '../rows';
import { type Reference, referencesOf, withReferences } from './references';

type AnyRow = Row & Record<string, unknown>;

/** Whether a reference points to something that stays behind whatever happens: pictures, and what never travels. */
const staysBehind = ({ table }: Reference): boolean => !isTable(table) || entityOf(table).travels === 'never';

/**
 * The rows of a project that go along in its file: its own, and of the house's those that they refer to, with what
 * belongs to those. What refers to something that stays behind goes without it.
 */
export function travelling(rows: StoredRows): StoredRows {
  const tables = rows as unknown as Record<string, readonly AnyRow[]>;
  const taken = new Map<ChangedTable, Set<string>>(allEntities.map(({ table }) => [table, new Set()]));
  const found = new Map<string, { table: ChangedTable; row: AnyRow }>();
  const references = new Map<AnyRow, readonly Reference[]>();
  const pointers = (table: ChangedTable, row: AnyRow): readonly Reference[] => {
    const made = references.get(row) ?? referencesOf(table, row).filter((reference) => !staysBehind(reference));
    references.set(row, made);
    return made;
  };
  for (const { table } of rowEntities)
    for (const row of tables[table] ?? []) found.set(`${table}:${row.id}`, { table, row });
  const waiting: { table: ChangedTable; row: AnyRow }[] = [];
  const take = (table: ChangedTable, row: AnyRow) => {
    if (taken.get(table)?.has(row.id)) return;
    taken.get(table)?.add(row.id);
    waiting.push({ table, row });
  };
  /** Takes what the taken rows point to, until nothing more comes along. */
  const follow = () => {
    for (let next = waiting.pop(); next; next = waiting.pop())
      for (const { table, id } of pointers(next.table, next.row)) {
        const target = found.get(`${table}:${id}`);
        if (target) take(target.table, target.row);
      }
  };
  take('project', rows.project as AnyRow);
  for (const { table, travels } of rowEntities)
    if (travels === 'always') for (const row of tables[table] ?? []) take(table, row);
  follow();
  // Companions come when all that they speak of is there; one may be what the next one waits for.
  for (let before = -1; before !== count(taken); ) {
    before = count(taken);
    for (const { table, travels } of rowEntities)
      if (travels === 'companion')
        for (const row of tables[table] ?? [])
          if (pointers(table, row).every((to) => taken.get(to.table as ChangedTable)?.has(to.id))) take(table, row);
    follow();
  }
  const without = (table: ChangedTable, row: AnyRow) =>
    withReferences(table, row, (reference) => (staysBehind(reference) ? null : reference.id));
  const lists = rowEntities.map(({ table }) => [
    table,
    (tables[table] ?? []).filter((row) => taken.get(table)?.has(row.id)).map((row) => without(table, row)),
  ]);
  return { ...Object.fromEntries(lists), project: without('project', rows.project as AnyRow) } as StoredRows;
}

/**
 * A row as a file says it, with what stayed behind when the file was written: where the row that is here points to a
 * picture and the file's row says nothing at that place, the pointer stays.
 */
export function withWhatStayedBehind(table: ChangedTable, wanted: AnyRow, present: AnyRow): AnyRow {
  return referencesOf(table, present)
    .filter((reference) => staysBehind(reference) && reference.path[0] !== 'id')
    .reduce((row, { path, id }) => putWhereNothingIs(row, path, id) as AnyRow, wanted);
}

/** A value with an id at a path, if what holds the path is there and the path itself is empty. */
function putWhereNothingIs(value: unknown, [step, ...rest]: readonly (string | number)[], id: string): unknown {
  if (step === undefined) return value === null ? id : value;
  if (value === null || typeof value !== 'object' || !(step in value)) return value;
  const before = (value as Record<string | number, unknown>)[step];
  const after = putWhereNothingIs(before, rest, id);
  if (after === before) return value;
  return Array.isArray(value) ? value.map((entry, n) => (n === step ? after : entry)) : { ...value, [step]: after };
}

const count = (taken: ReadonlyMap<string, ReadonlySet<string>>) =>
  [...taken.values()].reduce((sum, ids) => sum + ids.size, 0);
