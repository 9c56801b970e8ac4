import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sketchRoom } from '../catalog/spotKind';
import { spotKinds } from '../catalog/spotKinds';
import { slot } from '../fixtures/projectRows';
import type { SlotBox, SlotRow, SpotRow } from '../model/rows';
import { newSpot } from '../plan/newRows';
import { emptyBrief } from '../state/brief';
import { sentenceFor } from '../words/sentences';
import { patternFromSlots, patternsFor, slotsFromPattern, startingPatterns } from './patterns';
import { repeatsOf } from './repeats';
import { quantityOf, seatsOf } from './seats';
import { insideRoom, sketchBoxes, snapped } from './sketchBoxes';
import { checkSketch, sketchChecks } from './sketchChecks';

const inches = (n: number) => n * 25.4;
const box = (x: number, y: number, width: number, height: number): SlotBox => ({
  xMm: inches(x),
  yMm: inches(y),
  widthMm: inches(width),
  heightMm: inches(height),
});
const spot = (kind: string, change: Partial<SpotRow> = {}): SpotRow => ({
  ...newSpot('spot', 'The spot', kind, 0),
  ...change,
});
const codes = (of: SpotRow, slots: readonly SlotRow[]) =>
  checkSketch(of, slots, emptyBrief).map((finding) => finding.code.replace('sketch.', ''));
const table = (change: Partial<SpotRow> = {}) =>
  spot('diningTable', { widthMm: inches(72), depthMm: inches(36), ...change });

describe.each(spotKinds.all)('the spot kind $id', (kind) => {
  it('has words for what it asks, usual sizes and measures that allow their standard', () => {
    expect(kind.asks.width).not.toBe('');
    expect(kind.usual.widthMm).toBeGreaterThan(0);
    for (const measure of kind.measures) {
      expect(measure.standard).toBeGreaterThanOrEqual(measure.minimum);
      expect(measure.standard).toBeLessThanOrEqual(measure.maximum);
    }
    const room = sketchRoom(kind, spot(kind.id));
    expect(room.widthMm > 0 && room.heightMm > 0).toBe(true);
  });

  it('draws its surroundings inside its own room, with nothing measured', () => {
    const room = sketchRoom(kind, spot(kind.id));
    for (const shape of kind.scenery(room, {}))
      if (shape.kind === 'polygon')
        for (const [x, y] of shape.points)
          expect(x >= -1 && y >= -1 && x <= room.widthMm + 1 && y <= room.heightMm + 1).toBe(true);
  });

  it('has a starting pattern, or is a plain wall, window or top that shares one', () => {
    expect(patternsFor(kind.id).length).toBeGreaterThan(0);
  });
});

describe('starting patterns', () => {
  it('are at least ten, each with a reason and one thing that must be there', () => {
    expect(startingPatterns.all.length).toBeGreaterThanOrEqual(10);
    for (const pattern of startingPatterns.all) {
      expect(pattern.reason.length).toBeGreaterThan(30);
      for (const kindId of pattern.spotKinds) expect(spotKinds.ids).toContain(kindId);
    }
  });

  it.each(startingPatterns.all.flatMap((pattern) => pattern.spotKinds.map((kindId) => ({ pattern, kindId }))))(
    '$pattern.id laid on a $kindId stays inside it and warns of nothing',
    ({ pattern, kindId }) => {
      const of = spot(kindId);
      const laid = slotsFromPattern(
        pattern,
        of,
        4,
        pattern.slots.map((_, n) => `s${n}`),
      );
      expect(laid.map((row) => row.number)).toEqual(pattern.slots.map((_, n) => 4 + n));
      expect(codes(of, laid).filter((code) => code.startsWith('outside'))).toEqual([]);
    },
  );

  it('come back from a sketch as they were laid, to a thousandth', () => {
    const of = spot('console', { widthMm: 1200, heightMm: 1500 });
    const pattern = startingPatterns.get('mirrorAndLean');
    const back = patternFromSlots(of, slotsFromPattern(pattern, of, 1, ['a', 'b', 'c', 'd', 'e']));
    back.forEach((entry, n) => {
      const first = pattern.slots[n];
      expect([entry.name, entry.role, entry.quantity]).toEqual([first?.name, first?.role, first?.quantity]);
      expect(Math.abs(entry.x - (first?.x ?? 0))).toBeLessThan(0.001);
      expect(Math.abs(entry.height - (first?.height ?? 0))).toBeLessThan(0.001);
    });
  });
});

