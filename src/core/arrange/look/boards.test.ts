import { uuid } from '@core/fixtures/following';
import { LOOK_ID, lookRows, thing, thingsOf } from '@core/fixtures/lookRows';
import { bookcase } from '@core/fixtures/lookSpots';
import { slot } from '@core/fixtures/projectRows';
import type { LookPieceRow, ProjectRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sketchBoxes } from '../sketchBoxes';
import { allAdded } from './addedThings';
import { ceilingOver, levelUnder, lookRoom, namedLevels } from './lookRoom';
import type { LookThing } from './lookThing';
import { behindFirst } from './lookThings';
import { carriedAlong, placesToStand, restBeyond, settledAbove, settledInFront } from './settle';
import { startingLook } from './startingLook';

const AS_OF = Date.UTC(2026, 4, 1);
const tops = [0, 360, 720, 1080, 1440];
const REACH = 15;

const spotOf = (rows: ProjectRows) => {
  const [spot] = rows.spots;
  if (!spot) throw new Error('no spot');
  return spot;
};
const roomOf = (rows: ProjectRows) => lookRoom(spotOf(rows));
function pick(rows: ProjectRows, name: string): { thing: LookThing; others: LookThing[] } {
  const things = thingsOf(rows);
  const found = things.find((one) => one.name === name);
  if (!found) throw new Error(`no ${name}`);
  return { thing: found, others: things.filter((one) => one.id !== found.id) };
}
const letGo = (rows: ProjectRows, name: string, xMm: number, footMm: number) => {
  const { thing: one, others } = pick(rows, name);
  return settledInFront(one, { xMm, footMm }, others, roomOf(rows), REACH).place;
};

describe('what is let go in a bookcase', () => {
  const rows = lookRows(bookcase, [
    thing('Bowl', 'freeBox', [150, 80, 150], [100]),
    thing('Books', 'books', [200, 90, 180], [400, 720]),
  ]);

  it('falls onto the board below it', () => {
    expect(letGo(rows, 'Bowl', 100, 500)).toMatchObject({ footMm: 360, onId: null });
    expect(letGo(rows, 'Bowl', 100, 1079)).toMatchObject({ footMm: 1080, onId: null });
    expect(letGo(rows, 'Bowl', 100, 359 - REACH - 1)).toMatchObject({ footMm: 0, onId: null });
  });

  it('falls onto what stands on that board', () => {
    expect(letGo(rows, 'Bowl', 425, 900)).toMatchObject({ footMm: 810, onId: uuid(1001) });
  });

  it('goes up and down from board to board by keys, over what is beneath its middle', () => {
    const { thing: bowl, others } = pick(rows, 'Bowl');
    expect(restBeyond(bowl, others, roomOf(rows), 'up')).toEqual({ footMm: 360, onId: null });
    expect(restBeyond(bowl, others, roomOf(rows), 'down')).toBeNull();
    const { thing: books, others: rest } = pick(rows, 'Books');
    expect(restBeyond(books, rest, roomOf(rows), 'down')).toEqual({ footMm: 360, onId: null });
    expect(restBeyond(books, rest, roomOf(rows), 'up')).toEqual({ footMm: 1080, onId: null });
  });

  it('does not go down by keys into what stands on the board below', () => {
    const stacked = lookRows(bookcase, [
      thing('Basket', 'freeBox', [300, 250, 200], [200, 0]),
      thing('Bird', 'freeBox', [80, 90, 80], [300, 360]),
    ]);
    const { thing: bird, others } = pick(stacked, 'Bird');
    expect(restBeyond(bird, others, roomOf(stacked), 'down')).toEqual({ footMm: 250, onId: uuid(1000) });
    const onTop = { ...bird, box: { ...bird.box, footMm: 250, topMm: 340 } };
    expect(restBeyond(onTop, others, roomOf(stacked), 'down')).toBeNull();
    expect(restBeyond(onTop, others, roomOf(stacked), 'up')).toEqual({ footMm: 360, onId: null });
  });

  it('never comes to rest but on a board or a thing, wherever the hand is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -400, max: 1200 }),
        fc.integer({ min: -300, max: 2200 }),
        fc.integer({ min: 40, max: 700 }),
        (xMm, footMm, width) => {
          const own = lookRows(bookcase, [
            thing('Bowl', 'freeBox', [width, 80, 150], [0]),
            thing('Books', 'books', [200, 90, 180], [400, 720]),
          ]);
          const place = letGo(own, 'Bowl', xMm, footMm);
          expect([...tops, 810]).toContain(place.footMm);
          expect(place.onId === null).toBe(place.footMm !== 810);
          expect(place.footMm).toBeLessThanOrEqual(Math.max(0, footMm + REACH));
        },
      ),
      { numRuns: 80 },
    );
  });

  it('is seen from above on its own board: what is moved there stays on it', () => {
    const { thing: books, others } = pick(rows, 'Books');
    const moved = settledAbove(books, { xMm: 100, frontMm: 20 }, others, roomOf(rows), 2).place;
    // The bowl that stands beneath is on another board.
    expect(moved).toMatchObject({ xMm: 100, footMm: 720, onId: null });
  });
});

