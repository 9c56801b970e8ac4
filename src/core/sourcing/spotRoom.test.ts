import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { slot, spot } from '../fixtures/projectRows';
import type { SpotRow } from '../model/rows';
import { emptyRectangles, type PlacedRectangle } from '../surface/emptyRectangles';
import { fitInRoom, goesInRoom, roomOfSlot, spotRoom, type ThingSize } from './spotRoom';

const drawer = (change: Partial<SpotRow> = {}): SpotRow =>
  spot('drawer', { kind: 'drawer', widthMm: 350, depthMm: 450, heightMm: 90, measures: {}, ...change });
const box = (width: number | null, depth: number | null, height: number | null): ThingSize => ({
  width,
  depth,
  height,
});
const into = (room: SpotRow, size: ThingSize) => {
  const clear = spotRoom(room);
  if (!clear) throw new Error('nobody measured it');
  return fitInRoom(clear, size);
};
const post = (xMm: number, yMm: number, widthMm: number, heightMm: number, name = '') => ({
  id: `${xMm} ${yMm}`,
  kind: 'obstacle' as const,
  name,
  xMm,
  yMm,
  widthMm,
  heightMm,
});

describe('whether an organizer goes into a drawer', () => {
  it('goes in with what is left on each side, either way round', () => {
    expect(into(drawer(), box(340, 400, 80))).toEqual({
      goes: true,
      blocked: false,
      spare: [
        { direction: 'width', byMm: 10 },
        { direction: 'depth', byMm: 50 },
        { direction: 'height', byMm: 10 },
      ],
    });
    // 440 wide is more than the drawer, but turned it lies along it.
    expect(into(drawer(), box(440, 340, 80)).goes).toBe(true);
    expect(into(drawer(), box(440, 360, 80))).toMatchObject({ goes: false, blocked: false });
    expect(into(drawer(), box(340, 400, 100)).spare).toContainEqual({ direction: 'height', byMm: -10 });
  });

  it('is stopped by the screw of the knob, which sticks in through the front', () => {
    const screwed = drawer({ measures: { screwMm: 25 } });
    // Behind the screw 425 are left of 450; beside it (350 − 8) ÷ 2 = 171.
    expect(into(screwed, box(340, 420, 80)).goes).toBe(true);
    expect(into(screwed, box(340, 440, 80))).toEqual({
      goes: false,
      blocked: true,
      spare: expect.arrayContaining([{ direction: 'depth', byMm: -15 }]),
    });
    expect(into(screwed, box(170, 440, 80)).goes).toBe(true);
    expect(into(screwed, box(172, 440, 80)).goes).toBe(false);
  });

  it('is stopped by what was marked in it, and says what that is', () => {
    const pipe = drawer({ features: [post(150, 200, 50, 50, 'the drain')] });
    expect(spotRoom(pipe)?.obstacles).toEqual(['the drain']);
    expect(into(pipe, box(150, 440, 80)).goes).toBe(true);
    expect(into(pipe, box(200, 440, 80)).blocked).toBe(true);
    expect(into(pipe, box(340, 190, 80)).goes).toBe(true);
  });

  it('is not judged by what nobody measured', () => {
    expect(into(drawer({ heightMm: null }), box(340, 400, 900)).goes).toBe(true);
    expect(into(drawer(), box(null, null, 80)).goes).toBe(true);
    expect(spotRoom(drawer({ widthMm: null, depthMm: null, heightMm: null }))).toBeNull();
  });
});

