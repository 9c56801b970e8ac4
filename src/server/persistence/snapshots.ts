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
export interface SnapshotOptions {
  /** Rows of the house by their ids, as far as the project does not speak of them yet. */
  alsoIds?: readonly string[];
  /** Whether a removed project is read too. */
  removedToo?: boolean;
}

/** A project's snapshot as JSON text, or null when there is no such project. */
export async function snapshotText(
  { scope, manager }: Transaction,
  projectId: string,
  { alsoIds = [], removedToo = false }: SnapshotOptions = {},
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

/** A project's rows, parsed, with their finds; and the tag of the state that they are of. */
export async function taggedRows(
  transaction: Transaction,
  projectId: string,
  options: SnapshotOptions = {},
): Promise<{ rows: ProjectRows; tag: string } | null> {
  const text = await snapshotText(transaction, projectId, options);
  return text && { rows: presentRows(JSON.parse(text.body) as StoredRows), tag: text.tag };
}

/** A project's rows, parsed, with their finds. */
export async function projectRows(
  transaction: Transaction,
  projectId: string,
  options: SnapshotOptions = {},
): Promise<ProjectRows | null> {
  return (await taggedRows(transaction, projectId, options))?.rows ?? null;
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

/**
 * Locks a project for the rest of the transaction, so that its commands follow one another; a removed one only when
 * asked for.
 * @returns the tag of its present state; null when it is not there
 */
export async function lockProject(
  { scope, manager }: Transaction,
  projectId: string,
  removedToo = false,
): Promise<string | null> {
  const found: { revision: number; studio_revision: number }[] = await manager.query(
    `select p.revision, s.revision as studio_revision from "project" p join "studio" s on s.id = p.studio_id
     where p.studio_id = $1 and p.id = $2 and ($3 or p.deleted_at is null) for no key update of p`,
    [scope.studioId, projectId, removedToo],
  );
  return found[0] ? `${found[0].revision}.${found[0].studio_revision}` : null;
}

/** Whether any of some ids is a row of the house that a project's rows hold only when they speak of it. */
export async function speaksOfHouse({ scope, manager }: Transaction, ids: readonly string[]): Promise<boolean> {
  if (ids.length === 0) return false;
  const found: unknown[] = await manager.query(ASKED_SQL, [scope.studioId, ids]);
  return found.length > 0;
}

const ASKED_SQL = `${tableSpecs
  .filter((spec) => spec.owner === 'studio' && spec.snapshot !== 'all')
  .map((spec) => `select 1 from "${spec.name}" where studio_id = $1 and id = any($2) and deleted_at is null`)
  .join(' union all ')} limit 1`;

export interface ProjectListEntry {
  id: string;
  name: string;
  room: string;
  currency: string;
  units: string;
  revealDate: string | null;
  updatedAt: string;
  summary: unknown;
  isStale: boolean;
}

/** A page of the studio's projects with their stored summaries, last touched first. */
export async function projectList(
  { scope, manager }: Transaction,
  limit: number,
  offset: number,
): Promise<ProjectListEntry[]> {
  return manager.query(
    `select p.id, p.name, p.room, p.currency, p.units, to_char(p.reveal_date, 'YYYY-MM-DD') as "revealDate", p.updated_at as "updatedAt", p.summary, ${STALE_SQL} as "isStale"
     from "project" p join "studio" s on s.id = p.studio_id
     where p.studio_id = $1 and p.deleted_at is null order by p.updated_at desc, p.id limit $2 offset $3`,
    [scope.studioId, limit, offset],
  );
}

/** Whether a project's summary was computed before the project, or the studio's shared rows, changed last. */
const STALE_SQL = `((p.summary ->> 'revision')::int is distinct from p.revision or (p.summary ->> 'studioRevision')::int is distinct from s.revision)`;

/**
 * The project whose summary is stale and that was touched last; null when all are up to date.
 * @param except projects that are left alone this time
 */
export async function staleSummary(
  { scope, manager }: Transaction,
  except: readonly string[] = [],
): Promise<string | null> {
  const found: { id: string }[] = await manager.query(
    `select p.id from "project" p join "studio" s on s.id = p.studio_id
     where p.studio_id = $1 and p.deleted_at is null and p.id <> all($2) and ${STALE_SQL} order by p.updated_at desc limit 1`,
    [scope.studioId, except],
  );
  return found[0]?.id ?? null;
}

/** Stores a summary with the revisions that it was computed with; the project itself did not change. */
export async function storeSummary(
  { scope, manager }: Transaction,
  projectId: string,
  summary: object,
  tag: string,
): Promise<void> {
  const [revision = 0, studioRevision = 0] = tag.split('.').map(Number);
  await manager.query('update "project" set summary = $3::jsonb where studio_id = $1 and id = $2', [
    scope.studioId,
    projectId,
    JSON.stringify({ ...summary, revision, studioRevision }),
  ]);
}

/** Raises the revision of a project, and of the studio's shared rows where they changed too; gives the new tag. */
export async function raiseRevision(
  { scope, manager }: Transaction,
  projectId: string,
  studioToo: boolean,
): Promise<string> {
  if (studioToo) await manager.query('update "studio" set revision = revision + 1 where id = $1', [scope.studioId]);
  // [rows, how many]: what the driver gives for an update that returns.
  const [[raised]]: [{ revision: number; studio_revision: number }[], number] = await manager.query(
    `update "project" p set revision = p.revision + 1, updated_at = now() from "studio" s
     where s.id = p.studio_id and p.studio_id = $1 and p.id = $2 returning p.revision, s.revision as studio_revision`,
    [scope.studioId, projectId],
  );
  return raised ? `${raised.revision}.${raised.studio_revision}` : '';
}
