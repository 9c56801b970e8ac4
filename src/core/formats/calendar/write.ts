import ical, { ICalEventBusyStatus } from 'ical-generator';
import { dateAfter } from '../../calendar/localDates';
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
    ...of.giveBacks.flatMap(({ piece, from, backBy }) =>
      backBy === null
        ? []
        : [{ id: `give-back-${piece.id}`, onDate: backBy, title: `Give back ${piece.name}`, text: `to ${from}` }],
    ),
    ...of.deliveries.map(({ line, what, source, onDate }) => ({
      id: `delivery-${line.id}`,
      onDate,
      title: `${what} comes: clear the way`,
      text: source,
    })),
  ];
}

/** The start of a local date, as the library takes days. */
const atMidnight = (date: string) => new Date(`${date}T00:00:00Z`);

/**
 * Days as a calendar file (RFC 5545): each a whole day, whose end is the day after, since that end is exclusive.
 * @param stampMs when the file was made, epoch milliseconds
 */
export function calendarFile(name: string, days: readonly CalendarDay[], stampMs: number): string {
  const calendar = ical({ name, prodId: { company: 'Euporia', product: 'Euporia', language: 'EN' } });
  for (const { id, onDate, title, text } of days)
    calendar.createEvent({
      id: `${id}@euporia`,
      stamp: new Date(stampMs),
      start: atMidnight(onDate),
      end: atMidnight(dateAfter(onDate, 1)),
      allDay: true,
      timezone: 'UTC',
      summary: title,
      description: text,
      busystatus: ICalEventBusyStatus.FREE,
    });
  return calendar.toString();
}
