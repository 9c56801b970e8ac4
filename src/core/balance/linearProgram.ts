import { fromMicro, MICRO } from '../kernel/micro';
import { type Choice, costOfDraw } from './choice';
import { type Column, GrowingSum, ModelBuilder, type Row, type Sum } from './linearModel';
import { packsToBuy } from './packsToBuy';
import type { BalanceProgram, ProgramSlot, ProgramWay } from './program';
import type { ProgramPool, WayDraw } from './programPools';

/** A way's columns: how many it fills, and whether it is taken; one and the same where it fills one at the most. */
interface WayColumns {
  count: number;
  used: number;
}

/** A way that draws on a pool. */
interface User {
  slot: number;
  columns: WayColumns;
  way: ProgramWay;
  draw: WayDraw;
}

/** A program as linear rows, with what each figure is a sum of. */
export interface LinearProgram {
  columns: readonly Column[];
  rows: readonly Row[];
  /** Minor units, minutes, minor units, look value. */
  cash: Sum;
  minutes: Sum;
  stash: Sum;
  look: Sum;
  /** The choice that some values of the columns stand for. */
  choiceOf(values: readonly number[]): number[][];
  /** The columns of a choice: how many each way fills. */
  startOf(choice: Choice): [column: number, value: number][];
}

/**
 * A program as a mixed-integer linear program. A way that fills one of its slot is one binary column, packs are whole
 * columns, and whatever is shared (a find, a delivery, a tool, a trip, a session) is a continuous column that all its users
 * bound from below, slot by slot. What only one slot draws on is reckoned into its ways.
 * @param withStash whether the sum of the stash is exact; it takes further columns at the end, which only a goal that counts
 * it needs
 */
export function linearProgram(program: BalanceProgram, withStash: boolean): LinearProgram {
  return new ProgramBuilder(program, withStash).build();
}

class ProgramBuilder extends ModelBuilder {
  private readonly program: BalanceProgram;
  private readonly withStash: boolean;
  private readonly ways: WayColumns[][];
  private readonly cash = new GrowingSum();
  private readonly minutes = new GrowingSum();
  private readonly stash = new GrowingSum();
  private readonly look = new GrowingSum();
  /** What counts the stash: its columns come last, so that with them and without all others stand in the same place. */
  private readonly later: (() => void)[] = [];
  /** Columns that say whether a trip is taken; only for trips that are not taken anyway. */
  private readonly trips = new Map<number, number>();

  constructor(program: BalanceProgram, withStash: boolean) {
    super();
    this.program = program;
    this.withStash = withStash;
    this.ways = program.slots.map(({ ways, beaten }) =>
      ways.map((way, w) => {
        const isOpen = way.barred === null && beaten[w] === null;
        const count = this.column(0, isOpen ? way.most : 0, true);
        return { count, used: way.most === 1 ? count : this.column(0, 1, true) };
      }),
    );
  }

