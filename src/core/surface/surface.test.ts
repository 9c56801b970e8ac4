import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MM_PER_INCH } from '../kernel/units';
import { completeMeasures, usualMeasures } from './furnitureTemplate';
import { shapeForms } from './shapeForms';
import { ellipsePerimeter, shapeAreaM2, shapeEdgeM, shapeTexture, type ZoneShape } from './shapes';
import { furnitureTemplates } from './templates';
import { sizeOf } from './views';
import { zoneAreaM2 } from './zone';

const inches = (n: number) => n * MM_PER_INCH;

describe('shape areas against worked geometry', () => {
  // Elementary geometry, worked independently; numbers as in the examples of the trade's reference sheet.
  it.each<[string, ZoneShape, number]>([
    ['a closed box 600 × 400 × 300 mm', { kind: 'boxClosed', widthMm: 600, depthMm: 400, heightMm: 300 }, 1.08],
    [
      'a dresser carcass 48 × 18 × 32 in (3552 in²)',
      { kind: 'carcass', widthMm: inches(48), depthMm: inches(18), heightMm: inches(32) },
      2.2916,
    ],
    ['a planter Ø 30 × 40 cm, side', { kind: 'cylinder', diameterMm: 300, heightMm: 400, ends: 0 }, 0.376991],
    ['the same with its base', { kind: 'cylinder', diameterMm: 300, heightMm: 400, ends: 1 }, 0.447677],
    ['a cone r 5 h 12 (slant 13)', { kind: 'cone', radiusMm: 50, heightMm: 120 }, 204.2035e-4],
    ['a ball Ø 80 mm', { kind: 'sphere', diameterMm: 80 }, 20_106.19e-6],
    ['a bowl cap r 15 h 6', { kind: 'cap', radiusMm: 150, heightMm: 60 }, 565.4867e-4],
    [
      'a frame 8 × 10 in, moulding 1.5 (63 in²)',
      { kind: 'frameMoulding', openWidthMm: inches(8), openHeightMm: inches(10), mouldingMm: inches(1.5) },
      63 * 0.00064516,
    ],
    [
      'a door 24 × 30 in, both faces and a 3/4 in edge, flat',
      { kind: 'rectangle', widthMm: inches(24), heightMm: inches(30), edgeMm: inches(0.75) },
      (720 + 81) * 0.00064516,
    ],
    [
      'a door 24 × 30 in, raised 1.15, one face and half of its 3/4 in edge (868.5 in²)',
      {
        kind: 'panelDoor',
        widthMm: inches(24),
        heightMm: inches(30),
        edgeMm: inches(0.75),
        profile: 'raised',
      },
      868.5 * 0.00064516,
    ],
    [
      'a table top 60 × 36 in with its 1 in edges (2160 + 192 in²)',
      { kind: 'rectangle', widthMm: inches(60), heightMm: inches(36), edgeMm: inches(1) },
      2352 * 0.00064516,
    ],
    [
      'one of its legs, 2.5 in square and 29 in (290 in²)',
      { kind: 'squareLeg', topMm: inches(2.5), footMm: inches(2.5), heightMm: inches(29) },
      290 * 0.00064516,
    ],
    ['a round tray Ø 24 cm, face alone (452.3893 cm²)', { kind: 'disc', diameterMm: 240, edgeMm: 0 }, 452.3893e-4],
    [
      'a hexagonal prism, side 10 cm, 20 cm high, both ends (6sh + 3√3 s²)',
      { kind: 'prism', sides: 6, sideMm: 100, heightMm: 200, ends: 2 },
      (1200 + 3 * Math.sqrt(3) * 100) * 1e-4,
    ],
    [
      'a wreath 14 in across, 2.5 in thick (4π²Rr)',
      { kind: 'torus', ringDiameterMm: inches(14), tubeDiameterMm: inches(2.5) },
      4 * Math.PI ** 2 * 5.75 * 1.25 * 0.00064516,
    ],
    [
      'joints of 10 cm tiles, 3 mm wide, on 1 m²',
      { kind: 'tileJoints', widthMm: 1000, heightMm: 1000, tileWidthMm: 100, tileHeightMm: 100, jointMm: 3 },
      1 - 10_000 / 103 ** 2,
    ],
  ])('%s', (_name, shape, expected) => expect(shapeAreaM2(shape)).toBeCloseTo(expected, 4));
  it('gives an egg the area that summing rings of it gives, long or flat, and a ball when it is round', () => {
    /** Surface of revolution of an ellipse by Simpson's rule, mm²: an independent way to the same number. */
    const byRings = (across: number, along: number): number => {
      const ring = (t: number) => {
        const [r, slope] = [across * Math.sin(t), Math.hypot(across * Math.cos(t), along * Math.sin(t))];
        return 2 * Math.PI * r * slope;
      };
      const parts = 2000;
      const step = Math.PI / parts;
      let sum = ring(0) + ring(Math.PI);
      for (let n = 1; n < parts; n += 1) sum += (n % 2 === 0 ? 2 : 4) * ring(n * step);
      return (sum * step) / 3;
    };
    for (const [lengthMm, diameterMm] of [
      [70, 50],
      [40, 90],
      [80, 80],
    ] as const)
      expect(shapeAreaM2({ kind: 'egg', lengthMm, diameterMm }) * 1e6).toBeCloseTo(
        byRings(diameterMm / 2, lengthMm / 2),
        1,
      );
  });
  it('brings its own texture: turning a quarter more, a spindle back 1.8, a leaf both faces', () => {
    expect(shapeTexture({ kind: 'turned', meanDiameterMm: 40, heightMm: 700 })).toBe(1.25);
    expect(shapeTexture({ kind: 'spindleBack', widthMm: 400, heightMm: 500 })).toBe(1.8);
    expect(shapeTexture({ kind: 'leaves', leaves: 1, lengthMm: 80, widthMm: 40 })).toBe(2);
    expect(shapeTexture({ kind: 'sphere', diameterMm: 80 })).toBeNull();
  });
  it('counts the raw edge of flat shapes only', () => {
    expect(shapeEdgeM({ kind: 'rectangle', widthMm: 600, heightMm: 400 })).toBeCloseTo(2, 9);
    expect(shapeEdgeM({ kind: 'disc', diameterMm: 1000, edgeMm: 20 })).toBeCloseTo(Math.PI, 9);
    expect(shapeEdgeM({ kind: 'sphere', diameterMm: 80 })).toBe(0);
  });
  it('gives four turned legs Ø 1.75 × 28 in with texture 1.25 5.3451 ft²', () => {
    const one = shapeAreaM2({ kind: 'turned', meanDiameterMm: inches(1.75), heightMm: inches(28) });
    expect((4 * one * 1.25) / 0.09290304).toBeCloseTo(5.3451, 3);
  });
  it('makes a frustum with equal ends a cylinder and with a point a cone', () => {
    const length = fc.double({ min: 1, max: 2000, noNaN: true });
    fc.assert(
      fc.property(length, length, (radius, height) => {
        expect(
          shapeAreaM2({ kind: 'frustum', largeRadiusMm: radius, smallRadiusMm: radius, heightMm: height }),
        ).toBeCloseTo(shapeAreaM2({ kind: 'cylinder', diameterMm: 2 * radius, heightMm: height, ends: 0 }), 6);
        expect(shapeAreaM2({ kind: 'frustum', largeRadiusMm: radius, smallRadiusMm: 0, heightMm: height })).toBeCloseTo(
          shapeAreaM2({ kind: 'cone', radiusMm: radius, heightMm: height }),
          6,
        );
      }),
    );
  });
});

