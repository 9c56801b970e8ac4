import type { AnyRow, RowChange } from '@core/acts/changes';
import type { ChangedTable } from '@core/model/entities';
import { type FindOptionsWhere, In, IsNull, Not } from 'typeorm';
import { anyEntity, entityFor, type StoredRow } from './entities';
import type { Transaction } from './scope';
import { statement } from './sql/statement';
import { fromStored, specOf, tableSpecs, toStored } from './tables';

/** Conditions over a table of which more is known than that it keeps rows. */
export const where = (conditions: Readonly<Record<string, unknown>>) => conditions as FindOptionsWhere<StoredRow>;

/** A row as it stands, deleted or not; null when it never was. */
export async function readRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  id: string,
): Promise<{ row: AnyRow; deleted: boolean } | null> {
  const stored = await manager.findOne(anyEntity(table), {
    where: { studioId: scope.studioId, id },
    withDeleted: true,
  });
  return stored && { row: fromStored(specOf(table), stored), deleted: stored.deletedAt !== null };
}

/** Removed rows of a table among some ids; those of a project's table only where they were that project's. */
export async function removedRowsOf(
  { scope, manager }: Transaction,
  table: ChangedTable,
  ids: readonly string[],
  projectId: string | null,
): Promise<AnyRow[]> {
  if (ids.length === 0) return [];
  const spec = specOf(table);
  const stored = await manager.find(anyEntity(table), {
    where: where({
      studioId: scope.studioId,
      id: In(ids),
      deletedAt: Not(IsNull()),
      ...(spec.owner === 'project' ? { projectId } : {}),
    }),
    withDeleted: true,
  });
  return stored.map((row) => fromStored(spec, row));
}

/**
 * Rows of the house that come along with a project because they share one of these with it: the supplies of a color,
 * and the packs of those.
 */
export async function rowsSharing(
  { scope, manager }: Transaction,
  ids: readonly string[],
): Promise<{ table: ChangedTable; row: AnyRow }[]> {
  if (ids.length === 0) return [];
  const found: { table: ChangedTable; row: AnyRow }[] = [];
  // In the order of the foreign keys: what comes along with something comes after it.
  for (const spec of tableSpecs) {
    const { snapshot, table } = spec;
    if (typeof snapshot !== 'object') continue;
    const among = 'sharing' in snapshot ? ids : found.map(({ row }) => row.id);
    const field = 'sharing' in snapshot ? snapshot.sharing : snapshot.along;
    const stored = await manager.find(anyEntity(table), {
      where: where({ studioId: scope.studioId, [field]: In(among) }),
      order: { createdAt: 'asc', id: 'asc' },
    });
    for (const row of stored) found.push({ table, row: fromStored(spec, row) });
  }
  return found;
}

/** How many live rows a table has, of one project or of the whole studio; of the house only what is in it. */
export function countRows(
  { scope, manager }: Transaction,
  table: ChangedTable,
  projectId: string | null,
): Promise<number> {
  return manager.countBy(
    anyEntity(table),
    where({
      studioId: scope.studioId,
      ...(table === 'pieces' ? { inHouse: true } : {}),
      ...(projectId === null ? {} : { projectId }),
    }),
  );
}

/** Lets the database count the pieces afresh; only the owner of a table may, so a function of its does it. */
export async function takeStock(transaction: Transaction): Promise<void> {
  await statement(transaction, 'select take_stock()');
}

/** Removes or brings back many rows of one table, each at the version it is thought to have; gives the ids that were not. */
export async function toggleRows(
  { scope, manager }: Transaction,
  table: ChangedTable,
  rows: readonly { id: string; version: number }[],
  deleted: boolean,
  actId: string,
): Promise<string[]> {
  const done = new Set<string>();
  // Rows of one version go with one statement; most are of the first few.
  for (const [version, ids] of byVersion(rows)) {
    const { raw } = await manager
      .createQueryBuilder()
      .update(anyEntity(table))
      .set({
        deletedAt: deleted ? () => 'now()' : null,
        updatedAt: () => 'now()',
        version: version + 1,
        actId,
      })
      .where(
        where({
          studioId: scope.studioId,
          id: In(ids),
          version,
          deletedAt: deleted ? IsNull() : Not(IsNull()),
        }),
      )
      .returning(['id'])
      .execute();
    for (const { id } of raw as { id: string }[]) done.add(id);
  }
  return rows.map((row) => row.id).filter((id) => !done.has(id));
}

function byVersion(rows: readonly { id: string; version: number }[]): Map<number, string[]> {
  const grouped = new Map<number, string[]>();
  for (const { id, version } of rows) {
    const ids = grouped.get(version);
    if (ids) ids.push(id);
    else grouped.set(version, [id]);
  }
  return grouped;
}

/** Changes a row if it still has the version; raises the version. Returns whether it did. */
export async function updateRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  id: string,
  version: number,
  fields: Readonly<Record<string, unknown>>,
  actId: string,
): Promise<boolean> {
  const result = await manager
    .createQueryBuilder()
    .update(anyEntity(table))
    .set({ ...toStored(specOf(table), fields), version: version + 1, actId, updatedAt: () => 'now()' })
    .where(where({ studioId: scope.studioId, id, version }))
    .execute();
  return result.affected === 1;
}

/**
 * Locks the rows of the house that some changes touch for the rest of the transaction, always in the same order; their
 * versions as they are then, removed rows included.
 */
export async function lockTouched(
  { scope, manager }: Transaction,
  changes: readonly RowChange[],
): Promise<ReadonlyMap<string, number>> {
  const versions = new Map<string, number>();
  for (const spec of tableSpecs) {
    if (spec.owner !== 'studio' || spec.table === 'project') continue;
    const ids = changes
      .filter((change) => change.table === spec.table && change.op !== 'insert')
      .map((change) => (change.op === 'restore' || change.op === 'insert' ? change.row.id : change.id));
    if (ids.length === 0) continue;
    const found = await manager.find(anyEntity(spec.table), {
      select: { id: true, version: true },
      where: { studioId: scope.studioId, id: In(ids) },
      order: { id: 'asc' },
      withDeleted: true,
      lock: { mode: 'for_no_key_update' },
    });
    for (const { id, version } of found) versions.set(`${spec.table}:${id}`, version);
  }
  return versions;
}

/**
 * Locks pieces for the rest of the transaction, so that two projects do not promise the same one at once; how many
 * there are of each. Not against being referred to: both have done that already, and would wait for each other.
 */
export async function lockPieces(
  { scope, manager }: Transaction,
  pieceIds: readonly string[],
): Promise<ReadonlyMap<string, { name: string; count: number; counted: boolean }>> {
  const found = await manager.find(entityFor('pieces'), {
    select: { id: true, name: true, count: true, counted: true },
    where: { studioId: scope.studioId, id: In(pieceIds) },
    order: { id: 'asc' },
    withDeleted: true,
    lock: { mode: 'for_no_key_update' },
  });
  return new Map(found.map((row) => [row.id, row]));
}
