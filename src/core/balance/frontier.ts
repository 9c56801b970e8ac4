import { MICRO } from '../kernel/micro';
import { type Goal, keepsLimits, type Limits, SAME_LOOK } from './ask';
import { goalSum, lookStep, withinLimits } from './balance';
import { type Choice, type ChoiceFigures, figuresOf, isPossible } from './choice';
import type { Solver } from './linearModel';
import { type LinearProgram, linearProgram } from './linearProgram';
import type { BalanceProgram } from './program';
import { quickChoice } from './quickChoice';

/** What money is traded against. */
export const tradedAgainst = ['hours', 'look'] as const;
export type TradedAgainst = (typeof tradedAgainst)[number];

/** A plan that no other beats in both cash to go and what money is traded against. */
export interface FrontierPoint {
  choice: Choice;
  figures: ChoiceFigures;
}

/** The frontier as far as it is known. */
export interface FrontierTold {
  /** From the least cash to the least hours, or to the best look: cash grows from one to the next. */
  points: readonly FrontierPoint[];
  /** Whether no further trade is left to be looked for. */
  isWhole: boolean;
}

/** How it is searched. */
export interface FrontierRun {
  solver: Solver;
  /** The most plans that are searched for, and the most time that one may take, seconds. */
  most: number;
  seconds: number;
  /** Is told every time a plan is found; false stops. */
  report(told: FrontierTold): boolean;
}

/** What is asked of every plan of a frontier. */
export interface FrontierAsk {
  against: TradedAgainst;
  /** Limits of what is not traded: the look of a trade against hours, the hours of one against look. */
  limits: Pick<Limits, 'minutes' | 'look'>;
}

/** Hours are traded in steps of so many minutes. */
export const STEP_MINUTES = 15;
/** How far a plan of the frontier may be from the cheapest of its hours or look, as a share. */
const GAP = 0.005;

/** What money is traded against, as a figure of which less is better. */
interface Axis {
  goal: Goal;
  step: number;
  /** Values closer than this are one. */
  same: number;
  of(figures: ChoiceFigures): number;
  /** The limits that keep a plan at a value or better. */
  within(limits: Limits, value: number): Limits;
  /** The value of a plan, as a limit that it keeps for sure. */
  limitOf(figures: ChoiceFigures): number;
}

function axisOf(against: TradedAgainst, program: BalanceProgram): Axis {
  const minutes = ({ handsMicro }: ChoiceFigures) => handsMicro / MICRO;
  switch (against) {
    case 'hours':
      return {
        goal: 'leastHours',
        step: STEP_MINUTES,
        same: 1e-6,
        of: minutes,
        within: (limits, value) => ({ ...limits, minutes: value }),
        limitOf: (figures) => Math.ceil(minutes(figures) * 100) / 100,
      };
    case 'look':
      return {
        goal: 'bestLook',
        step: Math.max(1, lookStep(program)),
        same: SAME_LOOK,
        of: ({ look }) => -look,
        within: (limits, value) => ({ ...limits, look: -value }),
        limitOf: ({ look }) => -look + SAME_LOOK,
      };
    default:
      return against satisfies never;
  }
}

/**
 * The sensible trades of money against hours, or against the look: plans that no other beats in both, within the limits of
 * what is not traded. The ends come first, then always the middle of the widest gap between two neighbors, so that what is
 * known at any time is the whole in coarser steps.
 * @param from a choice to begin the search from
 * @returns no points where the musts cannot be filled, or the limits are beyond every plan
 */
export function frontier(program: BalanceProgram, ask: FrontierAsk, from: Choice, run: FrontierRun): FrontierTold {
  const linear = linearProgram(program, false);
  const axis = axisOf(ask.against, program);
  const search = new FrontierSearch(program, linear, axis, { cash: null, ...ask.limits }, run);
  const cheapest = search.least(null, from);
  if (!cheapest) return { points: [], isWhole: true };
  const farthest = search.farthest(cheapest.choice);
  let points = efficient([cheapest, ...(farthest ? [farthest] : [])], ask.against);
  // Limits from which on down to the plan's own value the same plan is the answer.
  const known = new Map<FrontierPoint, number>();
  let found = points.length;
  const told = (): FrontierTold => ({ points, isWhole: widestGap(points, known, axis) === null });
  if (!run.report(told())) return told();
  while (found < run.most) {
    const gap = widestGap(points, known, axis);
    if (!gap) break;
    const point = search.least(gap.limit, gap.below.choice);
    found += 1;
    const isNew =
      point !== null &&
      axis.of(point.figures) > axis.of(gap.below.figures) + axis.same &&
      point.figures.cash < gap.below.figures.cash;
    if (isNew) {
      points = efficient([...points, point], ask.against);
      known.set(point, gap.limit);
    } else known.set(gap.below, gap.limit);
    if (!run.report(told())) break;
  }
  return told();
}

