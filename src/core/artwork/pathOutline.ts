import { SVGPathData } from 'svg-pathdata';
import type { Outline, Point } from '../surface/outline';

/** How far a chord may lie beside its curve, mm: finer than a blade follows. */
export const FLAT_MM = 0.02;
/** Chords of one curve at the most; a path with more is not one that anybody drew. */
const MOST_CHORDS = 400;

/** Why a path cannot be read. */
export class PathError extends Error {}

/**
 * The rings of a path, its curves as chords. Every ring is closed, whether the path closes it or not: a blade cuts out
 * what is inside.
 * @param data as SVG writes paths, in millimeters
 * @param toleranceMm how far a chord may lie beside its curve
 * @throws PathError with what cannot be read
 */
export function outlineOfPath(data: string, toleranceMm = FLAT_MM): Outline {
  const rings: Point[][] = [];
  let ring: Point[] = [];
  let [x, y] = [0, 0];
  const close = () => {
    const [first] = ring;
    const last = ring.at(-1);
    // A ring that comes back to its beginning does not say it twice.
    if (ring.length > 1 && first && last && first[0] === last[0] && first[1] === last[1]) ring.pop();
    if (ring.length > 2) rings.push(ring);
    ring = [];
  };
  const to = (nextX: number, nextY: number) => {
    if (!Number.isFinite(nextX) || !Number.isFinite(nextY)) throw new PathError('a coordinate is not a number');
    if (ring.length === 0) ring.push([x, y]);
    const last = ring.at(-1);
    if (!last || last[0] !== nextX || last[1] !== nextY) ring.push([nextX, nextY]);
    [x, y] = [nextX, nextY];
  };
  for (const command of simpleCommands(data)) {
    if (command.type === SVGPathData.MOVE_TO) {
      close();
      [x, y] = [command.x, command.y];
      ring = [[x, y]];
    } else if (command.type === SVGPathData.LINE_TO) to(command.x, command.y);
    else if (command.type === SVGPathData.CURVE_TO) {
      const from = { x, y };
      const chords = chordsOf(from, command, toleranceMm);
      for (let n = 1; n < chords; n += 1) {
        const [atX, atY] = onCurve(from, command, n / chords);
        to(atX, atY);
      }
      to(command.x, command.y);
    } else if (command.type === SVGPathData.CLOSE_PATH) {
      const [first] = ring;
      close();
      if (first) [x, y] = first;
    }
  }
  close();
  return rings;
}

interface Curve {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  x: number;
  y: number;
}

/** Moves, lines, curves of third degree and closings: what every path can be said in. */
function simpleCommands(data: string) {
  try {
    return new SVGPathData(data).toAbs().normalizeHVZ(false, true, true).normalizeST().qtToC().aToC().commands;
  } catch (error) {
    throw new PathError(error instanceof Error ? error.message : String(error));
  }
}

/** Chords that keep within the tolerance: by the largest second difference of the control points. */
function chordsOf(from: { x: number; y: number }, { x1, y1, x2, y2, x, y }: Curve, toleranceMm: number): number {
  const bend = Math.max(
    Math.hypot(from.x - 2 * x1 + x2, from.y - 2 * y1 + y2),
    Math.hypot(x1 - 2 * x2 + x, y1 - 2 * y2 + y),
  );
  // A chord of length h lies within h² f'' ÷ 8 of its curve, and f'' is 6 times the bend at the most.
  return Math.min(MOST_CHORDS, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / toleranceMm))));
}

function onCurve(from: { x: number; y: number }, { x1, y1, x2, y2, x, y }: Curve, t: number): Point {
  const s = 1 - t;
  const [a, b, c, d] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
  return [a * from.x + b * x1 + c * x2 + d * x, a * from.y + b * y1 + c * y2 + d * y];
}

/** A number of millimeters, to a hundredth: no blade is finer. */
const mm = (value: number): string => String(Math.round(value * 100) / 100);

/** Rings as the data of a path. */
export function pathOfOutline(outline: Outline): string {
  return outline.map((ring) => `M${ring.map(([x, y]) => `${mm(x)} ${mm(y)}`).join('L')}Z`).join('');
}
