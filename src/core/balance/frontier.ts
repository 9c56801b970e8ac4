import { MICRO } from '../kernel/micro';
import { keepsLimits, type Limits } from './ask';
import { goalSum, withinLimits } from './balance';
import { type Choice, type ChoiceFigures, figuresOf, isPossible } from './choice';
import type { Solver } from './linearModel';
import { type LinearProgram, linearProgram } from './linearProgram';
import type { BalanceProgram } from './program';
import { quickChoice } from './quickChoice';

/** A plan that no other beats in both cash to go and hours. */
export interface FrontierPoint {
  choice: Choice;
  figures: ChoiceFigures;
}

/** The frontier as far as it is known. */
export interface FrontierTold {
  /** From the least cash to the least hours: cash grows, hours fall. */
  points: readonly FrontierPoint[];
  /** Whether no further trade of a quarter of an hour is left to be looked for. */
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

/** Hours are traded in steps of so many minutes. */
export const STEP_MINUTES = 15;
/** How far a plan of the frontier may be from the cheapest of its hours, as a share. */
const GAP = 0.005;

const minutesOf = ({ figures }: FrontierPoint): number => figures.handsMicro / MICRO;

/**
 * The sensible trades of money against hours: plans that no other beats in cash to go and in hours, at a look value no less
 * than asked. The ends come first, then always the middle of the widest gap between two neighbors, so that what is known
 * at any time is the whole in coarser steps.
 * @param look the least look value; null where none is asked
 * @param from a choice to begin the search from
 * @returns no points where the musts cannot be filled, or the look is beyond every plan
 */
export function frontier(program: BalanceProgram, look: number | null, from: Choice, run: FrontierRun): FrontierTold {
  const linear = linearProgram(program, false);
  const search = new FrontierSearch(program, linear, look, run);
  const cheapest = search.least(null, from);
  if (!cheapest) return { points: [], isWhole: true };
  const quickest = search.quickest(cheapest.choice);
  let points = efficient([cheapest, ...(quickest ? [quickest] : [])]);
  // Limits of hours from which on down to the plan's own the same plan is the answer.
  const known = new Map<FrontierPoint, number>();
  let found = points.length;
  const told = (): FrontierTold => ({ points, isWhole: widestGap(points, known) === null });
  if (!run.report(told())) return told();
  while (found < run.most) {
    const gap = widestGap(points, known);
    if (!gap) break;
    const point = search.least(gap.limit, gap.below.choice);
    found += 1;
    const isNew =
      point !== null && minutesOf(point) > minutesOf(gap.below) + 1e-6 && point.figures.cash < gap.below.figures.cash;
    if (isNew) {
      points = efficient([...points, point]);
      known.set(point, gap.limit);
    } else known.set(gap.below, gap.limit);
    if (!run.report(told())) break;
  }
  return told();
}

class FrontierSearch {
  private readonly program: BalanceProgram;
  private readonly linear: LinearProgram;
  private readonly look: number | null;
  private readonly run: FrontierRun;

  constructor(program: BalanceProgram, linear: LinearProgram, look: number | null, run: FrontierRun) {
    this.program = program;
    this.linear = linear;
    this.look = look;
    this.run = run;
  }

  /** The cheapest plan within so many minutes, of those the quickest; null where there is none. */
  least(minutes: number | null, start: Choice): FrontierPoint | null {
    const limits: Limits = { cash: null, minutes, look: this.look };
    const first = this.solve('leastCash', limits, start);
    return first && (this.solve('leastHours', { ...limits, cash: first.figures.cash }, first.choice) ?? first);
  }

  /** The quickest plan, of those the cheapest. */
  quickest(start: Choice): FrontierPoint | null {
    const limits: Limits = { cash: null, minutes: null, look: this.look };
    const first = this.solve('leastHours', limits, start);
    const within = first && { ...limits, minutes: Math.ceil((first.figures.handsMicro / MICRO) * 100) / 100 };
    return first && within && (this.solve('leastCash', within, first.choice) ?? first);
  }

  private solve(goal: 'leastCash' | 'leastHours', limits: Limits, start: Choice): FrontierPoint | null {
    const { program, linear } = this;
    const quick = quickChoice(program, { goal, limits }, start, QUICK);
    const keeps = isPossible(program, quick) && keepsLimits(figuresOf(program, quick), limits);
    const found = withinLimits(program, linear, limits, (rows) =>
      this.run.solver({
        model: { columns: linear.columns, rows: [...linear.rows, ...rows], goal: goalSum(linear, goal, 0) },
        start: linear.startOf(keeps ? quick : start),
        absoluteGap: goal === 'leastCash' ? 0.9 : 0.5,
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

/** Only plans that no other beats, from the least cash to the least hours. */
export function efficient(points: readonly FrontierPoint[]): FrontierPoint[] {
  const sorted = [...points].sort((a, b) => a.figures.cash - b.figures.cash || minutesOf(a) - minutesOf(b));
  const kept: FrontierPoint[] = [];
  for (const point of sorted) {
    const last = kept.at(-1);
    if (!last || minutesOf(point) < minutesOf(last) - 1e-6) kept.push(point);
  }
  return kept;
}

/** The widest stretch of hours between two neighbors in which a further plan may lie, and the limit in its middle. */
function widestGap(
  points: readonly FrontierPoint[],
  known: ReadonlyMap<FrontierPoint, number>,
): { limit: number; below: FrontierPoint } | null {
  let widest: { limit: number; below: FrontierPoint; steps: number } | null = null;
  points.forEach((below, n) => {
    const above = points[n - 1];
    if (!above) return;
    // Up to the limit that was asked for the answer is the plan itself.
    const low = Math.floor(Math.max(minutesOf(below), known.get(below) ?? 0) / STEP_MINUTES) + 1;
    const high = Math.ceil(minutesOf(above) / STEP_MINUTES - 1e-6) - 1;
    const steps = high - low + 1;
    if (steps > 0 && (!widest || steps > widest.steps))
      widest = { below, steps, limit: Math.floor((low + high) / 2) * STEP_MINUTES };
  });
  return widest;
}
