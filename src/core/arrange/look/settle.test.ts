import { outcomeOf, uuid } from '@core/fixtures/following';
import { LOOK_ID, lookRows, thing, thingsOf } from '@core/fixtures/lookRows';
import type { LookPieceRow, ProjectRows } from '@core/model/rows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LookThing } from './lookThing';
import { orderToPlace } from './orderToPlace';
import { carriedAlong, placeOf, restingOn, settledAbove, settledInFront } from './settle';

const console48 = { kind: 'console', widthMm: 1200, depthMm: 350, heightMm: 1500 } as const;
const room = {
  widthMm: 1200,
  heightMm: 1500,
  depthMm: 350,
  boards: [],
  doors: [],
  hasWall: true,
  baseMm: 0,
  isOpenToFront: false,
  beyondMm: 0,
};
const REACH = 20;

/** The thing of some name, and the others. */
function pick(rows: ProjectRows, name: string): { thing: LookThing; others: LookThing[] } {
  const things = thingsOf(rows);
  const found = things.find((one) => one.name === name);
  if (!found) throw new Error(`no ${name}`);
  return { thing: found, others: things.filter((one) => one.id !== found.id) };
}

describe('what is let go over a surface', () => {
  const rows = lookRows(console48, [
    thing('Books', 'books', [300, 100, 200], [400]),
    thing('Bowl', 'freeBox', [150, 80, 150], [900]),
  ]);

  it('falls onto what is below its middle, else onto the surface', () => {
    const { thing: bowl, others } = pick(rows, 'Bowl');
    const onBooks = settledInFront(bowl, { xMm: 470, footMm: 600 }, others, room, REACH);
    expect(onBooks.place.footMm).toBe(100);
    expect(onBooks.place.onId).toBe(others[0]?.id);
    const beside = settledInFront(bowl, { xMm: 50, footMm: 600 }, others, room, REACH);
    expect(beside.place.footMm).toBe(0);
    expect(beside.place.onId).toBeNull();
  });

  it('is not lifted onto something that is higher than the hand', () => {
    const { thing: bowl, others } = pick(rows, 'Bowl');
    expect(settledInFront(bowl, { xMm: 470, footMm: 0 }, others, room, REACH).place.footMm).toBe(0);
  });

  it('snaps to the edges and middles of others and of the spot, and stays within it', () => {
    const { thing: bowl, others } = pick(rows, 'Bowl');
    expect(settledInFront(bowl, { xMm: 706, footMm: 0 }, others, room, REACH)).toMatchObject({
      atX: 700,
      place: { xMm: 700 },
    });
    expect(settledInFront(bowl, { xMm: 517, footMm: 0 }, others, room, REACH).place.xMm).toBe(525);
    expect(settledInFront(bowl, { xMm: 5000, footMm: 0 }, others, room, REACH).place.xMm).toBe(1050);
    expect(settledInFront(bowl, { xMm: -5000, footMm: 0 }, others, room, REACH).place.xMm).toBe(0);
  });

  it('hangs where it is put, its middle caught by the height of the eyes', () => {
    const wall = lookRows(console48, [thing('Frame', 'pictureFrame', [300, 400, 20], [100, 300], { stance: 'hangs' })]);
    const { thing: frame, others } = pick(wall, 'Frame');
    const hung = settledInFront(frame, { xMm: 333, footMm: 487 }, others, room, REACH, [700]);
    expect(hung.place.footMm).toBe(500);
    expect(hung.atY).toBe(700);
  });

  it('never leaves the spot, and never floats: for any look and any hand', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 30, max: 400 }),
            fc.integer({ min: 20, max: 500 }),
            fc.integer({ min: 0, max: 1100 }),
          ),
          {
            minLength: 2,
            maxLength: 7,
          },
        ),
        fc.integer({ min: -500, max: 1700 }),
        fc.integer({ min: -200, max: 1800 }),
        (boxes, xMm, footMm) => {
          const own = lookRows(
            console48,
            boxes.map(([w, h, x], n) => thing(`Box ${n}`, 'freeBox', [w, h, 100], [x])),
          );
          const { thing: first, others } = pick(own, 'Box 0');
          const { place } = settledInFront(first, { xMm, footMm }, others, room, REACH);
          expect(place.xMm).toBeGreaterThanOrEqual(-1e-9);
          expect(place.xMm + first.size.widthMm).toBeLessThanOrEqual(room.widthMm + 1e-9);
          const below = others.find(({ id }) => id === place.onId);
          expect(place.footMm).toBeCloseTo(below ? below.box.topMm : 0, 9);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a spot seen from above', () => {
  it('lets a thing be set onto a tray, and off it again', () => {
    const table = lookRows({ kind: 'diningTable', widthMm: 1800, depthMm: 900 }, [
      thing('Tray', 'tray', [500, 40, 300], [600, 0, 300]),
      thing('Jug', 'vase', [120, 250, 120], [100, 0, 100]),
    ]);
    const { thing: jug, others } = pick(table, 'Jug');
    const size = {
      widthMm: 1800,
      heightMm: 1500,
      depthMm: 900,
      boards: [],
      doors: [],
      hasWall: true,
      baseMm: 0,
      isOpenToFront: false,
      beyondMm: 0,
    };
    expect(settledAbove(jug, { xMm: 700, frontMm: 400 }, others, size, 5).place).toMatchObject({
      footMm: 40,
      onId: others[0]?.id,
    });
    expect(settledAbove(jug, { xMm: 1300, frontMm: 400 }, others, size, 5).place).toMatchObject({
      footMm: 0,
      onId: null,
    });
  });
});

