import ClipperLib from 'clipper-lib';
import { boxOf, type Outline, type Point, type Ring } from './outline';

/** Clipping works in whole numbers: a thousandth of a millimeter, finer than any blade. */
const SCALE = 1000;
/** How far a rounded corner may lie beside its arc, in those thousandths. */
const ARC_TOLERANCE = 20;

type Path = { X: number; Y: number }[];

const pathsOf = (outline: Outline): Path[] =>
  outline.map((ring) => ring.map(([x, y]) => ({ X: Math.round(x * SCALE), Y: Math.round(y * SCALE) })));
const outlineOf = (paths: Path[]): Outline =>
  paths.map((path) => path.map(({ X, Y }): Point => [X / SCALE, Y / SCALE]));

/** What an outline takes in, by the rule under which its rings were drawn. */
export type FillRule = 'evenOdd' | 'nonZero';

const { clipType, fillType } = {
  clipType: ClipperLib.ClipType,
  fillType: { evenOdd: ClipperLib.PolyFillType.pftEvenOdd, nonZero: ClipperLib.PolyFillType.pftNonZero },
};

/** Boxes closer than this may have lines that meet once they are whole numbers, mm. */
const NEAR_MM = 2 / SCALE;

/**
 * Rings that can have to do with each other: those whose boxes meet, or come within twice a margin. Letters of a word lie
 * apart, and a word is worked letter by letter then: the time for one outline grows faster than its size.
 */
function clusters(first: Outline, second: Outline, marginMm = 0): { first: Outline; second: Outline }[] {
  const reach = marginMm + NEAR_MM;
  const boxed = [...first, ...second].flatMap((ring, n) => {
    const box = boxOf([ring]);
    return box ? [{ ring, isFirst: n < first.length, box }] : [];
  });
  const parent = boxed.map((_, n) => n);
  const root = (n: number): number => {
    let at = n;
    while (parent[at] !== at) {
      parent[at] = parent[parent[at] ?? at] ?? at;
      at = parent[at] ?? at;
    }
    return at;
  };
  const order = boxed.map((_, n) => n).sort((a, b) => (boxed[a]?.box.left ?? 0) - (boxed[b]?.box.left ?? 0));
  let open: number[] = [];
  for (const n of order) {
    const box = boxed[n]?.box;
    if (!box) continue;
    open = open.filter((other) => (boxed[other]?.box.right ?? 0) + 2 * reach >= box.left);
    for (const other of open) {
      const beside = boxed[other]?.box;
      if (beside && beside.top - 2 * reach <= box.bottom && beside.bottom + 2 * reach >= box.top)
        parent[root(n)] = root(other);
    }
    open.push(n);
  }
  const found = new Map<number, { first: Ring[]; second: Ring[] }>();
  boxed.forEach(({ ring, isFirst }, n) => {
    const at = root(n);
    const cluster = found.get(at) ?? { first: [], second: [] };
    found.set(at, cluster);
    (isFirst ? cluster.first : cluster.second).push(ring);
  });
  return [...found.values()];
}

const combined = (type: number, first: Outline, second: Outline, rule: FillRule): Outline =>
  clusters(first, second).flatMap((cluster) => combinedAtOnce(type, cluster.first, cluster.second, rule));

function combinedAtOnce(type: number, first: Outline, second: Outline, rule: FillRule): Outline {
  const clipper = new ClipperLib.Clipper();
  clipper.StrictlySimple = true;
  clipper.AddPaths(pathsOf(first), ClipperLib.PolyType.ptSubject, true);
  if (second.length > 0) clipper.AddPaths(pathsOf(second), ClipperLib.PolyType.ptClip, true);
  const solution: Path[] = [];
  clipper.Execute(type, solution, fillType[rule], fillType[rule]);
  return outlineOf(solution.filter((path) => path.length > 2));
}

/**
 * Outlines welded into one: rings that overlap become one, so that a blade follows only what is seen. Its rings do not
 * cross each other, and what lies inside an odd number of them belongs to it.
 * @param rule how the rings were drawn; lettering and most drawings take in what any ring takes in
 */
export const welded = (outlines: Outline, rule: FillRule = 'nonZero'): Outline =>
  combined(clipType.ctUnion, outlines, [], rule);

/** What of an outline lies outside another. */
export const without = (outline: Outline, other: Outline): Outline =>
  other.length === 0 ? outline : combined(clipType.ctDifference, outline, other, 'evenOdd');

/** What of an outline lies inside another. */
export const common = (outline: Outline, other: Outline): Outline =>
  combined(clipType.ctIntersection, outline, other, 'evenOdd');

/** How corners are grown: round as a pencil goes around them, or sharp as far as a corner of 60°. */
export type Corners = 'round' | 'sharp';

/**
 * An outline grown on every side; holes shrink.
 * @param byMm how far; below 0 it shrinks, and what is thinner than twice that vanishes
 */
export const grown = (outline: Outline, byMm: number, corners: Corners = 'round'): Outline =>
  clusters(outline, [], Math.max(0, byMm)).flatMap(({ first }) => grownAtOnce(first, byMm, corners));

function grownAtOnce(outline: Outline, byMm: number, corners: Corners): Outline {
  const offset = new ClipperLib.ClipperOffset(2, ARC_TOLERANCE);
  // Offsetting goes by the direction of rings: welding by even and odd gives outer ones and holes theirs.
  const paths = pathsOf(combinedAtOnce(clipType.ctUnion, outline, [], 'evenOdd'));
  const join = corners === 'round' ? ClipperLib.JoinType.jtRound : ClipperLib.JoinType.jtMiter;
  offset.AddPaths(paths, join, ClipperLib.EndType.etClosedPolygon);
  const solution: Path[] = [];
  offset.Execute(solution, byMm * SCALE);
  return outlineOf(solution.filter((path) => path.length > 2));
}

/** Length of all rings of an outline, mm. */
export function perimeterMm(outline: Outline): number {
  return outline.reduce(
    (sum, ring) =>
      sum +
      ring.reduce((own, [x, y], n) => {
        const [nextX, nextY] = ring[(n + 1) % ring.length] ?? [x, y];
        return own + Math.hypot(nextX - x, nextY - y);
      }, 0),
    0,
  );
}
