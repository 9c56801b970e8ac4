import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exactly } from '../kernel/amount';
import { stated } from '../kernel/price';
import { cheapestPacks, type PackChoice } from './cheapestPacks';
import { type LedgerLine, ledgerInOrder, ledgerSums } from './ledger';
import { offerCash } from './offer';
import { type PriceStory, plainStory } from './priceStory';
import { largestTagFor, receiptOf, tagsFor } from './receipt';

const noTax = { percentThousandths: 0, included: false };
const tax825 = { percentThousandths: 8_250, included: false };
const story = (tag: number, change: Partial<PriceStory> = {}): PriceStory => ({
  ...plainStory(stated(tag)),
  ...change,
});
const total = (s: PriceStory, tax = noTax) => receiptOf(s, 'USD', tax).total.likely;

describe('price stories to the cent', () => {
  // Worked by hand in the trade's reference sheet: 24.99 × 0.6 = 14.99; tax 8.25 % = 1.24; together 16.23.
  it('takes 40 % off 24.99, then adds 8.25 % tax: 16.23', () => {
    const receipt = receiptOf(
      story(2499, { lines: [{ kind: 'markdown', percentThousandths: 40_000 }] }),
      'USD',
      tax825,
    );
    expect([receipt.lines[1]?.amount.likely, receipt.tax.likely, receipt.total.likely]).toEqual([-1000, 124, 1623]);
  });
  it('leaves the tax of a maker’s coupon due: 14.23', () => {
    expect(
      total(
        story(2499, {
          lines: [
            { kind: 'markdown', percentThousandths: 40_000 },
            { kind: 'couponMoney', amount: 200, by: 'maker' },
          ],
        }),
        tax825,
      ),
    ).toBe(1423);
    expect(
      total(
        story(2499, {
          lines: [
            { kind: 'markdown', percentThousandths: 40_000 },
            { kind: 'couponMoney', amount: 200, by: 'store' },
          ],
        }),
        tax825,
      ),
    ).toBe(1406);
  });
  it('stacks discounts one after another: 100 → 40.00 and 40 → 32.40', () => {
    expect(
      total(
        story(10_000, {
          lines: [
            { kind: 'markdown', percentThousandths: 50_000 },
            { kind: 'couponPercent', percentThousandths: 20_000 },
          ],
        }),
      ),
    ).toBe(4000);
    expect(
      total(
        story(4000, {
          lines: [
            { kind: 'markdown', percentThousandths: 10_000 },
            { kind: 'markdown', percentThousandths: 10_000 },
          ],
        }),
      ),
    ).toBe(3240);
  });
  it('rounds the price that is left, half up, per piece, per line or on the receipt', () => {
    // 3 × 0.75 at 50 %: each piece 0.375 → 0.38, so 1.14; the line and the receipt 1.125 → 1.13.
    const half = { lines: [{ kind: 'markdown' as const, percentThousandths: 50_000 }], quantity: 3 };
    expect(total(story(75, { ...half, rounding: 'piece' }))).toBe(114);
    expect(total(story(75, { ...half, rounding: 'line' }))).toBe(113);
    expect(total(story(75, { ...half, rounding: 'receipt' }))).toBe(113);
  });
  it.each(['piece', 'line', 'receipt'] as const)(
    'rounds the price and not the discount, till rule per %s',
    (rounding) => {
      // 8.97 at half is 4.485, so 4.49 (definitions, "Money"); stacked discounts multiply and are rounded once.
      const off = (...percents: number[]) => ({
        rounding,
        lines: percents.map((percent) => ({ kind: 'markdown' as const, percentThousandths: percent * 1000 })),
      });
      expect(total(story(897, off(50)))).toBe(449);
      expect(total(story(10_000, off(50, 20)))).toBe(4000);
      expect(total(story(49, off(50, 50)))).toBe(12);
      expect(total(story(99, off(50, 50)))).toBe(25);
    },
  );
  it('keeps to the order of its lines', () => {
    const off = { kind: 'couponMoney' as const, amount: 500, by: 'store' as const };
    const half = { kind: 'markdown' as const, percentThousandths: 50_000 };
    expect(total(story(2000, { lines: [off, half] }))).toBe(750);
    expect(total(story(2000, { lines: [half, off] }))).toBe(500);
  });
  it('reads an unclear coupon both ways and plans with the dearer', () => {
    const receipt = receiptOf(story(4000, { lines: [{ kind: 'couponUnknown', value: 10_000 }] }), 'USD', noTax);
    expect([receipt.total.low, receipt.total.likely, receipt.total.high]).toEqual([3000, 3600, 3600]);
    expect(receipt.findings.map((finding) => finding.code)).toEqual(['coupon.readBothWays']);
    // On a small tag the money reading is the better one for the buyer the other way round: it cannot go below nothing.
    expect(
      receiptOf(story(500, { lines: [{ kind: 'couponUnknown', value: 10_000 }] }), 'USD', noTax).total,
    ).toMatchObject({ low: 0, likely: 450, high: 450 });
  });
  it('pays a pack once and divides it by the pieces that serve', () => {
    const receipt = receiptOf(story(1100, { pieces: 6 }), 'USD', noTax, 4);
    expect([receipt.pieces, receipt.usable, receipt.perUsable?.likely]).toEqual([6, 4, 275]);
    expect(receiptOf(story(1100, { pieces: 6 }), 'USD', noTax, 0).perUsable).toBeNull();
  });
  it('finds included tax in the price and adds nothing', () => {
    const receipt = receiptOf(story(12_300), 'EUR', { percentThousandths: 23_000, included: true });
    expect([receipt.tax.likely, receipt.total.likely]).toEqual([2300, 12_300]);
  });
  it('adds fees and delivery, taxed or not', () => {
    expect(
      total(
        story(1000, {
          lines: [
            { kind: 'fee', amount: 150, taxed: false },
            { kind: 'delivery', amount: 1000, taxed: true },
          ],
        }),
        { percentThousandths: 10_000, included: false },
      ),
    ).toBe(2350);
  });
  it('never lets a coupon pay out, and says "at least" for an unknown tag', () => {
    expect(total(story(300, { lines: [{ kind: 'couponMoney', amount: 500, by: 'store' }] }))).toBe(0);
    expect(receiptOf(plainStory({ state: 'unknown' }), 'USD', noTax).total.atLeast).toBe(true);
    expect(receiptOf(plainStory({ state: 'free' }), 'USD', noTax).total).toMatchObject({ likely: 0, atLeast: false });
  });

  const anyLine = fc.oneof(
    fc.record({ kind: fc.constant('markdown' as const), percentThousandths: fc.integer({ min: 0, max: 100_000 }) }),
    fc.record({
      kind: fc.constant('couponPercent' as const),
      percentThousandths: fc.integer({ min: 0, max: 100_000 }),
    }),
    fc.record({
      kind: fc.constant('couponMoney' as const),
      amount: fc.integer({ min: 0, max: 5000 }),
      by: fc.constantFrom('store' as const, 'maker' as const),
    }),
    fc.record({
      kind: fc.constant('buyGet' as const),
      buy: fc.integer({ min: 1, max: 3 }),
      free: fc.integer({ min: 1, max: 2 }),
    }),
    fc.record({ kind: fc.constant('secondLess' as const), percentThousandths: fc.integer({ min: 0, max: 100_000 }) }),
    fc.record({ kind: fc.constant('couponUnknown' as const), value: fc.integer({ min: 0, max: 100_000 }) }),
    fc.record({
      kind: fc.constantFrom('fee' as const, 'delivery' as const),
      amount: fc.integer({ min: 0, max: 5000 }),
      taxed: fc.boolean(),
    }),
  );
  const anyStory = fc.record({
    lines: fc.array(anyLine, { maxLength: 4 }),
    quantity: fc.integer({ min: 1, max: 5 }),
    rounding: fc.constantFrom('piece' as const, 'line' as const, 'receipt' as const),
  });
  it('lets one piece on one line cost the same under all three till rules', () => {
    const lines = fc.array(
      anyLine.filter((line) => line.kind !== 'fee' && line.kind !== 'delivery'),
      { maxLength: 4 },
    );
    fc.assert(
      fc.property(lines, fc.integer({ min: 0, max: 100_000 }), fc.boolean(), (lines, tag, included) => {
        const tax = { ...tax825, included };
        const [piece, line, receipt] = (['piece', 'line', 'receipt'] as const).map((rounding) =>
          receiptOf(story(tag, { lines, rounding }), 'USD', tax),
        );
        expect(piece).toEqual(line);
        expect(receipt).toEqual(line);
      }),
    );
  });
  it('has lines that add up to what is paid, to the cent', () => {
    const clear = anyStory.filter(({ lines }) => lines.every((line) => line.kind !== 'couponUnknown'));
    fc.assert(
      fc.property(clear, fc.integer({ min: 0, max: 50_000 }), fc.boolean(), (change, tag, included) => {
        const receipt = receiptOf(story(tag, change), 'USD', { ...tax825, included });
        expect(receipt.lines.reduce((sum, line) => sum + line.amount.likely, 0)).toBe(receipt.total.likely);
      }),
    );
  });
  it('never charges more for a cheaper tag', () => {
    fc.assert(
      fc.property(
        anyStory,
        fc.integer({ min: 0, max: 50_000 }),
        fc.integer({ min: 0, max: 5000 }),
        (change, tag, less) => {
          const dear = receiptOf(story(tag, change), 'USD', tax825).total;
          const cheap = receiptOf(story(Math.max(0, tag - less), change), 'USD', tax825).total;
          expect(cheap.likely).toBeLessThanOrEqual(dear.likely);
          expect(dear.low).toBeLessThanOrEqual(dear.high);
        },
      ),
    );
  });
  it('gives three for two, and the second for half, on pieces of one price', () => {
    const buy = (quantity: number, rounding: PriceStory['rounding'] = 'line') =>
      total(story(999, { quantity, rounding, lines: [{ kind: 'buyGet', buy: 2, free: 1 }] }));
    expect([1, 2, 3, 5, 6].map((quantity) => buy(quantity))).toEqual([999, 1998, 1998, 3996, 3996]);
    expect(buy(3, 'piece')).toBe(1998);
    const half = (quantity: number, rounding: PriceStory['rounding'] = 'line') =>
      total(story(999, { quantity, rounding, lines: [{ kind: 'secondLess', percentThousandths: 50_000 }] }));
    // Half of 9.99 leaves 5.00 (half up); two pairs by the piece are 2 × (9.99 + 5.00), on one line 39.96 − 9.99.
    expect([1, 2, 3].map((quantity) => half(quantity))).toEqual([999, 1499, 2498]);
    expect([half(4, 'piece'), half(4, 'line')]).toEqual([2998, 2997]);
  });
  it('counts a coupon only from its least spend on, and says so', () => {
    const lines = [{ kind: 'couponMoney' as const, amount: 500, by: 'store' as const, leastSpend: 2000 }];
    expect([1999, 2000].map((tag) => total(story(tag, { lines })))).toEqual([1999, 1500]);
    expect(receiptOf(story(1999, { lines }), 'USD', noTax).findings.map(({ code }) => code)).toEqual([
      'coupon.leastSpend',
    ]);
    expect(receiptOf(story(2000, { lines }), 'USD', noTax).findings).toEqual([]);
    // 17.00 at the till: a tag of 22.00 with the coupon, though 19.99 without it would be too much.
    expect(largestTagFor(story(0, { lines }), 'USD', noTax, 1700)).toBe(2200);
    expect(largestTagFor(story(0, { lines }), 'USD', noTax, 1400)).toBe(1400);
  });
  it('works a till price back to the largest tag that does not exceed it', () => {
    // Half of 24.01 is 12.005, so 12.01: 24.00 is the largest tag for 12.00.
    expect(
      largestTagFor(story(0, { lines: [{ kind: 'markdown', percentThousandths: 50_000 }] }), 'USD', noTax, 1200),
    ).toBe(2400);
    expect(
      largestTagFor(story(0, { lines: [{ kind: 'fee', amount: 500, taxed: false }] }), 'USD', noTax, 400),
    ).toBeNull();
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 80_000 }), fc.integer({ min: 0, max: 90_000 }), (till, off) => {
        const lines = [{ kind: 'markdown' as const, percentThousandths: off }];
        const tag = largestTagFor(story(0, { lines }), 'USD', tax825, till) ?? 0;
        expect(total(story(tag, { lines }), tax825)).toBeLessThanOrEqual(till);
        expect(total(story(tag + 30, { lines }), tax825)).toBeGreaterThanOrEqual(till - 30);
      }),
    );
  });
});