describe('the shape library', () => {
  it('builds every shape from its standard measures, larger ones larger', () => {
    expect(new Set(shapeForms.map((form) => form.kind)).size).toBe(shapeForms.length);
    for (const form of shapeForms) {
      const standard = shapeAreaM2(form.build({}));
      expect(standard).toBeGreaterThan(0);
      const doubled = Object.fromEntries(
        form.fields.filter((field) => field.kind !== 'count').map((field) => [field.id, field.standard * 2]),
      );
      expect(shapeAreaM2(form.build(doubled))).toBeGreaterThan(standard);
    }
  });
  it('has at least twenty kinds of furniture that ask for two to five measures each', () => {
    expect(furnitureTemplates.all.length).toBeGreaterThanOrEqual(20);
    for (const template of furnitureTemplates.all) {
      expect(template.measures.length).toBeGreaterThanOrEqual(2);
      expect(template.measures.length).toBeLessThanOrEqual(5);
    }
  });
  it('estimates whole pieces as the trade does (common practice, from memory)', () => {
    // Square meters of a whole piece, low and high.
    const usual: Record<string, [number, number]> = {
      chair: [0.9, 1.6],
      nightstand: [0.8, 1.6],
      dresser: [2.2, 3.5],
      bookcase: [3.5, 6],
      stool: [0.4, 1.1],
      lampBase: [0.08, 0.2],
      tray: [0.2, 0.4],
      // A kitchen cabinet door 24 × 30 in, both faces and edge.
      door: [1.05, 1.2],
    };
    for (const [id, [low, high]] of Object.entries(usual)) {
      const template = furnitureTemplates.get(id);
      const total = template
        .zones(completeMeasures(template, {}))
        .filter((zone) => zone.included)
        .reduce((sum, zone) => sum + zoneAreaM2(zone) * (zone.textureFactor ?? shapeTexture(zone.shape) ?? 1), 0);
      expect([id, total >= low * 0.9 && total <= high * 1.1, total]).toEqual([id, true, total]);
    }
  });
});

