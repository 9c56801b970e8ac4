import type { PieceQuery } from '@contract/house';
import type { Lab } from '@core/color/lab';
import type { PieceRow } from '@core/model/rows';
import { type FitPiece, fitPiece } from '@core/sourcing/fitRanking';
import { PIECE_WORDS_SQL } from './pieceWords';
import { spokenForSql } from './placements';
import type { Transaction } from './scope';
import { rowJsonSql, specOf } from './tables';

interface Where {
  sql: string;
  values: unknown[];
}

/** A query's conditions as SQL; the color is not among them, since its difference is computed in the core. */
function conditions(studioId: string, query: PieceQuery): Where {
  const values: unknown[] = [studioId];
  const parts = ['t.studio_id = $1', 't.deleted_at is null', 't.in_house'];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const words = (query.words ?? '').toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  if (words.length > 0)
    parts.push(`${PIECE_WORDS_SQL} @@ to_tsquery('simple', ${bind(words.map((word) => `${word}:*`).join(' & '))})`);
  if (query.role !== undefined) parts.push(`t.roles @> ${bind(JSON.stringify([query.role]))}::jsonb`);
  if (query.season !== undefined) parts.push(`t.season in ('any', ${bind(query.season)})`);
  if (query.templateId !== undefined) parts.push(`t.template_id = ${bind(query.templateId)}`);
  const range = (column: string, least: number | undefined, most: number | undefined) => {
    if (least !== undefined) parts.push(`t.${column} >= ${bind(least)}`);
    if (most !== undefined) parts.push(`t.${column} <= ${bind(most)}`);
  };
  range('width_mm', query.minWidth, query.maxWidth);
  range('height_mm', query.minHeight, query.maxHeight);
  range('depth_mm', undefined, query.maxDepth);
  if (query.near !== undefined) parts.push('t.color_l is not null');
  if (query.unusedSince !== undefined)
    parts.push(`(t.last_used_on is null or t.last_used_on < ${bind(query.unusedSince)})`);
  if (query.used === 'known') parts.push('t.last_used_on is not null');
  if (query.freeFrom !== undefined || query.freeUntil !== undefined) {
    const from = bind(query.freeFrom ?? null);
    const until = bind(query.freeUntil ?? null);
    parts.push(`t.count > ${spokenForSql(from, until)}`);
  }
  if (query.only === 'unsorted') parts.push('not t.sorted');
  if (query.only === 'borrowed') parts.push("t.borrowed_from <> ''");
  if (query.only === 'fragile') parts.push('t.fragile');
  if (query.only === 'standing') parts.push("t.stands_at <> ''");
  if (query.only === 'stored') parts.push("t.stands_at = '' and (t.box <> '' or t.shelf <> '')");
  return { sql: parts.join(' and '), values };
}

const orders: Record<NonNullable<PieceQuery['sort']>, string> = {
  // What was used longest ago comes first; what nobody remembers using before that.
  sleeping: 't.last_used_on asc nulls first, t.name, t.id',
  name: 't.name, t.id',
  newest: 't.created_at desc, t.id',
  tallest: 't.height_mm desc nulls last, t.id',
};

/** A page of the pieces that a query finds, with how many there are in all. */
export async function piecePage(
  { scope, manager }: Transaction,
  query: PieceQuery,
  limit: number,
  offset: number,
): Promise<{ total: number; pieces: PieceRow[] }> {
  const where = conditions(scope.studioId, query);
  const at = where.values.length;
  const found: { total: number; pieces: PieceRow[] }[] = await manager.query(
    `with hit as (select t.* from "piece" t where ${where.sql})
     select (select count(*)::int from hit) as total,
       (select coalesce(json_agg(${rowJsonSql(specOf('pieces'), 'q')}), '[]'::json) from (select t.* from hit t order by ${orders[query.sort ?? 'sleeping']} limit $${at + 1} offset $${at + 2}) q) as pieces`,
    [...where.values, limit, offset],
  );
  return found[0] ?? { total: 0, pieces: [] };
}

/** Ids and colors of all pieces that a query finds and whose color is known. */
export async function pieceColors(
  { scope, manager }: Transaction,
  query: PieceQuery,
): Promise<{ id: string; color: Lab; accent: Lab | null }[]> {
  const where = conditions(scope.studioId, query);
  const found: { list: [string, number, number, number, number | null, number, number][] }[] = await manager.query(
    `select coalesce(json_agg(json_build_array(t.id, t.color_l, t.color_a, t.color_b, t.accent_l, t.accent_a, t.accent_b)), '[]'::json) as list from "piece" t where ${where.sql}`,
    where.values,
  );
  return (found[0]?.list ?? []).map(([id, L, a, b, accentL, accentA, accentB]) => ({
    id,
    color: { L, a, b },
    accent: accentL === null ? null : { L: accentL, a: accentA, b: accentB },
  }));
}

