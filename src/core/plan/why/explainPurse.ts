import { type Amount, mapAmount } from '../../kernel/amount';
import { type Explained, explain, explainMoney, explainMoneySum, explainSum } from '../../kernel/explained';
import { fromMicro } from '../../kernel/micro';
import { calculated, fromYou } from '../../kernel/source';
import type { Plan } from '../computePlan';
import { ownHandsOf } from '../model/optionModel';
import { packWords } from '../model/packWords';
import { purchaseOf } from '../model/poolCost';
import { nameOfOption } from '../nameOfOption';
import { usableMsOf } from '../usableSince';
import { sessionsLabel } from './explainHours';
import { explainLedger } from './explainLedger';
import { wayName } from './wayName';

export type PurseFigure = 'money' | 'hands' | 'days';

/** Explains a gauge of the purse: the sums over what is chosen, pool by pool. */
export function explainPurse(plan: Plan, figure: PurseFigure): Explained {
  switch (figure) {
    case 'money':
      return explainFree(plan);
    case 'hands':
      return explainHands(plan);
    case 'days':
      return explainDays(plan);
    default:
      return figure satisfies never;
  }
}

function explainFree(plan: Plan): Explained {
  const { money } = plan.purse;
  return explainMoneySum(
    'Free',
    money.free,
    [
      explain('Budget', money.budget, 'money', { source: fromYou }),
      explainLedger(plan.rows, 'Spent', ['payment', 'refund', 'saleIncome'], 'payments − refunds − sales'),
      explainLedger(plan.rows, 'Promised', ['promise'], 'ordered, not paid yet'),
      explainMoney('Planned', negative(money.planned), {
        source: calculated,
        note: 'cash to go of all that is chosen; shared supplies once',
        because: explainPlanned(plan).because,
      }),
      explainMoney('Kept back', negative(money.keptBack), {
        source: calculated,
        note: `${plan.rows.project.contingencyThousandths / 1000} % of what is planned; it melts as things are bought`,
      }),
    ],
    { source: calculated, note: 'budget − spent − promised − planned − kept back' },
  );
}

/** Cash to go of everything chosen: each find, order, supply and tool once. */
export function explainPlanned(plan: Plan): Explained {
  const because = plan.sums.lines.flatMap(({ pool, drawn, cost }): Explained[] => {
    if (cost.cash.likely === 0 && !cost.cash.atLeast) return [];
    switch (pool.kind) {
      case 'find':
        return [explainMoney(pool.find.name, cost.cash, { source: calculated })];
      case 'order':
        return [explainMoney(pool.offer.name, cost.cash, { source: calculated })];
      case 'supply':
        return [
          explainMoney(pool.name, cost.cash, { source: calculated, note: packWords(pool, purchaseOf(pool, drawn)) }),
        ];
      case 'tool':
        return [explainMoney(pool.name, cost.cash, { source: calculated, note: 'a tool to buy, then owned' })];
      case 'trip':
        return [
          explainMoney(wayName(pool), cost.cash, {
            source: fromYou,
            note: 'once for all that comes with it',
          }),
        ];
      case 'session':
        return [];
      default:
        return pool satisfies never;
    }
  });
  return explainMoneySum('Cash to go', plan.purse.money.planned, because, { source: calculated });
}

/** Hands-on time of everything chosen: each option's own, and the sessions that they share. */
function explainHands(plan: Plan): Explained {
  const { hands } = plan.purse;
  const aside = (label: string, minutes: number | null, source: Explained['source']) =>
    minutes === null || minutes === 0 ? [] : [explain(label, minutes, 'minutes', { source, aside: true })];
  const own = plan.chosen.map(({ model, count }) =>
    explain(`${model.slot.name}: ${nameOfOption(model)}`, fromMicro(ownHandsOf(model, count).likely), 'minutes', {
      source: calculated,
    }),
  );
  const sessions = plan.sums.lines.flatMap(({ pool, drawn, cost }) =>
    pool.kind === 'session' && cost.handsMicro > 0
      ? [
          explain(sessionsLabel(plan, pool, drawn.amount), fromMicro(cost.handsMicro), 'minutes', {
            source: calculated,
            note: 'once for all that is chosen',
          }),
        ]
      : [],
  );
  const trips = plan.sums.lines.flatMap(({ pool, cost }) =>
    pool.kind === 'trip' && cost.handsMicro > 0
      ? [
          explain(`${pool.name}: on the way and in the shops`, fromMicro(cost.handsMicro), 'minutes', {
            source: fromYou,
            note: 'once for all that it fetches',
          }),
        ]
      : [],
  );
  return explainSum(
    'Hands-on planned',
    'minutes',
    [
      ...aside('Hours on hand', hands.onHandMinutes, fromYou),
      ...aside('Done already', hands.doneMinutes, calculated),
      ...own,
      ...sessions,
      ...trips,
    ],
    {
      low: hands.planned.low,
      high: hands.planned.high,
      source: calculated,
      note: 'overhead in it; set-ups and clean-ups shared over the plan',
    },
  );
}

function explainDays(plan: Plan): Explained {
  const { toReveal } = plan.purse.days;
  const ends = plan.chosen.flatMap((fill) => {
    const usableMs = usableMsOf(plan.model, fill, plan.asOfMs);
    return usableMs === null ? [] : [{ name: fill.model.slot.name, usableMs }];
  });
  return explain('Days to the reveal', toReveal ?? 'no date set', toReveal === null ? 'text' : 'days', {
    source: fromYou,
    because: ends
      .sort((a, b) => b.usableMs - a.usableMs)
      .map(({ name, usableMs }) => explain(`${name}: usable`, usableMs, 'instant', { source: calculated })),
  });
}

function negative(amount: Amount): Amount {
  const { low, high, ...rest } = mapAmount(amount, (minor) => -minor || 0);
  return { ...rest, low: high, high: low };
}
