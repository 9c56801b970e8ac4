import { completeMeasures } from '../../surface/furnitureTemplate';
import { type Outline, type Point, rectangleOutline, roundRing } from '../../surface/outline';
import { welded } from '../../surface/polygons';
import { frontView } from '../../surface/views';
import type { LookThing } from './lookThing';
import type { SeenPiece } from './seenPiece';

/** The welded front of a piece, as shares of its width and height, y upward. */
const known = new Map<string, Outline>();

/** The silhouette of a kind of piece from the front in a square of one by one; a whole square where it has no drawing. */
function unitSilhouette({ template, measures }: LookThing): Outline {
  if (!template) return rectangleOutline(0, 0, 1, 1);
  const key = `${template.id} ${JSON.stringify(measures)}`;
  const before = known.get(key);
  if (before) return before;
  const { widthMm, heightMm, shapes } = frontView(template, completeMeasures(template, measures));
  const rings = shapes.flatMap((shape) =>
    shape.kind === 'line'
      ? []
      : shape.kind === 'polygon'
        ? [shape.points.map(([x, y]): Point => [x, y])]
        : [ovalRing(shape.cx, shape.cy, shape.rx, shape.ry)],
  );
  const outline = welded(rings).map((ring) => ring.map(([x, y]): Point => [x / widthMm, 1 - y / heightMm]));
  if (known.size > 500) known.clear();
  known.set(key, outline);
  return outline;
}

const ovalRing = (cx: number, cy: number, rx: number, ry: number): Point[] =>
  roundRing(0, 0, 1).map(([x, y]): Point => [cx + x * rx, cy + y * ry]);

/** A thing as the measures of a look see it: its silhouette where it is, y upward from the base, in its color. */
export function seenPieceOf(thing: LookThing): SeenPiece {
  const { box, size } = thing;
  const outline = unitSilhouette(thing).map((ring) =>
    ring.map(([x, y]): Point => [box.leftMm + x * size.widthMm, box.footMm + y * size.heightMm]),
  );
  return { id: thing.id, name: thing.name, outline, color: thing.color ?? UNKNOWN };
}

/** A thing of which nobody knows the color weighs as a middle gray. */
const UNKNOWN = { L: 60, a: 0, b: 0 };