  build(): LinearProgram {
    const { program } = this;
    this.look.constant = program.fixedLook;
    this.minutes.constant = fromMicro(program.fixedHands);
    program.slots.forEach((slot, s) => {
      const filled = new GrowingSum();
      slot.ways.forEach((way, w) => {
        const { count, used } = this.columnsOf(s, w);
        filled.add(count, 1);
        this.look.add(count, way.lookEach);
        this.minutes.add(count, fromMicro(way.handsEach)).add(used, fromMicro(way.handsUsed));
        if (used !== count) this.atMost(new GrowingSum().add(count, 1).add(used, -way.most), 0);
      });
      this.atMost(filled, slot.quantity);
      if (slot.least > 0) this.atLeast(filled, slot.least);
    });
    program.pieces.forEach(({ there }, piece) => {
      const taken = new GrowingSum();
      let most = 0;
      program.slots.forEach(({ ways }, s) => {
        ways.forEach((way, w) => {
          for (const entry of way.pieces)
            if (entry.piece === piece) {
              taken.add(this.columnsOf(s, w).count, entry.each);
              most += entry.each * way.most;
            }
        });
      });
      if (most > there) this.atMost(taken, Math.max(0, there));
    });
    const users = this.usersOfPools();
    // Trips first: what is bought may pull them.
    program.pools.forEach((pool, n) => {
      if (pool.pool.kind === 'trip') this.shared(pool, n, users[n] ?? []);
    });
    program.pools.forEach((pool, n) => {
      const own = users[n] ?? [];
      if (pool.pool.kind === 'trip') return;
      if (this.isOfOneSlot(own) && pool.tripPools.size === 0) this.direct(pool, own);
      else if (pool.pool.kind === 'supply') this.supply(pool, own);
      else if (pool.pool.kind === 'order') this.order(pool, own);
      else if (pool.pool.kind === 'session') this.session(pool, own);
      else this.shared(pool, n, own);
    });
    for (const build of this.later) build();
    const { columns, rows, cash, minutes, stash, look } = this;
    return {
      columns,
      rows,
      cash,
      minutes,
      stash,
      look,
      choiceOf: (values) => this.ways.map((own) => own.map(({ count }) => Math.round(values[count] ?? 0))),
      startOf: (choice) =>
        this.ways.flatMap((own, s) => {
          const counts = unbeaten(this.program.slots[s], choice[s] ?? []);
          return own.flatMap(({ count, used }, w): [number, number][] => {
            const filled = counts[w] ?? 0;
            return used === count
              ? [[count, filled]]
              : [
                  [count, filled],
                  [used, filled > 0 ? 1 : 0],
                ];
          });
        }),
    };
  }

  private columnsOf(slot: number, way: number): WayColumns {
    return this.ways[slot]?.[way] ?? { count: 0, used: 0 };
  }

  private usersOfPools(): User[][] {
    const users: User[][] = this.program.pools.map(() => []);
    this.program.slots.forEach(({ ways }, slot) => {
      ways.forEach((way, w) => {
        for (const draw of way.draws) users[draw.pool]?.push({ slot, way, draw, columns: this.columnsOf(slot, w) });
      });
    });
    return users;
  }

  /** Whether at most one way draws on a pool: what it draws is then known beforehand. */
  private isOfOneSlot(users: readonly User[]): boolean {
    const [first] = users;
    if (!first) return true;
    if (users.length === 1) return first.way.most === 1;
    return users.every(({ slot }) => slot === first.slot) && this.program.slots[first.slot]?.quantity === 1;
  }

  /** A pool that one way at the most draws on: each way costs what it adds to the fixed part. */
  private direct(pool: ProgramPool, users: readonly User[]): void {
    const before = this.fixedCost(pool);
    for (const { draw, columns } of users) {
      const after = costOfDraw(pool, {
        amount: pool.amount + draw.each + draw.used,
        once: Math.max(pool.once, draw.once),
      });
      this.cash.add(columns.used, after.cash - before.cash);
      this.minutes.add(columns.used, fromMicro(after.handsMicro - before.handsMicro));
      this.stash.add(columns.used, (after.stashMicro - before.stashMicro) / MICRO);
    }
  }

  /** Adds what the fixed part of the plan takes of a pool. */
  private fixedCost(pool: ProgramPool): ReturnType<typeof costOfDraw> {
    const cost = costOfDraw(pool, pool);
    this.cash.constant += cost.cash;
    this.minutes.constant += fromMicro(cost.handsMicro);
    this.stash.constant += cost.stashMicro / MICRO;
    return cost;
  }

  /** Keeps a column at least as large as each user asks for; of a slot that takes one way all users are summed. */
  private boundBelow(column: number, users: readonly User[], ask: (user: User) => number): void {
    const bySlot = new Map<number, GrowingSum>();
    for (const user of users) {
      const factor = ask(user);
      if (factor === 0) continue;
      if (this.program.slots[user.slot]?.quantity === 1) {
        const sum = bySlot.get(user.slot) ?? new GrowingSum().add(column, -1);
        bySlot.set(user.slot, sum.add(user.columns.used, factor));
      } else this.atMost(new GrowingSum().add(column, -1).add(user.columns.used, factor), 0);
    }
    for (const sum of bySlot.values()) this.atMost(sum, 0);
  }

