import { describe, expect, it } from 'vitest';
import { AS_OF, fill, find, option, project, rows, slot, spot } from '../fixtures/projectRows';
import type { FindRow, SpotRow } from '../model/rows';
import { computePlan } from './computePlan';
import { greenKindOf } from './greenKind';
import { overStay } from './overStay';

describe('what kind of leaves or flowers a thing is', () => {
  // Common practice, no source: how such things are called.
  it.each([
    ['Fresh eucalyptus', 'cut'],
    ['Cut tulips, white', 'cut'],
    ['Foraged fir branches', 'cut'],
    ['Dried hydrangeas', 'dried'],
    ['Preserved moss, a bag', 'dried'],
    ['Dried pampas grass', 'dried'],
    ['Faux olive stems', 'faux'],
    ['Silk peonies', 'faux'],
    ['Plastic ivy garland', 'faux'],
    ['Potted fern', 'living'],
    ['Snake plant, small', 'living'],
    ['Monstera in a basket', 'living'],
    ['Plant stand, wicker', null],
    ['Wooden crate', null],
    ['Glass vase', null],
    ['Fern print, framed', null],
    ['Cut glass bowl', null],
    ['Paper lantern', null],
  ])('“%s” is %s', (name, kind) => {
    expect(greenKindOf({ name, freshDays: null })).toBe(kind);
  });

  it('is cut where somebody said how long it stays fresh', () => {
    expect(greenKindOf({ name: 'Seed heads', freshDays: 5 })).toBe('cut');
  });
});

const green = (id: string, name: string, price: number, freshDays: number | null = null): FindRow =>
  find(id, price, { name, freshDays });

/** Greens for one slot of a spot, all of them thought of and none chosen but the first. */
const room = (
  finds: readonly FindRow[],
  kind: SpotRow['kind'] = 'console',
  standsUntil: string | null = '2026-07-20',
) =>
  rows({
    project: project({ revealDate: '2026-06-11', standsUntil, tax: { percentThousandths: 0, included: false } }),
    spots: [spot('spot', { kind })],
    slots: [slot('s')],
    finds: [...finds],
    options: finds.map(({ id }) =>
      option(`o${id}`, 's', 'asFound', { parts: [{ findId: id, offerId: null, pieces: 1 }] }),
    ),
    fills: finds.slice(0, 1).map(({ id }) => fill('s', `o${id}`)),
  });

describe('what wilts, over the whole stay of a look', () => {
  it('is bought as often as it takes: real against dried against faux, by days', () => {
    const plan = computePlan(
      room([
        green('real', 'Fresh eucalyptus', 900, 14),
        green('dried', 'Dried eucalyptus', 1800),
        green('faux', 'Faux eucalyptus', 2400),
      ]),
      AS_OF,
    );
    const told = ['oreal', 'odried', 'ofaux'].map((id) => {
      const found = plan.option(id);
      const stay = found && overStay(plan, found);
      return [stay?.daysUp, stay?.lastsDays, stay?.times, stay?.costMinor];
    });
    // June 11 to July 20 are 40 days: three bunches of 14 days.
    expect(told).toEqual([
      [40, 14, 3, 2700],
      [40, null, 1, 1800],
      [40, null, 1, 2400],
    ]);
  });

  it('is bought once where the look is short, and nothing is said without a last day', () => {
    const of = (standsUntil: string | null) => {
      const plan = computePlan(room([green('real', 'Cut roses', 900)], 'console', standsUntil), AS_OF);
      const found = plan.option('oreal');
      return found ? overStay(plan, found) : undefined;
    };
    // A day of its own: cut roses keep 7 days by their words.
    expect(of('2026-06-11')).toMatchObject({ daysUp: 1, lastsDays: 7, times: 1, costMinor: 900 });
    expect(of('2026-06-17')?.times).toBe(1);
    expect(of('2026-06-18')?.times).toBe(2);
    expect(of(null)).toBeNull();
  });
});

describe('what the light of a spot says', () => {
  const codes = (name: string, kind: SpotRow['kind']) =>
    computePlan(room([green('x', name, 900)], kind), AS_OF)
      .option('ox')
      ?.findings.flatMap(({ code }) => (code.startsWith('green.') ? [code] : []));

  it.each([
    ['Potted fern', 'console', ['green.needsLight']],
    ['Potted fern', 'window', []],
    ['Dried hydrangeas', 'window', ['green.bleaches']],
    ['Dried hydrangeas', 'console', []],
    ['Fresh eucalyptus', 'porch', ['green.wiltsInSun']],
    ['Faux olive stems', 'porch', ['green.fadesOutdoors']],
    ['Faux olive stems', 'window', []],
    ['Wooden crate', 'window', []],
  ] as const)('of “%s” at a %s: %j', (name, kind, expected) => {
    expect(codes(name, kind)).toEqual([...expected]);
  });
});
