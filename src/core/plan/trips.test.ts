import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pack,
  paid,
  pieceIdOf,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import type { ProjectRows, TripRow } from '../model/rows';
import { computePlan } from './computePlan';
import { newSource } from './newSource';
import { explainOption } from './why/explainOption';
import { explainPurse } from './why/explainPurse';

const shop = { ...newSource('shop', 'The Penny Shelf'), minutesOneWay: 20, distanceM: 12_000 };
const trip: TripRow = {
  id: 'trip',
  version: 1,
  name: 'Saturday',
  onDate: '2026-06-06',
  startMinute: 540,
  stops: [{ id: 'stop', sourceId: 'shop', minutes: 25, done: false }],
  legs: [],
  costPerKm: 50,
  extras: 300,
  ticked: [],
  done: false,
  note: '',
};
const at = (id: string) => ({ parts: [{ findId: id, offerId: null, pieces: 1 }] });
/** Two finds of one shop, both chosen; a trip goes there. */
const room = (change: Partial<ProjectRows> = {}) =>
  rows({
    sources: [shop],
    trips: [trip],
    slots: [slot('1'), slot('2'), slot('3')],
    finds: [
      find('a', 1000, { sourceId: 'shop' }),
      find('b', 2000, { sourceId: 'shop' }),
      find('c', 3000, { state: 'owned', sourceId: 'shop' }),
    ],
    options: [
      option('oa', '1', 'asFound', at('a')),
      option('ob', '2', 'asFound', at('b')),
      option('oc', '3', 'own', at('c')),
    ],
    fills: [fill('1', 'oa'), fill('2', 'ob')],
    ...change,
  });
const planned = (of: ProjectRows) => computePlan(of, AS_OF).purse;
// 24 km there and back at 0.50, and 3.00 for parking; 20 + 25 + 20 minutes.
const COST = 1500;
const MINUTES = 65;

