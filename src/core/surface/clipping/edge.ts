/** A point with whole coordinates, x to the right and y downward. */
export interface Spot {
  x: number;
  y: number;
}

/** A closed line through whole points; its end joins its beginning. */
export type WholeRing = readonly Spot[];

/** Up to this coordinate every comparison is exact: a product of two distances can still be told from the next number. */
export const MOST_WHOLE = 30_000_000;

/**
 * A piece of the rings of two shapes, from its left end to its right one; from its upper end to its lower one where it
 * is upright.
 */
export interface Edge {
  from: Spot;
  to: Spot;
  /** How often the first shape's rings run along it; those that run against it count less. */
  first: number;
  second: number;
}

/** Whether a point comes before another: further left, or above where they stand over each other. */
export const isBefore = (a: Spot, b: Spot): boolean => (a.x === b.x ? a.y < b.y : a.x < b.x);

/** Whether two points are the same. */
export const isSame = (a: Spot, b: Spot): boolean => a.x === b.x && a.y === b.y;

/**
 * On which side of a line a point lies: above 0 on the right hand of somebody who walks it, below 0 on the left, 0 on
 * the line. With y downward the right hand of who walks to the right is below the line.
 */
export const sideOf = (from: Spot, to: Spot, point: Spot): number =>
  (to.x - from.x) * (point.y - from.y) - (to.y - from.y) * (point.x - from.x);

/** An edge between two points, whichever comes first. */
export function edgeBetween(a: Spot, b: Spot, first: number, second: number): Edge {
  return isBefore(a, b) ? { from: a, to: b, first, second } : { from: b, to: a, first: -first, second: -second };
}

/** The edges of rings; a point that is said twice makes none. */
export function edgesOf(rings: readonly WholeRing[], of: 'first' | 'second'): Edge[] {
  const [first, second] = of === 'first' ? [1, 0] : [0, 1];
  return rings.flatMap((ring) =>
    ring.flatMap((point, n) => {
      const next = ring[(n + 1) % ring.length] ?? point;
      return isSame(point, next) ? [] : [edgeBetween(point, next, first, second)];
    }),
  );
}

const inOrder = (a: Edge, b: Edge): number =>
  a.from.x - b.from.x || a.from.y - b.from.y || a.to.x - b.to.x || a.to.y - b.to.y;

/**
 * Edges from left to right, each place once: those that lie on each other become one, and those that take each other
 * back are left out.
 */
export function laidTogether(edges: readonly Edge[]): Edge[] {
  const laid: Edge[] = [];
  for (const edge of [...edges].sort(inOrder)) {
    const last = laid[laid.length - 1];
    if (last && isSame(last.from, edge.from) && isSame(last.to, edge.to))
      laid[laid.length - 1] = { ...last, first: last.first + edge.first, second: last.second + edge.second };
    else laid.push(edge);
  }
  return laid.filter(({ first, second }) => first !== 0 || second !== 0);
}
