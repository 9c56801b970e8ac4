import type { ChangedTable } from '@contract/changes';
import type { Row } from '@core/plan/rows';
import type { Transaction } from './scope';
import { type ColumnType, physicalColumns, rowJsonSql, specOf, toColumns } from './tables';

const recordTypes: Record<Exclude<ColumnType, 'lab'>, string> = {
  uuid: 'uuid',
  text: 'text',
  int: 'int',
  bigint: 'bigint',
  double: 'double precision',
  boolean: 'boolean',
  date: 'date',
  json: 'jsonb',
};

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

/** Inserts many rows of the studio at version 1, in one statement; ids that are taken throw. */
export async function insertRows(
  { scope, manager }: Transaction,
  table: ChangedTable,
  rows: readonly StoredRow[],
  actId: string,
): Promise<void> {
  const spec = specOf(table);
  if (spec.owner !== 'studio') throw new Error(`${spec.name} belongs to projects`);
  if (rows.length === 0) return;
  const columns = physicalColumns(spec);
  const list = rows.map((row) => {
    const values = toColumns(spec, row);
    return { id: row.id, ...values };
  });
  const names = columns.map(({ column }) => `"${column}"`).join(', ');
  const typed = columns.map(({ column, type }) => `"${column}" ${recordTypes[type]}`).join(', ');
  await manager.query(
    `insert into "${spec.name}" (studio_id, id, version, act_id, ${names})
     select $1, id, 1, $2, ${names} from jsonb_to_recordset($3::jsonb) as r(id uuid, ${typed})`,
    [scope.studioId, actId, JSON.stringify(list)],
  );
}

/** Lets the database count a table afresh. */
export async function takeStock({ manager }: Transaction, table: ChangedTable): Promise<void> {
  await manager.query(`analyze "${specOf(table).name}"`);
}

/** Removes many rows that are all at version 1, as they were inserted; gives the ids that were not (changed since, or gone). */
export async function removeInserted(
  { scope, manager }: Transaction,
  table: ChangedTable,
  ids: readonly string[],
  actId: string,
): Promise<string[]> {
  const spec = specOf(table);
  const [removed]: [{ id: string }[], number] = await manager.query(
    `update "${spec.name}" set deleted_at = now(), updated_at = now(), version = version + 1, act_id = $3
     where studio_id = $1 and id = any($2) and version = 1 and deleted_at is null returning id`,
    [scope.studioId, ids, actId],
  );
  const gone = new Set(removed.map((row) => row.id));
  return ids.filter((id) => !gone.has(id));
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
