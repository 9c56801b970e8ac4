import type { Explained } from '../../kernel/explained';
import type { OptionPlan, Plan } from '../computePlan';
import { explainCashAdded, explainCashAlone } from './explainCash';
import { explainHourEarns } from './explainHourEarns';
import { explainHoursAdded, explainHoursAlone } from './explainHours';
import { explainStash } from './explainStash';
import { explainSwitching } from './explainSwitching';
import { explainUsableOn } from './explainUsableOn';
import { explainUsedUp } from './explainUsedUp';
import { explainWorthUpTo } from './explainWorthUpTo';

type Explanation = (plan: Plan, option: OptionPlan) => Explained;

/** The figures of an option that a person may ask about, in the order in which they are offered, and who answers. */
const explanations = {
  cashAdded: { label: 'Cash added', explain: explainCashAdded },
  stashUsed: { label: 'Stash used', explain: explainStash },
  hoursAdded: { label: 'Hours', explain: explainHoursAdded },
  usableOn: { label: 'Usable on', explain: explainUsableOn },
  hourEarns: { label: 'Hour earns', explain: explainHourEarns },
  worthUpTo: { label: 'Worth up to', explain: explainWorthUpTo },
  cashAlone: { label: 'Cash alone', explain: explainCashAlone },
  hoursAlone: { label: 'Hours alone', explain: explainHoursAlone },
  switching: { label: 'Switching', explain: explainSwitching },
  usedUp: { label: 'Used up', explain: explainUsedUp },
} satisfies Record<string, { label: string; explain: Explanation }>;

export type OptionFigure = keyof typeof explanations;

/** Every figure with its label, as menus show them. */
export const optionFigureLabels = Object.entries(explanations).map(
  ([figure, { label }]) => [figure as OptionFigure, label] as const,
);

/** Explains one figure of an option: the terms that it was summed from, each with where it comes from. */
export function explainOption(plan: Plan, option: OptionPlan, figure: OptionFigure): Explained {
  return explanations[figure].explain(plan, option);
}
