import { type DrawnShape, drawnRectangle } from '../drawing';
import type { Measure, Measures } from '../furnitureTemplate';
import type { FlatFace, ZoneShape } from '../shapes';
import type { Zone } from '../zone';

/** A length that a template asks for. */
export function lengthMeasure(
  id: string,
  label: string,
  standard: number,
  minimum: number,
  maximum: number,
  follows?: Measure['follows'],
): Measure {
  return { id, label, kind: 'length', standard, minimum, maximum, ...(follows && { follows }) };
}

/** One zone with what is usual: once, one side, flat, handled, coated. */
export function zone(id: string, letter: string, name: string, shape: ZoneShape, more: Partial<Zone> = {}): Zone {
  return {
    id,
    letter,
    name,
    shape,
    count: 1,
    sides: 1,
    textureFactor: null,
    detail: 'flat',
    use: 'handled',
    included: true,
    ...more,
  };
}

/** The top of a piece with its edges: something is put down on it. */
export const topZone = (name: string, widthMm: number, depthMm: number, edgeMm: number): Zone =>
  zone('top', 'A', name, { kind: 'rectangle', widthMm, heightMm: depthMm, edgeMm }, { use: 'tableTop' });

/** The case of a cabinet or a chest: its top, and its sides with the frame around what opens. */
export const caseZones = (
  { widthMm = 0, depthMm = 0, heightMm = 0 }: Measures,
  open: { widthMm: number; heightMm: number },
  topEdgeMm = 20,
): Zone[] => [
  topZone('Top and its edges', widthMm, depthMm, topEdgeMm),
  zone('carcass', 'B', 'Two sides and frame', {
    kind: 'sidesAndFrame',
    widthMm,
    depthMm,
    heightMm,
    openWidthMm: open.widthMm,
    openHeightMm: open.heightMm,
  }),
];

/** A face of a zone that has several; once unless said otherwise. */
export const flatFace = (id: string, name: string, widthMm: number, heightMm: number, count = 1): FlatFace => ({
  id,
  name,
  widthMm,
  heightMm,
  count,
});

/** Several flat faces as one shape. */
export const faces = (...all: FlatFace[]): ZoneShape => ({ kind: 'faces', faces: all, openM2: 0 });

/** The faces that run around a box: two as wide as it, two as deep. */
export const around = (widthMm: number, depthMm: number, heightMm: number): ZoneShape =>
  faces(
    flatFace('long', 'Front and back', widthMm, heightMm, 2),
    flatFace('short', 'Left and right', depthMm, heightMm, 2),
  );

/** The edges of a board, as strips. */
export const edgesAround = (widthMm: number, heightMm: number, thickMm: number): ZoneShape =>
  faces(
    flatFace('across', 'Edges above and below', widthMm, thickMm, 2),
    flatFace('along', 'Edges left and right', heightMm, thickMm, 2),
  );

/** A polygon of a drawing. */
export function polygon(zoneId: string | null, points: [number, number][], shade = 0): DrawnShape {
  return { kind: 'polygon', zoneId, points, shade };
}

/**
 * The outline of something turned, drawn around its middle: pairs of how far down (a share of the height) and how
 * wide there (a share of the widest).
 */
export function turnedOutline(
  zoneId: string,
  widestMm: number,
  heightMm: number,
  profile: readonly (readonly [down: number, wide: number])[],
  shade = 0,
): DrawnShape {
  const right = profile.map(([down, wide]): [number, number] => [(widestMm * (1 + wide)) / 2, heightMm * down]);
  const left = [...profile]
    .reverse()
    .map(([down, wide]): [number, number] => [(widestMm * (1 - wide)) / 2, heightMm * down]);
  return polygon(zoneId, [...right, ...left], shade);
}

/** Dimension lines below and beside a drawing. */
export function dimensions(widthMm: number, heightMm: number) {
  return [
    { fromX: 0, fromY: heightMm, toX: widthMm, toY: heightMm, lengthMm: widthMm },
    { fromX: 0, fromY: 0, toX: 0, toY: heightMm, lengthMm: heightMm },
  ];
}

/** A round knob on a front. */
export function knob(cx: number, cy: number, r: number): DrawnShape {
  return { kind: 'ellipse', zoneId: null, cx, cy, rx: r, ry: r, shade: 0 };
}

/** A box seen a little from above and from the right: its top, its side, its front; `frontY` is where the front begins. */
export function slantedBox(bodyZone: string, topZone: string, widthMm: number, depthMm: number, heightMm: number) {
  const slantX = depthMm * 0.35;
  const frontY = depthMm * 0.22;
  return {
    slantX,
    frontY,
    size: { widthMm: widthMm + slantX, heightMm: heightMm + frontY },
    dimensions: [
      { fromX: 0, fromY: heightMm + frontY, toX: widthMm, toY: heightMm + frontY, lengthMm: widthMm },
      { fromX: 0, fromY: frontY, toX: 0, toY: heightMm + frontY, lengthMm: heightMm },
    ],
    shapes: [
      polygon(
        topZone,
        [
          [0, frontY],
          [widthMm, frontY],
          [widthMm + slantX, 0],
          [slantX, 0],
        ],
        10,
      ),
      polygon(
        bodyZone,
        [
          [widthMm, frontY],
          [widthMm + slantX, 0],
          [widthMm + slantX, heightMm],
          [widthMm, heightMm + frontY],
        ],
        -10,
      ),
      drawnRectangle(bodyZone, 0, frontY, widthMm, heightMm),
    ],
  };
}
