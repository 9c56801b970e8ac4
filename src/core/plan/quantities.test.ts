import { describe, expect, it } from 'vitest';
import { find, option, rows, slot } from '../fixtures/projectRows';
import type { ProjectRows } from '../model/rows';
import { quantitiesOf, quantityWords } from './quantities';

/** A find of so many, used by some ways of some slots. */
function of(
  there: number,
  slots: ProjectRows['slots'],
  ways: [slotId: string, recipeId: string | null, pieces: number][],
) {
  const baskets = find('baskets', 400, { count: there });
  const options = ways.map(([slotId, recipeId, pieces], n) =>
    option(`o${n}`, slotId, recipeId === null ? 'asFound' : 'makeover', {
      recipeId,
      parts: [{ findId: 'baskets', offerId: null, pieces }],
    }),
  );
  return { baskets, all: rows({ slots, finds: [baskets], options }) };
}

describe('how many are asked for, there and made', () => {
  it.each([
    // there, asked, made, what is said
    [2, 2, 2, ''],
    [3, 2, 2, ''],
    [2, 4, 2, '4 asked for, 2 there.'],
    [4, 4, 2, '2 made, 4 wanted.'],
    [2, 4, 1, '4 asked for, 2 there; 1 made, 2 wanted.'],
    [2, 2, 3, '3 made of 2.'],
    [5, 2, 4, '4 made, 2 wanted.'],
  ])('%d there, %d asked for, %d made: “%s”', (there, asked, made, words) => {
    const { baskets, all } = of(there, [slot('s', { quantity: asked })], [['s', 'r', 1]]);
    expect(quantityWords(quantitiesOf(all, baskets, 'r', made))).toBe(words);
  });

  it('counts each slot once, whatever ways it has, with as many pieces as one of it takes', () => {
    const slots = [slot('a', { quantity: 2 }), slot('b', { number: 2, quantity: 3 })];
    const { baskets, all } = of(20, slots, [
      ['a', 'r', 1],
      ['a', null, 1],
      ['b', 'r', 2],
    ]);
    expect(quantitiesOf(all, baskets, null, null).asked).toBe(2 + 6);
    expect(quantitiesOf(all, baskets, 'r', null).asked).toBe(2 + 6);
    expect(quantitiesOf(all, baskets, 'another', null).asked).toBe(0);
  });

  it('leaves out what is left out, and asks for nothing where no way uses it', () => {
    const { baskets, all } = of(1, [slot('a', { quantity: 4, leftOut: true })], [['a', 'r', 1]]);
    expect(quantityWords(quantitiesOf(all, baskets, 'r', 1))).toBe('');
    expect(quantityWords(quantitiesOf(all, baskets, null, null))).toBe('');
    expect(quantityWords(quantitiesOf(all, baskets, 'r', 3))).toBe('3 made, 1 there.');
  });

  it('where nobody counted, what is asked for is wanted', () => {
    const { baskets, all } = of(1, [slot('a', { quantity: 4 })], [['a', 'r', 1]]);
    expect(quantityWords(quantitiesOf(all, { ...baskets, counted: false }, 'r', 4))).toBe('');
    expect(quantityWords(quantitiesOf(all, { ...baskets, counted: false }, 'r', 2))).toBe('2 made, 4 wanted.');
  });
});
