import { mapAmount } from '../../kernel/amount';
import { type Explained, explain, explainMoney, explainMoneySum } from '../../kernel/explained';
import { calculated, estimated, fromYou } from '../../kernel/source';
import type { Added, AddedLine } from '../added';
import type { OptionPlan, Plan } from '../computePlan';
import { packWords } from '../model/packWords';
import { purchaseOf } from '../model/poolCost';
import { isDrawn, type SupplyPool } from '../model/pools';
import { explainFind } from './explainFind';
import { explainNeed } from './explainNeed';
import { explainOrder } from './explainOrder';
import { unitOfSupply } from './supplyUnit';
import { wayName } from './wayName';

/** Why an option adds so much cash to the plan. */
export function explainCashAdded(plan: Plan, option: OptionPlan): Explained {
  return explainCash(plan, option, option.added, 'Cash added');
}

/** Why it would cost so much if nothing else were made. */
export function explainCashAlone(plan: Plan, option: OptionPlan): Explained {
  return explainCash(plan, option, option.alone, 'Cash alone');
}

function explainCash(plan: Plan, option: OptionPlan, added: Added, label: string): Explained {
  const because = added.lines.flatMap((line) => explainPool(plan, option, line) ?? []);
  return explainMoneySum(label, added.cash, because, { source: calculated });
}

/** What one pool adds; null where it has nothing to do with cash. */
function explainPool(plan: Plan, option: OptionPlan, line: AddedLine): Explained | null {
  const { pool } = line;
  switch (pool.kind) {
    case 'find':
      return explainFind(plan, pool, line);
    case 'order':
      return explainOrder(pool, line);
    case 'supply':
      return explainSupply(plan, option, pool, line);
    case 'tool':
      return pool.isOwned || isDrawn(line.before)
        ? null
        : explainMoney(pool.name, line.cash, { source: estimated, note: 'a tool to buy, then owned' });
    case 'trip':
      return isDrawn(line.before) || pool.cash.likely === 0
        ? null
        : explainMoney(wayName(pool), line.cash, {
            source: fromYou,
            note: 'once for all that comes with it',
          });
    case 'session':
      return null;
    default:
      return pool satisfies never;
  }
}

/** The packs of a supply that the plan buys because of this option. */
function explainSupply(plan: Plan, option: OptionPlan, pool: SupplyPool, line: AddedLine): Explained {
  const bought = purchaseOf(pool, line.after);
  const anyway = purchaseOf(pool, line.before);
  const packs = packWords(pool, bought);
  const note = [
    pool.isAlways
      ? 'always here'
      : packs === ''
        ? 'the stash covers it'
        : `${packs} for the plan${isDrawn(line.before) ? ', shared' : ''}`,
    anyway.packs.length > 0 ? 'another option of the plan buys it anyway' : '',
  ].filter((words) => words !== '');
  const source = bought.packs.length === 0 ? calculated : pool.isEstimated ? estimated : fromYou;
  const because: Explained[] = [];
  if (bought.packs.length > 0) because.push(explainMoney(packs, bought.cash, { source }));
  if (anyway.packs.length > 0)
    because.push(
      explainMoney(
        `Without it: ${packWords(pool, anyway)}`,
        mapAmount(anyway.cash, (minor) => -minor),
        { source },
      ),
    );
  because.push(
    explainNeed(plan, option.model, option.count, pool.key),
    ...(pool.isAlways ? [] : [explain('In the stash', pool.stash, unitOfSupply(pool.unit), { source: fromYou })]),
  );
  return explainMoneySum(pool.name, line.cash, because, { source, note: note.join('; ') });
}
