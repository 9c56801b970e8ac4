import { MICRO } from '../kernel/micro';
import { type BalanceAsk, type Goal, goalFigure, goalsInOrder, keepsLimits, type Limits, SAME_LOOK } from './ask';
import { type Choice, type ChoiceFigures, figuresOf, isPossible } from './choice';
import { GrowingSum, type LinearModel, type Row, type Solver, type Sum } from './linearModel';
import { type LinearProgram, linearProgram } from './linearProgram';
import type { BalanceProgram } from './program';
import { quickChoice } from './quickChoice';

/** What Balance tells on the way: a better answer, or how near the one it has is to the best there can be. */
export interface BalanceTold {
  /** The best answer so far; null while there is none. */
  choice: Choice | null;
  figures: ChoiceFigures | null;
  /** The goal that is worked on: the first, or one that breaks its ties. */
  goal: Goal;
  /** By how much the goal's figure can still get better at the most; infinite while nothing is known. */
  canGain: number;
}

/** What Balance answers. */
export type BalanceAnswer =
  | {
      kind: 'found';
      choice: Choice;
      figures: ChoiceFigures;
      /** Null where no better answer exists; else by how much the goal's figure could still be better. */
      open: { goal: Goal; canGain: number } | null;
    }
  /** No choice keeps the limits. */
  | { kind: 'nothingFits' }
  /** The search ended before it found any: out of time or memory. */
  | { kind: 'noAnswer'; reason: string };

/** How a search is carried out. */
export interface BalanceRun {
  solver: Solver;
  /** The most that it may take, seconds. */
  seconds: number;
  /** Is told what there is so far; false stops the search, and what was found last is the answer. */
  report(told: BalanceTold): boolean;
  /** Seconds that have passed since the search began. */
  elapsed(): number;
  /** Where the search begins from. */
  from: Choice;
}

/** How often a limit is drawn tighter where an answer is found to break it by a rounding. */
const MOST_TRIES = 3;
/** Money is whole minor units; minutes closer than this are one. */
const SAME_MINUTES = 0.005;

/**
 * The choice that is best for a goal within the limits, its ties broken by the other goals in their order. A good one is
 * told at once, better ones as they are found; what is answered is proven to be best unless time ran out.
 */
export function balance(program: BalanceProgram, ask: BalanceAsk, run: BalanceRun): BalanceAnswer {
  const hourValue = program.plan.rows.project.hourValue ?? 0;
  let best: { choice: Choice; figures: ChoiceFigures } | null = null;
  const consider = (choice: Choice): boolean => {
    const figures = figuresOf(program, choice);
    if (!isPossible(program, choice) || !keepsLimits(figures, ask.limits)) return false;
    if (best && !isBetter(figures, best.figures, ask.goal, hourValue)) return false;
    best = { choice, figures };
    return true;
  };
  consider(run.from);
  consider(quickChoice(program, ask, run.from));
  const tell = (goal: Goal, canGain: number): boolean =>
    run.report({
      choice: best?.choice ?? null,
      figures: best?.figures ?? null,
      goal,
      canGain,
    });
  if (!tell(ask.goal, Number.POSITIVE_INFINITY)) return answered(best, ask.goal, Number.POSITIVE_INFINITY);
  const fixed: Row[] = [];
  let withStash = false;
  for (const goal of goalsInOrder(ask.goal)) {
    // Once the stash counts, its columns stand in the rows of earlier goals too.
    withStash ||= goal === 'leastCost';
    const linear = linearProgram(program, withStash);
    const sum = goalSum(linear, goal, hourValue);
    const found = withinLimits(program, linear, ask.limits, (limits) =>
      run.solver({
        model: {
          columns: linear.columns,
          rows: [...linear.rows, ...limits, ...fixed],
          goal: sum,
        } satisfies LinearModel,
        start: best ? linear.startOf(best.choice) : null,
        absoluteGap: gapOf(goal, program),
        relativeGap: 0,
        seconds: Math.max(0.1, run.seconds - run.elapsed()),
        report: ({ best: value, bound, values }) => {
          if (values) consider(linear.choiceOf(values));
          return tell(goal, Math.max(0, value - bound));
        },
      }),
    );
    if (found.kind === 'impossible') {
      if (goal === ask.goal) return best ? answered(best, goal, 0) : { kind: 'nothingFits' };
      break;
    }
    if (found.kind === 'noAnswer') {
      if (!best) return found;
      return answered(best, goal, Number.POSITIVE_INFINITY);
    }
    if (isPossible(program, found.choice) && keepsLimits(found.figures, ask.limits))
      best = { choice: found.choice, figures: found.figures };
    if (found.kind === 'stopped')
      return answered(
        best,
        goal,
        best ? Math.max(0, goalFigure(goal, best.figures, hourValue) - found.bound) : Number.POSITIVE_INFINITY,
      );
    fixed.push(atMost(sum, goalFigure(goal, found.figures, hourValue) + slackOf(goal, program)));
  }
  return answered(best, ask.goal, 0);
}

