import { MICRO } from '../kernel/micro';
import { seededRandom } from '../kernel/seededRandom';
import { type BalanceAsk, beyondLimits, costOfFigures } from './ask';
import type { Choice, ChoiceFigures } from './choice';
import type { BalanceProgram, ProgramSlot } from './program';
import { Tally } from './tally';

/** How many changes are tried: so many for each slot, a few tenths of a second at the most. */
const ROUNDS_PER_SLOT = 800;
const QUICK_ROUNDS = 10_000;
const QUICK_REPAIRS = 900;
const REPAIR_WARM = 300;

/** How warm the search is at first and in the end, in minor units: a change for the worse by so much is still tried. */
const WARM = 4000;
const COLD = 15;

/** What a unit beyond a limit counts at first, in minor units; and a must that is open, or a piece taken twice. */
const SOFT = { cash: 3, minutes: 25, look: 1200 };
const MUST = 1_000_000;
/** After how many rounds what is beyond a limit is weighed anew. */
const ADAPTED = 60;

/** What figures count for a goal in minor units; its ties are broken by a little of the others. */
function scoreOf(ask: BalanceAsk, hourValue: number): (figures: ChoiceFigures) => number {
  const { goal } = ask;
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
function anotherFill({ ways, quantity, least }: ProgramSlot, random: () => number): number[] {
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
 * A good plan at once: from the present one by simulated annealing, then by the best single changes until none helps.
 * The same program, question and seed give the same answer.
 * @param from where it begins; what keeps the limits best among it and all that is tried is the answer
 * @returns a choice that need not keep the limits where none was found that does
 */
export function quickChoice(
  program: BalanceProgram,
  ask: BalanceAsk,
  from: Choice,
  {
    seed = 1,
    rounds = Math.min(QUICK_ROUNDS, ROUNDS_PER_SLOT * program.slots.length),
    repairs = Math.min(QUICK_REPAIRS, 20 * program.slots.length),
  } = {},
): number[][] {
  const random = seededRandom(seed);
  const hourValue = program.plan.rows.project.hourValue ?? 0;
  const goalScore = scoreOf(ask, hourValue);
  const allowed = program.slots.map(({ ways }, s) =>
    ways.map((way, w) => (way.barred === null ? (from[s]?.[w] ?? 0) : 0)),
  );
  const tally = new Tally(program, allowed);
  const open = program.slots.flatMap(({ ways }, s) => (ways.length > 0 ? [s] : []));
  if (open.length === 0) return tally.copy();
  const missing = program.slots.map(({ least }, s) => Math.max(0, least - sumOf(tally.counts[s] ?? [])));
  let mustMissing = sumOf(missing);
  const put = (slot: number, counts: readonly number[]) => {
    tally.set(slot, counts);
    const now = Math.max(0, (program.slots[slot]?.least ?? 0) - sumOf(counts));
    mustMissing += now - (missing[slot] ?? 0);
    missing[slot] = now;
  };
  // What is beyond a limit counts little at first and more as long as the search stays beyond it, so that it can pass
  // through plans that do not fit on its way to better ones that do.
  const weights = { ...SOFT };
  const beyondNow = () => beyondLimits(tally, ask.limits);
  const hard = () => mustMissing * MUST + tally.tooMany * MUST;
  const score = () => {
    const beyond = beyondNow();
    return (
      goalScore(tally) +
      beyond.cash * weights.cash +
      beyond.minutes * weights.minutes +
      beyond.look * weights.look +
      hard()
    );
  };
  /** What the best is told by: no plan beyond a limit is better than one within. */
  const strict = () => {
    const { cash, minutes, look } = beyondNow();
    return goalScore(tally) + (cash + minutes * 60 + look * 5000) * 100 + hard();
  };
  const adapt = () => {
    const beyond = beyondNow();
    for (const limit of ['cash', 'minutes', 'look'] as const)
      weights[limit] = Math.min(
        SOFT[limit] * 64,
        Math.max(SOFT[limit] / 8, weights[limit] * (beyond[limit] > 0 ? 1.25 : 0.88)),
      );
    return score();
  };
  let now = score();
  let best = { score: strict(), choice: tally.copy() };
  const keep = () => {
    const own = strict();
    if (own < best.score - 1e-9) best = { score: own, choice: tally.copy() };
  };
  for (let round = 0; round < rounds; round += 1) {
    if (round % ADAPTED === 0) now = adapt();
    const warmth = WARM * (COLD / WARM) ** (round / rounds);
    const count = random() < 0.3 ? 2 : 1;
    const before: { slot: number; counts: number[] }[] = [];
    for (let n = 0; n < count; n += 1) {
      const slot = open[Math.floor(random() * open.length)] ?? 0;
      const own = program.slots[slot];
      if (!own) continue;
      before.push({ slot, counts: [...(tally.counts[slot] ?? [])] });
      put(slot, anotherFill(own, random));
    }
    const after = score();
    if (after <= now || random() < Math.exp((now - after) / warmth)) {
      now = after;
      keep();
    } else for (const { slot, counts } of before.reverse()) put(slot, counts);
  }
  const fills = program.slots.map((slot) => singleFills(slot));
  const groups = slotsTogether(program);
  for (let turn = 0; turn < repairs; turn += 1) {
    if (turn % 8 === 0) now = adapt();
    // Some slots that have something in common are emptied, and filled anew one after the other, each as is best then.
    const group = groups[Math.floor(random() * groups.length)] ?? open;
    const emptied = someOf(random() < 0.7 ? group : open, 2 + Math.floor(random() * 6), random);
    const before = emptied.map((slot) => ({ slot, counts: [...(tally.counts[slot] ?? [])] }));
    for (const slot of emptied)
      put(
        slot,
        (program.slots[slot]?.ways ?? []).map(() => 0),
      );
    for (const slot of emptied) {
      let [least, fill]: [number, readonly number[]] = [Number.POSITIVE_INFINITY, []];
      for (const counts of fills[slot] ?? []) {
        put(slot, counts);
        const own = score();
        if (own < least) [least, fill] = [own, counts];
      }
      put(slot, fill);
    }
    const after = score();
    const warmth = REPAIR_WARM * (1 - turn / repairs);
    if (after <= now || random() < Math.exp((now - after) / Math.max(1, warmth))) {
      now = after;
      keep();
    } else for (const { slot, counts } of before) put(slot, counts);
  }
  return best.choice;
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
