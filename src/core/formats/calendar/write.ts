import ical, { ICalEventBusyStatus } from 'ical-generator';
import { dateAfter } from '../../calendar/localDates';
import type { CalendarDay } from './ledgerDays';

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
