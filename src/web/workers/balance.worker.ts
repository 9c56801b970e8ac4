import type { BalanceAsk } from '@core/balance/ask';
import { type CheaperPlaces, cheapestPlaces } from '@core/balance/cheapestPlaces';
import { presentChoice } from '@core/balance/choice';
import { drawPlan, type PlanDraws } from '@core/balance/draws';
import { type FrontierAsk, frontier } from '@core/balance/frontier';
import { highsSolver } from '@core/balance/highsSolver';
import type { Solver } from '@core/balance/linearModel';
import { balanceProgram } from '@core/balance/program';
import { type KnownBefore, knownBefore, searchBalance } from '@core/balance/search';
import { shoppingList } from '@core/balance/shoppingList';
import { type ToldAnswer, type ToldFrontier, type ToldProgress, toldFrontier } from '@core/balance/toldPlan';
import { type WorthMeasuring, worthMeasuring } from '@core/balance/worthMeasuring';
import { Memo } from '@core/kernel/memo';
import type { ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { cutInFull } from '@core/plan/model/cutPurchase';
import { type StandIn, standInsFor } from '@core/proposals/standIns';
import { expose } from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';

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

/** What is known before the search: what helps by itself, the ways that stay out, and how sure the plan now is. */
export interface ToldFirst extends KnownBefore {
  /** Told a moment later than the rest. */
  sure: PlanDraws | null;
}

/** What helps a plan by itself, and the ways that stay out; nothing is searched. */
function first(rows: ProjectRows, asOfMs: number, ask: BalanceAsk): ToldFirst {
  const program = balanceProgram(new Plan(rows, asOfMs, memo, cutInFull), ask);
  return { ...knownBefore(program, ask), sure: null };
}

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
  const known = knownBefore(balanceProgram(plan, ask), ask);
  tellFirst({ ...known, sure: null });
  tellFirst({ ...known, sure: drawPlan(plan) });
  return searchBalance(plan, ask, {
    solver: await theSolver(),
    seconds,
    clockSeconds: () => performance.now() / 1000,
    tell,
  });
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
