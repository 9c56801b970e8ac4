import { type Assumptions, estimatedShelfPrice } from '../../catalog/assumptions';
import { coatings } from '../../catalog/coatings';
import { isStaple } from '../../catalog/consumables';
import { stockFacts } from '../../catalog/stockFacts';
import { supplyKind, usualPacks } from '../../catalog/supplyKinds';
import { tools } from '../../catalog/tools';
import type { Pin } from '../../cutting/question';
import { type Amount, exactly, nothing } from '../../kernel/amount';
import { toMicro } from '../../kernel/micro';
import { UNIT_PRICE_SCALE } from '../../kernel/money';
import { amountOfPrice, type Price } from '../../kernel/price';
import type { UnitSystem } from '../../kernel/units';
import type {
  ColorCardRow,
  FindRow,
  OfferRow,
  PackRow,
  PriceNoteRow,
  RowOf,
  SourceRow,
  SupplyRow,
  TripRow,
} from '../../model/rows';
import { withTax } from '../../pricing/offer';
import type { Tax } from '../../pricing/priceStory';
import { receiptOf } from '../../pricing/receipt';
import { planTrip, tripCost } from '../../pricing/tripPlan';
import { partsOfSupplyKey } from '../../recipe/supplyKey';
import { cleanUpKey } from '../../technique';
import { placeName, tripQuestion } from '../tripQuestion';
import type { Cutter } from './cutPurchase';
import type { FindPool, OrderPool, SessionPool, SupplyPack, SupplyPool, ToolPool, TripPool } from './pools';

/** A find with what it comes to at the till; what is owned costs nothing any more. */
export function findPool(of: { find: FindRow; isPaid: boolean; currency: string; tax: Tax }): FindPool {
  const { find } = of;
  return {
    kind: 'find',
    find,
    tax: of.tax,
    till: find.state === 'owned' ? nothing : receiptOf(find.story, of.currency, of.tax).total,
    isSettled: of.isPaid || find.state === 'bought' || find.state === 'promised' || find.state === 'owned',
  };
}

/** An offer as it would be ordered. */
export function orderPool(of: { offer: OfferRow; isPaid: boolean; tax: Tax }): OrderPool {
  return { kind: 'order', offer: of.offer, tax: of.tax, isSettled: of.isPaid };
}

/** A trip with what its way and its fees come to. */
export function tripPool(of: { trip: TripRow; sources: readonly (SourceRow | undefined)[] }): TripPool {
  const { trip } = of;
  const { totalMinutes, distanceM } = planTrip(tripQuestion(trip, of.sources));
  return {
    kind: 'trip',
    tripId: trip.id,
    name: trip.name,
    sentBy: null,
    cash: exactly(tripCost(distanceM, trip.costPerKm, trip.extras)),
    handsMicro: toMicro(totalMinutes),
  };
}

/** The mark of a way that a place sends things by, before the place's id. */
const DELIVERED = 'delivered-by:';

/** The way that a place sends things by, as pools are keyed. */
const deliveryKey = (sourceId: string): string => `${DELIVERED}${sourceId}`;

/** The place that sends things by a way; null where the way is a trip. */
export const deliveredBy = (key: string): string | null =>
  key.startsWith(DELIVERED) ? key.slice(DELIVERED.length) : null;

/**
 * An order that a place sends: paid once for all that comes with it. From which sum on it is free is another thing: that
 * depends on the whole basket, and is told with the shopping list.
 */
export function deliveryPool(of: { source: SourceRow; tax: Tax }): TripPool {
  const { id, name, delivers } = of.source;
  const fee = exactly(delivers?.amount ?? 0);
  return {
    kind: 'trip',
    tripId: deliveryKey(id),
    name: `Delivery from ${name}`,
    sentBy: name,
    cash: delivers?.taxed ? withTax(fee, of.tax) : fee,
    handsMicro: 0,
  };
}

/** One session of a coating: set up, clean up, and the overhead on both. Anything else is used without a session. */
export function sessionPool(of: { key: string; assumptions: Assumptions }): SessionPool {
  const coating = coatings.find(partsOfSupplyKey(of.key).kindId);
  const minutes = coating
    ? of.assumptions.number('session.setUpMinutes') + of.assumptions.number(cleanUpKey(coating))
    : 0;
  const percent = of.assumptions.number('labor.overheadPercent');
  return { kind: 'session', key: of.key, micro: toMicro(minutes), overheadMicro: toMicro((minutes * percent) / 100) };
}

/** Whether a tool is in the house and not worn out; until the studio says so, as the table has it. */
export function isToolOwned(toolId: string, row: RowOf<'tools'> | null): boolean {
  return row ? row.owned && row.wear !== 'replace' : tools.get(toolId).usuallyOwned;
}

