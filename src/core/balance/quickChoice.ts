import { MICRO } from '../kernel/micro';
import { seededRandom } from '../kernel/seededRandom';
import { type BalanceAsk, beyondLimits, costOfFigures } from './ask';
import type { Choice, ChoiceFigures } from './choice';
import type { BalanceProgram, ProgramSlot } from './program';
import { Tally } from './tally';

/** How many changes are tried; a few tenths of a second for sixty slots. */
export const QUICK_ROUNDS = 40_000;

/** How warm the search is at first and in the end, in minor units: a change for the worse by so much is still tried. */
const WARM = 4000;
const COLD = 15;

/** What a unit beyond a limit counts, in minor units, so that any plan within them is better than one outside. */
const BEYOND = { cash: 12, minutes: 400, look: 60_000, must: 1_000_000, piece: 1_000_000 } as const;

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
    const most = Math.min(room, (ways[w]?.most ?? 0) - (counts[w] ?? 0));
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
  { seed = 1, rounds = QUICK_ROUNDS } = {},
): number[][] {
  const random = seededRandom(seed);
  const hourValue = program.plan.rows.project.hourValue ?? 0;
  const goalScore = scoreOf(ask, hourValue);
  const tally = new Tally(program, from);
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
  const score = () => {
    const beyond = beyondLimits(tally, ask.limits);
    return (
      goalScore(tally) +
      beyond.cash * BEYOND.cash +
      beyond.minutes * BEYOND.minutes +
      beyond.look * BEYOND.look +
      mustMissing * BEYOND.must +
      tally.tooMany * BEYOND.piece
    );
  };
  let now = score();
  let best = { score: now, choice: tally.copy() };
  for (let round = 0; round < rounds; round += 1) {
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
      if (now < best.score - 1e-9) best = { score: now, choice: tally.copy() };
    } else for (const { slot, counts } of before.reverse()) put(slot, counts);
  }
  // The last bit: single changes, as long as one helps.
  best.choice.forEach((counts, slot) => {
    put(slot, counts);
  });
  now = score();
  for (let helped = true; helped; ) {
    helped = false;
    for (const slot of open)
      for (const counts of singleFills(program.slots[slot])) {
        const was = [...(tally.counts[slot] ?? [])];
        put(slot, counts);
        const after = score();
        if (after < now - 1e-9) {
          now = after;
          helped = true;
        } else put(slot, was);
      }
  }
  return tally.copy();
}

const sumOf = (counts: readonly number[]): number => counts.reduce((sum, count) => sum + count, 0);

/** A slot left open, or filled by one of its ways as far as that goes. */
export function singleFills(slot: ProgramSlot | undefined): number[][] {
  if (!slot) return [];
  const fills = slot.ways.map((way, w) => slot.ways.map((_other, n) => (n === w ? way.most : 0)));
  return slot.least === 0 ? [slot.ways.map(() => 0), ...fills] : fills;
}
