import { clockWords } from '@core/calendar/openingHours';
import { localDate, zonedMoment } from '@core/calendar/zonedTime';
import type { FindRow } from '@core/model/rows';
import { emptyQuickLine } from '@core/sourcing/emptyQuickLine';
import { newFind } from '@core/sourcing/newFind';
import type { ProjectLocale } from './words';

/**
 * Something that was only photographed in passing: a find that waits to be sorted out at home, called by the hour.
 * @param sourceId where one was, as far as this device knows
 */
export function seenFind(atMs: number, locale: ProjectLocale, sourceId: string | null): FindRow {
  const { hour, minute } = zonedMoment(atMs, locale.timeZone);
  return {
    ...newFind(crypto.randomUUID(), crypto.randomUUID(), emptyQuickLine(), locale.units),
    version: 1,
    name: `Seen at ${clockWords(hour * 60 + minute)}`,
    sourceId,
    seenOn: localDate(atMs, locale.timeZone),
    sorted: false,
  };
}
