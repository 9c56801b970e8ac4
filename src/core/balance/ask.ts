import { MICRO } from '../kernel/micro';
import { percentOf } from '../kernel/money';
import type { ProjectRow, ProjectRows } from '../model/rows';
import type { Purse } from '../plan/purse';
import type { ChoiceFigures } from './choice';
import type { ProgramAsk } from './program';

/** What is best of all that keeps the limits; each breaks the ties of the one before it. */
export const goals = ['bestLook', 'leastCash', 'leastHours', 'leastCost'] as const;
export type Goal = (typeof goals)[number];

/** A goal with the others after it, in the order in which they break its ties. */
export const goalsInOrder = (first: Goal): Goal[] => [first, ...goals.filter((goal) => goal !== first)];

/** The limits that a plan must keep; null where there is none. */
export interface Limits {
  /** Cash to go, minor units. */
  cash: number | null;
  /** Hands-on time, minutes. */
  minutes: number | null;
  /** Look value that it must have at the least. */
  look: number | null;
}

/** What is asked of Balance. */
export interface BalanceAsk extends ProgramAsk {
  goal: Goal;
  limits: Limits;
}

/** Look values closer than this are one: they are sums of shares. */
export const SAME_LOOK = 1e-6;

/**
 * The most that may be left to pay so that the purse still closes: the largest C with C + what is kept back of it at most
 * the budget less what is spent and promised.
 * @returns minor units, below zero where more is spent than there is
 * @example $110 left, 10 % kept back: $100
 */
export function mostCashToGo(
  { budget, contingencyThousandths }: Pick<ProjectRow, 'budget' | 'contingencyThousandths'>,
  { money }: Pick<Purse, 'money'>,
): number {
  const left = budget - money.spent - money.promised;
  if (left <= 0) return left;
  const fits = (cash: number) => cash + percentOf(cash, contingencyThousandths) <= left;
  let [low, high] = [0, left];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (fits(middle)) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The most minutes that may be left to do: those on hand less those done; null where nobody said how many. */
export const mostMinutesToGo = ({ hands }: Pick<Purse, 'hands'>): number | null =>
  hands.onHandMinutes === null ? null : hands.onHandMinutes - hands.doneMinutes;

/** What is asked where nobody asks for anything else: the best look within the purse, what is kept left alone. */
export function askOfBrief(rows: Pick<ProjectRows, 'project' | 'slots'>, purse: Purse): BalanceAsk {
  return {
    goal: 'bestLook',
    limits: { cash: mostCashToGo(rows.project, purse), minutes: mostMinutesToGo(purse), look: null },
    lockedSlotIds: new Set(rows.slots.flatMap(({ id, locked }) => (locked ? [id] : []))),
    leastLiking: 1,
  };
}

/** What a plan costs where its time is priced: cash to go, stash used and hours at what one is worth; minor units. */
export const costOfFigures = ({ cash, stashMicro, handsMicro }: ChoiceFigures, hourValue: number): number =>
  cash + (stashMicro + (handsMicro / 60) * hourValue) / MICRO;

/** A goal's figure of a choice, the smaller the better. */
export function goalFigure(goal: Goal, figures: ChoiceFigures, hourValue: number): number {
  switch (goal) {
    case 'bestLook':
      return -figures.look;
    case 'leastCash':
      return figures.cash;
    case 'leastHours':
      return figures.handsMicro / MICRO;
    case 'leastCost':
      return costOfFigures(figures, hourValue);
    default:
      return goal satisfies never;
  }
}

/** How far figures are beyond the limits: minor units, minutes and look value; all zero where they keep them. */
export function beyondLimits({ cash, handsMicro, look }: ChoiceFigures, limits: Limits) {
  return {
    cash: Math.max(0, cash - (limits.cash ?? Number.POSITIVE_INFINITY)),
    minutes: Math.max(0, handsMicro / MICRO - (limits.minutes ?? Number.POSITIVE_INFINITY)),
    look: Math.max(0, (limits.look ?? Number.NEGATIVE_INFINITY) - SAME_LOOK - look),
  };
}

/** Whether figures keep the limits. */
export function keepsLimits(figures: ChoiceFigures, limits: Limits): boolean {
  const beyond = beyondLimits(figures, limits);
  return beyond.cash === 0 && beyond.minutes === 0 && beyond.look === 0;
}
