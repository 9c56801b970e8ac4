import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AS_OF, card, fill, find, option, project, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { Memo } from '../kernel/memo';
import { stated } from '../kernel/price';
import type { PackRow, ProjectRows, SourceRow, TripRow } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newPack } from '../plan/newRows';
import { newSource } from '../plan/newSource';
import { explainOption } from '../plan/why/explainOption';
import { cheapestPlaces, placesOfSupply, placesWith } from './cheapestPlaces';

const QUART = 946;
const colors = ['#2f5d62', '#8c3b2f', '#223344', '#1f3a5f'];

/** A quart of a paint at a place, in minor units. */
interface Sold {
  paint: number;
  place: string;
  price: number;
}

/** One piece painted with each paint, and who sells the paints at what price. */
function room(sold: readonly Sold[], change: Partial<ProjectRows> = {}): ProjectRows {
  const paints = [...new Set(sold.map(({ paint }) => paint))];
  return rows({
    project: project({ hourValue: 1200, tax: { percentThousandths: 0, included: false } }),
    slots: paints.map((n) => slot(`s${n}`, { number: n + 1 })),
    finds: paints.map((n) => find(`f${n}`, 0, { state: 'owned' })),
    colorCards: paints.map((n) => card(`c${n}`, `Color ${n}`, colors[n % colors.length] ?? '#000000')),
    supplies: paints.map((n) => supply(`p${n}`, 'waterborneEnamel', `c${n}`, 'satin')),
    packs: sold.map(
      ({ paint, place, price }, n): PackRow => ({
        ...newPack(`k${n}`, `p${paint}`, 'quart', QUART, stated(price)),
        source: place,
      }),
    ),
    recipes: paints.map((n) => {
      const made = recipe(`r${n}`, find(`f${n}`, 0), 'waterborneEnamel', `c${n}`);
      return {
        ...made,
        body: { ...made.body, layers: made.body.layers.map((l) => ({ ...l, sheen: 'satin' as const })) },
      };
    }),
    options: paints.map((n) =>
      option(`o${n}`, `s${n}`, 'makeover', {
        parts: [{ findId: `f${n}`, offerId: null, pieces: 1 }],
        recipeId: `r${n}`,
      }),
    ),
    fills: paints.map((n) => fill(`s${n}`, `o${n}`)),
    ...change,
  });
}

/** A place so many minutes away, and the trip there; each minute of the way costs no money. */
function away(id: string, name: string, minutes: number, extras: number): { source: SourceRow; trip: TripRow } {
  return {
    source: { ...newSource(id, name), minutesOneWay: minutes, distanceM: 0 },
    trip: {
      id: `trip to ${id}`,
      version: 1,
      name: `To ${name}`,
      onDate: '2026-06-06',
      startMinute: 540,
      stops: [{ id: `stop ${id}`, sourceId: id, minutes: 0, done: false }],
      legs: [],
      costPerKm: 0,
      extras,
      ticked: [],
      done: false,
      note: '',
    },
  };
}

const paintKey = (n: number) => `waterborneEnamel|c${n}|satin`;