describe('a trip in the plan', () => {
  it('counts once for all that it fetches: its cost in the purse, its minutes in the hours', () => {
    const [without, with_] = [planned(room({ trips: [] })), planned(room())];
    expect(with_.money.planned.likely - without.money.planned.likely).toBe(COST);
    expect(with_.hands.planned.likely - without.hands.planned.likely).toBeCloseTo(MINUTES, 6);
  });

  it('is added by the only thing that it fetches, and by none of two', () => {
    const cash = (of: ProjectRows) => computePlan(of, AS_OF).option('oa')?.cashAdded.likely;
    expect([cash(room()), cash(room({ fills: [fill('1', 'oa')] }))]).toEqual([1000, 1000 + COST]);
  });

  it('is gone once all that it fetches is bought, or the trip is done', () => {
    const bought = (...ids: string[]) =>
      planned(room({ ledger: ids.map((id) => paid(`l${id}`, { kind: 'piece', id: pieceIdOf(id) }, 1)) })).money.planned
        .likely;
    expect([bought(), bought('a'), bought('a', 'b')]).toEqual([3000 + COST, 2000 + COST, 0]);
    expect(planned(room({ trips: [{ ...trip, done: true }] })).money.planned.likely).toBe(3000);
  });

  it('does not fetch what is ours, nor what is sold elsewhere', () => {
    const own = planned(room({ fills: [fill('3', 'oc')] }));
    expect([own.money.planned.likely, own.hands.planned.likely < MINUTES]).toEqual([0, true]);
    const elsewhere = room({ finds: room().finds.map((row) => ({ ...row, sourceId: null })) });
    expect(planned(elsewhere).money.planned.likely).toBe(3000);
  });

  it('fetches what is sold new, until it is ordered', () => {
    const sold = (ledger: ProjectRows['ledger']) =>
      planned(
        room({
          offers: [offer('n', 8000, { sourceId: 'shop' })],
          options: [option('on', '1', 'buyNew', { parts: [{ findId: null, offerId: 'n', pieces: 1 }] })],
          fills: [fill('1', 'on')],
          ledger,
        }),
      ).money.planned.likely;
    expect([sold([]), sold([paid('l', { kind: 'offer', id: 'n' }, 8000, 'promise')])]).toEqual([8000 + COST, 0]);
  });

  it('of several trips to a place the first open one counts', () => {
    const later = { ...trip, id: 'later', onDate: '2026-06-13', extras: 9000 };
    expect(planned(room({ trips: [later, trip] })).money.planned.likely).toBe(3000 + COST);
    expect(planned(room({ trips: [later, { ...trip, done: true }] })).money.planned.likely).toBe(3000 + 1200 + 9000);
  });

  it('is told where its figures are asked about', () => {
    const plan = computePlan(room({ fills: [fill('1', 'oa')] }), AS_OF);
    const own = plan.option('oa');
    if (!own) throw new Error('no option');
    const labels = (figure: 'cashAdded' | 'hoursAdded') =>
      explainOption(plan, own, figure).because.map(({ label }) => label);
    expect(labels('cashAdded')).toContain('Saturday: the way, parking and fees');
    expect(labels('hoursAdded')).toContain('Saturday: on the way and in the shops');
    for (const part of ['money', 'hands'] as const)
      expect(JSON.stringify(explainPurse(plan, part))).toContain('Saturday');
  });

  describe('that fetches paint', () => {
    const paint = (ml: number, change: Partial<ProjectRows> = {}) => {
      const stool = find('stool', 0, { state: 'owned', materialId: 'pine' });
      const shelf = find('shelf', 0, { state: 'owned', materialId: 'pine' });
      const of = (row: typeof stool) => recipe(`r-${row.id}`, row, 'chalk', 'teal', { dropped: [] });
      return room({
        finds: [stool, shelf],
        colorCards: [card('teal', 'Teal', '#2f5d62')],
        supplies: [supply('can', 'chalk', 'teal', 'matt', { stash: { state: 'exact', amount: ml } })],
        packs: [{ ...pack('small', 'can', 946, 2400), source: ' the penny shelf' }],
        recipes: [of(stool), of(shelf)],
        options: [
          option('ms', '1', 'makeover', { ...at('stool'), recipeId: 'r-stool' }),
          option('mh', '2', 'makeover', { ...at('shelf'), recipeId: 'r-shelf' }),
        ],
        fills: [fill('1', 'ms'), fill('2', 'mh')],
        ...change,
      });
    };
    const cost = (of: ProjectRows) =>
      planned(of).money.planned.likely - planned({ ...of, trips: [] }).money.planned.likely;

    it('counts once for all that need the can, and not at all while the stash covers them', () => {
      expect([cost(paint(0)), cost(paint(2000))]).toEqual([COST, 0]);
      const added = (of: ProjectRows) => computePlan(of, AS_OF).option('ms')?.cashAdded.likely;
      expect(added(paint(0))).toBe(added(paint(0, { trips: [] })));
      const alone = computePlan(paint(0, { fills: [fill('1', 'ms')] }), AS_OF);
      expect(alone.option('ms')?.cashAdded.likely).toBe(
        planned(paint(0, { fills: [fill('1', 'ms')] })).money.planned.likely -
          planned(paint(0, { fills: [] })).money.planned.likely,
      );
      expect(JSON.stringify(explainPurse(alone, 'money'))).toContain('Saturday');
    });

    it('goes only where the packs are sold that are bought', () => {
      const elsewhere = { ...pack('cheap', 'can', 946, 900), source: 'Cobbler & Crow' };
      const both = paint(0);
      expect(cost({ ...both, packs: [...both.packs, elsewhere] })).toBe(0);
      expect(cost({ ...both, packs: [{ ...elsewhere, source: '' }] })).toBe(0);
    });

    it('adds to each way what the whole plan differs by, whatever is in the stash and wherever packs are sold', () => {
      const chosen = fc.subarray(['ms', 'mh', 'oa']);
      const pans = fc.array(
        fc.record({
          size: fc.constantFrom(118, 473, 946),
          price: fc.integer({ min: 100, max: 4000 }),
          here: fc.boolean(),
        }),
        { maxLength: 3 },
      );
      fc.assert(
        fc.property(chosen, pans, fc.integer({ min: 0, max: 900 }), (ids, sizes, stash) => {
          const base = paint(stash, {
            packs: sizes.map(({ size, price, here }, n) => ({
              ...pack(`pack${n}`, 'can', size, price),
              source: here ? 'The Penny Shelf' : 'Cobbler & Crow',
            })),
          });
          const given = {
            ...base,
            finds: [...base.finds, find('a', 1000, { sourceId: 'shop' })],
            options: [...base.options, option('oa', '3', 'asFound', at('a'))],
            fills: ids.map((id) => fill({ ms: '1', mh: '2', oa: '3' }[id] ?? '', id)),
          };
          const whole = rows(given);
          const plan = computePlan(whole, AS_OF);
          for (const {
            option: { id, slotId },
            cashAdded,
            hoursAdded,
          } of plan.slots.flatMap(({ options }) => options)) {
            const without = whole.fills.filter((entry) => entry.slotId !== slotId);
            const [a, b] = [[...without, fill(slotId, id)], without].map((fills) => planned({ ...whole, fills }));
            if (!a || !b) throw new Error('no purse');
            expect(cashAdded.likely).toBe(a.money.planned.likely - b.money.planned.likely);
            expect(hoursAdded.likely).toBeCloseTo(a.hands.planned.likely - b.hands.planned.likely, 6);
            const model = plan.model.option(id);
            if (model) expect(plan.addedByChoice({ model, count: 1 }).cash).toEqual(cashAdded);
          }
        }),
        { numRuns: 60 },
      );
    });
  });
});
