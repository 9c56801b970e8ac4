import { dateAfter } from '@core/calendar/localDates';
import type { Bench } from '@core/schedule/benchOfPlan';
import type { BenchSchedule, Stretch } from '@core/schedule/benchProblem';
import { verifySchedule } from '@core/schedule/verifySchedule';
import type { Help } from '@core/schedule/whatHelps';
import { minuteOf } from '@core/schedule/workerWindows';
import { usualEvening } from '@core/state/workshop';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { dropScheduleWorker, scheduleWorker } from './scheduleWorker';

const DAYS_OF_A_WEEK = 7;

/** What a search has found of a bench. */
export interface ScheduleSearch {
  /** The best that was found and passes its check; null while there is none. */
  found: BenchSchedule | null;
  /** How far the search is, 0 to 1; null while nothing is searched. */
  progress: number | null;
  helps: readonly Help[];
  /** Ends the search with what it has so far. */
  stop: () => void;
}

/** Looks for a better plan of a bench in a worker, and afterwards for what would help. */
export function useScheduleSearch(bench: Bench, timeZone: string, isSearching: boolean): ScheduleSearch {
  const [found, setFound] = useState<{ bench: Bench; schedule: BenchSchedule } | null>(null);
  // What the search has so far is shown when it ends, or is stopped: a list that changes under the finger is pressed wrong.
  const soFar = useRef<{ bench: Bench; schedule: BenchSchedule } | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [helps, setHelps] = useState<readonly Help[]>([]);
  useEffect(() => {
    if (!isSearching) return;
    let current = true;
    setProgress(0);
    const searcher = scheduleWorker();
    const tell = proxy((share: number, best: BenchSchedule) => {
      if (!current) return;
      setProgress(share);
      soFar.current = { bench, schedule: best };
    });
    searcher
      .improve(bench.problem, tell)
      .then(async (best) => {
        if (!current || !best) return;
        if (passes(bench, best)) setFound({ bench, schedule: best });
        setProgress(null);
        const told = await searcher.helps(bench.problem, bench.from, eveningsOf(bench.from, timeZone), best);
        if (current) setHelps(told);
      })
      .catch(() => {
        // The plan that is shown stands.
        dropScheduleWorker();
        if (current) setProgress(null);
      });
    return () => {
      current = false;
      void searcher.stop();
    };
  }, [bench, isSearching, timeZone]);
  return {
    found: found?.bench === bench ? found.schedule : null,
    progress,
    helps,
    stop: () => {
      void scheduleWorker().stop();
      setProgress(null);
      const best = soFar.current;
      if (best?.bench === bench && passes(bench, best.schedule)) setFound(best);
    },
  };
}

const passes = ({ problem }: Bench, schedule: BenchSchedule): boolean => verifySchedule(problem, schedule).length === 0;

/** The evenings of the coming week that somebody could give. */
function eveningsOf(from: string, timeZone: string): Map<string, Stretch> {
  const evenings = new Map<string, Stretch>();
  for (let n = 0; n < DAYS_OF_A_WEEK; n += 1) {
    const date = dateAfter(from, n);
    const at = (minute: number) => minuteOf(date, minute, timeZone);
    evenings.set(date, { start: at(usualEvening.fromMinute), end: at(usualEvening.toMinute) });
  }
  return evenings;
}
