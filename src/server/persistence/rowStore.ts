import type { ChangedTable } from '@contract/changes';
import type { Row } from '@core/plan/rows';
import type { Transaction } from './scope';
import { rowJsonSql, specOf, toColumns } from './tables';

export type StoredRow = Row & Record<string, unknown>;

/** A row as it stands, deleted or not; null when it never was. */
export async function readRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  id: string,
): Promise<{ row: StoredRow; deleted: boolean } | null> {
  const spec = specOf(table);
  const found: { row: StoredRow; deleted: boolean }[] = await manager.query(
    `select ${rowJsonSql(spec, 't')} as row, t.deleted_at is not null as deleted from "${spec.name}" t where t.studio_id = $1 and t.id = $2`,
    [scope.studioId, id],
  );
  return found[0] ?? null;
}

/** Inserts a row at version 1. An id that is taken, even by a deleted row, throws. */
export async function insertRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  row: StoredRow,
  projectId: string,
  actId: string,
): Promise<void> {
  const spec = specOf(table);
  await manager
    .createQueryBuilder()
    .insert()
    .into(spec.name)
    .values({
      studio_id: scope.studioId,
      id: row.id,
      ...(spec.owner === 'project' ? { project_id: projectId } : {}),
      version: row.version,
      act_id: actId,
      ...toColumns(spec, row),
    })
    .execute();
}

/** Changes a row if it still has the version; raises the version. Returns whether it did. */
export async function updateRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  id: string,
  version: number,
  fields: Record<string, unknown>,
  actId: string,
  deleted: boolean | null = null,
): Promise<boolean> {
  const spec = specOf(table);
  const result = await manager
    .createQueryBuilder()
    .update(spec.name)
    .set({
      ...toColumns(spec, fields),
      version: version + 1,
      act_id: actId,
      updated_at: () => 'now()',
      ...(deleted === null ? {} : { deleted_at: deleted ? () => 'now()' : null }),
    })
    .where('studio_id = :studioId AND id = :id AND version = :version', { studioId: scope.studioId, id, version })
    .execute();
  return result.affected === 1;
}
