import { MICRO } from '../kernel/micro';
import { type Choice, type ChoiceFigures, costOfDraw } from './choice';
import type { BalanceProgram } from './program';
import type { ProgramPool } from './programPools';
import { stepAt } from './purchaseSteps';

/** What a draw on a pool costs, as a few numbers: nothing is searched or made while thousands of choices are tried. */
interface Meter {
  cash(total: number): number;
  /** Per unit of what is drawn, or once as soon as anything is. */
  handsEach: number;
  handsOnce: number;
  /** Millionths of a minor unit per millionth of the supply that is taken of the stash, and all there is of it. */
  stashEach: number;
  stash: number;
}

/** The numbers of a pool, from the function that prices it. */
function meterOf(pool: ProgramPool): Meter {
  const own = pool.pool;
  const at = (amount: number) => costOfDraw(pool, { amount, once: 0 });
  const rest = { handsEach: 0, handsOnce: 0, stashEach: 0, stash: 0 };
  switch (own.kind) {
    case 'find':
    case 'tool':
    case 'trip': {
      const one = at(1);
      return { ...rest, handsOnce: one.handsMicro, cash: (total) => (total > 0 ? one.cash : 0) };
    }
    case 'session':
      return { ...rest, handsEach: at(1).handsMicro, cash: () => 0 };
    case 'order': {
      const size = Math.max(1, own.offer.pieces);
      const first = at(size).cash;
      const each = at(2 * size).cash - first;
      return { ...rest, cash: (total) => (total > 0 ? first + (Math.ceil(total / size) - 1) * each : 0) };
    }
    case 'supply': {
      const { steps } = pool;
      return {
        ...rest,
        stashEach: (own.unitCost?.millionths ?? 0) / MICRO,
        stash: own.stashMicro,
        cash: (total) => {
          if (total <= 0) return 0;
          return steps ? (stepAt(steps, total)?.cash ?? 0) : at(total).cash;
        },
      };
    }
    default:
      return own satisfies never;
  }
}

/** A way as the tally reads it: what it costs by itself, and what it draws on pools that others draw on too. */
interface TalliedWay {
  look: number;
  cashUsed: number;
  handsUsed: number;
  handsEach: number;
  stashUsed: number;
  /** Pool, each, used, once: four numbers a draw. */
  draws: Float64Array;
  pieces: readonly { piece: number; each: number }[];
}

/**
 * A choice that is changed slot by slot, with what it comes to kept up to date: only the pools that a change draws on are
 * reckoned anew, and what only one way draws on is reckoned into it beforehand.
 */
export class Tally implements ChoiceFigures {
  readonly program: BalanceProgram;
  readonly counts: number[][];
  /** How many of each piece are taken, and how many too many in all. */
  readonly taken: number[];
  tooMany = 0;
  cash = 0;
  handsMicro = 0;
  stashMicro = 0;
  look: number;
  private readonly ways: readonly (readonly TalliedWay[])[];
  private readonly meters: readonly Meter[];
  private readonly amounts: Float64Array;
  private readonly onces: Float64Array;
  /** For each pool the ways that draw something shared from it. */
  private readonly sharers: readonly { slot: number; way: number; once: number }[][];
  /** Supplies that may be fetched on trips, and how often each trip is pulled. */
  private readonly pulling: readonly number[];
  private readonly pulled: Float64Array;
  /** Pools that a change has touched, each once. */
  private readonly touched: number[] = [];
  private readonly isTouched: Uint8Array;

  constructor(program: BalanceProgram, choice: Choice) {
    this.program = program;
    const { pools, slots } = program;
    this.meters = pools.map(meterOf);
    this.amounts = Float64Array.from(pools, ({ amount }) => amount);
    this.onces = Float64Array.from(pools, ({ once }) => once);
    this.pulled = new Float64Array(pools.length);
    this.isTouched = new Uint8Array(pools.length);
    this.pulling = pools.flatMap(({ tripPools, steps }, n) => (tripPools.size > 0 && steps ? [n] : []));
    this.sharers = pools.map(() => []);
    const isPulled = new Set(pools.flatMap(({ tripPools }) => [...tripPools.values()]));
    const users = pools.map(() => 0);
    for (const { ways } of slots)
      for (const way of ways) for (const { pool } of way.draws) users[pool] = (users[pool] ?? 0) + 1;
    const isOwn = (n: number, most: number) => {
      const pool = pools[n];
      return (
        most === 1 &&
        users[n] === 1 &&
        pool?.amount === 0 &&
        pool.once === 0 &&
        pool.tripPools.size === 0 &&
        !isPulled.has(n)
      );
    };
    this.ways = slots.map(({ ways }, slot) =>
      ways.map((way, w): TalliedWay => {
        const own = { cash: 0, handsMicro: 0, stashMicro: 0 };
        const draws: number[] = [];
        for (const { pool, each, used, once } of way.draws) {
          const entry = pools[pool];
          if (entry && isOwn(pool, way.most)) {
            const cost = costOfDraw(entry, { amount: each + used, once });
            own.cash += cost.cash;
            own.handsMicro += cost.handsMicro;
            own.stashMicro += cost.stashMicro;
          } else {
            draws.push(pool, each, used, once);
            if (once > 0) this.sharers[pool]?.push({ slot, way: w, once });
          }
        }
        return {
          look: way.lookEach,
          cashUsed: own.cash,
          handsUsed: way.handsUsed + own.handsMicro,
          handsEach: way.handsEach,
          stashUsed: own.stashMicro,
          draws: Float64Array.from(draws),
          pieces: way.pieces,
        };
      }),
    );
    this.taken = program.pieces.map(() => 0);
    this.look = program.fixedLook;
    this.handsMicro = program.fixedHands;
    this.counts = slots.map(({ ways }) => ways.map(() => 0));
    for (let n = 0; n < pools.length; n += 1) this.price(n, 1);
    this.pullTrips();
    for (const [slot, counts] of choice.entries()) this.set(slot, counts);
  }

