import { type Explained, explain, explainSum } from '../../kernel/explained';
import { fromMicro } from '../../kernel/micro';
import { splitAmount } from '../../kernel/money';
import { calculated, estimated, fromYou } from '../../kernel/source';
import type { OptionPlan, Plan } from '../computePlan';
import { stashTaken } from '../model/poolCost';
import { explainNeed } from './explainNeed';
import { unitOfSupply } from './supplyUnit';

/**
 * Why an option takes so much of the stash's worth: supply by supply. The figure is rounded to the cent once, so the
 * cents of its lines are dealt out to add up to it.
 */
export function explainStash(plan: Plan, option: OptionPlan): Explained {
  const taken = option.added.lines.flatMap((line) => {
    const { pool } = line;
    if (pool.kind !== 'supply') return [];
    const used = stashTaken(pool, line.after) - stashTaken(pool, line.before);
    return used > 0 ? [{ pool, used, worth: line.stashMicro }] : [];
  });
  const cents =
    taken.length === 0
      ? []
      : splitAmount(
          option.stashUsed,
          taken.map((line) => line.worth),
        );
  const because = taken.map(({ pool, used }, n) => {
    const unit = unitOfSupply(pool.unit);
    const isPaid = pool.unitCost?.from === 'paid';
    return explain(pool.name, cents[n] ?? 0, 'money', {
      source: isPaid || !pool.isEstimated ? fromYou : estimated,
      note: [pool.isAlways ? 'always here' : '', isPaid ? 'at what it cost' : 'at what replacing it costs']
        .filter((words) => words !== '')
        .join('; '),
      because: [
        explain('From the stash', fromMicro(used), unit, { source: calculated }),
        ...(pool.isAlways ? [] : [explain('In the stash', pool.stash, unit, { source: fromYou })]),
        explainNeed(plan, option.model, option.count, pool.key),
      ],
    });
  });
  return explainSum('Stash used', 'money', because, {
    source: calculated,
    note: because.length === 0 ? 'nothing from the stash' : 'owned paint is not free; leftovers count nothing',
  });
}
