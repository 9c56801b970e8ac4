import { type AnyRow, applyChanges, rowIn, type Workspace } from '@core/acts/changes';
import type { KeptChange } from '@core/acts/undoChanges';
import { referencesOf } from '@core/model/derive/references';
import { allEntities, type ChangedTable, isTable } from '@core/model/entities';
import type { ProjectRows } from '@core/model/rows';
import { rowsSharing } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';

/** A row with the table that it is of. */
export interface PlacedRow {
  table: ChangedTable;
  row: AnyRow;
}

/** Tables that rows of the house are shared by: a color brings the supplies of that color. */
const sharedBy = new Set<string>(
  allEntities.flatMap((entity) => {
    const { snapshot } = entity;
    if (typeof snapshot !== 'object' || !('sharing' in snapshot)) return [];
    return referencesOf(entity.table, { [snapshot.sharing]: 'any' }).map(({ table }) => table);
  }),
);

/** Tables whose rows come along with a project that points to them: its pieces. */
const linked = new Set<string>(
  allEntities.flatMap(({ table, snapshot }) => (snapshot === 'linked' ? [table as string] : [])),
);

/**
 * Rows of the house that come along with a project since an act, because a row that the act wrote refers to something now
 * that it did not refer to before: supplies of a color that is newly used, and their packs; a piece that is placed in a look.
 */
export async function newlyShared(
  transaction: Transaction,
  after: Workspace,
  changes: readonly KeptChange[],
): Promise<PlacedRow[]> {
  const fresh = new Map<string, string>();
  for (const { table, id, op, before } of changes) {
    const row = op === 'remove' ? null : rowIn(after, table, id);
    if (!row) continue;
    for (const reference of referencesOf(table, row))
      if (sharedBy.has(reference.table) || linked.has(reference.table)) fresh.set(reference.id, reference.table);
    if (before) for (const reference of referencesOf(table, before)) fresh.delete(reference.id);
  }
  const of = (tables: ReadonlySet<string>) =>
    [...fresh].flatMap(([id, table]) => (tables.has(table) ? [{ id, table }] : []));
  const pointedTo = of(linked).flatMap(({ id, table }): PlacedRow[] => {
    const row = isTable(table) ? rowIn(after, table, id) : null;
    return row && isTable(table) ? [{ table, row }] : [];
  });
  return [
    ...pointedTo,
    ...(await rowsSharing(
      transaction,
      of(sharedBy).map(({ id }) => id),
    )),
  ];
}

/** A project's rows with further ones that they do not hold yet; the very same where there are none. */
export function withShared(rows: ProjectRows, shared: readonly PlacedRow[]): ProjectRows {
  const missing = shared.filter(({ table, row }) => rowIn(rows, table, row.id) === null);
  return missing.length === 0
    ? rows
    : applyChanges(
        rows,
        missing.map((one) => ({ ...one, op: 'insert' as const })),
      );
}
