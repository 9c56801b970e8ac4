import { type Reference, referencesOf } from '../../model/derive/references';
import { allEntities, type ChangedTable, isTable, rowEntities } from '../../model/entities';
import { type AnyRow, isProject, rowsOf, type Workspace } from '../changes';
import type { Breach, Invariant } from './invariant';

const known = new WeakMap<AnyRow, readonly Reference[]>();

/** The references of a row; a row is never changed, so they are kept beside it. */
export function keptReferences(table: ChangedTable, row: AnyRow): readonly Reference[] {
  const before = known.get(row);
  if (before) return before;
  const found = referencesOf(table, row);
  known.set(row, found);
  return found;
}

const nounOf = (table: string) => allEntities.find((entity) => entity.table === table)?.noun ?? table;

/** Whatever a row points to is there; ids are given once. */
export const references: Invariant = {
  id: 'references',
  breaches: (rows) => {
    const breaches: Breach[] = [];
    const tables = tablesOf(rows);
    const ids = new Map<string, ReadonlySet<string>>();
    const seen = new Set<string>();
    for (const [table, list] of tables) {
      ids.set(table, new Set(list.map((row) => row.id)));
      for (const row of list) {
        if (seen.has(row.id))
          breaches.push({
            table,
            id: row.id,
            path: ['id'],
            field: 'id',
            value: row.id,
            accepted: 'an id that no other row has',
            weight: 1,
          });
        seen.add(row.id);
      }
    }
    for (const [table, list] of tables)
      for (const row of list)
        for (const reference of keptReferences(table, row)) {
          if (!isTable(reference.table) || ids.get(reference.table)?.has(reference.id)) continue;
          // The house does not know the rows of projects.
          if (!isProject(rows) && !ids.has(reference.table)) continue;
          breaches.push({
            table,
            id: row.id,
            path: reference.path,
            field: `${nounOf(table)} “${nameOf(row)}”: ${reference.path.join('.')}`,
            value: reference.id,
            accepted: `a ${nounOf(reference.table)} that is still there`,
            weight: 1,
            target: { table: reference.table, id: reference.id },
          });
        }
    return breaches;
  },
};

/** What a person calls a row: its name, its number, else its id. */
export const nameOf = (row: AnyRow): string => String(row.name ?? row.what ?? row.key ?? row.id);

function tablesOf(rows: Workspace): [ChangedTable, readonly AnyRow[]][] {
  const lists = rowEntities
    .filter((entity) => entity.table in rows)
    .map(({ table }): [ChangedTable, readonly AnyRow[]] => [table, rowsOf(rows, table)]);
  return isProject(rows) ? [['project', [rows.project as AnyRow]], ...lists] : lists;
}
