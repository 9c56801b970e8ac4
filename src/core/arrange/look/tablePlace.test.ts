import { thing } from '@core/fixtures/lookRows';
import { putIntoLook } from '@core/fixtures/putIntoLook';
import type { LookPieceRow, SpotRow } from '@core/model/rows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meets } from './lookThing';

/** Where things go on tables seen from above, and on walls, one after the other. */
type Described = Partial<LookPieceRow>;

function look(spot: Partial<SpotRow>) {
  const { put, things } = putIntoLook(spot);
  return { things, put: (of: Described, count = 1): LookPieceRow[] => put(of, count).rows };
}
const box = (name: string, width: number, height: number, depth: number): Described =>
  thing(name, 'freeBox', [width, height, depth], [0]);
const coffeeTable = { kind: 'coffeeTable', widthMm: 1200, depthMm: 600, heightMm: null } as const;
const pairs = <T>(all: readonly T[]) => all.flatMap((a, n) => all.slice(n + 1).map((b) => [a, b] as const));

describe('on a table', () => {
  it('what finds no room along the middle stands before or behind, in nobody’s place', () => {
    const { put, things } = look(coffeeTable);
    put(box('Wide bowl', 700, 120, 250));
    put(box('Toy ship', 600, 150, 120));
    const [a, b] = things();
    expect(a && b && meets(a.box, b.box)).toBe(false);
  });

  it('whatever fits is in nobody’s place', () => {
    const size = fc.record({ wide: fc.integer({ min: 40, max: 280 }), deep: fc.integer({ min: 40, max: 190 }) });
    fc.assert(
      fc.property(fc.array(size, { minLength: 2, maxLength: 6 }), (sizes) => {
        const { put, things } = look(coffeeTable);
        sizes.forEach(({ wide, deep }, n) => {
          put(box(`Box ${n}`, wide, 100, deep));
        });
        for (const [a, b] of pairs(things())) expect(meets(a.box, b.box)).toBe(false);
        // A millimeter counts as a touch: where something only just fits, half of it may be over the edge.
        for (const { box: at } of things()) {
          expect(at.leftMm).toBeGreaterThanOrEqual(-0.6);
          expect(at.rightMm).toBeLessThanOrEqual(1200.6);
          expect(at.frontMm).toBeGreaterThanOrEqual(-0.6);
          expect(at.backMm).toBeLessThanOrEqual(600.6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a tray gathers what is small beside it; books and cloth lie elsewhere; a full one leaves the rest to the table', () => {
    const { put, things } = look(coffeeTable);
    const [tray] = put(thing('Wooden tray', 'tray', [450, 50, 300], [0]));
    const [vase] = put(box('Bud vase', 80, 180, 80));
    expect(vase).toMatchObject({ onId: tray?.id, footMm: 50 });
    const [books] = put(box('Stack of books', 200, 80, 150));
    expect(books?.onId).toBeNull();
    for (let n = 0; n < 14; n += 1) put(box(`Candle cup ${n}`, 120, 90, 120));
    const on = things().filter(({ placement }) => placement.onId === tray?.id);
    expect(on.length).toBeGreaterThanOrEqual(3);
    expect(on.length).toBeLessThan(15);
    for (const [a, b] of pairs(on)) expect(meets(a.box, b.box)).toBe(false);
    for (const { box: at } of on) {
      const rim = things().find(({ id }) => id === tray?.id)?.box;
      expect(at.leftMm).toBeGreaterThan(rim?.leftMm ?? 0);
      expect(at.backMm).toBeLessThan(rim?.backMm ?? 0);
    }
  });
});

describe('on a wall', () => {
  const gallery = { kind: 'galleryWall', widthMm: 2400, heightMm: 1500 } as const;
  const frame = thing('Frame', 'freeBox', [350, 400, 20], [0]);

  it('a full row goes on above and below it, with nothing in another’s place', () => {
    const { put, things } = look(gallery);
    put({ ...frame, stance: 'hangs' }, 4);
    put({ ...box('Round mirror', 500, 500, 20) });
    put({ ...frame, stance: 'hangs' }, 2);
    for (const [a, b] of pairs(things())) expect(meets(a.box, b.box)).toBe(false);
    expect(new Set(things().map(({ box: at }) => Math.round(at.footMm))).size).toBeGreaterThan(1);
  });

  it('of a gallery nothing stands: a hat hangs there', () => {
    const { put } = look(gallery);
    expect(put(box('Woven hat', 350, 120, 330))[0]?.stance).toBe('hangs');
  });

  it.each(['Wall sconce', 'Key hooks', 'Coat rack', 'Plate rail', 'Wall clock', 'Row of hooks', 'Peg rail'])(
    '%s hangs over a floor, too',
    (name) => {
      const { put } = look({ kind: 'wall', widthMm: 3000, heightMm: 2400 });
      expect(put(box(name, 300, 200, 80))[0]?.stance).toBe('hangs');
    },
  );

  it('a television stands on its console, a pillow on the bench; a bench stands on the floor', () => {
    const { put, things } = look({ kind: 'wall', widthMm: 3000, heightMm: 2400 });
    const [console] = put(thing('Media console', 'consoleTable', [1500, 600, 400], [0]));
    expect(put(box('Television', 1200, 710, 216))[0]).toMatchObject({ onId: console?.id, footMm: 600 });
    const [bench] = put(box('Bench', 1200, 450, 400));
    expect(bench).toMatchObject({ onId: null, footMm: 0 });
    expect(put(thing('Striped pillow', 'cushion', [450, 450, 150], [0]))[0]).toMatchObject({
      onId: bench?.id,
      footMm: 450,
    });
    for (const [a, b] of pairs(things())) expect(meets(a.box, b.box)).toBe(false);
  });

  it.each(['Coat stand', 'Standing coat rack', 'Umbrella stand', 'Floor lamp', 'Alarm clock', 'Hall tree'])(
    '%s stands',
    (name) => {
      const { put } = look({ kind: 'wall', widthMm: 3000, heightMm: 2400 });
      expect(put(box(name, 300, 900, 300))[0]?.stance).toBe('stands');
    },
  );
});