/**
 * A tool with tax on it: at the cheapest price that the price book has seen, else at the table's estimate. A tool that
 * is worn out is bought anew; until the studio says so, the table's usual answer tells whether it is owned.
 */
export function toolPool(of: {
  toolId: string;
  row: RowOf<'tools'> | null;
  notes: readonly PriceNoteRow[];
  currency: string;
  tax: Tax;
}): ToolPool {
  const tool = tools.get(of.toolId);
  const seen = of.notes
    .filter((note) => note.price.state !== 'unknown' && (note.currency === '' || note.currency === of.currency))
    .map((note) => amountOfPrice(note.price))
    .sort((a, b) => a.likely - b.likely)[0];
  return {
    kind: 'tool',
    toolId: of.toolId,
    name: tool.name,
    isOwned: isToolOwned(of.toolId, of.row),
    price: withTax(seen ?? amountOfPrice(estimatedShelfPrice(tool.price, of.currency)), of.tax),
  };
}

/** A supply from its row and packs; the tables stand in where there are none, so it is never missing. */
export function supplyPool(of: {
  key: string;
  row: SupplyRow | null;
  packs: readonly PackRow[];
  card: ColorCardRow | null;
  currency: string;
  tax: Tax;
  units: UnitSystem;
  /** The open trip that goes to a place, by its name. */
  tripOfName: ReadonlyMap<string, string>;
  /** Places that send orders, by name. */
  delivererOfName: ReadonlyMap<string, SourceRow>;
  /** Taxes of places that charge their own, by name. */
  taxOfName: ReadonlyMap<string, Tax>;
  /** Where the stylist buys it; null where the price decides. */
  place: string | null;
  /** What the stylist laid by hand on it. */
  pins: readonly Pin[];
  cutter: Cutter;
}): SupplyPool {
  const { key, row, card, currency, tax } = of;
  const { kindId, sheen } = partsOfSupplyKey(key);
  const coating = coatings.find(kindId);
  const kind = supplyKind(kindId);
  const till = (price: Price, source: string): Amount | null =>
    price.state === 'unknown' ? null : withTax(amountOfPrice(price), of.taxOfName.get(placeName(source)) ?? tax);
  const own = of.packs.filter((pack) => pack.currency === '' || pack.currency === currency);
  const offered: SupplyPack[] =
    own.length > 0
      ? own.map(({ id, name, size, price, source }) => ({
          id,
          name,
          size,
          price,
          source,
          till: till(price, source),
          tripId: wayTo(of, source),
        }))
      : usualPacks(kindId, of.units).map(({ id, name, size, estimate }) => {
          const price = estimatedShelfPrice(estimate, currency);
          return { id, name, size, price, source: '', till: till(price, ''), tripId: null };
        });
  // A place that sells it no more is passed over: the price decides again.
  const there = of.place === null ? [] : offered.filter(({ source }) => placeName(source) === of.place);
  const packs = there.length > 0 ? there : offered;
  const names = [kind?.name ?? kindId];
  if (card) names.push(card.name);
  if (coating && coating.sheens.length > 1 && sheen) names.push(sheen);
  const stash = row && row.stash.state !== 'none' ? row.stash.amount : 0;
  const isAlways = row ? row.stash.state === 'always' : isStaple(kindId);
  return {
    kind: 'supply',
    key,
    row,
    name: names.join(', '),
    color: card?.lab ?? null,
    unit: kind?.unit ?? 'mL',
    cut: kind?.cut ? stockFacts(kind.cut, row?.stock ?? null) : null,
    offcuts: row?.offcuts ?? [],
    pins: of.pins,
    cutter: of.cutter,
    stash,
    // More than any plan needs, and still a whole number to count with.
    stashMicro: isAlways ? Number.MAX_SAFE_INTEGER : toMicro(stash),
    isAlways,
    packs,
    offered,
    isEstimated: own.length === 0,
    unitCost: unitCostOf(row, packs),
  };
}

/** How what is bought at a place comes home: on the open trip that goes there, else with an order that it sends. */
function wayTo(of: Pick<Parameters<typeof supplyPool>[0], 'tripOfName' | 'delivererOfName'>, source: string) {
  const name = placeName(source);
  const sender = of.delivererOfName.get(name);
  return of.tripOfName.get(name) ?? (sender ? deliveryKey(sender.id) : null);
}

/** What the stash is worth: what was paid for it, else the least that replacing it costs. */
function unitCostOf(row: SupplyRow | null, packs: readonly SupplyPack[]): SupplyPool['unitCost'] {
  if (row && row.unitCostMillionths !== null) return { millionths: row.unitCostMillionths, from: 'paid' };
  const rates = packs.flatMap((pack) => (pack.till && pack.size > 0 ? [pack.till.likely / pack.size] : []));
  return rates.length > 0 ? { millionths: Math.round(Math.min(...rates) * UNIT_PRICE_SCALE), from: 'replace' } : null;
}