describe('a list price worked back from what was paid', () => {
  const half = [{ kind: 'markdown' as const, percentThousandths: 50_000 }];
  it('is every tag that comes to it: 12.00 at half were 23.99 or 24.00', () => {
    expect(tagsFor(story(0, { lines: half }), 'USD', noTax, 1200)).toEqual({ low: 2399, high: 2400 });
    expect(tagsFor(story(0), 'USD', noTax, 0)).toEqual({ low: 0, high: 0 });
  });
  it('is none where no tag comes to it: with tax 0.06 more follows 0.05 in one step', () => {
    const triple = story(0, { quantity: 3 });
    expect(tagsFor(triple, 'USD', noTax, 100)).toBeNull();
    expect(tagsFor(triple, 'USD', noTax, 99)).toEqual({ low: 33, high: 33 });
  });
  it('comes to what was paid at both its ends and not beyond', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 50_000 }), fc.integer({ min: 0, max: 90_000 }), (tag, off) => {
        const lines = [{ kind: 'markdown' as const, percentThousandths: off }];
        const paid = total(story(tag, { lines }), tax825);
        const tags = tagsFor(story(0, { lines }), 'USD', tax825, paid);
        const at = (price: number) => total(story(price, { lines }), tax825);
        expect(tags && [at(tags.low), at(tags.high)]).toEqual([paid, paid]);
        expect(tags && tags.low <= tag && tag <= tags.high).toBe(true);
        if (tags && tags.low > 0) expect(at(tags.low - 1)).toBeLessThan(paid);
        expect(at((tags?.high ?? 0) + 1)).toBeGreaterThan(paid);
      }),
    );
  });
});

