import type { FindRow, SourceRow, TripRow } from '../model/rows';
import { taxAt } from '../model/sourceName';
import type { Plan } from '../plan/computePlan';
import { purchaseOf } from '../plan/model/poolCost';
import { placeName, tripQuestion, tripsBySource } from '../plan/tripQuestion';
import { type DiscountInForce, discountsFor, discountsOn } from '../pricing/discountPattern';
import { plainStory } from '../pricing/priceStory';
import { largestTagFor } from '../pricing/receipt';
import { planTrip, type TripArrival, type TripPlan, type TripStop, tripCost } from '../pricing/tripPlan';
import { type HuntingLine, huntingList } from './huntingList';
import { tillOnDay, withDiscounts } from './tillOnDays';

/** Something that is chosen and waits to be fetched at a stop. */
export interface ToFetch {
  /** What it is ticked off by. */
  id: string;
  name: string;
  /** What it should cost, minor units; null while nobody knows. */
  cost: number | null;
  /** What it comes to on the day of the trip, where the place takes off another amount then; minor units. */
  thatDay: number | null;
}

/** One stop of a trip, with all that one wants to know there. */
export interface SheetStop {
  stop: TripStop;
  source: SourceRow | null;
  /** When one is there; null for a stop that cannot be fitted in. */
  arrival: TripArrival | null;
  /** What the place takes off that day. */
  discounts: DiscountInForce[];
  fetch: ToFetch[];
  /** Seen there before, and being thought over; what is chosen is fetched. */
  thinking: FindRow[];
  /** What is still to be found, with what its tag may say here: the place's tax, and what it takes off that day, are in it. */
  look: LookedFor[];
}

/** A line of the hunting list at one place. */
export interface LookedFor {
  line: HuntingLine;
  /** The largest tag that stays below the ceiling at the till, minor units; null where none does. */
  tag: number | null;
  /** What the place takes off such a thing that day. */
  discounts: DiscountInForce[];
}

/** A trip as one takes it along. */
export interface TripSheet {
  plan: TripPlan;
  /** Way, parking and fees, minor units. */
  cost: number;
  stops: SheetStop[];
  /** What is still to be found, wherever one is. */
  look: HuntingLine[];
}

const otherThan = (known: number, amount: number) => (amount === known ? null : amount);

/** What is chosen, is to be fetched at a place and is not paid yet: finds, new things, and supplies by where their packs are sold. */
function toFetch(plan: Plan, source: SourceRow, onDate: string | null): ToFetch[] {
  const { currency } = plan.rows.project;
  const lines = plan.sums.lines.flatMap(({ pool, drawn, cost }): ToFetch[] => {
    const price = cost.cash.atLeast ? null : cost.cash.likely;
    switch (pool.kind) {
      case 'find':
        return !pool.isSettled && pool.find.sourceId === source.id
          ? [
              {
                id: `find:${pool.find.id}`,
                name: pool.find.name,
                cost: price,
                thatDay:
                  onDate === null || price === null
                    ? null
                    : otherThan(price, tillOnDay(source, pool.find, onDate, { currency, tax: pool.tax }).likely),
              },
            ]
          : [];
      case 'order':
        return !pool.isSettled && pool.offer.sourceId === source.id
          ? [{ id: `offer:${pool.offer.id}`, name: pool.offer.name, cost: price, thatDay: null }]
          : [];
      case 'supply': {
        const bought = new Set(purchaseOf(pool, drawn).packs.map(({ id }) => id));
        const isHere = pool.packs.some(
          (pack) => bought.has(pack.id) && placeName(pack.source) === placeName(source.name),
        );
        return isHere ? [{ id: `supply:${pool.key}`, name: pool.name, cost: price, thatDay: null }] : [];
      }
      case 'tool':
      case 'session':
      case 'trip':
        return [];
      default:
        return pool satisfies never;
    }
  });
  return lines.sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
}

/**
 * A trip with its stops in the order that ends earliest, and at each what to fetch, what is thought over there and what is
 * cheaper that day. Stops that cannot be fitted into their opening hours come last.
 */
export function tripSheet(plan: Plan, trip: TripRow): TripSheet {
  const { sources, finds, project } = plan.rows;
  const look = huntingList(plan);
  const lookAt = (source: SourceRow): LookedFor[] =>
    look.map((line) => {
      const discounts = discountsFor(source.patterns, { words: line.slot.name, tagColor: null }, trip.onDate);
      const story = withDiscounts(plainStory({ state: 'unknown' }), discounts);
      const tag = largestTagFor(story, project.currency, taxAt(plan.rows, source.id), line.ceiling);
      return { line, tag, discounts };
    });
  const byId = new Map(sources.map((source) => [source.id, source]));
  const planned = planTrip(
    tripQuestion(
      trip,
      trip.stops.map(({ sourceId }) => byId.get(sourceId)),
    ),
  );
  const stopOf = (stop: TripStop, arrival: TripArrival | null): SheetStop => {
    const source = byId.get(stop.sourceId) ?? null;
    const fetch = source ? toFetch(plan, source, trip.onDate) : [];
    const fetched = new Set(fetch.map(({ id }) => id));
    return {
      stop,
      source,
      arrival,
      discounts: source ? discountsOn(source.patterns, trip.onDate) : [],
      fetch,
      look: source ? lookAt(source) : [],
      thinking: finds.filter(
        (find) =>
          find.sourceId === stop.sourceId &&
          find.state === 'seen' &&
          find.thinkUntil !== null &&
          !find.archived &&
          !fetched.has(`find:${find.id}`),
      ),
    };
  };
  return {
    plan: planned,
    cost: tripCost(planned.distanceM, trip.costPerKm, trip.extras),
    stops: [
      ...planned.arrivals.map((arrival) => stopOf(arrival.stop, arrival)),
      ...planned.leftOut.map((stop) => stopOf(stop, null)),
    ],
    look,
  };
}

/** Places where something chosen waits to be fetched and no open trip goes to; the most to fetch first. */
export function placesToVisit(plan: Plan): { source: SourceRow; fetch: ToFetch[] }[] {
  const visited = tripsBySource(plan.rows.trips);
  return plan.rows.sources
    .filter(({ id }) => !visited.has(id))
    .map((source) => ({ source, fetch: toFetch(plan, source, null) }))
    .filter(({ fetch }) => fetch.length > 0)
    .sort((a, b) => b.fetch.length - a.fetch.length || (a.source.name < b.source.name ? -1 : 1));
}
