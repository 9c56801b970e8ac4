import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dateAfter } from '../calendar/localDates';
import type { DiscountInForce } from '../pricing/discountPattern';
import { chanceStillThere, waitOrBuy } from './waitOrBuy';

const today = '2026-11-28';
const halfOffInSixDays = { day: '2026-12-04', till: 1000, discounts: [] };
const twenty = {
  till: 2000,
  today,
  needBy: null,
  availability: 'oneOfAKind',
  days: [halfOffInSixDays],
  unit: 100,
} as const;

const ladder = (from: readonly string[]): DiscountInForce => ({
  percentThousandths: 30_000,
  pattern: {
    id: 'ladder',
    holdsFor: { kind: 'everything' },
    stacks: false,
    terms: {
      kind: 'ladder',
      why: 'season',
      rungs: from.map((day, n) => ({ from: day, percentThousandths: 30_000 + n * 20_000 })),
      until: null,
    },
  },
});

describe('wait or buy', () => {
  it('buys where losing it would cost 45.00: gain −5.68 (definitions, worked example)', () => {
    expect(waitOrBuy({ ...twenty, nextBest: 4500 })).toEqual({
      kind: 'buy',
      best: { day: '2026-12-04', till: 1000, chance: 2 ** (-6 / 7), gain: -568 },
    });
  });

  it('waits where the next best costs 24.00: gain +3.73 (definitions, worked example)', () => {
    const advice = waitOrBuy({ ...twenty, nextBest: 2400 });
    expect(advice).toMatchObject({ kind: 'wait', day: '2026-12-04', gain: 373 });
    expect(advice.kind === 'wait' && advice.chance.toFixed(3)).toBe('0.552');
  });

  it('gives no advice where nothing else would fill the slot', () => {
    expect(waitOrBuy({ ...twenty, nextBest: null })).toEqual({ kind: 'noAdvice' });
  });

  it('does not wait beyond the day on which it is needed', () => {
    expect(waitOrBuy({ ...twenty, nextBest: 2400, needBy: '2026-12-03' })).toEqual({ kind: 'buy', best: null });
    expect(waitOrBuy({ ...twenty, nextBest: 2400, needBy: '2026-12-04' }).kind).toBe('wait');
  });

  it('does not wait for little: the gain must exceed one unit of money and 5 % of the price', () => {
    const little = { ...twenty, availability: 'plenty' as const, nextBest: 0 };
    const at = (till: number) => waitOrBuy({ ...little, days: [{ ...halfOffInSixDays, till }] }).kind;
    // 0.95 × 1.05 = 0.9975 and 0.95 × 1.06 = 1.007: one unit is the greater of 1.00 and 5 % of 20.00.
    expect([at(1895), at(1894)]).toEqual(['buy', 'wait']);
    const dear = { ...little, till: 10_000 };
    const dearAt = (till: number) => waitOrBuy({ ...dear, days: [{ ...halfOffInSixDays, till }] }).kind;
    // 5 % of 100.00 is 5.00: 0.95 × 5.26 = 4.997, 0.95 × 5.27 = 5.0065.
    expect([dearAt(9474), dearAt(9473)]).toEqual(['buy', 'wait']);
  });

  it('picks the day of the greatest gain, the earlier of equals', () => {
    const days = [
      { ...halfOffInSixDays, day: '2026-11-30', till: 1500 },
      halfOffInSixDays,
      { ...halfOffInSixDays, day: '2026-12-08' },
    ];
    const advice = waitOrBuy({ ...twenty, availability: 'plenty', days, nextBest: 0 });
    expect(advice).toMatchObject({ kind: 'wait', day: '2026-12-04' });
  });

  it('falls along a ladder by what is left on its rungs: 1, 0.6, 0.3, 0.1', () => {
    const steps = ladder(['2026-11-28', '2026-12-05', '2026-12-12', '2026-12-19', '2026-12-26']);
    const at = (day: string, seen = today) => chanceStillThere('oneOfAKind', seen, day, [steps]);
    expect(['2026-12-04', '2026-12-05', '2026-12-12', '2026-12-19', '2026-12-26'].map((day) => at(day))).toEqual([
      1, 0.6, 0.3, 0.1, 0.1,
    ]);
    // Seen on the second rung it is there; half of what lies there is left on the third.
    expect(at('2026-12-12', '2026-12-06')).toBe(0.5);
  });

  it('never advises to wait for a day that is not cheaper, is past, or loses on average', () => {
    const money = fc.integer({ min: 0, max: 100_000 });
    const day = fc.record({ away: fc.integer({ min: -5, max: 60 }), till: money });
    fc.assert(
      fc.property(
        money,
        money,
        fc.array(day, { maxLength: 6 }),
        fc.constantFrom('oneOfAKind', 'plenty'),
        (till, nextBest, days, availability) => {
          const advice = waitOrBuy({
            till,
            nextBest,
            availability,
            today,
            needBy: null,
            unit: 100,
            days: days.map(({ away, till: then }) => ({ day: dateAfter(today, away), till: then, discounts: [] })),
          });
          if (advice.kind !== 'wait') return;
          expect(advice.day > today).toBe(true);
          expect(advice.till).toBeLessThan(till);
          expect(advice.gain).toBeGreaterThan(Math.max(100, till * 0.05));
        },
      ),
    );
  });
});
