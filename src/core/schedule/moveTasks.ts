import { type BenchProblem, type BenchSchedule, endOf, type Minute, startOf } from './benchProblem';
import { type KeptPlace, movedFrom, settle } from './replan';
import type { TaskGraph } from './taskGraph';

/** What became of tasks that were put somewhere by hand. */
export interface Moved {
  schedule: BenchSchedule;
  /** The plan as it is kept now, with what was put by hand. */
  kept: KeptPlace[];
  /** Whether they lie in the stretch that was asked for. */
  isThere: boolean;
  /** Where they can begin, if not there; null where they found no time at all. */
  start: Minute | null;
  /** How many other tasks moved with them. */
  others: number;
  /** How much later all is ready, and how much more is late, against the plan before; minutes. */
  laterMinutes: number;
  moreLateMinutes: number;
}

/** A plan as it is kept: where everything in it begins. */
export const keptOf = (schedule: BenchSchedule, pinned: ReadonlySet<string> = new Set()): KeptPlace[] =>
  schedule.tasks.map((task) => ({
    taskId: task.taskId,
    start: startOf(task),
    end: endOf(task),
    isPinned: pinned.has(task.taskId),
    workerIds: task.workerId === null ? [] : [task.workerId, ...task.helperIds],
  }));

/**
 * Puts tasks at another time by hand: what follows moves with them and no more; what was before them stays. What cannot
 * lie there lies at the earliest moment after it that everything allows.
 * @param from the plan that is shown, with what was put by hand before
 * @param to the stretch that they are put into
 */
export function moveTasks(
  problem: BenchProblem,
  from: { schedule: BenchSchedule; pinned: ReadonlySet<string> },
  taskIds: readonly string[],
  to: { start: Minute; end: Minute },
  graph: TaskGraph,
): Moved {
  const moving = new Set(taskIds);
  const start = Math.max(problem.now, to.start);
  const wanted = keptOf(from.schedule, from.pinned).map(
    (place): KeptPlace =>
      moving.has(place.taskId) ? { ...place, start, end: start + place.end - place.start, isPinned: true } : place,
  );
  const schedule = settle(problem, wanted, graph);
  const laid = schedule.tasks.filter(({ taskId }) => moving.has(taskId));
  const pinned = new Set([...from.pinned, ...moving]);
  const known = keptOf(from.schedule).filter(({ taskId }) => !moving.has(taskId));
  return {
    schedule,
    kept: keptOf(schedule, pinned),
    isThere: laid.length === moving.size && laid.every((task) => startOf(task) >= start && endOf(task) <= to.end),
    start: laid.length === 0 ? null : Math.min(...laid.map(startOf)),
    others: movedFrom(problem, known, schedule),
    laterMinutes: schedule.score.end - from.schedule.score.end,
    moreLateMinutes: schedule.score.lateMinutes - from.schedule.score.lateMinutes,
  };
}
