import {
  type BenchProblem,
  type BenchSchedule,
  endOf,
  type Minute,
  type Stretch,
  sessionMinutes,
} from './benchProblem';

/** Why tasks cannot lie in a stretch: what they follow is not ready, the open does not allow it, nobody's hands or no room. */
export type NotThere =
  | { kind: 'after'; taskId: string; free: Minute }
  | { kind: 'weather' }
  | { kind: 'tooShort'; minutes: number }
  | { kind: 'taken' };

/**
 * The first thing that keeps tasks from lying in a stretch of hours, as the rest of a schedule stands.
 * @param taskIds what was to be moved, in its order
 */
export function whyNotThere(
  problem: BenchProblem,
  schedule: BenchSchedule,
  taskIds: readonly string[],
  to: Stretch,
): NotThere {
  const laid = new Map(schedule.tasks.map((task) => [task.taskId, task]));
  const moving = new Set(taskIds);
  const tasks = problem.tasks.filter(({ id }) => moving.has(id));
  for (const task of tasks)
    for (const { taskId, allowed } of task.after) {
      const other = moving.has(taskId) ? undefined : laid.get(taskId);
      if (!other) continue;
      const waits = allowed.map(({ fromMinutes }) => fromMinutes);
      const free = endOf(other) + (waits.length > 0 ? Math.min(...waits) : 0);
      if (free + task.runMinutes > to.end) return { kind: 'after', taskId, free };
    }
  for (const { hoursKey, runMinutes } of tasks) {
    if (hoursKey === null) continue;
    const isAllowed = (problem.hours.get(hoursKey) ?? []).some(
      ({ start, end }) => Math.min(end, to.end) - Math.max(start, to.start) >= runMinutes,
    );
    if (!isAllowed) return { kind: 'weather' };
  }
  const [first] = tasks;
  const setUp = sessionMinutes(first?.batch);
  const minutes = setUp + tasks.reduce((sum, { runMinutes }) => sum + runMinutes, 0);
  return minutes > to.end - Math.max(problem.now, to.start) ? { kind: 'tooShort', minutes } : { kind: 'taken' };
}
