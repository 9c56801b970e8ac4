import { type Explained, explain, explainSum } from '../../kernel/explained';
import { fromMicro, MICRO } from '../../kernel/micro';
import { multiplyDivideRound } from '../../kernel/money';
import { calculated, estimated, fromYou } from '../../kernel/source';
import type { AddedLine } from '../added';
import type { OptionPlan, Plan } from '../computePlan';
import { explainNeed } from './explainNeed';
import { unitOfSupply } from './supplyUnit';

/** The worth of what one pool gives up for good, minor units, with why; null for what is not used up. */
function lineUsedUp(plan: Plan, option: OptionPlan, { pool, after, cash, stashMicro }: AddedLine): Explained | null {
  switch (pool.kind) {
    case 'find':
      return pool.find.state === 'owned'
        ? explain(pool.find.name, 0, 'money', { source: fromYou, note: 'ours' })
        : explain(pool.find.name, pool.till.likely, 'money', { source: fromYou, note: 'its price, paid or not' });
    case 'order':
      return explain(pool.offer.name, cash.likely, 'money', {
        source: fromYou,
        note: pool.isSettled ? 'ordered already' : 'its price and delivery',
      });
    case 'supply': {
      if (pool.cut !== null)
        return explain(pool.name, cash.likely + Math.round(fromMicro(stashMicro)), 'money', {
          source: calculated,
          note: 'as it is cut: whole sheets, rolls or boards, and what the stash gives',
        });
      const unit = unitOfSupply(pool.unit);
      const isPaid = pool.unitCost?.from === 'paid';
      const worth = multiplyDivideRound(after.amount, pool.unitCost?.millionths ?? 0, MICRO * MICRO);
      return explain(pool.name, worth, 'money', {
        source: isPaid || !pool.isEstimated ? fromYou : estimated,
        note: pool.unitCost === null ? 'no price known' : isPaid ? 'at what it cost' : 'at what replacing it costs',
        because: [
          explain('Used', fromMicro(after.amount), unit, { source: calculated }),
          explainNeed(plan, option.model, option.count, pool.key),
        ],
      });
    }
    case 'session':
    case 'tool':
    case 'trip':
      return null;
    default:
      return pool satisfies never;
  }
}

/**
 * What an option uses up, by itself: quantities at what a unit costs, the find's or the offer's price. For the record, not
 * for choosing: what is left in the can is not lost, and the wear of tools is not known.
 */
export function explainUsedUp(plan: Plan, option: OptionPlan): Explained {
  const because = option.alone.lines.flatMap((line) => lineUsedUp(plan, option, line) ?? []);
  return explainSum('Used up', 'money', because, {
    source: calculated,
    note: because.length === 0 ? 'nothing' : 'for the record; decisions go by cash and stash',
  });
}
