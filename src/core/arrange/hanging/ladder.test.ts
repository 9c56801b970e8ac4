import { fixings } from '@core/catalog/fixings';
import { lookRows, thing, thingsOf } from '@core/fixtures/lookRows';
import { formatLength } from '@core/kernel/formatLength';
import { G_PER_POUND, MM_PER_INCH } from '@core/kernel/units';
import type { LookPieceRow, SpotRow } from '@core/model/rows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fixingLoad, type HungWhere, leastFixing } from './fixingLoad';
import { hangInRow } from './hangInRow';
import { ladderSheet, onTape } from './ladderSheet';
import { wallTemplate } from './wallTemplate';

const inch = (n: number) => n * MM_PER_INCH;
const wallSpot: Partial<SpotRow> = {
  kind: 'wall',
  name: 'Landing wall',
  widthMm: inch(84),
  heightMm: inch(96),
  wall: {
    kind: 'drywall',
    face: 'smooth',
    studAtMm: inch(10),
    studEveryMm: inch(16),
    leftEdge: 'the door frame',
    rightEdge: 'the corner',
    isDamp: false,
    isHot: false,
    paintedOn: null,
  },
};
const frame = (x: number, foot: number, more: Partial<LookPieceRow> = {}) =>
  thing('Frame', 'pictureFrame', [inch(20), inch(20), 20], [inch(x), inch(foot)], {
    stance: 'hangs',
    hanger: { kind: 'wire', dropMm: inch(2.5), apartMm: 0 },
    ...more,
  });

describe('the ladder sheet (figures.md 8)', () => {
  it('of three frames of 20 in over 84 in with gaps of 4 in: nails at 18, 42 and 66 in, 64 1/2 in up', () => {
    const rows = lookRows(wallSpot, [frame(0, 20), frame(30, 30), frame(60, 40)]);
    const row = hangInRow(
      thingsOf(rows),
      { widthMm: inch(84) },
      { kind: 'fixedGap', gapMm: inch(4) },
      {
        kind: 'middles',
        aboveBaseMm: inch(57),
      },
    );
    if (!row.fits) throw new Error('too wide');
    expect(row.marginMm).toBeCloseTo(inch(8), 6);
    const places = new Map(row.places.map((place) => [place.id, place]));
    const moved = { ...rows, lookPieces: rows.lookPieces.map((piece) => ({ ...piece, ...places.get(piece.id) })) };
    const spot = moved.spots[0];
    if (!spot) throw new Error('no spot');
    const sheet = ladderSheet(spot, thingsOf(moved), 'us');
    const said = (of: typeof sheet) =>
      of.things.flatMap(({ points }) =>
        points.map(
          ({ heightMm, fromEdgeMm }) =>
            `${formatLength(heightMm, 'us')} up, ${formatLength(fromEdgeMm, 'us')} ${of.side === 'left' ? 'right' : 'left'} of ${of.edge}`,
        ),
      );
    expect(said(sheet)).toEqual([
      '64 1/2 in up, 18 in right of the door frame',
      '64 1/2 in up, 42 in right of the door frame',
      '64 1/2 in up, 66 in right of the door frame',
    ]);
    expect(said(ladderSheet(spot, thingsOf(moved), 'us', 'right'))[0]).toBe('64 1/2 in up, 66 in left of the corner');
    expect(sheet.levelMm).toBeCloseTo(inch(64.5), 6);
    // Studs at 10, 26, 42, 58, 74 in: the middle one meets one.
    expect(sheet.things.map(({ points }) => points[0]?.stud?.isHit)).toEqual([false, true, false]);
    expect(formatLength(sheet.things[0]?.points[0]?.stud?.offMm ?? 0, 'us')).toBe('-8 in');
  });

  it('goes in sixteenths of an inch or whole millimeters', () => {
    expect(onTape(inch(64.53), 'us') / MM_PER_INCH).toBe(64.5);
    expect(onTape(inch(64.54), 'us') / MM_PER_INCH).toBe(64.5625);
    expect(onTape(1638.4, 'metric')).toBe(1638);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 4000, noNaN: true }), (mm) => {
        expect(Math.abs(onTape(mm, 'us') - mm)).toBeLessThanOrEqual(MM_PER_INCH / 32 + 1e-9);
        expect(Math.abs(onTape(mm, 'metric') - mm)).toBeLessThanOrEqual(0.5);
      }),
    );
  });

  it('warns of cables and pipes straight above and below a socket, and beside it', () => {
    const features = [
      {
        id: '00000000-0000-4000-8000-000000000700',
        kind: 'socket' as const,
        name: '',
        xMm: inch(40),
        yMm: 300,
        widthMm: 80,
        heightMm: 120,
      },
    ];
    const rows = lookRows({ ...wallSpot, features }, [frame(32, 47), frame(60, 47)]);
    const spot = rows.spots[0];
    if (!spot) throw new Error('no spot');
    expect(ladderSheet(spot, thingsOf(rows), 'us').things.map(({ points }) => points[0]?.danger)).toEqual([
      'the socket',
      null,
    ]);
  });

  it('keeps the gaps of a row alike however wide its things are', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 50, max: 300 }), { minLength: 2, maxLength: 6 }), (widths) => {
        const rows = lookRows(
          { kind: 'wall', widthMm: 3000, heightMm: 2400 },
          widths.map((width, n) =>
            thing('Frame', 'pictureFrame', [width, 300, 20], [n * 310, 1200], { stance: 'hangs' }),
          ),
        );
        for (const spacing of [{ kind: 'endsIncluded' }, { kind: 'flushEnds' }] as const) {
          const row = hangInRow(thingsOf(rows), { widthMm: 3000 }, spacing, { kind: 'asTheyHang' });
          if (!row.fits) throw new Error('too wide');
          const gaps = row.places.slice(1).map((place, n) => place.xMm - (row.places[n]?.xMm ?? 0) - (widths[n] ?? 0));
          for (const gap of gaps) expect(gap).toBeCloseTo(row.gapMm, 6);
        }
      }),
    );
  });
});

