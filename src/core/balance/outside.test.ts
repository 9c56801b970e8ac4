import highsLoader from 'highs';
import solverPackage from 'javascript-lp-solver';
import { beforeAll, describe, expect, it } from 'vitest';
import { balanceRows } from '../fixtures/balanceRows';
import { AS_OF, find, option, project, rows, slot, spot } from '../fixtures/projectRows';
import { MICRO } from '../kernel/micro';
import { computePlan } from '../plan/computePlan';
import type { Limits } from './ask';
import { balance, limitRows } from './balance';
import { figuresOf, isPossible, presentChoice } from './choice';
import { highsSolver } from './highsSolver';
import { GrowingSum, type LinearModel, type Solver } from './linearModel';
import { linearProgram } from './linearProgram';
import { type BalanceProgram, balanceProgram } from './program';

const everything = { lockedSlotIds: new Set<string>(), leastLiking: 1 };
const run = (solver: Solver) => ({ solver, seconds: 60, report: () => true, elapsed: () => 0 });

let solver: Solver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});

describe('published knapsacks', () => {
  // KNAPSACK_01, data for the 01 knapsack problem, instances P01 to P07 (Florida State University, from memory):
  // capacity, weights, profits, and the profit of the best set.
  it.each<[string, number, number[], number[], number]>([
    ['P01', 165, [23, 31, 29, 44, 53, 38, 63, 85, 89, 82], [92, 57, 49, 68, 60, 43, 67, 84, 87, 72], 309],
    ['P02', 26, [12, 7, 11, 8, 9], [24, 13, 23, 15, 16], 51],
    ['P03', 190, [56, 59, 80, 64, 75, 17], [50, 50, 64, 46, 50, 5], 150],
    ['P04', 50, [31, 10, 20, 19, 4, 3, 6], [70, 20, 39, 37, 7, 5, 10], 107],
    ['P05', 104, [25, 35, 45, 5, 25, 3, 2, 2], [350, 400, 450, 20, 70, 8, 5, 5], 900],
    ['P06', 170, [41, 50, 49, 59, 55, 57, 60], [442, 525, 511, 593, 546, 564, 617], 1735],
    [
      'P07',
      750,
      [70, 73, 77, 80, 82, 87, 90, 94, 98, 106, 110, 113, 115, 118, 120],
      [135, 139, 149, 150, 156, 163, 173, 184, 192, 201, 210, 214, 221, 229, 240],
      1458,
    ],
  ])('%s: money as its capacity, look as its profit', (_name, capacity, weights, profits, best) => {
    const plan = computePlan(
      rows({
        project: project({ revealDate: null }),
        spots: [spot('spot')],
        slots: weights.map((_weight, n) => slot(`slot${n}`, { number: n + 1 })),
        finds: weights.map((weight, n) => find(`find${n}`, weight)),
        options: weights.map((_weight, n) =>
          option(`option${n}`, `slot${n}`, 'asFound', { parts: [{ findId: `find${n}`, offerId: null, pieces: 1 }] }),
        ),
      }),
      AS_OF,
    );
    const compiled = balanceProgram(plan, everything);
    const program: BalanceProgram = {
      ...compiled,
      slots: compiled.slots.map((own, n) => ({
        ...own,
        ways: own.ways.map((way) => ({ ...way, lookEach: profits[n] ?? 0 })),
      })),
    };
    const limits: Limits = { cash: capacity, minutes: null, look: null };
    const answer = balance(
      program,
      { ...everything, goal: 'bestLook', limits },
      { ...run(solver), from: presentChoice(program) },
    );
    expect(answer).toMatchObject({ kind: 'found', open: null, figures: { look: best } });
  });
});

/** A model as the other package takes it; columns without an upper end keep none. */
function forOtherPackage({ columns, rows: all, goal }: LinearModel) {
  const variables: Record<string, Record<string, number>> = {};
  const constraints: Record<string, { min?: number; max?: number }> = {};
  const ints: Record<string, 1> = {};
  columns.forEach(({ lower, upper, isWhole }, n) => {
    variables[`x${n}`] = { goal: goal.terms.get(n) ?? 0, [`bound${n}`]: 1 };
    constraints[`bound${n}`] = {
      ...(lower > 0 ? { min: lower } : {}),
      ...(Number.isFinite(upper) ? { max: upper } : {}),
    };
    if (isWhole) ints[`x${n}`] = 1;
  });
  all.forEach(({ lower, upper, terms }, r) => {
    for (const [n, factor] of terms) (variables[`x${n}`] as Record<string, number>)[`row${r}`] = factor;
    constraints[`row${r}`] = {
      ...(Number.isFinite(lower) ? { min: lower } : {}),
      ...(Number.isFinite(upper) ? { max: upper } : {}),
    };
  });
  return { optimize: 'goal', opType: 'min' as const, constraints, variables, ints };
}

describe('another solver package', () => {
  it('finds the same least cash on projects of ten slots', () => {
    for (let seed = 400; seed < 406; seed += 1) {
      const plan = computePlan(balanceRows(seed, { slots: 10, ways: 3, supplies: 8, orders: 2 }), AS_OF);
      const program = balanceProgram(plan, everything);
      const present = figuresOf(program, presentChoice(program));
      const limits: Limits = { cash: null, minutes: present.handsMicro / MICRO, look: present.look };
      const linear = linearProgram(program, false);
      const model: LinearModel = {
        columns: linear.columns,
        rows: [...linear.rows, ...limitRows(linear, limits)],
        goal: new GrowingSum().addSum(linear.cash),
      };
      const theirs = solverPackage.Solve(forOtherPackage(model)) as { feasible: boolean } & Record<string, number>;
      expect(theirs.feasible).toBe(true);
      const choice = linear.choiceOf(linear.columns.map((_column, n) => theirs[`x${n}`] ?? 0));
      expect(isPossible(program, choice)).toBe(true);
      const ours = balance(
        program,
        { ...everything, goal: 'leastCash', limits },
        { ...run(solver), from: presentChoice(program) },
      );
      if (ours.kind !== 'found') throw new Error(ours.kind);
      expect(ours.figures.cash).toBe(figuresOf(program, choice).cash);
    }
  });
});
