import { type OpenStretch, openOn } from '../calendar/openingHours';

/** A way between two places, one way; null is home. */
export interface TripLeg {
  fromId: string | null;
  toId: string | null;
  minutes: number;
  distanceM: number | null;
}

/** A place that a trip goes to: how long one stays, when it is open, and its way from home, as far as they are known. */
export interface TripStop {
  /** The stop's own id; a place may be visited twice. */
  id: string;
  sourceId: string;
  stayMinutes: number;
  hours: readonly OpenStretch[];
  minutesOneWay: number | null;
  distanceM: number | null;
}

/** A trip to plan: its day, when one leaves, its stops, and ways between them that somebody knows. */
export interface TripQuestion {
  onDate: string;
  startMinute: number;
  stops: readonly TripStop[];
  legs: readonly TripLeg[];
}

/** A way as it is reckoned with; estimated where some of it is a guess. */
export interface TripWay {
  minutes: number;
  distanceM: number;
  isEstimated: boolean;
}

/** One stop as it comes out; minutes since midnight. */
export interface TripArrival {
  stop: TripStop;
  /** The way from the stop before, or from home. */
  way: TripWay;
  arriveMinute: number;
  /** Until it opens. */
  waitMinutes: number;
  leaveMinute: number;
}

/** A trip in an order. */
export interface TripPlan {
  arrivals: TripArrival[];
  /** Back home, minutes since midnight. */
  endMinute: number;
  /** On the way, staying and waiting. */
  totalMinutes: number;
  distanceM: number;
  /** Whether some way between two places is a guess, or unknown. */
  isEstimated: boolean;
  /** Stops that cannot be fitted into their opening hours, in any order with the others. */
  leftOut: TripStop[];
}

/** A way home of which nobody said how long it is takes so many minutes (an assumption of ours). */
const UNKNOWN_MINUTES = 20;
/** Exact orders up to so many stops; more are inserted one by one where they cost least. */
export const MOST_EXACT_STOPS = 9;

/** What somebody said of a way between two places, in either direction; null is home. */
export function legOf(legs: readonly TripLeg[], a: string | null, b: string | null): TripLeg | undefined {
  return legs.find(({ fromId, toId }) => (fromId === a && toId === b) || (fromId === b && toId === a));
}

/** The ways of a trip with one of them said anew, in place of what was said of it before; null is home. */
export function withLeg(
  legs: readonly TripLeg[],
  fromId: string | null,
  toId: string | null,
  said: Pick<TripLeg, 'minutes' | 'distanceM'> | null,
): TripLeg[] {
  const known = legOf(legs, fromId, toId);
  const others = legs.filter((leg) => leg !== known);
  return said === null ? others : [...others, { fromId, toId, ...said }];
}

/**
 * The way between two places of a trip. What somebody said counts, in either direction; from home it is the place's own
 * way. Between two places of which only the ways home are known, it lies between their difference and their sum, and the
 * middle of both is taken: the longer of the two.
 */
function wayBetween(legs: readonly TripLeg[], from: TripStop | null, to: TripStop | null): TripWay {
  const [a, b] = [from?.sourceId ?? null, to?.sourceId ?? null];
  if (a === b) return { minutes: 0, distanceM: 0, isEstimated: false };
  const said = legOf(legs, a, b);
  const homeMinutes = [from, to].map((stop) => (stop === null ? 0 : (stop.minutesOneWay ?? UNKNOWN_MINUTES)));
  const homeDistance = [from, to].map((stop) => (stop === null ? 0 : (stop.distanceM ?? 0)));
  if (said)
    return {
      minutes: said.minutes,
      distanceM: said.distanceM ?? Math.max(...homeDistance),
      isEstimated: said.distanceM === null,
    };
  const known = from === null || to === null ? (from ?? to)?.minutesOneWay !== null : false;
  return { minutes: Math.max(...homeMinutes), distanceM: Math.max(...homeDistance), isEstimated: !known };
}

/** When one can begin at a stop after arriving, so that the stay ends before it closes; null when that day it cannot be. */
function beginAt(stop: TripStop, onDate: string, arriveMinute: number): number | null {
  // Hours that nobody knows are no hindrance.
  if (stop.hours.length === 0) return arriveMinute;
  for (const { fromMinute, toMinute } of openOn(stop.hours, onDate)) {
    const begin = Math.max(arriveMinute, fromMinute);
    if (begin + stop.stayMinutes <= toMinute) return begin;
  }
  return null;
}

