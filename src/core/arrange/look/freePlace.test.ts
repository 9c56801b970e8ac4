import { uuid } from '@core/fixtures/following';
import { thing } from '@core/fixtures/lookRows';
import { window } from '@core/fixtures/lookSpots';
import { putIntoLook as look } from '@core/fixtures/putIntoLook';
import type { LookPieceRow } from '@core/model/rows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meets } from './lookThing';

/** Where things go that are put into a look one after the other, as a stylist describes them. */
type Described = Partial<LookPieceRow>;

const box = (name: string, width: number, height = 200): Described => thing(name, 'freeBox', [width, height, 150], [0]);
const console48 = { kind: 'console', widthMm: 1200, depthMm: 350, heightMm: 1500 } as const;
const wall = { kind: 'wall', widthMm: 3000, heightMm: 2400 } as const;
const middle = ({ xMm }: LookPieceRow, width: number) => xMm + width / 2;

describe('two alike', () => {
  it('become a pair: the second mirrors the first', () => {
    const { put } = look(console48, [{ ...box('Lantern', 150), xMm: 100 }]);
    const [second] = put(box('Lantern', 150)).rows;
    expect(second && middle(second, 150)).toBe(1200 - 175);
  });

  it('stand beside the middle, both, where the first stood in it', () => {
    const { put, things } = look(console48);
    put(box('Lantern', 150));
    const { places } = put(box('Lantern', 150));
    expect(places).toHaveLength(1);
    const middles = things().map(({ box: at }) => (at.leftMm + at.rightMm) / 2);
    expect((middles[0] ?? 0) + (middles[1] ?? 0)).toBeCloseTo(1200, 0);
    expect(Math.abs((middles[0] ?? 0) - (middles[1] ?? 0))).toBeGreaterThanOrEqual(150);
  });

  it('do not where that place is taken, or where there are two already', () => {
    const { put } = look(console48, [
      { ...box('Lantern', 150), xMm: 100 },
      { ...box('Tall jug', 200), xMm: 950 },
    ]);
    const [second] = put(box('Lantern', 150)).rows;
    expect(second?.xMm).toBeGreaterThan(250);
    expect((second?.xMm ?? 0) + 150).toBeLessThan(950);
  });
});

describe('several alike', () => {
  it('are set down as a group side by side', () => {
    const { put } = look({ kind: 'shelfRun', widthMm: 1000, depthMm: 200, heightMm: 900, measures: { shelves: 3 } });
    const { rows } = put(box('Mug', 100, 100), 6);
    expect(new Set(rows.map(({ footMm }) => footMm)).size).toBe(1);
    const gaps = rows.slice(1).map(({ xMm }, n) => xMm - (rows[n]?.xMm ?? 0) - 100);
    for (const gap of gaps) expect(gap).toBeCloseTo(12.7, 1);
  });

  it('go each where there is room where no group of them fits', () => {
    const { put, things } = look({
      kind: 'shelfRun',
      widthMm: 500,
      depthMm: 200,
      heightMm: 900,
      measures: { shelves: 3 },
    });
    put(box('Jar', 140, 150), 6);
    const boxes = things().map(({ box: at }) => at);
    for (const [n, a] of boxes.entries()) for (const b of boxes.slice(n + 1)) expect(meets(a, b)).toBe(false);
  });
});

