import fc from 'fast-check';
import library from 'rrule';
import { describe, expect, it } from 'vitest';
import { dateAfter } from './localDates';
import { isRecurrenceRule, recurrenceDates, ruleParts, weekdayCodes, weekdayFrom, weekdayOf } from './recurrence';

/** The dates by an independent library: rrule, which reads RFC 5545 as well. */
function datesByLibrary(rule: string, from: string, first: string, last: string): string[] {
  const midnight = (date: string) => new Date(`${date}T00:00:00Z`);
  const options = library.RRule.parseString(rule);
  return new library.RRule({ ...options, dtstart: midnight(from) })
    .between(midnight(first), midnight(last), true)
    .map((date: Date) => date.toISOString().slice(0, 10));
}

const interval = fc.integer({ min: 1, max: 9 });
const days = fc.uniqueArray(fc.constantFrom(...weekdayCodes), { minLength: 1, maxLength: 3 });
const nthDay = fc
  .tuple(fc.constantFrom(1, 2, 3, 4, 5, -1), fc.constantFrom(...weekdayCodes))
  .map(([nth, day]) => `${nth}${day}`);
const monthDay = fc.oneof(fc.integer({ min: 1, max: 31 }), fc.constant(-1));
const anyRule = fc.oneof(
  interval.map((n) => `FREQ=DAILY;INTERVAL=${n}`),
  fc.tuple(interval, days).map(([n, list]) => `FREQ=WEEKLY;INTERVAL=${n};BYDAY=${list.join(',')}`),
  fc
    .tuple(interval, fc.uniqueArray(nthDay, { minLength: 1, maxLength: 3 }))
    .map(([n, list]) => `FREQ=MONTHLY;INTERVAL=${n};BYDAY=${list.join(',')}`),
  fc
    .tuple(interval, fc.uniqueArray(monthDay, { minLength: 1, maxLength: 3 }))
    .map(([n, list]) => `FREQ=MONTHLY;INTERVAL=${n};BYMONTHDAY=${list.join(',')}`),
  interval.map((n) => `FREQ=WEEKLY;INTERVAL=${n}`),
);

describe('recurrences', () => {
  it('falls every other Sunday from a known one, as RFC 5545 counts weeks', () => {
    expect(recurrenceDates('FREQ=WEEKLY;INTERVAL=2;BYDAY=SU', '2026-11-29', '2026-11-29', '2026-12-31')).toEqual([
      '2026-11-29',
      '2026-12-13',
      '2026-12-27',
    ]);
  });

  it('falls on the first Saturday of a month (RFC 5545, 3.3.10: BYDAY with a number within MONTHLY)', () => {
    expect(recurrenceDates('FREQ=MONTHLY;BYDAY=1SA', '2026-11-28', '2026-11-28', '2027-02-28')).toEqual([
      '2026-12-05',
      '2027-01-02',
      '2027-02-06',
    ]);
  });

  it('skips months that have no 31st', () => {
    expect(recurrenceDates('FREQ=MONTHLY;BYMONTHDAY=31', '2026-11-01', '2026-11-01', '2027-03-31')).toEqual([
      '2026-12-31',
      '2027-01-31',
      '2027-03-31',
    ]);
  });

  it('agrees with the independent library rrule over random rules, starts and stretches', () => {
    fc.assert(
      fc.property(
        anyRule,
        fc.integer({ min: 0, max: 4000 }),
        fc.integer({ min: -200, max: 1500 }),
        fc.integer({ min: 0, max: 300 }),
        (rule, start, offset, length) => {
          const from = dateAfter('2020-01-01', start);
          const first = dateAfter(from, offset);
          const last = dateAfter(first, length);
          expect(recurrenceDates(rule, from, first, last)).toEqual(datesByLibrary(rule, from, first, last));
        },
      ),
    );
  });

  it('reads no rule that could go on for ever without a day, or that runs within a day', () => {
    for (const rule of [
      '',
      'FREQ=HOURLY',
      'FREQ=WEEKLY;BYHOUR=9',
      'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31',
      'FREQ=MONTHLY',
    ])
      expect(isRecurrenceRule(rule), rule).toBe(false);
    expect(recurrenceDates('FREQ=HOURLY', '2026-01-01', '2026-01-01', '2026-01-02')).toEqual([]);
  });

  it('says what a rule is made of', () => {
    expect(ruleParts('FREQ=MONTHLY;INTERVAL=2;BYDAY=1SA,-1SU')).toEqual({
      freq: 'MONTHLY',
      interval: 2,
      days: ['1SA', '-1SU'],
      monthDays: [],
    });
  });

  it('counts weekdays from Monday', () => {
    expect([weekdayOf('2026-11-23'), weekdayOf('2026-11-29')]).toEqual([1, 7]);
    expect([weekdayFrom('2026-11-28', 6), weekdayFrom('2026-11-28', 5)]).toEqual(['2026-11-28', '2026-12-04']);
  });
});
