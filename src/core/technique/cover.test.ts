import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coatings } from '../catalog/coatings';
import { consumables } from '../catalog/consumables';
import { type StockFacts, stockFacts } from '../catalog/stockFacts';
import { boxOf, outlineAreaMm2, shifted } from '../surface/outline';
import { grown, welded, without } from '../surface/polygons';
import { shapeForms } from '../surface/shapeForms';
import { shapeAreaM2 } from '../surface/shapes';
import { type Face, unroll } from '../surface/unroll';
import { coverFace, dropsOf, largestPiece, openingsOn, seams, withOpenings } from './cover';
import { techniques } from './index';
import type { SheetPiece, SheetQuestion } from './sheetWork';
import { completeValues } from './technique';

const paper = (widthMm: number, lengthMm: number | null) =>
  stockFacts(
    {
      form: lengthMm === null ? 'roll' : 'sheet',
      widthMm,
      lengthMm,
      marginMm: 0,
      gapMm: 0,
      leastOffcutMm: 50,
      byTheStep: false,
    },
    null,
  );
const face = (widthMm: number, lengthMm: number, change: Partial<Face> = {}): Face => ({
  id: 'face',
  name: 'Face',
  widthMm,
  lengthMm,
  outline: null,
  curve: 'flat',
  count: 1,
  edgeMm: 0,
  ...change,
});
const question = (faces: Face[], stock = paper(305, 305), change: Partial<SheetQuestion> = {}): SheetQuestion => ({
  faces,
  times: 1,
  pieces: 1,
  detail: 'flat',
  hasMachine: true,
  areaM2: 0,
  stock,
  isUpright: true,
  shapes: [],
  ...change,
});
const edges = { bleedMm: 6, wrapMm: 15, overlapMm: 6 };

describe('covering a face', () => {
  it('takes one piece with its bleed where the sheet is large enough', () => {
    expect(coverFace(face(250, 120), question([]), edges)).toEqual([
      expect.objectContaining({ widthMm: 262, lengthMm: 132, count: 1, onFace: { xMm: -6, yMm: -6 } }),
    ]);
  });
  it('wraps an edge that has a thickness: the thickness and 15 mm behind it, on every side', () => {
    expect(coverFace(face(200, 120, { edgeMm: 18 }), question([]), edges)).toEqual([
      expect.objectContaining({ widthMm: 200 + 2 * 33, lengthMm: 120 + 2 * 33 }),
    ]);
  });
  it('wraps as far as the sheet reaches rather than adding a sliver: over the edge only, else strips for the edge', () => {
    expect(coverFace(face(250, 120, { edgeMm: 18 }), question([]), edges)).toEqual([
      expect.objectContaining({ widthMm: 250 + 2 * 18, lengthMm: 120 + 2 * 18 }),
    ]);
    const withStrips = coverFace(face(280, 120, { edgeMm: 18 }), question([]), edges);
    expect(withStrips).toEqual([
      expect.objectContaining({ widthMm: 292, lengthMm: 132, count: 1 }),
      // Over the face by the overlap, over the edge, and behind it.
      expect.objectContaining({ widthMm: 6 + 18 + 15, lengthMm: 280, count: 2 }),
      expect.objectContaining({ widthMm: 6 + 18 + 15, lengthMm: 120, count: 2 }),
    ]);
  });
  it('goes around a cylinder with one overlap and no bleed at the seam', () => {
    const [mantle] = unroll({ kind: 'cylinder', diameterMm: 80, heightMm: 100, ends: 0 });
    const [piece] = mantle ? coverFace(mantle, question([]), edges) : [];
    expect(piece?.widthMm).toBeCloseTo(Math.PI * 80 + 6, 9);
    expect(piece?.lengthMm).toBe(112);
  });
  it('parts what is larger than a sheet where the parts overlap', () => {
    // 612 across: two sheets and an overlap reach 604, so three columns, alike: (612 + 2 · 6) ÷ 3.
    const pieces = coverFace(face(600, 280), question([]), edges);
    expect(pieces.map(({ widthMm }) => widthMm)).toEqual([208, 208, 208]);
  });
  it('parts what is wider than a roll at whole repeats, so that the pattern meets; of one width it takes what it needs', () => {
    const roll: StockFacts = { ...paper(700, null), repeatMm: 640, isDirectional: true };
    const lengths = (wide: number, stock = roll) =>
      coverFace(face(wide, 600), question([], stock), edges).map(({ lengthMm, turn }) => [lengthMm, turn]);
    expect(lengths(1500)).toEqual([
      [640, 'fixed'],
      [640, 'fixed'],
      [640, 'fixed'],
    ]);
    expect(lengths(1500, { ...roll, isHalfDrop: true }).map(([mm]) => mm)).toEqual([640, 1280, 640]);
    expect(lengths(600)).toEqual([[612, 'fixed']]);
    expect(lengths(1500, { ...roll, repeatMm: null }).map(([mm]) => mm)).toEqual([612, 612, 612]);
  });
  it('covers every point of a face, and no piece is larger than its sheet', () => {
    const sizes = fc.record({
      width: fc.integer({ min: 10, max: 2000 }),
      length: fc.integer({ min: 10, max: 2000 }),
      edge: fc.constantFrom(0, 5, 20),
      sheet: fc.tuple(fc.integer({ min: 100, max: 800 }), fc.integer({ min: 100, max: 800 })),
    });
    fc.assert(
      fc.property(sizes, ({ width, length, edge, sheet: [across, along] }) => {
        const stock = paper(across, along);
        const pieces = coverFace(face(width, length, { edgeMm: edge }), question([], stock), edges);
        const room = largestPiece(stock);
        for (const { widthMm, lengthMm, turn } of pieces) {
          const straight = widthMm <= room.widthMm + 1e-6 && lengthMm <= room.lengthMm + 1e-6;
          const turned = turn === 'free' && lengthMm <= room.widthMm + 1e-6 && widthMm <= room.lengthMm + 1e-6;
          expect(straight || turned).toBe(true);
        }
        for (const [x, y] of [
          [0, 0],
          [width, 0],
          [0, length],
          [width, length],
          [width / 2, length / 2],
          [width / 3, length / 7],
        ] as const)
          expect(
            pieces.some(
              ({ onFace, widthMm, lengthMm }) =>
                onFace !== null &&
                x >= onFace.xMm - 1e-6 &&
                x <= onFace.xMm + widthMm + 1e-6 &&
                y >= onFace.yMm - 1e-6 &&
                y <= onFace.yMm + lengthMm + 1e-6,
            ),
          ).toBe(true);
      }),
    );
  });
});

