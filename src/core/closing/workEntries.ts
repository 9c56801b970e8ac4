import { fromMicro } from '../kernel/micro';
import type { LogEntryRow, StepRunRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { workedMinutes } from '../plan/computePlan';
import { ownHandsOf } from '../plan/model/optionModel';
import type { FillShares } from './moneyEntries';

/** Hands-on minutes of one kind: done, and still to do. */
export interface WorkEntry {
  /** The spot whose work it is, where it is no slot's. */
  spotId: string | null;
  done: number;
  toGo: number;
  /** How much each of the chosen fills has of it, in their order; all nothing where it serves none of them. */
  weights: readonly number[];
}

/** What a step that was done took, with its line of the log where it has one. */
export interface WorkDone {
  run: StepRunRow;
  entry: LogEntryRow | null;
  minutes: number;
}

/** The steps that were done, with what they took; the order of the rows. */
export function workDone(plan: Plan): WorkDone[] {
  const { stepRuns, logEntries } = plan.rows;
  const entries = new Map(logEntries.map((entry) => [entry.id, entry]));
  const lines = new Map(logEntries.map((entry) => [entry.id, entry.minutes]));
  return stepRuns
    .filter(({ state }) => state === 'done')
    .map((run) => ({ run, entry: entries.get(run.logId ?? '') ?? null, minutes: workedMinutes(run, lines) }));
}

/**
 * All work of a project: what was done, step by step; what recipes that are done took and nobody logged; what is still to
 * do. Σ done and Σ to go are the hands of the purse.
 */
export function workEntries(plan: Plan, shares: FillShares): WorkEntry[] {
  const { model, sums, purse } = plan;
  const { fills } = shares;
  const none = fills.map(() => 0);
  const untouched = fills.map(({ model: of, count }) => fromMicro(ownHandsOf(model.asIfUntouched(of), count).likely));
  // Work on a recipe serves the fills that it is for; one that asks for no hands of its own shares evenly.
  const ofRecipe = (recipeId: string) =>
    evenWhereNothing(
      fills.map(({ model: of }, n) => (of.option.recipeId === recipeId ? (untouched[n] ?? 0) : 0)),
      fills.map(({ model: of }) => of.option.recipeId === recipeId),
    );
  const done = workDone(plan).map(({ run, minutes }): WorkEntry => {
    const weights =
      run.recipeId !== null
        ? ofRecipe(run.recipeId)
        : fills.map(({ model: of }) => (run.optionId !== null && of.option.id === run.optionId ? 1 : 0));
    return { spotId: run.spotId, done: minutes, toGo: 0, weights };
  });
  const logged = done.reduce((sum, entry) => sum + entry.done, 0);
  const unlogged = Math.max(0, purse.hands.doneMinutes - logged);
  if (unlogged > 0)
    done.push({
      spotId: null,
      done: unlogged,
      toGo: 0,
      weights: evenWhereNothing(
        fills.map((fill) =>
          fill.model.isDone ? fromMicro(ownHandsOf(model.asIfOpen(fill.model), fill.count).likely) : 0,
        ),
        fills.map((fill) => fill.model.isDone),
      ),
    });
  const own = fills.map((fill, n): WorkEntry => {
    const toGo = fromMicro(ownHandsOf(fill.model, fill.count).likely);
    return { spotId: null, done: 0, toGo, weights: none.map((_, at) => Number(at === n)) };
  });
  const pooled = sums.lines.flatMap(({ draw, cost }): WorkEntry[] =>
    cost.handsMicro === 0
      ? []
      : [{ spotId: null, done: 0, toGo: fromMicro(cost.handsMicro), weights: shares.ofPool(draw.poolId) }],
  );
  return [...done, ...own, ...pooled].filter(({ done: did, toGo }) => did > 0 || toGo > 0);
}

/** The weights, or one for each that is meant where all of them weigh nothing. */
const evenWhereNothing = (weights: readonly number[], meant: readonly boolean[]): readonly number[] =>
  weights.some((weight) => weight > 0) ? weights : meant.map(Number);
