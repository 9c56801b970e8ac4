import type { PieceQuery } from '@contract/house';
import type { PieceRow } from '@core/model/rows';
import type { Riser } from '@core/sourcing/risers';
import { In, type SelectQueryBuilder } from 'typeorm';
import { entityFor, type Stored } from './entities';
import type { Transaction } from './scope';
import { COLORED_SQL, type PieceColors, piecesColored } from './sql/pieceLists';
import { PIECE_WORDS_SQL } from './sql/pieceWords';
import { spokenForSql } from './sql/placed';
import { fromStored, specOf } from './tables';

type Pieces = SelectQueryBuilder<Stored<'pieces'>>;

const toPiece = (stored: Stored<'pieces'>) => fromStored(specOf('pieces'), stored) as PieceRow;

/** A query for the pieces "t" of the house. */
const inHouse = ({ scope, manager }: Transaction): Pieces =>
  manager
    .createQueryBuilder(entityFor('pieces'), 't')
    .where('t.studioId = :studioId and t.inHouse', { studioId: scope.studioId });

/** What each of the handy choices means. */
const choices: Record<NonNullable<PieceQuery['only']>, string> = {
  unsorted: 'not t.sorted',
  borrowed: "t.borrowedFrom <> ''",
  fragile: 't.fragile',
  standing: "t.standsAt <> ''",
  stored: "t.standsAt = '' and (t.box <> '' or t.shelf <> '')",
};

/** A query's conditions; the color is not among them, since its difference is computed in the core. */
function found(transaction: Transaction, query: PieceQuery): Pieces {
  const pieces = inHouse(transaction);
  const words = (query.words ?? '').toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  if (words.length > 0)
    pieces.andWhere(`${PIECE_WORDS_SQL} @@ to_tsquery('simple', :words)`, {
      words: words.map((word) => `${word}:*`).join(' & '),
    });
  if (query.role !== undefined)
    pieces.andWhere('t.roles @> cast(:roles as jsonb)', { roles: JSON.stringify([query.role]) });
  if (query.season !== undefined) pieces.andWhere("t.season in ('any', :season)", { season: query.season });
  if (query.templateId !== undefined) pieces.andWhere('t.templateId = :templateId', { templateId: query.templateId });
  if (query.minWidth !== undefined) pieces.andWhere('t.widthMm >= :minWidth', { minWidth: query.minWidth });
  if (query.maxWidth !== undefined) pieces.andWhere('t.widthMm <= :maxWidth', { maxWidth: query.maxWidth });
  if (query.minHeight !== undefined) pieces.andWhere('t.heightMm >= :minHeight', { minHeight: query.minHeight });
  if (query.maxHeight !== undefined) pieces.andWhere('t.heightMm <= :maxHeight', { maxHeight: query.maxHeight });
  if (query.maxDepth !== undefined) pieces.andWhere('t.depthMm <= :maxDepth', { maxDepth: query.maxDepth });
  if (query.holdsHeight !== undefined)
    pieces.andWhere('t.innerHeightMm >= :holdsHeight', { holdsHeight: query.holdsHeight });
  // What goes in may be turned: its longer side along the longer one inside. A round thing has one measure for both.
  const sides = [query.holdsWidth, query.holdsDepth].filter((side) => side !== undefined).sort((a, b) => b - a);
  const across = 'coalesce(t.innerWidthMm, t.innerDepthMm)';
  const along = 'coalesce(t.innerDepthMm, t.innerWidthMm)';
  if (sides[0] !== undefined) pieces.andWhere(`greatest(${across}, ${along}) >= :holdsLong`, { holdsLong: sides[0] });
  if (sides[1] !== undefined) pieces.andWhere(`least(${across}, ${along}) >= :holdsShort`, { holdsShort: sides[1] });
  if (query.near !== undefined) pieces.andWhere('t.colorL is not null');
  if (query.unusedSince !== undefined)
    pieces.andWhere('(t.lastUsedOn is null or t.lastUsedOn < :unusedSince)', { unusedSince: query.unusedSince });
  if (query.freeFrom !== undefined || query.freeUntil !== undefined) {
    const spokenFor = spokenForSql({ studio: ':studioId', id: 't.id' }, ':freeFrom', ':freeUntil');
    pieces.andWhere(`(not t.counted or t.count > ${spokenFor})`, {
      freeFrom: query.freeFrom ?? null,
      freeUntil: query.freeUntil ?? null,
    });
  }
  if (query.standsAt !== undefined)
    pieces.andWhere('lower(btrim(t.standsAt)) = lower(btrim(:standsAt))', { standsAt: query.standsAt });
  if (query.ids !== undefined) pieces.andWhere('t.id = any(:ids)', { ids: query.ids.split(',') });
  if (query.box !== undefined)
    pieces.andWhere("t.standsAt = '' and lower(btrim(t.box)) = lower(btrim(:box))", { box: query.box });
  if (query.only !== undefined) pieces.andWhere(choices[query.only]);
  return pieces;
}