  /** A find, a tool or a trip: paid once as soon as anything takes it. */
  private shared(pool: ProgramPool, n: number, users: readonly User[]): void {
    if (pool.amount > 0) {
      this.fixedCost(pool);
      return;
    }
    const cost = costOfDraw(pool, { amount: 1, once: 0 });
    if (cost.cash === 0 && cost.handsMicro === 0) return;
    const taken = this.column(0, 1, false);
    if (pool.pool.kind === 'trip') this.trips.set(n, taken);
    this.cash.add(taken, cost.cash);
    this.minutes.add(taken, fromMicro(cost.handsMicro));
    this.boundBelow(taken, users, ({ draw }) => (draw.used > 0 || draw.each > 0 ? 1 : 0));
  }

  /** As many sessions as the most coats that anything asks for. */
  private session(pool: ProgramPool, users: readonly User[]): void {
    const { handsMicro } = costOfDraw(pool, { amount: 0, once: 1 });
    const sessions = this.column(pool.once, Number.POSITIVE_INFINITY, false);
    this.minutes.add(sessions, fromMicro(handsMicro));
    this.boundBelow(sessions, users, ({ draw }) => draw.once);
  }

  /** Whole packs of an offer, and its delivery once. */
  private order(pool: ProgramPool, users: readonly User[]): void {
    const size = pool.pool.kind === 'order' ? Math.max(1, pool.pool.offer.pieces) : 1;
    const onePack = costOfDraw(pool, { amount: size, once: 0 }).cash;
    const eachPack = costOfDraw(pool, { amount: 2 * size, once: 0 }).cash - onePack;
    if (onePack === 0 && eachPack === 0) return;
    const packs = this.column(0, Math.ceil(pool.most / size), size > 1);
    this.cash.add(packs, eachPack);
    const needed = new GrowingSum().add(packs, -size);
    needed.constant = pool.amount;
    for (const { columns, draw } of users) needed.add(columns.count, draw.each).add(columns.used, draw.used);
    this.atMost(needed, 0);
    if (pool.amount > 0) this.cash.constant += onePack - eachPack;
    else {
      const ordered = this.column(0, 1, false);
      this.cash.add(ordered, onePack - eachPack);
      this.boundBelow(ordered, users, () => 1);
    }
  }

  /** What is needed of a supply in all, in its own unit. */
  private need(pool: ProgramPool, users: readonly User[]): GrowingSum {
    const need = new GrowingSum();
    need.constant = fromMicro(pool.amount);
    for (const { columns, draw } of users)
      need.add(columns.count, fromMicro(draw.each)).add(columns.used, fromMicro(draw.used));
    if (users.some(({ draw }) => draw.once > pool.once)) {
      const residue = this.column(fromMicro(pool.once), Number.POSITIVE_INFINITY, false);
      this.boundBelow(residue, users, ({ draw }) => fromMicro(draw.once));
      need.add(residue, 1);
    } else need.constant += fromMicro(pool.once);
    return need;
  }

  private supply(pool: ProgramPool, users: readonly User[]): void {
    const own = pool.pool;
    if (own.kind !== 'supply') return;
    const isBought = pool.most > own.stashMicro;
    const isStashCounted = this.withStash && own.unitCost !== null && own.unitCost.millionths > 0 && own.stashMicro > 0;
    const stash = fromMicro(own.stashMicro);
    const need = isBought ? this.need(pool, users) : null;
    if (need) {
      if (pool.tripPools.size > 0 && pool.steps) this.stairs(pool, need, stash);
      else this.packs(pool, need, stash, users);
    }
    if (isStashCounted)
      this.later.push(() => {
        this.stashTaken(pool, need ?? this.need(pool, users), stash, isBought);
      });
  }