describe('what stands on something', () => {
  const stack: Partial<LookPieceRow>[] = [
    thing('Tray', 'tray', [400, 50, 300], [100], { id: uuid(1) }),
    thing('Books', 'books', [200, 90, 150], [150, 50], { id: uuid(2), onId: uuid(1) }),
    thing('Bowl', 'freeBox', [120, 60, 120], [180, 140], { id: uuid(3), onId: uuid(2) }),
  ];
  const rows = lookRows(console48, stack);

  it('goes along when that is moved, all the way up', () => {
    const things = thingsOf(rows);
    const { thing: tray } = pick(rows, 'Tray');
    expect(restingOn(things, uuid(1)).map(({ name }) => name)).toEqual(['Books', 'Bowl']);
    const places = carriedAlong(things, tray, { ...placeOf(tray), xMm: 300, frontMm: 20 });
    expect(places.map(({ xMm }) => xMm)).toEqual([300, 350, 380]);
    expect(places.map(({ footMm }) => footMm)).toEqual([0, 50, 140]);
  });

  it('comes down when that is taken away, onto what that stood on', () => {
    const after = outcomeOf(rows, 'takeAway', { ids: [uuid(2)] }).rows;
    const bowl = after?.lookPieces.find(({ id }) => id === uuid(3));
    expect(bowl).toMatchObject({ onId: uuid(1), footMm: 50 });
    const bare = outcomeOf(rows, 'takeAway', { ids: [uuid(1), uuid(2)] }).rows;
    expect(bare?.lookPieces).toHaveLength(1);
    expect(bare?.lookPieces[0]).toMatchObject({ onId: null, footMm: 0 });
  });

  it('cannot stand on itself, nor on a piece of another look', () => {
    const place = { id: uuid(1), xMm: 0, footMm: 0, frontMm: 0, layer: 0 };
    expect(outcomeOf(rows, 'movePieces', { places: [{ ...place, onId: uuid(3) }] }).refused?.accepted).toContain(
      'does not stand on this one',
    );
    expect(outcomeOf(rows, 'movePieces', { places: [{ ...place, onId: uuid(77) }] }).rows).toBeNull();
  });

  it('is placed after what it stands on', () => {
    const names = orderToPlace(thingsOf(rows)).flatMap(({ things }) => things.map(({ name }) => name));
    expect(names.indexOf('Tray')).toBeLessThan(names.indexOf('Books'));
    expect(names.indexOf('Books')).toBeLessThan(names.indexOf('Bowl'));
  });
});

describe('a look', () => {
  it('is placed big, tall, light, green, risers, small', () => {
    const rows = lookRows(console48, [
      thing('Jar', 'jar', [80, 120, 80], [0]),
      thing('Birch branches', 'foliage', [150, 500, 150], [100]),
      thing('Brass lamp', 'lampBase', [150, 400, 150], [300]),
      thing('Books', 'books', [240, 90, 170], [500]),
      thing('Tall screen', 'freeBox', [200, 700, 100], [800]),
      thing('Mirror', 'mirror', [600, 600, 25], [300, 400], { stance: 'hangs' }),
    ]);
    expect(
      orderToPlace(thingsOf(rows)).map(({ name, things }) => `${name}: ${things.map((one) => one.name).join()}`),
    ).toEqual([
      'big: Mirror',
      'tall: Tall screen',
      'light: Brass lamp',
      'green: Birch branches',
      'risers: Books',
      'small: Jar',
    ]);
  });

  it('goes with its pieces, and comes back with them', () => {
    const rows = lookRows(console48, [thing('Jar', 'jar', [80, 120, 80], [0])]);
    const after = outcomeOf(rows, 'removeLook', { id: LOOK_ID }).rows;
    expect(after?.looks).toEqual([]);
    expect(after?.lookPieces).toEqual([]);
  });

  it('holds no more pieces than it may', () => {
    const many = Array.from({ length: 121 }, (_, n) => ({
      ...lookRows(console48, [thing('Jar', 'jar', [8, 12, 8], [0])]).lookPieces[0],
      id: uuid(2000 + n),
    }));
    const rows = lookRows(console48, []);
    expect(outcomeOf(rows, 'placePieces', { rows: many }).rows).toBeNull();
  });
});
