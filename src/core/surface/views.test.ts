import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { completeMeasures } from './furnitureTemplate';
import { furnitureTemplates } from './templates';
import { aboveView, frontView, movedShape, sizeOf } from './views';

const TOLERANCE = 1;

describe.each(furnitureTemplates.all.map((template) => [template.id, template] as const))('the %s', (_id, template) => {
  const usual = completeMeasures(template, {});

  it('is as wide and as high from the front as it is', () => {
    const front = frontView(template, usual);
    const size = sizeOf(template, usual);
    expect(front.widthMm).toBeCloseTo(size.widthMm, 6);
    expect(front.heightMm).toBeCloseTo(size.heightMm, 6);
    expect(front.shapes.length).toBeGreaterThan(0);
  });

  it('is as wide and as deep from above as it is', () => {
    const above = aboveView(template, usual);
    const size = sizeOf(template, usual);
    expect(above.shapes.length).toBeGreaterThan(0);
    if (template.plan !== 'flat' || template.above === undefined) {
      expect(above.widthMm).toBeCloseTo(size.widthMm, 6);
      expect(above.heightMm).toBeCloseTo(size.depthMm, 6);
    }
  });

  it('draws nothing outside of its front, whatever it measures', () => {
    const arbitrary = fc.record(
      Object.fromEntries(
        template.measures.map((measure) => [
          measure.id,
          measure.kind === 'count'
            ? fc.integer({ min: measure.minimum, max: Math.min(measure.maximum, 40) })
            : fc.double({ min: measure.minimum, max: measure.maximum, noNaN: true }),
        ]),
      ),
    );
    fc.assert(
      fc.property(arbitrary, (measures) => {
        const front = frontView(template, measures as Record<string, number>);
        for (const shape of front.shapes)
          if (shape.kind === 'polygon')
            for (const [x, y] of shape.points) {
              expect(x).toBeGreaterThanOrEqual(-TOLERANCE);
              expect(y).toBeGreaterThanOrEqual(-TOLERANCE);
              expect(x).toBeLessThanOrEqual(front.widthMm + TOLERANCE);
              expect(y).toBeLessThanOrEqual(front.heightMm + TOLERANCE);
            }
      }),
      { numRuns: 25 },
    );
  });

  it('names only zones that it has', () => {
    const zones = new Set(template.zones(usual).map(({ id }) => id));
    for (const view of [frontView(template, usual), aboveView(template, usual)])
      for (const { zoneId } of view.shapes) if (zoneId !== null) expect(zones.has(zoneId)).toBe(true);
  });
});

describe('the faces that show from the side and from above', () => {
  it('are left out from the front: a nightstand of 406 by 635 mm is just that', () => {
    const template = furnitureTemplates.get('nightstand');
    const measures = completeMeasures(template, { widthMm: 406.4, heightMm: 635, depthMm: 381 });
    const size = sizeOf(template, measures);
    expect(size.widthMm).toBeCloseTo(406.4, 6);
    expect(size.heightMm).toBeCloseTo(635, 6);
    expect(size.depthMm).toBeCloseTo(381, 6);
    expect(template.draw(measures).widthMm).toBeGreaterThan(size.widthMm + 50);
  });

  it('of a frame are its moulding too: an opening of 8 by 10 in with 1 1/2 in around it is 11 by 13', () => {
    const template = furnitureTemplates.get('pictureFrame');
    const size = sizeOf(
      template,
      completeMeasures(template, { openWidthMm: 203.2, openHeightMm: 254, mouldingMm: 38.1 }),
    );
    expect(size.widthMm / 25.4).toBeCloseTo(11, 6);
    expect(size.heightMm / 25.4).toBeCloseTo(13, 6);
  });

  it('of what is round are as deep as it is wide; of what hangs flat thin', () => {
    const vase = furnitureTemplates.get('vase');
    expect(sizeOf(vase, completeMeasures(vase, {})).depthMm).toBeCloseTo(140, 6);
    const mirror = furnitureTemplates.get('wreath');
    expect(sizeOf(mirror, completeMeasures(mirror, {})).depthMm).toBe(40);
  });
});

describe('a shape that is moved', () => {
  it('keeps its form', () => {
    const line = movedShape(
      {
        kind: 'line',
        zoneId: null,
        shade: 0,
        thickMm: 1,
        points: [
          [0, 0],
          [10, 5],
        ],
      },
      3,
      4,
    );
    expect(line.kind === 'line' && line.points).toEqual([
      [3, 4],
      [13, 9],
    ]);
    const round = movedShape({ kind: 'ellipse', zoneId: null, shade: 0, cx: 1, cy: 2, rx: 3, ry: 4 }, 10, 20);
    expect(round).toMatchObject({ cx: 11, cy: 22, rx: 3, ry: 4 });
  });
});
