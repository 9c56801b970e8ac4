import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { splitAmount } from '../kernel/money';
import { inOwnMoney } from './foreignMoney';
import { splitLot } from './lot';
import { contentsWords, mixedPack, parseContents } from './mixedPack';

const even = { own: null, weight: 1 };

describe('lots', () => {
  it('splits 3.50 over three as 1.17, 1.17, 1.16 (definitions, worked example)', () => {
    expect(splitLot(350, [even, even, even])).toEqual([117, 117, 116]);
  });
  it('takes pieces with a price of their own first, the rest by weight', () => {
    expect(splitLot(1000, [{ own: 400, weight: 1 }, { own: null, weight: 2 }, even])).toEqual([400, 400, 200]);
  });
  it('takes own prices in proportion where they come to more than the lot, or to less with nothing else in it', () => {
    expect(splitLot(900, [{ own: 800, weight: 1 }, { own: 400, weight: 1 }, even])).toEqual([600, 300, 0]);
    expect(
      splitLot(900, [
        { own: 400, weight: 1 },
        { own: 200, weight: 1 },
      ]),
    ).toEqual([600, 300]);
  });
  it('comes to what was paid, whatever is in it', () => {
    const piece = fc.record({
      own: fc.option(fc.integer({ min: 0, max: 5000 }), { nil: null }),
      weight: fc.integer({ min: 0, max: 9 }),
    });
    fc.assert(
      fc.property(fc.nat(100_000), fc.array(piece, { minLength: 1 }), (total, pieces) => {
        const prices = splitLot(total, pieces);
        expect(prices.reduce((a, b) => a + b, 0)).toBe(total);
        expect(Math.min(...prices)).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('the largest remainder', () => {
  it('sums to the total, keeps each share within a cent of its exact part, and gives equals in their order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -100_000_000_000, max: 100_000_000_000 }),
        fc.array(fc.integer({ min: 0, max: 1_000_000_000 }), { minLength: 1, maxLength: 12 }),
        (total, weights) => {
          const parts = splitAmount(total, weights);
          expect(parts.reduce((a, b) => a + b, 0)).toBe(total);
          const sum = BigInt(weights.reduce((a, b) => a + b, 0));
          const [size, even] = [BigInt(Math.abs(total)), BigInt(weights.length)];
          for (const [n, part] of parts.entries()) {
            const [weight, all] = sum > 0n ? [BigInt(weights[n] ?? 0), sum] : [1n, even];
            const error = BigInt(Math.abs(part)) * all - size * weight;
            expect(error < all && error > -all).toBe(true);
            const twin = weights.indexOf(weights[n] ?? 0);
            expect(Math.abs(parts[twin] ?? 0)).toBeGreaterThanOrEqual(Math.abs(part));
          }
        },
      ),
    );
  });
});

describe('packs with mixed contents', () => {
  const candles = [
    { what: 'tall', count: 2 },
    { what: 'short', count: 4 },
  ];
  it('takes as many packs as the rarest needed thing asks for, and says what is over', () => {
    expect(mixedPack(candles, [{ what: 'Tall', count: 4 }])).toEqual({
      packs: 2,
      short: [],
      surplus: [{ what: 'short', count: 8 }],
      usable: 4,
    });
  });
  it('says what is short in one pack, and what no pack holds', () => {
    const needs = [
      { what: 'tall', count: 3 },
      { what: 'round', count: 1 },
    ];
    expect(mixedPack(candles, needs, 1)).toEqual({
      packs: 1,
      short: [
        { what: 'tall', count: 1 },
        { what: 'round', count: 1 },
      ],
      surplus: [{ what: 'short', count: 4 }],
      usable: 2,
    });
    expect(mixedPack(candles, [{ what: 'round', count: 1 }]).packs).toBe(0);
  });
});

describe('sorts as one writes them', () => {
  it.each<[string, string | null]>([
    ['2 tall, 4 short', '2 tall, 4 short'],
    ['tall x 2; short × 4', '2 tall, 4 short'],
    ['3 x 8 in', '3 8 in'],
    ['round', '1 round'],
    ['', ''],
    ['12', null],
    ['0 tall', null],
  ])('“%s”', (text, words) => {
    const read = parseContents(text);
    expect(read === null ? null : contentsWords(read)).toBe(words);
  });
});

describe('foreign money', () => {
  const money = (currency: string, amount: number, rateMillionths: number) => ({
    currency,
    amount,
    rateMillionths,
    day: '2026-06-01',
  });
  it('is worth amount × rate, rounded once to the minor unit of the own money (minor units of ISO 4217)', () => {
    // 20.00 EUR at 1.0842 are 21.684 USD.
    expect(inOwnMoney(money('EUR', 2000, 1_084_200), 'USD')).toBe(2168);
    // The yen has no minor unit: 12,500 JPY at 0.0067 are 83.75 USD; 20.00 USD at 149.25 are 2,985 JPY.
    expect(inOwnMoney(money('JPY', 12_500, 6_700), 'USD')).toBe(8375);
    expect(inOwnMoney(money('USD', 2000, 149_250_000), 'JPY')).toBe(2985);
    // The Kuwaiti dinar has three decimals: 1.500 KWD at 3.25 are 4.875 USD, half up.
    expect(inOwnMoney(money('KWD', 1500, 3_250_000), 'USD')).toBe(488);
  });
});
