import { boxOf, isInside, type Outline, type Point, type Ring } from '../../surface/outline';

/** What a cutting machine is. */
export interface Machine {
  /** What of its mat the blade reaches, mm. */
  matWidthMm: number;
  matHeightMm: number;
  cutMmPerS: number;
  travelMmPerS: number;
  /** Seconds that lifting the blade and setting it down takes. */
  liftS: number;
}

/**
 * A machine for a mat of 12 by 12 in, of which 11.5 in can be used: it cuts 150 mm a second (50 to 400; common practice,
 * from memory), travels 400, and takes a fifth of a second to lift (from memory).
 */
export const usualMachine: Machine = {
  matWidthMm: 11.5 * 25.4,
  matHeightMm: 11.5 * 25.4,
  cutMmPerS: 150,
  travelMmPerS: 400,
  liftS: 0.2,
};

/** One ring that is cut: its points from where the blade sets down, and back to there. */
export interface BladeCut {
  /** Which ring of the file, from 0. */
  ring: number;
  points: Ring;
}

/** The way of the blade over the mat. */
export interface BladePath {
  cuts: readonly BladeCut[];
  cutMm: number;
  /** With the blade up, from the mat's corner and back to it. */
  travelMm: number;
  /** How often the blade is lifted. */
  lifts: number;
  minutes: number;
  /** What it would travel in the order of the file. */
  fileTravelMm: number;
}

/** Something that lies off the mat. */
export interface OffMat {
  ring: number;
  /** How far beyond which edge, mm. */
  beyondMm: number;
  edge: 'left' | 'top' | 'right' | 'bottom';
}

/** What of a file the machine cannot reach; empty where it can cut all of it. */
export function offMat(rings: Outline, { matWidthMm, matHeightMm }: Machine): OffMat[] {
  return rings.flatMap((ring, n) => {
    const box = boxOf([ring]);
    if (!box) return [];
    const beyond = (
      [
        ['left', -box.left],
        ['top', -box.top],
        ['right', box.right - matWidthMm],
        ['bottom', box.bottom - matHeightMm],
      ] as const
    ).filter(([, mm]) => mm > 0.01);
    const [worst] = [...beyond].sort((a, b) => b[1] - a[1]);
    return worst ? [{ ring: n, edge: worst[0], beyondMm: worst[1] }] : [];
  });
}

const START: Point = [0, 0];
const distance = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(ax - bx, ay - by);

/**
 * The way of the blade: what lies inside something is cut before it, so that it does not shift, and the way between is
 * short: nearest first, or for up to eight rings the best of all orders, then improved by moving one ring, or turning a
 * stretch of the order around, while that helps. The same rings give the same way.
 * @param report is told how much is done, 0 to 1; the search stops where it returns false
 */
export function bladePath(
  rings: Outline,
  machine: Machine,
  report: (share: number) => boolean = () => true,
): BladePath {
  const within = containers(rings);
  const file = firstAllowed(rings, within);
  const first = withStarts(rings, nearestFirst(rings, within));
  const best = shortest([
    improved(rings, within, shortest([first, withStarts(rings, bestOfAll(rings, within, first))]), report),
    withStarts(rings, file),
  ]);
  const cuts = best.order.map((ring, n): BladeCut => {
    const points = rings[ring] ?? [];
    const from = best.starts[n] ?? 0;
    const [first] = [points[from]];
    return { ring, points: [...points.slice(from), ...points.slice(0, from), ...(first ? [first] : [])] };
  });
  const cutMm = cuts.reduce((sum, { points }) => sum + lengthOf(points), 0);
  const lifts = cuts.length;
  return {
    cuts,
    cutMm,
    travelMm: best.travel,
    lifts,
    minutes: (cutMm / machine.cutMmPerS + best.travel / machine.travelMmPerS + lifts * machine.liftS) / 60,
    // As the file has them: each ring from its first point, whatever lies inside what.
    fileTravelMm: travelOf(rings.map((ring) => ring[0] ?? START)),
  };
}

