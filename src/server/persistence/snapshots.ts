import { withPresentRecipes } from '@contract/upgrades/recipes';
import type { ProjectRows, SlotRow } from '@core/plan/rows';
import type { Transaction } from './scope';
import { rowJsonSql, specOf, type TableSpec, tableSpecs } from './tables';

/** One table's rows as a JSON list under its name. */
const listSql = (spec: TableSpec, where: string) =>
  `'${spec.table}', (select coalesce(json_agg(${rowJsonSql(spec, 't')} order by t.created_at, t.id), '[]'::json) from "${spec.name}" t where ${where})`;
const emptySql = (spec: TableSpec) => `'${spec.table}', '[]'::json`;

/** A piece counts for a project while one of its finds is that piece, even when it has left the house since. */
const LINKED_SQL = `t.studio_id = p.studio_id and (t.id in (select f.piece_id from "find" f where f.studio_id = p.studio_id and f.project_id = p.id and f.deleted_at is null) or t.id = any($3))`;

/** One statement that builds a project's whole snapshot as JSON text: raw rows, no hydrated entities. $3: further pieces. */
export const SNAPSHOT_SQL = (() => {
  const project = specOf('project');
  const lists = tableSpecs
    .filter((spec) => spec.table !== 'project')
    .map((spec) => {
      if (spec.snapshot === 'none') return emptySql(spec);
      if (spec.snapshot === 'linked') return listSql(spec, LINKED_SQL);
      const owner = spec.owner === 'project' ? 'and t.project_id = p.id' : '';
      return listSql(spec, `t.studio_id = p.studio_id ${owner} and t.deleted_at is null`);
    });
  return `select json_build_object('project', ${rowJsonSql(project, 'p')}, ${lists.join(', ')})::text as body, p.revision, s.revision as studio_revision
    from "project" p join "studio" s on s.id = p.studio_id
    where p.studio_id = $1 and p.id = $2 and p.deleted_at is null`;
})();

/** The studio's shared rows in the shape of a project without any of its own: what the house works on. $2: pieces to bring. */
const HOUSE_SQL = (() => {
  const lists = tableSpecs
    .filter((spec) => spec.table !== 'project')
    .map((spec) => {
      if (spec.owner === 'project') return emptySql(spec);
      if (spec.snapshot === 'linked')
        return listSql(spec, 't.studio_id = s.id and t.id = any($2) and t.deleted_at is null');
      return listSql(spec, 't.studio_id = s.id and t.deleted_at is null');
    });
  // Units, money and clock of the project that was worked on last: what the house shows its figures in.
  const rim = `(select json_build_object('units', p.units, 'currency', p.currency, 'timeZone', p.time_zone) from "project" p where p.studio_id = s.id and p.deleted_at is null order by p.updated_at desc limit 1)`;
  return `select json_build_object('project', null, 'studioId', s.id, 'rim', ${rim}, ${lists.join(', ')})::text as body, s.revision from "studio" s where s.id = $1`;
})();

/** The house as JSON text with its tag, pieces only as far as asked for. */
export async function houseText(
  { scope, manager }: Transaction,
  pieceIds: readonly string[] = [],
): Promise<SnapshotText> {
  const found: { body: string; revision: number }[] = await manager.query(HOUSE_SQL, [scope.studioId, pieceIds]);
  const row = found[0];
  if (!row) throw new Error('the studio of this scope is not there');
  return { body: row.body, tag: `house.${row.revision}` };
}

/** The house's rows, parsed. Its `project` is null: what is decided here touches no project. */
export async function houseRows(transaction: Transaction, pieceIds: readonly string[]): Promise<ProjectRows> {
  return JSON.parse((await houseText(transaction, pieceIds)).body) as ProjectRows;
}

/** The tag of the house's present state. */
export async function houseTag({ scope, manager }: Transaction): Promise<string> {
  const found: { revision: number }[] = await manager.query('select revision from "studio" where id = $1', [
    scope.studioId,
  ]);
  return `house.${found[0]?.revision ?? 0}`;
}

/** Raises the revision of the studio's shared rows and gives the house's new tag. */
export async function raiseHouseRevision(transaction: Transaction): Promise<string> {
  const { scope, manager } = transaction;
  await manager.query('update "studio" set revision = revision + 1 where id = $1', [scope.studioId]);
  return houseTag(transaction);
}

/** The stored summaries of all projects, for what the house adds up. */
export async function projectSummaries({
  scope,
  manager,
}: Transaction): Promise<{ id: string; name: string; currency: string; summary: unknown }[]> {
  return manager.query(
    'select id, name, currency, summary from "project" where studio_id = $1 and deleted_at is null order by updated_at desc limit 200',
    [scope.studioId],
  );
}

/** Locks the house for the rest of the transaction, so that what is done in it follows one another. */
export async function lockHouse({ scope, manager }: Transaction): Promise<void> {
  await manager.query('select 1 from "studio" where id = $1 for update', [scope.studioId]);
}

export interface SnapshotText {
  /** JSON text of the project's rows, passed on as it is. */
  body: string;
  tag: string;
}

