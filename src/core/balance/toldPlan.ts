import type { Plan } from '../plan/computePlan';
import type { Goal } from './ask';
import type { BalanceTold } from './balance';
import type { BalancedPlan } from './balancePlan';
import { basketSavings } from './basketSavings';
import { changesBetween, type Filled, type SlotChange } from './changes';
import { type Choice, type ChoiceFigures, presentChoice } from './choice';
import { drawPlan, type PlanDraws } from './draws';
import type { FrontierTold } from './frontier';
import type { WayOutOfIt } from './nothingFits';
import type { BalanceProgram } from './program';
import type { WhyOut } from './ways';
import type { Remedy } from './whatGives';

// What Balance answers, as it is passed on from a worker or a server: ids and numbers, nothing of the plan itself.

/** An option by its id, and for how many of its slot. */
export interface ToldFill {
  optionId: string;
  count: number;
}

/** A slot that is filled in another way. */
export interface ToldChange extends Omit<SlotChange, 'slot' | 'from' | 'to'> {
  slotId: string;
  from: ToldFill[];
  to: ToldFill[];
}

/** A plan that can be taken: what changes, and what all comes to then. */
export interface ToldPlan {
  changes: ToldChange[];
  figures: ChoiceFigures;
}

/** Changes that help, by themselves. */
export interface ToldRemedy {
  changes: ToldChange[];
  difference: ChoiceFigures;
  closes: boolean;
}

/** One way out where nothing fits. */
export interface ToldWayOut extends ToldPlan, Pick<WayOutOfIt, 'kind' | 'by' | 'minutes' | 'revealDate'> {}

/** What Balance has come to: first what helps by itself, then the best plan, or why there is none. */
export type ToldAnswer =
  | ({
      kind: 'found';
      open: { goal: Goal; canGain: number } | null;
      cutsAdd: number;
      /** How much the purse would be over if every price came out at its high end, minor units; 0 where it would not. */
      overAtWorst: number;
      /** What more comes off where its things are bought together, minor units; the purse does not count it. */
      offTogetherMinor: number;
      /** How sure the plan would be. */
      sure: PlanDraws;
    } & ToldPlan)
  | { kind: 'nothingFits'; waysOut: ToldWayOut[] }
  | { kind: 'noAnswer'; reason: string }
  | { kind: 'wrong'; what: string[] };

/** A plan of the frontier: what it changes in the present plan, and what it does otherwise than its neighbor of less cash. */
export interface ToldPoint extends ToldPlan {
  fromNeighbor: ToldChange[];
}

/** The frontier as far as it is known, from the least cash to the least hours. */
export interface ToldFrontier {
  points: ToldPoint[];
  isWhole: boolean;
  /** Whether parts to cut count by the least they can take. */
  hasCuts: boolean;
}

/** How a search goes on; the plan is told once, and left out while it is the same. */
export interface ToldProgress extends Pick<BalanceTold, 'goal' | 'canGain'> {
  plan?: ToldPlan;
}

const fillOf = ({ model, count }: Filled): ToldFill => ({ optionId: model.option.id, count });

const changeOf = ({ slot, from, to, ...rest }: SlotChange): ToldChange => ({
  ...rest,
  slotId: slot.id,
  from: from.map(fillOf),
  to: to.map(fillOf),
});

/** The frontier as it is passed on. */
export function toldFrontier(program: BalanceProgram, { points, isWhole }: FrontierTold): ToldFrontier {
  return {
    isWhole,
    hasCuts: program.hasCuts,
    points: points.map(({ choice, figures }, n): ToldPoint => {
      const neighbor = points[n - 1];
      return {
        ...toldPlan(program, choice, figures),
        fromNeighbor: neighbor ? changesBetween(program, neighbor.choice, choice).map(changeOf) : [],
      };
    }),
  };
}

/** What a choice changes in the present plan, and what it comes to. */
export function toldPlan(program: BalanceProgram, choice: Choice, figures: ChoiceFigures): ToldPlan {
  return { changes: changesBetween(program, presentChoice(program), choice).map(changeOf), figures };
}

/**
 * What a search has come to so far.
 * @param known the choice that was told last
 */
export const toldProgress = (program: BalanceProgram, told: BalanceTold, known: Choice | null): ToldProgress => ({
  goal: told.goal,
  canGain: told.canGain,
  ...(told.choice && told.figures && told.choice !== known
    ? { plan: toldPlan(program, told.choice, told.figures) }
    : {}),
});

/** A remedy as it is passed on. */
export const toldRemedy = ({ changes, difference, closes }: Remedy): ToldRemedy => ({
  changes: changes.map(changeOf),
  difference,
  closes,
});

/** An answer as it is passed on. */
export function toldAnswer(balanced: BalancedPlan, waysOut: readonly WayOutOfIt[]): ToldAnswer {
  switch (balanced.kind) {
    case 'found': {
      const { program, choice, figures, open, cutsAdd, after } = balanced;
      const overAtWorst = Math.max(0, -after.purse.money.free.low);
      const laidOut = { ...figures, cash: figures.cash + cutsAdd };
      return {
        kind: 'found',
        open,
        cutsAdd,
        overAtWorst,
        offTogetherMinor: basketSavings(after).reduce((sum, { savedMinor }) => sum + savedMinor, 0),
        sure: drawPlan(after),
        ...toldPlan(program, choice, laidOut),
      };
    }
    case 'nothingFits':
      return {
        kind: 'nothingFits',
        waysOut: waysOut.map(({ kind, by, minutes, revealDate, program, choice, figures }) => ({
          kind,
          by,
          minutes,
          revealDate,
          ...toldPlan(program, choice, figures),
        })),
      };
    case 'noAnswer':
      return { kind: 'noAnswer', reason: balanced.reason };
    case 'wrong':
      return { kind: 'wrong', what: balanced.wrong.map(({ what }) => what) };
    default:
      return balanced satisfies never;
  }
}

/** The slots of a plan that is taken, as the act wants them; what is neither filled nor a must is left out. */
export function takenSlots(
  plan: Plan,
  changes: readonly Pick<ToldChange, 'slotId' | 'to'>[],
  newId: () => string,
): { slotId: string; fills: { fillId: string; optionId: string; count: number }[]; leftOut: boolean }[] {
  return changes.map(({ slotId, to }) => ({
    slotId,
    fills: to.map(({ optionId, count }) => ({ fillId: newId(), optionId, count })),
    leftOut: to.length === 0 && plan.slot(slotId)?.slot.importance !== 'must',
  }));
}

/** Ways that stay out, as they are passed on. */
export interface ToldOut {
  optionId: string;
  slotId: string;
  why: WhyOut;
}

/** The ways of a program that stay out, and why. */
export const toldOut = ({ out }: BalanceProgram): ToldOut[] =>
  out.map(({ option, why }) => ({ optionId: option.option.id, slotId: option.slotId, why }));
