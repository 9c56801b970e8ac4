import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AS_OF, card, fill, find, option, pack, project, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { exactly } from '../kernel/amount';
import type { PackRow } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { withTax } from '../pricing/offer';
import { paidPack, shelfPriceOf } from './paidPack';

const of = { packId: 'new', supplyId: 'paint', today: '2026-06-02' };
const KEY = 'chalk|c|matt';

/** A piece painted from packs of the price book. */
const plan = (packs: readonly PackRow[], percentThousandths = 6000) =>
  computePlan(
    rows({
      project: project({ tax: { percentThousandths, included: false } }),
      slots: [slot('s')],
      finds: [find('f', 0, { state: 'owned' })],
      colorCards: [card('c', 'Teal', '#2f5d62')],
      supplies: [supply('paint', 'chalk', 'c', 'matt')],
      packs: [...packs],
      recipes: [recipe('r', find('f', 0), 'chalk', 'c')],
      options: [option('o', 's', 'makeover', { parts: [{ findId: 'f', offerId: null, pieces: 1 }], recipeId: 'r' })],
      fills: [fill('s', 'o')],
    }),
    AS_OF,
  );

describe('what the price book learns of a purchase', () => {
  it('is the pack at the shelf price of what was paid, seen that day', () => {
    const quart = { ...pack('quart', 'paint', 946, 2400), source: 'Mill Row' };
    expect(paidPack(plan([quart]), KEY, 'mill row', 2120, of)).toEqual({
      ...quart,
      // 20.00 and 6 % tax are 21.20.
      price: { state: 'stated', low: 2000, high: 2000 },
      seenOn: '2026-06-02',
    });
  });

  it('is a pack of its own where the price was only estimated by the tables', () => {
    const learned = paidPack(plan([]), KEY, '', 1060, of);
    expect(learned).toMatchObject({
      id: 'new',
      supplyId: 'paint',
      source: '',
      seenOn: '2026-06-02',
      price: { state: 'stated', low: 1000, high: 1000 },
    });
    expect(learned?.size).toBeGreaterThan(0);
  });

  it('is nothing where another place, nothing, or several sizes were paid for', () => {
    const quart = { ...pack('quart', 'paint', 946, 2400), source: 'Mill Row' };
    expect(paidPack(plan([quart]), KEY, 'Corner', 2120, of)).toBeNull();
    expect(paidPack(plan([quart]), KEY, 'Mill Row', 0, of)).toBeNull();
    expect(paidPack(plan([quart]), 'chalk||matt', 'Mill Row', 2120, of)).toBeNull();
    // One of each size is the cheapest that reaches.
    const need = plan([quart]).supplies.find(({ key }) => key === KEY)?.need ?? 0;
    const mixed = plan([pack('large', 'paint', need * 0.8, 100), pack('small', 'paint', need * 0.3, 40)]);
    const bought = mixed.supplies.find(({ key }) => key === KEY)?.packs.length ?? 0;
    expect(bought).toBe(2);
    expect(paidPack(mixed, KEY, '', 500, of)).toBeNull();
  });

  it('comes to what was paid again at the till, to the cent where any shelf price does', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50_000 }), fc.integer({ min: 0, max: 25_000 }), (shelf, percent) => {
        const tax = { percentThousandths: percent, included: false };
        const till = withTax(exactly(shelf), tax).likely;
        expect(withTax(exactly(shelfPriceOf(till, tax)), tax).likely).toBe(till);
      }),
    );
    expect(shelfPriceOf(1234, { percentThousandths: 20_000, included: true })).toBe(1234);
  });
});