describe('cheapest whole packs', () => {
  const pack = (size: number, price: number): PackChoice => ({ id: `${size}`, size, price: exactly(price) });
  const paint = [pack(473, 2600), pack(946, 3900), pack(3785, 9900)];
  it.each([
    [0, 0],
    [1, 2600],
    [473, 2600],
    [474, 3900],
    [947, 6500],
    [1892, 7800],
    [1900, 9900],
    [2400, 9900],
    [4000, 12_500],
  ])('covers %d mL for %d', (need, price) => expect(cheapestPacks(need, paint).cash.likely).toBe(price));
  it('says "at least" when no price is known, and buys known prices before unknown ones', () => {
    expect(cheapestPacks(100, [{ id: 'a', size: 50, price: null }])).toMatchObject({
      cash: { likely: 0, atLeast: true },
      packs: [{ count: 2 }],
    });
    expect(cheapestPacks(100, [{ id: 'a', size: 50, price: null }, pack(60, 500)]).cash).toMatchObject({
      likely: 1000,
      atLeast: false,
    });
    expect(cheapestPacks(100, []).cash.atLeast).toBe(true);
  });
  it('finds what an exhaustive search finds', () => {
    const choice = fc.tuple(fc.integer({ min: 20, max: 900 }), fc.integer({ min: 50, max: 4000 }));
    fc.assert(
      fc.property(
        fc.array(choice, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 1500 }),
        (sizes, need) => {
          const choices = sizes.map(([size, price], index) => ({
            id: `p${index}`,
            size: size ?? 1,
            price: exactly(price ?? 1),
          }));
          let best = Number.POSITIVE_INFINITY;
          const search = (index: number, left: number, cost: number): void => {
            if (left <= 0) {
              best = Math.min(best, cost);
              return;
            }
            const at = choices[index];
            if (!at) return;
            for (let take = 0; take <= Math.ceil(left / at.size); take += 1)
              search(index + 1, left - take * at.size, cost + take * at.price.likely);
          };
          search(0, need, 0);
          const found = cheapestPacks(need, choices);
          expect(found.cash.likely).toBe(best);
          expect(found.size).toBeGreaterThanOrEqual(need);
        },
      ),
      { numRuns: 200 },
    );
  });
  it('never costs more for a smaller need, nor for both needs together than apart', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9000 }), fc.integer({ min: 0, max: 9000 }), (a, b) => {
        const cost = (need: number) => cheapestPacks(need, paint).cash.likely;
        expect(cost(Math.min(a, b))).toBeLessThanOrEqual(cost(Math.max(a, b)));
        expect(cost(a + b)).toBeLessThanOrEqual(cost(a) + cost(b));
      }),
    );
  });
});

