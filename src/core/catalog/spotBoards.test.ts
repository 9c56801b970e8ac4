import { uuid } from '@core/fixtures/following';
import type { SpotFeature, SpotRow } from '@core/model/rows';
import { newSpot } from '@core/plan/newRows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boardsToMark, clearHeightMm, spotBoards, spotScenery } from './spotBoards';
import { spotKinds } from './spotKinds';

const spot = (kind: string, more: Partial<SpotRow> = {}): SpotRow => ({
  ...newSpot(uuid(1), 'Here', kind, 0),
  ...more,
});
const marked = (yMm: number, heightMm = 20): SpotFeature => ({
  id: uuid(yMm),
  kind: 'board',
  name: '',
  xMm: 0,
  yMm,
  widthMm: 800,
  heightMm,
});
const tops = (of: SpotRow) => spotBoards(of).map(({ topMm }) => topMm);

describe('boards of a spot', () => {
  it('share the height of a bookcase, the lowest being its base', () => {
    expect(tops(spot('bookcase', { heightMm: 1800, measures: { shelves: 5 } }))).toEqual([360, 720, 1080, 1440]);
    expect(tops(spot('shelfRun', { heightMm: 900, measures: { shelves: 3 } }))).toEqual([300, 600]);
    expect(tops(spot('shelfRun', { heightMm: 900, measures: { shelves: 1 } }))).toEqual([]);
  });

  it('are where somebody marked them, whatever their number', () => {
    const uneven = spot('bookcase', {
      heightMm: 1800,
      measures: { shelves: 5 },
      features: [marked(980), marked(380)],
    });
    expect(tops(uneven)).toEqual([400, 1000]);
    // On a wall a marked board is one more: there is none to replace; a bed stays.
    expect(tops(spot('wall', { features: [marked(1200)] }))).toEqual([1220]);
    expect(tops(spot('bedWall', { measures: { mattressHeightMm: 600 }, features: [marked(1200)] }))).toEqual([
      600, 1220,
    ]);
  });

  it('of a tiered tray become narrower upward and keep its middle', () => {
    const boards = spotBoards(
      spot('tieredTray', { widthMm: 400, heightMm: 600, measures: { tiers: 3, tierGapMm: 200, topWidthMm: 200 } }),
    );
    expect(boards.map(({ topMm, leftMm, rightMm }) => [topMm, leftMm, rightMm])).toEqual([
      [200, 50, 350],
      [400, 100, 300],
    ]);
  });

  it('are none where a spot is seen from above, and where nothing is to stand on', () => {
    for (const kind of ['tray', 'diningTable', 'floorArea', 'drawer'])
      expect(spotBoards(spot(kind, { features: [marked(300)] }))).toEqual([]);
    for (const kind of ['console', 'mantel', 'wall', 'window']) expect(spotBoards(spot(kind))).toEqual([]);
  });

  it('lie within their spot one over the other, for every kind and any size', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...spotKinds.all.filter(({ boards }) => boards)),
        fc.integer({ min: 300, max: 3000 }),
        fc.integer({ min: 700, max: 3000 }),
        fc.integer({ min: 1, max: 12 }),
        (kind, widthMm, heightMm, count) => {
          const measures: Record<string, number> = kind.id === 'tieredTray' ? {} : { shelves: count };
          const boards = spotBoards(spot(kind.id, { widthMm, heightMm, measures }));
          boards.forEach(({ topMm }, n) => {
            expect(topMm).toBeGreaterThan(boards[n - 1]?.topMm ?? 0);
            expect(topMm).toBeLessThan(heightMm);
          });
        },
      ),
      { numRuns: 80 },
    );
  });

  it('are drawn where they are', () => {
    const of = spot('shelfRun', { widthMm: 900, heightMm: 900, measures: { shelves: 3 } });
    const drawn = spotScenery(of).flatMap((shape) => (shape.kind === 'polygon' ? [shape.points] : []));
    for (const topMm of [300, 600])
      expect(drawn.some((points) => Math.min(...points.map(([, y]) => y)) === 900 - topMm)).toBe(true);
  });
});

describe('boards that are marked by one press', () => {
  let made = 0;
  const newId = () => {
    made += 1;
    return uuid(100 + made);
  };

  it('are all that a bookcase is taken to have, exactly where they are drawn', () => {
    const of = spot('bookcase', { widthMm: 800, heightMm: 1800, measures: { shelves: 5 } });
    const features = boardsToMark(of, newId);
    expect(tops({ ...of, features })).toEqual(tops(of));
  });

  it('are one more where some are marked, or where there are none', () => {
    const of = spot('bookcase', { heightMm: 1800, features: [marked(380)] });
    expect(boardsToMark(of, newId)).toHaveLength(1);
    expect(boardsToMark(spot('wall', { heightMm: 2400 }), newId)).toMatchObject([{ yMm: 1180, heightMm: 20 }]);
  });
});

describe('the clear height between shelves', () => {
  it('is that of the tallest opening, with a board over the highest', () => {
    expect(clearHeightMm(spot('bookcase', { heightMm: 1800, measures: { shelves: 5 } }))).toBe(340);
    expect(
      clearHeightMm(
        spot('tieredTray', { heightMm: 500, measures: { tiers: 2, tierGapMm: 200, topWidthMm: 200 }, widthMm: 300 }),
      ),
    ).toBe(288);
  });

  it('is not known where nobody measured or counted, and left to the boards where they are marked', () => {
    expect(clearHeightMm(spot('bookcase', { measures: { shelves: 5 } }))).toBeNull();
    expect(clearHeightMm(spot('bookcase', { heightMm: 1800 }))).toBeNull();
    expect(
      clearHeightMm(spot('bookcase', { heightMm: 1800, measures: { shelves: 5 }, features: [marked(300)] })),
    ).toBeNull();
    expect(clearHeightMm(spot('bedWall', { heightMm: 2400, measures: { bedWidthMm: 1500 } }))).toBeNull();
  });
});
