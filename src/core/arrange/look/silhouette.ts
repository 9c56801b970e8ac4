import type { CutOut } from '../../model/values/photoPoint';
import { likenessFront } from '../../surface/likenesses';
import {
  doubleArea,
  type Outline,
  outlineAreaMm2,
  type Point,
  type Ring,
  rectangleOutline,
  roundRing,
} from '../../surface/outline';
import { welded } from '../../surface/polygons';
import { frontView } from '../../surface/views';
import type { LookThing } from './lookThing';
import type { SeenPiece } from './seenPiece';
import { likenessOfThing, pictureOf, unitCutOut } from './thingView';

/** A front in a square of one by one: its outline with y upward, and how much of the square it fills. */
interface UnitFront {
  outline: Outline;
  share: number;
}

const known = new Map<string, UnitFront>();
const whole: UnitFront = { outline: rectangleOutline(0, 0, 1, 1), share: 1 };

/** Points nearer to each other than this share of the piece, and holes smaller than that, are not seen in a silhouette. */
const SEEN_SHARE = 0.012;
const SEEN_HOLE = 0.002;
/** A square of one by one is made so large for clipping, which works in thousandths. */
const UNIT_MM = 1000;

/** A ring with fewer points: those that lie close to the one before are left out. */
function thinned(ring: Ring): Ring {
  const kept: Point[] = [];
  for (const point of ring) {
    const last = kept[kept.length - 1];
    if (!last || Math.hypot(point[0] - last[0], point[1] - last[1]) >= SEEN_SHARE) kept.push(point);
  }
  return kept.length >= 3 ? kept : ring;
}

/** The silhouette of a kind of piece from the front in a square of one by one; a whole square where it has no drawing. */
function unitFront(thing: LookThing): UnitFront {
  const picture = pictureOf(thing, { isAbove: false, isPresent: false });
  if (picture) return cutFront(picture.rings);
  const { template, measures } = thing;
  const likeness = likenessOfThing(thing);
  if (!template && !likeness) return whole;
  const key = likeness ? `like ${likeness.id}` : `${template?.id} ${JSON.stringify(measures)}`;
  const before = known.get(key);
  if (before) return before;
  const drawing = likeness ? likenessFront(likeness, UNIT_MM, UNIT_MM) : template && frontView(template, measures);
  const { widthMm, heightMm, shapes } = drawing ?? { widthMm: 1, heightMm: 1, shapes: [] };
  const rings = shapes.flatMap((shape) =>
    shape.kind === 'line'
      ? []
      : shape.kind === 'polygon'
        ? [shape.points.map(([x, y]): Point => [x, y])]
        : [ovalRing(shape.cx, shape.cy, shape.rx, shape.ry)],
  );
  const outline = welded(rings)
    .map((ring) => ring.map(([x, y]): Point => [x / widthMm, 1 - y / heightMm]))
    .filter((ring) => Math.abs(doubleArea(ring)) / 2 >= SEEN_HOLE)
    .map(thinned);
  const front = { outline, share: outlineAreaMm2(outline) };
  if (known.size > 500) known.clear();
  known.set(key, front);
  return front;
}

/** The same of a piece that is cut out of its picture: what is seen of it is what was cut. */
function cutFront(rings: CutOut['rings']): UnitFront {
  const before = cutFronts.get(rings);
  if (before) return before;
  // Clipping works in thousandths: a square of one by one is made large for it.
  const large = unitCutOut(rings).map((ring) => ring.map(([x, y]): Point => [x * UNIT_MM, y * UNIT_MM]));
  const outline = welded(large, 'evenOdd').map((ring) =>
    thinned(ring.map(([x, y]): Point => [x / UNIT_MM, 1 - y / UNIT_MM])),
  );
  const front = outline.length === 0 ? whole : { outline, share: outlineAreaMm2(outline) };
  cutFronts.set(rings, front);
  return front;
}
const cutFronts = new WeakMap<CutOut['rings'], UnitFront>();

const ovalRing = (cx: number, cy: number, rx: number, ry: number): Point[] =>
  roundRing(0, 0, 1).map(([x, y]): Point => [cx + x * rx, cy + y * ry]);

/** A thing as the measures of a look see it: its silhouette where it is, y upward from the base, in its color. */
export function seenPieceOf(thing: LookThing): SeenPiece {
  const before = seen.get(thing);
  if (before) return before;
  const { box, size } = thing;
  const front = unitFront(thing);
  const outline = front.outline.map((ring) =>
    ring.map(([x, y]): Point => [box.leftMm + x * size.widthMm, box.footMm + y * size.heightMm]),
  );
  const areaMm2 = front.share * size.widthMm * size.heightMm;
  const piece = { id: thing.id, name: thing.name, outline, color: thing.color ?? UNKNOWN, areaMm2 };
  seen.set(thing, piece);
  return piece;
}

/** A thing is never changed, so what is seen of it is kept beside it. */
const seen = new WeakMap<LookThing, SeenPiece>();

/** A thing of which nobody knows the color weighs as a middle gray. */
const UNKNOWN = { L: 60, a: 0, b: 0 };
