import { uuid } from '@core/fixtures/following';
import { afterFix, lookRows, thing, thingsOf, verdictsOf } from '@core/fixtures/lookRows';
import { bookcase, window } from '@core/fixtures/lookSpots';
import type { SentenceLocale } from '@core/kernel/finding';
import { MM_PER_INCH } from '@core/kernel/units';
import type { LookPieceRow, ProjectRows } from '@core/model/rows';
import { describe, expect, it } from 'vitest';
import { isOpen, type LookVerdict } from './checkLook';
import { tellOf } from './lookCheck';

/** What the rules say of shelves, bookcases, tiered trays, beds and windows, where things stand over each other. */
const us: SentenceLocale = { units: 'us', currency: 'USD' };
const inch = (n: number) => n * MM_PER_INCH;
const [, second, third, fourth] = [0, 360, 720, 1080] as const;
const box = (name: string, width: number, height: number, x: number, foot = 0, more: Partial<LookPieceRow> = {}) =>
  thing(name, 'freeBox', [width, height, 100], [x, foot], more);
const open = (rows: ProjectRows, checkId: string): LookVerdict[] =>
  verdictsOf(rows).filter((verdict) => verdict.check.id === checkId && isOpen(verdict));
const titles = (found: readonly LookVerdict[]) => found.map(({ check, title }) => tellOf(check, title, us));

/** Every way out of a finding makes less of it. */
function expectWaysOut(rows: ProjectRows, checkId: string) {
  const found = open(rows, checkId);
  expect(found.length).toBeGreaterThan(0);
  for (const verdict of found) {
    expect(verdict.fixes.length).toBeGreaterThan(0);
    for (const fix of verdict.fixes) {
      const left = open(afterFix(rows, fix), checkId);
      expect(left.length, tellOf(verdict.check, fix.say, us)).toBeLessThan(found.length);
    }
  }
}

describe('neighbors are what stands on one board', () => {
  it('heights step from one to the next on each board by itself', () => {
    const stepped = [
      box('Tall', 80, 300, 50),
      box('Middle', 80, 190, 300),
      box('Low', 80, 110, 550),
      box('Other tall', 80, 300, 50, second),
    ];
    expect(open(lookRows(bookcase, stepped), 'heightSteps')).toEqual([]);
    // As high above their own board as what stands below, and no neighbor of it.
    const level = [...stepped, box('As tall', 80, 290, 300, second), box('Small', 80, 100, 550, second)];
    expect(titles(open(lookRows(bookcase, level), 'heightSteps'))).toEqual(['Other tall and As tall are level']);
    expectWaysOut(lookRows(bookcase, level), 'heightSteps');
  });

  it('two on a board are a pair, one on each of two boards are none', () => {
    const brief = { brief: { grouping: 'odd' as const } };
    const across = [box('Bird', 80, 90, 100, second), box('Bird', 80, 90, 400, fourth)];
    expect(open(lookRows(bookcase, across, brief), 'oddGroup')).toEqual([]);
    const beside = [box('Bird', 80, 90, 100, second), box('Bird', 80, 90, 400, second)];
    const rows = lookRows(bookcase, beside, brief);
    expect(open(rows, 'oddGroup')).toHaveLength(1);
    expectWaysOut(rows, 'oddGroup');
  });

  it('a pair within a bookcase that stands in a room mirrors about the bookcase, not the room', () => {
    const rows = lookRows(
      { kind: 'wall', widthMm: 3000, heightMm: 2400 },
      [
        { ...thing('Open bookcase', 'bookcase', [800, 1500, 300], [200, 0, 900]), id: uuid(1) },
        thing('Bird', 'freeBox', [80, 90, 80], [260, 385, 950], { onId: uuid(1) }),
        thing('Bird', 'freeBox', [80, 90, 80], [860, 385, 950], { onId: uuid(1) }),
      ],
      { brief: { grouping: 'odd' } },
    );
    expect(open(rows, 'oddGroup')).toEqual([]);
  });
});

