import { type Reference, referencesOf } from '../../model/derive/references';
import { allEntities, type ChangedTable, isTable, rowEntities } from '../../model/entities';
import { type AnyRow, isProject, rowsOf, type Workspace } from '../changes';
import type { Breach, Invariant } from './invariant';
import { idsOf, ofList, ofLists } from './ofList';

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

/** Ids that a list of rows gives twice. */
const givenTwice = ofList((list) => {
  const seen = new Set<string>();
  return list.filter((row) => seen.size === seen.add(row.id).size).map((row) => row.id);
});

/** Ids of a list that an earlier list gives too. */
const givenBefore = ofLists((list, earlier) => {
  const ids = idsOf(list);
  return earlier.flatMap((other) => {
    const others = idsOf(other);
    const [fewer, more] = ids.size <= others.size ? [ids, others] : [others, ids];
    return [...fewer].filter((id) => more.has(id));
  });
});

const idBreach = (table: ChangedTable, id: string): Breach => ({
  table,
  id,
  path: ['id'],
  field: 'id',
  value: id,
  accepted: 'an id that no other row has',
  weight: 1,
});

/** The check of one table: which tables its rows refer to, and which of their references lead nowhere. */
function checkOf(table: ChangedTable) {
  const targets = ofList((list) => [
    ...new Set(list.flatMap((row) => keptReferences(table, row).map((reference) => reference.table)).filter(isTable)),
  ]);
  const dangling = ofLists((list, targetLists): Breach[] => {
    const ids = new Map(targets(list).map((target, n) => [target, targetLists[n] ?? NOT_KNOWN]));
    return list.flatMap((row) =>
      keptReferences(table, row).flatMap((reference): Breach[] => {
        const there = isTable(reference.table) ? (ids.get(reference.table) ?? NOT_KNOWN) : NOT_KNOWN;
        if (there === NOT_KNOWN || idsOf(there).has(reference.id)) return [];
        return [
          {
            table,
            id: row.id,
            path: reference.path,
            field: `${nounOf(table)} “${nameOf(row)}”: ${reference.path.join('.')}`,
            value: reference.id,
            accepted: `a ${nounOf(reference.table)} that is still there`,
            weight: 1,
            target: { table: reference.table, id: reference.id },
          },
        ];
      }),
    );
  });
  return { targets, dangling };
}

/** Stands for a table that a workspace does not hold: the house alone has no rows of projects. */
const NOT_KNOWN: readonly AnyRow[] = [];

const checks = new Map(rowEntities.map(({ table }) => [table as ChangedTable, checkOf(table)]));

/** Every reference leads to a row that exists, and no id is given twice. Lists that an act leaves alone are not checked again. */
export const references: Invariant = {
  id: 'references',
  breaches: (rows) => {
    const tables = tablesOf(rows);
    const lists = new Map(tables);
    return tables.flatMap(([table, list], n) => {
      const earlier = tables.slice(0, n).map(([, other]) => other);
      const twice = [...givenTwice(list), ...givenBefore(list, earlier)].map((id) => idBreach(table, id));
      const looker = checks.get(table);
      if (!looker) return twice;
      const targetLists = looker.targets(list).map((target) => lists.get(target) ?? NOT_KNOWN);
      return [...twice, ...looker.dangling(list, targetLists)];
    });
  },
};

/** What a person calls a row: its name, its number, else its id. */
export const nameOf = (row: AnyRow): string => String(row.name ?? row.what ?? row.key ?? row.id);

/** The project's row as a list, the same one as long as it is the same row. */
const projectLists = new WeakMap<AnyRow, readonly AnyRow[]>();

function projectList(project: AnyRow): readonly AnyRow[] {
  const known = projectLists.get(project) ?? [project];
  projectLists.set(project, known);
  return known;
}

function tablesOf(rows: Workspace): [ChangedTable, readonly AnyRow[]][] {
  const lists = rowEntities
    .filter((entity) => entity.table in rows)
    .map(({ table }): [ChangedTable, readonly AnyRow[]] => [table, rowsOf(rows, table)]);
  return isProject(rows) ? [['project', projectList(rows.project as AnyRow)], ...lists] : lists;
}