/** Pieces by their ids, in the order asked for. */
export async function piecesById({ scope, manager }: Transaction, ids: readonly string[]): Promise<PieceRow[]> {
  const found: { list: PieceRow[] }[] = await manager.query(
    `select coalesce(json_agg(${rowJsonSql(specOf('pieces'), 't')} order by w.place), '[]'::json) as list
     from unnest($2::uuid[]) with ordinality w(id, place) join "piece" t on t.studio_id = $1 and t.id = w.id and t.deleted_at is null`,
    [scope.studioId, ids],
  );
  return found[0]?.list ?? [];
}

type Compact = [
  string,
  string,
  number | null,
  number | null,
  number | null,
  number | null,
  number,
  number,
  number | null,
  number,
  number,
  FitPiece['roles'],
  string,
  FitPiece['season'],
  number,
  string | null,
  boolean,
  string,
  string | null,
];

/** What a ranking looks at of every piece in the house, as one list: arrays, since ten thousand objects are slow to read. */
export async function piecesToRank({ scope, manager }: Transaction): Promise<FitPiece[]> {
  const found: { list: string }[] = await manager.query(
    `select coalesce(json_agg(json_build_array(id, name, width_mm, depth_mm, height_mm, color_l, color_a, color_b, accent_l, accent_a, accent_b, roles, style, season, count, last_used_on, fragile, borrowed_from, back_by)), '[]'::json)::text as list
     from "piece" where studio_id = $1 and deleted_at is null and in_house`,
    [scope.studioId],
  );
  return (JSON.parse(found[0]?.list ?? '[]') as Compact[]).map((row) =>
    fitPiece({
      id: row[0],
      name: row[1],
      widthMm: row[2],
      depthMm: row[3],
      heightMm: row[4],
      color: row[5] === null ? null : { L: row[5], a: row[6], b: row[7] },
      accent: row[8] === null ? null : { L: row[8], a: row[9], b: row[10] },
      roles: row[11],
      style: row[12],
      season: row[13],
      count: row[14],
      lastUsedOn: row[15],
      fragile: row[16],
      borrowedFrom: row[17],
      backBy: row[18],
    }),
  );
}

/** Owned things that serve as risers and whose height is known. */
export async function risersOf({
  scope,
  manager,
}: Transaction): Promise<
  { id: string; name: string; heightMm: number; widthMm: number | null; depthMm: number | null; count: number }[]
> {
  return manager.query(
    `select id, name, height_mm as "heightMm", width_mm as "widthMm", depth_mm as "depthMm", count from "piece"
     where studio_id = $1 and deleted_at is null and in_house and height_mm is not null and roles @> '["riser"]'::jsonb order by height_mm, id`,
    [scope.studioId],
  );
}

/** Name, size and store of every piece, for telling a piece that is here already. */
export async function piecePrints({
  scope,
  manager,
}: Transaction): Promise<Pick<PieceRow, 'id' | 'name' | 'widthMm' | 'depthMm' | 'heightMm' | 'box' | 'shelf'>[]> {
  return manager.query(
    'select id, name, width_mm as "widthMm", depth_mm as "depthMm", height_mm as "heightMm", box, shelf from "piece" where studio_id = $1 and deleted_at is null and in_house',
    [scope.studioId],
  );
}

/** Those of some ids that were pieces of the house once and are no more. */
export async function removedPieceIds({ scope, manager }: Transaction, ids: readonly string[]): Promise<string[]> {
  const found: { id: string }[] = await manager.query(
    'select id from "piece" where studio_id = $1 and id = any($2) and (deleted_at is not null or not in_house)',
    [scope.studioId, ids],
  );
  return found.map((row) => row.id);
}

/** All pieces, for a file; by name. */
export async function allPieces({ scope, manager }: Transaction): Promise<PieceRow[]> {
  const found: { list: PieceRow[] }[] = await manager.query(
    `select coalesce(json_agg(${rowJsonSql(specOf('pieces'), 't')} order by t.name, t.id), '[]'::json) as list from "piece" t where t.studio_id = $1 and t.deleted_at is null and t.in_house`,
    [scope.studioId],
  );
  return found[0]?.list ?? [];
}

export interface HouseCounts {
  pieces: number;
  things: number;
  unsorted: number;
  sleeping: number;
  value: { currency: string; value: number; sleeping: number }[];
}

/** How much there is, how much of it sleeps, and what it is worth by currency; minor units. */
export async function houseCounts({ scope, manager }: Transaction, asleepSince: string): Promise<HouseCounts> {
  const [counts]: HouseCounts[] = await manager.query(
    `select count(*)::int as pieces, coalesce(sum(count), 0)::int as things, (count(*) filter (where not sorted))::int as unsorted,
       (count(*) filter (where last_used_on < $2))::int as sleeping,
       (select coalesce(json_agg(json_build_object('currency', v.currency, 'value', v.value, 'sleeping', v.sleeping) order by v.currency), '[]'::json) from
         (select currency, sum(value * count)::bigint as value, coalesce(sum(value * count) filter (where last_used_on < $2), 0)::bigint as sleeping
          from "piece" where studio_id = $1 and deleted_at is null and in_house and value is not null and borrowed_from = '' group by currency) v) as value
     from "piece" where studio_id = $1 and deleted_at is null and in_house`,
    [scope.studioId, asleepSince],
  );
  return counts as HouseCounts;
}
