import { type Amount, subtractAmounts } from '../kernel/amount';
import { worstSeverity } from '../kernel/finding';
import type { Minutes } from '../kernel/minutes';
import type { OptionRow } from '../model/rows';
import type { ReadyDates } from '../recipe/readyDates';
import { type Added, addedBy, alone, type RestOfPlan } from './added';
import type { OptionModel } from './model/optionModel';
import type { OptionDates } from './optionDates';
import type { OptionFinding } from './optionSentences';

/** The figures of one option that need no other option of its slot. Money in minor units, time in minutes. */
export interface OptionFigures {
  option: OptionRow;
  slotId: string;
  model: OptionModel;
  chosen: boolean;
  /** How many of the slot's quantity it covers: its fill's count, else as many as it can. */
  count: number;
  capacity: number;
  /** What it adds to the rest of the plan, and what it comes to alone; the figures below are sums of their lines. */
  added: Added;
  alone: Added;
  cashAdded: Amount;
  cashAlone: Amount;
  switching: Amount;
  stashUsed: number;
  hoursAdded: Minutes;
  hoursAlone: Minutes;
  /** When it can stand in place with care, and when it is usable as it is used; epoch ms. */
  standsMs: number;
  usableMs: number;
  /** Days until the last of its offers arrives. */
  leadDays: number;
  ready: ReadyDates | null;
  findings: readonly OptionFinding[];
  /** A refused option cannot be chosen. */
  refused: boolean;
}

/** The cost of an option in the plan, minor units: cash added and stash used, both likely. */
export function costOf(option: Pick<OptionFigures, 'cashAdded' | 'stashUsed'>): number {
  return option.cashAdded.likely + option.stashUsed;
}

/**
 * Computes them.
 * @param of.presentCash what the slot's present choice adds; an option is switched to from there
 */
export function optionFigures(of: {
  model: OptionModel;
  chosenCount: number | null;
  count: number;
  rest: RestOfPlan;
  presentCash: Amount;
  dates: OptionDates;
  findings: readonly OptionFinding[];
}): OptionFigures {
  const { model, count, rest, dates, findings } = of;
  const added = addedBy(rest, [{ model, count }]);
  const byItself = addedBy(alone(rest), [{ model, count }]);
  return {
    option: model.option,
    slotId: model.slot.id,
    model,
    chosen: of.chosenCount !== null,
    count,
    capacity: model.capacity,
    added,
    alone: byItself,
    cashAdded: added.cash,
    cashAlone: byItself.cash,
    switching: subtractAmounts(added.cash, of.presentCash),
    stashUsed: added.stash,
    hoursAdded: added.minutes,
    hoursAlone: byItself.minutes,
    standsMs: dates.standsMs,
    usableMs: dates.usableMs,
    leadDays: dates.leadDays,
    ready: dates.ready,
    findings,
    refused: worstSeverity(findings) === 'refuse',
  };
}
