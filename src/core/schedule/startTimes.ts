import type { AllowedStart, BenchProblem, BenchTask, Minute, Stretch } from './benchProblem';
import type { DryingRoom } from './dryingRoom';
import type { Put } from './put';
import type { Link } from './taskGraph';

/** When a task may start, and what it has to do again then. */
export interface FreeStart {
  start: Minute;
  extraMinutes: number;
}

const NEVER = Number.POSITIVE_INFINITY;
/** How often a start is moved on before it is given up: each time something else forbids it. */
export const MOST_MOVES = 400;

/** When tasks may start, whoever does them: behind what they follow, in their hours, with room to dry. */
export class StartTimes {
  private readonly problem: BenchProblem;
  private readonly room: DryingRoom;
  private readonly put: readonly (Put | null)[];

  /** @param put where each task lies so far, by its number; read anew with each question */
  constructor(problem: BenchProblem, room: DryingRoom, put: readonly (Put | null)[]) {
    this.problem = problem;
    this.room = room;
    this.put = put;
  }

  /** The earliest start at or after a moment that links, hours and drying room allow; hands are not asked. */
  from(task: BenchTask, moment: Minute, links: readonly Link[]): FreeStart | null {
    let start = moment;
    for (let move = 0; move < MOST_MOVES; move += 1) {
      let extra = 0;
      let next = start;
      for (const { before, allowed } of links) {
        const earlier = this.put[before];
        if (!earlier) continue;
        const found = startAfter(earlier.end, allowed, start);
        if (!found) return null;
        next = Math.max(next, found.start);
        extra = Math.max(extra, found.extraMinutes);
      }
      if (next > start) {
        start = next;
        continue;
      }
      const run = task.runMinutes + extra;
      next = this.withinHours(task, start, run);
      if (next === start) next = this.withRoomToDry(task, start, run);
      if (next === NEVER) return null;
      if (next === start) return { start, extraMinutes: extra };
      start = next;
    }
    return null;
  }

  /** Whether there is room to dry for what ends at a moment. */
  hasRoomToDry({ hold, rowId }: BenchTask, end: Minute): boolean {
    if (!hold || this.problem.places.length === 0) return true;
    return this.room.placeFor(rowId, hold.areaM2, end, end + hold.minutes) !== null;
  }

  private withinHours({ hoursKey }: BenchTask, start: Minute, run: number): Minute {
    if (hoursKey === null) return start;
    const hours = this.problem.hours.get(hoursKey) ?? [];
    let low = 0;
    let high = hours.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((hours[middle] as Stretch).end < start + run) low = middle + 1;
      else high = middle;
    }
    for (let n = low; n < hours.length; n += 1) {
      const hour = hours[n] as Stretch;
      const begin = Math.max(start, hour.start);
      if (begin + run <= hour.end) return begin;
    }
    return NEVER;
  }

  private withRoomToDry(task: BenchTask, start: Minute, run: number): Minute {
    const end = start + run;
    if (this.hasRoomToDry(task, end)) return start;
    const next = this.room.nextEnd(end);
    return next === NEVER ? NEVER : next - run;
  }
}

/** The earliest start from a moment on that an allowed stretch after an end permits; null where all are over. */
function startAfter(end: Minute, allowed: readonly AllowedStart[], from: Minute): FreeStart | null {
  let best: FreeStart | null = allowed.length === 0 ? { start: Math.max(from, end), extraMinutes: 0 } : null;
  for (const { fromMinutes, toMinutes, extraMinutes } of allowed) {
    const start = Math.max(from, end + fromMinutes);
    if (toMinutes !== null && start > end + toMinutes) continue;
    if (!best || start < best.start) best = { start, extraMinutes };
  }
  return best;
}
