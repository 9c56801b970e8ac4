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

/** How many of each piece the fullest look of a spot has without any slot. */
const inLooksSql = (studio: string) => `
  from (
    select lp.studio_id, lp.project_id, lp.piece_id, l.spot_id, lp.look_id, count(*)::int as count
    from "look_piece" lp
    join "look" l on l.studio_id = lp.studio_id and l.id = lp.look_id and l.deleted_at is null
    where lp.studio_id = ${studio} and lp.deleted_at is null and lp.piece_id is not null and lp.slot_id is null
    group by lp.studio_id, lp.project_id, lp.piece_id, l.spot_id, lp.look_id
  ) f
  join "project" p on p.studio_id = f.studio_id and p.id = f.project_id and p.deleted_at is null
  join "spot" s on s.studio_id = f.studio_id and s.id = f.spot_id and s.deleted_at is null
  where true`;

/** How many of a piece are spoken for between two dates, both given as SQL; a null date is open. */
export const spokenForSql = (piece: { studio: string; id: string }, from: string, until: string) => {
  const then = `and f.piece_id = ${piece.id}
  and (p.stands_until is null or cast(${from} as date) is null or p.stands_until >= cast(${from} as date))
  and (p.reveal_date is null or cast(${until} as date) is null or p.reveal_date <= cast(${until} as date))`;
  const inLooks = `select max(f.count) as most ${inLooksSql(piece.studio)} ${then} group by f.spot_id`;
  return `((select coalesce(sum(${COUNT_SQL}), 0) ${placedSql(piece.studio)} ${then})
  + (select coalesce(sum(most), 0) from (${inLooks}) looks))`;
};

/** One row a slot and piece, and one a spot in whose looks a piece stands; of all pieces or of those in $2; $1: the studio. */
export const placementsSql = (isOfSome: boolean) => {
  const rows = (number: string, count: string, from: string) =>
    `select f.piece_id as "pieceId", p.id as "projectId", p.name as "projectName", s.id as "placeId", ${number} as "slotNumber", s.name as "placeName",
    ${count} as count, to_char(p.reveal_date, 'YYYY-MM-DD') as "from", to_char(p.stands_until, 'YYYY-MM-DD') as "until" ${from}
   ${isOfSome ? 'and f.piece_id = any($2)' : ''}
   group by f.piece_id, p.id, p.name, s.id, ${number}, s.name, p.reveal_date, p.stands_until`;
  return `${rows('s.number', `sum(${COUNT_SQL})::int`, placedSql('$1'))}
   union all ${rows('null::int', 'max(f.count)', inLooksSql('$1'))}
   order by "from" nulls first, "slotNumber" nulls last`;
};
