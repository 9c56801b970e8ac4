import { presentRows } from '@core/formats/project/presentRows';
import { UUID_PATTERN } from '@core/model/fields';
import type { HouseRows, ProjectRows, SlotRow, StoredRows } from '@core/model/rows';
import type { Transaction } from './scope';
import { pointersInto, rowJsonSql, specOf, type TableSpec, tableSpecs } from './tables';

/** One table's rows as a JSON list under its name. */
const listSql = (spec: TableSpec, where: string) =>
  `'${spec.table}', (select coalesce(json_agg(${rowJsonSql(spec, 't')} order by t.created_at, t.id), '[]'::json) from "${spec.name}" t where ${where})`;

/** A row counts for a project while one of the project's live rows points to it. */
function linkedSql(spec: TableSpec): string {
  const ways = pointersInto(spec.table)
    .filter((pointer) => pointer.spec.owner === 'project')
    .map(({ spec: from, column, nested }) => {
      const ids = nested ? `(regexp_matches(x."${column}"::text, '${UUID_PATTERN}', 'g'))[1]::uuid` : `x."${column}"`;
      return `t.id in (select ${ids} from "${from.name}" x where x.studio_id = p.studio_id and x.project_id = p.id and x.deleted_at is null)`;
    });
  return ways.length === 0 ? 'false' : `(${ways.join(' or ')})`;
}

/** One statement that builds a project's whole snapshot as JSON text: raw rows, no hydrated entities. $3: further rows of the house to bring, $4: whether a removed project is read too. */
export const SNAPSHOT_SQL = (() => {
  const project = specOf('project');
  const lists = tableSpecs
    .filter((spec) => spec.table !== 'project')
    .map((spec) => {
      const here = 't.studio_id = p.studio_id and t.deleted_at is null';
      if (spec.owner === 'project') return listSql(spec, `${here} and t.project_id = p.id`);
      if (spec.snapshot === 'all') return listSql(spec, here);
      const linked = spec.snapshot === 'linked' ? linkedSql(spec) : 'false';
      return listSql(spec, `${here} and (${linked} or t.id = any($3))`);
    });
  return `select json_build_object('project', ${rowJsonSql(project, 'p')}, ${lists.join(', ')})::text as body, p.revision, s.revision as studio_revision
    from "project" p join "studio" s on s.id = p.studio_id
    where p.studio_id = $1 and p.id = $2 and ($4 or p.deleted_at is null)`;
})();

/** The studio's shared rows: what the house works on. $2: rows to bring of what there is too much of. */
const HOUSE_SQL = (() => {
  const lists = tableSpecs
    .filter((spec) => spec.owner === 'studio' && spec.table !== 'project')
    .map((spec) =>
      listSql(
        spec,
        `t.studio_id = s.id and t.deleted_at is null${spec.house === 'asked' ? ' and t.id = any($2)' : ''}`,
      ),
    );
  // Units, money and clock of the project that was worked on last: what the house shows its figures in.
  const locale = `(select json_build_object('units', p.units, 'currency', p.currency, 'timeZone', p.time_zone) from "project" p where p.studio_id = s.id and p.deleted_at is null order by p.updated_at desc limit 1)`;
  return `select json_build_object('studioId', s.id, 'locale', ${locale}, ${lists.join(', ')})::text as body, s.revision from "studio" s where s.id = $1`;
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

/** The house's rows, parsed. */
export async function houseRows(transaction: Transaction, pieceIds: readonly string[]): Promise<HouseRows> {
  const { studioId: _studio, locale: _locale, ...rows } = JSON.parse((await houseText(transaction, pieceIds)).body);
  return rows as HouseRows;
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

/** Which rows a snapshot brings beyond the project's own. */
export interface SnapshotWish {
  /** Rows of the house by their ids, as far as the project does not speak of them yet. */
  alsoIds?: readonly string[];
  /** Whether a removed project is read too. */
  removedToo?: boolean;
}

/** A project's snapshot as JSON text, or null when there is no such project. */
export async function snapshotText(
  { scope, manager }: Transaction,
  projectId: string,
  { alsoIds = [], removedToo = false }: SnapshotWish = {},
): Promise<SnapshotText | null> {
  const found: { body: string; revision: number; studio_revision: number }[] = await manager.query(SNAPSHOT_SQL, [
    scope.studioId,
    projectId,
    alsoIds,
    removedToo,
  ]);
  const row = found[0];
  return row ? { body: row.body, tag: `${row.revision}.${row.studio_revision}` } : null;
}

/** A project's rows, parsed, with their finds. */
export async function projectRows(
  transaction: Transaction,
  projectId: string,
  wish: SnapshotWish = {},
): Promise<ProjectRows | null> {
  const text = await snapshotText(transaction, projectId, wish);
  return text ? presentRows(JSON.parse(text.body) as StoredRows) : null;
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
    'select 1 from "project" where studio_id = $1 and id = $2 and ($3 or deleted_at is null) for no key update',
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
  // A project that somebody is working on gets its summary from that work.
  const free = '(select id from "project" where studio_id = $1 and id = $2 for no key update skip locked)';
  await manager.query(`update "project" set summary = ${SUMMARY_SQL} where studio_id = $1 and id = ${free}`, [
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