describe('openings in a face', () => {
  const round = (pieces: readonly SheetPiece[]) =>
    pieces
      .flatMap(({ lines, onFace }) =>
        (lines ?? []).slice(1).map((ring) => {
          const box = boxOf([ring]);
          if (!box || !onFace) throw new Error('no ring');
          return [
            (box.left + box.right) / 2 + onFace.xMm,
            (box.top + box.bottom) / 2 + onFace.yMm,
            box.right - box.left,
          ].map((mm) => Math.round(mm * 10) / 10);
        }),
      )
      .sort(([a = 0], [b = 0]) => a - b);

  it('stand in a row across the middle: one in it, two at a quarter and three quarters', () => {
    const front = face(280, 120, { edgeMm: 18 });
    const covered = coverFace(front, question([front], paper(400, 400)), edges);
    expect(round(withOpenings(covered, [front], { holes: 1, holeMm: 8 }))).toEqual([[140, 60, 8]]);
    expect(round(withOpenings(covered, [front], { holes: 2, holeMm: 8 }))).toEqual([
      [70, 60, 8],
      [210, 60, 8],
    ]);
  });
  it('go to every piece they lie on: one on a seam is cut from both, each its part', () => {
    const front = face(600, 280);
    const covered = coverFace(front, question([front]), edges);
    const pieces = withOpenings(covered, [front], { holes: 4, holeMm: 150 });
    const onFace = pieces.map(({ lines, onFace: at }) => shifted((lines ?? []).slice(1), at?.xMm ?? 0, at?.yMm ?? 0));
    const together = welded(onFace.flat());
    const asked = welded(openingsOn(front, { holes: 4, holeMm: 150 }));
    expect(outlineAreaMm2(together)).toBeCloseTo(outlineAreaMm2(asked), 0);
  });
  it('change nothing else: sizes, counts and places are as without them', () => {
    const front = face(280, 120);
    const covered = coverFace(front, question([front]), edges);
    const bare = withOpenings(covered, [front], { holes: 3, holeMm: 30 }).map(({ lines: _, ...rest }) => rest);
    expect(bare).toEqual(covered);
    expect(withOpenings(covered, [front], { holes: 0, holeMm: 30 })).toBe(covered);
  });
});

describe('a true shape with its margin', () => {
  const rounded = shapeForms.flatMap((form) => unroll(form.build({})).filter(({ outline }) => outline !== null));

  it('reaches as far beyond the shape on every side, and no further', () => {
    expect(rounded.length).toBeGreaterThanOrEqual(6);
    for (const one of rounded) {
      const [piece] = coverFace(one, question([one], paper(9000, 9000)), edges);
      if (!piece?.outline || !piece.onFace || !one.outline) throw new Error(one.name);
      const margin = -piece.onFace.xMm;
      const onFace = shifted(piece.outline, piece.onFace.xMm, piece.onFace.yMm);
      // Nothing of the shape lies bare, and grown a hair more it takes in all that is cut.
      expect(outlineAreaMm2(without(grown(one.outline, margin - 0.1), onFace))).toBeLessThan(0.5);
      expect(outlineAreaMm2(without(onFace, grown(one.outline, margin + 0.1)))).toBeLessThan(0.5);
      const box = boxOf(piece.outline);
      expect(box && [box.left, box.top, box.right, box.bottom].map(Math.round)).toEqual(
        [0, 0, piece.widthMm, piece.lengthMm].map(Math.round),
      );
    }
  });
});