  /** Whole packs for what the stash does not cover; what costs more and holds less than another is left out. */
  private packs(pool: ProgramPool, need: GrowingSum, stash: number, users: readonly User[]): void {
    if (pool.pool.kind !== 'supply') return;
    const most = fromMicro(pool.most) - stash;
    const short = new GrowingSum().addSum(need);
    const any = new GrowingSum();
    for (const { size, price, upper } of packsToBuy(pool.pool.packs, most)) {
      const count = this.column(0, upper, true);
      this.cash.add(count, price);
      short.add(count, -size);
      any.add(count, -1);
    }
    this.atMost(short, stash);
    // Whoever needs more than there is by itself makes somebody buy.
    const bySlot = new Map<number, GrowingSum>();
    for (const { slot, columns, draw } of users) {
      const alone = pool.amount + draw.each + draw.used + Math.max(pool.once, draw.once);
      if (fromMicro(alone) <= stash + 1e-6) continue;
      if (this.program.slots[slot]?.quantity === 1) {
        const sum = bySlot.get(slot) ?? new GrowingSum().addSum(any);
        bySlot.set(slot, sum.add(columns.used, 1));
      } else this.atMost(new GrowingSum().addSum(any).add(columns.used, 1), 0);
    }
    for (const sum of bySlot.values()) this.atMost(sum, 0);
  }

  /** A supply that may be fetched on a trip: the step of its staircase that the need stands on, with its trips. */
  private stairs(pool: ProgramPool, need: GrowingSum, stash: number): void {
    const one = new GrowingSum();
    const over = new GrowingSum().addSum(need);
    const under = new GrowingSum().addSum(need);
    const pulls = new Map<number, GrowingSum>();
    let lower = stash;
    for (const step of (pool.steps ?? []).slice(1)) {
      const here = this.column(0, 1, true);
      const upper = fromMicro(step.upTo);
      one.add(here, 1);
      this.cash.add(here, step.cash);
      over.add(here, stash - upper);
      under.add(here, -lower);
      for (const tripId of step.tripIds) {
        const trip = this.trips.get(pool.tripPools.get(tripId) ?? -1);
        if (trip === undefined) continue;
        pulls.set(trip, (pulls.get(trip) ?? new GrowingSum().add(trip, -1)).add(here, 1));
      }
      lower = upper;
    }
    this.atMost(one, 1);
    this.atMost(over, stash);
    this.atLeast(under, 0);
    for (const pull of pulls.values()) this.atMost(pull, 0);
  }

  /** The value of what is taken of a stash: as much as is needed, at most all there is. */
  private stashTaken(pool: ProgramPool, need: GrowingSum, stash: number, isBought: boolean): void {
    if (pool.pool.kind !== 'supply' || pool.pool.unitCost === null) return;
    const worth = pool.pool.unitCost.millionths / MICRO;
    if (!isBought) {
      this.stash.addSum(need, worth);
      return;
    }
    const most = fromMicro(pool.most);
    const isEmptied = this.column(0, 1, true);
    const taken = this.column(0, stash, false);
    this.stash.add(taken, worth);
    this.atMost(new GrowingSum().addSum(need).add(taken, -1).add(isEmptied, -most), 0);
    this.atMost(new GrowingSum().add(isEmptied, stash).add(taken, -1), 0);
  }
}

/** The counts of a slot with what is beaten replaced by what beats it, and nothing that is barred. */
function unbeaten(slot: ProgramSlot | undefined, counts: readonly number[]): number[] {
  const now = counts.map(() => 0);
  counts.forEach((count, w) => {
    let way = w;
    for (let by = slot?.beaten[way]; typeof by === 'number'; by = slot?.beaten[way]) way = by;
    if (slot?.ways[way]?.barred === null) now[way] = (now[way] ?? 0) + count;
  });
  return now;
}
