import { type Outline, type Point, roundRing } from './outline';
import type { ZoneShape } from './shapes';

/** One face of a shape, laid flat: what paper or film for it is cut to. */
export interface Face {
  id: string;
  name: string;
  /** The box around it, mm. */
  widthMm: number;
  lengthMm: number;
  /** Its true shape in that box, from the box's corner; null where it is the box. */
  outline: Outline | null;
  /** Whether sheets lie flat on it, bend one way, or have to be cut or torn to follow it. */
  curve: 'flat' | 'single' | 'double';
  /** How many alike one shape has. */
  count: number;
  /** Thickness of an edge that runs all around it and that a sheet can be turned over; 0 where there is none. */
  edgeMm: number;
}

/** Straight pieces by which a curved line is drawn. */
const STEPS = 48;

const flat = (id: string, name: string, widthMm: number, lengthMm: number, more: Partial<Face> = {}): Face => ({
  id,
  name,
  widthMm,
  lengthMm,
  outline: null,
  curve: 'flat',
  count: 1,
  edgeMm: 0,
  ...more,
});

const disc = (id: string, name: string, diameterMm: number, count: number, edgeMm = 0): Face[] =>
  count === 0
    ? []
    : [
        flat(id, name, diameterMm, diameterMm, {
          outline: [roundRing(diameterMm / 2, diameterMm / 2, diameterMm / 2)],
          count,
          edgeMm,
        }),
      ];

/** An outline moved so that its box begins at 0, 0, as a face. */
function fromPoints(id: string, name: string, points: readonly Point[], more: Partial<Face> = {}): Face {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return flat(id, name, Math.max(...xs) - left, Math.max(...ys) - top, {
    outline: [points.map(([x, y]): Point => [x - left, y - top])],
    ...more,
  });
}

/** A ring's sector: the mantle of a cone, cut open along a line. */
function sector(innerMm: number, outerMm: number, angle: number): Point[] {
  const at = (radius: number, turn: number): Point => [radius * Math.sin(turn), -radius * Math.cos(turn)];
  const turns = Array.from({ length: STEPS + 1 }, (_, n) => -angle / 2 + (angle * n) / STEPS);
  const outer = turns.map((turn) => at(outerMm, turn));
  const inner = innerMm > 0 ? [...turns].reverse().map((turn) => at(innerMm, turn)) : [[0, 0] as const];
  return [...outer, ...inner];
}

/** Gores that a rounded body is papered with: more of them where it is large, so that each still lies without folds. */
const goresFor = (diameterMm: number): number => (diameterMm <= 80 ? 8 : diameterMm <= 200 ? 12 : 16);

/**
 * One gore of a body of revolution: as long as the meridian, everywhere as wide as its share of the circle there.
 * @param acrossMm half the width of the body
 * @param alongMm half its length
 * @param until the angle from its tip at which the body ends; π for a whole one
 */
function gore(acrossMm: number, alongMm: number, until: number, gores: number): Point[] {
  const steps = STEPS;
  const at = (angle: number): Point => [acrossMm * Math.sin(angle), -alongMm * Math.cos(angle)];
  let [length, before] = [0, at(0)];
  const half: Point[] = [[0, 0]];
  for (let n = 1; n <= steps; n += 1) {
    const point = at((until * n) / steps);
    length += Math.hypot(point[0] - before[0], point[1] - before[1]);
    half.push([(Math.PI * point[0]) / gores, length]);
    before = point;
  }
  const left = [...half].reverse().map(([x, y]): Point => [-x, y]);
  return [...half, ...left.filter(([x]) => Math.abs(x) > 1e-9)];
}

/**
 * The faces of a shape laid flat, each with the true outline that covers it: the mantle of a cylinder is as wide as its
 * girth, a cone opens to a sector, an egg to gores. Their areas add up to the shape's own.
 * @returns nothing for what only torn pieces follow: turned legs, rings, leaves, joints, an area measured by hand
 */
