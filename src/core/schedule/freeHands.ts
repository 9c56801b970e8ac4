import type { BenchTask, Minute, Stretch } from './benchProblem';
import { type Put, putAt } from './put';
import { MOST_MOVES, type StartTimes } from './startTimes';
import type { Link } from './taskGraph';
import type { WorkerDays } from './workerDay';

/** More than so many at one piece stand in each other's way (a modelling choice). */
const MOST_TOGETHER = 4;

/** How a task lay in a plan that is laid again: until when, and in whose hands, by their number; empty where nobody knows. */
export interface KeptHands {
  end: Minute;
  workers: readonly number[];
}

/** Whose hands are free when: in one go with a set-up, in parts over several windows, or several people together. */
export class FreeHands {
  private readonly days: readonly WorkerDays[];
  private readonly times: StartTimes;

  /** @param days the workers with what they do already; read anew with each question */
  constructor(days: readonly WorkerDays[], times: StartTimes) {
    this.days = days;
    this.times = times;
  }

  /** The earliest place, from a moment on, where somebody's hands are free; the one that ends first. */
  earliest(task: BenchTask, release: Minute, links: readonly Link[]): Put | null {
    if (task.runMinutes === 0 && !task.batch) {
      const free = this.times.from(task, release, links);
      return free ? putAt(free.start, free.start + free.extraMinutes, null) : null;
    }
    let best: Put | null = null;
    for (let worker = 0; worker < this.days.length; worker += 1) {
      const found =
        task.chunkMinutes === null
          ? this.inOneGo(task, release, links, worker)
          : this.inParts(task, release, links, worker);
      if (found && (!best || found.end < best.end)) best = found;
    }
    return this.together(task, release, links, best?.end ?? null) ?? best;
  }

  /** A place from a moment until exactly when it ended before, in the same hands where they are known; null where there is none. */
  exactly(task: BenchTask, start: Minute, kept: KeptHands, links: readonly Link[]): Put | null {
    const { end } = kept;
    const asBefore = (put: Put | null) => (put?.start === start && put.end === end ? put : null);
    if (task.runMinutes === 0 && !task.batch) return asBefore(this.earliest(task, start, links));
    const known = kept.workers.length > 0 ? kept.workers : this.days.map((_, worker) => worker);
    if (kept.workers.length > 1) return asBefore(this.sharedAt(task, start, kept.workers, links));
    for (const worker of known) {
      const put = asBefore(
        task.chunkMinutes === null
          ? this.inOneGo(task, start, links, worker)
          : this.inParts(task, start, links, worker),
      );
      if (put) return put;
    }
    return null;
  }

  /** What several do together from a moment on; null where not all of them are free for it. */
  private sharedAt(task: BenchTask, start: Minute, workers: readonly number[], links: readonly Link[]): Put | null {
    const free = task.chunkMinutes === null ? null : this.times.from(task, start, links);
    if (free?.start !== start) return null;
    const end = start + Math.ceil((task.runMinutes + free.extraMinutes) / workers.length);
    const at = this.freeBetween(start, end);
    if (!workers.every((worker) => at.includes(worker)) || !this.times.hasRoomToDry(task, end)) return null;
    const [worker = null, ...helpers] = workers;
    return { ...putAt(start, end, worker), helpers, extraMinutes: free.extraMinutes };
  }

  private inOneGo(task: BenchTask, release: Minute, links: readonly Link[], worker: number): Put | null {
    const days = this.days[worker] as WorkerDays;
    const { windows } = days.worker;
    const setUp = task.batch?.setUpMinutes ?? 0;
    const cleanUp = task.batch?.cleanUpMinutes ?? 0;
    let free = this.times.from(task, release, links);
    if (!free) return null;
    for (let w = days.windowAfter(free.start); w < windows.length; w += 1) {
      if ((days.freest[w] ?? 0) < setUp + task.runMinutes + cleanUp) continue;
      for (const gap of days.gaps(w)) {
        // Where a start is forbidden the next one may still lie in the same gap.
        for (;;) {
          const from = Math.max(gap.start + setUp, free.start);
          if (from > free.start) {
            free = this.times.from(task, from, links);
            if (!free) return null;
            if (free.start > from) continue;
          }
          const end: Minute = free.start + task.runMinutes + free.extraMinutes;
          const whole = setUp + (end - free.start) + cleanUp;
          if (free.start - setUp < gap.start || end + cleanUp > gap.end || days.leftAt(free.start) < whole) break;
          return { ...putAt(free.start, end, worker), extraMinutes: free.extraMinutes };
        }
      }
    }
    return null;
  }

