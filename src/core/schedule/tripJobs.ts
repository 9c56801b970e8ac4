import { fromMicro } from '../kernel/micro';
import { tripsPulled } from '../plan/model/poolCost';
import type { Follows } from './benchProblem';
import { type JobBook, openAfter } from './jobBook';
import { minuteOf } from './workerWindows';

/** A trip is an appointment on its day; one whose day is over is still to be made. */
export function tripJob(book: JobBook, tripId: string): void {
  const pool = book.plan.model.pool({ poolId: `trip ${tripId}`, kind: 'trip', key: tripId });
  const trip = book.plan.rows.trips.find(({ id }) => id === tripId);
  if (pool?.kind !== 'trip' || !trip) return;
  const runMinutes = Math.max(1, Math.ceil(fromMicro(pool.handsMicro)));
  const start = minuteOf(trip.onDate, trip.startMinute, book.timeZone);
  const isPast = start + runMinutes <= book.now;
  book.add({
    title: trip.name,
    hint: '',
    subject: null,
    step: null,
    color: null,
    dries: null,
    task: {
      id: `trip ${tripId}`,
      rowId: book.row({ id: 'errands', name: 'Errands', kind: 'errand', ofId: null }),
      runMinutes,
      batch: null,
      // Its day is over and nobody says it was made: it is still to be made, whenever there is time.
      chunkMinutes: null,
      fixed: isPast ? null : { start, end: start + runMinutes },
      hoursKey: null,
      hold: null,
      after: [],
    },
  });
}

/** Trips on which something of a recipe is fetched. */
export function tripsOf(book: JobBook, recipeId: string): Follows[] {
  const { plan } = book;
  const own = plan.chosen.filter(({ model }) => model.recipe?.recipeId === recipeId);
  const trips = new Set<string>();
  for (const { model } of own)
    for (const draw of model.draws) {
      if (draw.kind === 'trip') trips.add(draw.key);
      const pool = draw.kind === 'supply' ? plan.model.pool(draw) : undefined;
      if (pool) for (const tripId of tripsPulled(pool, plan.totals.of(draw.poolId))) trips.add(tripId);
    }
  return [...trips].filter((tripId) => book.jobs.has(`trip ${tripId}`)).map((tripId) => openAfter(`trip ${tripId}`, 0));
}
