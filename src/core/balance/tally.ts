import { MICRO } from '../kernel/micro';
import { type Choice, type ChoiceFigures, costOfDraw } from './choice';
import type { BalanceProgram, ProgramWay } from './program';
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

/**
 * A choice that is changed slot by slot, with what it comes to kept up to date: only the pools that a change draws on are
 * reckoned anew.
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
  private readonly meters: readonly Meter[];
  private readonly amounts: Float64Array;
  private readonly onces: Float64Array;
  /** For each pool the ways that draw something shared from it. */
  private readonly sharers: readonly { slot: number; way: number; once: number }[][];
  /** Supplies that may be fetched on trips, and how often each trip is pulled. */
  private readonly pulling: readonly number[];
  private readonly pulled: Float64Array;

  constructor(program: BalanceProgram, choice: Choice) {
    this.program = program;
    this.meters = program.pools.map(meterOf);
    this.amounts = Float64Array.from(program.pools, ({ amount }) => amount);
    this.onces = Float64Array.from(program.pools, ({ once }) => once);
    this.pulled = new Float64Array(program.pools.length);
    this.pulling = program.pools.flatMap(({ tripPools, steps }, n) => (tripPools.size > 0 && steps ? [n] : []));
    this.sharers = program.pools.map(() => []);
    program.slots.forEach(({ ways }, slot) => {
      ways.forEach(({ draws }, way) => {
        for (const { pool, once } of draws) if (once > 0) this.sharers[pool]?.push({ slot, way, once });
      });
    });
    this.taken = program.pieces.map(() => 0);
    this.look = program.fixedLook;
    this.handsMicro = program.fixedHands;
    this.counts = program.slots.map(({ ways }) => ways.map(() => 0));
    program.pools.forEach((_pool, n) => {
      this.price(n, 1);
    });
    this.pullTrips();
    choice.forEach((counts, slot) => {
      this.set(slot, counts);
    });
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
    const pulled = new Map<number, number>();
    for (const n of this.pulling) {
      const pool = this.program.pools[n];
      const step = pool?.steps && stepAt(pool.steps, (this.amounts[n] ?? 0) + (this.onces[n] ?? 0));
      for (const tripId of step?.tripIds ?? []) {
        const trip = pool?.tripPools.get(tripId);
        if (trip !== undefined) pulled.set(trip, 1);
      }
    }
    this.pulled.forEach((before, n) => {
      const now = pulled.get(n) ?? 0;
      if (now === before) return;
      this.price(n, -1);
      this.pulled[n] = now;
      this.price(n, 1);
    });
  }

  /** Fills a slot in another way: how many of it each of its ways fills. */
  set(slot: number, counts: readonly number[]): void {
    const own = this.counts[slot];
    const ways = this.program.slots[slot]?.ways;
    if (!own || !ways) return;
    const touched = new Set<number>();
    ways.forEach((way, w) => {
      if ((counts[w] ?? 0) !== own[w]) for (const { pool } of way.draws) touched.add(pool);
    });
    for (const pool of touched) this.price(pool, -1);
    ways.forEach((way, w) => {
      const [before, now] = [own[w] ?? 0, counts[w] ?? 0];
      if (before === now) return;
      own[w] = now;
      this.change(way, before, now);
    });
    for (const pool of touched) {
      this.onces[pool] = this.largest(pool);
      this.price(pool, 1);
    }
    this.pullTrips();
  }

  private change(way: ProgramWay, before: number, now: number): void {
    const [more, taken] = [now - before, Number(now > 0) - Number(before > 0)];
    this.look += way.lookEach * more;
    this.handsMicro += way.handsEach * more + way.handsUsed * taken;
    for (const { pool, each, used } of way.draws)
      this.amounts[pool] = (this.amounts[pool] ?? 0) + each * more + used * taken;
    for (const { piece, each } of way.pieces) {
      const there = this.program.pieces[piece]?.there ?? 0;
      const was = this.taken[piece] ?? 0;
      const is = was + each * more;
      this.taken[piece] = is;
      this.tooMany += Math.max(0, is - there) - Math.max(0, was - there);
    }
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
