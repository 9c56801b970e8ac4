import { UUID_PATTERN } from '@core/model/fields';
import { pointersInto, snake, specOf, type TableSpec, tableSpecs } from '../tables';
import { rowJsonSql } from './rowJson';

/*
 * Whole projects and whole houses as one JSON text. By hand, since the database puts the text together from two dozen
 * tables in one statement and one moment; the server passes it on as it is, without making an object of any row.
 */

/** One table's rows as a JSON list under its name. */
const listSql = (spec: TableSpec, where: string) =>
  `'${spec.table}', (select coalesce(json_agg(${rowJsonSql(spec, 't')} order by t.created_at, t.id), '[]'::json) from "${spec.name}" t where ${where})`;

/** Ids of a table that live rows of the project $2 point to, and rows of the house that it holds for that reason. */
function linkedIdsSql(table: TableSpec['table']): string {
  const ways = pointersInto(table).flatMap(({ spec: from, column, nested }) => {
    const ids = nested ? `(regexp_matches(x."${column}"::text, '${UUID_PATTERN}', 'g'))[1]::uuid` : `x."${column}"`;
    const idsWhere = (where: string) => `select ${ids} as id from "${from.name}" x where x.studio_id = $1 and ${where}`;
    if (from.table === 'project') return [idsWhere('x.id = $2')];
    if (from.owner === 'project') return [idsWhere('x.project_id = $2 and x.deleted_at is null')];
    return from.snapshot === 'linked' && from.table !== table
      ? [idsWhere(`x.deleted_at is null and ${isLinkedSql(from, 'x.id')}`)]
      : [];
  });
  return ways.join(' union ');
}

/** A condition for ids that a project links, or that are asked for besides. */
const isLinkedSql = (spec: TableSpec, id: string) => `(${id} in (${linkedIdsSql(spec.table)}) or ${id} = any($3))`;

/** The table that a field of a spec refers to. */
function targetOf(spec: TableSpec, field: string): TableSpec {
  const reference = spec.references.find(({ column }) => column === snake(field));
  const target = tableSpecs.find(({ name }) => name === reference?.table);
  if (!target) throw new Error(`${spec.name}.${field} refers to no table`);
  return target;
}

/** Which rows of the house come along with a project; null for all of them. */
function broughtSql(spec: TableSpec): string | null {
  const { snapshot } = spec;
  if (snapshot === 'all') return null;
  if (snapshot === 'none') return 't.id = any($3)';
  if (snapshot === 'linked') return isLinkedSql(spec, 't.id');
  if ('along' in snapshot)
    return `(t."${snake(snapshot.along)}" in (select id from ${broughtName(targetOf(spec, snapshot.along))}) or t.id = any($3))`;
  // What shares something with the project comes along, and what belongs to nothing in particular.
  const column = snake(snapshot.sharing);
  const shared = targetOf(spec, snapshot.sharing);
  const ofLinked = `select x."${column}" from "${spec.name}" x where x.studio_id = $1 and ${isLinkedSql(spec, 'x.id')}`;
  return `(t."${column}" is null or ${isLinkedSql(shared, `t."${column}"`)} or t."${column}" in (${ofLinked}) or ${isLinkedSql(spec, 't.id')})`;
}

const broughtName = (spec: TableSpec) => `brought_${spec.name}`;

/** Tables whose rows others come along with: which of them come along is found once. */
const leading = new Set(
  tableSpecs.flatMap((spec) =>
    typeof spec.snapshot === 'object' && 'along' in spec.snapshot ? [targetOf(spec, spec.snapshot.along)] : [],
  ),
);

const LEADING_SQL = [...leading].map(
  (spec) =>
    `${broughtName(spec)} as materialized (select t.id from "${spec.name}" t where t.studio_id = $1 and t.deleted_at is null and ${broughtSql(spec) ?? 'true'})`,
);

/** A project's snapshot. $1: studio, $2: project, $3: further rows of the house to bring, $4: whether a removed project is read too. */
export const SNAPSHOT_SQL = (() => {
  const lists = tableSpecs
    .filter((spec) => spec.table !== 'project')
    .map((spec) => {
      const here = 't.studio_id = p.studio_id and t.deleted_at is null';
      if (spec.owner === 'project') return listSql(spec, `${here} and t.project_id = p.id`);
      const brought = leading.has(spec) ? `t.id in (select id from ${broughtName(spec)})` : broughtSql(spec);
      return listSql(spec, brought === null ? here : `${here} and ${brought}`);
    });
  return `with ${LEADING_SQL.join(', ')}
    select json_build_object('project', ${rowJsonSql(specOf('project'), 'p')}, ${lists.join(', ')})::text as body, p.revision, s.revision as "studioRevision"
    from "project" p join "studio" s on s.id = p.studio_id
    where p.studio_id = $1 and p.id = $2 and ($4 or p.deleted_at is null)`;
})();

/** The studio's shared rows: what the house works on. $1: studio, $2: rows to bring of what there is too much of. */
export const HOUSE_SQL = (() => {
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

/** Whether any of some ids ($2) is a live row of the house that a project's rows hold only when they speak of it. */
export const SPOKEN_OF_SQL = `${tableSpecs
  .filter((spec) => spec.owner === 'studio' && spec.snapshot !== 'all')
  .map((spec) => `select 1 from "${spec.name}" where studio_id = $1 and id = any($2) and deleted_at is null`)
  .join(' union all ')} limit 1`;