describe('where nothing is wide enough', () => {
  it('what stands there is pushed aside, as little as that takes, and what stands on it goes along', () => {
    const { put, things } = look(console48, [
      { ...box('Box', 300), id: uuid(1), xMm: 200 },
      { ...box('Bowl', 100, 60), id: uuid(2), xMm: 300, footMm: 200, onId: uuid(1) },
      { ...box('Case', 300), id: uuid(3), xMm: 700 },
    ]);
    // 200 between them, 200 at each end: 300 more has no room without pushing.
    const { places } = put(box('Chest', 300));
    expect(places.length).toBeGreaterThan(0);
    const standing = things().filter(({ placement }) => placement.onId === null);
    for (const [n, a] of standing.entries())
      for (const b of standing.slice(n + 1)) expect(meets(a.box, b.box)).toBe(false);
    const [bowl, carrier] = [uuid(2), uuid(1)].map((id) => things().find((one) => one.id === id));
    expect((bowl?.box.leftMm ?? 0) - (carrier?.box.leftMm ?? 0)).toBeCloseTo(100, 6);
  });

  it('nothing is pushed where there is not enough in all: it stands before the others', () => {
    const { put } = look(console48, [
      { ...box('Box', 600), xMm: 0 },
      { ...box('Case', 500), xMm: 650 },
    ]);
    const { rows, places } = put(box('Chest', 300));
    expect(places).toEqual([]);
    expect(rows[0]?.frontMm).toBe(0);
  });

  it('never leaves the spot, and never lets two share a place while they would fit side by side: for any things', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 40, max: 330 }), { minLength: 1, maxLength: 7 }), (widths) => {
        fc.pre(widths.reduce((sum, width) => sum + width, 0) <= 1200);
        const { put, things } = look(console48);
        widths.forEach((width, n) => {
          put(box(`Thing ${n}`, width));
        });
        const boxes = things().map(({ box: at }) => at);
        for (const [n, a] of boxes.entries()) {
          expect(a.leftMm).toBeGreaterThanOrEqual(-0.1);
          expect(a.rightMm).toBeLessThanOrEqual(1200.1);
          for (const b of boxes.slice(n + 1)) expect(meets(a, b)).toBe(false);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('what is put before a wall', () => {
  const nightstand = { ...thing('Nightstand', 'nightstand', [450, 600, 380], [300, 0, 800]), id: uuid(1) };

  it('stands on the furniture there where it is small, in the middle of its depth', () => {
    const { put } = look(wall, [nightstand]);
    const [lamp] = put(thing('Brass lamp', 'lampBase', [200, 600, 200], [0])).rows;
    expect(lamp).toMatchObject({ onId: uuid(1), footMm: 600, frontMm: 890 });
    const [bowl] = put(thing('Bowl', 'freeBox', [100, 80, 100], [0])).rows;
    expect(bowl).toMatchObject({ onId: uuid(1), footMm: 600 });
  });

  it.each([
    ['a floor lamp', thing('Floor lamp', 'lampBase', [400, 1500, 400], [0])],
    ['another nightstand', thing('Chest', 'nightstand', [450, 600, 380], [0])],
    ['a rug', thing('Rug', 'rug', [1500, 10, 1000], [0])],
    ['a basket', thing('Basket', 'basket', [400, 300, 300], [0])],
    ['a chair', thing('Chair', 'chair', [450, 900, 450], [0])],
  ])('%s stands on the floor', (_what, of) => {
    const [row] = look(wall, [nightstand]).put(of).rows;
    expect(row).toMatchObject({ onId: null, footMm: 0 });
  });

  it('stands on the floor where the furniture is full or too shallow', () => {
    const { put } = look(wall, [nightstand]);
    expect(put(box('Wide box', 600)).rows[0]).toMatchObject({ onId: null });
    expect(put(thing('Deep box', 'freeBox', [200, 200, 500], [0])).rows[0]).toMatchObject({ onId: null });
  });

  it('never goes onto a chair', () => {
    const { put } = look(wall, [{ ...thing('Chair', 'chair', [450, 900, 450], [300, 0, 700]), id: uuid(1) }]);
    expect(put(box('Bowl', 100, 80)).rows[0]).toMatchObject({ onId: null });
  });
});

describe('a door', () => {
  const porch = {
    kind: 'porch',
    widthMm: 2400,
    depthMm: 1200,
    heightMm: 2500,
    measures: { doorWidthMm: 900 },
  } as const;

  it('stays free: what stands goes beside it, a pair to both sides, the mat before it', () => {
    const { put } = look(porch);
    const [first] = put(thing('Boxwood', 'planter', [350, 700, 350], [0])).rows;
    const [second] = put(thing('Boxwood', 'planter', [350, 700, 350], [0])).rows;
    const middles = [first, second].map((row) => (row ? middle(row, 350) : 0));
    expect((middles[0] ?? 0) + (middles[1] ?? 0)).toBeCloseTo(2400, 1);
    for (const at of middles) expect(Math.abs(at - 1200)).toBeGreaterThan(450 + 175);
    const [mat] = put(thing('Doormat', 'rug', [760, 10, 450], [0])).rows;
    expect(mat && middle(mat, 760)).toBe(1200);
  });

  it('that is marked in a wall stays free as well', () => {
    const { put } = look({
      ...wall,
      features: [{ id: uuid(70), kind: 'door', name: '', xMm: 1000, yMm: 0, widthMm: 900, heightMm: 2030 }],
    });
    const [row] = put(thing('Chest', 'dresser', [900, 800, 450], [0])).rows;
    expect(row && (row.xMm + 900 <= 1000 || row.xMm >= 1900)).toBe(true);
  });
});

describe('what hangs', () => {
  const frame = (name: string, width: number) =>
    thing(name, 'pictureFrame', [width, 400, 20], [0], { stance: 'hangs' });

  it('hangs beside what hangs there already, at the same height', () => {
    const { put, things } = look(wall);
    for (const name of ['A', 'B', 'C']) put(frame(name, 400));
    const boxes = things().map(({ box: at }) => at);
    for (const [n, a] of boxes.entries())
      for (const b of boxes.slice(n + 1)) {
        expect(meets(a, b)).toBe(false);
        expect(a.footMm).toBe(b.footMm);
      }
    const lefts = boxes.map(({ leftMm }) => leftMm).sort((a, b) => a - b);
    expect((lefts[1] ?? 0) - (lefts[0] ?? 0)).toBeCloseTo(400 + 63.5, 1);
  });

  it('hangs over the furniture below it, over the bed by its head', () => {
    const over = look(wall, [{ ...thing('Console', 'consoleTable', [1200, 800, 350], [900, 0, 850]), id: uuid(1) }]);
    expect(over.put(frame('Print', 700)).rows[0]?.footMm).toBeCloseTo(800 + 203.2, 1);
    const bed = look({ kind: 'bedWall', widthMm: 3400, heightMm: 2400, measures: { mattressHeightMm: 600 } });
    expect(bed.put(frame('Print', 900)).rows[0]?.footMm).toBeCloseTo(600 * 1.7 + 203.2, 1);
  });

  it('at a window hangs beyond the glass, one at each side, over its frame', () => {
    const { put } = look(window);
    const curtain = thing('Linen curtain', 'curtain', [500, 2000, 60], [0], { stance: 'hangs' });
    const [left] = put(curtain).rows;
    const [right] = put(curtain).rows;
    expect(left?.xMm).toBeCloseTo(-203.2, 1);
    expect((right?.xMm ?? 0) + 500).toBeCloseTo(1203.2, 1);
    expect((left?.footMm ?? 0) + 2000).toBeCloseTo(1327, 1);
    // One that is too long for that hangs no lower than the floor.
    const long = thing('Long curtain', 'curtain', [500, 2300, 60], [0], { stance: 'hangs' });
    expect(put(long).rows[0]?.footMm).toBeGreaterThanOrEqual(-812.8);
  });
});
