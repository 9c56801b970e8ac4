import type { SupplyUnit } from '../catalog/consumables';
import { openedLifeMonths } from '../catalog/supplyKinds';
import { type Amount, addAmounts, mapAmount, nothing } from '../kernel/amount';
import { fromMicro } from '../kernel/micro';
import type { TripRow } from '../model/rows';
import { sourceName } from '../model/sourceName';
import type { Plan } from '../plan/computePlan';
import { neededMicro, purchaseOf } from '../plan/model/poolCost';
import type { Pool } from '../plan/model/pools';
import { placeName, tripsBySource } from '../plan/tripQuestion';
import { offerDelivery } from '../pricing/offer';
import { partsOfSupplyKey } from '../recipe/supplyKey';

/** What is bought, as the act that buys it knows it. */
export type Bought =
  | { kind: 'find'; findId: string }
  | { kind: 'offer'; offerId: string }
  /** So much of a supply, in its unit. */
  | { kind: 'supply'; key: string; amount: number; unit: SupplyUnit }
  | { kind: 'tool'; toolId: string }
  /** The way there, and what it costs. */
  | { kind: 'trip'; tripId: string };

/** One thing to buy. */
export interface ShoppingLine {
  id: string;
  bought: Bought;
  name: string;
  /** How it is bought: "2 × quart"; empty for a single piece. */
  packs: string;
  /** At the till, tax in it; a delivery is in it. */
  cash: Amount;
  /** What of it is delivery, minor units; 0 for none, null while nobody knows. */
  delivery: number | null;
  /** The numbers of the slots that want it. */
  slotNumbers: readonly number[];
  /** What will be left of it, in the supply's unit; 0 where nothing is told. */
  leftOver: number;
  /** How long that usually keeps once it is opened, months; null where nothing is left, or it keeps. */
  keepsMonths: number | null;
}

/** What is bought in one place, or on the way to it. */
export interface ShoppingPlace {
  /** As the place is called; empty where any will do. */
  name: string;
  /** The open trip that goes there. */
  tripId: string | null;
  tripName: string;
  lines: readonly ShoppingLine[];
  cash: Amount;
}

interface Placed {
  place: string;
  line: ShoppingLine;
}

/**
 * Everything that is chosen and not yet paid, by place: finds, offers, whole packs of supplies for all recipes together,
 * less the stash, tools, and what trips cost. All lines together are what the purse plans, to the cent. What costs nothing
 * is not on it, except a find, which must still be fetched.
 */
export function shoppingList(plan: Plan): ShoppingPlace[] {
  const placed = plan.sums.lines.flatMap(({ draw, pool, drawn }) => linesOf(plan, draw.poolId, pool, drawn));
  const trips = tripsByPlace(plan);
  const places = new Map<string, { name: string; lines: ShoppingLine[] }>();
  for (const { place, line } of placed) {
    const key = placeName(place);
    const entry = places.get(key) ?? { name: place, lines: [] };
    entry.lines.push(line);
    places.set(key, entry);
  }
  return [...places]
    .map(([key, { name, lines }]): ShoppingPlace => {
      const trip = trips.get(key);
      return {
        name,
        tripId: trip?.id ?? null,
        tripName: trip?.name ?? '',
        lines: lines.sort((a, b) => b.cash.likely - a.cash.likely || (a.name < b.name ? -1 : 1)),
        cash: lines.reduce((sum, line) => addAmounts(sum, line.cash), nothing),
      };
    })
    .sort((a, b) => Number(a.name === '') - Number(b.name === '') || (a.name < b.name ? -1 : 1));
}