describe('room on a board', () => {
  it('ends at the next one: what is too tall goes to a board with room for it, or away', () => {
    const rows = lookRows(
      {
        ...bookcase,
        features: [{ id: uuid(70), kind: 'board', name: '', xMm: 0, yMm: 380, widthMm: 800, heightMm: 20 }],
      },
      [box('Tall jug', 120, 500, 100)],
    );
    const [verdict] = open(rows, 'outsideSpot');
    expect(verdict && tellOf(verdict.check, verdict.text, us)).toBe(
      'It reaches 4 3/4 in higher than there is room up to the next board.',
    );
    expectWaysOut(rows, 'outsideSpot');
    const to = verdict?.fixes[0];
    expect(to && thingsOf(afterFix(rows, to))[0]?.box.footMm).toBe(400);
  });

  it('is just enough where it is just enough', () => {
    const of = (height: number) => lookRows(bookcase, [box('Jug', 120, height, 100, second)]);
    expect(open(of(340), 'outsideSpot')).toEqual([]);
    expect(open(of(345), 'outsideSpot')).toHaveLength(1);
  });

  it('ends at the sides of a tier', () => {
    const tray = {
      kind: 'tieredTray',
      widthMm: 400,
      depthMm: 400,
      heightMm: 600,
      measures: { tiers: 2, tierGapMm: 250, topWidthMm: 260 },
    } as const;
    expect(open(lookRows(tray, [box('Mug', 90, 100, 10)]), 'outsideSpot')).toEqual([]);
    const rows = lookRows(tray, [box('Mug', 90, 100, 10, 250)]);
    expect(open(rows, 'outsideSpot')).toHaveLength(1);
    expectWaysOut(rows, 'outsideSpot');
  });

  it('is shared only by what stands on the same board', () => {
    expect(open(lookRows(bookcase, [box('A', 200, 300, 100), box('B', 200, 300, 100, second)]), 'sameSpace')).toEqual(
      [],
    );
    const rows = lookRows(bookcase, [box('A', 200, 300, 100, second), box('B', 200, 200, 150, second)]);
    expect(open(rows, 'sameSpace')).toHaveLength(1);
    expectWaysOut(rows, 'sameSpace');
  });

  it('within a piece is no place that the piece takes itself', () => {
    const rows = lookRows({ kind: 'wall', widthMm: 3000, heightMm: 2400 }, [
      { ...thing('Open bookcase', 'bookcase', [800, 1500, 300], [200, 0, 900]), id: uuid(1) },
      { ...thing('Books', 'books', [200, 60, 200], [300, 385, 950]), id: uuid(2), onId: uuid(1) },
      thing('Bowl', 'freeBox', [100, 60, 100], [330, 445, 960], { onId: uuid(2) }),
    ]);
    expect(open(rows, 'sameSpace')).toEqual([]);
    expect(open(rows, 'outsideSpot')).toEqual([]);
    // Too tall for its opening of 345 mm.
    const tall = lookRows({ kind: 'wall', widthMm: 3000, heightMm: 2400 }, [
      { ...thing('Open bookcase', 'bookcase', [800, 1500, 300], [200, 0, 900]), id: uuid(1) },
      thing('Jug', 'freeBox', [100, 400, 100], [330, 385, 960], { onId: uuid(1) }),
    ]);
    expect(open(tall, 'outsideSpot')).toHaveLength(1);
    expectWaysOut(tall, 'outsideSpot');
  });

  it('lets a riser in only where it fits under the next board', () => {
    // Level, and each way up would reach the board over them.
    const rows = lookRows(bookcase, [
      box('A', 80, 320, 50, second),
      box('B', 80, 300, 300, second),
      box('C', 80, 150, 550, second),
    ]);
    const acts = open(rows, 'heightSteps').flatMap(({ fixes }) => fixes.map(({ act }) => act.kind));
    expect(acts).toEqual(['takeAway']);
  });
});

