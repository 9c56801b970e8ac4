/*
 * Promises of pieces. By hand, since the parts of an option are a list inside a column, and a join over such a list
 * (lateral, over a function) is nothing that a query builder can say.
 */

/** How many pieces one promise takes. */
const COUNT_SQL = `fl.count * (part ->> 'pieces')::int`;

/** Every promise of a piece: an option that takes it and fills a slot. */
const placedSql = (studio: string) => `
  from "sighting" f
  join "project" p on p.studio_id = f.studio_id and p.id = f.project_id and p.deleted_at is null
  join "option" o on o.studio_id = f.studio_id and o.project_id = f.project_id and o.deleted_at is null
  cross join lateral jsonb_array_elements(o.parts) part
  join "fill" fl on fl.studio_id = o.studio_id and fl.option_id = o.id and fl.deleted_at is null
  join "slot" s on s.studio_id = o.studio_id and s.id = fl.slot_id and s.deleted_at is null
  where f.studio_id = ${studio} and f.deleted_at is null and part ->> 'findId' = f.id::text`;

/** How many of a piece are spoken for between two dates, both given as SQL; a null date is open. */
export const spokenForSql = (
  piece: { studio: string; id: string },
  from: string,
  until: string,
) => `(select coalesce(sum(${COUNT_SQL}), 0) ${placedSql(piece.studio)} and f.piece_id = ${piece.id}
  and (p.stands_until is null or cast(${from} as date) is null or p.stands_until >= cast(${from} as date))
  and (p.reveal_date is null or cast(${until} as date) is null or p.reveal_date <= cast(${until} as date)))`;

/** One row a slot and piece, of all pieces or of those in $2; $1: the studio. */
export const placementsSql = (isOfSome: boolean) =>
  `select f.piece_id as "pieceId", p.id as "projectId", p.name as "projectName", s.id as "slotId", s.number as "slotNumber", s.name as "slotName",
    sum(${COUNT_SQL})::int as count, to_char(p.reveal_date, 'YYYY-MM-DD') as "from", to_char(p.stands_until, 'YYYY-MM-DD') as "until" ${placedSql('$1')}
   ${isOfSome ? 'and f.piece_id = any($2)' : ''}
   group by f.piece_id, p.id, p.name, s.id, s.number, s.name, p.reveal_date, p.stands_until
   order by p.reveal_date nulls first, s.number`;
