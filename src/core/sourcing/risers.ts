import type { Outline } from '../model/entities/piece';

/** What stands on, or is stood upon, as far as that matters for a stack. Lengths in mm, weights in g; null is unknown. */
export interface Footprint {
  widthMm: number | null;
  depthMm: number | null;
  outline: Outline;
  weightG: number | null;
}

/** Something owned that another thing can stand on. */
export interface Riser extends Footprint {
  id: string;
  name: string;
  heightMm: number;
  /** What it carries; null while nobody noted it. */
  carriesG: number | null;
  /** How many alike there are. */
  count: number;
}

/** One to five risers, the lowest of the stack first, with the height they give and what to mind about them. */
export interface RiserCombination {
  ids: readonly string[];
  heightMm: number;
  /** Given less wanted: above 0 is too tall. */
  offMm: number;
  /** What all of it that carries something would have to carry, where every weight above is known; else null. */
  loadKnown: boolean;
  /** Taller for its foot than stands safely by itself. */
  slender: boolean;
}

/** What stands on top must rest on at least this share of its own width and depth (modelling choice). */
const RESTS_ON = 0.6;
/** A stack taller than so many times the least side of its foot is easily knocked over (common practice, no source). */
const SLENDER = 4;
/** The most that are stacked. */
export const MOST_STACKED = 5;
/** Each further riser in a stack must bring it so much nearer to the wanted height (modelling choice), mm. */
const WORTH_ONE_MORE_MM = 5;
/** Stacks of three and more are made of so many of the broadest risers: enough to choose from, few enough to try all. */
const MOST_TRIED = 30;
/** Stacks of two are made of so many of the broadest. */
const MOST_PAIRED = 1000;
/** So many of the best are kept. */
const MOST_KEPT = 200;
const TINY = 1e-9;

const nowhere: Footprint = { widthMm: null, depthMm: null, outline: 'unknown', weightG: null };

/**
 * Whether a thing of some footprint can stand on another; unknown sizes do not speak against it. The corners of a square
 * thing reach out further than its sides, so a round top must be broader for it by the root of two.
 */
function standsOn(below: Footprint, above: Footprint): boolean {
  const corners = below.outline === 'round' && above.outline === 'square' ? Math.SQRT2 : 1;
  const holds = (under: number | null, over: number | null) =>
    under === null || over === null || under >= over * RESTS_ON * corners;
  return holds(below.widthMm, above.widthMm) && holds(below.depthMm, above.depthMm);
}

/** The load on each riser of a stack, from the lowest; null where a weight above it is not known. */
function loads(stack: readonly Riser[], piece: Footprint): (number | null)[] {
  return stack.map((_, n) =>
    [...stack.slice(n + 1), piece].reduce<number | null>(
      (sum, { weightG }) => (sum === null || weightG === null ? null : sum + weightG),
      0,
    ),
  );
}

/** How far off a combination is, each further riser counted as some millimeters. */
const cost = ({ offMm, ids }: RiserCombination) => Math.abs(offMm) + (ids.length - 1) * WORTH_ONE_MORE_MM;

/** The best of some combinations, in their order. */
const best = (of: readonly RiserCombination[]): RiserCombination[] =>
  [...of]
    .sort((a, b) => cost(a) - cost(b) || a.ids.length - b.ids.length || (a.ids.join() < b.ids.join() ? -1 : 1))
    .slice(0, MOST_KEPT);

const area = ({ widthMm, depthMm }: Footprint) => (widthMm ?? 0) * (depthMm ?? widthMm ?? 0);

/** The broader first; equals in a fixed order. */
const broaderFirst = (a: Riser, b: Riser) => area(b) - area(a) || (a.id < b.id ? -1 : 1);

/** Every stack of so many of the risers, the broader below, whose height lies within the slack of the wanted one. */
function stacksOf(
  size: number,
  risers: readonly Riser[],
  gapMm: number,
  slackMm: number,
  offer: (stack: Riser[]) => void,
) {
  const broadFirst = [...risers].sort(broaderFirst);
  const heights = broadFirst.map((riser) => riser.heightMm);
  const least = Math.min(...heights);
  const most = Math.max(...heights);
  const stack: Riser[] = [];
  const build = (from: number, rest: number) => {
    const left = size - stack.length;
    if (left === 0) {
      if (Math.abs(rest) <= slackMm) offer([...stack]);
      return;
    }
    if (left * least > rest + slackMm || left * most < rest - slackMm) return;
    for (let n = from; n < broadFirst.length; n += 1) {
      const next = broadFirst[n] as Riser;
      if (next.heightMm > rest + slackMm || (left === 1 && next.heightMm < rest - slackMm)) continue;
      const below = stack.at(-1);
      if (below && !standsOn(below, next)) continue;
      stack.push(next);
      // There may be several alike: one of them can stand on another.
      const used = stack.filter(({ id }) => id === next.id).length;
      build(used < next.count ? n : n + 1, rest - next.heightMm);
      stack.pop();
    }
  };
  if (broadFirst.length > 0) build(0, gapMm);
}

/**
 * Which owned books, boxes and pedestals bring a piece to a wanted height: one alone, or up to five stacked, the broader
 * below. None carries more than it is said to carry, as far as the weights are known.
 * @param gapMm wanted height less the piece's own, more than 0
 * @param toleranceMm how far off a combination may be
 * @param piece what shall stand on top
 * @returns the best two hundred within the tolerance, nearest first, each further riser counting as five millimeters
 * off; stacks of two are tried with the 1000 broadest risers, of three and more with the 30 broadest
 */
export function riserCombinations(
  gapMm: number,
  toleranceMm: number,
  risers: readonly Riser[],
  piece: Footprint = nowhere,
): RiserCombination[] {
  const found: RiserCombination[] = [];
  if (!(gapMm > 0)) return found;
  const slack = toleranceMm + TINY;
  const usable = risers.filter(({ heightMm, count }) => count > 0 && heightMm > 0 && heightMm <= gapMm + slack);
  const offer = (stack: readonly Riser[]) => {
    const top = stack.at(-1);
    const foot = stack[0];
    if (!top || !foot || !standsOn(top, piece)) return;
    const load = loads(stack, piece);
    const isTooMuch = stack.some(({ carriesG }, n) => carriesG !== null && (load[n] ?? 0) > carriesG);
    if (isTooMuch) return;
    const heightMm = stack.reduce((sum, riser) => sum + riser.heightMm, 0);
    const side = Math.min(
      foot.widthMm ?? Number.POSITIVE_INFINITY,
      foot.depthMm ?? foot.widthMm ?? Number.POSITIVE_INFINITY,
    );
    if (found.length >= 2 * MOST_KEPT) found.splice(0, found.length, ...best(found));
    found.push({
      ids: stack.map((riser) => riser.id),
      heightMm,
      offMm: heightMm - gapMm,
      loadKnown: stack.every(({ carriesG }, n) => carriesG !== null && load[n] !== null),
      slender: heightMm > SLENDER * side,
    });
  };
  for (const riser of usable) if (Math.abs(riser.heightMm - gapMm) <= slack) offer([riser]);
  const broadFirst = [...usable].sort(broaderFirst);
  stacksOf(2, broadFirst.slice(0, MOST_PAIRED), gapMm, slack, offer);
  for (let size = 3; size <= MOST_STACKED; size += 1)
    stacksOf(size, broadFirst.slice(0, MOST_TRIED), gapMm, slack, offer);
  return best(found);
}
