import { combined } from './clipping/combined';
import { MOST_WHOLE, type WholeRing } from './clipping/edge';
import { type Corners, offset } from './clipping/offset';
import type { Windings } from './clipping/windings';
import { boxOf, type Outline, type Point, type Ring } from './outline';

/** Clipping works in whole numbers: a thousandth of a millimeter, finer than any blade. */
const SCALE = 1000;

/** Whole numbers to a millimeter: fewer where a drawing is so large that comparing them would not be exact. */
function scaleOf(outlines: readonly Outline[], marginMm: number): number {
  let largestMm = marginMm;
  for (const outline of outlines)
    for (const ring of outline)
      for (const [x, y] of ring) largestMm = Math.max(largestMm, Math.abs(x) + marginMm, Math.abs(y) + marginMm);
  return largestMm * SCALE <= MOST_WHOLE ? SCALE : MOST_WHOLE / largestMm;
}

const inWhole = (outline: Outline, scale: number): WholeRing[] =>
  outline.map((ring) => ring.map(([x, y]) => ({ x: Math.round(x * scale), y: Math.round(y * scale) })));
const inMm = (rings: readonly WholeRing[], scale: number): Outline =>
  rings.map((ring) => ring.map(({ x, y }): Point => [x / scale, y / scale]));

/** What an outline takes in, by the rule under which its rings were drawn. */
export type FillRule = 'evenOdd' | 'nonZero';

const takes: Record<FillRule, (windings: number) => boolean> = {
  evenOdd: (windings) => windings % 2 !== 0,
  nonZero: (windings) => windings !== 0,
};
const isIn = takes.evenOdd;

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

/** What two outlines take in together by a rule, cluster by cluster. */
const clipped = (first: Outline, second: Outline, isTaken: (windings: Windings) => boolean): Outline =>
  clusters(first, second).flatMap((cluster) => {
    const scale = scaleOf([cluster.first, cluster.second], 0);
    return inMm(combined(inWhole(cluster.first, scale), inWhole(cluster.second, scale), isTaken), scale);
  });

/**
 * Outlines welded into one: rings that overlap become one, so that a blade follows only what is seen. Its rings do not
 * cross each other, and what lies inside an odd number of them belongs to it.
 * @param rule how the rings were drawn; lettering and most drawings take in what any ring takes in
 */
export const welded = (outlines: Outline, rule: FillRule = 'nonZero'): Outline =>
  clipped(outlines, [], ({ first }) => takes[rule](first));

/** What of an outline lies outside another. */
export const without = (outline: Outline, other: Outline): Outline =>
  other.length === 0 ? outline : clipped(outline, other, ({ first, second }) => isIn(first) && !isIn(second));

/** What of an outline lies inside another. */
export const common = (outline: Outline, other: Outline): Outline =>
  clipped(outline, other, ({ first, second }) => isIn(first) && isIn(second));

/**
 * An outline grown on every side; holes shrink.
 * @param byMm how far; below 0 it shrinks, and what is thinner than twice that vanishes
 */
export const grown = (outline: Outline, byMm: number, corners: Corners = 'round'): Outline =>
  clusters(outline, [], Math.max(0, byMm)).flatMap(({ first }) => {
    // A tip reaches twice as far as it is grown by.
    const scale = scaleOf([first], 2 * Math.abs(byMm));
    const rings = combined(inWhole(first, scale), [], (windings) => isIn(windings.first));
    return inMm(byMm === 0 ? rings : offset(rings, byMm * scale, corners), scale);
  });

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
