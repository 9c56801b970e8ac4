import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { incompleteBeta, pertBetaCdf } from './pertBeta';

describe('the incomplete beta function', () => {
  // Closed forms: Abramowitz and Stegun, Handbook of Mathematical Functions, 26.5 (from memory).
  it.each([0.01, 0.2, 0.5, 0.73, 0.99])('has its closed forms at %d', (x) => {
    expect(incompleteBeta(x, 1, 1)).toBeCloseTo(x, 12);
    expect(incompleteBeta(x, 1, 4)).toBeCloseTo(1 - (1 - x) ** 4, 12);
    expect(incompleteBeta(x, 3.5, 1)).toBeCloseTo(x ** 3.5, 12);
    expect(incompleteBeta(x, 2, 2)).toBeCloseTo(3 * x ** 2 - 2 * x ** 3, 12);
    expect(incompleteBeta(x, 3, 3)).toBeCloseTo(10 * x ** 3 - 15 * x ** 4 + 6 * x ** 5, 12);
  });
  it('mirrors itself, and rises from nothing to one', () => {
    const positive = fc.double({ min: 0.2, max: 30, noNaN: true });
    const share = fc.integer({ min: 0, max: 1000 }).map((mille) => mille / 1000);
    fc.assert(
      fc.property(share, share, positive, positive, (x, y, a, b) => {
        expect(incompleteBeta(x, a, b) + incompleteBeta(1 - x, b, a)).toBeCloseTo(1, 7);
        const [lower, upper] = x < y ? [x, y] : [y, x];
        expect(incompleteBeta(lower, a, b)).toBeLessThanOrEqual(incompleteBeta(upper, a, b) + 1e-12);
      }),
    );
  });
});

describe('the chance that a figure comes out at most at a value', () => {
  it('is a half in the middle of a range that is even on both sides', () => {
    expect(pertBetaCdf(10, { low: 8, usual: 10, high: 12 })).toBeCloseTo(0.5, 12);
  });
  it('is nothing below the least and certain above the most', () => {
    expect(pertBetaCdf(7, { low: 8, usual: 10, high: 12 })).toBe(0);
    expect(pertBetaCdf(13, { low: 8, usual: 10, high: 12 })).toBe(1);
    expect([
      pertBetaCdf(9, { low: 10, usual: 10, high: 10 }),
      pertBetaCdf(10, { low: 10, usual: 10, high: 10 }),
    ]).toEqual([0, 1]);
  });
  it('is what many draws of its density give', () => {
    // The density by its definition, summed with Simpson's rule: an independent way to the same number.
    const points = { low: 7.4, usual: 9.82, high: 13 };
    const a = 1 + (4 * (points.usual - points.low)) / (points.high - points.low);
    const b = 1 + (4 * (points.high - points.usual)) / (points.high - points.low);
    const density = (x: number) => x ** (a - 1) * (1 - x) ** (b - 1);
    const integral = (to: number) => {
      const n = 20_000;
      const h = to / n;
      let sum = density(0) + density(to);
      for (let k = 1; k < n; k += 1) sum += density(k * h) * (k % 2 === 0 ? 2 : 4);
      return (sum * h) / 3;
    };
    for (const value of [8, 9, 9.82, 11, 12.5])
      expect(pertBetaCdf(value, points)).toBeCloseTo(
        integral((value - points.low) / (points.high - points.low)) / integral(1),
        6,
      );
  });
});