function answered(best: { choice: Choice; figures: ChoiceFigures } | null, goal: Goal, canGain: number): BalanceAnswer {
  if (!best) return { kind: 'noAnswer', reason: 'it was stopped before it found any' };
  return { kind: 'found', ...best, open: canGain > 0 ? { goal, canGain } : null };
}

/** Whether figures are better for a goal, then for those that break its ties. */
export function isBetter(a: ChoiceFigures, b: ChoiceFigures, first: Goal, hourValue: number): boolean {
  for (const goal of goalsInOrder(first)) {
    const difference = goalFigure(goal, a, hourValue) - goalFigure(goal, b, hourValue);
    if (Math.abs(difference) > (goal === 'bestLook' ? SAME_LOOK : 1e-3)) return difference < 0;
  }
  return false;
}

/** The sum whose least is the goal. */
export function goalSum(linear: LinearProgram, goal: Goal, hourValue: number): Sum {
  switch (goal) {
    case 'bestLook':
      return new GrowingSum().addSum(linear.look, -1);
    case 'leastCash':
      return linear.cash;
    case 'leastHours':
      return linear.minutes;
    case 'leastCost':
      return new GrowingSum()
        .addSum(linear.cash)
        .addSum(linear.stash)
        .addSum(linear.minutes, hourValue / 60);
    default:
      return goal satisfies never;
  }
}

/** The smallest step in which look values differ: a share of the quantities, while these have a common measure. */
export function lookStep({ slots }: BalanceProgram): number {
  const common = slots.reduce((sum, { quantity }) => (sum * quantity) / greatestDivisor(sum, quantity), 1);
  return common <= 1000 ? 1 / common : 1e-3;
}

const greatestDivisor = (a: number, b: number): number => (b === 0 ? a : greatestDivisor(b, a % b));

/** Just under the step in which a goal's figure can differ: nothing better fits in between. */
function gapOf(goal: Goal, program: BalanceProgram): number {
  if (goal === 'bestLook') return lookStep(program) * 0.9;
  return goal === 'leastHours' ? SAME_MINUTES : 0.9;
}

/** How much a goal's figure may be off while the ties are broken. */
function slackOf(goal: Goal, program: BalanceProgram): number {
  if (goal === 'bestLook') return lookStep(program) / 2;
  return goal === 'leastHours' ? SAME_MINUTES : 0.5;
}

const atMost = ({ terms, constant }: Sum, upper: number): Row => ({
  lower: Number.NEGATIVE_INFINITY,
  upper: upper - constant,
  terms,
});

/** The rows that keep the limits. */
export function limitRows(linear: LinearProgram, { cash, minutes, look }: Limits): Row[] {
  return [
    ...(cash === null ? [] : [atMost(linear.cash, cash)]),
    ...(minutes === null ? [] : [atMost(linear.minutes, minutes)]),
    ...(look === null ? [] : [atMost(new GrowingSum().addSum(linear.look, -1), -look + SAME_LOOK)]),
  ];
}

type Within =
  | { kind: 'proven' | 'stopped'; choice: number[][]; figures: ChoiceFigures; bound: number }
  | { kind: 'impossible' }
  | { kind: 'noAnswer'; reason: string };

/**
 * Solves within limits. A solver keeps rows to a millionth: an answer that is beyond a limit by as little is asked for
 * again with that limit drawn tighter, so that the purse never contradicts it.
 */
export function withinLimits(
  program: BalanceProgram,
  linear: LinearProgram,
  limits: Limits,
  solve: (rows: Row[]) => ReturnType<Solver>,
): Within {
  let asked = limits;
  for (let tries = 1; ; tries += 1) {
    const solved = solve(limitRows(linear, asked));
    if (solved.kind === 'impossible' || solved.kind === 'noAnswer') return solved;
    const choice = linear.choiceOf(solved.values);
    const figures = figuresOf(program, choice);
    if (keepsLimits(figures, limits) || tries === MOST_TRIES) return { ...solved, choice, figures };
    const over = (value: number, limit: number | null) => (limit === null ? 0 : Math.max(0, value - limit));
    asked = {
      ...asked,
      cash: asked.cash === null ? null : asked.cash - over(figures.cash, limits.cash),
      minutes:
        asked.minutes === null
          ? null
          : asked.minutes - (over(figures.handsMicro / MICRO, limits.minutes) > 0 ? 1e-4 * 10 ** tries : 0),
    };
  }
}