describe.each(furnitureTemplates.all)('the template $id', (template) => {
  const standard = completeMeasures(template, {});
  it('gives zones with unique ids and letters and a sensible total', () => {
    const zones = template.zones(standard);
    expect(new Set(zones.map((zone) => zone.id)).size).toBe(zones.length);
    expect(new Set(zones.map((zone) => zone.letter)).size).toBe(zones.length);
    const total = zones.filter((zone) => zone.included).reduce((sum, zone) => sum + zoneAreaM2(zone), 0);
    // Whole-piece estimates of the trade (from memory): nightstand 0.8–1.6, lamp base 0.08–0.2, a small frame under 0.1 m².
    const [low, high] = {
      nightstand: [0.8, 1.6],
      lampBase: [0.08, 0.2],
      pictureFrame: [0.03, 0.1],
      freeBox: [0.5, 1],
      bookcase: [3.5, 6],
      tray: [0.2, 0.4],
    }[template.id] ?? [0.001, 10];
    expect(total).toBeGreaterThan(low ?? 0);
    expect(total).toBeLessThan(high ?? 0);
  });
  it('draws each zone that it labels, inside its own frame, for any allowed measures', () => {
    const arbitrary = fc.record(
      Object.fromEntries(
        template.measures.map((measure) => [
          measure.id,
          measure.kind === 'count'
            ? fc.integer({ min: measure.minimum, max: measure.maximum })
            : fc.double({ min: measure.minimum, max: measure.maximum, noNaN: true }),
        ]),
      ),
    );
    fc.assert(
      fc.property(arbitrary, (measures) => {
        const zones = template.zones(measures as Record<string, number>);
        const drawing = template.draw(measures as Record<string, number>);
        const letters = new Set(zones.map((zone) => zone.letter));
        for (const label of drawing.labels) expect(letters.has(label.letter)).toBe(true);
        for (const shape of drawing.shapes) {
          if (shape.zoneId !== null) expect(zones.some((zone) => zone.id === shape.zoneId)).toBe(true);
          if (shape.kind === 'polygon')
            for (const [x, y] of shape.points)
              expect(x >= -0.01 && y >= -0.01 && x <= drawing.widthMm + 0.01 && y <= drawing.heightMm + 0.01).toBe(
                true,
              );
        }
        // What a dimension line says is a measure that was given, or as long as the line is drawn.
        for (const line of drawing.dimensions)
          expect(line.lengthMm).toBeCloseTo(Math.hypot(line.toX - line.fromX, line.toY - line.fromY), 6);
        for (const zone of zones) expect(zoneAreaM2(zone)).toBeGreaterThanOrEqual(0);
        expect(Number.isFinite(template.hardwareMinutes(measures as Record<string, number>))).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('grows with its measures: no area gets smaller when the piece gets taller', () => {
    const taller = { ...standard, [template.overall.height]: (standard[template.overall.height] ?? 0) * 1.2 };
    const sum = (measures: Record<string, number>) =>
      template.zones(measures).reduce((total, zone) => total + zoneAreaM2(zone), 0);
    expect(sum(taller)).toBeGreaterThan(sum(standard));
  });
});

describe('templates against worked pieces', () => {
  const total = (id: string, measures: Record<string, number>) =>
    furnitureTemplates
      .get(id)
      .zones(completeMeasures(furnitureTemplates.get(id), measures))
      .filter((zone) => zone.included)
      .reduce((sum, zone) => sum + zoneAreaM2(zone) * (zone.textureFactor ?? 1), 0);

  // figures.md section 7, worked examples 5 and 16; the table's formula of the same section.
  it('a door 24 × 30 × 3/4 in, raised panel, both faces and edges: 1737 in²', () => {
    const area = total('door', { widthMm: inches(24), heightMm: inches(30), thickMm: inches(0.75), panels: 1 });
    expect(area / 0.00064516).toBeCloseTo(1737, 3);
  });
  it('a planter Ø 30 × 40 cm as wide below as above: 0.376991 m² outside', () => {
    const [outside] = furnitureTemplates.get('planter').zones({ heightMm: 400, topMm: 300, baseMm: 300 });
    expect(outside && zoneAreaM2(outside)).toBeCloseTo(0.376991, 6);
  });
  it('a table: top with edges, four square legs, aprons', () => {
    const area = total('table', { widthMm: 1524, depthMm: 914.4, heightMm: 758.6, legMm: 63.5, apronMm: 0 });
    // WD + 2(W+D)t + 4·4·a·h with t = 22 mm and h = 736.6 mm.
    expect(area).toBeCloseTo(1.524 * 0.9144 + 2 * (1.524 + 0.9144) * 0.022 + 16 * 0.0635 * 0.7366, 6);
  });
  it('a basket takes twice its projected area, outside only', () => {
    expect(total('basket', { widthMm: 300, depthMm: 200, heightMm: 250 })).toBeCloseTo(2 * (2 * 0.5 * 0.25), 9);
  });
  it('a round basket is a cylinder, and an oval one the ellipse around it: the 10 × 6 of a textbook has 25.53 around', () => {
    expect(total('roundBasket', { widthMm: 300, depthMm: 300, heightMm: 250 })).toBeCloseTo(
      2 * Math.PI * 0.3 * 0.25,
      9,
    );
    // The perimeter of an ellipse with half axes 5 and 3, by its integral (25.52700, from memory).
    expect(ellipsePerimeter(5, 3)).toBeCloseTo(25.527, 3);
    const oval = total('roundBasket', { widthMm: 400, depthMm: 200, heightMm: 250 });
    expect(oval).toBeLessThan(total('basket', { widthMm: 400, depthMm: 200, heightMm: 250 }));
    expect(oval).toBeGreaterThan((total('basket', { widthMm: 400, depthMm: 200, heightMm: 250 }) * Math.PI) / 4);
  });
  it('a wall is its face without doors and windows, and never less than nothing', () => {
    expect(total('wall', { widthMm: 3600, heightMm: 2500, doors: 1, windows: 1 })).toBeCloseTo(9 - 1.9 - 1.4, 9);
    expect(total('wall', { widthMm: 1000, heightMm: 2000, doors: 2, windows: 0 })).toBe(0);
  });
  it('six drawers are six fronts with their four edges', () => {
    expect(total('drawerFronts', { drawers: 6, widthMm: 400, heightMm: 150, depthMm: 400 })).toBeCloseTo(
      6 * (0.4 * 0.15 + 2 * (0.4 + 0.15) * 0.019),
      9,
    );
  });
  it('a mirror measured over its frame has the face of the frame and its edge', () => {
    // 11 × 13 in over a 1.5 in moulding: the 8 × 10 opening of example 12, face 63 in².
    const area = total('mirror', {
      widthMm: inches(11),
      heightMm: inches(13),
      mouldingMm: inches(1.5),
      edgeMm: inches(1),
    });
    expect(area / 0.00064516).toBeCloseTo(63 + 48, 3);
  });
});

describe('usual sizes', () => {
  it('are proposed in the round sizes of either system, and stay near what is usual', () => {
    for (const template of furnitureTemplates.all) {
      const [us, metric] = [usualMeasures(template, 'us'), usualMeasures(template, 'metric')];
      for (const { id, kind, standard, minimum, maximum } of template.measures) {
        for (const value of [us[id] ?? 0, metric[id] ?? 0]) {
          expect(value).toBeGreaterThanOrEqual(minimum);
          expect(value).toBeLessThanOrEqual(maximum);
          // Half an inch off at most where it is large, an eighth of it where it is small.
          expect(Math.abs(value - standard)).toBeLessThanOrEqual(kind === 'length' ? Math.min(12.71, standard / 8) : 0);
        }
        const quarters = ((us[id] ?? 0) / MM_PER_INCH) * 4;
        if (kind === 'length' && standard >= 13) expect(Math.abs(quarters - Math.round(quarters))).toBeLessThan(0.01);
      }
    }
    expect(usualMeasures(furnitureTemplates.get('table'), 'us').widthMm).toBe(20 * MM_PER_INCH);
    expect(usualMeasures(furnitureTemplates.get('nightstand'), 'metric').depthMm).toBe(380);
  });
});

describe('measures that nobody said', () => {
  const following = furnitureTemplates.all.filter(({ measures }) => measures.some(({ follows }) => follows));

  it('grow with the piece: a small pot has a small base', () => {
    const planter = furnitureTemplates.get('planter');
    expect(completeMeasures(planter, { topMm: 130, heightMm: 120 })).toMatchObject({ topMm: 130, baseMm: 95 });
    expect(completeMeasures(planter, { topMm: 130, baseMm: 120 }).baseMm).toBe(120);
    expect(completeMeasures(planter, {}).baseMm).toBe(190);
  });

  it.each(following.map((template) => [template.id, template] as const))(
    '%s is as wide and as high as it is said to be, small or large',
    (_id, template) => {
      const { width, height } = template.overall;
      if (width === null) return;
      const of = (id: string) => template.measures.find((measure) => measure.id === id);
      for (const by of [0.4, 0.7, 1, 1.6]) {
        const at = (id: string) => {
          const { standard = 0, minimum = 0, maximum = 0 } = of(id) ?? {};
          return Math.min(maximum, Math.max(minimum, standard * by));
        };
        const given = { [width]: at(width), [height]: at(height) };
        const size = sizeOf(template, completeMeasures(template, given));
        expect(size.widthMm).toBeCloseTo(given[width] ?? 0, 6);
        expect(size.heightMm).toBeCloseTo(given[height] ?? 0, 6);
      }
    },
  );
});
