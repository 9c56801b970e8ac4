import { Memo } from '../kernel/memo';
import type { Plan } from '../plan/computePlan';
import type { BalanceAsk } from './ask';
import { type BalanceAnswer, type BalanceRun, balance } from './balance';
import { checkChoice, type WrongAnswer } from './checkChoice';
import { presentChoice } from './choice';
import { type BalanceProgram, balanceProgram } from './program';

/** An answer that passed its check, with the plan that it makes. */
export type BalancedPlan =
  | (Extract<BalanceAnswer, { kind: 'found' }> & {
      program: BalanceProgram;
      after: Plan;
      /** What the joint layout of parts to cut comes to beyond the least that was reckoned with, minor units. */
      cutsAdd: number;
    })
  | (Exclude<BalanceAnswer, { kind: 'found' }> & { program: BalanceProgram })
  /** An answer that its check refused: a fault of ours, told and not shown. */
  | { kind: 'wrong'; wrong: readonly WrongAnswer[]; program: BalanceProgram };

/** How often the limit of money is drawn tighter by what the layouts come to. */
const MOST_LAYOUTS = 8;

/**
 * Balances a plan: the best choice for what is asked, checked by the plan that it makes. Parts to cut stand in the search
 * by the least that they can take; where their joint layout comes to more than the money allows, the search is repeated
 * with as much less.
 */
export function balancePlan(plan: Plan, ask: BalanceAsk, run: Omit<BalanceRun, 'from'>): BalancedPlan {
  const program = balanceProgram(plan, ask);
  const from = presentChoice(program);
  const memo = new Memo();
  let limits = ask.limits;
  for (let round = 1; ; round += 1) {
    const answer = balance(program, { ...ask, limits }, { ...run, from });
    if (answer.kind !== 'found') return { ...answer, program };
    const { after, wrong } = checkChoice(program, answer.choice, ask.limits, memo);
    const over = wrong.find(({ what }) => what === 'cash');
    const cutsAdd = Math.max(0, after.sums.cash.likely - answer.figures.cash);
    if (wrong.length === 0) return { ...answer, program, after, cutsAdd };
    const isOnlyCuts = over !== undefined && wrong.length === 1 && cutsAdd > 0;
    if (!isOnlyCuts || limits.cash === null) return { kind: 'wrong', wrong, program };
    if (round === MOST_LAYOUTS)
      return {
        kind: 'noAnswer',
        reason: 'in every plan that was tried, what is cut came to more than the money allows once it was laid out',
        program,
      };
    limits = { ...limits, cash: limits.cash - cutsAdd };
  }
}
