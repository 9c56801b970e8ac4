import { describe, expect, it } from 'vitest';
import { completeMeasures } from './furnitureTemplate';
import { outlineAreaMm2 } from './outline';
import { shapeForms } from './shapeForms';
import { shapeAreaM2, type ZoneShape } from './shapes';
import { furnitureTemplates } from './templates';
import { type Face, unroll } from './unroll';

const faceAreaM2 = ({ outline, widthMm, lengthMm, edgeMm, count }: Face): number => {
  const face = outline ? outlineAreaMm2(outline) : widthMm * lengthMm;
  const rim = outline ? Math.PI * widthMm * edgeMm : 2 * (widthMm + lengthMm) * edgeMm;
  return ((face + rim) * count) / 1e6;
};

describe('a shape laid flat', () => {
  const usual = shapeForms.map((form) => form.build({}));
  it.each(
    usual
      .filter((shape) => unroll(shape).length > 0 && shape.kind !== 'panelDoor')
      .map((shape) => [shape.kind, shape] as const),
  )('%s: its faces have the area of the shape', (_, shape) => {
    const sum = unroll(shape).reduce((all, face) => all + faceAreaM2(face), 0);
    // Circles and arcs are drawn with 48 straight pieces: three in a thousand are lost.
    expect(sum).toBeGreaterThan(shapeAreaM2(shape) * 0.996);
    expect(sum).toBeLessThan(shapeAreaM2(shape) * 1.0001);
  });

  const zones = furnitureTemplates.all.flatMap((template) =>
    template
      .zones(completeMeasures(template, {}))
      .map(({ name, shape }) => [`${template.name}: ${name}`, shape] as const),
  );

  it.each(zones.filter(([, shape]) => unroll(shape).length > 0 && shape.kind !== 'panelDoor'))(
    '%s: the faces of a piece as it is drawn have the area of its zone',
    (_, shape) => {
      const open = shape.kind === 'faces' ? shape.openM2 : 0;
      const sum = unroll(shape).reduce((all, face) => all + faceAreaM2(face), 0) - open;
      expect(sum).toBeGreaterThan(shapeAreaM2(shape) * 0.996);
      expect(sum).toBeLessThan(shapeAreaM2(shape) * 1.0001 + 1e-9);
    },
  );

  it('has no faces only where nothing lies flat: turned, woven, round in two ways, joints and thin bars', () => {
    const without = zones.filter(([, shape]) => unroll(shape).length === 0).map(([name]) => name.split(':')[0]);
    expect(new Set(without)).toEqual(
      new Set(
        [
          'lampBase',
          'basket',
          'candlestick',
          'lantern',
          'vase',
          'chair',
          'foliage',
          'stool',
          'tiles',
          'roundBasket',
          'wreath',
          'plate',
        ].map((id) => furnitureTemplates.get(id).name),
      ),
    );
  });

  it('gives a wall its whole face, doors and windows too: they are cut out of what is hung', () => {
    const wall = furnitureTemplates.get('wall');
    const [face] = wall.zones({ widthMm: 3000, heightMm: 2400, doors: 1, windows: 1 });
    expect(face && shapeAreaM2(face.shape)).toBeCloseTo(7.2 - 1.9 - 1.4, 9);
    expect(face && unroll(face.shape)).toMatchObject([{ widthMm: 3000, lengthMm: 2400 }]);
  });

  it('unrolls a cylinder to its girth by its height', () => {
    const [mantle, ends] = unroll({ kind: 'cylinder', diameterMm: 100, heightMm: 250, ends: 2 });
    expect(mantle).toMatchObject({ widthMm: Math.PI * 100, lengthMm: 250, curve: 'single' });
    expect(ends).toMatchObject({ widthMm: 100, lengthMm: 100, count: 2 });
  });

  it('opens a cone to a sector with its slant as radius (elementary geometry)', () => {
    // Radius 30, height 40: slant 50, angle 2π·30/50 = 216°.
    const [mantle] = unroll({ kind: 'cone', radiusMm: 30, heightMm: 40 });
    expect(mantle?.widthMm).toBeCloseTo(100, 0);
    expect(mantle?.lengthMm).toBeCloseTo(50 + 50 * Math.cos((72 * Math.PI) / 180), 1);
  });

  it('follows an egg with gores as long as its meridian, each an eighth of its girth wide', () => {
    const [gores] = unroll({ kind: 'egg', lengthMm: 60, diameterMm: 45 });
    expect(gores).toMatchObject({ count: 8, curve: 'double' });
    expect(gores?.widthMm).toBeCloseTo((Math.PI * 45) / 8, 1);
    // Half of the ellipse with half axes 30 and 22.5 (Ramanujan's first approximation): 82.9 mm.
    expect(gores?.lengthMm).toBeCloseTo((Math.PI * (3 * 52.5 - Math.sqrt((90 + 22.5) * (30 + 67.5)))) / 2, 0);
  });

  it('knows that a cut-off cone with equal ends is a cylinder', () => {
    const shape: ZoneShape = { kind: 'frustum', largeRadiusMm: 50, smallRadiusMm: 50, heightMm: 120 };
    expect(unroll(shape)[0]).toMatchObject({ widthMm: 2 * Math.PI * 50, lengthMm: 120, outline: null });
  });

  it('leaves what only torn pieces follow without faces', () => {
    expect(unroll({ kind: 'torus', ringDiameterMm: 300, tubeDiameterMm: 50 })).toEqual([]);
  });
});