const lengthOf = (points: Ring): number =>
  points.reduce((sum, point, n) => (n === 0 ? 0 : sum + distance(points[n - 1] ?? point, point)), 0);

/** For each ring the rings that lie inside it: they go first. */
function containers(rings: Outline): number[][] {
  const boxes = rings.map((ring) => boxOf([ring]));
  return rings.map((ring, outer) => {
    const around = boxes[outer];
    return rings.flatMap((other, inner) => {
      const box = boxes[inner];
      const [point] = other;
      if (inner === outer || !around || !box || !point) return [];
      const fits =
        box.left >= around.left && box.right <= around.right && box.top >= around.top && box.bottom <= around.bottom;
      return fits && isInside(point, [ring]) ? [inner] : [];
    });
  });
}

/** The order of the file, put right where something inside would come after what is around it. */
function firstAllowed(rings: Outline, within: readonly number[][]): number[] {
  const order: number[] = [];
  const done = new Set<number>();
  const cut = (ring: number) => {
    if (done.has(ring)) return;
    done.add(ring);
    for (const inner of within[ring] ?? []) cut(inner);
    order.push(ring);
  };
  rings.forEach((_ring, n) => {
    cut(n);
  });
  return order;
}

/** Always the nearest ring that may be cut next. */
function nearestFirst(rings: Outline, within: readonly number[][]): number[] {
  const open = new Set(rings.map((_ring, n) => n));
  const order: number[] = [];
  let at = START;
  while (open.size > 0) {
    let nearest: { ring: number; far: number; point: Point } | null = null;
    for (const ring of open) {
      if ((within[ring] ?? []).some((inner) => open.has(inner))) continue;
      for (const point of rings[ring] ?? []) {
        const far = distance(at, point);
        if (!nearest || far < nearest.far - 1e-9) nearest = { ring, far, point };
      }
    }
    // Rings without a point, or that hold each other: in the order of the file.
    const next: { ring: number; point: Point } = nearest ?? { ring: [...open][0] ?? 0, point: at };
    open.delete(next.ring);
    order.push(next.ring);
    at = next.point;
  }
  return order;
}

interface Way {
  order: readonly number[];
  starts: readonly number[];
  travel: number;
}

/** The shortest of ways; the first of those that are alike. */
const shortest = (ways: readonly [Way, ...Way[]]): Way =>
  ways.reduce((best, way) => (way.travel < best.travel ? way : best));

/** Up to how many rings every order is weighed: the work doubles with each. */
const FEW_RINGS = 8;

/**
 * The shortest allowed order of a few rings, each begun where a given way begins it: for every set of rings that are cut
 * and each that may be the last of them, the shortest way to there, from small sets to large (Held and Karp, 1962).
 * Many rings, or rings that hold each other, keep the order of the given way.
 */
function bestOfAll(rings: Outline, within: readonly number[][], { order: given, starts }: Way): readonly number[] {
  const count = rings.length;
  if (count > FEW_RINGS) return given;
  const startOf = new Map(given.map((ring, n) => [ring, starts[n] ?? 0]));
  const points = rings.map((ring, n) => ring[startOf.get(n) ?? 0] ?? START);
  const first = within.map((inner) => inner.reduce((set, ring) => set | (1 << ring), 0));
  type Reached = { travel: number; order: readonly number[] };
  const reached: Map<number, Reached>[] = Array.from({ length: 1 << count }, () => new Map());
  reached[0]?.set(-1, { travel: 0, order: [] });
  reached.forEach((ends, set) => {
    for (const [last, { travel, order }] of ends)
      points.forEach((point, ring) => {
        const needed = first[ring] ?? 0;
        if (set & (1 << ring) || (set & needed) !== needed) return;
        const there = travel + distance(points[last] ?? START, point);
        const after = reached[set | (1 << ring)];
        const known = after?.get(ring);
        if (!known || there < known.travel - 1e-9) after?.set(ring, { travel: there, order: [...order, ring] });
      });
  });
  const whole = [...(reached.at(-1)?.entries() ?? [])].map(([last, { travel, order }]) => ({
    order,
    travel: travel + distance(points[last] ?? START, START),
  }));
  return (
    whole.reduce<Reached | null>((best, way) => (best && best.travel <= way.travel ? best : way), null)?.order ?? given
  );
}