describe('seats', () => {
  it('ask seats × parts + spares', () => {
    const six = table({ measures: { seats: 6 } });
    expect(seatsOf(six)).toBe(6);
    expect(quantityOf(slot('plates', { perSeat: { parts: 1, spares: 2 } }), six)).toBe(8);
    expect(quantityOf(slot('forks', { perSeat: { parts: 2, spares: 0 } }), six)).toBe(12);
    expect(quantityOf(slot('vase', { quantity: 3 }), six)).toBe(3);
    expect(seatsOf(spot('wall'))).toBe(0);
  });

  // Place setting 24 in wide (20 to 30); table ends at least 12 in: common practice, from memory.
  it.each([
    [72, 36, 6, 2, true],
    [72, 36, 8, 2, true],
    [72, 36, 9, 2, false],
    [48, 36, 6, 2, true],
    [48, 36, 7, 2, false],
    [60, 30, 6, 0, false],
  ])('a table of %d × %d in seats %d with %d at the ends: %s', (length, depth, seats, ends, fits) => {
    const of = table({ widthMm: inches(length), depthMm: inches(depth), measures: { seats, seatsAtEnds: ends } });
    expect(codes(of, []).includes('seatWidth')).toBe(!fits);
  });

  it('go around a round table by its circumference: 48 in seats six, not seven', () => {
    const round = (seats: number) =>
      codes(table({ widthMm: inches(48), depthMm: inches(48), measures: { round: 1, seats } }), []);
    expect(round(6)).not.toContain('seatWidth');
    expect(round(7)).toContain('seatWidth');
  });

  it('count the leaves', () => {
    const of = (leaf: number) =>
      codes(table({ widthMm: inches(72), measures: { seats: 10, seatsAtEnds: 2, leavesMm: inches(leaf) } }), []);
    expect(of(0)).toContain('seatWidth');
    expect(of(24)).not.toContain('seatWidth');
  });
});

describe('a centerpiece', () => {
  // At most 12 to 14 in tall or at least 24 on a stem; length a third to a half, width at most a third (from memory).
  const middle = (least: number | null, most: number | null) =>
    slot('middle', {
      role: 'anchor',
      height: {
        minimumMm: least === null ? null : inches(least),
        maximumMm: most === null ? null : inches(most),
      },
    });
  it.each([
    [null, 14, false],
    [null, 15, true],
    [12, 20, true],
    [24, 30, false],
    [null, null, false],
  ])('from %s to %s in tall stands in the way of eyes: %s', (least, most, warned) => {
    expect(codes(table(), [middle(least, most)]).includes('centerpieceSight')).toBe(warned);
  });

  it('leaves half of the length and two thirds of the width to the plates', () => {
    const of = (width: number, height: number) =>
      codes(table(), [slot('middle', { role: 'anchor', box: box(1, 1, width, height) })]);
    expect(of(36, 12)).toEqual([]);
    expect(of(37, 12)).toEqual(['centerpieceLong']);
    expect(of(30, 13)).toEqual(['centerpieceWide']);
  });

  it('does not look at what stands at every seat', () => {
    expect(
      codes(table(), [
        slot('glass', {
          role: 'height',
          perSeat: { parts: 1, spares: 0 },
          height: { minimumMm: null, maximumMm: 500 },
        }),
      ]),
    ).toEqual([]);
  });
});

describe('things side by side', () => {
  const row = (...widths: number[]) =>
    widths.map((width, n) => slot(`${n}`, { number: n + 1, box: box(n, 0, width, 4) }));
  it('need their widths and half an inch between', () => {
    const of = spot('console', { widthMm: inches(20) });
    expect(codes(of, row(10, 9.5))).not.toContain('widthsInRow');
    expect(codes(of, row(10, 10))).toContain('widthsInRow');
    // A spot may want more air, or none.
    expect(codes({ ...of, gapMm: inches(1) }, row(10, 9.5))).toContain('widthsInRow');
    expect(codes({ ...of, gapMm: inches(0) }, row(10, 10))).not.toContain('widthsInRow');
    const [finding] = checkSketch(of, row(10, 10), emptyBrief).filter((entry) => entry.code.endsWith('widthsInRow'));
    expect(sentenceFor(finding as never, { units: 'us', currency: 'USD' })).toBe(
      '2 things side by side need 20 1/2 in with 1/2 in between: 1/2 in more than The spot has.',
    );
  });

  it('on a tray only count what stands in the same row', () => {
    const tray = spot('tray', { widthMm: inches(12), depthMm: inches(12) });
    const front = slot('front', { box: box(0, 0, 7, 4) });
    expect(codes(tray, [front, slot('back', { number: 2, box: box(5, 6, 7, 4) })])).toEqual([]);
    expect(codes(tray, [front, slot('beside', { number: 2, box: box(5, 2, 7, 4) })])).toEqual(['widthsInRow']);
  });

  it('do not count on a wall, where things hang above each other', () => {
    expect(codes(spot('wall', { widthMm: inches(20) }), row(12, 12))).toEqual([]);
  });
});

