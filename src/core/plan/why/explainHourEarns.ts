import { type Explained, explain, explainSum } from '../../kernel/explained';
import { calculated } from '../../kernel/source';
import type { OptionPlan, Plan } from '../computePlan';
import { nameOfOption } from '../nameOfOption';

const withoutComparison = {
  noYardstick: 'nothing to compare with: add what it costs new',
  isYardstick: 'this is the yardstick itself',
  unknownPrice: 'a price is unknown',
} as const;

/** A bound is said: the yardstick, or the option, costs more than is known. */
const atLeast = (comparison: { bound: 'exact' | 'least' | 'most' }): string =>
  comparison.bound === 'exact' ? '' : ', at least';

/** Why an hour on an option earns what it earns: the difference in cost, and in time, to the slot's yardstick. */
export function explainHourEarns(plan: Plan, option: OptionPlan): Explained {
  const { comparison } = option;
  if (!('deltaCost' in comparison))
    return explain('Against the yardstick', withoutComparison[comparison.kind], 'text', { source: calculated });
  const saved = explainDifference(plan, option, comparison.deltaCost);
  const time = explainSum(
    'More hands-on time',
    'minutes',
    [
      explain('This option: hands-on', option.hoursAdded.likely, 'minutes', { source: calculated }),
      explain('Yardstick: hands-on', comparison.deltaMinutes - option.hoursAdded.likely, 'minutes', {
        source: calculated,
      }),
    ],
    { source: calculated },
  );
  switch (comparison.kind) {
    case 'perHour':
      return explain(
        `${comparison.perHour >= 0 ? 'Your hour earns' : 'Your hour costs'}${atLeast(comparison)}`,
        comparison.perHour,
        'moneyPerHour',
        { source: calculated, note: 'difference in cost ÷ difference in time', because: [saved, time] },
      );
    case 'sameTime':
    case 'cheaperAndQuicker':
    case 'savesTime':
      return explain(
        `${comparison.deltaCost >= 0 ? 'Saves' : 'Costs more'}${atLeast(comparison)}`,
        Math.abs(comparison.deltaCost),
        'money',
        {
          source: calculated,
          because: [saved, time],
        },
      );
    default:
      return comparison satisfies never;
  }
}

/** The yardstick's cost less the option's. */
function explainDifference(plan: Plan, option: OptionPlan, deltaCost: number): Explained {
  const slot = plan.slots.find((candidate) => candidate.slot.id === option.slotId);
  const yardstick = slot?.options.find((candidate) => candidate.option.id === slot.yardstickId);
  return explainSum(
    deltaCost >= 0 ? 'Saved against the yardstick' : 'Dearer than the yardstick',
    'money',
    [
      explain('Yardstick: cash added and stash used', deltaCost + option.cashAdded.likely + option.stashUsed, 'money', {
        source: calculated,
        note: yardstick ? nameOfOption(yardstick.model) : '',
      }),
      explain('This option: cash added', -option.cashAdded.likely, 'money', { source: calculated }),
      explain('This option: stash used', -option.stashUsed, 'money', { source: calculated }),
    ],
    { source: calculated },
  );
}
