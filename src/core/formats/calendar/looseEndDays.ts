import { looseEndTitle } from '../../closing/closingWords';
import type { LooseEnd } from '../../closing/looseEnds';
import { formatMoney } from '../../kernel/formatMoney';
import type { CalendarDay } from './ledgerDays';

/** The days of what is left to do after the work; what has no day is in no calendar. */
export function looseEndDays(ends: readonly LooseEnd[], currency: string): CalendarDay[] {
  return ends.flatMap((end): CalendarDay[] =>
    end.dueOn === null
      ? []
      : [
          {
            id: `loose-end-${end.key.replaceAll(' ', '-')}`,
            onDate: end.dueOn,
            title: looseEndTitle(end),
            text: [
              end.due?.source.name ?? end.giveBack?.from ?? end.delivery?.source ?? '',
              end.money > 0 ? `${formatMoney(end.money, currency)} back` : '',
              end.note,
            ]
              .filter((words) => words !== '')
              .join(', '),
          },
        ],
  );
}
