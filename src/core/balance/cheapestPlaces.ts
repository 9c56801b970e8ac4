import { grouped } from '../kernel/grouped';
import type { Memo } from '../kernel/memo';
import { fromMicro } from '../kernel/micro';
import type { SupplyPlaceRow } from '../model/rows';
import { Plan } from '../plan/computePlan';
import { poolCost, purchaseOf, tripsOfPacks, tripsPulled } from '../plan/model/poolCost';
import { drawOf, type SupplyPack, type SupplyPool, type Total, totalOf } from '../plan/model/pools';
import { placeName } from '../plan/tripQuestion';

/** A supply that is better bought elsewhere. */
export interface PlaceChange {
  supplyKey: string;
  name: string;
  /** Where its packs are from as the plan has it, and where they would be; no place where none is known. */
  from: readonly string[];
  to: readonly string[];
  /** The place to hold it to; null where the lowest price decides. */
  place: string | null;
}

/** A better way to buy the same supplies. */
export interface CheaperPlaces {
  changes: readonly PlaceChange[];
  /** What it saves at the till, ways and deliveries in it, minor units; below 0 where hours are saved for money. */
  savedCashMinor: number;
  /** Minutes on the way that it saves. */
  savedMinutes: number;
  /** Ways that are not needed any more, by name. */
  waysSpared: readonly string[];
  /** Whether nothing better is possible: with very many ways only single ones are tried. */
  isProven: boolean;
}

/** One way to buy a supply. */
interface Candidate {
  place: string | null;
  cash: number;
  ways: readonly number[];
  sources: readonly string[];
  isNow: boolean;
}

interface Buying {
  key: string;
  name: string;
  candidates: readonly Candidate[];
}

/** A way that things come by, as it counts where nothing else takes it anyway. */
interface Way {
  name: string;
  cash: number;
  minutes: number;
}

/** A set of ways, and how each supply is bought with them. */
interface Found {
  cash: number;
  minutes: number;
  changed: number;
  bought: readonly Candidate[];
  ways: ReadonlySet<number>;
}

/** So many ways at the most are tried in all their sets: 4096 of them. */
const MOST_WAYS = 12;

/**
 * Where the supplies of what is chosen are best bought, all together: the price of each at each place, and what every way
 * there costs once for all that comes by it (a trip, or an order that is sent). It is a facility location problem: for a
 * set of ways each supply takes its cheapest place among them, and the sets are tried one and all.
 *
 * What is weighed is cash and the minutes on the way at the project's value of an hour; of equals the one with less time,
 * then with fewer changes. Every supply is bought at one place, or as the plan buys it now.
 * @param memo what trial plans remember of each other
 * @returns null where the plan buys them as well as can be
 */
export function cheapestPlaces(plan: Plan, memo: Memo): CheaperPlaces | null {
  const { ways, indexOfWay } = openWays(plan);
  const buyings = plan.sums.lines.flatMap(({ pool, drawn }): Buying[] => {
    if (pool.kind !== 'supply') return [];
    const purchase = purchaseOf(pool, drawn);
    if (purchase.packs.length === 0 || purchase.cash.atLeast) return [];
    return [{ key: pool.key, name: pool.name, candidates: candidatesOf(pool, drawn, indexOfWay) }];
  });
  if (!buyings.some(({ candidates }) => candidates.length > 1)) return null;
  const worth = (plan.rows.project.hourValue ?? 0) / 60;
  const now = priced(
    buyings.map(({ candidates }) => candidates.find(({ isNow }) => isNow)),
    ways,
  );
  if (!now) return null;
  const { best, isProven } = search(buyings, ways, worth, now);
  if (!isBetter(best, now, worth)) return null;
  const found: CheaperPlaces = {
    isProven,
    savedCashMinor: now.cash - best.cash,
    savedMinutes: now.minutes - best.minutes,
    waysSpared: [...now.ways].filter((way) => !best.ways.has(way)).map((way) => ways[way]?.name ?? ''),
    changes: buyings.flatMap(({ key, name, candidates }, n): PlaceChange[] => {
      const to = best.bought[n];
      const from = candidates.find(({ isNow }) => isNow);
      if (!to || !from || to.isNow) return [];
      return [{ supplyKey: key, name, from: from.sources, to: to.sources, place: to.place }];
    }),
  };
  return isTrue(plan, found, memo) ? found : null;
}