describe('strips whose pattern meets', () => {
  it('are cut to whole repeats: 2440 high, 100 trim, repeat 530 gives drops of 2650 (common practice, from memory)', () => {
    const stock = { ...paper(530, null), repeatMm: 530 };
    const drops = dropsOf(face(1500, 2440), question([], stock), 100, 0);
    expect(drops.map(({ lengthMm }) => lengthMm)).toEqual([2650, 2650, 2650]);
    // A roll of 10.05 m gives three of them.
    expect(Math.floor(10_050 / 2650)).toBe(3);
  });
  it('begin half a repeat lower on every other strip of a half drop', () => {
    const stock = { ...paper(530, null), repeatMm: 640, isHalfDrop: true };
    const drops = dropsOf(face(1500, 2440), question([], stock), 100, 0);
    // 2540 takes 4 repeats of 640; with 320 more it takes 5.
    expect(drops.map(({ lengthMm }) => lengthMm)).toEqual([2560, 3200, 2560]);
  });
  it('are as long as the wall and its trim where nothing has to meet', () => {
    expect(dropsOf(face(500, 2440), question([], paper(530, null)), 100, 0)[0]?.lengthMm).toBe(2540);
  });
});

describe('seams', () => {
  it('cover the length with no piece longer than asked, each over the last by the overlap', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 20, max: 900 }),
        fc.integer({ min: 0, max: 10 }),
        (length, most, overlap) => {
          const parts = seams(length, most, overlap);
          expect(parts[0]?.at).toBe(0);
          const last = parts.at(-1);
          expect((last?.at ?? 0) + (last?.length ?? 0)).toBeCloseTo(length, 6);
          parts.forEach((part, n) => {
            expect(part.length).toBeLessThanOrEqual(most + 1e-6);
            const next = parts[n + 1];
            if (next) expect(part.at + part.length - next.at).toBeCloseTo(overlap, 6);
          });
        },
      ),
    );
  });
});

const cutting = techniques.all.filter(({ sheet }) => sheet !== null);

describe.each(cutting)('the technique $id', (technique) => {
  const work = technique.sheet;
  const kinds = [
    ...consumables.all.filter((kind) => work?.accepts(kind)),
    ...coatings.all.filter((coating) => coating.role === 'film' && technique.accepts(coating)),
  ];
  it('has something to cut from', () => {
    expect(kinds.length).toBeGreaterThan(0);
    for (const kind of kinds) expect(kind.cut).toBeDefined();
  });
  it('covers every shape of the library or says why not, with at least the area of what it reaches', () => {
    for (const form of shapeForms) {
      const shape = form.build({});
      const areaM2 = shapeAreaM2(shape);
      for (const { cut } of kinds) {
        if (!cut || !work) continue;
        const asked = question(unroll(shape), stockFacts(cut, null), { areaM2 });
        const reason = work.cannot(asked);
        if (reason !== null) {
          expect(reason).not.toBe('');
          continue;
        }
        const values = completeValues(technique, {});
        const demand = work.cut(asked, values);
        const sheetM2 = (cut.widthMm * (cut.lengthMm ?? 1000)) / 1e6;
        const pieceM2 = demand.pieces.reduce(
          (sum, { widthMm, lengthMm, count }) => sum + (widthMm * lengthMm * count) / 1e6,
          0,
        );
        expect(Number.isFinite(demand.units) && demand.units >= 0 && demand.laidPieces >= 0).toBe(true);
        // What goes all over takes at least the area; a profile's extra surface is not paper's.
        if (!technique.partial && shape.kind !== 'panelDoor')
          expect(pieceM2 + demand.units * sheetM2).toBeGreaterThan(areaM2 * 0.995);
      }
    }
  });
  it('takes twice as much for twice as many', () => {
    const kind = kinds[0];
    if (!kind?.cut || !work || technique.partial) return;
    const stock = stockFacts(kind.cut, null);
    const faces = [face(200, 150)];
    const values = completeValues(technique, {});
    const once = work.cut(question(faces, stock, { areaM2: 0.03 }), values);
    const twice = work.cut(question(faces, stock, { areaM2: 0.06, times: 2 }), values);
    const count = (pieces: typeof once.pieces) => pieces.reduce((sum, piece) => sum + piece.count, 0);
    expect(count(twice.pieces)).toBe(2 * count(once.pieces));
    expect(twice.units).toBeCloseTo(2 * once.units, 9);
  });
});
