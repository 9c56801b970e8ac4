import { seededRandom } from '../kernel/seededRandom';
import type { Filled, Filler, Laid, Room } from './filler';

/** A unit that parts may be laid on, in the order in which units are begun. */
export interface OpenUnit {
  key: string;
  room: Room;
  /** What of it counts as spent: nothing for what is there, else its worth against other units. */
  weight: number;
  pinned: readonly Laid[];
}

/** Units there are, and what can be had without end once they are full. */
export interface Supply {
  units: readonly OpenUnit[];
  endless: OpenUnit | null;
}

/** Units with what was laid on each; those that nothing lies on are left out. */
export interface Attempt {
  /** By place in the supply's list; from its length on they are endless ones. */
  units: { unit: number; filled: Filled }[];
  /** Pieces that found no place. */
  unplaced: number[];
  /** The less the better: whole units that are spent, and the share that is used of the last. */
  score: number;
}

/** What a piece that found no place adds to a score: more than any number of units. */
export const UNPLACED = 1e6;

function attempt(supply: Supply, filler: Filler, order: readonly number[]): Attempt {
  const left = [...order];
  const units: Attempt['units'] = [];
  let score = 0;
  let last = 0;
  supply.units.forEach((unit, n) => {
    if (left.length === 0 && unit.pinned.length === 0) return;
    const filled = filler.fill(unit.room, unit.pinned, left);
    if (filled.laid.length === 0 && unit.pinned.length === 0) return;
    units.push({ unit: n, filled });
    score += unit.weight;
    last = share(filled, unit.room) * Math.max(unit.weight, 1e-3);
  });
  while (supply.endless && left.length > 0) {
    const { room, weight } = supply.endless;
    const filled = filler.fill(room, [], left);
    if (filled.laid.length === 0) break;
    units.push({ unit: supply.units.length + units.length, filled });
    score += weight;
    last = share(filled, room) * weight;
  }
  const lastWeight =
    units.length === 0 ? 0 : (supply.units[units.at(-1)?.unit ?? 0]?.weight ?? supply.endless?.weight ?? 0);
  return { units, unplaced: left, score: score - lastWeight + last + left.length * UNPLACED };
}

/** How much of a room's length is used; of an endless strip its length in meters. */
function share({ usedMm }: Filled, { lengthMm }: Room): number {
  return Number.isFinite(lengthMm) ? usedMm / lengthMm : usedMm / 1000;
}

export interface SearchBudget {
  /** Orders to try. */
  rounds: number;
  seed: number;
}

/**
 * Looks for the order of pieces that lays them best: first some that are good as a rule, then by exchanging pieces,
 * taking a worse one now and then at first and hardly ever at the end (simulated annealing). The same budget finds the
 * same. Yields the best so far every few rounds, so that a caller may show it, go on or stop.
 * @param stopAt a score below which nothing is looked for any more
 */
export function* searchOrders(
  supply: Supply,
  filler: Filler,
  pieces: readonly number[],
  budget: SearchBudget,
  stopAt = 0,
): Generator<{ best: Attempt; round: number }, Attempt> {
  const may = new Set(pieces);
  const starts = filler.firstOrders().map((order) => order.filter((piece) => may.has(piece)));
  let current = starts[0] ?? [...pieces];
  let now = attempt(supply, filler, current);
  let best = now;
  let round = 1;
  for (const order of starts.slice(1)) {
    if (round >= budget.rounds) break;
    const tried = attempt(supply, filler, order);
    round += 1;
    if (tried.score < now.score - 1e-9) [current, now] = [order, tried];
    if (tried.score < best.score - 1e-9) best = tried;
  }
  yield { best, round };
  const dice = seededRandom(budget.seed);
  const warmest = 0.02 * Math.max(0.2, best.score % UNPLACED);
  for (; round < budget.rounds && current.length > 1 && best.score >= stopAt; round += 1) {
    const order = [...current];
    const exchanges = dice() < 0.7 ? 1 : 2;
    for (let n = 0; n < exchanges; n += 1) exchange(order, dice);
    const tried = attempt(supply, filler, order);
    const heat = warmest * (1 - round / budget.rounds) ** 2;
    if (tried.score <= now.score || dice() < Math.exp((now.score - tried.score) / Math.max(1e-9, heat)))
      [current, now] = [order, tried];
    if (tried.score < best.score - 1e-9) best = tried;
    if (round % 16 === 0) yield { best, round };
  }
  return best;
}

/** What a search comes to, run to its end. */
export function resultOf<T>(search: Generator<unknown, T>): T {
  let step = search.next();
  while (!step.done) step = search.next();
  return step.value;
}

/** Two places change, or one piece is put in front of another. */
function exchange(order: number[], dice: () => number): void {
  const a = Math.floor(dice() * order.length);
  const b = Math.floor(dice() * order.length);
  const [one, other] = [order[a], order[b]];
  if (one === undefined || other === undefined) return;
  if (dice() < 0.6) {
    order[a] = other;
    order[b] = one;
  } else {
    order.splice(a, 1);
    order.splice(b, 0, one);
  }
}
