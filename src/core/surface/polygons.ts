import ClipperLib from 'clipper-lib';
import type { Outline, Point } from './outline';

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

function combined(type: number, first: Outline, second: Outline, rule: FillRule): Outline {
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

/**
 * An outline grown on every side, its corners rounded; holes shrink.
 * @param byMm how far; below 0 it shrinks, and what is thinner than twice that vanishes
 */
export function grown(outline: Outline, byMm: number): Outline {
  const offset = new ClipperLib.ClipperOffset(2, ARC_TOLERANCE);
  // Offsetting goes by the direction of rings: welding by even and odd gives outer ones and holes theirs.
  const paths = pathsOf(welded(outline, 'evenOdd'));
  offset.AddPaths(paths, ClipperLib.JoinType.jtRound, ClipperLib.EndType.etClosedPolygon);
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
