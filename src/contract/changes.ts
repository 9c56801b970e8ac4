import type { ProjectRow, ProjectRows, Row } from '@core/plan/rows';
import type { RowOf, TableName } from './rows';

/** Names of all tables a command may change, the project's own row included. */
export type ChangedTable = TableName | 'project';

/** One change to one row, as data: decided once, applied by the page at once and by the server for good. */
export type RowChange =
  | { table: ChangedTable; op: 'insert'; row: Row & Record<string, unknown> }
  | { table: ChangedTable; op: 'update'; id: string; values: Record<string, unknown> }
  | { table: ChangedTable; op: 'remove'; id: string };

/** An insert of a typed row. */
export function insert<T extends TableName>(table: T, row: Omit<RowOf<T>, 'version'>): RowChange {
  return { table, op: 'insert', row: { ...row, version: 1 } as unknown as Row & Record<string, unknown> };
}

/** An update of some fields of a typed row. */
export function update<T extends TableName>(
  table: T,
  id: string,
  values: Partial<Omit<RowOf<T>, 'id' | 'version'>>,
): RowChange {
  return { table, op: 'update', id, values: values as Record<string, unknown> };
}

export function updateProject(id: string, values: Partial<Omit<ProjectRow, 'id' | 'version'>>): RowChange {
  return { table: 'project', op: 'update', id, values: values as Record<string, unknown> };
}

export function remove(table: TableName, id: string): RowChange {
  return { table, op: 'remove', id };
}

/** The row a change is about, as it stands. */
export function rowBefore(rows: ProjectRows, change: RowChange): (Row & Record<string, unknown>) | null {
  const id = change.op === 'insert' ? change.row.id : change.id;
  if (change.table === 'project') return rows.project as unknown as Row & Record<string, unknown>;
  const list = rows[change.table] as readonly Row[];
  return (list.find((row) => row.id === id) as (Row & Record<string, unknown>) | undefined) ?? null;
}

/** Rows after the changes, inputs untouched; an update raises the row's version by one. */
export function applyChanges(rows: ProjectRows, changes: readonly RowChange[]): ProjectRows {
  const result: ProjectRows = { ...rows };
  for (const change of changes) {
    if (change.table === 'project') {
      if (change.op === 'update')
        result.project = { ...result.project, ...change.values, version: result.project.version + 1 } as ProjectRow;
      continue;
    }
    const list = result[change.table] as readonly Row[];
    const next =
      change.op === 'insert'
        ? [...list.filter((row) => row.id !== change.row.id), change.row]
        : change.op === 'remove'
          ? list.filter((row) => row.id !== change.id)
          : list.map((row) => (row.id === change.id ? { ...row, ...change.values, version: row.version + 1 } : row));
    (result as unknown as Record<string, readonly Row[]>)[change.table] = next;
  }
  return result;
}