describe('a flame under a board', () => {
  const candle = (foot: number, height = 150) => thing('Pillar candle', 'candle', [75, height, 75], [300, foot, 100]);

  it('is stopped on a shelf, nothing else near', () => {
    // 340 of room, 190 over the flame.
    const rows = lookRows(bookcase, [candle(second)]);
    expect(titles(open(rows, 'openFlame'))).toEqual(['Pillar candle burns under a board of Hall console']);
    expect(open(rows, 'openFlame')[0]?.state).toBe('stop');
    expectWaysOut(rows, 'openFlame');
  });

  it('is let be from 12 in on, on the highest board, and without a flame', () => {
    const airy = { ...bookcase, heightMm: 2600 };
    // 500 of room: 350 over the flame, more than 12 in.
    expect(open(lookRows(airy, [candle(520)]), 'openFlame')).toEqual([]);
    expect(open(lookRows(airy, [candle(520, 200)]), 'openFlame')).toHaveLength(1);
    expect(open(lookRows(bookcase, [candle(1440)]), 'openFlame')).toEqual([]);
    const led = thing('Flameless pillar candle', 'candle', [75, 150, 75], [300, second, 100]);
    expect(open(lookRows(bookcase, [led]), 'openFlame')).toEqual([]);
  });

  it.each([
    ['a wall shelf', thing('Wall shelf', 'shelf', [600, 25, 200], [200, 400, 150], { stance: 'hangs' })],
    ['a console', thing('Console', 'consoleTable', [1000, 600, 330], [100, 0, 0])],
  ])('is stopped under %s as well', (_what, over) => {
    const rows = lookRows({ kind: 'console', widthMm: 1200, depthMm: 350, heightMm: 1500 }, [over, candle(160)]);
    expect(open(rows, 'openFlame').length).toBeGreaterThan(0);
    expectWaysOut(rows, 'openFlame');
  });

  it('is no matter before what hangs at the back', () => {
    const shelf = thing('Wall shelf', 'shelf', [600, 25, 100], [200, 300, 250], { stance: 'hangs' });
    const before = thing('Pillar candle', 'candle', [75, 150, 75], [300, 0, 0]);
    expect(open(lookRows({ kind: 'console', widthMm: 1200, depthMm: 350 }, [shelf, before]), 'openFlame')).toEqual([]);
  });
});

describe('small hands', () => {
  it('do not reach the higher boards: what breaks goes there with one press', () => {
    const rows = lookRows(bookcase, [thing('Glass vase', 'vase', [120, 250, 120], [300, 0, 80])], {
      household: { youngestChildYears: 4 },
    });
    expect(open(rows, 'smallHands')).toHaveLength(1);
    expectWaysOut(rows, 'smallHands');
    const [raise] = open(rows, 'smallHands')[0]?.fixes ?? [];
    const feet = raise ? thingsOf(afterFix(rows, raise)).map((one) => one.box.footMm) : [];
    // The first board at 48 in or more.
    expect(feet).toEqual([1440]);
  });
});

describe('what stands on a board', () => {
  it('does not tip over like what stands on the floor', () => {
    const chest = (foot: number) =>
      lookRows(bookcase, [thing('Small cabinet', 'cabinet', [200, 700, 150], [100, foot, 50])]);
    expect(open(chest(0), 'anchored')).toHaveLength(1);
    expect(open(chest(third), 'anchored')).toEqual([]);
  });
});

describe('a curtain at a window', () => {
  const curtain = (x: number, foot: number, height = 2000) =>
    thing('Linen curtain', 'curtain', [500, height, 60], [x, foot, 90], { stance: 'hangs' });

  it('hangs before the sill, past it to the floor, above the frame and beyond the glass, and nothing is wrong with that', () => {
    const rows = lookRows(window, [
      curtain(-200, -673),
      curtain(700, -673),
      thing('Fern in a pot', 'planter', [200, 300, 150], [50, 0, 0]),
    ]);
    for (const id of ['outsideSpot', 'sameSpace', 'curtainRod']) expect(open(rows, id)).toEqual([]);
  });

  it('is raised over the frame and hung beyond the glass', () => {
    const rows = lookRows(window, [curtain(0, -800)]);
    expect(titles(open(rows, 'curtainRod'))).toEqual(['Linen curtain hangs low', 'Linen curtain covers the glass']);
    expectWaysOut(rows, 'curtainRod');
  });

  it('does not reach through the floor, nor further than there is wall', () => {
    expect(open(lookRows(window, [curtain(-200, -900)]), 'outsideSpot')).toHaveLength(1);
    expect(open(lookRows(window, [curtain(-400, -673)]), 'outsideSpot')).toHaveLength(1);
    expectWaysOut(lookRows(window, [curtain(-400, -673)]), 'outsideSpot');
  });
});

describe('what hangs over a shelf run', () => {
  it('is held against the board below it', () => {
    const run = { kind: 'shelfRun', widthMm: 900, depthMm: 200, heightMm: 1800, measures: { shelves: 2 } } as const;
    const frame = (foot: number) =>
      lookRows(run, [thing('Print', 'pictureFrame', [500, 400, 20], [200, foot, 180], { stance: 'hangs' })]);
    // The upper board is 900 up: 8 in over it.
    expect(open(frame(900 + inch(8)), 'gapOver')).toEqual([]);
    expect(open(frame(900 + inch(14)), 'gapOver')).toHaveLength(1);
    expectWaysOut(frame(900 + inch(14)), 'gapOver');
  });
});
