import { type Edge, type Spot, sideOf } from './edge';

/** How often the rings of each of two shapes go around a place. */
export interface Windings {
  first: number;
  second: number;
}

const outside: Windings = { first: 0, second: 0 };

/** What lies on the right hand of an edge, by what lies on its left: the rings along it go around that, too. */
export const onTheRight = ({ first, second }: Edge, left: Windings): Windings => ({
  first: left.first + first,
  second: left.second + second,
});

/**
 * What lies on the left hand of each edge. A line moves over them from left to right: what lies above an edge is what
 * lies below the next one over it (the sweep of Bentley and Ottmann, for edges that do not cross).
 * @param edges parted where they meet, from left to right
 */
export function windingsOf(edges: readonly Edge[]): ReadonlyMap<Edge, Windings> {
  const found = new Map<Edge, Windings>();
  /** Edges under the moving line, from the upper to the lower one. */
  const under: Edge[] = [];
  const endings = edges.filter(isSlanted).sort((a, b) => a.to.x - b.to.x);
  let ended = 0;
  const above = (position: number): Windings => {
    const over = under[position - 1];
    const left = over && found.get(over);
    return left ? onTheRight(over, left) : outside;
  };
  for (let n = 0; n < edges.length; ) {
    const x = edges[n]?.from.x ?? 0;
    for (let end = endings[ended]; end && end.to.x <= x; end = endings[ended]) {
      under.splice(under.indexOf(end), 1);
      ended += 1;
    }
    const begun: Edge[] = [];
    for (let edge = edges[n]; edge?.from.x === x; edge = edges[n]) {
      begun.push(edge);
      n += 1;
    }
    for (const edge of begun.filter(isSlanted).sort(fromTheTop)) {
      const position = firstBelow(under, edge.from);
      found.set(edge, above(position));
      under.splice(position, 0, edge);
    }
    // The left hand of an upright edge is to the right of it: all that begins there is under the line by now.
    for (const edge of begun) if (!isSlanted(edge)) found.set(edge, above(firstBelow(under, middleOf(edge))));
  }
  return found;
}

/** Whether an edge leads to the right at all. */
const isSlanted = ({ from, to }: Edge): boolean => to.x > from.x;

/** The order of edges that begin at the same x: by their beginnings, and by where they go where they begin as one. */
const fromTheTop = (a: Edge, b: Edge): number => a.from.y - b.from.y || -sideOf(a.from, a.to, b.to);

const middleOf = ({ from, to }: Edge): Spot => ({ x: from.x, y: (from.y + to.y) / 2 });

/** How many of the edges under the line lie above a point, or begin at it. */
function firstBelow(under: readonly Edge[], point: Spot): number {
  let [low, high] = [0, under.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const edge = under[middle];
    if (edge && sideOf(edge.from, edge.to, point) >= 0) low = middle + 1;
    else high = middle;
  }
  return low;
}