/** The tag of a project's present state: its own revision and that of its studio's shared rows. */
export async function snapshotTag({ scope, manager }: Transaction, projectId: string): Promise<string | null> {
  const found: { revision: number; studio_revision: number }[] = await manager.query(
    'select p.revision, s.revision as studio_revision from "project" p join "studio" s on s.id = p.studio_id where p.studio_id = $1 and p.id = $2 and p.deleted_at is null',
    [scope.studioId, projectId],
  );
  return found[0] ? `${found[0].revision}.${found[0].studio_revision}` : null;
}

/** A project's snapshot as JSON text, or null when there is no such project. */
export async function snapshotText(
  { scope, manager }: Transaction,
  projectId: string,
  pieceIds: readonly string[] = [],
): Promise<SnapshotText | null> {
  const found: { body: string; revision: number; studio_revision: number }[] = await manager.query(SNAPSHOT_SQL, [
    scope.studioId,
    projectId,
    pieceIds,
  ]);
  const row = found[0];
  return row ? { body: row.body, tag: `${row.revision}.${row.studio_revision}` } : null;
}

/** A project's rows, parsed. */
export async function projectRows(
  transaction: Transaction,
  projectId: string,
  pieceIds: readonly string[] = [],
): Promise<ProjectRows | null> {
  const text = await snapshotText(transaction, projectId, pieceIds);
  return text ? withPresentRecipes(JSON.parse(text.body) as ProjectRows) : null;
}

/** One slot with what a ranking for it asks of its project, without the rest of the snapshot; null when it is not there. */
export async function slotForRanking(
  { scope, manager }: Transaction,
  projectId: string,
  slotId: string,
): Promise<(Pick<ProjectRows, 'project' | 'colorCards'> & { slot: SlotRow }) | null> {
  const found: { project: ProjectRows['project']; slot: SlotRow; colorCards: ProjectRows['colorCards'] }[] =
    await manager.query(
      `select ${rowJsonSql(specOf('project'), 'p')} as project, ${rowJsonSql(specOf('slots'), 's')} as slot,
         (select coalesce(json_agg(${rowJsonSql(specOf('colorCards'), 'c')}), '[]'::json) from "color_card" c where c.studio_id = p.studio_id and c.deleted_at is null) as "colorCards"
       from "project" p join "slot" s on s.studio_id = p.studio_id and s.project_id = p.id and s.id = $3 and s.deleted_at is null
       where p.studio_id = $1 and p.id = $2 and p.deleted_at is null`,
      [scope.studioId, projectId, slotId],
    );
  return found[0] ?? null;
}

/** Locks a project for the rest of the transaction, so that its commands follow one another; a removed one only when asked for. */
export async function lockProject(
  { scope, manager }: Transaction,
  projectId: string,
  removedToo = false,
): Promise<boolean> {
  const found: unknown[] = await manager.query(
    'select 1 from "project" where studio_id = $1 and id = $2 and ($3 or deleted_at is null) for update',
    [scope.studioId, projectId, removedToo],
  );
  return found.length > 0;
}

export interface ProjectListEntry {
  id: string;
  name: string;
  room: string;
  currency: string;
  units: string;
  revealDate: string | null;
  updatedAt: string;
  summary: unknown;
}

/** A page of the studio's projects with their stored summaries, last touched first. */
export async function projectList(
  { scope, manager }: Transaction,
  limit: number,
  offset: number,
): Promise<ProjectListEntry[]> {
  return manager.query(
    `select id, name, room, currency, units, to_char(reveal_date, 'YYYY-MM-DD') as "revealDate", updated_at as "updatedAt", summary
     from "project" where studio_id = $1 and deleted_at is null order by updated_at desc, id limit $2 offset $3`,
    [scope.studioId, limit, offset],
  );
}

/** A summary remembers the state of the studio's shared rows that it was computed with. */
const SUMMARY_SQL = `$3::jsonb || jsonb_build_object('studioRevision', (select s.revision from "studio" s where s.id = $1))`;

/** Projects whose summary was computed before the studio's shared rows changed last; last touched first. */
export async function staleSummaries({ scope, manager }: Transaction, most: number): Promise<string[]> {
  const found: { id: string }[] = await manager.query(
    `select p.id from "project" p join "studio" s on s.id = p.studio_id
     where p.studio_id = $1 and p.deleted_at is null and (p.summary ->> 'studioRevision')::int is distinct from s.revision
     order by p.updated_at desc limit $2`,
    [scope.studioId, most],
  );
  return found.map((row) => row.id);
}

/** Stores a summary that was computed anew; the project itself did not change. */
export async function storeSummary(
  { scope, manager }: Transaction,
  projectId: string,
  summary: unknown,
): Promise<void> {
  await manager.query(`update "project" set summary = ${SUMMARY_SQL} where studio_id = $1 and id = $2`, [
    scope.studioId,
    projectId,
    JSON.stringify(summary),
  ]);
}

/** Stores the summary that goes with a new revision of a project; returns the tag of the new state. */
export async function raiseRevision(
  { scope, manager }: Transaction,
  projectId: string,
  summary: unknown,
  studioToo: boolean,
): Promise<string> {
  if (studioToo) await manager.query('update "studio" set revision = revision + 1 where id = $1', [scope.studioId]);
  await manager.query(
    `update "project" set revision = revision + 1, summary = ${SUMMARY_SQL}, updated_at = now() where studio_id = $1 and id = $2`,
    [scope.studioId, projectId, JSON.stringify(summary)],
  );
  return (await snapshotTag({ scope, manager }, projectId)) ?? '';
}