describe('what the place has', () => {
  const door = {
    id: 'd',
    kind: 'door' as const,
    name: 'the pantry door',
    xMm: inches(40),
    yMm: 0,
    widthMm: inches(28),
    heightMm: inches(80),
  };
  it('keeps the swing of a door free: its width and two inches', () => {
    const wall = spot('bedWall', { widthMm: inches(120), features: [door] });
    expect(codes(wall, [slot('chest', { box: box(20, 0, 17, 18) })])).not.toContain('doorSwing');
    expect(codes(wall, [slot('chest', { box: box(20, 0, 20, 18) })])).toContain('doorSwing');
    const floor = spot('floorArea', { features: [{ ...door, yMm: inches(0) }] });
    expect(codes(floor, [slot('rug', { box: box(45, 20, 20, 20) })])).toContain('doorSwing');
    expect(codes(floor, [slot('rug', { box: box(45, 31, 20, 20) })])).not.toContain('doorSwing');
  });

  it('says when a socket would be covered', () => {
    const of = spot('console', {
      features: [
        {
          ...door,
          kind: 'socket',
          name: 'the socket',
          xMm: inches(4),
          yMm: inches(4),
          widthMm: inches(3),
          heightMm: inches(5),
        },
      ],
    });
    expect(codes(of, [slot('books', { box: box(2, 0, 4, 10) })])).toContain('coversSocket');
    expect(codes(of, [slot('books', { box: box(2, 0, 4, 3) })])).not.toContain('coversSocket');
  });

  it('says how far a thing leaves it', () => {
    const of = spot('console', { widthMm: inches(40), heightMm: inches(30) });
    expect(codes(of, [slot('mirror', { box: box(-1, 0, 20, 31) })])).toEqual(['outsideWidth', 'outsideHeight']);
  });

  // Over furniture two thirds to three quarters of its width, some from one half; over a mantel a half to two thirds
  // (common practice, from memory).
  it.each([
    ['console', 19, 'artNarrow'],
    ['console', 20, null],
    ['console', 30, null],
    ['console', 31, 'artWide'],
    ['mantel', 19, 'artNarrow'],
    ['mantel', 20, null],
    ['mantel', 26, null],
    ['mantel', 28, 'artWide'],
    ['sideboard', 28, null],
    ['wall', 19, 'artNarrow'],
    ['wall', 20, null],
    ['wall', 30, null],
    ['wall', 31, 'artWide'],
  ])('over a %s of 40 in art of %d in: %s', (kind, width, code) => {
    const of = spot(kind, { widthMm: inches(40) });
    const said = codes(of, [slot('art', { role: 'anchor', box: box(5, 20, width, 10) })]);
    expect(said.filter((entry) => entry.startsWith('art'))).toEqual(code === null ? [] : [code]);
  });

  it('on a wall is held against what stands below it, and against the wall where nothing does', () => {
    const of = spot('wall', { widthMm: inches(120), heightMm: inches(96) });
    const art = slot('art', { role: 'anchor', box: box(40, 50, 30, 30) });
    const bench = slot('bench', { number: 2, box: box(35, 0, 44, 18) });
    const words = (...slots: SlotRow[]) =>
      checkSketch(of, slots, emptyBrief)
        .filter(({ code }) => code.startsWith('sketch.art'))
        .map((finding) => sentenceFor(finding, { units: 'us', currency: 'USD' }));
    expect(words(art)[0]).toContain('narrow for the wall');
    // 30 of 44 in is two thirds: right over the bench.
    expect(words(art, bench)).toEqual([]);
    expect(words({ ...art, box: box(40, 50, 40, 30) }, bench)[0]).toContain('wide for what lies below');
    // What stands beside it is not below it.
    expect(words(art, { ...bench, box: box(80, 0, 36, 18) })[0]).toContain('the wall');
  });
});

