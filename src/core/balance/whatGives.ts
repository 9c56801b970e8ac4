import { MICRO } from '../kernel/micro';
import { type BalanceAsk, beyondLimits, costOfFigures, type Limits, SAME_LOOK } from './ask';
import { changesBetween, figuresLess, type SlotChange } from './changes';
import { type Choice, type ChoiceFigures, isPossible } from './choice';
import type { BalanceProgram } from './program';
import { singleFills } from './quickChoice';
import { Tally } from './tally';

/** One change of the plan, or two together, that helps. */
export interface Remedy {
  changes: readonly SlotChange[];
  choice: Choice;
  /** What the plan comes to more with it. */
  difference: ChoiceFigures;
  /** Whether the plan keeps all limits with it. */
  closes: boolean;
}

/** Of how many single changes pairs are tried, and how many remedies are told. */
const PAIRED = 20;
const MOST_TOLD = 8;

interface Try {
  slots: readonly { slot: number; counts: readonly number[] }[];
  figures: ChoiceFigures;
  /** How much of what is beyond the limits is left, each limit as a share of it; and what all costs. */
  left: number;
  cost: number;
  look: number;
}

/**
 * What helps a plan that breaks its limits: the best single changes, and the best pairs among the twenty best of them,
 * those that close it first. Of a plan that keeps its limits, what makes it cheaper, hours priced, at the same look.
 * @param present the choice that is changed
 */
export function whatGives(program: BalanceProgram, present: Choice, { limits }: Pick<BalanceAsk, 'limits'>): Remedy[] {
  const hourValue = program.plan.rows.project.hourValue ?? 0;
  const tally = new Tally(program, present);
  const before = figuresOf(tally);
  const over = beyondLimits(before, limits);
  const isOver = over.cash > 0 || over.minutes > 0;
  const judge = (slots: Try['slots']): Try => {
    const now = beyondLimits(tally, limits);
    const share = (left: number, of: number) => (of > 0 ? left / of : left > 0 ? 2 : 0);
    return {
      slots,
      figures: figuresOf(tally),
      left: share(now.cash, over.cash) + share(now.minutes, over.minutes),
      cost: costOfFigures(tally, hourValue),
      look: tally.look,
    };
  };
  const lookFloor = isOver ? Number.NEGATIVE_INFINITY : before.look - SAME_LOOK;
  const helps = (tried: Try): boolean =>
    tried.look >= lookFloor &&
    (isOver
      ? tried.left < share(over, over) - 1e-9
      : tried.cost < costOfFigures(before, hourValue) - 0.5 && tried.left === 0);
  const rank = (a: Try, b: Try): number =>
    a.left - b.left || (isOver ? b.look - a.look : 0) || a.cost - b.cost || a.slots.length - b.slots.length;
  const singles: Try[] = [];
  program.slots.forEach((slot, s) => {
    const was = [...(tally.counts[s] ?? [])];
    for (const counts of singleFills(slot)) {
      if (counts.every((count, n) => count === was[n])) continue;
      tally.set(s, counts);
      const tried = judge([{ slot: s, counts }]);
      if (tally.tooMany === 0 && helps(tried)) singles.push(tried);
    }
    tally.set(s, was);
  });
  singles.sort(rank);
  const best = singles.slice(0, PAIRED);
  const pairs: Try[] = [];
  best.forEach((a, n) => {
    for (const b of best.slice(n + 1)) {
      const [one, two] = [a.slots[0], b.slots[0]];
      if (!one || !two || one.slot === two.slot) continue;
      const was = [one, two].map(({ slot }) => [...(tally.counts[slot] ?? [])]);
      tally.set(one.slot, one.counts);
      tally.set(two.slot, two.counts);
      const tried = judge([one, two]);
      // A pair that only does what one of the two does is that one.
      if (tally.tooMany === 0 && helps(tried) && (tried.left < Math.min(a.left, b.left) || !isOver)) pairs.push(tried);
      tally.set(one.slot, was[0] ?? []);
      tally.set(two.slot, was[1] ?? []);
    }
  });
  // A pair is told where no single change does as much.
  const needed = isOver ? pairs.filter((pair) => !singles.some((single) => single.left <= pair.left + 1e-9)) : [];
  return [...singles, ...needed]
    .sort(rank)
    .slice(0, MOST_TOLD)
    .flatMap((tried): Remedy[] => {
      const choice = present.map((counts, s) => tried.slots.find(({ slot }) => slot === s)?.counts ?? counts);
      return [
        {
          changes: changesBetween(program, present, choice),
          choice,
          difference: figuresLess(tried.figures, before),
          closes: keeps(tried, limits) && isPossible(program, choice),
        },
      ];
    });
}

const keeps = ({ figures }: Try, limits: Limits): boolean => {
  const { cash, minutes } = beyondLimits(figures, limits);
  return cash === 0 && minutes === 0;
};

/** What is over, as shares of itself: one for each limit that is broken. */
const share = (a: { cash: number; minutes: number }, of: { cash: number; minutes: number }): number =>
  (of.cash > 0 ? a.cash / of.cash : 0) + (of.minutes > 0 ? a.minutes / of.minutes : 0);

const figuresOf = ({ cash, handsMicro, stashMicro, look }: ChoiceFigures): ChoiceFigures => ({
  cash,
  handsMicro,
  stashMicro,
  look,
});

/** Minutes of figures. */
export const minutesOf = ({ handsMicro }: Pick<ChoiceFigures, 'handsMicro'>): number => handsMicro / MICRO;
