import { type BenchProblem, type BenchSchedule, endOf, type Minute, type Stretch, startOf } from './benchProblem';
import { keptOf } from './moveTasks';
import { movedFrom, settle } from './replan';
import { type TaskGraph, taskGraph } from './taskGraph';

/** What becomes of a plan when a day turns out to be none for work in the open. */
export interface WetDay {
  /** The local date. */
  date: string;
  /** The tasks that were planned in the open on it. */
  taskIds: readonly string[];
  /** When the first of them is done then; null where one of them finds no other hour. */
  to: Minute | null;
  /** How many other tasks move with them. */
  others: number;
  /** How much later all is ready, and how much more is late, minutes. */
  laterMinutes: number;
  moreLateMinutes: number;
}

/**
 * For each day on which something is planned in the open: where it goes if that day allows none of it. The rest is laid
 * again as it is, without the day's hours: what moves is what has to.
 * @param days local dates with their stretches, the first date first
 * @returns the days that matter, in order
 */
export function ifItRains(
  problem: BenchProblem,
  { schedule, pinned }: { schedule: BenchSchedule; pinned: ReadonlySet<string> },
  days: ReadonlyMap<string, Stretch>,
  graph: TaskGraph = taskGraph(problem),
): WetDay[] {
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const open = schedule.tasks.filter(({ taskId }) => {
    const task = tasks.get(taskId);
    return task?.hoursKey && !task.fixed;
  });
  return [...days].flatMap(([date, day]): WetDay[] => {
    const there = open.filter((laid) => startOf(laid) < day.end && endOf(laid) > day.start);
    if (there.length === 0) return [];
    const wet = { ...problem, hours: without(problem.hours, day) };
    const taskIds = there.map(({ taskId }) => taskId);
    const moving = new Set(taskIds);
    // What was put there by hand cannot stay there either.
    const stays = new Set([...pinned].filter((taskId) => !moving.has(taskId)));
    const anew = settle(wet, keptOf(schedule, stays), graph);
    const starts = anew.tasks.flatMap((laid) => (moving.has(laid.taskId) ? [startOf(laid)] : []));
    const others = keptOf(schedule).filter(({ taskId }) => !moving.has(taskId));
    return [
      {
        date,
        taskIds,
        to: starts.length < taskIds.length ? null : Math.min(...starts),
        others: movedFrom(wet, others, anew),
        laterMinutes: anew.score.end - schedule.score.end,
        moreLateMinutes: anew.score.lateMinutes - schedule.score.lateMinutes,
      },
    ];
  });
}

/** Hours without a stretch of time. */
function without(hours: BenchProblem['hours'], gone: Stretch): BenchProblem['hours'] {
  return new Map(
    [...hours].map(([key, stretches]) => [
      key,
      stretches.flatMap(({ start, end }) =>
        [
          { start, end: Math.min(end, gone.start) },
          { start: Math.max(start, gone.end), end },
        ].filter((rest) => rest.end > rest.start),
      ),
    ]),
  );
}
