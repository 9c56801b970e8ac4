import type { DrawnShape } from '../drawing';
import type { Ink } from '../inks.data';

type Points = readonly (readonly [number, number])[];

/** A line in the darker color of the zone that it lies on. */
export const stroke = (zoneId: string | null, points: Points, thickMm: number, shade = 0): DrawnShape => ({
  kind: 'line',
  zoneId,
  shade,
  thickMm,
  points: points.map(([x, y]): [number, number] => [x, y]),
});

/** A closed shape in a color of its own, without an edge. */
export const inkShape = (ink: Ink, points: Points, shade = 0): DrawnShape => ({
  kind: 'polygon',
  zoneId: null,
  ink,
  shade,
  isSoft: true,
  points: points.map(([x, y]): [number, number] => [x, y]),
});

/** A leaf from its stalk to its tip, `wide` across in its middle. */
export function leaf(
  zoneId: string | null,
  from: readonly [number, number],
  to: readonly [number, number],
  wide: number,
  shade: number,
): DrawnShape {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / length) * (wide / 2), (dx / length) * (wide / 2)];
  const at = (share: number, side: number): [number, number] => [
    from[0] + dx * share + nx * side,
    from[1] + dy * share + ny * side,
  ];
  return {
    kind: 'polygon',
    zoneId,
    shade,
    isSoft: true,
    points: [
      [from[0], from[1]],
      at(0.3, 0.85),
      at(0.55, 1),
      at(0.8, 0.6),
      [to[0], to[1]],
      at(0.8, -0.6),
      at(0.55, -1),
      at(0.3, -0.85),
    ],
  };
}

/** A candle's flame over a wick, its foot at a point. */
export const flame = (x: number, footY: number, high: number): DrawnShape =>
  inkShape('flame', [
    [x, footY - high],
    [x + high * 0.22, footY - high * 0.4],
    [x + high * 0.14, footY],
    [x - high * 0.14, footY],
    [x - high * 0.22, footY - high * 0.4],
  ]);

/** Points of a part of an arc, from one angle to another in turns of the clock hand's opposite; 0 is to the right. */
export function arc(
  cx: number,
  cy: number,
  rx: number,
  ry: number,
  from: number,
  to: number,
  steps = 10,
): [number, number][] {
  return Array.from({ length: steps + 1 }, (_, n): [number, number] => {
    const angle = from + ((to - from) * n) / steps;
    return [cx + rx * Math.cos(angle), cy - ry * Math.sin(angle)];
  });
}

/** A point held inside a drawing. */
export const held = ([x, y]: readonly [number, number], widthMm: number, heightMm: number): [number, number] => [
  Math.min(Math.max(0, x), widthMm),
  Math.min(Math.max(0, y), heightMm),
];

/** All points of a shape held inside a drawing. */
export function heldShape(shape: DrawnShape, widthMm: number, heightMm: number): DrawnShape {
  return shape.kind === 'ellipse'
    ? shape
    : { ...shape, points: shape.points.map((point) => held(point, widthMm, heightMm)) };
}
