/** Something owned that another thing can stand on. Lengths in mm; the footprint may be unknown. */
export interface Riser {
  id: string;
  name: string;
  heightMm: number;
  widthMm: number | null;
  depthMm: number | null;
  /** How many alike there are. */
  count: number;
}

/** One or two risers, the lower first, with the height they give and how far that is from the wanted one. */
export interface RiserCombination {
  ids: readonly string[];
  heightMm: number;
  /** Given less wanted: above 0 is too tall. */
  offMm: number;
}

/** What stands on top must rest on at least this share of its own width and depth (modelling choice). */
const RESTS_ON = 0.6;

/** Whether a thing of some footprint can stand on another; unknown sizes do not speak against it. */
function carries(
  below: { widthMm: number | null; depthMm: number | null },
  above: { widthMm: number | null; depthMm: number | null },
): boolean {
  const holds = (under: number | null, over: number | null) =>
    under === null || over === null || under >= over * RESTS_ON;
  return holds(below.widthMm, above.widthMm) && holds(below.depthMm, above.depthMm);
}

/**
 * Which owned books, boxes and pedestals bring a piece to a wanted height: one alone, or two stacked, the broader below.
 * @param gapMm wanted height less the piece's own, more than 0
 * @param toleranceMm how far off a combination may be
 * @param piece footprint of what shall stand on top
 * @returns combinations within the tolerance, nearest first, one riser before two
 */
export function riserCombinations(
  gapMm: number,
  toleranceMm: number,
  risers: readonly Riser[],
  piece: { widthMm: number | null; depthMm: number | null } = { widthMm: null, depthMm: null },
): RiserCombination[] {
  const found: RiserCombination[] = [];
  if (!(gapMm > 0)) return found;
  const sorted = risers.filter((riser) => riser.heightMm > 0).sort((a, b) => a.heightMm - b.heightMm);
  const offer = (stack: readonly Riser[]) => {
    const heightMm = stack.reduce((sum, riser) => sum + riser.heightMm, 0);
    const top = stack[stack.length - 1];
    if (top && carries(top, piece))
      found.push({ ids: stack.map((riser) => riser.id), heightMm, offMm: heightMm - gapMm });
  };
  /** First place whose height is at least so much. */
  const firstFrom = (heightMm: number) => {
    let low = 0;
    let high = sorted.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((sorted[middle] as Riser).heightMm < heightMm) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const slack = toleranceMm + 1e-9;
  for (let n = firstFrom(gapMm - slack); n < sorted.length; n += 1) {
    const riser = sorted[n] as Riser;
    if (riser.heightMm > gapMm + slack) break;
    offer([riser]);
  }
  sorted.forEach((one, index) => {
    const rest = gapMm - one.heightMm;
    for (let n = Math.max(index, firstFrom(rest - slack)); n < sorted.length; n += 1) {
      const other = sorted[n] as Riser;
      if (other.heightMm > rest + slack) break;
      if (n === index && one.count < 2) continue;
      const area = (riser: Riser) => (riser.widthMm ?? 0) * (riser.depthMm ?? 0);
      const [below, above] = area(one) >= area(other) ? [one, other] : [other, one];
      if (carries(below, above)) offer([below, above]);
    }
  });
  return found.sort(
    (a, b) =>
      Math.abs(a.offMm) - Math.abs(b.offMm) || a.ids.length - b.ids.length || (a.ids.join() < b.ids.join() ? -1 : 1),
  );
}
