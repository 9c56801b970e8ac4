import { dateAfter, daysBetween } from '../calendar/localDates';
import { localDate } from '../calendar/zonedTime';
import type { OfferRow } from '../model/rows';

/** The local date on which something comes that was ordered at a moment. */
export function comesOn(offer: Pick<OfferRow, 'leadDays'>, orderedMs: number, timeZone: string): string {
  return dateAfter(localDate(orderedMs, timeZone), offer.leadDays);
}

/**
 * Days until an offer is here: its lead time from now while it is not ordered, what is left of it once it is, none once it
 * has come. What is late is reckoned with for today: nobody knows better.
 * @param orderedMs when it was ordered or paid, or null; epoch milliseconds
 */
export function daysUntilHere(
  offer: Pick<OfferRow, 'leadDays' | 'arrivedOn'>,
  orderedMs: number | null,
  asOfMs: number,
  timeZone: string,
): number {
  if (offer.arrivedOn !== null) return 0;
  if (orderedMs === null) return offer.leadDays;
  return Math.max(0, daysBetween(localDate(asOfMs, timeZone), comesOn(offer, orderedMs, timeZone)));
}
