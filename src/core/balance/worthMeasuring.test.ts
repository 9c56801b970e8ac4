import { describe, expect, it } from 'vitest';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pack,
  pieceIdOf,
  project,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import type { Price } from '../kernel/price';
import type { FindRow, OptionRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { plainStory } from '../pricing/priceStory';
import { newPiece } from '../sourcing/newPiece';
import { noiseOfCoats } from './drawLines';
import { drawOption, drawPlan } from './draws';
import { worthMeasuring } from './worthMeasuring';

const TEAL = card('c', 'Teal', '#2f5d62');
const taken = (findId: string) => [{ findId, offerId: null, pieces: 1 }];
const about = (low: number, likely: number, high: number): Price => ({ state: 'estimated', low, likely, high });
const guessed = (id: string, price: Price, change: Partial<FindRow> = {}) =>
  find(id, 0, { story: plainStory(price), ...change });

/** Two finds for one slot, as found, the same hours and liking. */
function either(one: Price, other: Price, change: Partial<ProjectRows> = {}) {
  return computePlan(
    rows({
      slots: [slot('s')],
      finds: [guessed('one', one), guessed('other', other)],
      options: [
        option('a', 's', 'asFound', { parts: taken('one') }),
        option('b', 's', 'asFound', { parts: taken('other') }),
      ],
      ...change,
    }),
    AS_OF,
  );
}

describe('worth measuring next', () => {
  it('is a price whose high end makes the other way the better deal, with what goes by it', () => {
    const told = worthMeasuring(either(about(1000, 1500, 3000), about(2000, 2000, 2000)));
    expect(told).toEqual([
      {
        estimate: { kind: 'price', name: 'Find one', of: 'find', id: 'one' },
        changes: [{ slotId: 's', end: 'high', from: 'a', to: 'b', stake: 1000 }],
        stake: 1000,
      },
    ]);
  });

  it('is nothing that decides nothing: however it comes out, the same way is the better deal', () => {
    expect(worthMeasuring(either(about(1000, 1500, 1900), about(2000, 2000, 2000)))).toEqual([]);
    // Pennies are not worth a walk to the shop.
    expect(worthMeasuring(either(about(1000, 1500, 2050), about(2000, 2000, 2000)))).toEqual([]);
  });

  it('leaves out what is kept, left out, refused, or liked less than what is chosen', () => {
    const prices = [about(1000, 1500, 3000), about(2000, 2000, 2000)] as const;
    expect(worthMeasuring(either(...prices, { slots: [slot('s', { locked: true })] }))).toEqual([]);
    expect(worthMeasuring(either(...prices, { slots: [slot('s', { leftOut: true })] }))).toEqual([]);
    const options: OptionRow[] = [
      option('a', 's', 'asFound', { parts: taken('one'), liking: 4 }),
      option('b', 's', 'asFound', { parts: taken('other'), liking: 1 }),
    ];
    expect(worthMeasuring(either(...prices, { options, fills: [fill('s', 'a')] }))).toEqual([]);
    const liked = options.map((row) => ({ ...row, liking: 4 }));
    expect(worthMeasuring(either(...prices, { options: liked, fills: [fill('s', 'a')] })).length).toBe(1);
  });

  it('counts an hour at what it is worth: how long the work takes decides against what is sold new', () => {
    const chest = find('chest', 500, { materialId: 'pine' });
    const body = recipe('r', chest, 'chalk', 'c');
    const at = (price: number) =>
      worthMeasuring(
        computePlan(
          rows({
            project: project({ hourValue: 6000 }),
            slots: [slot('s')],
            finds: [chest],
            offers: [offer('new', price, { assemblyMinutes: 0 })],
            colorCards: [TEAL],
            supplies: [supply('can', 'chalk', 'c', 'matt', { stash: { state: 'exact', amount: 5000 } })],
            packs: [pack('p', 'can', 473, 2000)],
            recipes: [body],
            options: [
              option('made', 's', 'makeover', { parts: taken('chest'), recipeId: 'r' }),
              option('bought', 's', 'buyNew', { parts: [{ findId: null, offerId: 'new', pieces: 1 }] }),
            ],
          }),
          AS_OF,
        ),
      ).map(({ estimate }) => estimate.kind);
    const plan = computePlan(
      rows({
        project: project({ hourValue: 6000 }),
        slots: [slot('s')],
        finds: [chest],
        colorCards: [TEAL],
        supplies: [supply('can', 'chalk', 'c', 'matt', { stash: { state: 'exact', amount: 5000 } })],
        packs: [pack('p', 'can', 473, 2000)],
        recipes: [body],
        options: [option('made', 's', 'makeover', { parts: taken('chest'), recipeId: 'r' })],
      }),
      AS_OF,
    );
    const made = plan.option('made');
    const net = (minutes: number) => (made?.cashAdded.likely ?? 0) + (made?.stashUsed ?? 0) + (minutes / 60) * 6000;
    // Between what it costs in likely hours and in most hours, the hours decide; far beyond, they do not.
    const [likely, most] = [net(made?.hoursAdded.likely ?? 0), net(made?.hoursAdded.high ?? 0)];
    expect(most - likely).toBeGreaterThan(400);
    expect(at(Math.round((likely + most) / 2))).toContain('minutes');
    expect(at(Math.round(most * 3))).not.toContain('minutes');
  });

  it('is the size of a piece that nobody measured, and no size that somebody did', () => {
    const chest = find('chest', 500, { materialId: 'pine' });
    const body = recipe('r', chest, 'chalk', 'c');
    const piece = {
      ...newPiece(pieceIdOf('chest'), 'chest', { units: 'us', currency: 'USD', today: '2026-06-01' }),
      version: 1,
      inHouse: true,
      materialId: 'pine',
      templateId: chest.templateId,
      measures: chest.measures,
    };
    const told = (heightMm: number | null) => {
      const start = rows({
        project: project({ hourValue: 6000 }),
        slots: [slot('s')],
        finds: [chest],
        pieces: [{ ...piece, heightMm }],
        colorCards: [TEAL],
        packs: [pack('p', 'can', 473, 2000)],
        supplies: [supply('can', 'chalk', 'c', 'matt', { stash: { state: 'exact', amount: 5000 } })],
        recipes: [body],
        options: [option('made', 's', 'makeover', { parts: taken('chest'), recipeId: 'r' })],
      });
      const made = computePlan(start, AS_OF).option('made');
      const net = Math.round(
        (made?.cashAdded.likely ?? 0) + (made?.stashUsed ?? 0) + ((made?.hoursAdded.likely ?? 0) / 60) * 6000,
      );
      // Sold new for a little more: a somewhat larger piece turns it.
      const offers = [offer('new', net + 150, { assemblyMinutes: 0 })];
      const bought = option('bought', 's', 'buyNew', { parts: [{ findId: null, offerId: 'new', pieces: 1 }] });
      const plan = computePlan({ ...start, offers, options: [...start.options, bought] }, AS_OF);
      return worthMeasuring(plan).map(({ estimate }) => estimate.kind);
    };
    expect(told(null)).toContain('size');
    expect(told(635)).not.toContain('size');
  });

  it('says the same of the same plan, the dearest first, with ways that are there', () => {
    const plan = computePlan(furnishedRoom(), AS_OF);
    const told = worthMeasuring(plan);
    expect(worthMeasuring(plan)).toEqual(told);
    expect(told.map(({ stake }) => stake)).toEqual(told.map(({ stake }) => stake).sort((a, b) => b - a));
    for (const { changes } of told)
      for (const { slotId, from, to, stake } of changes) {
        expect(plan.option(from)?.slotId).toBe(slotId);
        expect(plan.option(to)?.slotId).toBe(slotId);
        expect(stake).toBeGreaterThanOrEqual(100);
      }
  });
});

describe('draws of one option', () => {
  it('come to what its prices and hours allow, alike each time', () => {
    const plan = either(about(1000, 1500, 3000), about(2000, 2000, 2000));
    const [unsure, sure] = ['a', 'b'].map((id) => {
      const own = plan.option(id);
      if (!own) throw new Error('no option');
      return drawOption(plan, own, 2000);
    });
    expect(sure?.cash.least).toBe(2000);
    expect(sure?.cash.most).toBe(2000);
    expect(unsure?.cash.least).toBeGreaterThanOrEqual(1000);
    expect(unsure?.cash.most).toBeLessThanOrEqual(3000);
    expect(unsure?.cash.low).toBeLessThan(unsure?.cash.high ?? 0);
  });

  it('go coat by coat: many coats together are surer than one, and a flaw takes what it takes', () => {
    const room = computePlan(furnishedRoom(), AS_OF);
    const chest = find('chest', 500, { inspected: [{ check: 'wood.drawers', verdict: 'flaw' }] });
    const flawed = computePlan(
      rows({
        project: project({ revealDate: null, hoursOnHandMinutes: null }),
        slots: [slot('s')],
        finds: [chest],
        options: [option('o', 's', 'asFound', { parts: taken('chest') })],
        fills: [fill('s', 'o')],
      }),
      AS_OF,
    );
    const { minutes } = drawPlan(flawed, 2000);
    const likely = flawed.sums.minutes.likely;
    // Placing is sure; of the flaw's minutes half to twice as many.
    expect(likely).toBe(15 + 15);
    expect(minutes.least).toBeGreaterThanOrEqual(15 + 15 / 2 - 1e-6);
    expect(minutes.most).toBeLessThanOrEqual(15 + 15 * 2 + 1e-6);
    expect(minutes.low).toBeLessThan(minutes.high);
    // Four coats go astray half as far as one: 30 % by itself, 15 % together.
    const ends = (coats: number) => [noiseOfCoats(coats).at(0), noiseOfCoats(coats).at(0.5), noiseOfCoats(coats).at(1)];
    for (const [n, end] of [0.7, 1, 1.3].entries()) expect(ends(1)[n]).toBeCloseTo(end, 6);
    for (const [n, end] of [0.85, 1, 1.15].entries()) expect(ends(4)[n]).toBeCloseTo(end, 6);
    expect(drawPlan(room, 500).minutes.low).toBeGreaterThan(0);
  });
});
