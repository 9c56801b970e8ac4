import { type Explained, explain, explainMoney, explainMoneySum } from '../../kernel/explained';
import { calculated } from '../../kernel/source';
import type { OptionPlan, Plan } from '../computePlan';

/** Why switching to an option costs so much: what it adds, less what the present choice adds. */
export function explainSwitching(_plan: Plan, option: OptionPlan): Explained {
  return explainMoneySum(
    'Switching to it',
    option.switching,
    [
      explainMoney('Cash added by this option', option.cashAdded, { source: calculated }),
      explain('Cash added by the present choice', option.switching.likely - option.cashAdded.likely, 'money', {
        source: calculated,
      }),
    ],
    { source: calculated, note: option.chosen ? 'it is the present choice' : 'against what is chosen now' },
  );
}
