import type { Outline, Point } from '../surface/outline';

/** How far a chord may lie beside its curve, mm: finer than a blade follows. */
export const FLAT_MM = 0.02;
/** Chords of one curve at the most; a path with more is not one that anybody drew. */
const MOST_CHORDS = 400;

/** Why a path cannot be read. */
export class PathError extends Error {}

/** A curve of third degree to a point, by two that it bends toward. */
interface Curve {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  x: number;
  y: number;
}

/** What every path can be said in, from one place on a plane to the next. */
export type PathCommand =
  | { kind: 'move' | 'line'; x: number; y: number }
  | ({ kind: 'curve' } & Curve)
  | { kind: 'close' };

/**
 * The rings of a path, its curves as chords. Every ring is closed, whether the path closes it or not: a blade cuts out
 * what is inside.
 * @param toleranceMm how far a chord may lie beside its curve
 * @throws PathError where a coordinate is not a number
 */
export function outlineOfCommands(commands: Iterable<PathCommand>, toleranceMm: number): Outline {
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
  for (const command of commands) {
    if (command.kind === 'move') {
      close();
      [x, y] = [command.x, command.y];
      ring = [[x, y]];
    } else if (command.kind === 'line') to(command.x, command.y);
    else if (command.kind === 'curve') {
      const from = { x, y };
      const chords = chordsOf(from, command, toleranceMm);
      for (let n = 1; n < chords; n += 1) {
        const [atX, atY] = onCurve(from, command, n / chords);
        to(atX, atY);
      }
      to(command.x, command.y);
    } else {
      const [first] = ring;
      close();
      if (first) [x, y] = first;
    }
  }
  close();
  return rings;
}

/**
 * The rings of a path as shapes are kept: moves, lines, curves of third degree and closings, each by its letter and with
 * coordinates in millimeters from the upper left. Paths as others write them are read by `outlineOfSvgPath`.
 * @throws PathError with what cannot be read
 */
export const outlineOfPath = (data: string): Outline => outlineOfCommands(keptCommands(data), FLAT_MM);

const NUMBER = '[-+]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][-+]?\\d+)?';
const TOKENS = new RegExp(`[\\s,]*(?:([MLCZ])|(${NUMBER})|(\\S))`, 'gy');

function* keptCommands(data: string): Generator<PathCommand> {
  let letter: string | null = null;
  let numbers: number[] = [];
  for (const [, next, number, unknown] of data.matchAll(TOKENS)) {
    if (unknown !== undefined) throw new PathError(`“${unknown}” does not belong in an outline`);
    if (next !== undefined) {
      yield* commandsOf(letter, numbers);
      [letter, numbers] = [next, []];
    } else numbers.push(Number(number));
  }
  yield* commandsOf(letter, numbers);
}

/** How many numbers each letter asks for; more of them say it again. */
const ASKED: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Z: 0 };

function* commandsOf(letter: string | null, numbers: readonly number[]): Generator<PathCommand> {
  const asked = letter === null ? undefined : ASKED[letter];
  if (asked === undefined) {
    if (letter !== null || numbers.length > 0) throw new PathError('an outline begins with M and a place');
    return;
  }
  if (asked === 0 ? numbers.length > 0 : numbers.length === 0 || numbers.length % asked !== 0)
    throw new PathError(`${letter} asks for ${asked} numbers, and there are ${numbers.length}`);
  if (asked === 0) yield { kind: 'close' };
  for (let n = 0; n < numbers.length; n += asked) {
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = numbers.slice(n, n + asked);
    if (letter === 'C') yield { kind: 'curve', x1: a, y1: b, x2: c, y2: d, x: e, y: f };
    // Places after the first of a move are lines.
    else yield { kind: letter === 'M' && n === 0 ? 'move' : 'line', x: a, y: b };
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
