import { describe, expect, it } from 'vitest';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  paid,
  pieceIdOf,
  project,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import { savingWords } from '../formats/shoppingList/savings';
import { stated } from '../kernel/price';
import type { FindRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newPack } from '../plan/newRows';
import { newSource } from '../plan/newSource';
import { type PriceLine, plainStory } from '../pricing/priceStory';
import { basketSavings } from './basketSavings';

const untaxed = project({ tax: { percentThousandths: 0, included: false } });

/** A find at a shop with what its tag says. */
const tagged = (id: string, price: number, ...lines: PriceLine[]): FindRow =>
  find(id, price, { name: `Thing ${id}`, sourceId: 'shop', story: { ...plainStory(stated(price)), lines } });

/** Finds of one shop, each chosen for a slot of its own. */
const basket = (finds: readonly FindRow[], change: Partial<ProjectRows> = {}): ProjectRows =>
  rows({
    project: untaxed,
    sources: [newSource('shop', 'The Penny Shelf'), newSource('other', 'Other Row')],
    slots: finds.map(({ id }) => slot(`s${id}`)),
    finds: [...finds],
    options: finds.map(({ id }) =>
      option(`o${id}`, `s${id}`, 'asFound', { parts: [{ findId: id, offerId: null, pieces: 1 }] }),
    ),
    fills: finds.map(({ id }) => fill(`s${id}`, `o${id}`)),
    ...change,
  });

const savings = (of: ProjectRows) => basketSavings(computePlan(of, AS_OF));

describe('what a basket saves beyond the purse', () => {
  const threeForTwo: PriceLine = { kind: 'buyGet', buy: 2, free: 1 };

  it('takes the cheapest of three for nothing, where the purse counts three', () => {
    const of = basket([tagged('a', 900, threeForTwo), tagged('b', 700, threeForTwo), tagged('c', 500, threeForTwo)]);
    expect(computePlan(of, AS_OF).sums.cash.likely).toBe(2100);
    const [saving, ...more] = savings(of);
    expect(more).toEqual([]);
    expect(saving).toMatchObject({ kind: 'promotion', place: 'The Penny Shelf', savedMinor: 500 });
    expect(saving && savingWords(saving, { currency: 'USD' })).toBe(
      '3 for 2 over Thing a, Thing b and Thing c together: $5.00 less than planned',
    );
  });

  it('knows the second at half, and a coupon that only the basket is large enough for', () => {
    const half: PriceLine = { kind: 'secondLess', percentThousandths: 50_000 };
    // Half off the cheaper of 12.00 and 8.00 is 4.00 (definitions: receipt).
    const [pair] = savings(basket([tagged('a', 1200, half), tagged('b', 800, half)]));
    expect(pair?.savedMinor).toBe(400);
    expect(pair && savingWords(pair, { currency: 'USD' })).toBe(
      'Of two the cheaper half off, over Thing a and Thing b together: $4.00 less than planned',
    );
    const coupon: PriceLine = { kind: 'couponMoney', amount: 500, by: 'store', leastSpend: 2000 };
    const [one] = savings(basket([tagged('a', 1200, coupon), tagged('b', 900, coupon)]));
    expect([one?.savedMinor, one && savingWords(one, { currency: 'USD' })]).toEqual([
      500,
      'The coupon of $5.00 over Thing a and Thing b together: $5.00 less than planned',
    ]);
    const percent: PriceLine = { kind: 'couponPercent', percentThousandths: 20_000, leastSpend: 2000 };
    expect(savings(basket([tagged('a', 1200, percent), tagged('b', 900, percent)]))[0]?.savedMinor).toBe(420);
  });

  it('says nothing of one piece, of two shops, of what is paid, of what is not reached, or of another promotion', () => {
    expect(savings(basket([tagged('a', 900, threeForTwo)]))).toEqual([]);
    const third = { ...tagged('c', 500, threeForTwo), sourceId: 'other' };
    expect(savings(basket([tagged('a', 900, threeForTwo), tagged('b', 700, threeForTwo), third]))).toEqual([]);
    const paidThird = basket(
      [tagged('a', 900, threeForTwo), tagged('b', 700, threeForTwo), tagged('c', 500, threeForTwo)],
      { ledger: [paid('line', { kind: 'piece', id: pieceIdOf('c') }, 500)] },
    );
    expect(savings(paidThird)).toEqual([]);
    const four: PriceLine = { kind: 'buyGet', buy: 3, free: 1 };
    expect(
      savings(basket([tagged('a', 900, threeForTwo), tagged('b', 700, threeForTwo), tagged('c', 500, four)])),
    ).toEqual([]);
  });

  it('knows an order that is sent for nothing, with what is in it', () => {
    const goods = (freeFrom: number | null) =>
      rows({
        project: untaxed,
        sources: [{ ...newSource('post', 'Parcel House'), delivers: { amount: 695, taxed: false, freeFrom } }],
        slots: [slot('s')],
        finds: [find('f', 0, { state: 'owned' })],
        colorCards: [card('c', 'Teal', '#2f5d62')],
        supplies: [supply('p', 'chalk', 'c', 'matt')],
        packs: [{ ...newPack('k', 'p', 'quart', 946, stated(3600)), source: 'Parcel House' }],
        recipes: [recipe('r', find('f', 0), 'chalk', 'c', { dropped: ['topcoat:waterClear'] })],
        options: [option('o', 's', 'makeover', { parts: [{ findId: 'f', offerId: null, pieces: 1 }], recipeId: 'r' })],
        fills: [fill('s', 'o')],
      });
    expect(savings(goods(3500))).toMatchObject([{ kind: 'freeDelivery', savedMinor: 695, place: 'Parcel House' }]);
    expect([savings(goods(3601)), savings(goods(null))]).toEqual([[], []]);
    const [free] = savings(goods(3500));
    expect(free && savingWords(free, { currency: 'USD' })).toBe(
      'Enough for it to be sent free: $6.95 less than planned',
    );
  });

  it('knows several orders of one shop, and leaves the dearest delivery', () => {
    const of = rows({
      project: untaxed,
      sources: [newSource('shop', 'The Penny Shelf')],
      slots: [slot('1'), slot('2')],
      offers: [
        offer('x', 1000, { name: 'Shade', sourceId: 'shop', delivery: 600 }),
        offer('y', 2000, { name: 'Rug', sourceId: 'shop', delivery: 900 }),
      ],
      options: ['x', 'y'].map((id, n) =>
        option(`o${id}`, String(n + 1), 'buyNew', { parts: [{ findId: null, offerId: id, pieces: 1 }] }),
      ),
      fills: [fill('1', 'ox'), fill('2', 'oy')],
    });
    const [saving] = savings(of);
    expect([saving?.savedMinor, saving && savingWords(saving, { currency: 'USD' })]).toEqual([
      600,
      'Shade and Rug sent as one order, if they do that: one delivery, $6.00 less than planned',
    ]);
  });
});
