import { minuteOf } from '@core/schedule/workerWindows';
import { describe, expect, it } from 'vitest';
import { lineScale } from './lineScale';
import { timerWords, workedMs } from './stepMinutes';

const ZONE = 'America/New_York';
const at = (date: string, minute: number) => minuteOf(date, minute, ZONE);
const windows = ['2026-06-01', '2026-06-02'].map((date) => ({ start: at(date, 1080), end: at(date, 1200) }));
const scale = lineScale({ from: '2026-06-01', days: 4, dayWidth: 92, windows, timeZone: ZONE });

describe('where moments lie on the drying line', () => {
  it('every day is as wide as the others, whether or not somebody works', () => {
    expect(scale.days.map(({ x }) => x)).toEqual([0, 92, 184, 276]);
    expect(scale.xOf(at('2026-06-03', 0))).toBeCloseTo(184, 6);
    expect(scale.width).toBe(368);
  });

  it('an hour of work is seven times as wide as one between', () => {
    const work = scale.xOf(at('2026-06-01', 1140)) - scale.xOf(at('2026-06-01', 1080));
    const rest = scale.xOf(at('2026-06-01', 600)) - scale.xOf(at('2026-06-01', 540));
    expect(work / rest).toBeCloseTo(7, 6);
  });

  it('a place leads back to its moment, to the minute, and nothing lies beyond the ends', () => {
    for (const moment of [at('2026-06-01', 0), at('2026-06-01', 1111), at('2026-06-02', 1199), at('2026-06-04', 700)])
      expect(scale.momentAt(scale.xOf(moment))).toBe(moment);
    expect(scale.xOf(at('2025-01-01', 0))).toBe(0);
    expect(scale.xOf(at('2027-01-01', 0))).toBe(368);
  });

  it('a day that the clocks shorten is as wide as any', () => {
    const march = lineScale({ from: '2026-03-07', days: 3, dayWidth: 50, windows: [], timeZone: ZONE });
    expect(march.xOf(at('2026-03-09', 0)) - march.xOf(at('2026-03-08', 0))).toBeCloseTo(50, 6);
  });
});

describe('the timer', () => {
  it('counts what was worked, and nothing of a clock that was put back', () => {
    const stretches = [
      { startMs: 1000, endMs: 61_000 },
      { startMs: 100_000, endMs: null },
    ];
    expect(workedMs({ stretches }, 160_000)).toBe(120_000);
    expect(workedMs({ stretches }, 50_000)).toBe(60_000);
    expect([0, 59_999, 31 * 60_000 + 8000, 3_600_000 * 11].map(timerWords)).toEqual([
      '0:00:00',
      '0:00:59',
      '0:31:08',
      '11:00:00',
    ]);
  });
});