describe('what a fixing holds (figures.md 6)', () => {
  const drywall: HungWhere = {
    wall: wallSpot.wall ?? null,
    isOutdoors: false,
    isOverBed: false,
    paintedDaysAgo: null,
    isInStud: false,
  };
  const pounds = (id: string, points: number, where: Partial<HungWhere> = {}, ratedLb: number | null = null) =>
    fixingLoad(fixings.get(id), ratedLb === null ? null : ratedLb * G_PER_POUND, points, { ...drywall, ...where })
      .holdsG / G_PER_POUND;

  it('is its design load; half of what its packet says; of two points eight tenths each', () => {
    expect(pounds('hook1', 1)).toBeCloseTo(10, 9);
    expect(pounds('hook1', 2)).toBeCloseTo(16, 9);
    expect(pounds('hook1', 1, {}, 30)).toBeCloseTo(15, 9);
  });

  it('is nothing for strips on rough faces, fresh paint, outdoors, near heat and over a bed; half in steam', () => {
    const wall = wallSpot.wall;
    if (!wall) throw new Error('no wall');
    expect(pounds('adhesive16', 1)).toBeCloseTo(8, 9);
    for (const where of [
      { wall: { ...wall, face: 'textured' as const } },
      { wall: { ...wall, face: 'wallpaper' as const } },
      { wall: { ...wall, isHot: true } },
      { paintedDaysAgo: 6 },
      { isOutdoors: true },
      { isOverBed: true },
    ])
      expect(pounds('adhesive16', 1, where)).toBe(0);
    expect(pounds('adhesive16', 1, { paintedDaysAgo: 7 })).toBeCloseTo(8, 9);
    expect(pounds('adhesive16', 1, { wall: { ...wall, isDamp: true } })).toBeCloseTo(4, 9);
  });

  it('is half on plaster and lath, and nothing for what is made for another wall or wants a stud', () => {
    const wall = wallSpot.wall;
    if (!wall) throw new Error('no wall');
    expect(pounds('molly', 1, { wall: { ...wall, kind: 'plasterLath' } })).toBeCloseTo(17.5, 9);
    expect(pounds('molly', 1, { wall: { ...wall, kind: 'masonry' } })).toBe(0);
    expect(pounds('studScrew', 1)).toBe(0);
    expect(pounds('studScrew', 1, { isInStud: true })).toBeCloseTo(80, 9);
  });

  it('of the least fixing is always enough, and nothing smaller of the list would be', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 120, noNaN: true }),
        fc.integer({ min: 1, max: 2 }),
        fc.boolean(),
        fc.boolean(),
        (lb, points, isInStud, mayDrill) => {
          const where = { ...drywall, isInStud };
          const found = leastFixing(lb * G_PER_POUND, points, where, mayDrill);
          if (!found) return;
          expect(fixingLoad(found, null, points, where).holdsG).toBeGreaterThanOrEqual(lb * G_PER_POUND);
          if (!mayDrill) expect(found.isAdhesive).toBe(true);
          if (lb >= 50) expect(found.inStud || found.id.startsWith('toggle') || found.id === 'masonryPlug').toBe(true);
        },
      ),
    );
  });
});

describe('a paper template', () => {
  it('has its nail where the frame will hang from it: 2 1/2 in below the top, in the middle', () => {
    const rows = lookRows(wallSpot, [frame(8, 47)]);
    const spot = rows.spots[0];
    if (!spot) throw new Error('no spot');
    const [first] = ladderSheet(spot, thingsOf(rows), 'us').things;
    if (!first) throw new Error('nothing hangs');
    const template = wallTemplate(first, 0);
    expect(template.widthMm).toBeCloseTo(inch(20), 6);
    expect(template.nails[0]?.[0]).toBeCloseTo(inch(10), 6);
    expect(template.nails[0]?.[1]).toBeCloseTo(inch(2.5), 6);
  });
});