describe('where supplies are best bought', () => {
  it('leaves out a way that a few cents do not pay for, and says what that saves', () => {
    const far = away('far', 'Far Mill', 30, 300);
    // Each quart is 1.00 less at the mill, which is an hour and 3.00 away.
    const of = room(
      [0, 1].flatMap((paint) => [
        { paint, place: 'Near Corner', price: 2000 },
        { paint, place: 'Far Mill', price: 1900 },
      ]),
      { sources: [far.source, newSource('near', 'Near Corner')], trips: [far.trip] },
    );
    const found = cheapestPlaces(computePlan(of, AS_OF), new Memo());
    expect(found).toMatchObject({ savedCashMinor: 300 - 200, waysSpared: ['To Far Mill'], isProven: true });
    expect(found?.savedMinutes).toBeCloseTo(60, 6);
    expect(found?.changes.map(({ from, to, place }) => [from, to, place])).toEqual([
      [['Far Mill'], ['Near Corner'], 'Near Corner'],
      [['Far Mill'], ['Near Corner'], 'Near Corner'],
    ]);
    const after = { ...of, supplyPlaces: placesWith([], found?.changes ?? []) };
    expect(computePlan(after, AS_OF).sums.cash.likely).toBe(computePlan(of, AS_OF).sums.cash.likely - 100);
    expect(cheapestPlaces(computePlan(after, AS_OF), new Memo())).toBeNull();
  });

  it('counts a delivery once an order, and goes back to it when the prices pay for it', () => {
    const sender = { ...newSource('post', 'Parcel House'), delivers: { amount: 695, taxed: false, freeFrom: null } };
    const sold = (paints: number) =>
      Array.from({ length: paints }, (_, paint) => [
        { paint, place: 'Near Corner', price: 2000 },
        { paint, place: 'Parcel House', price: 1800 },
      ]).flat();
    const cash = (of: ProjectRows) => computePlan(of, AS_OF).sums.cash.likely;
    const [two, four] = [room(sold(2), { sources: [sender] }), room(sold(4), { sources: [sender] })];
    // The lowest price of each decides, and the order is sent once: 2 × 18.00 + 6.95, 4 × 18.00 + 6.95.
    expect([cash(two), cash(four)]).toEqual([4295, 7895]);
    expect(cheapestPlaces(computePlan(two, AS_OF), new Memo())).toMatchObject({ savedCashMinor: 295, savedMinutes: 0 });
    expect(cheapestPlaces(computePlan(four, AS_OF), new Memo())).toBeNull();
    // Held to the corner, four quarts are dearer than one order: 80.00 against 78.95.
    const held = {
      ...four,
      supplyPlaces: [0, 1, 2, 3].map((n) => ({
        id: `at ${n}`,
        version: 1,
        supplyKey: paintKey(n),
        place: 'near corner ',
      })),
    };
    expect(cash(held)).toBe(8000);
    const back = cheapestPlaces(computePlan(held, AS_OF), new Memo());
    expect([back?.savedCashMinor, back?.changes.length, back?.changes[0]?.to]).toEqual([105, 4, ['Parcel House']]);
  });

  it('stands in the reasons by its own name, with its price and no time', () => {
    const sender = { ...newSource('post', 'Parcel House'), delivers: { amount: 695, taxed: false, freeFrom: null } };
    const plan = computePlan(room([{ paint: 0, place: 'Parcel House', price: 1800 }], { sources: [sender] }), AS_OF);
    const option = plan.option('o0');
    if (!option) throw new Error('no such option');
    const [cash, hours] = [explainOption(plan, option, 'cashAdded'), explainOption(plan, option, 'hoursAdded')];
    expect(cash.because.map(({ label, value }) => [label, value])).toContainEqual(['Delivery from Parcel House', 695]);
    expect(cash.value).toBe(1800 + 695);
    expect(JSON.stringify(hours)).not.toContain('Parcel House');
  });

  it('says the places of a supply with what it comes to there, and which one was chosen', () => {
    const of = room([
      { paint: 0, place: 'Near Corner', price: 2000 },
      { paint: 0, place: 'Far Mill', price: 1900 },
    ]);
    const told = (supplyPlaces: ProjectRows['supplyPlaces']) =>
      placesOfSupply(computePlan({ ...of, supplyPlaces }, AS_OF), paintKey(0)).map(({ place, cashMinor, isChosen }) => [
        place,
        cashMinor,
        isChosen,
      ]);
    expect(told([])).toEqual([
      ['Far Mill', 1900, false],
      ['Near Corner', 2000, false],
    ]);
    expect(told([{ id: 'at', version: 1, supplyKey: paintKey(0), place: 'Near Corner' }])[1]).toEqual([
      'Near Corner',
      2000,
      true,
    ]);
    // A place that sells it no more is passed over.
    const gone = { ...of, supplyPlaces: [{ id: 'at', version: 1, supplyKey: paintKey(0), place: 'Closed Shop' }] };
    expect(computePlan(gone, AS_OF).sums.cash.likely).toBe(1900);
  });

  it('adds the tax of the place where that has its own', () => {
    const of = room([{ paint: 0, place: 'Near Corner', price: 2000 }], {
      sources: [{ ...newSource('near', 'Near Corner'), tax: { percentThousandths: 10_000, included: false } }],
    });
    expect(computePlan(of, AS_OF).sums.cash.likely).toBe(2200);
  });

  const offers = fc.array(
    fc.record({ paint: fc.nat(2), place: fc.nat(2), price: fc.integer({ min: 1000, max: 2600 }) }),
    { minLength: 3, maxLength: 9 },
  );
  const ways = fc.array(fc.record({ minutes: fc.nat(40), extras: fc.nat(900) }), { minLength: 3, maxLength: 3 });

  it('is as good as the best of all places for all supplies, tried one by one', () => {
    fc.assert(
      fc.property(offers, ways, (sold, far) => {
        const names = ['North', 'West', 'South'];
        const places = far.map(({ minutes, extras }, n) => away(`w${n}`, names[n] ?? '', minutes, extras));
        // The last place is next door.
        const of = room(
          sold.map(({ paint, place, price }) => ({ paint, place: names[place] ?? '', price })),
          { sources: places.map(({ source }) => source), trips: places.slice(0, 2).map(({ trip }) => trip) },
        );
        const worthOf = (supplyPlaces: ProjectRows['supplyPlaces']) => {
          const { cash, minutes } = computePlan({ ...of, supplyPlaces }, AS_OF).sums;
          return cash.likely + minutes.likely * 20;
        };
        const paints = [...new Set(sold.map(({ paint }) => paint))];
        let best = worthOf([]);
        for (let tried = 0; tried < 4 ** paints.length; tried += 1) {
          const held = paints.flatMap((n, at) => {
            const place = names[Math.floor(tried / 4 ** at) % 4];
            return place === undefined ? [] : [{ supplyKey: paintKey(n), place }];
          });
          best = Math.min(best, worthOf(placesWith([], held)));
        }
        const found = cheapestPlaces(computePlan(of, AS_OF), new Memo());
        expect(worthOf(placesWith([], found?.changes ?? []))).toBeCloseTo(best, 6);
        if (found) expect(found.savedCashMinor + found.savedMinutes * 20).toBeCloseTo(worthOf([]) - best, 6);
      }),
      { numRuns: 20 },
    );
  });

  it('goes by single ways where there are too many, and does not call that proven', () => {
    const places = Array.from({ length: 14 }, (_, n) => away(`w${n}`, `Place ${n}`, 10, 500));
    const of = room(
      Array.from({ length: 4 }, (_, paint) =>
        places.map(({ source }, n) => ({ paint, place: source.name, price: 2000 - (n === paint ? 100 : 0) })),
      ).flat(),
      { sources: places.map(({ source }) => source), trips: places.map(({ trip }) => trip) },
    );
    const found = cheapestPlaces(computePlan(of, AS_OF), new Memo());
    // Four places for four quarts, then one for all: three ways of 5.00 less, three quarts dearer by 1.00.
    expect(found).toMatchObject({ savedCashMinor: 1500 - 300, isProven: false });
  });
});
