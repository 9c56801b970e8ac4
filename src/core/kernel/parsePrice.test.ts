import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parsePrice } from './parsePrice';
import { amountOfPrice } from './price';

const read = (text: string, currency = 'USD') => {
  const price = parsePrice(text, currency);
  return price.ok ? price.value : price.findings[0].code;
};

describe('a price as people know it', () => {
  it.each([
    ['12', { state: 'stated', low: 1200, high: 1200 }],
    ['$12.50', { state: 'stated', low: 1250, high: 1250 }],
    ['10 to 14', { state: 'stated', low: 1000, high: 1400 }],
    ['10-14', { state: 'stated', low: 1000, high: 1400 }],
    ['between 14 and 10', { state: 'stated', low: 1000, high: 1400 }],
    ['over 100', { state: 'over', low: 10_000 }],
    ['100+', { state: 'over', low: 10_000 }],
    ['at least 1,299', { state: 'over', low: 129_900 }],
    ['at most 20', { state: 'stated', low: 0, high: 2000 }],
    ['under $20', { state: 'stated', low: 0, high: 2000 }],
    ['about 12', { state: 'estimated', low: 960, likely: 1200, high: 1500 }],
    ['free', { state: 'free' }],
    ['0', { state: 'free' }],
    ['?', { state: 'unknown' }],
    ['unknown', { state: 'unknown' }],
    ['', { state: 'unknown' }],
    ['a lot', 'price.unreadable'],
  ])('“%s”', (text, expected) => {
    expect(read(text)).toEqual(expected);
  });
  it('counts what is known, and says "at least" of what is over that', () => {
    expect(amountOfPrice({ state: 'over', low: 10_000 })).toEqual({
      low: 10_000,
      likely: 10_000,
      high: 10_000,
      atLeast: true,
    });
    expect(amountOfPrice({ state: 'unknown' })).toEqual({ low: 0, likely: 0, high: 0, atLeast: true });
  });
  it('has its ends in order, whatever was typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 24 }), (text) => {
        const price = parsePrice(text, 'USD');
        if (!price.ok) return;
        const { low, likely, high } = amountOfPrice(price.value);
        expect(low).toBeLessThanOrEqual(likely);
        expect(likely).toBeLessThanOrEqual(high);
      }),
    );
  });
});
