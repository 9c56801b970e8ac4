import type { BalanceAsk } from '@core/balance/ask';
import { balancePlan } from '@core/balance/balancePlan';
import { type CheaperPlaces, cheapestPlaces } from '@core/balance/cheapestPlaces';
import { type Choice, presentChoice } from '@core/balance/choice';
import { drawPlan, type PlanDraws } from '@core/balance/draws';
import { type FrontierAsk, frontier } from '@core/balance/frontier';
import { highsSolver } from '@core/balance/highsSolver';
import type { Solver } from '@core/balance/linearModel';
import { whenNothingFits } from '@core/balance/nothingFits';
import { type BalanceProgram, balanceProgram } from '@core/balance/program';
import { shoppingList } from '@core/balance/shoppingList';
import {
  type ToldAnswer,
  type ToldFrontier,
  type ToldOut,
  type ToldProgress,
  type ToldRemedy,
  toldAnswer,
  toldFrontier,
  toldOut,
  toldProgress,
  toldRemedy,
} from '@core/balance/toldPlan';
import { whatGives } from '@core/balance/whatGives';
import { type WorthMeasuring, worthMeasuring } from '@core/balance/worthMeasuring';
import { Memo } from '@core/kernel/memo';
import type { ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { cutInFull } from '@core/plan/model/cutPurchase';
import { type StandIn, standInsFor } from '@core/proposals/standIns';
import { expose } from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';

/** How often a search says how far it is, ms. */
const TELL_MS = 150;
/** What is left of the time for ways out, where nothing fits, each. */
const SECONDS_FOR_WAYS_OUT = 5;

const memo = new Memo();
let loading: Promise<Solver> | null = null;

/** The solver, loaded when it is first asked; one that did not come is asked for again. */
function theSolver(): Promise<Solver> {
  loading ??= highsLoader({ locateFile: () => wasmUrl }).then(highsSolver);
  loading.catch(() => {
    loading = null;
  });
  return loading;
}

/** What is known before the search: what helps by itself, and the ways that stay out. */
export interface ToldFirst {
  remedies: ToldRemedy[];
  out: ToldOut[];
  /** How sure the plan now is; told a moment later than the rest. */
  sure: PlanDraws | null;
}

/** What helps a plan by itself, and the ways that stay out; nothing is searched. */
function first(rows: ProjectRows, asOfMs: number, ask: BalanceAsk): ToldFirst {
  const program = balanceProgram(new Plan(rows, asOfMs, memo, cutInFull), ask);
  return firstOf(program, ask);
}

const firstOf = (program: BalanceProgram, ask: BalanceAsk): ToldFirst => ({
  remedies: whatGives(program, presentChoice(program), ask).map(toldRemedy),
  out: toldOut(program),
  sure: null,
});

/**
 * Balances a project.
 * @param tellFirst is told what helps by itself, before anything is searched
 * @param tell is told how the search goes, and the best plan so far
 */
async function balance(
  rows: ProjectRows,
  asOfMs: number,
  ask: BalanceAsk,
  seconds: number,
  tellFirst: (told: ToldFirst) => void,
  tell: (told: ToldProgress) => void,
): Promise<ToldAnswer> {
  const plan = new Plan(rows, asOfMs, memo, cutInFull);
  const program = balanceProgram(plan, ask);
  const known = firstOf(program, ask);
  tellFirst(known);
  tellFirst({ ...known, sure: drawPlan(plan) });
  const solver = await theSolver();
  const run = (of: number, report: (told: Parameters<typeof toldProgress>[1]) => void) => {
    const began = performance.now();
    const elapsed = () => (performance.now() - began) / 1000;
    return {
      solver,
      seconds: of,
      elapsed,
      report: (told: Parameters<typeof toldProgress>[1]) => {
        report(told);
        return true;
      },
    };
  };
  let last = 0;
  let toldLast: Choice | null = null;
  const balanced = balancePlan(
    plan,
    ask,
    run(seconds, (told) => {
      if (performance.now() - last < TELL_MS) return;
      last = performance.now();
      tell(toldProgress(program, told, toldLast));
      toldLast = told.choice;
    }),
  );
  const waysOut =
    balanced.kind === 'nothingFits'
      ? whenNothingFits(
          plan,
          ask,
          run(SECONDS_FOR_WAYS_OUT, () => undefined),
        )
      : [];
  return toldAnswer(balanced, waysOut);
}

/** How many plans of the frontier are looked for, and how long each may take, seconds. */
const MOST_POINTS = 14;
const SECONDS_A_POINT = 6;

/** Every sensible trade of money against hours, or against the look, told as plans are found. */
async function trades(
  rows: ProjectRows,
  asOfMs: number,
  ask: BalanceAsk,
  of: FrontierAsk,
  tell: (told: ToldFrontier) => void,
): Promise<ToldFrontier> {
  const program = balanceProgram(new Plan(rows, asOfMs, memo, cutInFull), ask);
  const solver = await theSolver();
  const told = frontier(program, of, presentChoice(program), {
    solver,
    most: MOST_POINTS,
    seconds: SECONDS_A_POINT,
    report: (known) => {
      tell(toldFrontier(program, known));
      return true;
    },
  });
  return toldFrontier(program, told);
}

/** The estimates that could change a choice, the dearest first. */
function worth(rows: ProjectRows, asOfMs: number): WorthMeasuring[] {
  return worthMeasuring(new Plan(rows, asOfMs, memo, cutInFull));
}

/** What would make the shopping list cheaper, and what could be bought in the place of its coatings. */
export interface ToldShopping {
  cheaper: CheaperPlaces | null;
  /** By the key of the supply. */
  standIns: Record<string, StandIn[]>;
}

/** Looks through the shopping list: where else, and what else, could be bought. */
function shopping(rows: ProjectRows, asOfMs: number): ToldShopping {
  const plan = new Plan(rows, asOfMs, memo, cutInFull);
  const keys = shoppingList(plan).flatMap(({ lines }) =>
    lines.flatMap(({ bought }) => (bought.kind === 'supply' ? [bought.key] : [])),
  );
  return {
    cheaper: cheapestPlaces(plan, memo),
    standIns: Object.fromEntries(
      [...new Set(keys)].map((key) => [key, standInsFor(plan, key, () => crypto.randomUUID(), memo)]),
    ),
  };
}

const work = { balance, first, trades, worth, shopping };
export type BalanceWork = typeof work;
expose(work);
