import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckonSlip, type Slip, type SlipDiscount, type SlipLine } from './slip';

const noTax = { percentThousandths: 0, included: false };
const tax825 = { percentThousandths: 8_250, included: false };
const line = (id: string, price: number, given: Partial<SlipLine> = {}): SlipLine => ({
  id,
  price,
  quantity: 1,
  markdowns: [],
  tax: null,
  isFee: false,
  ...given,
});
const slip = (lines: readonly SlipLine[], given: Partial<Slip> = {}): Slip => ({
  lines,
  discounts: [],
  tax: noTax,
  rounding: 'line',
  paid: null,
  ...given,
});
const off = (offer: SlipDiscount['offer'], given: Partial<SlipDiscount> = {}): SlipDiscount => ({
  id: 'discount',
  offer,
  lineIds: null,
  leastSpend: null,
  ...given,
});
const shares = (given: Slip) => reckonSlip(given).lines.map(({ discount }) => -discount);
const totals = (given: Slip) => reckonSlip(given).lines.map(({ total }) => total);

describe('a receipt of several lines', () => {
  it('spreads 2.00 over 12.49, 3.99 and 7.25 as 1.05, 0.34 and 0.61 (definitions, worked example)', () => {
    const lines = [line('a', 1249), line('b', 399), line('c', 725)];
    expect(shares(slip(lines, { discounts: [off({ kind: 'money', amount: 200, by: 'store' })] }))).toEqual([
      105, 34, 61,
    ]);
  });

  it('takes half off the cheaper of 12.00 and 8.00, spread 2.40 and 1.60 (figures.md, 9)', () => {
    const lines = [line('a', 1200), line('b', 800)];
    const given = slip(lines, { discounts: [off({ kind: 'secondLess', percentThousandths: 50_000 })] });
    expect(shares(given)).toEqual([240, 160]);
    expect(reckonSlip(given).total).toBe(1600);
  });

  it('reckons 24.99 at 40 % off with 8.25 % tax: 14.99, 1.24, 16.23; a maker’s coupon leaves the tax: 14.23 (figures.md, 9)', () => {
    const lines = [line('a', 2499, { markdowns: [40_000] })];
    expect(reckonSlip(slip(lines, { tax: tax825 })).lines[0]).toEqual({
      id: 'a',
      goods: 1499,
      discount: 0,
      tax: 124,
      difference: 0,
      total: 1623,
    });
    const coupon = (by: 'store' | 'maker') =>
      reckonSlip(slip(lines, { tax: tax825, discounts: [off({ kind: 'money', amount: 200, by })] }));
    expect([coupon('maker').tax, coupon('maker').total]).toEqual([124, 1423]);
    // The store's own coupon lowers what is taxed: 12.99 + 1.07.
    expect([coupon('store').tax, coupon('store').total]).toEqual([107, 1406]);
  });

  it('rounds 8.97 at half to 4.49 under every till rule (definitions, money)', () => {
    for (const rounding of ['piece', 'line', 'receipt'] as const)
      expect(totals(slip([line('a', 897, { markdowns: [50_000] })], { rounding }))).toEqual([449]);
  });

  it('gives the cheapest of each full group free, from the dearest down', () => {
    const lines = [line('a', 500), line('b', 900), line('c', 300, { quantity: 2 }), line('d', 700)];
    // 9, 7, 5 | 3, 3: of the first three the five is free, the second group is not full.
    const given = slip(lines, { discounts: [off({ kind: 'buyGet', buy: 2, free: 1 })] });
    expect(reckonSlip(given).discounts[0]?.off).toBe(500);
    expect(reckonSlip(given).total).toBe(2200);
  });

  it('holds for the lines that it names, and leaves fees out where it names none', () => {
    const lines = [line('frame', 1000), line('vase', 1000), line('bag', 10, { isFee: true })];
    const half = (lineIds: string[] | null) =>
      totals(slip(lines, { discounts: [off({ kind: 'percent', percentThousandths: 50_000 }, { lineIds })] }));
    expect(half(['frame'])).toEqual([500, 1000, 10]);
    expect(half(null)).toEqual([500, 500, 10]);
  });

  it('says what is missing for a discount with a least spend', () => {
    const given = (price: number) =>
      reckonSlip(
        slip([line('a', price)], {
          discounts: [off({ kind: 'money', amount: 500, by: 'store' }, { leastSpend: 2500 })],
        }),
      );
    expect(given(2400).discounts).toEqual([{ id: 'discount', off: 0, missing: 100 }]);
    expect([given(2400).total, given(2500).total]).toEqual([2400, 2000]);
  });

  it('knows two tax rules on one receipt, by line and by receipt', () => {
    // 8.25 % of 1.06 is 0.087: 0.09 for each line, 0.26 for three together (0.262).
    const lines = [line('a', 106), line('b', 106), line('c', 106), line('food', 400, { tax: noTax })];
    expect(reckonSlip(slip(lines, { tax: tax825, rounding: 'line' })).tax).toBe(27);
    const together = reckonSlip(slip(lines, { tax: tax825, rounding: 'receipt' }));
    expect(together.tax).toBe(26);
    expect(together.lines.map(({ tax }) => tax)).toEqual([9, 9, 8, 0]);
    expect(together.total).toBe(106 * 3 + 400 + 26);
  });

  it('finds included tax in the prices and adds nothing', () => {
    const vat = { percentThousandths: 20_000, included: true };
    const reckoned = reckonSlip(slip([line('a', 1200)], { tax: vat }));
    expect([reckoned.tax, reckoned.total]).toEqual([200, 1200]);
  });

  it('comes out to what was paid, with the difference spread over its lines', () => {
    const lines = [line('a', 1000), line('b', 500)];
    const given = reckonSlip(slip(lines, { paid: 1495 }));
    expect(given.reckoned).toBe(1500);
    expect(given.lines.map(({ difference, total }) => [difference, total])).toEqual([
      [-3, 997],
      [-2, 498],
    ]);
  });

  const anyLine = fc.record({
    price: fc.integer({ min: 0, max: 20_000 }),
    quantity: fc.integer({ min: 1, max: 6 }),
    markdowns: fc.array(fc.integer({ min: 0, max: 100_000 }), { maxLength: 2 }),
    tax: fc.option(fc.record({ percentThousandths: fc.integer({ min: 0, max: 25_000 }), included: fc.boolean() }), {
      nil: null,
    }),
    isFee: fc.boolean(),
  });
  const anyOffer = fc.oneof(
    fc.record({
      kind: fc.constant('money' as const),
      amount: fc.integer({ min: 0, max: 5000 }),
      by: fc.constantFrom('store' as const, 'maker' as const),
    }),
    fc.record({ kind: fc.constant('percent' as const), percentThousandths: fc.integer({ min: 0, max: 100_000 }) }),
    fc.record({
      kind: fc.constant('buyGet' as const),
      buy: fc.integer({ min: 1, max: 3 }),
      free: fc.integer({ min: 1, max: 3 }),
    }),
    fc.record({ kind: fc.constant('secondLess' as const), percentThousandths: fc.integer({ min: 0, max: 100_000 }) }),
  );
  const anySlip = fc
    .record({
      lines: fc.array(anyLine, { maxLength: 6 }),
      offers: fc.array(
        fc.tuple(anyOffer, fc.option(fc.nat(5), { nil: null }), fc.option(fc.nat(30_000), { nil: null })),
      ),
      tax: fc.record({ percentThousandths: fc.integer({ min: 0, max: 25_000 }), included: fc.boolean() }),
      rounding: fc.constantFrom('piece' as const, 'line' as const, 'receipt' as const),
      paid: fc.option(fc.integer({ min: 0, max: 200_000 }), { nil: null }),
    })
    .map(({ lines, offers, ...rest }): Slip => {
      const named = lines.map((each, n) => ({ id: String(n), ...each }));
      return {
        ...rest,
        lines: named,
        discounts: offers.map(([offer, only, leastSpend], n) => ({
          id: String(n),
          offer,
          lineIds: only === null ? null : [String(only)],
          leastSpend,
        })),
      };
    });

  it('always adds up, line by line and to what was paid, and no line costs less than nothing', () => {
    fc.assert(
      fc.property(anySlip, (given) => {
        const reckoned = reckonSlip(given);
        for (const { goods, discount, tax, difference, total } of reckoned.lines) {
          expect(goods + discount + tax + difference).toBe(total);
          expect(total).toBeGreaterThanOrEqual(0);
          expect(discount).toBeLessThanOrEqual(0);
        }
        const sum = reckoned.lines.reduce((all, { total }) => all + total, 0);
        expect(sum).toBe(reckoned.total);
        if (given.paid !== null && given.lines.length > 0) expect(sum).toBe(given.paid);
        const taken = reckoned.discounts.reduce((all, discount) => all + discount.off, 0);
        expect(reckoned.lines.reduce((all, { discount }) => all + discount, taken)).toBe(0);
      }),
    );
  });
});
