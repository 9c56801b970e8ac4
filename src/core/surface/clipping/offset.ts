import { combined } from './combined';
import type { Spot, WholeRing } from './edge';

/** How corners are grown: round as a pencil goes around them, or sharp as far as a corner of 60°. */
export type Corners = 'round' | 'sharp';

/** How far a chord of a rounded corner may lie beside its arc, in whole units. */
const ARC_TOLERANCE = 20;
/** A corner is drawn out to a tip no further than so often the distance that it is grown by: at 60° it is just that. */
const FURTHEST_TIP = 2;
/** A turn below this is none: the line goes straight on, radians. */
const STRAIGHT = 1e-6;

/** A corner of a ring: where it is, the directions of the edges that come to it and go from it, and how far it turns. */
interface Corner {
  at: Spot;
  into: Spot;
  out: Spot;
  /** Radians; above 0 to the right. */
  turn: number;
}

/**
 * Rings grown on every side, by the lines beside their edges: outside corners are joined, at inside ones the line goes
 * back over the corner. Those lines cross; what they go around clockwise at least once is the shape that is asked for,
 * and what is too thin to be shrunk is gone around against the clock, or not at all.
 * @param rings which do not cross: clockwise as they are seen, holes against it
 * @param by how far, in whole units; below 0 they shrink
 */
export const offset = (rings: readonly WholeRing[], by: number, corners: Corners): readonly WholeRing[] =>
  combined(
    rings.map((ring) =>
      cornersOf(ring)
        .flatMap((corner) => joined(corner, by, corners))
        .map(whole),
    ),
    [],
    ({ first }) => first > 0,
  );

const whole = ({ x, y }: Spot): Spot => ({ x: Math.round(x), y: Math.round(y) });

function cornersOf(ring: WholeRing): Corner[] {
  const directions = ring.map((point, n) => {
    const { x, y } = ring[(n + 1) % ring.length] ?? point;
    const length = Math.hypot(x - point.x, y - point.y);
    return { x: (x - point.x) / length, y: (y - point.y) / length };
  });
  return ring.flatMap((at, n) => {
    const into = directions[(n + ring.length - 1) % ring.length];
    const out = directions[n];
    if (!into || !out) return [];
    return [{ at, into, out, turn: Math.atan2(into.x * out.y - into.y * out.x, into.x * out.x + into.y * out.y) }];
  });
}

/** A point beside another: on the left hand of who walks in a direction, and further on. */
const beside = (at: Spot, direction: Spot, left: number, ahead = 0): Spot => ({
  x: at.x + direction.y * left + direction.x * ahead,
  y: at.y - direction.x * left + direction.y * ahead,
});

/** The line beside a corner, from the end of one edge's line to the beginning of the next one's. */
function joined(corner: Corner, by: number, corners: Corners): Spot[] {
  const { at, into, out, turn } = corner;
  const [end, start] = [beside(at, into, by), beside(at, out, by)];
  if (Math.abs(turn) < STRAIGHT) return [end];
  if (turn * by < 0) return [end, at, start];
  return corners === 'round' ? rounded(corner, by) : sharpened(corner, by, [end, start]);
}

function rounded({ at, into, turn }: Corner, by: number): Spot[] {
  const far = Math.abs(by);
  const step = 2 * Math.acos(1 - Math.min(ARC_TOLERANCE, far / 4) / far);
  const count = Math.max(1, Math.ceil(Math.abs(turn) / step));
  return Array.from({ length: count + 1 }, (_, n) => {
    const [cos, sin] = [Math.cos((turn * n) / count), Math.sin((turn * n) / count)];
    return beside(at, { x: into.x * cos - into.y * sin, y: into.x * sin + into.y * cos }, by);
  });
}

/** A tip, or a blunt end where it would reach too far: the corner's share of the way to it, cut straight. */
function sharpened({ at, into, out, turn }: Corner, by: number, [end, start]: readonly [Spot, Spot]): Spot[] {
  const far = Math.abs(by);
  const half = Math.abs(turn) / 2;
  if (1 / Math.cos(half) <= FURTHEST_TIP) return [beside(at, into, by, far * Math.tan(half))];
  const ahead = far * Math.tan(half / 2);
  return [end, beside(at, into, by, ahead), beside(at, out, by, -ahead), start];
}
