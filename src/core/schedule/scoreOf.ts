import {
  type BenchProblem,
  endOf,
  type LaidSession,
  type LaidTask,
  type ScheduleScore,
  sessionMinutes,
} from './benchProblem';

/** What a deliverable that cannot be finished counts as late, minutes: a year. */
const NEVER_READY_MINUTES = 525_600;

/**
 * When each deliverable is ready; null where one of its tasks found no time.
 * @returns by its id, in minutes since the epoch
 */
export function readyMoments(problem: BenchProblem, tasks: readonly LaidTask[]): Map<string, number | null> {
  const ends = new Map(tasks.map((laid) => [laid.taskId, endOf(laid)]));
  return new Map(
    problem.deliverables.map(({ id, ends: last }) => {
      const moments = last.map(({ taskId, waitMinutes }) => {
        const end = ends.get(taskId);
        return end === undefined ? null : end + waitMinutes;
      });
      const known = moments.filter((moment) => moment !== null);
      return [id, known.length < moments.length ? null : Math.max(problem.now, ...known)] as const;
    }),
  );
}

/** What a schedule comes to. A deliverable that is never ready counts as a year late and ends the plan then. */
export function scoreOf(
  problem: BenchProblem,
  tasks: readonly LaidTask[],
  sessions: readonly LaidSession[],
): ScheduleScore {
  const ready = readyMoments(problem, tasks);
  let lateMinutes = 0;
  let end = problem.now;
  for (const { id, weight, due } of problem.deliverables) {
    const moment = ready.get(id) ?? null;
    const at = moment ?? problem.now + NEVER_READY_MINUTES;
    end = Math.max(end, at);
    if (due !== null && at > due) lateMinutes += weight * (at - due);
    else if (moment === null) lateMinutes += weight * NEVER_READY_MINUTES;
  }
  const setUpMinutes = sessions.reduce((sum, { batch }) => sum + sessionMinutes(batch), 0);
  return { lateMinutes, setUpMinutes, end };
}