/** The places of a project's supplies with some changed. */
export function placesWith(
  places: readonly SupplyPlaceRow[],
  changes: readonly Pick<PlaceChange, 'supplyKey' | 'place'>[],
): SupplyPlaceRow[] {
  const changed = new Set(changes.map(({ supplyKey }) => supplyKey));
  return [
    ...places.filter(({ supplyKey }) => !changed.has(supplyKey)),
    ...changes.flatMap(({ supplyKey, place }) =>
      place === null ? [] : [{ id: `bought ${supplyKey}`, version: 1, supplyKey, place }],
    ),
  ];
}

/** Checks an answer by the plan that it makes: it saves what it says, or it is not shown. */
function isTrue(before: Plan, { changes, savedCashMinor, savedMinutes }: CheaperPlaces, memo: Memo): boolean {
  const rows = { ...before.rows, supplyPlaces: placesWith(before.rows.supplyPlaces, changes) };
  const after = new Plan(rows, before.asOfMs, memo, before.model.cutter);
  return (
    before.sums.cash.likely - after.sums.cash.likely === savedCashMinor &&
    Math.abs(before.sums.minutes.likely - after.sums.minutes.likely - savedMinutes) < 1e-6
  );
}

/** The ways that only supplies are fetched by: what finds and orders take anyway costs nothing more. */
function openWays(plan: Plan): { ways: Way[]; indexOfWay: (wayId: string) => number | null } {
  const taken = new Set(
    plan.chosen.flatMap(({ model }) => model.draws.flatMap(({ kind, key }) => (kind === 'trip' ? [key] : []))),
  );
  const ids: string[] = [];
  for (const { pool } of plan.sums.lines)
    if (pool.kind === 'supply')
      for (const id of tripsOfPacks({ ...pool, packs: pool.offered }))
        if (!taken.has(id) && !ids.includes(id)) ids.push(id);
  const ways = ids.map((id): Way => {
    const pool = plan.model.pool(drawOf('trip', id, 1));
    const cost = pool && poolCost(pool, totalOf(1));
    return {
      name: pool?.kind === 'trip' ? pool.name : '',
      cash: cost?.cash.likely ?? 0,
      minutes: fromMicro(cost?.handsMicro ?? 0),
    };
  });
  return {
    ways,
    indexOfWay: (wayId) => (taken.has(wayId) ? null : ids.indexOf(wayId)),
  };
}

/** How a supply can be bought: as now, at the lowest price wherever that is, or all of it at one place. */
function candidatesOf(pool: SupplyPool, drawn: Total, indexOfWay: (wayId: string) => number | null): Candidate[] {
  const candidate = (packs: SupplyPool['packs'], place: string | null, isNow: boolean): Candidate[] => {
    // The same pool where nothing differs, so that what was laid out on it is not laid out again.
    const bought = isNow ? pool : { ...pool, packs };
    const purchase = purchaseOf(bought, drawn);
    if (purchase.cash.atLeast) return [];
    const source = (id: string) => packs.find((pack) => pack.id === id)?.source ?? '';
    return [
      {
        place,
        isNow,
        cash: purchase.cash.likely,
        ways: tripsPulled(bought, drawn).flatMap((id) => indexOfWay(id) ?? []),
        sources: [...new Set(purchase.packs.map(({ id }) => source(id)))],
      },
    ];
  };
  return [
    ...candidate(pool.packs, null, true),
    ...(isHeld(pool) ? candidate(pool.offered, null, false) : []),
    ...packsByPlace(pool).flatMap(({ place, packs }) =>
      packs.length === pool.packs.length ? [] : candidate(packs, place, false),
    ),
  ];
}

/** Whether a supply is bought at the place that the stylist chose, and nowhere else. */
const isHeld = ({ packs, offered }: SupplyPool): boolean => packs.length < offered.length;

