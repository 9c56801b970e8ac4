import { type Drawing, type DrawnShape, drawnRectangle } from './drawing';
import type { FurnitureTemplate, Measures } from './furnitureTemplate';

/** A piece against a wall is taken to be so deep where its kind has no depth (common practice, no source). */
const FLAT_MM = 40;
const LEAST_MM = 1;

/** Overall width, height and depth, mm. */
export interface Size {
  widthMm: number;
  heightMm: number;
  depthMm: number;
}

/** Where a drawing shows the front of its piece: its size, and the upper left corner of it. */
function frontOf(drawing: Drawing): { x: number; y: number; widthMm: number; heightMm: number } {
  const across = drawing.dimensions.find(({ fromY, toY }) => fromY === toY);
  const down = drawing.dimensions.find(({ fromX, toX }) => fromX === toX);
  return {
    x: across ? Math.min(across.fromX, across.toX) : 0,
    y: down ? Math.min(down.fromY, down.toY) : 0,
    widthMm: across?.lengthMm ?? drawing.widthMm,
    heightMm: down?.lengthMm ?? drawing.heightMm,
  };
}

const TOLERANCE_MM = 0.5;

/** Whether a shape lies within a rectangle. */
function isWithin(shape: DrawnShape, x: number, y: number, right: number, bottom: number): boolean {
  const inside = (px: number, py: number) =>
    px >= x - TOLERANCE_MM && px <= right + TOLERANCE_MM && py >= y - TOLERANCE_MM && py <= bottom + TOLERANCE_MM;
  return shape.kind === 'ellipse'
    ? inside(shape.cx - shape.rx, shape.cy - shape.ry) && inside(shape.cx + shape.rx, shape.cy + shape.ry)
    : shape.points.every(([px, py]) => inside(px, py));
}

/** A shape moved. */
export function movedShape(shape: DrawnShape, byX: number, byY: number): DrawnShape {
  return shape.kind === 'ellipse'
    ? { ...shape, cx: shape.cx + byX, cy: shape.cy + byY }
    : { ...shape, points: shape.points.map(([x, y]): [number, number] => [x + byX, y + byY]) };
}

/**
 * A piece from straight in front: what its kind draws, without the faces that show because it is seen from above and
 * from the side.
 * @returns a drawing that is as wide and as high as the piece
 */
export function frontView(template: FurnitureTemplate, measures: Measures): Drawing {
  if (template.front) return template.front(measures);
  const drawing = template.draw(measures);
  const { x, y, widthMm, heightMm } = frontOf(drawing);
  // A line that begins within the drawing measures a part of it: a foot narrower than its body.
  if (x > TOLERANCE_MM) return drawing;
  if (widthMm >= drawing.widthMm - TOLERANCE_MM && heightMm >= drawing.heightMm - TOLERANCE_MM) return drawing;
  return {
    widthMm,
    heightMm,
    shapes: drawing.shapes
      .filter((shape) => isWithin(shape, x, y, x + widthMm, y + heightMm))
      .map((shape) => movedShape(shape, -x, -y)),
    labels: [],
    dimensions: [],
  };
}

/** How deep a piece is by its kind: as measured, as wide as it is where it is round, thin where it hangs or stands flat. */
function depthOf(template: FurnitureTemplate, measures: Measures, widthMm: number): number {
  const { depth } = template.overall;
  if (depth !== null) return measures[depth] ?? FLAT_MM;
  return template.plan === 'flat' ? FLAT_MM : widthMm;
}

/** The overall size of a piece as it stands, from the measures of its kind; a frame with its moulding. */
export function sizeOf(template: FurnitureTemplate, measures: Measures): Size {
  const { widthMm, heightMm } = frontView(template, measures);
  return {
    widthMm: Math.max(LEAST_MM, widthMm),
    heightMm: Math.max(LEAST_MM, heightMm),
    depthMm: Math.max(LEAST_MM, depthOf(template, measures, widthMm)),
  };
}

/** The zone that is seen from above: one whose name says so, else the first that is made over. */
function topZone(template: FurnitureTemplate, measures: Measures): string | null {
  const zones = template.zones(measures);
  return (
    (zones.find(({ id, use }) => id === 'top' || use === 'tableTop') ?? zones.find((zone) => zone.included))?.id ?? null
  );
}

/** Something from straight above: a round or a rectangle, with its rim. */
export function topDrawing(zoneId: string | null, isRound: boolean, widthMm: number, depthMm: number): Drawing {
  const rim = Math.min(widthMm, depthMm) * 0.08;
  const round = (less: number, shade: number): DrawnShape => ({
    kind: 'ellipse',
    zoneId,
    shade,
    cx: widthMm / 2,
    cy: depthMm / 2,
    rx: Math.max(0, widthMm / 2 - less),
    ry: Math.max(0, depthMm / 2 - less),
  });
  const rectangle = (less: number, shade: number) =>
    drawnRectangle(zoneId, less, less, Math.max(0, widthMm - 2 * less), Math.max(0, depthMm - 2 * less), shade);
  const part = isRound ? round : rectangle;
  return { widthMm, heightMm: depthMm, shapes: [part(0, 0), part(rim, 6)], labels: [], dimensions: [] };
}

/** A piece from straight above: its own drawing where its kind has one, else a round or a rectangle in its top's color. */
export function aboveView(template: FurnitureTemplate, measures: Measures): Drawing {
  if (template.above) return template.above(measures);
  const { widthMm, depthMm } = sizeOf(template, measures);
  return topDrawing(topZone(template, measures), template.plan === 'round', widthMm, depthMm);
}