describe('boards of pieces', () => {
  const wall = { kind: 'wall', widthMm: 3000, heightMm: 2400 } as const;
  const inside = (more: readonly Partial<LookPieceRow>[] = []) =>
    lookRows(wall, [
      {
        ...thing('Open bookcase', 'bookcase', [800, 1500, 300], [1000, 0, 900]),
        drawn: { templateId: 'bookcase', measures: { widthMm: 800, heightMm: 1500, depthMm: 300 }, color: null },
        id: uuid(1),
      },
      thing('Jug', 'vase', [120, 250, 120], [100, 0, 500], { id: uuid(2) }),
      ...more,
    ]);

  it('carry what is lifted in between them', () => {
    // 1500 high with three shelves: an inner height of 1460 in four parts of 365.
    const place = letGo(inside(), 'Jug', 1200, 500);
    expect(place).toMatchObject({ footMm: 385, onId: uuid(1) });
    // It stands within the depth of the bookcase now.
    expect(place.frontMm).toBe(990);
  });

  it('are not entered from the floor before them, nor by what is too wide or too deep', () => {
    expect(letGo(inside(), 'Jug', 1200, 5)).toMatchObject({ footMm: 0, onId: null });
    const wide = inside([thing('Long box', 'freeBox', [790, 100, 200], [0], { id: uuid(3) })]);
    expect(letGo(wide, 'Long box', 1005, 500)).toMatchObject({ footMm: 0, onId: null });
    const deep = inside([thing('Deep box', 'freeBox', [300, 100, 400], [0], { id: uuid(3) })]);
    expect(letGo(deep, 'Deep box', 1200, 500)).toMatchObject({ footMm: 0, onId: null });
    expect(letGo(deep, 'Deep box', 1200, 1600)).toMatchObject({ footMm: 1500, onId: uuid(1) });
  });

  it('go along with their piece', () => {
    const rows = inside([thing('Bowl', 'freeBox', [150, 80, 150], [1300, 385, 960], { id: uuid(4), onId: uuid(1) })]);
    const { thing: piece } = pick(rows, 'Open bookcase');
    const places = carriedAlong(thingsOf(rows), piece, { ...piece.placement, xMm: 1500 });
    expect(places.find(({ id }) => id === uuid(4))).toMatchObject({ xMm: 1800, footMm: 385 });
  });

  it('are offered by name, each by itself', () => {
    const rows = inside();
    const { thing: jug } = pick(rows, 'Jug');
    const names = placesToStand(jug, thingsOf(rows), spotOf(rows), roomOf(rows)).map(({ name }) => name);
    expect(names).toEqual([
      'Hall console',
      ...[1, 2, 3, 4].map((n) => `Open bookcase, board ${n}`),
      'Open bookcase, on top',
    ]);
  });

  it.each([
    ['Console', 'consoleTable', [1000, 780, 330], [171.6, 780]],
    ['Bar cart', 'freeBox', [700, 900, 400], [306, 774]],
    ['Tiered stand', 'freeBox', [300, 500, 300], [15, 155, 315]],
    ['Nightstand', 'nightstand', [406.4, 635, 381], [32, 635]],
    ['Box', 'freeBox', [300, 200, 300], [200]],
  ] as const)('%s has those that it is drawn with', (name, templateId, size, expected) => {
    const rows = lookRows(wall, [thing(name, templateId, size, [0])]);
    const found = thingsOf(rows)[0]?.boards.map(({ topMm }) => Math.round(topMm * 10) / 10);
    expect(found).toEqual(expected);
  });

  it('are none on what hangs or leans, on candles and stems; a wall shelf carries', () => {
    const of = (name: string, templateId: string, more: Partial<LookPieceRow> = {}) =>
      thingsOf(lookRows(wall, [thing(name, templateId, [300, 300, 100], [0], more)]))[0]?.boards.length;
    expect(of('Frame', 'pictureFrame', { stance: 'hangs' })).toBe(0);
    expect(of('Frame', 'pictureFrame', { stance: 'leans' })).toBe(0);
    expect(of('Pillar candle', 'candle')).toBe(0);
    expect(of('Fern stems', 'foliage')).toBe(0);
    expect(of('Shelf', 'shelf', { stance: 'hangs' })).toBe(1);
  });
});

