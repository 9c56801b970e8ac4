import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type OpenStretch, parseOpeningHours } from '../calendar/openingHours';
import { planTrip, type TripQuestion, type TripStop, tripCost, tripInOrder, withLeg } from './tripPlan';

const h = (hour: number, minute = 0) => hour * 60 + minute;
// December 1, 2026 is a Tuesday.
const onDate = '2026-12-01';
const stop = (id: string, change: Partial<TripStop> = {}): TripStop => ({
  id,
  sourceId: id,
  stayMinutes: 30,
  hours: [],
  minutesOneWay: 10,
  distanceM: 5000,
  ...change,
});
const trip = (stops: TripStop[], change: Partial<TripQuestion> = {}): TripQuestion => ({
  onDate,
  startMinute: h(9),
  stops,
  legs: [],
  ...change,
});
const open = (text: string): OpenStretch[] => parseOpeningHours(text) ?? [];
const ids = (question: TripQuestion) => planTrip(question).arrivals.map(({ stop: { id } }) => id);

/** All orders of a list. */
function orders<T>(list: readonly T[]): T[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((first, n) =>
    orders([...list.slice(0, n), ...list.slice(n + 1)]).map((rest) => [first, ...rest]),
  );
}

describe('a trip', () => {
  it('goes from home to each stop and back: the minutes, the stays, the distance', () => {
    const plan = planTrip(trip([stop('a')]));
    expect(plan).toMatchObject({ endMinute: h(9, 50), totalMinutes: 50, distanceM: 10_000, isEstimated: false });
    expect(planTrip(trip([]))).toMatchObject({ endMinute: h(9), totalMinutes: 0, arrivals: [], leftOut: [] });
  });

  it('takes ways between places as they are said, in either direction, else the longer of the two ways home', () => {
    const legs = [{ fromId: 'b', toId: 'a', minutes: 3, distanceM: 1000 }];
    const two = [stop('a', { minutesOneWay: 10 }), stop('b', { minutesOneWay: 25, distanceM: 20_000 })];
    expect(planTrip(trip(two, { legs }))).toMatchObject({
      totalMinutes: 10 + 30 + 3 + 30 + 25,
      distanceM: 26_000,
      isEstimated: false,
    });
    expect(planTrip(trip(two))).toMatchObject({ totalMinutes: 10 + 30 + 25 + 30 + 25, isEstimated: true });
  });

  it('says the way to each stop, and takes one said anew in place of the old, or none', () => {
    const two = [stop('a', { minutesOneWay: 10 }), stop('b', { minutesOneWay: 25 })];
    const ways = (legs: TripQuestion['legs']) => planTrip(trip(two, { legs })).arrivals[1]?.way.minutes;
    const once = withLeg([], 'b', 'a', { minutes: 4, distanceM: null });
    const twice = withLeg(once, 'a', 'b', { minutes: 6, distanceM: 900 });
    expect([ways([]), ways(once), ways(twice)]).toEqual([25, 4, 6]);
    expect(twice).toEqual([{ fromId: 'a', toId: 'b', minutes: 6, distanceM: 900 }]);
    expect(withLeg(twice, 'b', 'a', null)).toEqual([]);
    const other = { fromId: null, toId: 'a', minutes: 1, distanceM: null };
    expect(withLeg([other], 'a', 'b', null)).toEqual([other]);
  });

  it('waits for what opens late, and goes first to what closes early', () => {
    const early = stop('early', { hours: open('9-10') });
    const late = stop('late', { hours: open('11-17') });
    const any = stop('any');
    expect(ids(trip([late, any, early]))).toEqual(['early', 'any', 'late']);
    const plan = planTrip(trip([late]));
    expect(plan.arrivals[0]).toMatchObject({ arriveMinute: h(9, 10), waitMinutes: 110, leaveMinute: h(11, 30) });
  });

  it('visits a place in its second stretch of the day, and none that closes before the stay ends', () => {
    const twice = stop('twice', { hours: open('Tue 8-9:20, Tue 14-18') });
    expect(planTrip(trip([twice])).arrivals[0]?.leaveMinute).toBe(h(14, 30));
    const short = stop('short', { hours: open('9-9:30') });
    expect(planTrip(trip([short, stop('a')]))).toMatchObject({
      leftOut: [{ id: 'short' }],
      arrivals: [{ stop: { id: 'a' } }],
    });
    expect(planTrip(trip([stop('sunday', { hours: open('Sun 9-17') })])).leftOut).toHaveLength(1);
  });

  it('costs its distance at a rate, and parking on top: 24.5 km at 0.42 and 3.00 are 13.29', () => {
    expect(tripCost(24_500, 42, 300)).toBe(1329);
  });

  const anyStop = fc.record({
    stayMinutes: fc.integer({ min: 5, max: 60 }),
    minutesOneWay: fc.integer({ min: 1, max: 60 }),
    hours: fc.oneof(
      fc.constant<OpenStretch[]>([]),
      fc
        .tuple(fc.integer({ min: 480, max: 700 }), fc.integer({ min: 60, max: 600 }))
        .map(([fromMinute, length]) => [{ days: [1, 2, 3, 4, 5, 6, 7], fromMinute, toMinute: fromMinute + length }]),
    ),
  });
  const anyTrip = fc
    .tuple(
      fc.array(anyStop, { minLength: 1, maxLength: 6 }),
      fc.array(fc.tuple(fc.nat(6), fc.nat(6), fc.integer({ min: 0, max: 50 })), { maxLength: 6 }),
    )
    .map(([stops, legs]) =>
      trip(
        stops.map((each, n) => stop(String(n), each)),
        {
          startMinute: h(8),
          legs: legs.map(([a, b, minutes]) => ({ fromId: String(a), toId: String(b), minutes, distanceM: null })),
        },
      ),
    );

  it('ends as early as the best of all orders (exhaustive search)', () => {
    fc.assert(
      fc.property(anyTrip, (question) => {
        const ends = orders(question.stops).flatMap((order) => tripInOrder(question, order)?.endMinute ?? []);
        const plan = planTrip(question);
        if (ends.length === 0) expect(plan.leftOut.length).toBeGreaterThan(0);
        else expect([plan.endMinute, plan.leftOut]).toEqual([Math.min(...ends), []]);
        expect(plan.arrivals.length + plan.leftOut.length).toBe(question.stops.length);
      }),
      { numRuns: 60 },
    );
  });

  it('ends as early as the best of all orders with eight stops (exhaustive search over 40,320)', () => {
    const hours = ['', '9-12', '', '10-17', '', '13-18', '', '9-17'];
    const eight = trip(
      hours.map((text, n) =>
        stop(String(n), { minutesOneWay: 5 + ((n * 7) % 23), stayMinutes: 20, hours: open(text) }),
      ),
      {
        legs: [0, 1, 2, 3, 4, 5, 6].map((n) => ({
          fromId: String(n),
          toId: String((n * 3 + 1) % 8),
          minutes: 2 + n,
          distanceM: null,
        })),
      },
    );
    const ends = orders(eight.stops).flatMap((order) => tripInOrder(eight, order)?.endMinute ?? []);
    expect(planTrip(eight).endMinute).toBe(Math.min(...ends));
  });

  it('gives every order its due with more stops than it tries all orders of', () => {
    const twelve = trip(Array.from({ length: 12 }, (_, n) => stop(String(n), { stayMinutes: 5 })));
    expect(planTrip(twelve).arrivals).toHaveLength(12);
  });
});
