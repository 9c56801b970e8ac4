import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exactly } from '../kernel/amount';
import { cheapestPacks } from '../pricing/cheapestPacks';
import { packsToBuy } from './packsToBuy';

describe('the packs that a cheapest purchase can hold', () => {
  const pack = (size: number, price: number) => ({ size, till: exactly(price) });

  it('leave out what costs no less and holds no more, and small ones beyond the price of a larger', () => {
    // Three of 100 at 5.00 cost what one of 400 does: at most two of them are ever bought.
    expect(packsToBuy([pack(100, 500), pack(400, 1500), pack(350, 1600)], 1000)).toEqual([
      { size: 100, price: 500, upper: 2 },
      { size: 400, price: 1500, upper: 3 },
    ]);
    // Of two alike the first stays; what nobody knows the price of is not reckoned with.
    expect(packsToBuy([pack(50, 300), pack(50, 300), { size: 900, till: null }], 60)).toEqual([
      { size: 50, price: 300, upper: 2 },
    ]);
  });

  it('hold the cheapest purchase for every need', () => {
    const packs = fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 40 })), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(packs, fc.integer({ min: 1, max: 25 }), (list, need) => {
        const sold = list.map(([size, price]) => pack(size, price));
        const bounded = packsToBuy(sold, need);
        const least = (n: number, left: number): number => {
          const own = bounded[n];
          if (left <= 0) return 0;
          if (!own) return Number.POSITIVE_INFINITY;
          const costs = Array.from({ length: own.upper + 1 }, (_, count) => count).map(
            (count) => count * own.price + least(n + 1, left - count * own.size),
          );
          return Math.min(...costs);
        };
        const cheapest = cheapestPacks(
          need,
          sold.map(({ size, till }, n) => ({ id: String(n), size, price: till })),
        );
        expect(least(0, need)).toBe(cheapest.cash.likely);
      }),
    );
  });
});
