import { dateAfter } from '@core/calendar/localDates';
import type { Bench } from '@core/schedule/benchOfPlan';
import type { BenchSchedule, Stretch } from '@core/schedule/benchProblem';
import type { WetDay } from '@core/schedule/ifItRains';
import { minuteOf } from '@core/schedule/workerWindows';
import { useEffect, useState } from 'react';
import { scheduleWorker } from './scheduleWorker';

/** How far ahead it is asked what a wet day would change: further nobody knows the weather. */
const DAYS_OF_WEATHER = 10;
const nothing: readonly WetDay[] = [];

/**
 * What becomes of a plan when a day that it counts on turns out wet, worked out beside the page.
 * @param isAsking false while something else is asked of the worker, or nobody looks
 */
export function useWetDays(
  bench: Bench,
  { schedule, pinned }: { schedule: BenchSchedule; pinned: ReadonlySet<string> },
  timeZone: string,
  isAsking: boolean,
): readonly WetDay[] {
  const [wet, setWet] = useState<{ bench: Bench; days: readonly WetDay[] } | null>(null);
  useEffect(() => {
    if (!isAsking) return;
    let current = true;
    const days = new Map<string, Stretch>();
    for (let n = 0; n < DAYS_OF_WEATHER; n += 1) {
      const date = dateAfter(bench.from, n);
      days.set(date, { start: minuteOf(date, 0, timeZone), end: minuteOf(dateAfter(date, 1), 0, timeZone) });
    }
    scheduleWorker()
      .ifWet(bench.problem, schedule, pinned, days)
      .then((told) => {
        if (current) setWet({ bench, days: told });
      })
      // Without an answer nothing is said of wet days.
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [bench, schedule, pinned, timeZone, isAsking]);
  return wet?.bench === bench ? wet.days : nothing;
}
