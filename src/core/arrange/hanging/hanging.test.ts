import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lookRows, thing, thingsOf } from '../../fixtures/lookRows';
import { hangInRow } from './hangInRow';
import { hungRow } from './hungRow';
import { nailPoints } from './nailPoints';

const IN = 25.4;
const inches = (row: ReturnType<typeof hungRow>) =>
  row.fits
    ? {
        gap: row.gapMm / IN,
        margin: row.marginMm / IN,
        lefts: row.places.map(({ leftMm }) => leftMm / IN),
        centers: row.places.map(({ centerMm }) => centerMm / IN),
      }
    : { missing: row.missingMm / IN };
const wide = (...widths: number[]) => widths.map((width) => width * IN);

// Worked out in figures.md 8 and in the definitions of the stages.
describe('things in a row', () => {
  it('three frames of 20 over 84 with gaps of 4: margins 8, centers 18, 42, 66', () => {
    const row = inches(hungRow(wide(20, 20, 20), 84 * IN, { kind: 'fixedGap', gapMm: 4 * IN }));
    expect(row.margin).toBeCloseTo(8, 9);
    row.centers?.forEach((center, n) => {
      expect(center).toBeCloseTo([18, 42, 66][n] ?? 0, 9);
    });
  });

  it.each([
    [[20, 20, 20, 20], 120, 'endsIncluded', 8],
    [[20, 20, 20, 20], 120, 'flushEnds', 13.3333],
    [[16, 20, 16], 72, 'endsIncluded', 5],
    [[16, 20, 16], 72, 'flushEnds', 10],
  ] as const)('%j over %d, %s: gaps of %d', (widths, space, kind, gap) => {
    expect(inches(hungRow(wide(...widths), space * IN, { kind })).gap).toBeCloseTo(gap, 3);
  });

  it('the left edge of the i-th is i gaps and all widths before it', () => {
    const row = inches(hungRow(wide(16, 20, 16), 72 * IN, { kind: 'endsIncluded' }));
    row.lefts?.forEach((left, n) => {
      expect(left).toBeCloseTo([5, 26, 51][n] ?? 0, 9);
    });
  });

  it('says by how much they are too wide, and nothing of none or one', () => {
    expect(inches(hungRow(wide(50, 50), 84 * IN, { kind: 'endsIncluded' })).missing).toBeCloseTo(16, 9);
    expect(inches(hungRow(wide(40, 40), 84 * IN, { kind: 'fixedGap', gapMm: 6 * IN })).missing).toBeCloseTo(2, 9);
    expect(hungRow([], 1000, { kind: 'flushEnds' })).toMatchObject({ fits: true, places: [] });
    expect(hungRow([200], 1000, { kind: 'flushEnds' })).toMatchObject({ places: [{ leftMm: 400, centerMm: 500 }] });
  });

  it('never lie over each other or outside, and are as far apart everywhere, any of them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 900 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 100, max: 6000 }),
        fc.constantFrom('endsIncluded', 'flushEnds', 'fixedGap'),
        fc.integer({ min: 0, max: 120 }),
        (widths, space, kind, gapMm) => {
          const row = hungRow(widths, space, kind === 'fixedGap' ? { kind, gapMm } : { kind });
          const needed =
            widths.reduce((sum, width) => sum + width, 0) + (kind === 'fixedGap' ? gapMm * (widths.length - 1) : 0);
          expect(row.fits).toBe(needed <= space + 1e-9);
          if (!row.fits) expect(row.missingMm).toBeCloseTo(needed - space, 6);
          const places = row.fits ? row.places : [];
          for (const [n, place] of places.entries()) {
            const next = places[n + 1];
            expect(place.leftMm).toBeGreaterThanOrEqual(-1e-6);
            expect(place.leftMm + place.widthMm).toBeLessThanOrEqual(space + 1e-6);
            if (next && row.fits) expect(next.leftMm - place.leftMm - place.widthMm).toBeCloseTo(row.gapMm, 6);
          }
        },
      ),
    );
  });
});

describe('where the nail goes', () => {
  const frame = (centerIn: number, heightIn: number) => ({
    leftMm: 0,
    widthMm: 16 * IN,
    centerHeightMm: centerIn * IN,
    heightMm: heightIn * IN,
  });

  it.each([
    [57, 20, 2.5, 64.5],
    [145 / 2.54, 50 / 2.54, 6 / 2.54, 164 / 2.54],
  ])('center %d in, %d high, the wire %d below the top: %d in up', (center, height, drop, up) => {
    const [nail] = nailPoints(frame(center, height), { kind: 'middle', dropMm: drop * IN });
    expect((nail?.heightMm ?? 0) / IN).toBeCloseTo(up, 6);
    expect(nail?.xMm).toBeCloseTo(8 * IN, 9);
  });

  it('over a sofa of 34 in with a gap of 8, a frame of 24 that drops 3: 63 in', () => {
    const things = thingsOf(
      lookRows({ kind: 'wall', widthMm: 96 * IN, heightMm: 96 * IN }, [
        thing('Frame', 'pictureFrame', [16 * IN, 24 * IN, 20], [400, 1000], { stance: 'hangs' }),
      ]),
    );
    const row = hangInRow(
      things,
      { widthMm: 96 * IN },
      { kind: 'fixedGap', gapMm: 50 },
      { kind: 'feet', aboveBaseMm: (34 + 8) * IN },
    );
    const center = row.fits ? (row.places[0]?.footMm ?? 0) + 12 * IN : 0;
    const [nail] = nailPoints(
      { ...frame(0, 24), centerHeightMm: center },
      { kind: 'wire', dropMm: 3 * IN, apartMm: 0 },
    );
    expect((nail?.heightMm ?? 0) / IN).toBeCloseTo(63, 9);
  });

  it('two hooks for a wide wire, rings and keyholes at both sides, as far from the middle', () => {
    const thing = { ...frame(57, 20), leftMm: 100 };
    for (const hanger of [
      { kind: 'wire', dropMm: 50, apartMm: 200 },
      { kind: 'twoRings', dropMm: 50, insetMm: 30 },
      { kind: 'keyholes', dropMm: 50, insetMm: 30 },
    ] as const) {
      const [left, right] = nailPoints(thing, hanger);
      const middle = 100 + 8 * IN;
      expect(middle - (left?.xMm ?? 0)).toBeCloseTo((right?.xMm ?? 0) - middle, 9);
      expect(left?.heightMm).toBe(right?.heightMm);
    }
  });
});
