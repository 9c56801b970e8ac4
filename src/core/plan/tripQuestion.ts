import type { SourceRow, TripRow } from '../model/rows';
import type { TripQuestion, TripStop } from '../pricing/tripPlan';

/**
 * A trip as its planning takes it: its stops, also those where one was already, with what is known of their places. A place that is not
 * among the rows is always open, and its way unknown.
 */
export function tripQuestion(trip: TripRow, sources: readonly (SourceRow | undefined)[]): TripQuestion {
  const byId = new Map(sources.flatMap((source) => (source ? [[source.id, source] as const] : [])));
  return {
    onDate: trip.onDate,
    startMinute: trip.startMinute,
    legs: trip.legs,
    stops: trip.stops.map(({ id, sourceId, minutes }): TripStop => {
      const source = byId.get(sourceId);
      return {
        id,
        sourceId,
        stayMinutes: minutes,
        hours: source?.hours ?? [],
        minutesOneWay: source?.minutesOneWay ?? null,
        distanceM: source?.distanceM ?? null,
      };
    }),
  };
}

/** A place's name as it is compared with what a pack in the price book says. */
export const placeName = (name: string): string => name.trim().toLowerCase();

/** The open trip that fetches what is bought at a place: of several the first one; by place. */
export function tripsBySource(trips: readonly TripRow[]): ReadonlyMap<string, string> {
  const bySource = new Map<string, string>();
  const open = trips
    .filter(({ done }) => !done)
    .sort((a, b) => (a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : a.id < b.id ? -1 : 1));
  for (const { id, stops } of open)
    for (const { sourceId } of stops) if (!bySource.has(sourceId)) bySource.set(sourceId, id);
  return bySource;
}