/** How a page is ordered; equals by their id, so that no piece stands on two pages. */
const orders: Record<NonNullable<PieceQuery['sort']>, (pieces: Pieces) => Pieces> = {
  // What was used longest ago comes first; what nobody remembers using before that.
  sleeping: (pieces) => pieces.orderBy('t.lastUsedOn', 'ASC', 'NULLS FIRST').addOrderBy('t.name'),
  name: (pieces) => pieces.orderBy('t.name'),
  newest: (pieces) => pieces.orderBy('t.createdAt', 'DESC'),
  tallest: (pieces) => pieces.orderBy('t.heightMm', 'DESC', 'NULLS LAST'),
};

/** A page of the pieces that a query finds, with how many there are in all. */
export async function piecePage(
  transaction: Transaction,
  query: PieceQuery,
  limit: number,
  offset: number,
): Promise<{ total: number; pieces: PieceRow[] }> {
  const ordered = orders[query.sort ?? 'sleeping'](found(transaction, query)).addOrderBy('t.id');
  const [pieces, total] = await ordered.limit(limit).offset(offset).getManyAndCount();
  return { total, pieces: pieces.map(toPiece) };
}

/** Ids and colors of all pieces that a query finds and whose color is known. */
export async function pieceColors(transaction: Transaction, query: PieceQuery): Promise<PieceColors[]> {
  const row = await found(transaction, query)
    .select(COLORED_SQL, 'list')
    .getRawOne<{ list: Parameters<typeof piecesColored>[0] }>();
  return piecesColored(row?.list ?? []);
}

/** Pieces by their ids, in the order asked for. */
export async function piecesById({ scope, manager }: Transaction, ids: readonly string[]): Promise<PieceRow[]> {
  const there = await manager.findBy(entityFor('pieces'), { studioId: scope.studioId, id: In(ids) });
  const byId = new Map(there.map((piece) => [piece.id, piece]));
  return ids.flatMap((id) => {
    const piece = byId.get(id);
    return piece ? [toPiece(piece)] : [];
  });
}

/** Owned things that serve as risers and whose height is known, the lowest first. */
export async function risersOf(transaction: Transaction): Promise<Riser[]> {
  const there = await inHouse(transaction)
    .andWhere(`t.heightMm is not null and t.roles @> '["riser"]'`)
    .select(columns('id', 'name', 'heightMm', 'widthMm', 'depthMm', 'outline', 'weightG', 'carriesG', 'count'))
    .orderBy('t.heightMm')
    .addOrderBy('t.id')
    .getMany();
  return there.map((piece) => ({ ...piece, heightMm: piece.heightMm ?? 0 }));
}

/** Columns of a query over pieces, its key among them. */
const columns = (...fields: (keyof Stored<'pieces'>)[]) => ['t.studioId', ...fields.map((field) => `t.${field}`)];

