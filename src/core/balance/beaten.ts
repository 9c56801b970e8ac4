import { MICRO } from '../kernel/micro';
import { poolCost } from '../plan/model/poolCost';
import { totalOf } from '../plan/model/pools';
import { costOfDraw } from './choice';
import type { ProgramSlot, ProgramWay } from './program';
import type { ProgramPool } from './programPools';

/** A difference in cash, hands-on time and stash. */
interface Ends {
  cash: number;
  handsMicro: number;
  stashMicro: number;
}

/**
 * Which ways of a slot another of it beats in everything, whatever the rest of the plan is: no dearer, no slower, liked no
 * less, and needing nothing that others may want. The one that is beaten is never in a best plan, or not alone in it.
 * Where two are alike the later one is beaten. Only slots that take one way are looked at.
 * @param users how many slots draw on each pool
 * @param wanted for each piece, in how many slots it is wanted
 * @returns for each way the way that beats it; null where none does
 */
export function beatenWays(
  slot: Pick<ProgramSlot, 'quantity' | 'ways'>,
  pools: readonly ProgramPool[],
  users: readonly number[],
  wanted: readonly number[],
): (number | null)[] {
  const { ways, quantity } = slot;
  const beaten: (number | null)[] = ways.map(() => null);
  if (quantity !== 1) return beaten;
  ways.forEach((loser, l) => {
    if (loser.barred !== null) return;
    for (const [w, winner] of ways.entries()) {
      if (w === l || winner.barred !== null || beaten[w] !== null) continue;
      if (winner.lookEach < loser.lookEach - 1e-9) continue;
      if (winner.pieces.some(({ piece, each }) => takesMore(loser, piece, each) && (wanted[piece] ?? 0) > 1)) continue;
      if (isBeaten(loser, winner, pools, users, w < l)) {
        beaten[l] = w;
        break;
      }
    }
  });
  return beaten;
}

const takesMore = (way: ProgramWay, piece: number, each: number): boolean =>
  each > (way.pieces.find((own) => own.piece === piece)?.each ?? 0);

function isBeaten(
  loser: ProgramWay,
  winner: ProgramWay,
  pools: readonly ProgramPool[],
  users: readonly number[],
  isFirst: boolean,
): boolean {
  const difference: Ends = {
    cash: 0,
    handsMicro: winner.handsUsed + winner.handsEach - loser.handsUsed - loser.handsEach,
    stashMicro: 0,
  };
  for (const n of new Set([...winner.draws, ...loser.draws].map(({ pool }) => pool))) {
    const pool = pools[n];
    if (!pool) continue;
    const own = drawOn(winner, n);
    const other = drawOn(loser, n);
    const isAlone = (users[n] ?? 0) <= 1 && pool.amount === 0 && pool.once === 0;
    if (isAlone) {
      const [a, b] = [costOfDraw(pool, own), costOfDraw(pool, other)];
      difference.cash += a.cash - b.cash;
      difference.handsMicro += a.handsMicro - b.handsMicro;
      difference.stashMicro += a.stashMicro - b.stashMicro;
      continue;
    }
    // Others draw on it too: what the winner draws more costs at the most what it costs alone, what the loser draws more
    // may cost nothing.
    const more = { amount: Math.max(0, own.amount - other.amount), once: Math.max(0, own.once - other.once) };
    if (more.amount + more.once === 0) continue;
    // Trips that purchases pull, and how parts of several ways lie together, are not reckoned with here.
    if (pool.tripPools.size > 0 || (pool.pool.kind === 'supply' && pool.pool.cut !== null)) return false;
    const cost = mostOfMore(pool, more);
    difference.cash += cost.cash;
    difference.handsMicro += cost.handsMicro;
    difference.stashMicro += cost.stashMicro;
  }
  const { cash, handsMicro, stashMicro } = difference;
  if (cash > 0 || handsMicro > 0 || cash * MICRO + stashMicro > 0) return false;
  const isAlike = cash === 0 && handsMicro === 0 && stashMicro === 0 && winner.lookEach <= loser.lookEach + 1e-9;
  return isAlike ? isFirst : true;
}

/** What drawing more can add at the most: packs as if the stash were used up already, and stash as if it were not. */
function mostOfMore(of: ProgramPool, more: { amount: number; once: number }): Ends {
  const { pool } = of;
  if (pool.kind !== 'supply') return costOfDraw(of, more);
  const total = more.amount + more.once;
  const cash = pool.isAlways ? 0 : poolCost(pool, totalOf(pool.stashMicro + total)).cash.likely;
  const stashMicro = pool.stashMicro === 0 ? 0 : (total * (pool.unitCost?.millionths ?? 0)) / MICRO;
  return { cash, handsMicro: 0, stashMicro };
}

function drawOn({ draws, most }: ProgramWay, pool: number): { amount: number; once: number } {
  const draw = draws.find((own) => own.pool === pool);
  return draw ? { amount: draw.each * Math.min(1, most) + draw.used, once: draw.once } : { amount: 0, once: 0 };
}