describe('schools', () => {
  const of = spot('console', { widthMm: inches(40), heightMm: inches(30) });
  const said = (slots: readonly SlotRow[], school: Partial<typeof emptyBrief>) =>
    checkSketch(of, slots, { ...emptyBrief, ...school }).map((finding) => finding.code.replace('sketch.', ''));
  const lean = [
    slot('a', { number: 1, box: box(1, 0, 8, 20) }),
    slot('b', { number: 2, box: box(12, 0, 4, 10) }),
    slot('c', { number: 3, box: box(30, 0, 4, 6) }),
  ];
  const mirrored = [
    slot('a', { number: 1, box: box(2, 0, 4, 20) }),
    slot('b', { number: 2, box: box(16, 0, 8, 10) }),
    slot('c', { number: 3, box: box(34, 0, 4, 20) }),
  ];
  it('of arranging: mirrored sides weigh alike, uneven ones do not', () => {
    expect(said(lean, { arranging: 'mirror' })).toEqual(['sidesDiffer']);
    expect(said(mirrored, { arranging: 'mirror' })).toEqual([]);
    expect(said(mirrored, { arranging: 'uneven' })).toEqual(['sidesAlike']);
    expect(said(lean, { arranging: 'uneven' })).toEqual([]);
  });
  it('of grouping: three and five of the small things, or as one likes', () => {
    const four = [slot('x', { role: 'filler', quantity: 4, box: box(1, 0, 2, 2) })];
    expect(said(four, { grouping: 'odd' })).toContain('evenGroup');
    expect(said(four, { grouping: 'free' })).not.toContain('evenGroup');
  });
  it('of amount: paring back leaves a third free', () => {
    const full = [0, 1, 2].map((n) => slot(`${n}`, { number: n + 1, box: box(n * 13, 0, 12.5, 26) }));
    expect(said(full, { amount: 'pareBack' })).toContain('noAir');
    expect(said(full, { amount: 'layerUp' })).not.toContain('noAir');
    expect(said(lean, { amount: 'pareBack' })).toEqual([]);
  });
});

describe('every check of a sketch', () => {
  it('is silent over an empty spot and over slots that nobody placed or sized', () => {
    for (const kind of spotKinds.all) {
      const open = [slot('a'), slot('b', { number: 2, role: 'anchor' })];
      for (const check of sketchChecks.all) expect(check.id).toMatch(/^[a-z]+([A-Z][a-z]+)*$/);
      expect(codes(spot(kind.id), [])).toEqual([]);
      expect(codes(spot(kind.id), open)).toEqual([]);
    }
  });

  it('gives findings that stand in the table of sentences, for any sketch', () => {
    const anyBox = fc.record({
      xMm: fc.integer({ min: -500, max: 3000 }),
      yMm: fc.integer({ min: -500, max: 3000 }),
      widthMm: fc.integer({ min: 1, max: 3000 }),
      heightMm: fc.integer({ min: 1, max: 3000 }),
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...spotKinds.ids),
        fc.array(fc.record({ box: fc.option(anyBox), role: fc.constantFrom('anchor', 'height', null) }), {
          maxLength: 6,
        }),
        (kindId, drawn) => {
          const slots = drawn.map((entry, n) => slot(`${n}`, { number: n + 1, ...entry } as Partial<SlotRow>));
          for (const finding of checkSketch(spot(kindId, { features: [door()] }), slots, emptyBrief))
            expect(sentenceFor(finding, { units: 'metric', currency: 'EUR' })).not.toContain('sketch.');
        },
      ),
    );
  });
  const door = () => ({ id: 'd', kind: 'door' as const, name: '', xMm: 300, yMm: 0, widthMm: 800, heightMm: 2000 });
});