/** Name, size and store of every piece, for telling a piece that is here already. */
export function piecePrints(
  transaction: Transaction,
): Promise<Pick<PieceRow, 'id' | 'name' | 'widthMm' | 'depthMm' | 'heightMm' | 'box' | 'shelf'>[]> {
  return inHouse(transaction)
    .select('t.id', 'id')
    .addSelect('t.name', 'name')
    .addSelect('t.widthMm', 'widthMm')
    .addSelect('t.depthMm', 'depthMm')
    .addSelect('t.heightMm', 'heightMm')
    .addSelect('t.box', 'box')
    .addSelect('t.shelf', 'shelf')
    .getRawMany();
}

/** Those of some ids that were pieces of the house once and are no more. */
export async function removedPieceIds({ scope, manager }: Transaction, ids: readonly string[]): Promise<string[]> {
  if (ids.length === 0) return [];
  const gone = await manager
    .createQueryBuilder(entityFor('pieces'), 't')
    .withDeleted()
    .select(columns('id'))
    .where({ studioId: scope.studioId, id: In(ids) })
    .andWhere('(t.deletedAt is not null or not t.inHouse)')
    .getMany();
  return gone.map(({ id }) => id);
}

/** All pieces, for a file; by name. */
export async function allPieces(transaction: Transaction): Promise<PieceRow[]> {
  const all = await inHouse(transaction).orderBy('t.name').addOrderBy('t.id').getMany();
  return all.map(toPiece);
}

export interface HouseCounts {
  pieces: number;
  things: number;
  unsorted: number;
  sleeping: number;
  value: { currency: string; value: number; sleeping: number }[];
}

/** How much there is, how much of it sleeps, and what it is worth by currency; minor units. */
export async function houseCounts(transaction: Transaction, asleepSince: string): Promise<HouseCounts> {
  // What was never used sleeps too.
  const asleep = 'filter (where t.lastUsedOn is null or t.lastUsedOn < :asleepSince)';
  const [counts, value] = await Promise.all([
    inHouse(transaction)
      .select('cast(count(*) as int)', 'pieces')
      .addSelect('cast(coalesce(sum(t.count), 0) as int)', 'things')
      .addSelect('cast(count(*) filter (where not t.sorted) as int)', 'unsorted')
      .addSelect(`cast(count(*) ${asleep} as int)`, 'sleeping')
      .setParameters({ asleepSince })
      .getRawOne<Omit<HouseCounts, 'value'>>(),
    inHouse(transaction)
      .andWhere("t.value is not null and t.borrowedFrom = ''")
      .select('t.currency', 'currency')
      .addSelect('cast(sum(t.value * t.count) as double precision)', 'value')
      .addSelect(`cast(coalesce(sum(t.value * t.count) ${asleep}, 0) as double precision)`, 'sleeping')
      .setParameters({ asleepSince })
      .groupBy('t.currency')
      .orderBy('t.currency')
      .getRawMany<HouseCounts['value'][number]>(),
  ]);
  if (!counts) throw new Error('a count has no row');
  return { ...counts, value };
}

/** So many names of what lies in a box are told; a label has no room for more. */
const MOST_NAMES = 12;

/** What lies in each box, as the pieces name them; by name. */
export const boxCounts = (
  transaction: Transaction,
): Promise<{ name: string; pieces: number; things: number; fragile: number; names: string[] }[]> =>
  inHouse(transaction)
    .andWhere("t.box <> '' and t.standsAt = ''")
    .select('min(t.box)', 'name')
    .addSelect('cast(count(*) as int)', 'pieces')
    .addSelect('cast(coalesce(sum(t.count), 0) as int)', 'things')
    .addSelect('cast(count(*) filter (where t.fragile) as int)', 'fragile')
    // What breaks is named first: it lies on top.
    .addSelect(
      `(array_agg(case when t.count > 1 then t.count || ' × ' || t.name else t.name end order by t.fragile desc, t.name))[1:${MOST_NAMES}]`,
      'names',
    )
    .groupBy('lower(btrim(t.box))')
    .orderBy('lower(btrim(t.box))')
    .limit(1000)
    .getRawMany();