/** A trip gone through in a given order; null where some stop cannot be visited then. */
export function tripInOrder(question: TripQuestion, order: readonly TripStop[]): Omit<TripPlan, 'leftOut'> | null {
  const { legs, onDate, startMinute } = question;
  const arrivals: TripArrival[] = [];
  let [minute, distanceM, isEstimated] = [startMinute, 0, false];
  let at: TripStop | null = null;
  for (const stop of [...order, null]) {
    const way = wayBetween(legs, at, stop);
    minute += way.minutes;
    distanceM += way.distanceM;
    isEstimated ||= way.isEstimated;
    if (stop === null) break;
    const begin = beginAt(stop, onDate, minute);
    if (begin === null) return null;
    const leaveMinute = begin + stop.stayMinutes;
    arrivals.push({ stop, way, arriveMinute: minute, waitMinutes: begin - minute, leaveMinute });
    minute = leaveMinute;
    at = stop;
  }
  return { arrivals, endMinute: minute, totalMinutes: minute - startMinute, distanceM, isEstimated };
}

/**
 * The earliest end over all orders of the stops, by sets: for each set of visited stops and the last of them the earliest
 * time at which one can leave it. Leaving earlier is never worse, since one can wait, so nothing is lost by keeping the
 * earliest. Time and room grow with 2ⁿ·n², n ≤ 9.
 */
function bestOrder(question: TripQuestion, stops: readonly TripStop[]): TripStop[] | null {
  const { legs, onDate, startMinute } = question;
  const n = stops.length;
  const ways = [...stops, null].map((from) => stops.map((to) => wayBetween(legs, from, to).minutes));
  const home = stops.map((stop) => wayBetween(legs, stop, null).minutes);
  const leave = new Float64Array((1 << n) * n).fill(Number.POSITIVE_INFINITY);
  const before = new Int8Array((1 << n) * n).fill(-1);
  const visit = (set: number, last: number, from: number, minute: number) => {
    const stop = stops[last] as TripStop;
    const begin = beginAt(stop, onDate, minute);
    if (begin === null) return;
    const at = (set | (1 << last)) * n + last;
    if (begin + stop.stayMinutes >= (leave[at] ?? 0)) return;
    leave[at] = begin + stop.stayMinutes;
    before[at] = from;
  };
  for (let first = 0; first < n; first += 1) visit(0, first, n, startMinute + (ways[n]?.[first] ?? 0));
  for (let set = 1; set < 1 << n; set += 1)
    for (let last = 0; last < n; last += 1) {
      const left = leave[set * n + last] ?? Number.POSITIVE_INFINITY;
      if (!Number.isFinite(left)) continue;
      for (let next = 0; next < n; next += 1)
        if ((set & (1 << next)) === 0) visit(set, next, last, left + (ways[last]?.[next] ?? 0));
    }
  const all = (1 << n) - 1;
  let [best, last] = [Number.POSITIVE_INFINITY, -1];
  for (let stop = 0; stop < n; stop += 1) {
    const end = (leave[all * n + stop] ?? Number.POSITIVE_INFINITY) + (home[stop] ?? 0);
    if (end < best) [best, last] = [end, stop];
  }
  if (last < 0) return null;
  const order: TripStop[] = [];
  for (let set = all; last < n && last >= 0; ) {
    order.unshift(stops[last] as TripStop);
    const previous = before[set * n + last] ?? -1;
    set &= ~(1 << last);
    last = previous;
  }
  return order;
}

/** Each stop put where the trip ends earliest with it, one after the other; null where one fits nowhere. */
function insertedOrder(question: TripQuestion, stops: readonly TripStop[]): TripStop[] | null {
  let order: TripStop[] = [];
  for (const stop of stops) {
    let best: { order: TripStop[]; end: number } | null = null;
    for (let place = 0; place <= order.length; place += 1) {
      const tried = [...order.slice(0, place), stop, ...order.slice(place)];
      const end = tripInOrder(question, tried)?.endMinute;
      if (end !== undefined && (best === null || end < best.end)) best = { order: tried, end };
    }
    if (!best) return null;
    order = best.order;
  }
  return order;
}

/**
 * The order of stops that ends earliest within opening hours; exact up to nine stops. A stop whose stay ends after it
 * closes is not visited. Where not all can be, as many as can be are, those that come first in the list before others, and
 * the rest is left out and said.
 * @returns a trip without stops ends where it begins
 */
export function planTrip(question: TripQuestion): TripPlan {
  const order = (stops: readonly TripStop[]) =>
    stops.length <= MOST_EXACT_STOPS ? bestOrder(question, stops) : insertedOrder(question, stops);
  let chosen: TripStop[] = [];
  const leftOut: TripStop[] = [];
  const whole = order(question.stops);
  if (whole) chosen = whole;
  else
    for (const stop of question.stops) {
      const tried = order([...chosen, stop]);
      if (tried) chosen = tried;
      else leftOut.push(stop);
    }
  const gone = tripInOrder(question, chosen);
  if (!gone) throw new Error('the order of a trip cannot be gone');
  return { ...gone, leftOut };
}

/** What a trip costs: its distance at a rate a kilometer, and parking and fees; minor units, rounded once. */
export function tripCost(distanceM: number, costPerKm: number, extras: number): number {
  return Math.round((distanceM / 1000) * costPerKm) + extras;
}
