import { describe, expect, it } from 'vitest';
import { lastReturnDay, paidFor, refundOf } from './returns';

describe('taking things back', () => {
  it('counts the last day from the day of buying, that day included', () => {
    expect(lastReturnDay({ state: 'within', days: 30, restockingThousandths: 0 }, '2026-06-01')).toBe('2026-07-01');
    expect(lastReturnDay({ state: 'within', days: 0, restockingThousandths: 0 }, '2026-06-01')).toBe('2026-06-01');
    expect(lastReturnDay({ state: 'final' }, '2026-06-01')).toBeNull();
    expect(lastReturnDay({ state: 'unknown' }, '2026-06-01')).toBeNull();
  });
  it('divides what was paid over its pieces: 3.50 over three is 1.17, 1.17 and 1.16', () => {
    expect([0, 1, 2].map((already) => paidFor(350, 3, 1, already))).toEqual([117, 117, 116]);
    expect(paidFor(350, 3, 3)).toBe(350);
    expect(paidFor(350, 3, 1, 3)).toBe(0);
  });
  it('keeps the restocking percent: 15 % of 19.99 leaves 16.99', () => {
    expect(refundOf(1999, 15_000)).toBe(1699);
    expect(refundOf(1999, 0)).toBe(1999);
    expect(refundOf(1, 50_000)).toBe(1);
  });
});