describe('offers and the ledger', () => {
  it('orders whole packs, each taxed and rounded by itself, and one delivery', () => {
    const offer = { price: stated(999), delivery: 495, deliveryTaxed: true, pieces: 2 };
    // 9.99 + 8.25 % = 10.81 a pack (0.824 → 0.82); two packs for three pieces; delivery 4.95 + 0.41.
    expect(offerCash(offer, 3, tax825).likely).toBe(2 * 1081 + 536);
    expect(offerCash(offer, 0, tax825).likely).toBe(0);
  });
  it('sums spent and promised; a reversal takes its line out', () => {
    const known = { spentAtLeast: false, promisedAtLeast: false };
    const line = (
      id: string,
      kind: LedgerLine['kind'],
      amount: number,
      reversesId: string | null = null,
    ): LedgerLine => ({
      id,
      kind,
      amount,
      atLeast: false,
      atMs: 0,
      subject: { kind: 'fee', id: 'project' },
      reversesId,
      note: '',
      pieces: null,
      refundsId: null,
    });
    expect(
      ledgerSums([
        line('a', 'payment', 1200),
        line('b', 'promise', 500),
        line('c', 'refund', 200),
        line('d', 'saleIncome', 300),
      ]),
    ).toEqual({ spent: 700, promised: 500, ...known });
    expect(ledgerSums([line('a', 'payment', 1200), line('b', 'payment', 1200, 'a')])).toEqual({
      spent: 0,
      promised: 0,
      ...known,
    });
    // Bought, taken back, done again: the reversal is itself reversed, so the payment counts once.
    expect(
      ledgerSums([line('a', 'payment', 1200), line('b', 'payment', 1200, 'a'), line('c', 'payment', 1200, 'b')]),
    ).toEqual({ spent: 1200, promised: 0, ...known });
    // What is known from below only makes the whole so, until it is set right; of a refund it does not.
    const unknown = { ...line('a', 'payment', 0), atLeast: true };
    expect(ledgerSums([unknown, line('b', 'payment', 300)])).toEqual({
      spent: 300,
      promised: 0,
      ...known,
      spentAtLeast: true,
    });
    const back = { ...unknown, id: 'c', reversesId: 'a' };
    expect(ledgerSums([unknown, back])).toEqual({ spent: 0, promised: 0, ...known });
    expect(ledgerSums([{ ...line('d', 'refund', 100), atLeast: true }]).spentAtLeast).toBe(false);
    const ordered = { ...line('e', 'promise', 200), atLeast: true };
    expect(ledgerSums([ordered])).toEqual({ spent: 0, promised: 200, ...known, promisedAtLeast: true });
  });
});

describe('the order of the ledger', () => {
  const line = (id: string, reversesId: string | null = null) => ({ id, reversesId });
  it('puts each line after the one it reverses, however deep', () => {
    const lines = [line('c', 'b'), line('b', 'a'), line('x'), line('a')];
    expect(ledgerInOrder(lines).map((entry) => entry.id)).toEqual(['x', 'a', 'b', 'c']);
  });
  it('leaves out lines that reverse each other', () => {
    expect(ledgerInOrder([line('a', 'b'), line('b', 'a'), line('c')]).map((entry) => entry.id)).toEqual(['c']);
  });
});
