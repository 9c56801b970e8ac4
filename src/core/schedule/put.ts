import type { Minute, Stretch } from './benchProblem';
import type { OpenSession } from './workerDay';

/** Where a task was put while a schedule is laid; workers and places by their number. */
export interface Put {
  start: Minute;
  end: Minute;
  parts: Stretch[];
  /** Who does it; null for what only happens. */
  worker: number | null;
  /** Who works at it beside, at the same time. */
  helpers: number[];
  session: OpenSession | null;
  /** What has to be done again since it starts late after something, minutes; in the parts. */
  extraMinutes: number;
  place: number | null;
}

/** A task in one stretch, done by one or nobody. */
export const putAt = (start: Minute, end: Minute, worker: number | null): Put => ({
  start,
  end,
  parts: [{ start, end }],
  worker,
  helpers: [],
  session: null,
  extraMinutes: 0,
  place: null,
});
