import type { Amount } from '../kernel/amount';
import { type Explained, explain } from '../kernel/explained';
import { calculated, fromYou } from '../kernel/source';
import type { Plan } from './computePlan';
import { nameOfOption } from './explainOption';

export type PurseFigure = 'money' | 'hands' | 'days';

const money = (label: string, amount: Amount, rest: Partial<Explained> = {}): Explained =>
  explain(label, amount.likely, 'money', {
    low: amount.low,
    high: amount.high,
    atLeast: amount.atLeast,
    source: calculated,
    ...rest,
  });

/** Explains a gauge of the purse. */
export function explainPurse(plan: Plan, figure: PurseFigure): Explained {
  const { purse, rows } = plan;
  const chosen = plan.slots.flatMap((slot) => slot.options).filter((option) => option.chosen);
  switch (figure) {
    case 'money':
      return money('Free', purse.money.free, {
        note: 'budget − spent − promised − planned − kept back',
        because: [
          explain('Budget', purse.money.budget, 'money', { source: fromYou }),
          explain('Spent', -purse.money.spent, 'money', { source: fromYou, note: 'payments − refunds − sales' }),
          explain('Promised', -purse.money.promised, 'money', { source: fromYou, note: 'ordered, not paid yet' }),
          money('Planned', negative(purse.money.planned), {
            note: 'cash to go of all that is chosen; shared supplies once',
            because: [
              ...chosen.flatMap((option) =>
                option.footprint.finds
                  .filter((find) => !plan.sums.isSettled(find))
                  .map((find) => money(find.name, plan.sums.findCash(find))),
              ),
              ...chosen.flatMap((option) =>
                option.footprint.offers.map(({ offer }) => money(offer.name, option.cashAdded)),
              ),
              ...plan.supplies
                .filter((line) => line.cash.likely > 0 || line.cash.atLeast)
                .map((line) =>
                  money(line.name, line.cash, {
                    note: line.packs.map((pack) => `${pack.count} × ${pack.name}`).join(' + '),
                  }),
                ),
              ...[...new Set(chosen.flatMap((option) => option.footprint.toolIds))]
                .filter((tool) => !plan.sums.ownsTool(tool))
                .map((tool) => money(tool, plan.sums.toolCash(tool))),
            ],
          }),
          money('Kept back', negative(purse.money.keptBack), {
            note: `${rows.project.contingencyThousandths / 1000} % of what is planned; it melts as things are bought`,
          }),
        ],
      });
    case 'hands':
      return explain('Hands-on planned', purse.hands.planned.likely, 'minutes', {
        low: purse.hands.planned.low,
        high: purse.hands.planned.high,
        source: calculated,
        note: 'set-ups and clean-ups shared over the plan',
        because: [
          ...(purse.hands.onHandMinutes === null
            ? []
            : [explain('Hours on hand', purse.hands.onHandMinutes, 'minutes', { source: fromYou })]),
          ...(purse.hands.doneMinutes > 0
            ? [explain('Done already', purse.hands.doneMinutes, 'minutes', { source: calculated })]
            : []),
          ...chosen.map((option) =>
            explain(
              `${option.footprint.slot.name}: ${nameOfOption(option)}, alone`,
              option.hoursAlone.likely,
              'minutes',
              { source: calculated },
            ),
          ),
        ],
      });
    case 'days':
      return explain(
        'Days to the reveal',
        purse.days.toReveal ?? 'no date set',
        purse.days.toReveal === null ? 'text' : 'days',
        {
          source: fromYou,
          because: [...chosen]
            .sort((a, b) => b.usableMs - a.usableMs)
            .map((option) =>
              explain(`${option.footprint.slot.name}: usable`, option.usableMs, 'instant', { source: calculated }),
            ),
        },
      );
    default:
      return figure satisfies never;
  }
}

function negative(amount: Amount): Amount {
  return { low: -amount.high, likely: -amount.likely, high: -amount.low, atLeast: amount.atLeast };
}
