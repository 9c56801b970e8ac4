import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scheduleWork } from '../recipe/readyDates';
import { ordinaryWeek, WorkWindows } from './workWindows';
import { instantOf, isTimeZone, localDate, localDay, zonedMoment } from './zonedTime';

const at = (iso: string) => Date.parse(iso);
const iso = (ms: number) => new Date(ms).toISOString();

describe('wall clocks in time zones', () => {
  // Clock changes of 2026 by the IANA time zone database: New York on March 8 and November 1, Berlin on March 29.
  it('reads the wall clock on both sides of a clock change', () => {
    expect(zonedMoment(at('2026-03-08T06:59:00Z'), 'America/New_York')).toMatchObject({ hour: 1, minute: 59, day: 8 });
    expect(zonedMoment(at('2026-03-08T07:00:00Z'), 'America/New_York')).toMatchObject({ hour: 3, minute: 0, day: 8 });
    expect(zonedMoment(at('2026-11-01T06:00:00Z'), 'America/New_York')).toMatchObject({ hour: 1, weekday: 0 });
  });

  it('gives the instant after the gap for a skipped time, and the first for a repeated one', () => {
    expect(iso(instantOf(2026, 3, 8, 150, 'America/New_York'))).toBe('2026-03-08T07:30:00.000Z');
    expect(iso(instantOf(2026, 11, 1, 90, 'America/New_York'))).toBe('2026-11-01T05:30:00.000Z');
    expect(iso(instantOf(2026, 3, 29, 18 * 60, 'Europe/Berlin'))).toBe('2026-03-29T16:00:00.000Z');
  });

  it('is right on the day before a change by half an hour', () => {
    // Lord Howe goes from +11:00 to +10:30 on 2026-04-05 at 02:00 (IANA time zone database).
    expect(iso(instantOf(2026, 4, 4, 15 * 60, 'Australia/Lord_Howe'))).toBe('2026-04-04T04:00:00.000Z');
    expect(iso(instantOf(2026, 4, 5, 15 * 60, 'Australia/Lord_Howe'))).toBe('2026-04-05T04:30:00.000Z');
  });

  it('goes there and back for any hour that exists once', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 364 }),
        fc.integer({ min: 4 * 60, max: 23 * 60 }),
        fc.constantFrom('America/New_York', 'Europe/Berlin', 'Asia/Kolkata', 'Australia/Lord_Howe', 'UTC'),
        (day, minute, zone) => {
          const date = new Date(Date.UTC(2026, 0, 1 + day));
          const moment = zonedMoment(instantOf(2026, date.getUTCMonth() + 1, date.getUTCDate(), minute, zone), zone);
          expect([moment.month, moment.day, moment.hour * 60 + moment.minute]).toEqual([
            date.getUTCMonth() + 1,
            date.getUTCDate(),
            minute,
          ]);
        },
      ),
    );
  });

  it('knows which names are time zones', () => {
    expect([isTimeZone('Europe/Berlin'), isTimeZone('Attic/Bedroom')]).toEqual([true, false]);
  });
});

describe('work windows', () => {
  const windows = (from: string) => new WorkWindows(at(from), 'America/New_York');

  it('are the evenings of weekdays and the middle of weekend days', () => {
    // 2026-06-05 is a Friday.
    const week = windows('2026-06-05T12:00:00-04:00');
    expect([0, 1, 2, 3].map((n) => iso(week.at(n).startMs))).toEqual([
      '2026-06-05T22:00:00.000Z',
      '2026-06-06T14:00:00.000Z',
      '2026-06-07T14:00:00.000Z',
      '2026-06-08T22:00:00.000Z',
    ]);
    expect(week.longestMinutes).toBe(300);
  });

  it('begin now when now is inside one', () => {
    const now = '2026-06-05T18:30:00-04:00';
    expect(windows(now).at(0)).toEqual({ startMs: at(now), endMs: at('2026-06-05T20:00:00-04:00') });
  });

  it('refuse a week without any', () => {
    expect(
      () =>
        new WorkWindows(
          0,
          'UTC',
          ordinaryWeek.map(() => []),
        ),
    ).toThrow('at least one window');
  });

  it('split only what may be split', () => {
    const evening = '2026-06-08T18:00:00-04:00';
    const week = windows(evening);
    // Three hours: an evening has two; what may be split ends in the next one, what may not waits for the weekend.
    expect(iso(scheduleWork(week, at(evening), 180, true).endMs)).toBe('2026-06-09T23:00:00.000Z');
    expect(iso(scheduleWork(week, at(evening), 180, false).startMs)).toBe('2026-06-13T14:00:00.000Z');
    expect(scheduleWork(week, at(evening), 0, true)).toEqual({ startMs: at(evening), endMs: at(evening) });
  });

  it('hold all the minutes they are given, in order, inside the windows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1500 }),
        fc.integer({ min: 0, max: 10_000 }),
        fc.boolean(),
        (minutes, later, split) => {
          const from = at('2026-06-01T00:00:00Z') + later * 60_000;
          const week = new WorkWindows(at('2026-06-01T00:00:00Z'), 'Europe/Berlin');
          const laid = scheduleWork(week, from, minutes, split);
          expect(laid.startMs).toBeGreaterThanOrEqual(from);
          let worked = 0;
          for (let n = 0; week.at(n).startMs < laid.endMs; n += 1) {
            const { startMs, endMs } = week.at(n);
            worked += Math.max(0, Math.min(endMs, laid.endMs) - Math.max(startMs, laid.startMs));
          }
          expect(worked).toBe(minutes * 60_000);
        },
      ),
    );
  });
});

describe('a local day', () => {
  // UTC offsets of the IANA database: New York −4 h in summer, Kiritimati +14 h, Kathmandu +5 h 45.
  it.each([
    ['2026-06-01T03:30:00Z', 'America/New_York', '2026-05-31'],
    ['2026-06-01T03:30:00Z', 'UTC', '2026-06-01'],
    ['2026-06-01T11:00:00Z', 'Pacific/Kiritimati', '2026-06-02'],
    ['2026-05-31T18:14:00Z', 'Asia/Kathmandu', '2026-05-31'],
    ['2026-05-31T18:15:00Z', 'Asia/Kathmandu', '2026-06-01'],
  ])('%s is, in %s, %s', (instant, timeZone, date) => {
    expect(localDate(Date.parse(instant), timeZone)).toBe(date);
    expect(localDay(Date.parse(instant), timeZone) * 86_400_000).toBe(Date.parse(`${date}T00:00:00Z`));
  });

  it('has another number than the day before and the day after, over a change of the clock too', () => {
    const noon = (date: string) => localDay(Date.parse(`${date}T17:00:00Z`), 'America/New_York');
    // The clock changes on 2026-03-08 and on 2026-11-01 (US rule: second Sunday of March, first Sunday of November).
    for (const [before, on, after] of [
      ['2026-03-07', '2026-03-08', '2026-03-09'],
      ['2026-10-31', '2026-11-01', '2026-11-02'],
    ] as const)
      expect([noon(on) - noon(before), noon(after) - noon(on)]).toEqual([1, 1]);
  });
});