function travelOf(points: readonly Point[]): number {
  let at = START;
  let sum = 0;
  for (const point of points) {
    sum += distance(at, point);
    at = point;
  }
  return sum + distance(at, START);
}

/** Sweeps of choosing starts; each brings them nearer to both their neighbors. */
const START_SWEEPS = 3;

/** Where each ring is begun: at the point with the shortest way from the one before and to the one after. */
function withStarts(rings: Outline, order: readonly number[]): Way {
  const starts: number[] = order.map(() => 0);
  const at = (n: number): Point => {
    const ring = order[n];
    return ring === undefined ? START : (rings[ring]?.[starts[n] ?? 0] ?? START);
  };
  for (let sweep = 0; sweep < START_SWEEPS; sweep += 1)
    order.forEach((ring, n) => {
      const before = at(n - 1);
      // At first nothing is known of what follows.
      const after = sweep === 0 ? before : at(n + 1);
      let [nearest, least] = [0, Number.POSITIVE_INFINITY];
      (rings[ring] ?? []).forEach((point, index) => {
        const way = distance(before, point) + distance(point, after);
        if (way < least - 1e-9) [nearest, least] = [index, way];
      });
      starts[n] = nearest;
    });
  return { order, starts, travel: travelOf(order.map((_ring, n) => at(n))) };
}

/** Rings beyond which only the nearest order is taken: the search grows with their square. */
const MOST_SEARCHED = 400;
/** How many changes are tried at the most. */
const MOST_TRIED = 60_000;

/** Moves one ring, or turns a stretch around, as long as the way gets shorter and nothing inside comes too late. */
function improved(rings: Outline, within: readonly number[][], first: Way, report: (share: number) => boolean): Way {
  if (rings.length < 3 || rings.length > MOST_SEARCHED) return first;
  let best = first;
  let tried = 0;
  for (let found = true; found && tried < MOST_TRIED; ) {
    found = false;
    const count = best.order.length;
    for (let i = 0; i < count && tried < MOST_TRIED; i += 1) {
      if (!report(Math.min(1, tried / MOST_TRIED))) return best;
      for (let j = 0; j < count && tried < MOST_TRIED; j += 1) {
        if (i === j) continue;
        tried += 1;
        const order = changed(best.order, i, j);
        if (estimate(rings, best, order) >= best.travel - 1e-6 || !isAllowed(order, within)) continue;
        const way = withStarts(rings, order);
        if (way.travel < best.travel - 1e-6) {
          best = way;
          found = true;
        }
      }
    }
  }
  report(1);
  return best;
}

/** For i before j the stretch between them turned around; for i after j the ring i moved to j. */
function changed(order: readonly number[], i: number, j: number): number[] {
  if (i < j) return [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)];
  const next = [...order];
  next.splice(j, 0, ...next.splice(i, 1));
  return next;
}

/** What an order would travel with the starts as they are. */
function estimate(rings: Outline, { order, starts }: Way, next: readonly number[]): number {
  const startOf = new Map(order.map((ring, n) => [ring, starts[n] ?? 0]));
  return travelOf(next.map((ring) => rings[ring]?.[startOf.get(ring) ?? 0] ?? START));
}

function isAllowed(order: readonly number[], within: readonly number[][]): boolean {
  const at = new Map(order.map((ring, n) => [ring, n]));
  return order.every((ring, n) => (within[ring] ?? []).every((inner) => (at.get(inner) ?? 0) < n));
}
