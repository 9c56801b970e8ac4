import { type Explained, explain, explainMoney, explainMoneySum } from '../../kernel/explained';
import { calculated, estimated, fromYou, type Source } from '../../kernel/source';
import { sourceName } from '../../model/sourceName';
import { receiptOf } from '../../pricing/receipt';
import { receiptLineNames } from '../../pricing/receiptLineNames';
import type { AddedLine } from '../added';
import type { Plan } from '../computePlan';
import { type FindPool, isDrawn } from '../model/pools';

/** What a find costs the plan, as the lines of its receipt; nothing where it is paid, or paid with another slot. */
export function explainFind(plan: Plan, pool: FindPool, line: Pick<AddedLine, 'before'>): Explained {
  const { find } = pool;
  if (isDrawn(line.before))
    return explain(`${find.name}: paid with another slot of the plan`, 0, 'money', { source: calculated });
  if (find.state === 'owned') return explain(`${find.name}: owned already`, 0, 'money', { source: fromYou });
  if (pool.isSettled)
    return explain(`${find.name}: already spent, whichever you choose`, 0, 'money', {
      source: fromYou,
      note: 'paid or promised; it costs nothing more',
    });
  return explainReceipt(plan, pool);
}

/** The till receipt of a find, line by line. */
function explainReceipt(plan: Plan, { find, till, tax }: FindPool): Explained {
  const { currency } = plan.rows.project;
  const receipt = receiptOf(find.story, currency, tax);
  const source: Source = find.story.tag.state === 'estimated' ? estimated : fromYou;
  const name = sourceName(plan.rows.sources, find.sourceId);
  const place = name === '' ? '' : `, ${name}`;
  const lines = receipt.lines.map((line): Explained => {
    const percent = line.percentThousandths === undefined ? '' : ` ${line.percentThousandths / 1000} %`;
    const note = line.kind === 'tax' && receipt.taxIncluded ? { note: 'in the price' } : {};
    return explainMoney(`${receiptLineNames[line.kind]}${line.kind === 'tag' ? place : percent}`, line.amount, {
      source,
      ...note,
    });
  });
  const shown = lines.filter((line, n) => n === 0 || line.value !== 0 || n === lines.length - 1);
  // A receipt that rounds as a whole may differ by a cent from its lines, each rounded by itself.
  const rounding = till.likely - shown.reduce((sum, line) => sum + Number(line.value), 0);
  if (rounding !== 0) shown.push(explain('Rounding of the whole receipt', rounding, 'money', { source: calculated }));
  return explainMoneySum(find.name, till, shown, { source });
}