  private inParts(task: BenchTask, release: Minute, links: readonly Link[], worker: number): Put | null {
    let from = release;
    for (let move = 0; move < MOST_MOVES; move += 1) {
      const put = this.partsFrom(task, from, links, worker);
      if (!put || this.times.hasRoomToDry(task, put.end)) return put;
      // No room to dry when it would end: it begins a little later.
      from = put.start + (task.chunkMinutes ?? 1);
    }
    return null;
  }

  /** Parts from a moment on, in one worker's gaps; whether there is room to dry at their end is not asked. */
  private partsFrom(task: BenchTask, release: Minute, links: readonly Link[], worker: number): Put | null {
    const days = this.days[worker] as WorkerDays;
    const { windows } = days.worker;
    const anywhere = { ...task, hold: null };
    const free = this.times.from(anywhere, release, links);
    if (!free) return null;
    const chunk = task.chunkMinutes ?? 1;
    let { extraMinutes } = free;
    let left = task.runMinutes + extraMinutes;
    const parts: Stretch[] = [];
    for (let w = days.windowAfter(free.start); w < windows.length; w += 1) {
      if ((days.freest[w] ?? 0) < Math.min(chunk, left)) continue;
      for (const gap of days.gaps(w)) {
        const start = Math.max(gap.start, free.start);
        if (parts.length === 0) {
          const checked = this.times.from(anywhere, start, links);
          if (!checked) return null;
          if (checked.start !== start) continue;
          // A later start may have to do something again, or not any more.
          extraMinutes = checked.extraMinutes;
          left = task.runMinutes + extraMinutes;
        }
        const room = Math.min(gap.end - start, days.leftAt(start, parts));
        // Nothing is begun for less than is worth it, and no less than that is left over.
        const most = room >= left ? left : Math.min(room, left - Math.min(chunk, left));
        if (most < Math.min(chunk, left)) continue;
        parts.push({ start, end: start + most });
        left -= most;
        if (left > 0) continue;
        const first = parts[0] as Stretch;
        return { ...putAt(first.start, start + most, worker), parts, extraMinutes };
      }
    }
    return null;
  }

  /**
   * The earliest time at which several have their hands free together, for what may be shared and is worth it.
   * @param before only what ends sooner is of use; null for any
   */
  private together(task: BenchTask, release: Minute, links: readonly Link[], before: Minute | null): Put | null {
    const { chunkMinutes, runMinutes } = task;
    const most = Math.min(MOST_TOGETHER, this.days.length, Math.floor(runMinutes / (chunkMinutes ?? runMinutes + 1)));
    if (most < 2) return null;
    let best: Put | null = null;
    for (const moment of this.freeFrom(release, before)) {
      if (best && moment >= best.end) break;
      const free = this.times.from(task, moment, links);
      if (!free) break;
      for (let people = most; people >= 2; people -= 1) {
        const end = free.start + Math.ceil((runMinutes + free.extraMinutes) / people);
        const [worker, ...others] = this.freeBetween(free.start, end);
        if (worker === undefined || others.length < people - 1) continue;
        const { extraMinutes } = free;
        // Drying begins sooner than the times know, who ask for one person.
        const isBetter = end < (best?.end ?? before ?? Number.POSITIVE_INFINITY);
        if (isBetter && this.times.hasRoomToDry(task, end))
          best = { ...putAt(free.start, end, worker), helpers: others.slice(0, people - 1), extraMinutes };
      }
    }
    return best;
  }

  /** The moments at which some hands become free, in order, from one on and before another. */
  private freeFrom(release: Minute, before: Minute | null): Minute[] {
    const moments = new Set([release]);
    for (const own of this.days)
      for (let w = own.windowAfter(release); w < own.worker.windows.length; w += 1) {
        if (before !== null && (own.worker.windows[w] as Stretch).start >= before) break;
        for (const { start } of own.gaps(w)) if (start > release) moments.add(start);
      }
    return [...moments].sort((a, b) => a - b);
  }

  /** Whose hands are free all the time between two moments, under their caps. */
  private freeBetween(start: Minute, end: Minute): number[] {
    return this.days.flatMap((own, worker) => {
      const gaps = own.windowAfter(start) < own.worker.windows.length ? own.gaps(own.windowAfter(start)) : [];
      const isFree = gaps.some((gap) => gap.start <= start && end <= gap.end);
      return isFree && own.leftAt(start) >= end - start ? [worker] : [];
    });
  }
}
