import type { ProjectRows } from '@core/plan/rows';
import type { Transaction } from './scope';
import { rowJsonSql, specOf, tableSpecs } from './tables';

/** One statement that builds a project's whole snapshot as JSON text: raw rows, no hydrated entities. */
export const SNAPSHOT_SQL = (() => {
  const project = specOf('project');
  const lists = tableSpecs
    .filter((spec) => spec.table !== 'project')
    .map((spec) => {
      const owner = spec.owner === 'project' ? 'and t.project_id = p.id' : '';
      return `'${spec.table}', (select coalesce(json_agg(${rowJsonSql(spec, 't')} order by t.created_at, t.id), '[]'::json) from "${spec.name}" t where t.studio_id = p.studio_id ${owner} and t.deleted_at is null)`;
    });
  return `select json_build_object('project', ${rowJsonSql(project, 'p')}, ${lists.join(', ')})::text as body, p.revision, s.revision as studio_revision
    from "project" p join "studio" s on s.id = p.studio_id
    where p.studio_id = $1 and p.id = $2 and p.deleted_at is null`;
})();

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
export async function snapshotText({ scope, manager }: Transaction, projectId: string): Promise<SnapshotText | null> {
  const found: { body: string; revision: number; studio_revision: number }[] = await manager.query(SNAPSHOT_SQL, [
    scope.studioId,
    projectId,
  ]);
  const row = found[0];
  return row ? { body: row.body, tag: `${row.revision}.${row.studio_revision}` } : null;
}

/** A project's rows, parsed. */
export async function projectRows(transaction: Transaction, projectId: string): Promise<ProjectRows | null> {
  const text = await snapshotText(transaction, projectId);
  return text ? (JSON.parse(text.body) as ProjectRows) : null;
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

/** Stores the summary that goes with a new revision of a project; returns the tag of the new state. */
export async function raiseRevision(
  { scope, manager }: Transaction,
  projectId: string,
  summary: unknown,
  studioToo: boolean,
): Promise<string> {
  if (studioToo) await manager.query('update "studio" set revision = revision + 1 where id = $1', [scope.studioId]);
  await manager.query(
    'update "project" set revision = revision + 1, summary = $3, updated_at = now() where studio_id = $1 and id = $2',
    [scope.studioId, projectId, JSON.stringify(summary)],
  );
  return (await snapshotTag({ scope, manager }, projectId)) ?? '';
}
