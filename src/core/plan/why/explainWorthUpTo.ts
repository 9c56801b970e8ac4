import { type Explained, explain, explainSum } from '../../kernel/explained';
import { calculated, fromYou } from '../../kernel/source';
import type { OptionPlan, Plan } from '../computePlan';
import { drawOf } from '../model/pools';

/** Why a find may cost so much at most: what the yardstick costs, less everything else that the option takes. */
export function explainWorthUpTo(plan: Plan, option: OptionPlan): Explained {
  const { worthUpTo: worth, comparison, yardstickSide } = option;
  if (worth.kind === 'noPrice' || yardstickSide === null)
    return explain('Worth up to', 'its price does not decide here', 'text', { source: calculated });
  const hourValue = plan.rows.project.hourValue ?? 0;
  const find = option.model.finds[0];
  const pool = find && plan.model.pool(drawOf('find', find.id, 1));
  const till = pool?.kind === 'find' ? pool.till.likely : 0;
  const others = option.cashAdded.likely - till;
  const deltaMinutes = option.hoursAdded.likely - yardstickSide.minutes.likely;
  // What is left for the price is rounded down, so the hours are rounded up.
  const left = yardstickSide.cost - others - option.stashUsed;
  const hours = worth.kind === 'upTo' ? worth.till - left : -Math.ceil((hourValue * deltaMinutes) / 60 - 1e-6);
  const because = [
    explain('Yardstick: cash added and stash used', yardstickSide.cost, 'money', { source: calculated }),
    explain('Other cash this option adds', -others, 'money', { source: calculated }),
    explain('Stash used', -option.stashUsed, 'money', { source: calculated }),
    explain('More hands-on time, at what an hour is worth', hours, 'money', {
      source: calculated,
      because: [
        explain('More hands-on time', deltaMinutes, 'minutes', { source: calculated }),
        explain('An hour of yours', hourValue, 'moneyPerHour', {
          source: fromYou,
          note: plan.rows.project.hourValue === null ? 'my time is free' : '',
        }),
      ],
    }),
  ];
  if (comparison.kind === 'unknownPrice')
    because.push(explain('Its own price', 'unknown; what it is worth does not depend on it', 'text'));
  if (worth.kind === 'notEvenFree')
    return explain('Worth up to', 'not even free', 'text', {
      source: calculated,
      because: [explainSum('Left for its price', 'money', because, { source: calculated })],
    });
  if (worth.tag !== null)
    because.push(
      explain('That is a tag of', worth.tag, 'money', {
        source: calculated,
        aside: true,
        note: 'worked back through its price story',
      }),
    );
  return explainSum('Worth up to', 'money', because, { source: calculated, note: 'at the till' });
}
