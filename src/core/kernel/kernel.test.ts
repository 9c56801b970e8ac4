import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { currencyCodes, currencyExponent } from './currencies.data';
import { formatLength } from './formatLength';
import { decimalMoney } from './formatMoney';
import { multiplyDivideRound, percentOf, splitAmount } from './money';
import { parseLength } from './parseLength';
import { parseMoney } from './parseMoney';
import { createRegistry } from './registry';
import { seededRandom } from './seededRandom';
import {
  fahrenheit,
  M2_PER_L_PER_FT2_PER_GALLON,
  M2_PER_SQUARE_FOOT,
  ML_PER_US_FLUID_OUNCE,
  ML_PER_US_GALLON,
  MM_PER_FOOT,
  MM_PER_INCH,
  MM_PER_YARD,
} from './units';

const mm = (text: string, system: 'us' | 'metric' = 'us') => {
  const read = parseLength(text, system);
  return read.ok ? Math.round(read.value * 1000) / 1000 : null;
};
const cents = (text: string, currency = 'USD') => {
  const read = parseMoney(text, currency);
  return read.ok ? read.value : null;
};

describe('units', () => {
  // Published factors: NIST SP 811 and Handbook 44 (from memory).
  it('are the exact published factors', () => {
    expect([MM_PER_INCH, MM_PER_FOOT, MM_PER_YARD]).toEqual([25.4, 304.8, 914.4]);
    expect(M2_PER_SQUARE_FOOT).toBe(0.09290304);
    expect(0.3048 ** 2).toBeCloseTo(M2_PER_SQUARE_FOOT, 12);
    expect(ML_PER_US_GALLON / 128).toBeCloseTo(ML_PER_US_FLUID_OUNCE, 10);
    expect((231 * 25.4 ** 3) / 1000).toBeCloseTo(ML_PER_US_GALLON, 6);
  });
  it('turn spreading rates from ft² a gallon to m² a liter', () => {
    expect(M2_PER_L_PER_FT2_PER_GALLON).toBeCloseTo(0.0245423867, 9);
    expect(375 * M2_PER_L_PER_FT2_PER_GALLON).toBeCloseTo(9.2034, 4);
    expect(500 * M2_PER_L_PER_FT2_PER_GALLON).toBeCloseTo(12.2712, 4);
  });
  it('turn °C into °F', () => {
    expect([10, 21, 32, 4].map((c) => Math.round(fahrenheit(c) * 10) / 10)).toEqual([50, 69.8, 89.6, 39.2]);
  });
});

describe('parseLength', () => {
  it.each([
    ['34 1/2', 876.3],
    ['3\' 2"', 965.2],
    ['3’2”', 965.2],
    ['80 cm', 800],
    ['0.8m', 800],
    ['0,8 m', 800],
    ['¾ in', 19.05],
    ['34½', 876.3],
    ['5/8"', 15.875],
    ['6 ft', 1828.8],
    ["6' 1/2", 1841.5],
    ['2 yd', 1828.8],
  ])('reads %s as %d mm', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 3));
  it('takes a bare number as inches or centimeters by the project', () => {
    expect(mm('10', 'us')).toBe(254);
    expect(mm('10', 'metric')).toBe(100);
    expect(mm('1m 20', 'metric')).toBe(1200);
  });
  it.each(['', 'wide', '0', '-3', '12 bananas', '1/0', '3" 2\'', '40 m', '1 2 3'])(
    'refuses “%s” with the text and an example',
    (text) => {
      const read = parseLength(text, 'us');
      expect(read.ok).toBe(false);
      if (!read.ok)
        expect(read.findings[0]?.figures).toMatchObject({
          text: expect.any(String),
          example: expect.stringContaining('34 1/2'),
        });
    },
  );
  it('reads back what formatLength shows, to a thirty-second of an inch or half a millimeter', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 29_000, noNaN: true }), (length) => {
        expect(Math.abs((mm(formatLength(length, 'us'), 'us') ?? 0) - length)).toBeLessThanOrEqual(25.4 / 32 + 0.01);
        expect(Math.abs((mm(formatLength(length, 'metric'), 'metric') ?? 0) - length)).toBeLessThanOrEqual(0.51);
      }),
    );
  });
});

