import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Explained, explain, explainMoneySum, explainSum } from './explained';
import { fromMicro, toMicro } from './micro';

const amounts = fc.array(fc.double({ min: 0, max: 1_000_000, noNaN: true }), { maxLength: 40 });

describe('millionths', () => {
  it('are rounded half away from zero, and nothing is never minus nothing', () => {
    expect([0.25, 1e-6, 4e-7, -0.25, 5e-7, -5e-7].map(toMicro)).toEqual([250_000, 1, 0, -250_000, 1, -1]);
    expect(Object.is(toMicro(-1e-9), 0)).toBe(true);
  });

  it.each([Number.NaN, Number.POSITIVE_INFINITY, 1e10])('refuse %s, which cannot be summed exactly', (quantity) => {
    expect(() => toMicro(quantity)).toThrow(RangeError);
  });

  it('come back from their unit as they were', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e14, max: 1e14 }), (micro) => {
        expect(toMicro(fromMicro(micro))).toBe(micro || 0);
      }),
    );
  });

  it('add up to the same in any order, and a total less a part is the rest', () => {
    fc.assert(
      fc.property(amounts, fc.nat(), (list, which) => {
        const micro = list.map(toMicro);
        const total = micro.reduce((a, b) => a + b, 0);
        expect([...micro].reverse().reduce((a, b) => a + b, 0)).toBe(total);
        const at = micro.length === 0 ? -1 : which % micro.length;
        const rest = micro.filter((_, n) => n !== at).reduce((a, b) => a + b, 0);
        expect(total - (micro[at] ?? 0)).toBe(rest);
      }),
    );
  });
});

describe('a figure that is the sum of its reasons', () => {
  const minutes = (value: number, more: Partial<Explained> = {}) => explain('part', value, 'minutes', more);

  it('adds up what is in its own unit, and neither other units nor what is told aside', () => {
    const tree = explainSum('Hours', 'minutes', [
      minutes(10.5),
      minutes(0.1),
      minutes(0.2),
      minutes(600, { aside: true }),
      explain('Overhead', 15, 'percent'),
      explain('Price', 1200, 'money'),
    ]);
    expect(tree).toMatchObject({ value: 10.8, adds: true });
    expect(tree.because).toHaveLength(6);
  });

  it('is nothing without reasons, and takes its range but never its value from outside', () => {
    expect(explainSum('Hours', 'minutes', []).value).toBe(0);
    const range = { low: 90, likely: 999, high: 120, atLeast: true };
    const tree = explainMoneySum('Cash', range, [explain('Tag', 100, 'money')]);
    expect(tree).toMatchObject({ value: 100, low: 90, high: 999, atLeast: true });
  });

  it('adds minutes exactly, where doubles would not', () => {
    fc.assert(
      fc.property(amounts, (list) => {
        const tree = explainSum(
          'Hours',
          'minutes',
          list.map((value) => minutes(fromMicro(toMicro(value)))),
        );
        expect(toMicro(Number(tree.value))).toBe(list.map(toMicro).reduce((a, b) => a + b, 0));
      }),
    );
  });
});
