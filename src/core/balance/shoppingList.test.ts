import { describe, expect, it } from 'vitest';
import { balanceRows } from '../fixtures/balanceRows';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pack,
  project,
  recipe,
  rows,
  slot,
  spot,
  supply,
} from '../fixtures/projectRows';
import { shoppingListText } from '../formats/shoppingList/write';
import { shoppingListCsv } from '../formats/shoppingList/writeCsv';
import { addAmounts, nothing } from '../kernel/amount';
import { computePlan } from '../plan/computePlan';
import { shoppingList } from './shoppingList';

const wholeOf = (of: Parameters<typeof computePlan>[0]) => {
  const plan = computePlan(of, AS_OF);
  const places = shoppingList(plan);
  const lines = places.flatMap((place) => place.lines);
  return { plan, places, lines, sum: lines.reduce((sum, { cash }) => addAmounts(sum, cash), nothing) };
};

describe('the shopping list', () => {
  it('comes to what the purse plans, at every end of its range', () => {
    for (let seed = 1; seed <= 25; seed += 1) {
      const { plan, places, sum } = wholeOf(balanceRows(seed, { slots: 10, ways: 4, supplies: 12, orders: 3 }));
      expect(sum).toEqual(plan.sums.cash);
      for (const { lines, cash } of places)
        expect(lines.reduce((own, line) => addAmounts(own, line.cash), nothing)).toEqual(cash);
    }
    const { plan, sum } = wholeOf(furnishedRoom());
    expect(sum).toEqual(plan.sums.cash);
  });

  it('names each thing once, with the slots that want it, and leaves out what is paid or there', () => {
    const teal = card('teal', 'Teal', '#2f5d62');
    const [left, right] = [find('left', 900), find('right', 700)];
    const part = (findId: string) => [{ findId, offerId: null, pieces: 1 }];
    const { lines, places } = wholeOf(
      rows({
        project: project(),
        spots: [spot('spot')],
        slots: [slot('a'), slot('b', { number: 2 }), slot('c', { number: 3, quantity: 3 })],
        finds: [left, { ...right, state: 'bought' }],
        offers: [offer('hooks', 600, { name: 'Hooks', pieces: 2, delivery: 250 })],
        colorCards: [teal],
        supplies: [supply('paint', 'chalk', teal.id, 'matt', { stash: { state: 'exact', amount: 10 } })],
        packs: [{ ...pack('quart', 'paint', 946, 2400), name: 'quart', source: 'The Paint Corner' }],
        recipes: [recipe('one', left, 'chalk', teal.id), recipe('two', right, 'chalk', teal.id)],
        options: [
          option('o1', 'a', 'makeover', { parts: part('left'), recipeId: 'one' }),
          option('o2', 'b', 'makeover', { parts: part('right'), recipeId: 'two' }),
          option('o3', 'c', 'buyNew', { parts: [{ findId: null, offerId: 'hooks', pieces: 1 }] }),
        ],
        fills: [fill('a', 'o1'), fill('b', 'o2'), fill('c', 'o3', 3)],
      }),
    );
    const paint = lines.filter(({ name }) => name.startsWith('Chalk-type paint'));
    expect(paint.map(({ packs, slotNumbers, cash }) => [packs, slotNumbers, cash.likely])).toEqual([
      ['1 × quart', [1, 2], 2400],
    ]);
    expect(paint[0]?.leftOver).toBeGreaterThan(0);
    expect(places.find(({ name }) => name === 'The Paint Corner')?.lines).toEqual(paint);
    expect(lines.some(({ name }) => name === right.name)).toBe(false);
    // Three pieces in packs of two are two packs and one delivery: 2 × 6.00 + 2.50.
    const hooks = lines.find(({ name }) => name === 'Hooks');
    expect([hooks?.packs, hooks?.cash.likely, hooks?.delivery]).toEqual(['2 × pack of 2', 1450, 250]);
    // Where nobody said a place, it stands last.
    expect(places.at(-1)?.name).toBe('');
    const text = shoppingListText(places, { currency: 'USD' });
    expect(text).toContain('The Paint Corner, $24.00\n- Chalk-type paint, Teal: 1 × quart, $24.00');
    const csv = shoppingListCsv(places, { currency: 'USD' });
    expect(csv).toContain('Hooks,2 × pack of 2,14.50,14.50,14.50,3');
  });

  it('is empty where everything is paid or left open', () => {
    expect(wholeOf(rows({ project: project() })).places).toEqual([]);
  });
});
