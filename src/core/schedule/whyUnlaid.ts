import type { BenchJob } from './benchJobs';
import { type BenchProblem, type BenchSchedule, sessionMinutes } from './benchProblem';

/** Why something found no time; what only waits for such a thing is not among it. */
export type WhyUnlaid =
  | { kind: 'nobody' }
  | { kind: 'tooShort'; taskId: string; minutes: number; longestMinutes: number }
  | { kind: 'outdoors'; taskId: string }
  | { kind: 'other'; taskId: string };

/**
 * What keeps tasks from finding a time, one of each kind: nobody has hours, hours are too short for it, none outdoors
 * allows it, or what it waits for never leaves it time.
 */
export function whyUnlaid(
  problem: BenchProblem,
  { unlaid }: Pick<BenchSchedule, 'unlaid'>,
  jobs: ReadonlyMap<string, BenchJob>,
): WhyUnlaid[] {
  const without = new Set(unlaid);
  if (without.size === 0) return [];
  const longestMinutes = Math.max(
    0,
    ...problem.workers.flatMap(({ windows }) => windows.map(({ start, end }) => end - start)),
  );
  if (longestMinutes === 0) return [{ kind: 'nobody' }];
  const found = new Map<WhyUnlaid['kind'], WhyUnlaid>();
  for (const taskId of unlaid) {
    const task = jobs.get(taskId)?.task;
    if (!task || task.after.some((one) => without.has(one.taskId))) continue;
    const { batch, chunkMinutes, hoursKey, runMinutes } = task;
    const minutes = sessionMinutes(batch) + Math.min(runMinutes, chunkMinutes ?? runMinutes);
    const why: WhyUnlaid =
      minutes > longestMinutes
        ? { kind: 'tooShort', taskId, minutes, longestMinutes }
        : { kind: hoursKey === null ? 'other' : 'outdoors', taskId };
    if (!found.has(why.kind)) found.set(why.kind, why);
  }
  return [...found.values()];
}
