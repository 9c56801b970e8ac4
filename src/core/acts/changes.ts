import type { ChangedTable, HouseRows, ProjectRow, ProjectRows, Row, RowOf, TableName } from '../model/rows';

/** A row of any table, as data. */
export type AnyRow = Row & Record<string, unknown>;

/**
 * One change to one row, as data: decided once, applied by the page at once and by the server for good. `restore`
 * brings back a removed row as it was; only taking an act back does that.
 */
export type RowChange =
  | { table: ChangedTable; op: 'insert'; row: AnyRow }
  | { table: ChangedTable; op: 'update'; id: string; values: Record<string, unknown> }
  | { table: ChangedTable; op: 'remove'; id: string }
  | { table: ChangedTable; op: 'restore'; row: AnyRow };

/** Rows that an act works on: a project with the house beneath it, or the house alone. */
export type Workspace = ProjectRows | HouseRows;

/** An insert of a typed row. */
export function insert<T extends TableName>(table: T, row: Omit<RowOf<T>, 'version'>): RowChange {
  return { table, op: 'insert', row: { ...row, version: 1 } as AnyRow };
}

/** An update of some fields of a typed row. */
export function update<T extends TableName>(
  table: T,
  id: string,
  values: Partial<Omit<RowOf<T>, 'id' | 'version'>>,
): RowChange {
  return { table, op: 'update', id, values: values as Record<string, unknown> };
}

/** An update of some fields of the project itself. */
export function updateProject(id: string, values: Partial<Omit<ProjectRow, 'id' | 'version'>>): RowChange {
  return { table: 'project', op: 'update', id, values: values as Record<string, unknown> };
}

/** A removal; the row stays in the database, marked as removed. */
export function remove(table: TableName, id: string): RowChange {
  return { table, op: 'remove', id };
}

/** The id of the row that a change is about. */
export const idOf = (change: RowChange): string =>
  change.op === 'insert' || change.op === 'restore' ? change.row.id : change.id;

/** Whether a workspace is a project's. */
export const isProject = (rows: Workspace): rows is ProjectRows => 'project' in rows;

/** The rows of a table, whatever its type; none where the workspace does not have the table. */
export function rowsOf(rows: Workspace, table: TableName): readonly AnyRow[] {
  return ((rows as unknown as Record<string, readonly AnyRow[] | undefined>)[table] ?? []) as readonly AnyRow[];
}

/** A row as it stands, or null when it is not there. */
export function rowIn(rows: Workspace, table: ChangedTable, id: string): AnyRow | null {
  if (table === 'project') return isProject(rows) && rows.project.id === id ? (rows.project as AnyRow) : null;
  return rowsOf(rows, table).find((row) => row.id === id) ?? null;
}

/** Rows after the changes, inputs untouched; an update raises the row's version by one. Linear in rows and changes. */
export function applyChanges<W extends Workspace>(rows: W, changes: readonly RowChange[]): W {
  const result = { ...rows } as W;
  const byTable = new Map<TableName, Map<string, AnyRow>>();
  const tableOf = (table: TableName): Map<string, AnyRow> => {
    const known = byTable.get(table);
    if (known) return known;
    const made = new Map(rowsOf(rows, table).map((row) => [row.id, row]));
    byTable.set(table, made);
    return made;
  };
  for (const change of changes) {
    if (change.table === 'project') {
      // A project that is made or removed changes what is open, not what is in it.
      if (change.op === 'update' && isProject(result))
        result.project = { ...result.project, ...change.values, version: result.project.version + 1 } as ProjectRow;
      continue;
    }
    const table = tableOf(change.table);
    switch (change.op) {
      case 'insert':
      case 'restore':
        table.delete(change.row.id);
        table.set(change.row.id, change.row);
        break;
      case 'update': {
        const before = table.get(change.id);
        if (before) table.set(change.id, { ...before, ...change.values, version: before.version + 1 });
        break;
      }
      case 'remove':
        table.delete(change.id);
        break;
      default:
        change satisfies never;
    }
  }
  for (const [table, list] of byTable)
    (result as unknown as Record<string, readonly AnyRow[]>)[table] = [...list.values()];
  return result;
}