function linesOf(plan: Plan, poolId: string, pool: Pool, drawn: Parameters<typeof purchaseOf>[1]): Placed[] {
  const { rows } = plan;
  const slotNumbers = numbersOf(plan, poolId);
  const line = (
    more: Pick<ShoppingLine, 'bought' | 'name' | 'cash'> & Partial<ShoppingLine>,
    id = poolId,
  ): ShoppingLine => ({
    id,
    packs: '',
    delivery: 0,
    slotNumbers,
    leftOver: 0,
    keepsMonths: null,
    ...more,
  });
  switch (pool.kind) {
    case 'find': {
      if (pool.isSettled) return [];
      const { id, name, sourceId, state } = pool.find;
      if (state !== 'seen' && state !== 'passed') return [];
      return [
        {
          place: sourceName(rows.sources, sourceId),
          line: line({ bought: { kind: 'find', findId: id }, name, cash: pool.till }),
        },
      ];
    }
    case 'order': {
      if (pool.isSettled) return [];
      const { offer, tax } = pool;
      const cost = plan.sums.lines.find(({ draw }) => draw.poolId === poolId)?.cost.cash ?? nothing;
      const packs = Math.ceil(drawn.amount / Math.max(1, offer.pieces));
      const delivery = offerDelivery(offer, tax);
      return [
        {
          place: sourceName(rows.sources, offer.sourceId),
          line: line({
            bought: { kind: 'offer', offerId: offer.id },
            name: offer.name,
            cash: cost,
            packs:
              packs > 1 || offer.pieces > 1
                ? `${packs} × ${offer.pieces > 1 ? `pack of ${offer.pieces}` : 'piece'}`
                : '',
            delivery: delivery.atLeast ? null : delivery.likely,
          }),
        },
      ];
    }
    case 'supply':
      return supplyLines(pool, drawn, line);
    case 'tool':
      return pool.isOwned
        ? []
        : [
            {
              place: '',
              line: line({ bought: { kind: 'tool', toolId: pool.toolId }, name: pool.name, cash: pool.price }),
            },
          ];
    case 'trip':
      return pool.cash.likely === 0 && !pool.cash.atLeast
        ? []
        : [
            {
              // An order that is sent stands with what comes in it.
              place: pool.sentBy ?? pool.name,
              line: line({
                bought: { kind: 'trip', tripId: pool.tripId },
                name: pool.sentBy === null ? 'The way there and back' : 'What it is sent for',
                cash: pool.cash,
              }),
            },
          ];
    case 'session':
      return [];
    default:
      return pool satisfies never;
  }
}

/** The packs of a supply, a line for each place that sells some of them. */
function supplyLines(
  pool: Extract<Pool, { kind: 'supply' }>,
  drawn: Parameters<typeof purchaseOf>[1],
  line: (more: Pick<ShoppingLine, 'bought' | 'name' | 'cash'> & Partial<ShoppingLine>, id?: string) => ShoppingLine,
): Placed[] {
  const purchase = purchaseOf(pool, drawn);
  const bySource = new Map<string, { packs: string[]; amount: number; cash: Amount }>();
  for (const pack of purchase.packs) {
    const known = pool.packs.find(({ id }) => id === pack.id);
    const source = known?.source ?? '';
    const entry = bySource.get(source) ?? { packs: [], amount: 0, cash: nothing };
    entry.packs.push(`${pack.count} × ${known?.name ?? ''}`.trim());
    entry.amount += pack.count * pack.size;
    entry.cash = addAmounts(
      entry.cash,
      pack.price ? mapAmount(pack.price, (minor) => minor * pack.count) : { ...nothing, atLeast: true },
    );
    bySource.set(source, entry);
  }
  // Nobody knows a pack of it: it is on the list all the same, at nobody knows what.
  if (purchase.packs.length === 0 && purchase.cash.atLeast)
    bySource.set('', { packs: [], amount: 0, cash: purchase.cash });
  const left = Math.max(0, pool.stash + purchase.size - fromMicro(neededMicro(pool, drawn)));
  const last = [...bySource.keys()].at(-1);
  const isLeft = left > 1e-6 && !pool.isAlways;
  return [...bySource].map(
    ([source, { packs, amount, cash }]): Placed => ({
      place: source,
      line: line(
        {
          bought: { kind: 'supply', key: pool.key, amount, unit: pool.unit },
          name: pool.name,
          packs: packs.join(' + '),
          cash,
          leftOver: source === last && isLeft ? left : 0,
          keepsMonths: source === last && isLeft ? openedLifeMonths(partsOfSupplyKey(pool.key).kindId) : null,
        },
        `supply ${pool.key} ${source}`,
      ),
    }),
  );
}

/** The numbers of the slots whose choices draw on a pool, each once. */
function numbersOf(plan: Plan, poolId: string): number[] {
  const numbers = plan.chosen
    .filter(({ model }) => model.draws.some((draw) => draw.poolId === poolId))
    .map(({ model }) => model.slot.number);
  return [...new Set(numbers)].sort((a, b) => a - b);
}

/** The open trip that goes to a place, by the place's name. */
function tripsByPlace({ rows }: Plan): Map<string, TripRow> {
  const bySource = tripsBySource(rows.trips);
  return new Map(
    rows.sources.flatMap((source): [string, TripRow][] => {
      const trip = rows.trips.find(({ id }) => id === bySource.get(source.id));
      return trip ? [[placeName(source.name), trip]] : [];
    }),
  );
}
