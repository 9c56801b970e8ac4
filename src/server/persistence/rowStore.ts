import type { AnyRow, RowChange } from '@core/acts/changes';
import { type ChangedTable, isTable } from '@core/model/entities';
import type { Transaction } from './scope';
import { type ColumnType, physicalColumns, pointersInto, rowJsonSql, specOf, tableSpecs, toColumns } from './tables';

const recordTypes: Record<ColumnType, string> = {
  uuid: 'uuid',
  text: 'text',
  int: 'int',
  bigint: 'bigint',
  double: 'double precision',
  boolean: 'boolean',
  date: 'date',
  json: 'jsonb',
};

/** Rows written with one statement. */
const AT_ONCE = 500;

/** A row as it stands, deleted or not; null when it never was. */
export async function readRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  id: string,
): Promise<{ row: AnyRow; deleted: boolean } | null> {
  const spec = specOf(table);
  const found: { row: AnyRow; deleted: boolean }[] = await manager.query(
    `select ${rowJsonSql(spec, 't')} as row, t.deleted_at is not null as deleted from "${spec.name}" t where t.studio_id = $1 and t.id = $2`,
    [scope.studioId, id],
  );
  return found[0] ?? null;
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
  const isOfProject = spec.owner === 'project';
  const found: { row: AnyRow }[] = await manager.query(
    `select ${rowJsonSql(spec, 't')} as row from "${spec.name}" t where t.studio_id = $1 and t.id = any($2) and t.deleted_at is not null ${isOfProject ? 'and t.project_id = $3' : ''}`,
    [scope.studioId, ids, ...(isOfProject ? [projectId] : [])],
  );
  return found.map(({ row }) => row);
}

/** Those of some ids that any row of the studio has already, removed ones included. */
export async function takenIds({ scope, manager }: Transaction, ids: readonly string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set();
  const each = tableSpecs.map((spec) => `select id from "${spec.name}" where studio_id = $1 and id = any($2)`);
  const found: { id: string }[] = await manager.query(each.join(' union '), [scope.studioId, ids]);
  return new Set(found.map((row) => row.id));
}

/** How many live rows a table has, of one project or of the whole studio; of the house only what is in it. */
export async function countRows(
  { scope, manager }: Transaction,
  table: ChangedTable,
  projectId: string | null,
): Promise<number> {
  const spec = specOf(table);
  const found: { count: number }[] = await manager.query(
    `select count(*)::int as count from "${spec.name}" t where t.studio_id = $1 and t.deleted_at is null
       ${table === 'pieces' ? 'and t.in_house' : ''} ${projectId === null ? '' : 'and t.project_id = $2'}`,
    projectId === null ? [scope.studioId] : [scope.studioId, projectId],
  );
  return found[0]?.count ?? 0;
}

/** Inserts rows of one table at version 1, a few hundred at a time. An id that is taken, even by a removed row, throws. */
export async function insertRows(
  { scope, manager }: Transaction,
  table: ChangedTable,
  rows: readonly AnyRow[],
  projectId: string | null,
  actId: string,
): Promise<void> {
  const spec = specOf(table);
  if (spec.owner === 'project' && projectId === null) throw new Error(`${spec.name} belongs to projects`);
  const columns = physicalColumns(spec);
  const names = columns.map(({ column }) => `"${column}"`).join(', ');
  const typed = columns.map(({ column, type }) => `"${column}" ${recordTypes[type]}`).join(', ');
  const owner = spec.owner === 'project' ? { column: ', project_id', value: ', $4::uuid' } : { column: '', value: '' };
  for (let at = 0; at < rows.length; at += AT_ONCE) {
    const list = rows.slice(at, at + AT_ONCE).map((row) => ({ id: row.id, ...toColumns(spec, row) }));
    await manager.query(
      // Rows are listed by when they came: those that come together keep their order by a microsecond each.
      `insert into "${spec.name}" (studio_id, id, version, act_id, created_at, ${names}${owner.column})
       select $1, id, 1, $2, statement_timestamp() + ordinality * interval '1 microsecond', ${names}${owner.value}
       from rows from (jsonb_to_recordset($3::jsonb) as (id uuid, ${typed})) with ordinality`,
      [scope.studioId, actId, JSON.stringify(list), ...(spec.owner === 'project' ? [projectId] : [])],
    );
  }
}

/** Lets the database count the pieces afresh; only the owner of a table may, so a function of its does it. */
export async function takeStock({ manager }: Transaction): Promise<void> {
  await manager.query('select take_stock()');
}

/** Removes or brings back many rows of one table, each at the version it is thought to have; gives the ids that were not. */
export async function toggleRows(
  { scope, manager }: Transaction,
  table: ChangedTable,
  rows: readonly { id: string; version: number }[],
  deleted: boolean,
  actId: string,
): Promise<string[]> {
  if (rows.length === 0) return [];
  const spec = specOf(table);
  const [done]: [{ id: string }[], number] = await manager.query(
    `update "${spec.name}" t set deleted_at = ${deleted ? 'now()' : 'null'}, updated_at = now(), version = t.version + 1, act_id = $3
     from jsonb_to_recordset($2::jsonb) as r(id uuid, version int)
     where t.studio_id = $1 and t.id = r.id and t.version = r.version and (t.deleted_at is null) = $4 returning t.id`,
    [scope.studioId, JSON.stringify(rows.map(({ id, version }) => ({ id, version }))), actId, deleted],
  );
  const found = new Set(done.map((row) => row.id));
  return rows.map((row) => row.id).filter((id) => !found.has(id));
}

/** Changes a row if it still has the version; raises the version. Returns whether it did. */
export async function updateRow(
  { scope, manager }: Transaction,
  table: ChangedTable,
  id: string,
  version: number,
  fields: Record<string, unknown>,
  actId: string,
): Promise<boolean> {
  const spec = specOf(table);
  const result = await manager
    .createQueryBuilder()
    .update(spec.name)
    .set({ ...toColumns(spec, fields), version: version + 1, act_id: actId, updated_at: () => 'now()' })
    .where('studio_id = :studioId AND id = :id AND version = :version', { studioId: scope.studioId, id, version })
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
    const found: { id: string; version: number }[] = await manager.query(
      `select id, version from "${spec.name}" where studio_id = $1 and id = any($2) order by id for no key update`,
      [scope.studioId, ids],
    );
    for (const { id, version } of found) versions.set(`${spec.table}:${id}`, version);
  }
  return versions;
}

/** Those of some rows of a table that a live row of any project, or of the house, still points to. */
export async function stillPointedTo(
  { scope, manager }: Transaction,
  table: ChangedTable,
  ids: readonly string[],
): Promise<string[]> {
  if (ids.length === 0 || !isTable(table)) return [];
  const ways = pointersInto(table).map(({ spec, column, nested }) => {
    const points = nested ? `position(c.id::text in x."${column}"::text) > 0` : `x."${column}" = c.id`;
    return `exists (select 1 from "${spec.name}" x where x.studio_id = $1 and x.deleted_at is null and ${points})`;
  });
  if (ways.length === 0) return [];
  const found: { id: string }[] = await manager.query(
    `select c.id from unnest($2::uuid[]) c(id) where ${ways.join(' or ')}`,
    [scope.studioId, ids],
  );
  return found.map((row) => row.id);
}
