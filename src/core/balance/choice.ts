import { poolCost, stashValueOf } from '../plan/model/poolCost';
import { totalOf } from '../plan/model/pools';
import type { BalanceProgram } from './program';
import type { ProgramPool } from './programPools';
import { stepAt } from './purchaseSteps';

/** How many of its slot each way fills, slot by slot and way by way. */
export type Choice = readonly (readonly number[])[];

/** What a choice comes to. */
export interface ChoiceFigures {
  /** Cash to go, minor units. */
  cash: number;
  /** Hands-on time, millionths of a minute. */
  handsMicro: number;
  /** Stash used, millionths of a minor unit. */
  stashMicro: number;
  look: number;
}

/** The choice that the plan has now. */
export function presentChoice(program: BalanceProgram): number[][] {
  const counts = new Map(program.plan.chosen.map(({ model, count }) => [model.option.id, count]));
  return program.slots.map(({ ways }) => ways.map((way) => Math.min(way.most, counts.get(way.optionId) ?? 0)));
}

/** What is drawn from a pool. */
export interface PoolDraw {
  amount: number;
  once: number;
}

/** What a draw on a pool comes to: cash, stash in millionths of a minor unit, hands-on time in millionths of a minute. */
export function costOfDraw({ pool, steps }: ProgramPool, { amount, once }: PoolDraw): Omit<ChoiceFigures, 'look'> {
  const total = amount + once;
  if (total <= 0) return noCost;
  // The staircase holds what the purchase would be searched for anew.
  if (pool.kind === 'supply' && steps)
    return { cash: stepAt(steps, total)?.cash ?? 0, handsMicro: 0, stashMicro: stashValueOf(pool, totalOf(total)) };
  const cost = poolCost(pool, totalOf(total));
  return { cash: cost.cash.likely, handsMicro: cost.handsMicro, stashMicro: cost.stashMicro };
}

const noCost: Omit<ChoiceFigures, 'look'> = Object.freeze({ cash: 0, handsMicro: 0, stashMicro: 0 });

/** What a choice and the fixed part draw from each pool. */
export function drawsOf(program: BalanceProgram, choice: Choice): PoolDraw[] {
  const draws = program.pools.map(({ amount, once }): PoolDraw => ({ amount, once }));
  program.slots.forEach(({ ways }, s) => {
    ways.forEach((way, w) => {
      const count = choice[s]?.[w] ?? 0;
      if (count === 0) return;
      for (const { pool, each, used, once } of way.draws) {
        const draw = draws[pool];
        if (!draw) continue;
        draw.amount += each * count + used;
        draw.once = Math.max(draw.once, once);
      }
    });
  });
  // Trips come last: which of them are taken follows from what is bought.
  program.pools.forEach(({ steps, tripPools }, n) => {
    if (tripPools.size === 0 || !steps) return;
    const drawn = draws[n];
    const step = drawn && stepAt(steps, drawn.amount + drawn.once);
    for (const tripId of step?.tripIds ?? []) {
      const trip = draws[tripPools.get(tripId) ?? -1];
      if (trip) trip.amount += 1;
    }
  });
  return draws;
}

/**
 * What a choice comes to: the sums of C, H and S of the definitions, as the purse has them.
 * @example the present choice comes to what the purse plans, where nothing is cut from sheets
 */
export function figuresOf(program: BalanceProgram, choice: Choice): ChoiceFigures {
  const draws = drawsOf(program, choice);
  let [look, hands] = [program.fixedLook, program.fixedHands];
  program.slots.forEach(({ ways }, s) => {
    ways.forEach((way, w) => {
      const count = choice[s]?.[w] ?? 0;
      if (count === 0) return;
      look += way.lookEach * count;
      hands += way.handsUsed + way.handsEach * count;
    });
  });
  let [cash, stashMicro] = [0, 0];
  program.pools.forEach((pool, n) => {
    const draw = draws[n];
    if (!draw) return;
    const cost = costOfDraw(pool, draw);
    cash += cost.cash;
    stashMicro += cost.stashMicro;
    hands += cost.handsMicro;
  });
  return { cash, handsMicro: hands, stashMicro, look };
}

/** Whether a choice may be taken: no slot beyond its quantity, every must filled, nothing barred, no piece twice. */
export function isPossible(program: BalanceProgram, choice: Choice): boolean {
  const taken = program.pieces.map(() => 0);
  const fits = program.slots.every(({ ways, quantity, least }, s) => {
    let filled = 0;
    for (const [w, way] of ways.entries()) {
      const count = choice[s]?.[w] ?? 0;
      if (count < 0 || count > (way.barred === null ? way.most : 0) || !Number.isInteger(count)) return false;
      filled += count;
      for (const { piece, each } of way.pieces) taken[piece] = (taken[piece] ?? 0) + each * count;
    }
    return filled <= quantity && filled >= least;
  });
  return fits && program.pieces.every(({ there }, n) => (taken[n] ?? 0) <= there);
}
