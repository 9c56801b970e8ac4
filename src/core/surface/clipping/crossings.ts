import { type Edge, edgeBetween, isBefore, isSame, laidTogether, type Spot, sideOf } from './edge';

/** One round is enough but where a crossing lies as good as halfway between two points; a second or third parts the rest. */
const MOST_ROUNDS = 50;

/**
 * Edges parted where they meet, from left to right, so that two of them have at the most an end in common. Crossings are
 * rounded to whole points, and every edge is led through all ends and crossings that lie within half a point of it: no
 * edge is then pushed over another (snap rounding, after Hobby 1999, Guibas and Marimont 1998; from memory).
 * @throws Error where edges never come to rest: a bug of this function
 */
export function partedAtCrossings(edges: readonly Edge[]): readonly Edge[] {
  let parted = laidTogether(edges);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const meetings = meetingsOf(parted);
    if (meetings.length === 0) return parted;
    const spots = spotsOf(parted, meetings);
    parted = laidTogether(parted.flatMap((edge) => partsOf(edge, spots)));
  }
  throw new Error('Edges of an outline cross each other without end.');
}

/** Where edges meet within one of them, at the nearest whole points; of two that lie on each other, one such place. */
function meetingsOf(edges: readonly Edge[]): Spot[] {
  const found: Spot[] = [];
  const open: Edge[] = [];
  for (const edge of edges) {
    const { from, to } = edge;
    const [top, bottom] = from.y < to.y ? [from.y, to.y] : [to.y, from.y];
    let kept = 0;
    for (const other of open) {
      if (other.to.x < from.x) continue;
      open[kept] = other;
      kept += 1;
      const isApart = (other.from.y < top && other.to.y < top) || (other.from.y > bottom && other.to.y > bottom);
      const meeting = isApart ? null : meetingOf(edge, other);
      if (meeting) found.push(meeting);
    }
    open.length = kept;
    open.push(edge);
  }
  return found;
}

/** Where two edges meet, but for an end that both have. */
function meetingOf(a: Edge, b: Edge): Spot | null {
  const [from, to] = [sideOf(a.from, a.to, b.from), sideOf(a.from, a.to, b.to)];
  if ((from > 0 && to > 0) || (from < 0 && to < 0)) return null;
  const [begin, end] = [sideOf(b.from, b.to, a.from), sideOf(b.from, b.to, a.to)];
  if ((begin > 0 && end > 0) || (begin < 0 && end < 0)) return null;
  if (from === 0 && isBetween(a, b.from)) return b.from;
  if (to === 0 && isBetween(a, b.to)) return b.to;
  if (begin === 0 && isBetween(b, a.from)) return a.from;
  if (end === 0 && isBetween(b, a.to)) return a.to;
  if (from === 0 || to === 0 || begin === 0 || end === 0) return null;
  const share = from / (from - to);
  return {
    x: Math.round(b.from.x + share * (b.to.x - b.from.x)),
    y: Math.round(b.from.y + share * (b.to.y - b.from.y)),
  };
}

/** Whether a point of an edge's line lies between its ends. */
const isBetween = ({ from, to }: Edge, point: Spot): boolean => isBefore(from, point) && isBefore(point, to);

/** All ends and meetings from left to right, each once. */
function spotsOf(edges: readonly Edge[], meetings: readonly Spot[]): Spot[] {
  const all = [...edges.flatMap(({ from, to }) => [from, to]), ...meetings].sort((a, b) => a.x - b.x || a.y - b.y);
  return all.filter((spot, n) => {
    const before = all[n - 1];
    return !before || !isSame(before, spot);
  });
}

/** An edge in parts, from one point that it passes to the next. */
function partsOf(edge: Edge, spots: readonly Spot[]): Edge[] {
  const { from, to, first, second } = edge;
  const passed = passedBy(edge, spots);
  if (passed.length === 0) return [edge];
  const along = ({ x, y }: Spot) => (x - from.x) * (to.x - from.x) + (y - from.y) * (to.y - from.y);
  const stops = [from, ...passed.sort((a, b) => along(a) - along(b)), to];
  return stops.slice(1).map((stop, n) => edgeBetween(stops[n] ?? from, stop, first, second));
}

/**
 * The points between its ends that an edge passes within half a point in both directions. One that it passes by just half
 * a point counts on one side only, as a half is rounded to one side: it would go to and fro between two otherwise.
 */
function passedBy({ from, to }: Edge, spots: readonly Spot[]): Spot[] {
  const [top, bottom] = from.y < to.y ? [from.y, to.y] : [to.y, from.y];
  const reach = to.x - from.x + bottom - top;
  const passed: Spot[] = [];
  for (let n = firstFrom(spots, from.x); n < spots.length; n += 1) {
    const spot = spots[n];
    if (!spot || spot.x > to.x) break;
    if (spot.y < top || spot.y > bottom || isSame(spot, from) || isSame(spot, to)) continue;
    const side = 2 * sideOf(from, to, spot);
    if (Math.abs(side) < reach || side === (to.y < from.y ? reach : -reach)) passed.push(spot);
  }
  return passed;
}

/** The first of the points from left to right that does not lie left of x. */
function firstFrom(spots: readonly Spot[], x: number): number {
  let [low, high] = [0, spots.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((spots[middle]?.x ?? 0) < x) low = middle + 1;
    else high = middle;
  }
  return low;
}
