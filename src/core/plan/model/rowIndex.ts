import type { OwnStock } from '../../catalog/stockFacts';
import type { Pin } from '../../cutting/question';
import { grouped } from '../../kernel/grouped';
import type { Memo } from '../../kernel/memo';
import type {
  LedgerRow,
  PackRow,
  PriceNoteRow,
  ProjectRows,
  RowOf,
  SourceRow,
  SupplyRow,
  TripRow,
} from '../../model/rows';
import { settledIds, standingSettlements } from '../../pricing/ledger';
import type { Tax } from '../../pricing/priceStory';
import { supplyKey } from '../../recipe/supplyKey';
import { placeName, tripsBySource } from '../tripQuestion';

/** Tables whose rows are looked up by their id. */
const byIdTables = [
  'slots',
  'finds',
  'offers',
  'options',
  'recipes',
  'pieces',
  'colorCards',
  'sources',
  'trips',
  'artworks',
] as const;
type ByIdTable = (typeof byIdTables)[number];

/** A project's rows as the plan model looks them up; each part is made anew only when its table changed. */
export type RowIndex = { [T in ByIdTable]: ReadonlyMap<string, ProjectRows[T][number]> } & {
  optionsOfSlots: ReadonlyMap<string, readonly RowOf<'options'>[]>;
  /** By their key: kind, color card and sheen. */
  supplies: ReadonlyMap<string, SupplyRow>;
  packsOfSupplies: ReadonlyMap<string, readonly PackRow[]>;
  notesOfTools: ReadonlyMap<string, readonly PriceNoteRow[]>;
  tools: ReadonlyMap<string, RowOf<'tools'>>;
  /** The open trip that goes to a place, by the place, and by its name in small letters, which a pack in the price book has. */
  tripOfSource: ReadonlyMap<string, string>;
  tripOfName: ReadonlyMap<string, string>;
  /** Places that send orders, by their name in small letters, and where each supply is bought if the stylist said so, by its key. */
  delivererOfName: ReadonlyMap<string, SourceRow>;
  /** Taxes of places that charge their own, by their name in small letters. */
  taxOfName: ReadonlyMap<string, Tax>;
  placeOfSupply: ReadonlyMap<string, string>;
  /** What supplies say of their own size and print, and what was laid by hand on each, by supply. */
  stocks: ReadonlyMap<string, OwnStock>;
  pins: ReadonlyMap<string, readonly Pin[]>;
  /** What the ledger holds as paid or promised, by kind of subject. */
  settled: ReadonlyMap<string, ReadonlySet<string>>;
  /** When offers were ordered or paid, epoch milliseconds. */
  offersOrdered: ReadonlyMap<string, number>;
};

/** Indexes the rows of a project. */
export function rowIndex(rows: ProjectRows, memo: Memo): RowIndex {
  const table = <T extends { id: string }>(name: ByIdTable, list: readonly T[]) =>
    memo.part(byId<T>, name, { rows: list });
  return {
    slots: table('slots', rows.slots),
    finds: table('finds', rows.finds),
    offers: table('offers', rows.offers),
    options: table('options', rows.options),
    recipes: table('recipes', rows.recipes),
    pieces: table('pieces', rows.pieces),
    colorCards: table('colorCards', rows.colorCards),
    sources: table('sources', rows.sources),
    artworks: table('artworks', rows.artworks),
    trips: table('trips', rows.trips),
    tripOfSource: memo.part(tripOfSource, '', { rows: rows.trips }),
    tripOfName: memo.part(tripOfName, '', { trips: rows.trips, sources: rows.sources }),
    delivererOfName: memo.part(delivererOfName, '', { rows: rows.sources }),
    taxOfName: memo.part(taxOfName, '', { rows: rows.sources }),
    placeOfSupply: memo.part(placeOfSupply, '', { rows: rows.supplyPlaces }),
    optionsOfSlots: memo.part(optionsOfSlots, '', { rows: rows.options }),
    supplies: memo.part(suppliesByKey, '', { rows: rows.supplies }),
    packsOfSupplies: memo.part(packsOfSupplies, '', { rows: rows.packs }),
    notesOfTools: memo.part(notesOfTools, '', { rows: rows.priceNotes }),
    tools: memo.part(toolsById, '', { rows: rows.tools }),
    stocks: memo.part(stocksOf, '', { rows: rows.supplies.filter(({ stock }) => stock !== null) }),
    pins: memo.part(pinsOf, '', { rows: rows.layouts }),
    settled: memo.part(settled, '', { rows: rows.ledger }),
    offersOrdered: memo.part(offersOrdered, '', { rows: rows.ledger }),
  };
}

type Rows<T> = { rows: readonly T[] };

function byId<T extends { id: string }>({ rows }: Rows<T>): ReadonlyMap<string, T> {
  return new Map(rows.map((row) => [row.id, row]));
}

const optionsOfSlots = ({ rows }: Rows<RowOf<'options'>>) => grouped(rows, (row) => row.slotId);
const packsOfSupplies = ({ rows }: Rows<PackRow>) => grouped(rows, (row) => row.supplyId);
const suppliesByKey = ({ rows }: Rows<SupplyRow>) =>
  new Map(rows.map((row) => [supplyKey(row.kindId, row.colorCardId, row.sheen), row]));
const stocksOf = ({ rows }: Rows<SupplyRow>) =>
  new Map(rows.flatMap((row) => (row.stock ? [[supplyKey(row.kindId, row.colorCardId, row.sheen), row.stock]] : [])));
const pinsOf = ({ rows }: Rows<RowOf<'layouts'>>) =>
  new Map(rows.map((row) => [supplyKey(row.kindId, row.colorCardId, row.sheen), row.pins]));
const tripOfSource = ({ rows }: Rows<TripRow>) => tripsBySource(rows);
function tripOfName(of: { trips: readonly TripRow[]; sources: readonly SourceRow[] }): ReadonlyMap<string, string> {
  const bySource = tripsBySource(of.trips);
  return new Map(
    of.sources.flatMap(({ id, name }) => {
      const tripId = bySource.get(id);
      return tripId === undefined ? [] : [[placeName(name), tripId] as const];
    }),
  );
}
const delivererOfName = ({ rows }: Rows<SourceRow>) =>
  new Map(rows.flatMap((row) => (row.delivers ? [[placeName(row.name), row] as const] : [])));
const taxOfName = ({ rows }: Rows<SourceRow>) =>
  new Map(rows.flatMap(({ name, tax }) => (tax ? [[placeName(name), tax] as const] : [])));
const placeOfSupply = ({ rows }: Rows<RowOf<'supplyPlaces'>>) =>
  new Map(rows.map((row) => [row.supplyKey, placeName(row.place)]));
const toolsById = ({ rows }: Rows<RowOf<'tools'>>) => new Map(rows.map((row) => [row.toolId, row]));
const notesOfTools = ({ rows }: Rows<PriceNoteRow>) =>
  grouped(
    rows.filter((note) => note.subject === 'tool'),
    (note) => note.subjectId,
  );
function offersOrdered({ rows }: Rows<LedgerRow>): ReadonlyMap<string, number> {
  const lines = standingSettlements(rows).filter(({ subject }) => subject.kind === 'offer');
  return new Map(lines.map(({ subject, atMs }) => [subject.id, atMs]));
}
const settled = ({ rows }: Rows<LedgerRow>) => settledIds(rows);