describe('parseMoney', () => {
  it.each([
    ['12', 'USD', 1200],
    ['$12.50', 'USD', 1250],
    ['12,50', 'EUR', 1250],
    ['1,299.00', 'USD', 129_900],
    ['1.299,00 €', 'EUR', 129_900],
    ['1,299', 'USD', 129_900],
    ['.5', 'USD', 50],
    ['1250', 'JPY', 1250],
    ['1.234', 'KWD', 1234],
    ['12.345', 'JPY', 12_345],
  ])('reads %s %s as %d', (text, currency, expected) => expect(cents(text, currency)).toBe(expected));
  it.each([
    ['twelve', 'USD'],
    ['12.34', 'JPY'],
    ['-3', 'USD'],
    ['', 'USD'],
    ['1.2.3.', 'USD'],
    ['12.3456', 'USD'],
  ])('refuses “%s” in %s', (text, currency) => expect(cents(text, currency)).toBeNull());
});

describe('money', () => {
  it('rounds halves away from zero, so that a refund mirrors its purchase', () => {
    expect([5, 15, 25, -5, -15].map((n) => multiplyDivideRound(n, 1, 10))).toEqual([1, 2, 3, -1, -2]);
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 0, max: 100_000 }), (amount, percent) => {
        expect(percentOf(-amount, percent) + percentOf(amount, percent)).toBe(0);
      }),
    );
  });
  it('stays exact where the product leaves the safe integers', () => {
    expect(multiplyDivideRound(9_000_000_000_000, 100_000, 100_000)).toBe(9_000_000_000_000);
    expect(multiplyDivideRound(9_007_199_254_740_991, 3, 6)).toBe(4_503_599_627_370_496);
  });
  it('splits a lot so that its parts add up', () => {
    expect(splitAmount(1000, [1, 1, 1])).toEqual([334, 333, 333]);
    expect(splitAmount(-400, [12, 8])).toEqual([-240, -160]);
    expect(splitAmount(5, [0, 0])).toEqual([3, 2]);
    fc.assert(
      fc.property(
        fc.integer({ min: -1_000_000, max: 1_000_000 }),
        fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 12 }),
        (total, weights) => {
          expect(splitAmount(total, weights).reduce((a, b) => a + b, 0)).toBe(total);
        },
      ),
    );
  });
  it('knows the decimals of currencies as the platform does (ICU)', () => {
    for (const code of currencyCodes) {
      const platform = new Intl.NumberFormat('en', { style: 'currency', currency: code }).resolvedOptions()
        .maximumFractionDigits;
      // ICU shows fewer decimals than ISO 4217 lists where coins are out of use; it never shows more.
      expect(platform).toBeLessThanOrEqual(currencyExponent(code));
    }
    expect(['USD', 'EUR', 'JPY', 'KWD'].map(currencyExponent)).toEqual([2, 2, 0, 3]);
    expect(() => currencyExponent('XXX')).toThrow('XXX');
  });
});

describe('registry and seed', () => {
  it('refuses an id that is listed twice', () =>
    expect(() => createRegistry('things', [{ id: 'a' }, { id: 'a' }])).toThrow('"a" is listed twice'));
  it('gives the same draws for the same seed, all in [0, 1)', () => {
    const draws = (seed: number) =>
      Array.from(
        { length: 50 },
        (
          (next) => () =>
            next()
        )(seededRandom(seed)),
      );
    expect(draws(7)).toEqual(draws(7));
    expect(draws(7)).not.toEqual(draws(8));
    expect(draws(7).every((n) => n >= 0 && n < 1)).toBe(true);
  });
});

describe('money as a plain number', () => {
  it('has the decimals of its currency, and is empty where nothing is known', () => {
    expect(decimalMoney(-5207, 'USD')).toBe('-52.07');
    expect(decimalMoney(5207, 'JPY')).toBe('5207');
    expect(decimalMoney(5, 'KWD')).toBe('0.005');
    expect(decimalMoney(0, 'USD')).toBe('0.00');
    expect(decimalMoney(null, 'USD')).toBe('');
  });
});