/** All packs that are known of a supply by the place that sells them. */
const packsByPlace = ({ offered }: SupplyPool): { place: string; packs: SupplyPack[] }[] =>
  [...grouped(offered, ({ source }) => placeName(source)).values()].map((packs) => ({
    place: packs[0]?.source.trim() ?? '',
    packs,
  }));

/** A place that a supply could be bought at, and what its packs come to there. */
export interface PlaceOfSupply {
  /** Empty for packs of which nobody said where they are sold. */
  place: string;
  cashMinor: number;
  /** Whether it is bought there, and nowhere else, because the stylist said so. */
  isChosen: boolean;
}

/** The places that sell what is needed of a supply at a known price, the cheapest first; ways there are not in it. */
export function placesOfSupply(plan: Plan, key: string): PlaceOfSupply[] {
  const line = plan.sums.lines.find(({ pool }) => pool.kind === 'supply' && pool.key === key);
  if (line?.pool.kind !== 'supply') return [];
  const { pool, drawn } = line;
  return packsByPlace(pool)
    .flatMap(({ place, packs }): PlaceOfSupply[] => {
      const { cash } = purchaseOf({ ...pool, packs }, drawn);
      const isChosen = isHeld(pool) && pool.packs.every((pack) => packs.includes(pack));
      return cash.atLeast ? [] : [{ place, cashMinor: cash.likely, isChosen }];
    })
    .sort((a, b) => a.cashMinor - b.cashMinor || (a.place < b.place ? -1 : 1));
}

/** What supplies bought in certain ways come to, the ways there once each. */
function priced(bought: readonly (Candidate | undefined)[], ways: readonly Way[]): Found | null {
  const all: Candidate[] = [];
  for (const candidate of bought) {
    if (!candidate) return null;
    all.push(candidate);
  }
  const taken = new Set(all.flatMap((candidate) => candidate.ways));
  const sum = (of: (way: Way) => number) => [...taken].reduce((total, n) => total + (ways[n] ? of(ways[n]) : 0), 0);
  return {
    cash: all.reduce((total, { cash }) => total + cash, 0) + sum(({ cash }) => cash),
    minutes: sum(({ minutes }) => minutes),
    changed: all.filter(({ isNow }) => !isNow).length,
    bought: all,
    ways: taken,
  };
}

/** Whether one is better than another: worth more in all, else quicker, else with fewer changes. */
function isBetter(a: Found, b: Found, worth: number): boolean {
  const difference = a.cash + a.minutes * worth - (b.cash + b.minutes * worth);
  if (Math.abs(difference) > 1e-6) return difference < 0;
  if (Math.abs(a.minutes - b.minutes) > 1e-6) return a.minutes < b.minutes;
  return a.changed < b.changed;
}

/** The best of all sets of ways; where there are too many, of all that one way more or less leads to, again and again. */
function search(
  buyings: readonly Buying[],
  ways: readonly Way[],
  worth: number,
  now: Found,
): { best: Found; isProven: boolean } {
  const within = (open: (way: number) => boolean): Found | null =>
    priced(
      buyings.map(({ candidates }) =>
        candidates
          .filter((candidate) => candidate.ways.every(open))
          .reduce<Candidate | undefined>(
            (best, one) =>
              !best || one.cash < best.cash || (one.cash === best.cash && one.isNow && !best.isNow) ? one : best,
            undefined,
          ),
      ),
      ways,
    );
  let best = now;
  const take = (found: Found | null): boolean => {
    if (!found || !isBetter(found, best, worth)) return false;
    best = found;
    return true;
  };
  if (ways.length <= MOST_WAYS) {
    for (let set = 0; set < 1 << ways.length; set += 1) take(within((way) => ((set >> way) & 1) === 1));
    return { best, isProven: true };
  }
  take(within(() => true));
  for (let isMoving = true; isMoving; )
    isMoving = ways.some((_, n) => {
      const { ways: open } = best;
      return take(within((way) => (way === n ? !open.has(n) : open.has(way))));
    });
  return { best, isProven: false };
}
