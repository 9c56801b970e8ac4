import { isSame, type Spot, sideOf, type WholeRing } from './edge';

/** A piece of the border of a shape, walked so that the shape lies on the right hand. */
export interface Border {
  from: Spot;
  to: Spot;
}

/**
 * The borders of a shape joined to rings, each clockwise as it is seen, holes against it. Rings may touch at a point;
 * none goes through a point twice, and none has a point in the middle of a straight line.
 */
export function ringsOf(borders: readonly Border[]): WholeRing[] {
  const leaving = new Map<string, Border[]>();
  for (const border of borders) {
    const there = leaving.get(keyOf(border.from));
    if (there) there.push(border);
    else leaving.set(keyOf(border.from), [border]);
  }
  const walked = new Set<Border>();
  return borders.flatMap((start) => {
    const way: Spot[] = [];
    for (let border: Border | undefined = start; border && !walked.has(border); border = next(border, leaving)) {
      walked.add(border);
      way.push(border.from);
    }
    return loopsOf(way)
      .map(withoutMiddles)
      .filter((ring) => ring.length > 2);
  });
}

const keyOf = ({ x, y }: Spot): string => `${x} ${y}`;

/** The border that goes on from another's end: the first that one meets who turns there from where one came, over the shape. */
function next({ from, to }: Border, leaving: ReadonlyMap<string, readonly Border[]>): Border | undefined {
  const ways = leaving.get(keyOf(to)) ?? [];
  if (ways.length < 2) return ways[0];
  return ways.reduce((best, way) => (isMetBefore(to, from, way.to, best.to) ? way : best));
}

/** Whether one who looks from a point to where one came, and turns to the left, meets one point before another. */
function isMetBefore(at: Spot, came: Spot, a: Spot, b: Spot): boolean {
  const [isFarA, isFarB] = [isOverHalf(at, came, a), isOverHalf(at, came, b)];
  return isFarA === isFarB ? sideOf(at, a, b) < 0 : isFarB;
}

/** Whether a point is met only after half a turn to the left. */
const isOverHalf = (at: Spot, came: Spot, point: Spot): boolean => sideOf(at, came, point) > 0;

/** A closed way in loops that go through no point twice. */
function loopsOf(way: readonly Spot[]): WholeRing[] {
  const loops: WholeRing[] = [];
  const open: Spot[] = [];
  const at = new Map<string, number>();
  for (const point of way) {
    const before = at.get(keyOf(point));
    if (before !== undefined) {
      const loop = open.splice(before);
      for (const spot of loop) at.delete(keyOf(spot));
      loops.push(loop);
    }
    at.set(keyOf(point), open.length);
    open.push(point);
  }
  return [...loops, open];
}

/** A ring without the points that lie on the straight line between their neighbors. */
function withoutMiddles(ring: WholeRing): WholeRing {
  const kept: Spot[] = [];
  ring.forEach((point, n) => {
    const before = kept[kept.length - 1] ?? ring[ring.length - 1] ?? point;
    const after = ring[(n + 1) % ring.length] ?? point;
    if (!isSame(before, point) && sideOf(before, after, point) !== 0) kept.push(point);
  });
  return kept;
}
