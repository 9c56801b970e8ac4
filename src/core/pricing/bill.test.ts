import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BillLine, billSums, lineAmount } from './bill';

const line = (quantityThousandths: number, unitPrice: number, taxThousandths: number): BillLine => ({
  quantityThousandths,
  unitPrice,
  taxThousandths,
});

describe('what a bill comes to', () => {
  it('as the base example of the European norm has it: 7 × 400, −3 × 500, a charge of 25, 25 % tax', () => {
    // Peppol BIS Billing 3.0, base-example.xml, over EN 16931-1:2017; from memory.
    const sums = billSums([line(7000, 40_000, 25_000), line(-3000, 50_000, 25_000), line(1000, 2500, 25_000)], false);
    expect(sums).toMatchObject({ lines: [280_000, -150_000, 2500], net: 132_500, tax: 33_125, total: 165_625 });
  });

  it('taxes the lines of one rate together: the tax is rounded once, not line by line', () => {
    // Three lines of 0.33 at 10 %: 0.099 together is 0.10; line by line it would be 0.03 three times.
    const sums = billSums([line(1000, 33, 10_000), line(1000, 33, 10_000), line(1000, 33, 10_000)], false);
    expect(sums).toMatchObject({ net: 99, tax: 10, total: 109 });
  });

  it('keeps rates apart, the highest first', () => {
    const sums = billSums([line(2500, 4000, 6000), line(1000, 1999, 0), line(1000, 1250, 6000)], false);
    expect(sums.byRate).toEqual([
      { taxThousandths: 6000, base: 11_250, tax: 675 },
      { taxThousandths: 0, base: 1999, tax: 0 },
    ]);
    expect(sums.total).toBe(13_924);
  });

  it('takes the tax out of prices that include it: 119.00 with 19 % are 100.00 and 19.00', () => {
    expect(billSums([line(1000, 11_900, 19_000)], true)).toMatchObject({ net: 10_000, tax: 1900, total: 11_900 });
    // 10.00 with 7 %: 0.6542 of it is tax.
    expect(billSums([line(1000, 1000, 7000)], true)).toMatchObject({ net: 935, tax: 65, total: 1000 });
  });

  it('asks for what is left after what was paid; less than nothing where more was paid', () => {
    const lines = [line(1000, 20_000, 0)];
    expect(billSums(lines, false, [{ amount: 5000 }, { amount: 2500 }])).toMatchObject({ deposits: 7500, due: 12_500 });
    expect(billSums(lines, false, [{ amount: 25_000 }]).due).toBe(-5000);
    expect(billSums([], false)).toMatchObject({ net: 0, tax: 0, total: 0, due: 0, byRate: [] });
  });

  it('rounds a line half away from zero, both ways: 0.333 h at 40.00 is 13.32; 0.5 × 0.01 is 0.01', () => {
    expect(lineAmount(line(333, 4000, 0))).toBe(1332);
    expect(lineAmount(line(500, 1, 0))).toBe(1);
    expect(lineAmount(line(-500, 1, 0))).toBe(-1);
  });

  const lines = fc.array(
    fc.record({
      quantityThousandths: fc.integer({ min: -50_000, max: 50_000 }),
      unitPrice: fc.integer({ min: -100_000, max: 100_000 }),
      taxThousandths: fc.constantFrom(0, 6000, 7000, 8250, 19_000),
    }),
    { maxLength: 30 },
  );

  it('adds up: lines, rates and tax come to the total, to the cent; a credit note is the same below nothing', () => {
    fc.assert(
      fc.property(lines, fc.boolean(), (given, isIncluded) => {
        const sums = billSums(given, isIncluded);
        const all = (of: readonly number[]) => of.reduce((a, b) => a + b, 0);
        expect(all(sums.byRate.map(({ base }) => base))).toBe(all(sums.lines));
        expect(all(sums.byRate.map(({ tax }) => tax))).toBe(sums.tax);
        expect(sums.net + sums.tax).toBe(sums.total);
        expect(sums.total).toBe(all(sums.lines) + (isIncluded ? 0 : sums.tax));
        const back = billSums(
          given.map((one) => ({ ...one, quantityThousandths: -one.quantityThousandths })),
          isIncluded,
        );
        expect(back.total + sums.total).toBe(0);
        // Each rate is within half a cent of what it is exactly.
        for (const { taxThousandths, base, tax } of sums.byRate) {
          const share = taxThousandths / (isIncluded ? 100_000 + taxThousandths : 100_000);
          expect(Math.abs(tax - base * share)).toBeLessThanOrEqual(0.5 + 1e-6);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('does not depend on the order of the lines', () => {
    fc.assert(
      fc.property(lines, (given) => {
        const { lines: _one, ...there } = billSums(given, false);
        const { lines: _two, ...back } = billSums([...given].reverse(), false);
        expect(back).toEqual(there);
      }),
    );
  });
});