  /** Adds what a pool costs now, or takes it out. */
  private price(n: number, sign: 1 | -1): void {
    const meter = this.meters[n];
    const total = (this.amounts[n] ?? 0) + (this.onces[n] ?? 0) + (this.pulled[n] ?? 0);
    if (!meter || total <= 0) return;
    this.cash += sign * meter.cash(total);
    this.handsMicro += sign * (meter.handsOnce + meter.handsEach * total);
    if (meter.stashEach > 0) this.stashMicro += sign * Math.round(Math.min(total, meter.stash) * meter.stashEach);
  }

  /** Trips follow from what is bought. */
  private pullTrips(): void {
    if (this.pulling.length === 0) return;
    const pulled = new Set<number>();
    for (const n of this.pulling) {
      const pool = this.program.pools[n];
      const step = pool?.steps && stepAt(pool.steps, (this.amounts[n] ?? 0) + (this.onces[n] ?? 0));
      for (const tripId of step?.tripIds ?? []) {
        const trip = pool?.tripPools.get(tripId);
        if (trip !== undefined) pulled.add(trip);
      }
    }
    for (const [n, before] of this.pulled.entries()) {
      const now = pulled.has(n) ? 1 : 0;
      if (now === before) continue;
      this.price(n, -1);
      this.pulled[n] = now;
      this.price(n, 1);
    }
  }

  /** Fills a slot in another way: how many of it each of its ways fills. */
  set(slot: number, counts: readonly number[]): void {
    const own = this.counts[slot];
    const ways = this.ways[slot];
    if (!own || !ways) return;
    const { touched } = this;
    for (let w = 0; w < ways.length; w += 1) {
      const [before, now] = [own[w] ?? 0, counts[w] ?? 0];
      const way: TalliedWay | undefined = ways[w];
      if (before === now || !way) continue;
      own[w] = now;
      const [more, taken] = [now - before, Number(now > 0) - Number(before > 0)];
      this.look += way.look * more;
      this.handsMicro += way.handsEach * more + way.handsUsed * taken;
      this.cash += way.cashUsed * taken;
      this.stashMicro += way.stashUsed * taken;
      const draws: Float64Array = way.draws;
      for (let n = 0; n < draws.length; n += 4) {
        const pool = draws[n] ?? 0;
        if (this.isTouched[pool] === 0) {
          this.isTouched[pool] = 1;
          touched.push(pool);
          this.price(pool, -1);
        }
        this.amounts[pool] = (this.amounts[pool] ?? 0) + (draws[n + 1] ?? 0) * more + (draws[n + 2] ?? 0) * taken;
      }
      for (const { piece, each } of way.pieces) this.takePieces(piece, each * more);
    }
    for (const pool of touched) {
      if ((this.sharers[pool]?.length ?? 0) > 0) this.onces[pool] = this.largest(pool);
      this.price(pool, 1);
      this.isTouched[pool] = 0;
    }
    touched.length = 0;
    this.pullTrips();
  }

  private takePieces(piece: number, more: number): void {
    const there = this.program.pieces[piece]?.there ?? 0;
    const was = this.taken[piece] ?? 0;
    this.taken[piece] = was + more;
    this.tooMany += Math.max(0, was + more - there) - Math.max(0, was - there);
  }

  /** The largest of what is shared of a pool. */
  private largest(pool: number): number {
    let most = this.program.pools[pool]?.once ?? 0;
    for (const { slot, way, once } of this.sharers[pool] ?? [])
      if (once > most && (this.counts[slot]?.[way] ?? 0) > 0) most = once;
    return most;
  }

  /** The choice as it stands, to be kept. */
  copy(): number[][] {
    return this.counts.map((counts) => [...counts]);
  }
}
