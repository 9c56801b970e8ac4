import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { learningRateOf, repeatedMinutes, repeatMinutes } from './learningCurve';
import { trendWords } from './logSummary';

describe('how much quicker a thing is done again', () => {
  // Wright 1936, as figures.md 9 works it out: the first of ten takes an hour.
  it.each([
    [0.9, 2, 54],
    [0.9, 4, 48.6],
    [0.9, 8, 43.74],
    [0.9, 10, 42.281],
    [0.8, 2, 48],
    [1, 7, 60],
  ])('at a rate of %d the %d. time takes %d of 60 minutes', (rate, n, minutes) => {
    expect(repeatMinutes(60, rate, n)).toBeCloseTo(minutes, 3);
  });

  it.each([
    [0.9, 479.67],
    [0.85, 426.96],
    [0.8, 378.92],
    [1, 600],
  ])('at a rate of %d ten of them take %d minutes', (rate, minutes) => {
    expect(repeatedMinutes(60, rate, 10)).toBeCloseTo(minutes, 2);
  });

  it('is nothing for none, and no time comes before the first', () => {
    expect(repeatedMinutes(60, 0.9, 0)).toBe(0);
    expect(() => repeatMinutes(60, 0.9, 0)).toThrow(RangeError);
    expect(() => repeatMinutes(60, 0, 2)).toThrow(RangeError);
  });

  it('is found again in times that follow it, whatever was expected', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.7, max: 1.2, noNaN: true }),
        fc.integer({ min: 6, max: 40 }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (rate, count, factor) => {
          const times = Array.from({ length: count }, (_, n) => {
            const expected = 10 + ((n * 7) % 13);
            return { expected, actual: repeatMinutes(expected * factor, rate, n + 1) };
          });
          expect(learningRateOf(times)).toBeCloseTo(rate, 6);
        },
      ),
    );
  });

  it('is said only from six times on, and only where there is a trend', () => {
    const same = (count: number) => Array.from({ length: count }, () => ({ expected: 10, actual: 12 }));
    expect(learningRateOf(same(5))).toBeNull();
    expect(learningRateOf(same(6))).toBeCloseTo(1, 10);
    // What nobody expected anything of, or took no time, says nothing.
    expect(learningRateOf([...same(5), { expected: 0, actual: 9 }, { expected: 9, actual: 0 }])).toBeNull();
    expect(trendWords(learningRateOf(same(6)))).toBe('');
    expect(trendWords(null)).toBe('');
    expect(trendWords(1.05)).toBe('');
    expect(trendWords(0.914)).toBe('getting quicker: done twice as often, it takes 91 % of the time');
    expect(trendWords(1.1)).toBe('getting slower: done twice as often, it takes 110 % of the time');
  });
});
