import { MICRO } from '../kernel/micro';
import { seededRandom } from '../kernel/seededRandom';
import { type BalanceAsk, beyondLimits, costOfFigures, type Limits } from './ask';
import type { Choice, ChoiceFigures } from './choice';
import type { BalanceProgram, ProgramSlot } from './program';
import { Tally } from './tally';

/** How many changes are tried, and how often some slots are emptied and filled anew: so many a slot, up to an end. */
const ROUNDS = { perSlot: 800, most: 10_000 } as const;
const REFILLS = { perSlot: 20, most: 900 } as const;

/** How warm the search is at first and in the end, in minor units: a change for the worse by so much is still tried. */
const WARM = 4000;
const COLD = 15;
const WARM_REFILLS = 300;

/** What a unit beyond a limit counts at first, in minor units; and how far that may grow and shrink. */
const SOFT = { cash: 3, minutes: 25, look: 1200 };
const MOST_GROWN = 64;
const MOST_SHRUNK = 8;
/** After how many rounds, or refills, what is beyond a limit is weighed anew. */
const WEIGHED_AFTER = { rounds: 60, refills: 8 } as const;
/** What a must that is open, or a piece taken twice, counts. */
const MUST = 1_000_000;

/** What is asked of a quick search: what stays out stands in the program. */
type QuickAsk = Pick<BalanceAsk, 'goal' | 'limits'>;

/** What figures count for a goal in minor units; its ties are broken by a little of the others. */
function scoreOf({ goal }: QuickAsk, hourValue: number): (figures: ChoiceFigures) => number {
  return (figures) => {
    const { cash, handsMicro, stashMicro, look } = figures;
    const minutes = handsMicro / MICRO;
    switch (goal) {
      case 'bestLook':
        return -look * 6000 + cash * 0.2 + minutes * 2;
      case 'leastCash':
        return cash - look * 2 + minutes * 0.1;
      case 'leastHours':
        return minutes * 30 + cash * 0.01 - look * 2;
      case 'leastCost':
        return costOfFigures({ cash, handsMicro, stashMicro, look }, hourValue) - look * 2;
      default:
        return goal satisfies never;
    }
  };
}

/** Another way to fill a slot, at random: most often one way as far as it goes. */
function anotherFill(slot: ProgramSlot | undefined, random: () => number): number[] {
  if (!slot) return [];
  const { ways, quantity, least } = slot;
  const counts = ways.map(() => 0);
  let room = quantity;
  const leavesOpen = least === 0 && random() < 0.15;
  for (let tries = 0; !leavesOpen && room > 0 && tries < 3; tries += 1) {
    const w = Math.floor(random() * ways.length);
    const most = ways[w]?.barred === null ? Math.min(room, ways[w].most - (counts[w] ?? 0)) : 0;
    const count = quantity > 1 && random() < 0.3 ? Math.ceil(most * random()) : most;
    counts[w] = (counts[w] ?? 0) + count;
    room -= count;
    if (quantity === 1 || random() < 0.6) break;
  }
  return counts;
}

/**
 * A good plan at once: from the present one by simulated annealing (Kirkpatrick and others, 1983), then by emptying slots
 * that have something in common and filling them anew, each as is best then (large neighborhood search; Shaw, 1998). The
 * same program, question and seed give the same answer.
 * @param from where it begins; what is barred in it is left open
 * @returns the best choice met; it need not keep the limits where none was found that does
 */
export function quickChoice(
  program: BalanceProgram,
  ask: QuickAsk,
  from: Choice,
  {
    seed = 1,
    rounds = Math.min(ROUNDS.most, ROUNDS.perSlot * program.slots.length),
    repairs = Math.min(REFILLS.most, REFILLS.perSlot * program.slots.length),
  } = {},
): number[][] {
  const search = new QuickSearch(program, ask, from, seed);
  search.anneal(rounds);
  search.refill(repairs);
  return search.best.choice;
}

/** A slot with how it was filled before a change. */
interface Before {
  slot: number;
  counts: readonly number[];
}

/** A search that changes one plan again and again, and remembers the best it met. */
class QuickSearch {
  best: { score: number; choice: number[][] };
  private readonly program: BalanceProgram;
  private readonly limits: Limits;
  private readonly random: () => number;
  private readonly goalScore: (figures: ChoiceFigures) => number;
  private readonly tally: Tally;
  /** Slots that have a way. */
  private readonly open: readonly number[];
  /** How many of each must are open, and of all together. */
  private readonly missing: number[];
  private mustMissing: number;
  /**
   * What is beyond a limit counts little at first, more as long as the search stays beyond it and less while it keeps it:
   * so it can pass through plans that do not fit on its way to better ones that do.
   */
  private readonly weights = { ...SOFT };
  private now: number;

  constructor(program: BalanceProgram, ask: QuickAsk, from: Choice, seed: number) {
    this.program = program;
    this.limits = ask.limits;
    this.random = seededRandom(seed);
    this.goalScore = scoreOf(ask, program.plan.rows.project.hourValue ?? 0);
    const allowed = program.slots.map(({ ways }, s) =>
      ways.map((way, w) => (way.barred === null ? (from[s]?.[w] ?? 0) : 0)),
    );
    this.tally = new Tally(program, allowed);
    this.open = program.slots.flatMap(({ ways }, s) => (ways.length > 0 ? [s] : []));
    this.missing = program.slots.map(({ least }, s) => Math.max(0, least - sumOf(this.tally.counts[s] ?? [])));
    this.mustMissing = sumOf(this.missing);
    this.now = this.score();
    this.best = { score: this.strictScore(), choice: this.tally.copy() };
  }

