import { multiplyDivideRound, PERCENT_SCALE, splitAmount } from '../kernel/money';
import type { ProjectRows, SlotRow } from '../model/rows';
import { importanceWeight } from './importanceWeight';
import { starOf } from './starOf';

/** What a slot may cost, minor units, and whether the stylist set it. */
export interface BudgetShare {
  slotId: string;
  amount: number;
  own: boolean;
}

/**
 * The budget spread over the slots: what is kept back and the declared splurge are taken out first; slots with a share
 * of their own get that share of the rest; what remains goes to the others by importance × quantity. Left-out and
 * starred slots need no money, nor do those that the house fills. The shares add up to what there is to spread, to the minor unit, unless the stylist's
 * own shares alone exceed it: then the others get nothing.
 */
export function budgetShares(
  rows: Pick<ProjectRows, 'project' | 'slots' | 'fills' | 'options' | 'finds'>,
): BudgetShare[] {
  const { project } = rows;
  const slots = rows.slots.filter((slot) => !slot.leftOut && starOf(rows, slot) === null);
  const keptBack = multiplyDivideRound(
    project.budget,
    project.contingencyThousandths,
    PERCENT_SCALE + project.contingencyThousandths,
  );
  const toSpread = Math.max(0, project.budget - keptBack - (project.brief.splurge?.amount ?? 0));
  const own = slots.filter((slot) => slot.shareThousandths !== null);
  const ownAmount = (slot: SlotRow) => multiplyDivideRound(toSpread, slot.shareThousandths ?? 0, PERCENT_SCALE);
  const others = slots.filter((slot) => slot.shareThousandths === null);
  const rest = Math.max(0, toSpread - own.reduce((sum, slot) => sum + ownAmount(slot), 0));
  const parts =
    others.length === 0
      ? []
      : splitAmount(
          rest,
          others.map((slot) => importanceWeight[slot.importance] * slot.quantity),
        );
  return [
    ...own.map((slot) => ({ slotId: slot.id, amount: ownAmount(slot), own: true })),
    ...others.map((slot, n) => ({ slotId: slot.id, amount: parts[n] ?? 0, own: false })),
  ];
}
