import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { type Drawing, drawnRectangle } from '../drawing';
import { completeMeasures } from '../furnitureTemplate';
import { boxOf, doubleArea, isInside, type Point } from '../outline';
import { furnitureTemplates } from '../templates';
import { frontView } from '../views';
import { motifOf, motifs } from './motifs.data';
import { type FacedShape, facedDrawing, type PrintedShape, printColor, type ZoneFace } from './printedShapes';

const cream = { L: 92, a: 0, b: 12 };
const prints = (shapes: readonly FacedShape[]) =>
  shapes.filter((shape): shape is PrintedShape => shape.kind === 'rings');
const panel = (wide: number, high: number): Drawing => ({
  widthMm: wide,
  heightMm: high,
  shapes: [drawnRectangle('panel', 0, 0, wide, high)],
  labels: [],
  dimensions: [],
});
const papered = (design: string): ZoneFace => ({ paper: { design, color: cream }, letters: [] });

describe('the motif of a paper', () => {
  it.each([
    ['Olive branches on cream', 'leaf'],
    ['Blue ticking', 'stripe'],
    ['Red gingham', 'check'],
    ['Rose toile', 'flower'],
    ['Old sheet music', 'script'],
    ['Gray', 'sprig'],
    ['Starling blue', 'sprig'],
    ['', 'sprig'],
  ])('of “%s” is %s', (design, id) => {
    expect(motifOf(design).id).toBe(id);
  });

  it('lies in its square, and says no word that another one says', () => {
    const words = motifs.flatMap((motif) => motif.words);
    expect(new Set(words).size).toBe(words.length);
    for (const { outline } of motifs)
      for (const ring of outline)
        for (const [x, y] of ring) {
          expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
          expect(Math.max(x, y)).toBeLessThanOrEqual(1);
        }
  });
});

describe('a printed front', () => {
  it('has its motifs wholly on it, at most ninety, whatever its size', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 3000 }),
        fc.integer({ min: 20, max: 3000 }),
        fc.constantFrom(...motifs.map(({ words }) => words[0] ?? 'plain')),
        (wide, high, design) => {
          const found = prints(facedDrawing(panel(wide, high), () => papered(design)).shapes);
          expect(found.length).toBeGreaterThan(0);
          expect(found.length).toBeLessThanOrEqual(90);
          // Told once for all points: there are thousands of them.
          const points = found.flatMap(({ rings }) => rings.flat());
          const isOn = ([x, y]: readonly [number, number]) =>
            x >= -1e-9 && x <= wide + 1e-9 && y >= -1e-9 && y <= high + 1e-9;
          expect(points.filter((point) => !isOn(point))).toEqual([]);
        },
      ),
    );
  });

  it('has none of two motifs over each other', () => {
    const found = prints(facedDrawing(panel(400, 300), () => papered('Rose paper')).shapes);
    const shapes = found.map(({ rings }) =>
      polygonClipping.union(...(rings.map((ring) => [ring.map(([x, y]) => [x, y])]) as [polygonClipping.Polygon])),
    );
    shapes.forEach((shape, n) => {
      for (const other of shapes.slice(n + 1)) expect(polygonClipping.intersection(shape, other)).toEqual([]);
    });
  });

  it('has stripes and checks without a gap from one to the next, and flowers with air between', () => {
    const share = (design: string) => {
      const found = prints(facedDrawing(panel(300, 240), () => papered(design)).shapes);
      const covered = found.flatMap(({ rings }) => rings.map((ring) => Math.abs(doubleArea(ring)) / 2));
      return covered.reduce((sum, area) => sum + area, 0) / (300 * 240);
    };
    // A stripe takes four tenths of its repeat, a check a half of it.
    expect(share('Blue stripes')).toBeCloseTo(0.4, 2);
    expect(share('Red gingham')).toBeCloseTo(0.5, 2);
    expect(share('Rose paper')).toBeLessThan(0.35);
    expect(share('Rose paper')).toBeGreaterThan(0.05);
  });

  it('has as many motifs on a front twice as wide, until they are too many to tell apart', () => {
    const count = (wide: number, high: number) =>
      prints(facedDrawing(panel(wide, high), () => papered('Dotted')).shapes).length;
    expect(count(200, 100)).toBeGreaterThan(count(100, 100));
    expect(count(4000, 3000)).toBeLessThanOrEqual(90);
    expect(count(4000, 3000)).toBeGreaterThan(40);
  });

  it('is darker than its paper, and lighter on a dark one', () => {
    expect(printColor(cream).L).toBeLessThan(cream.L);
    expect(printColor({ L: 20, a: 0, b: 0 }).L).toBeGreaterThan(20);
  });

  it('stays as it is where no zone has a face, and leaves knobs and openings alone', () => {
    const template = furnitureTemplates.get('nightstand');
    const drawing = frontView(template, completeMeasures(template, {}));
    expect(facedDrawing(drawing, () => null).shapes).toEqual(drawing.shapes);
    const [zone] = template.zones(completeMeasures(template, {}));
    const faced = facedDrawing(drawing, (id) => (id === zone?.id ? papered('Stripes') : null));
    expect(faced.shapes.filter((shape) => shape.kind !== 'rings')).toEqual(drawing.shapes);
  });
});

describe('letters of film', () => {
  const letter: readonly Point[] = [
    [0, 0],
    [40, 0],
    [40, 20],
    [0, 20],
  ];
  const hole: readonly Point[] = [
    [10, 5],
    [30, 5],
    [30, 15],
    [10, 15],
  ];
  const lettered = (widthMm: number): ZoneFace => ({
    paper: null,
    letters: [{ outline: [letter, hole], widthMm, heightMm: 20, color: { L: 10, a: 0, b: 0 } }],
  });

  it('stand at their true size in the middle of the largest shape of their zone, with their counters', () => {
    const drawing: Drawing = {
      ...panel(200, 100),
      shapes: [drawnRectangle('panel', 0, 0, 20, 20), drawnRectangle('panel', 0, 0, 200, 100)],
    };
    const [found, ...more] = prints(facedDrawing(drawing, () => lettered(40)).shapes);
    expect(more).toEqual([]);
    expect(boxOf(found?.rings ?? [])).toEqual({ left: 80, top: 40, right: 120, bottom: 60 });
    expect(isInside([100, 50], found?.rings ?? [])).toBe(false);
    expect(isInside([83, 50], found?.rings ?? [])).toBe(true);
  });

  it('are drawn smaller where they would reach beyond it', () => {
    const [found] = prints(facedDrawing(panel(30, 100), () => lettered(40)).shapes);
    const box = boxOf(found?.rings ?? []);
    expect((box?.right ?? 0) - (box?.left ?? 0)).toBeCloseTo(30 * 0.92, 6);
  });
});