describe('boxes', () => {
  it('are proposed from left to right for slots that are not placed, inside the room', () => {
    const of = spot('console');
    const placed = sketchBoxes(of, [
      slot('b', { number: 2 }),
      slot('a', { number: 1, width: { minimumMm: null, maximumMm: 100 } }),
    ]);
    expect(placed.map((entry) => [entry.slot.id, entry.placed])).toEqual([
      ['a', false],
      ['b', false],
    ]);
    expect(placed[0]?.box.widthMm).toBe(100);
    expect(placed[1]?.box.xMm).toBeGreaterThan((placed[0]?.box.xMm ?? 0) + 100);
  });

  it('snap to edges and middles within reach, and to nothing beyond it', () => {
    const room = { widthMm: 1000, heightMm: 800 };
    const other = { xMm: 100, yMm: 0, widthMm: 200, heightMm: 300 };
    const near = snapped({ xMm: 306, yMm: 4, widthMm: 100, heightMm: 100 }, [other], room, 10);
    expect(near.box).toMatchObject({ xMm: 300, yMm: 0 });
    expect([near.atX, near.atY]).toEqual([300, 0]);
    const far = snapped({ xMm: 620, yMm: 440, widthMm: 100, heightMm: 100 }, [other], room, 10);
    expect(far).toMatchObject({ box: { xMm: 620, yMm: 440 }, atX: null, atY: null });
    expect(snapped({ xMm: 452, yMm: 100, widthMm: 100, heightMm: 50 }, [], room, 10).box.xMm).toBe(450);
  });

  it('never snap farther than the reach, and stay inside the room when held there', () => {
    const length = fc.integer({ min: 1, max: 900 });
    const place = fc.integer({ min: -200, max: 1200 });
    const any = fc.record({ xMm: place, yMm: place, widthMm: length, heightMm: length });
    fc.assert(
      fc.property(any, fc.array(any, { maxLength: 8 }), (moved, others) => {
        const room = { widthMm: 1000, heightMm: 800 };
        const result = snapped(moved, others, room, 8).box;
        expect(Math.abs(result.xMm - moved.xMm)).toBeLessThanOrEqual(8);
        expect(Math.abs(result.yMm - moved.yMm)).toBeLessThanOrEqual(8);
        const held = insideRoom(moved, room);
        expect(
          held.xMm >= 0 && held.xMm + held.widthMm <= 1000 && held.yMm >= 0 && held.yMm + held.heightMm <= 800,
        ).toBe(true);
      }),
    );
  });
});

describe('the further pieces of a slot', () => {
  const room = { widthMm: 1000, heightMm: 800 };
  const one = { xMm: 50, yMm: 0, widthMm: 100, heightMm: 100 };
  const at = (boxes: readonly { xMm: number; yMm: number }[]) => boxes.map((box) => [box.xMm, box.yMm]);
  it('of a pair mirrors the first about the middle, or stands beside it where the mirror image would cover it', () => {
    expect(at(repeatsOf(one, { quantity: 2, perSeat: null }, room))).toEqual([[850, 0]]);
    expect(at(repeatsOf({ ...one, xMm: 440 }, { quantity: 2, perSeat: null }, room))).toEqual([[560, 0]]);
  });
  it('of three stand in a row; those past the end of the wall are not drawn', () => {
    expect(at(repeatsOf(one, { quantity: 3, perSeat: null }, room))).toEqual([
      [170, 0],
      [290, 0],
    ]);
    expect(at(repeatsOf({ ...one, xMm: 800 }, { quantity: 3, perSeat: null }, room))).toEqual([]);
  });
  it('of six frames make a grid that ends as far from the right as it begins from the left', () => {
    const frame = { xMm: 50, yMm: 48, widthMm: 270, heightMm: 336 };
    const boxes = repeatsOf(frame, { quantity: 6, perSeat: null }, room);
    expect(boxes).toHaveLength(5);
    expect(Math.max(...boxes.map((box) => box.xMm + box.widthMm))).toBeCloseTo(950);
    // Gaps are the same across and up: 45 between columns of 270, two rows of 336.
    expect(Math.max(...boxes.map((box) => box.yMm + box.heightMm))).toBeCloseTo(48 + 336 + 45 + 336);
  });
  it('of six seats face each other across the table, spares left out', () => {
    const plate = { xMm: 60, yMm: 24, widthMm: 140, heightMm: 208 };
    const boxes = repeatsOf(plate, { quantity: 8, perSeat: { parts: 1, spares: 2 } }, room);
    expect(boxes).toHaveLength(5);
    expect(boxes.filter((box) => box.yMm === 24)).toHaveLength(2);
    expect(boxes.filter((box) => box.yMm === 800 - 24 - 208)).toHaveLength(3);
  });
  it('are never drawn outside the room, nor more than can be asked for', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 1, max: 100 }),
        fc.integer({ min: 1, max: 40 }),
        fc.option(fc.record({ parts: fc.integer({ min: 1, max: 3 }), spares: fc.integer({ min: 0, max: 2 }) })),
        (xMm, widthMm, quantity, perSeat) => {
          const boxes = repeatsOf({ xMm, yMm: 10, widthMm, heightMm: 60 }, { quantity, perSeat }, room);
          expect(boxes.length).toBeLessThan(quantity);
          for (const box of boxes) {
            expect(box.xMm).toBeGreaterThanOrEqual(-0.5);
            expect(box.xMm + box.widthMm).toBeLessThanOrEqual(1000.5);
            expect(box.yMm + box.heightMm).toBeLessThanOrEqual(800.5);
          }
        },
      ),
    );
  });
});
