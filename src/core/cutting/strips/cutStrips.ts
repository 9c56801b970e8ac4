import { bestPattern } from './bestPattern';
import { type FewestSticks, fewestSticks } from './fewestSticks';
import { coverLinearly, type Pattern } from './simplex';

/** A kind of stick: its usable length, what one costs, and how many there are of it. */
export interface StickKind {
  lengthMm: number;
  /** Whole minor units; 0 for what is there already. */
  cost: number;
  limit: number;
}

/** A stick with how many of each length are cut from it. */
export type CutStick = Pattern;

export interface StripsAnswer {
  sticks: readonly CutStick[];
  cost: number;
  /** No way of cutting costs less than this. */
  bound: number;
  /** Whether the answer reaches the bound, or every way was tried. */
  isProven: boolean;
  /** Lengths that no stick holds, by their place in the question. */
  tooLong: readonly number[];
}

export interface StripsQuestion {
  lengthsMm: readonly number[];
  demand: readonly number[];
  sticks: readonly StickKind[];
  /** What a cut takes between two lengths. */
  kerfMm: number;
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

/**
 * Cuts lengths from sticks at the least cost; of ways that cost the same, the one with the largest single rest. Between
 * two lengths a kerf is lost: of like pieces p a stick of L gives ⌊(L + k)/(p + k)⌋. Exact for the sizes of this trade: a linear
 * program over patterns says what nothing can beat, its shares are rounded one after the other, and where that is not
 * yet enough every way is tried within a budget.
 * @example four lengths of 24 in from boards of 96 in with a kerf of 1/8 in take two boards; at 23 7/8 in, one
 */
export function cutStrips(question: StripsQuestion): StripsAnswer {
  const { sticks, kerfMm } = question;
  const longest = Math.max(0, ...sticks.filter(({ limit }) => limit > 0).map(({ lengthMm }) => lengthMm));
  const tooLong = question.lengthsMm.flatMap((length, part) =>
    length > longest + 1e-6 && (question.demand[part] ?? 0) > 0 ? [part] : [],
  );
  const demand = question.demand.map((count, part) => (tooLong.includes(part) ? 0 : count));
  const takes = question.lengthsMm.map((length) => length + kerfMm);
  const rooms = sticks.map(({ lengthMm }) => lengthMm + kerfMm);
  const costs = sticks.map(({ cost }) => cost);
  const limits = sticks.map(({ limit }) => limit);
  const cover = (wanted: readonly number[], left: readonly number[]) =>
    coverLinearly({
      demand: wanted,
      limits: left,
      costs,
      start: takes.map((take, part) => {
        const stick = sticks.findIndex(
          (_, n) => left[n] === Number.POSITIVE_INFINITY && take <= (rooms[n] ?? 0) + 1e-9,
        );
        if (stick < 0 || (wanted[part] ?? 0) === 0) return null;
        const count = Math.max(1, Math.min(wanted[part] ?? 1, Math.floor((rooms[stick] ?? 0) / take + 1e-9)));
        return { stick, counts: takes.map((_, n) => (n === part ? count : 0)) };
      }),
      best: (stick, worth) =>
        (left[stick] ?? 0) > 0 ? bestPattern(rooms[stick] ?? 0, takes, worth, wanted) : { counts: [], worth: 0 },
    });
  const total = demand.reduce((sum, count) => sum + count, 0);
  if (total === 0) return { sticks: [], cost: 0, bound: 0, isProven: true, tooLong };
  const linear = cover(demand, limits);
  const step = costs.reduce((sum, cost) => greatestCommonDivisor(sum, cost), 0) || 1;
  const bound = Math.max(0, Math.ceil((linear.value - 1e-6) / step) * step);
  const rest = restOf(question);
  let best: { sticks: CutStick[]; cost: number } | null = null;
  const consider = (found: CutStick[] | null) => {
    if (!found) return;
    const cost = found.reduce((sum, { stick }) => sum + (costs[stick] ?? 0), 0);
    if (best === null || cost < best.cost || (cost === best.cost && rest(found) > rest(best.sticks) + 1e-6))
      best = { sticks: found, cost };
  };
  consider(longestFirst(takes, demand, rooms, sticks));
  consider(roundedDown(takes, demand, rooms, sticks, cover));
  const known = best as { sticks: CutStick[]; cost: number } | null;
  // Few pieces are tried in every way, for the largest rest too; many only while the bound is not reached.
  let tried: FewestSticks | null = null;
  if (known === null || known.cost > bound || total <= 24)
    tried = fewestSticks({ takes, demand, rooms, costs, limits, atMost: known?.cost ?? null, bound });
  consider(tried?.sticks ?? null);
  const answer = best as { sticks: CutStick[]; cost: number } | null;
  return {
    sticks: answer?.sticks ?? [],
    cost: answer?.cost ?? 0,
    bound,
    isProven: answer !== null && (answer.cost <= bound || (tried?.isComplete ?? false)),
    tooLong,
  };
}

/** The longest rest that a way of cutting leaves of one stick. */
function restOf({ lengthsMm, sticks, kerfMm }: StripsQuestion): (found: readonly CutStick[]) => number {
  return (found) =>
    Math.max(
      0,
      ...found.map(
        ({ stick, counts }) =>
          (sticks[stick]?.lengthMm ?? 0) -
          counts.reduce((sum, count, part) => sum + count * ((lengthsMm[part] ?? 0) + kerfMm), 0),
      ),
    );
}

/** The longest part that is left goes on the first stick, then what fills it best; free sticks first, the shortest of them. */
function longestFirst(
  takes: readonly number[],
  demand: readonly number[],
  rooms: readonly number[],
  kinds: readonly StickKind[],
): CutStick[] | null {
  const wanted = [...demand];
  const left = kinds.map(({ limit }) => limit);
  const found: CutStick[] = [];
  for (;;) {
    const longest = wanted.reduce((best, count, part) => {
      if (count === 0) return best;
      return best < 0 || (takes[part] ?? 0) > (takes[best] ?? 0) ? part : best;
    }, -1);
    if (longest < 0) return found;
    const filled = kinds.flatMap((kind, stick) => {
      const room = rooms[stick] ?? 0;
      if ((left[stick] ?? 0) <= 0 || (takes[longest] ?? 0) > room + 1e-9) return [];
      const rest = wanted.map((count, part) => (part === longest ? count - 1 : count));
      const pattern = bestPattern(room - (takes[longest] ?? 0), takes, takes, rest);
      const used = pattern.worth + (takes[longest] ?? 0);
      const counts = pattern.counts.map((count, part) => (part === longest ? count + 1 : count));
      return [{ stick, counts, rate: (kind.cost + 1e-9 * room) / used }];
    });
    const chosen = filled.sort((a, b) => a.rate - b.rate)[0];
    if (!chosen) return null;
    found.push({ stick: chosen.stick, counts: chosen.counts });
    left[chosen.stick] = (left[chosen.stick] ?? 0) - 1;
    chosen.counts.forEach((count, part) => {
      wanted[part] = (wanted[part] ?? 0) - count;
    });
  }
}

/**
 * Whole patterns of the linear answer first; then, as long as parts are left, the answer for these again, of which at
 * least the pattern with the largest share is taken.
 */
function roundedDown(
  takes: readonly number[],
  demand: readonly number[],
  rooms: readonly number[],
  kinds: readonly StickKind[],
  cover: (wanted: readonly number[], left: readonly number[]) => ReturnType<typeof coverLinearly>,
): CutStick[] | null {
  const wanted = [...demand];
  const left = kinds.map(({ limit }) => limit);
  const found: CutStick[] = [];
  const take = ({ stick, counts }: Pattern, times: number) => {
    for (let n = 0; n < times; n += 1) {
      // Never more than is wanted: what a rounded pattern gives too many is left on the stick.
      const given = counts.map((count, part) => Math.min(count, wanted[part] ?? 0));
      if ((left[stick] ?? 0) <= 0 || given.every((count) => count === 0)) return;
      given.forEach((count, part) => {
        wanted[part] = (wanted[part] ?? 0) - count;
      });
      left[stick] = (left[stick] ?? 0) - 1;
      found.push({ stick, counts: given });
    }
  };
  for (let round = 0; round < 200 && wanted.some((count) => count > 0); round += 1) {
    const { shares } = cover(wanted, left);
    const whole = shares.filter(({ share }) => share >= 1 - 1e-9);
    const before = found.length;
    for (const { pattern, share } of whole) take(pattern, Math.floor(share + 1e-9));
    if (found.length === before) {
      const largest = [...shares].sort(
        (a, b) => b.share - a.share || fill(b.pattern, takes) - fill(a.pattern, takes),
      )[0];
      if (!largest) break;
      take(largest.pattern, 1);
      if (found.length === before) break;
    }
  }
  if (wanted.every((count) => count === 0)) return found;
  const rest = longestFirst(
    takes,
    wanted,
    rooms,
    kinds.map((kind, stick) => ({ ...kind, limit: left[stick] ?? 0 })),
  );
  return rest && [...found, ...rest];
}

const fill = ({ counts }: Pattern, takes: readonly number[]): number =>
  counts.reduce((sum, count, part) => sum + count * (takes[part] ?? 0), 0);
