import type { Placement } from '@core/sourcing/placements';
import type { Transaction } from './scope';

/** How many pieces one promise takes. */
const COUNT_SQL = `fl.count * (part ->> 'pieces')::int`;

/** Every promise of a piece: an option that takes it and fills a slot. $1: the studio. */
const PLACED_SQL = `
  from "sighting" f
  join "project" p on p.studio_id = f.studio_id and p.id = f.project_id and p.deleted_at is null
  join "option" o on o.studio_id = f.studio_id and o.project_id = f.project_id and o.deleted_at is null
  cross join lateral jsonb_array_elements(o.parts) part
  join "fill" fl on fl.studio_id = o.studio_id and fl.option_id = o.id and fl.deleted_at is null
  join "slot" s on s.studio_id = o.studio_id and s.id = fl.slot_id and s.deleted_at is null
  where f.studio_id = $1 and f.deleted_at is null and part ->> 'findId' = f.id::text`;
/** How many of the piece "t" are spoken for between two dates given as SQL, a null date being open. */
export const spokenForSql = (
  from: string,
  until: string,
) => `(select coalesce(sum(${COUNT_SQL}), 0) ${PLACED_SQL} and f.piece_id = t.id
  and (p.stands_until is null or ${from}::date is null or p.stands_until >= ${from}::date)
  and (p.reveal_date is null or ${until}::date is null or p.reveal_date <= ${until}::date))`;

/** One row a slot and piece. */
const SELECT_SQL = `select f.piece_id as "pieceId", p.id as "projectId", p.name as "projectName", s.id as "slotId", s.number as "slotNumber", s.name as "slotName",
    sum(${COUNT_SQL})::int as count, to_char(p.reveal_date, 'YYYY-MM-DD') as "from", to_char(p.stands_until, 'YYYY-MM-DD') as "until" ${PLACED_SQL}`;
const GROUPED = 'group by f.piece_id, p.id, p.name, s.id, s.number, s.name, p.reveal_date, p.stands_until';

/** All promises of some pieces, or of all. */
export async function placements(
  { scope, manager }: Transaction,
  pieceIds: readonly string[] | null = null,
): Promise<Placement[]> {
  return manager.query(
    `${SELECT_SQL} ${pieceIds === null ? '' : 'and f.piece_id = any($2)'} ${GROUPED} order by p.reveal_date nulls first, s.number`,
    pieceIds === null ? [scope.studioId] : [scope.studioId, pieceIds],
  );
}

/**
 * Locks pieces for the rest of the transaction, so that two projects do not promise the same one at once; how many
 * there are of each. Not against being referred to: both have done that already, and would wait for each other.
 */
export async function lockPieces(
  { scope, manager }: Transaction,
  pieceIds: readonly string[],
): Promise<ReadonlyMap<string, { name: string; count: number }>> {
  const found: { id: string; name: string; count: number }[] = await manager.query(
    'select id, name, count from "piece" where studio_id = $1 and id = any($2) order by id for no key update',
    [scope.studioId, pieceIds],
  );
  return new Map(found.map((row) => [row.id, row]));
}