describe('what is put into a spot with boards', () => {
  const look = { id: LOOK_ID };
  let made = 0;
  const newId = () => {
    made += 1;
    return uuid(3000 + made);
  };
  const add = (rows: ProjectRows, name: string, templateId: string, size: readonly [number, number, number]) => {
    const plan = computePlan(rows, AS_OF);
    const [row] = rows.looks;
    if (!row) throw new Error('no look');
    const { rows: added, places } = allAdded(
      plan,
      row,
      spotOf(rows),
      thingsOf(rows),
      thing(name, templateId, size, [0]),
      1,
      newId,
    );
    const [first] = added;
    if (!first) throw new Error('nothing put in');
    return { ...first, pushed: places };
  };

  it('goes to the widest gap near the middle, what is heavy to the lowest', () => {
    const empty = lookRows(bookcase, []);
    expect(add(empty, 'Bird', 'freeBox', [100, 150, 80]).footMm).toBe(720);
    expect(add(empty, 'Basket', 'basket', [300, 250, 250]).footMm).toBe(0);
    const taken = lookRows(bookcase, [thing('Long box', 'freeBox', [700, 100, 200], [50, 720])]);
    expect(add(taken, 'Bird', 'freeBox', [100, 150, 80]).footMm).toBe(1080);
  });

  it('leans instead of hanging; what is too tall for every board goes to the base', () => {
    expect(add(lookRows(bookcase, []), 'Print', 'pictureFrame', [200, 250, 20])).toMatchObject({ stance: 'leans' });
    // The check says that it does not fit.
    expect(add(lookRows(bookcase, []), 'Tall jug', 'freeBox', [100, 500, 100]).footMm).toBe(0);
  });

  it('fills board after board: twelve boxes never share a place', () => {
    const rows = lookRows(bookcase, []);
    const plan = computePlan(rows, AS_OF);
    const [row] = rows.looks;
    if (!row) throw new Error('no look');
    const { rows: placed } = allAdded(
      plan,
      row,
      spotOf(rows),
      [],
      thing('Box', 'freeBox', [240, 200, 200], [0]),
      12,
      newId,
    );
    const pieces = { ...rows, lookPieces: placed };
    const boxes = thingsOf(pieces).map(({ box }) => box);
    for (const [n, a] of boxes.entries())
      for (const b of boxes.slice(n + 1))
        expect(a.leftMm < b.rightMm - 1 && b.leftMm < a.rightMm - 1 && a.footMm === b.footMm).toBe(false);
  });

  it('lies on the bed where it is soft, beside it where it is not', () => {
    const bed = lookRows({ kind: 'bedWall', widthMm: 3400, heightMm: 2400, measures: { bedWidthMm: 1500 } }, []);
    expect(add(bed, 'Pillow', 'cushion', [600, 400, 150])).toMatchObject({ footMm: 25 * 25.4, xMm: 1400 });
    const nightstand = add(bed, 'Nightstand', 'nightstand', [450, 600, 380]);
    expect(nightstand.footMm).toBe(0);
    expect(nightstand.xMm + 450 <= 950 || nightstand.xMm >= 2450).toBe(true);
    // A rug goes beneath it.
    const rug = add(bed, 'Rug', 'rug', [2400, 10, 1200]);
    expect(rug.xMm).toBe(500);
  });

  it('begins as the sketch has it: each slot on a board', () => {
    const slots = Array.from({ length: 7 }, (_, n) => slot(uuid(400 + n), { number: n + 1, name: `Thing ${n + 1}` }));
    const rows = lookRows(bookcase, [], { slots });
    const plan = computePlan(rows, AS_OF);
    const [row] = rows.looks;
    if (!row) throw new Error('no look');
    const placed = startingLook(plan, { ...row, ...look }, spotOf(rows), newId);
    expect(placed).toHaveLength(7);
    expect(new Set(placed.map(({ footMm }) => footMm)).size).toBeGreaterThan(2);
    for (const piece of placed) {
      expect(piece.stance).not.toBe('hangs');
      expect(tops.some((top) => Math.abs(top - piece.footMm) < 1)).toBe(true);
    }
    for (const { box } of sketchBoxes(spotOf(rows), rows.slots)) expect(box.heightMm).toBeLessThanOrEqual(340);
  });
});