  /** Changes one slot or two at random, so many times, and keeps what is better, or not much worse while it is warm. */
  anneal(rounds: number): void {
    if (this.open.length === 0) return;
    for (let round = 0; round < rounds; round += 1) {
      if (round % WEIGHED_AFTER.rounds === 0) this.weighAnew();
      const before: Before[] = [];
      for (let n = this.random() < 0.3 ? 2 : 1; n > 0; n -= 1) {
        const slot = this.open[Math.floor(this.random() * this.open.length)] ?? 0;
        before.push(this.before(slot));
        this.put(slot, anotherFill(this.program.slots[slot], this.random));
      }
      this.keepOrUndo(before, WARM * (COLD / WARM) ** (round / rounds));
    }
  }

  /** Empties some slots and fills them anew, one after the other, each as is best then. */
  refill(times: number): void {
    if (this.open.length === 0) return;
    const fills = this.program.slots.map((slot) => singleFills(slot));
    const groups = slotsTogether(this.program);
    for (let time = 0; time < times; time += 1) {
      if (time % WEIGHED_AFTER.refills === 0) this.weighAnew();
      const group = groups[Math.floor(this.random() * groups.length)] ?? this.open;
      const from = this.random() < 0.7 ? group : this.open;
      const emptied = someOf(from, 2 + Math.floor(this.random() * 6), this.random);
      const before = emptied.map((slot) => this.before(slot));
      for (const { slot, counts } of before)
        this.put(
          slot,
          counts.map(() => 0),
        );
      for (const slot of emptied) this.fillBest(slot, fills[slot] ?? []);
      this.keepOrUndo(before, Math.max(1, WARM_REFILLS * (1 - time / times)));
    }
  }

  private before(slot: number): Before {
    return { slot, counts: [...(this.tally.counts[slot] ?? [])] };
  }

  private put(slot: number, counts: readonly number[]): void {
    this.tally.set(slot, counts);
    const now = Math.max(0, (this.program.slots[slot]?.least ?? 0) - sumOf(counts));
    this.mustMissing += now - (this.missing[slot] ?? 0);
    this.missing[slot] = now;
  }

  private fillBest(slot: number, fills: readonly (readonly number[])[]): void {
    let [least, best]: [number, readonly number[] | null] = [Number.POSITIVE_INFINITY, null];
    for (const counts of fills) {
      this.put(slot, counts);
      const own = this.score();
      if (own < least) [least, best] = [own, counts];
    }
    if (best) this.put(slot, best);
  }

  private keepOrUndo(before: readonly Before[], warmth: number): void {
    const after = this.score();
    if (after > this.now && this.random() >= Math.exp((this.now - after) / warmth)) {
      for (const { slot, counts } of [...before].reverse()) this.put(slot, counts);
      return;
    }
    this.now = after;
    const strict = this.strictScore();
    if (strict < this.best.score - 1e-9) this.best = { score: strict, choice: this.tally.copy() };
  }

  private hard(): number {
    return (this.mustMissing + this.tally.tooMany) * MUST;
  }

  private score(): number {
    const beyond = beyondLimits(this.tally, this.limits);
    const { cash, minutes, look } = this.weights;
    return (
      this.goalScore(this.tally) + beyond.cash * cash + beyond.minutes * minutes + beyond.look * look + this.hard()
    );
  }

  /** What the best is told by: no plan beyond a limit is better than one within. */
  private strictScore(): number {
    const { cash, minutes, look } = beyondLimits(this.tally, this.limits);
    return this.goalScore(this.tally) + (cash + minutes * 60 + look * 5000) * 100 + this.hard();
  }

  private weighAnew(): void {
    const beyond = beyondLimits(this.tally, this.limits);
    for (const limit of ['cash', 'minutes', 'look'] as const) {
      const weight = this.weights[limit] * (beyond[limit] > 0 ? 1.25 : 0.88);
      this.weights[limit] = Math.min(SOFT[limit] * MOST_GROWN, Math.max(SOFT[limit] / MOST_SHRUNK, weight));
    }
    this.now = this.score();
  }
}

/** Groups of slots that draw on something together: a can, a delivery, a tool. */
function slotsTogether({ slots, pools }: BalanceProgram): number[][] {
  const groups = pools.map(() => new Set<number>());
  slots.forEach(({ ways }, s) => {
    for (const { draws } of ways) for (const { pool } of draws) groups[pool]?.add(s);
  });
  return groups.flatMap((group) => (group.size > 1 ? [[...group]] : []));
}

/** So many of a list at random, in random order. */
function someOf(list: readonly number[], count: number, random: () => number): number[] {
  const rest = [...list];
  const taken: number[] = [];
  while (taken.length < count && rest.length > 0) taken.push(...rest.splice(Math.floor(random() * rest.length), 1));
  return taken;
}

const sumOf = (counts: readonly number[]): number => counts.reduce((sum, count) => sum + count, 0);

/** A slot left open, or filled by one of its ways as far as that goes. */
export function singleFills(slot: ProgramSlot | undefined): number[][] {
  if (!slot) return [];
  const fills = slot.ways.flatMap((way, w) =>
    way.barred === null ? [slot.ways.map((_other, n) => (n === w ? way.most : 0))] : [],
  );
  return slot.least === 0 ? [slot.ways.map(() => 0), ...fills] : fills;
}
