import type { BenchProblem, BenchSchedule, Minute, Stretch, Worker } from './benchProblem';

/** When a worker's hands are at something: sessions whole, what is done alone, appointments of the first worker. */
export function busyHours(problem: BenchProblem, schedule: BenchSchedule, worker: Worker): Stretch[] {
  const fixed = new Set(problem.tasks.filter((task) => task.fixed).map(({ id }) => id));
  const inSession = new Set(schedule.sessions.flatMap(({ taskIds }) => taskIds));
  const isFirst = problem.workers[0]?.id === worker.id;
  const alone = schedule.tasks.filter(({ taskId, workerId, helperIds }) =>
    fixed.has(taskId) ? isFirst : !inSession.has(taskId) && (workerId === worker.id || helperIds.includes(worker.id)),
  );
  return [...schedule.sessions.filter(({ workerId }) => workerId === worker.id), ...alone.flatMap(({ parts }) => parts)]
    .map(({ start, end }) => ({ start, end }))
    .sort((a, b) => a.start - b.start);
}

/** A stretch of days with what may be worked in it at the most, and what is. */
export interface CapUse extends Stretch {
  minutes: number;
  usedMinutes: number;
}

/** How much of each of a worker's caps is used, those that are over left out. */
export function capUse(problem: BenchProblem, schedule: BenchSchedule, worker: Worker): CapUse[] {
  const busy = busyHours(problem, schedule, worker);
  return worker.caps
    .filter(({ end }) => end > problem.now)
    .map((cap) => ({
      ...cap,
      usedMinutes: busy
        .filter(({ start }) => cap.start <= start && start < cap.end)
        .reduce((sum, { start, end }) => sum + end - start, 0),
    }));
}

/** Whether hands were free for so long between two moments, and only a cap kept them from it. */
export function isCapped(
  problem: BenchProblem,
  schedule: BenchSchedule,
  worker: Worker,
  between: { from: Minute; to: Minute; minutes: number },
): boolean {
  const { from, to, minutes } = between;
  const full = capUse(problem, schedule, worker).filter((cap) => cap.minutes - cap.usedMinutes < minutes);
  if (full.length === 0) return false;
  const busy = busyHours(problem, schedule, worker);
  return worker.windows.some((window) => {
    let free = Math.max(window.start, from);
    const end = Math.min(window.end, to);
    const inIt = busy.filter((one) => one.end > free && one.start < end);
    return [...inIt, { start: end, end }].some((one) => {
      const isGap = one.start - free >= minutes && full.some((cap) => cap.start <= free && free < cap.end);
      free = Math.max(free, one.end);
      return isGap;
    });
  });
}
