import { describe, expect, it } from 'vitest';
import { AS_OF, fill, offer, option, project, rows, slot } from '../fixtures/projectRows';
import type { ProjectRow } from '../model/rows';
import { emptyBrief } from '../state/brief';
import { computePlan } from './computePlan';
import { hoursByWeek } from './hoursByWeek';

/** As of Monday, June 1: five hours of assembling, and weeks as they are given. */
function laid(weeks: ProjectRow['brief']['weeks'], change: Partial<ProjectRow> = {}, asOf = AS_OF) {
  return hoursByWeek(
    computePlan(
      rows({
        project: project({ brief: { ...emptyBrief, weeks }, ...change }),
        slots: [slot('s')],
        offers: [offer('o', 1000, { assemblyMinutes: 300 })],
        options: [option('x', 's', 'buyNew', { parts: [{ findId: null, offerId: 'o', pieces: 1 }] })],
        fills: [fill('s', 'x')],
      }),
      asOf,
    ),
  );
}

describe('planned hours by week', () => {
  it('fill the weeks of the brief, the earliest first', () => {
    expect(
      laid([
        { monday: '2026-06-08', minutes: 240 },
        { monday: '2026-06-01', minutes: 120 },
      ]),
    ).toEqual({
      weeks: [
        { monday: '2026-06-01', hasMinutes: 120, takesMinutes: 120 },
        { monday: '2026-06-08', hasMinutes: 240, takesMinutes: 180 },
      ],
      overMinutes: 0,
    });
  });
  it('are over by what no week holds; weeks that are gone or begin after the reveal hold nothing', () => {
    const weeks = [
      { monday: '2026-05-18', minutes: 600 },
      { monday: '2026-06-01', minutes: 60 },
      { monday: '2026-06-22', minutes: 600 },
    ];
    expect(laid(weeks)?.overMinutes).toBe(240);
    expect(laid(weeks, { revealDate: null })?.overMinutes).toBe(0);
  });
  it('take of a week that has begun the days that are left, today among them', () => {
    // Friday: three of seven days.
    const friday = Date.parse('2026-06-05T13:00:00Z');
    expect(laid([{ monday: '2026-06-01', minutes: 420 }], {}, friday)?.weeks[0]?.hasMinutes).toBe(180);
  });
  it('are not told where the brief has no weeks', () => {
    expect(laid([])).toBeNull();
  });
});