describe('levels', () => {
  it('are named from below, the bed by its name', () => {
    const names = (kind: string) => namedLevels(spotOf(lookRows({ kind }, []))).map(({ name }) => name);
    expect(names('shelfRun')).toEqual(['Lowest board', 'Board 2 from below', 'Top board']);
    expect(names('bedWall')).toEqual(['The floor', 'The bed']);
    expect(names('console')).toEqual(['Hall console']);
  });

  it('say what a thing stands on and how high it may reach there', () => {
    const room = roomOf(lookRows(bookcase, []));
    const at = (footMm: number) => ({ leftMm: 0, rightMm: 100, footMm, topMm: footMm + 50, frontMm: 0, backMm: 100 });
    expect(levelUnder(room, at(500))).toBe(360);
    expect(ceilingOver(room, at(360))).toBe(700);
    expect(ceilingOver(room, at(1440))).toBe(1800);
    // What stands before a bed is under nothing.
    const bed = roomOf(lookRows({ kind: 'bedWall', widthMm: 3400, heightMm: 2400 }, []));
    expect(ceilingOver(bed, { ...at(0), leftMm: 1500, rightMm: 2000 })).toBe(2400);
  });
});

describe('what is drawn before what', () => {
  const orderOf = (pieces: readonly Partial<LookPieceRow>[]) =>
    thingsOf(lookRows({ kind: 'wall', widthMm: 3000, heightMm: 2400 }, pieces)).map(({ name }) => name);

  it('goes by layers, but nothing is behind what it stands in', () => {
    expect(
      orderOf([
        { ...thing('Bookcase', 'bookcase', [800, 1500, 300], [0]), id: uuid(1), layer: 3001 },
        thing('Bread board', 'tray', [230, 335, 20], [100, 385], { stance: 'leans', layer: 1000, onId: uuid(1) }),
        thing('Vase', 'vase', [120, 250, 120], [1500], { layer: 3000 }),
        thing('Print', 'pictureFrame', [300, 400, 20], [1500, 1200], { stance: 'hangs', layer: 0 }),
        thing('Chair', 'chair', [450, 900, 450], [700], { layer: 3002 }),
      ]),
    ).toEqual(['Print', 'Vase', 'Bookcase', 'Bread board', 'Chair']);
  });

  it('is the same whatever the order of the rows, for any stack, even for one that goes in a circle', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: -1, max: 7 })), {
          minLength: 1,
          maxLength: 8,
        }),
        (drawn) => {
          const rows = lookRows(
            { kind: 'wall' },
            drawn.map(([layer, on], n) => ({
              id: uuid(10 + n),
              layer,
              onId: on < 0 || on >= drawn.length ? null : uuid(10 + on),
            })),
          ).lookPieces;
          const order = behindFirst(rows).map(({ id }) => id);
          expect(new Set(order).size).toBe(drawn.length);
          for (const { id, onId } of rows) {
            const isCircle = onId !== null && drawn.some(([, on], n) => on === n || on > n);
            if (onId !== null && onId !== id && !isCircle) expect(order.indexOf(onId)).toBeLessThan(order.indexOf(id));
          }
        },
      ),
    );
  });
});