describe('whether a thing goes onto a shelf, or before a wall', () => {
  it('has to go in between two boards, not under the top of the whole', () => {
    const bookcase = spot('b', {
      kind: 'bookcase',
      widthMm: 800,
      depthMm: 280,
      heightMm: 1800,
      measures: { shelves: 5 },
    });
    // 1800 ÷ 5 − 20 of board.
    expect(into(bookcase, box(200, 200, 340)).goes).toBe(true);
    expect(into(bookcase, box(200, 200, 341)).spare).toContainEqual({ direction: 'height', byMm: -1 });
    // What stands upright is not turned to lie along the shelf.
    expect(into(bookcase, box(900, 200, 300)).goes).toBe(false);
  });

  it('goes beside the door, and a socket is hidden, not in the way', () => {
    const wall = spot('w', { kind: 'wall', widthMm: 3000, heightMm: 2400, depthMm: null });
    const door = { ...post(0, 0, 900, 2100), kind: 'door' as const };
    const socket = { ...post(1800, 300, 80, 80), kind: 'socket' as const };
    expect(into({ ...wall, features: [door, socket] }, box(2050, 400, 2200)).goes).toBe(true);
    expect(into({ ...wall, features: [door] }, box(2200, 400, 2200))).toMatchObject({ goes: false, blocked: true });
    expect(into({ ...wall, features: [door] }, box(2900, 400, 280)).goes).toBe(true);
  });

  it('is no matter for what stands below the sketch', () => {
    const top = spot('c', { kind: 'console', widthMm: 1000, depthMm: 300, heightMm: 1200, measures: {} });
    const below = slot('s', { spotId: 'c', box: { xMm: 0, yMm: -500, widthMm: 400, heightMm: 400 } });
    expect([roomOfSlot(below, [top]), roomOfSlot({ ...below, box: null }, [top])?.bare.width]).toEqual([null, 1000]);
  });
});

describe('the quick answer', () => {
  it('is the same as the full one', () => {
    const length = fc.option(fc.integer({ min: 10, max: 500 }), { nil: null });
    const stands = fc.array(
      fc.tuple(fc.nat(340), fc.nat(440), fc.integer({ min: 5, max: 200 }), fc.integer({ min: 5, max: 200 })),
      { maxLength: 3 },
    );
    fc.assert(
      fc.property(length, length, length, stands, fc.boolean(), (width, depth, height, posts, above) => {
        const room = spotRoom(
          drawer({ kind: above ? 'drawer' : 'console', features: posts.map((each) => post(...each)) }),
        );
        if (!room) throw new Error('nobody measured it');
        expect(goesInRoom(room, { width, depth, height })).toBe(fitInRoom(room, { width, depth, height }).goes);
      }),
    );
  });
});

describe('empty rectangles', () => {
  const room = { widthMm: 12, heightMm: 9 };
  const obstacle = fc.record({
    xMm: fc.integer({ min: -3, max: 12 }),
    yMm: fc.integer({ min: -3, max: 9 }),
    widthMm: fc.integer({ min: 1, max: 6 }),
    heightMm: fc.integer({ min: 1, max: 6 }),
  });
  const apart = (a: PlacedRectangle, b: PlacedRectangle) =>
    a.xMm + a.widthMm <= b.xMm ||
    b.xMm + b.widthMm <= a.xMm ||
    a.yMm + a.heightMm <= b.yMm ||
    b.yMm + b.heightMm <= a.yMm;

  it('leave two of a room with a post in its corner', () => {
    expect(emptyRectangles({ widthMm: 10, heightMm: 10 }, [post(0, 0, 2, 2)])).toEqual([
      { xMm: 0, yMm: 2, widthMm: 10, heightMm: 8 },
      { xMm: 2, yMm: 0, widthMm: 8, heightMm: 10 },
    ]);
    expect(emptyRectangles(room, [])).toEqual([{ xMm: 0, yMm: 0, ...room }]);
    expect(emptyRectangles(room, [post(-1, -1, 20, 20)])).toEqual([]);
  });

  it('hold whatever lies clear, and nothing else: against every place on a grid', () => {
    fc.assert(
      fc.property(
        fc.array(obstacle, { maxLength: 4 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 9 }),
        (stands, widthMm, heightMm) => {
          let goes = false;
          for (let xMm = 0; xMm + widthMm <= room.widthMm; xMm += 1)
            for (let yMm = 0; yMm + heightMm <= room.heightMm; yMm += 1)
              goes ||= stands.every((stand) => apart(stand, { xMm, yMm, widthMm, heightMm }));
          const held = emptyRectangles(room, stands);
          expect(held.some((empty) => empty.widthMm >= widthMm && empty.heightMm >= heightMm)).toBe(goes);
          expect(held.every((empty) => stands.every((stand) => apart(stand, empty)))).toBe(true);
        },
      ),
    );
  });
});
