import type { Plan } from '../plan/computePlan';
import type { BalanceAsk } from './ask';
import { balancePlan } from './balancePlan';
import { type Choice, presentChoice } from './choice';
import type { Solver } from './linearModel';
import { whenNothingFits } from './nothingFits';
import { type BalanceProgram, balanceProgram } from './program';
import {
  type ToldAnswer,
  type ToldOut,
  type ToldProgress,
  type ToldRemedy,
  toldAnswer,
  toldOut,
  toldProgress,
  toldRemedy,
} from './toldPlan';
import { whatGives } from './whatGives';

/** How often a search says how far it is, seconds. */
const TELL_SECONDS = 0.15;
/** What is left of the time for ways out, where nothing fits, each, seconds. */
const SECONDS_FOR_WAYS_OUT = 5;

/** What is known without a search: what helps by itself, and the ways that stay out. */
export interface KnownBefore {
  remedies: ToldRemedy[];
  out: ToldOut[];
}

/** What helps a plan by itself, and the ways that stay out; nothing is searched. */
export const knownBefore = (program: BalanceProgram, ask: BalanceAsk): KnownBefore => ({
  remedies: whatGives(program, presentChoice(program), ask).map(toldRemedy),
  out: toldOut(program),
});

/** With what a search is made: the solver, the most that it may take, a clock, and who is told how it goes. */
export interface SearchWith {
  solver: Solver;
  seconds: number;
  /** Seconds on a clock that only goes forward. */
  clockSeconds(): number;
  /** Is told how the search goes on, and the best plan so far. */
  tell(told: ToldProgress): void;
}

/**
 * Searches for the best plan, and where none fits for what would have to give: the same in the page and on the server.
 * What it answers has passed its check, or says that it did not.
 */
export function searchBalance(plan: Plan, ask: BalanceAsk, using: SearchWith): ToldAnswer {
  const { solver, clockSeconds, tell } = using;
  const program = balanceProgram(plan, ask);
  const within = (seconds: number) => {
    const began = clockSeconds();
    return { solver, seconds, elapsed: () => clockSeconds() - began };
  };
  let toldAt = Number.NEGATIVE_INFINITY;
  let toldLast: Choice | null = null;
  const balanced = balancePlan(plan, ask, {
    ...within(using.seconds),
    report: (told) => {
      if (clockSeconds() - toldAt >= TELL_SECONDS) {
        toldAt = clockSeconds();
        tell(toldProgress(program, told, toldLast));
        toldLast = told.choice;
      }
      return true;
    },
  });
  const waysOut =
    balanced.kind === 'nothingFits'
      ? whenNothingFits(plan, ask, { ...within(SECONDS_FOR_WAYS_OUT), report: () => true })
      : [];
  return toldAnswer(balanced, waysOut);
}