class FrontierSearch {
  private readonly program: BalanceProgram;
  private readonly linear: LinearProgram;
  private readonly axis: Axis;
  private readonly limits: Limits;
  private readonly run: FrontierRun;

  constructor(program: BalanceProgram, linear: LinearProgram, axis: Axis, limits: Limits, run: FrontierRun) {
    this.program = program;
    this.linear = linear;
    this.axis = axis;
    this.limits = limits;
    this.run = run;
  }

  /** The cheapest plan at a value or better, of those the best; null where there is none. */
  least(value: number | null, start: Choice): FrontierPoint | null {
    const limits = value === null ? this.limits : this.axis.within(this.limits, value);
    const first = this.solve('leastCash', limits, start);
    return first && (this.solve(this.axis.goal, { ...limits, cash: first.figures.cash }, first.choice) ?? first);
  }

  /** The quickest plan, or the one of the best look; of those the cheapest. */
  farthest(start: Choice): FrontierPoint | null {
    const first = this.solve(this.axis.goal, this.limits, start);
    const within = first && this.axis.within(this.limits, this.axis.limitOf(first.figures));
    return first && within && (this.solve('leastCash', within, first.choice) ?? first);
  }

  private solve(goal: Goal, limits: Limits, start: Choice): FrontierPoint | null {
    const { program, linear } = this;
    const quick = quickChoice(program, { goal, limits }, start, QUICK);
    const keeps = isPossible(program, quick) && keepsLimits(figuresOf(program, quick), limits);
    const found = withinLimits(program, linear, limits, (rows) =>
      this.run.solver({
        model: { columns: linear.columns, rows: [...linear.rows, ...rows], goal: goalSum(linear, goal, 0) },
        start: linear.startOf(keeps ? quick : start),
        absoluteGap: goal === 'leastCash' ? 0.9 : goal === 'bestLook' ? lookStep(program) * 0.9 : 0.5,
        relativeGap: goal === 'leastCash' ? GAP : 0.001,
        seconds: this.run.seconds,
        report: () => true,
      }),
    );
    if (found.kind === 'impossible') return null;
    if (found.kind === 'noAnswer') return keeps ? { choice: quick, figures: figuresOf(program, quick) } : null;
    return isPossible(program, found.choice) ? { choice: found.choice, figures: found.figures } : null;
  }
}

/** A short search is enough to begin from. */
const QUICK = { rounds: 3000, repairs: 120 } as const;

/** Only plans that no other beats, from the least cash on. */
export function efficient(points: readonly FrontierPoint[], against: TradedAgainst): FrontierPoint[] {
  const value = ({ figures }: FrontierPoint) => (against === 'hours' ? figures.handsMicro / MICRO : -figures.look);
  const sorted = [...points].sort((a, b) => a.figures.cash - b.figures.cash || value(a) - value(b));
  const kept: FrontierPoint[] = [];
  for (const point of sorted) {
    const last = kept.at(-1);
    if (!last || value(point) < value(last) - 1e-6) kept.push(point);
  }
  return kept;
}

/** The widest stretch between two neighbors in which a further plan may lie, and the limit in its middle. */
function widestGap(
  points: readonly FrontierPoint[],
  known: ReadonlyMap<FrontierPoint, number>,
  { of, step }: Axis,
): { limit: number; below: FrontierPoint } | null {
  let widest: { limit: number; below: FrontierPoint; steps: number } | null = null;
  points.forEach((below, n) => {
    const above = points[n - 1];
    if (!above) return;
    // Up to the limit that was asked for the answer is the plan itself.
    const low = Math.floor(Math.max(of(below.figures), known.get(below) ?? Number.NEGATIVE_INFINITY) / step) + 1;
    const high = Math.ceil(of(above.figures) / step - 1e-6) - 1;
    const steps = high - low + 1;
    if (steps > 0 && (!widest || steps > widest.steps))
      widest = { below, steps, limit: Math.floor((low + high) / 2) * step };
  });
  return widest;
}
