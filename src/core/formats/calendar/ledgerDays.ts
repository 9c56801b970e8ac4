import { formatMoney } from '../../kernel/formatMoney';
import type { Delivery, GiveBack, ReturnDue } from '../../sourcing/ledgerLists';

/** One day in a calendar file. */
export interface CalendarDay {
  /** The same for the same thing each time the file is made, so that a calendar takes it for the one it knows. */
  id: string;
  onDate: string;
  title: string;
  text: string;
}

/** The dates that the ledger asks for: what goes back to shops, what is given back, what is delivered. */
export function ledgerDays(
  of: { returns: readonly ReturnDue[]; giveBacks: readonly GiveBack[]; deliveries: readonly Delivery[] },
  currency: string,
): CalendarDay[] {
  return [
    ...of.returns.map(({ line, what, source, lastDay, refund }) => ({
      id: `return-${line.id}`,
      onDate: lastDay,
      title: `Last day to return ${what}`,
      text: `${source.name}, ${formatMoney(refund, currency)} back`,
    })),
    ...of.giveBacks.flatMap(({ id, kind, name, from, backBy, deposit }) =>
      backBy === null
        ? []
        : [
            {
              id: `give-back-${id}`,
              onDate: backBy,
              title: `${kind === 'rented' ? 'Take back' : 'Give back'} ${name}`,
              text: [
                from === '' ? '' : `to ${from}`,
                deposit > 0 ? `${formatMoney(deposit, currency)} of deposit comes back` : '',
              ]
                .filter((words) => words !== '')
                .join(', '),
            },
          ],
    ),
    ...of.deliveries.map(({ line, what, source, onDate, spot }) => ({
      id: `delivery-${line.id}`,
      onDate,
      title: `${what} comes: clear the way`,
      text: [source, spot === null ? '' : `to ${spot.name}`].filter((word) => word !== '').join(', '),
    })),
  ];
}