export function unroll(shape: ZoneShape): Face[] {
  switch (shape.kind) {
    case 'rectangle':
      return [flat('face', 'Face', shape.widthMm, shape.heightMm, { edgeMm: shape.edgeMm ?? 0 })];
    case 'panelDoor':
      return [flat('face', 'Face', shape.widthMm, shape.heightMm, { edgeMm: shape.edgeMm / 2 })];
    case 'boxClosed':
      return [
        ...walls(shape.widthMm, shape.depthMm, shape.heightMm),
        flat('ends', 'Top and bottom', shape.widthMm, shape.depthMm, { count: 2 }),
      ];
    case 'boxOpenTop':
      return [
        ...walls(shape.widthMm, shape.depthMm, shape.heightMm),
        flat('bottom', 'Bottom', shape.widthMm, shape.depthMm),
      ];
    case 'carcass':
      return [
        flat('top', 'Top', shape.widthMm, shape.depthMm),
        flat('sides', 'Sides', shape.depthMm, shape.heightMm, { count: 2 }),
        flat('front', 'Front', shape.widthMm, shape.heightMm),
      ];
    case 'sidesAndFrame':
      return [flat('sides', 'Sides', shape.depthMm, shape.heightMm, { count: 2 }), ...frameStrips(shape)];
    case 'disc':
      return disc('face', 'Face', shape.diameterMm, 1, shape.edgeMm);
    case 'cylinder':
      return [
        flat('mantle', 'Around it', Math.PI * shape.diameterMm, shape.heightMm, { curve: 'single' }),
        ...disc('ends', 'Ends', shape.diameterMm, shape.ends),
      ];
    case 'cone': {
      const slant = Math.hypot(shape.heightMm, shape.radiusMm);
      const angle = slant === 0 ? 0 : (2 * Math.PI * shape.radiusMm) / slant;
      return [fromPoints('mantle', 'Around it', sector(0, slant, angle), { curve: 'single' })];
    }
    case 'frustum': {
      const { largeRadiusMm: large, smallRadiusMm: small, heightMm } = shape;
      if (Math.abs(large - small) < 1e-6)
        return [flat('mantle', 'Around it', 2 * Math.PI * large, heightMm, { curve: 'single' })];
      const slant = Math.hypot(heightMm, large - small);
      const outer = (slant * large) / (large - small);
      return [
        fromPoints('mantle', 'Around it', sector(outer - slant, outer, (2 * Math.PI * large) / outer), {
          curve: 'single',
        }),
      ];
    }
    case 'sphere':
    case 'egg': {
      const across = shape.diameterMm / 2;
      const along = shape.kind === 'egg' ? shape.lengthMm / 2 : across;
      const gores = goresFor(shape.diameterMm);
      return [fromPoints('gores', 'Gores', gore(across, along, Math.PI, gores), { curve: 'double', count: gores })];
    }
    case 'cap': {
      const { radiusMm, heightMm } = shape;
      const gores = goresFor(2 * radiusMm);
      const until = Math.acos(Math.max(-1, Math.min(1, 1 - heightMm / radiusMm)));
      return [fromPoints('gores', 'Gores', gore(radiusMm, radiusMm, until, gores), { curve: 'double', count: gores })];
    }
    case 'prism':
      return [
        flat('sides', 'Sides', shape.sideMm, shape.heightMm, { count: shape.sides }),
        ...(shape.ends === 0
          ? []
          : [fromPoints('ends', 'Ends', polygonPoints(shape.sides, shape.sideMm), { count: shape.ends })]),
      ];
    case 'frameMoulding': {
      const { openWidthMm: width, openHeightMm: height, mouldingMm: m } = shape;
      const strip = (long: number): Point[] => [
        [0, 0],
        [long + 2 * m, 0],
        [long + m, m],
        [m, m],
      ];
      return [
        fromPoints('rails', 'Upper and lower strip', strip(width), { count: 2 }),
        fromPoints('stiles', 'Left and right strip', strip(height), { count: 2 }),
      ];
    }
    case 'squareLeg': {
      const slant = Math.hypot(shape.heightMm, (shape.topMm - shape.footMm) / 2);
      const inset = (shape.topMm - shape.footMm) / 2;
      const side: Point[] = [
        [0, 0],
        [shape.topMm, 0],
        [shape.topMm - inset, slant],
        [inset, slant],
      ];
      return [fromPoints('sides', 'Sides', side, { count: 4 })];
    }
    case 'faces':
      // What is open in them is cut out of what covers them: it takes no less.
      return shape.faces
        .filter(({ widthMm, heightMm, count }) => widthMm > 0 && heightMm > 0 && count > 0)
        .map(({ id, name, widthMm, heightMm, count }) => flat(id, name, widthMm, heightMm, { count }));
    case 'torus':
    case 'turned':
    case 'spindleBack':
    case 'leaves':
    case 'tileJoints':
    case 'custom':
      return [];
    default:
      return shape satisfies never;
  }
}

function walls(widthMm: number, depthMm: number, heightMm: number): Face[] {
  return [
    flat('long', 'Front and back', widthMm, heightMm, { count: 2 }),
    flat('short', 'Left and right', depthMm, heightMm, { count: 2 }),
  ];
}

/** The frame around an opening: two stiles as high as the front, two rails between them. */
function frameStrips(shape: Extract<ZoneShape, { kind: 'sidesAndFrame' }>): Face[] {
  const stile = (shape.widthMm - shape.openWidthMm) / 2;
  const rail = (shape.heightMm - shape.openHeightMm) / 2;
  return [
    ...(stile > 0 ? [flat('stiles', 'Stiles of the frame', stile, shape.heightMm, { count: 2 })] : []),
    ...(rail > 0 ? [flat('rails', 'Rails of the frame', shape.openWidthMm, rail, { count: 2 })] : []),
  ];
}

function polygonPoints(sides: number, sideMm: number): Point[] {
  const radius = sideMm / (2 * Math.sin(Math.PI / sides));
  return Array.from({ length: sides }, (_, n): Point => {
    const angle = (2 * Math.PI * n) / sides;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
}
