import type { BenchJob } from './benchJobs';
import type { Minute } from './benchProblem';

/** Something that dries: until when it is left alone, may be coated again, may be handled. */
export interface Drying {
  taskId: string;
  title: string;
  rowId: string;
  touch: Minute;
  /** When what follows may begin; null where nothing follows. */
  next: { title: string; from: Minute; until: Minute | null } | null;
  handle: Minute;
}

/** What was done and is not dry yet, the first to be touched first. */
export function dryingNow(jobs: ReadonlyMap<string, BenchJob>, now: Minute): Drying[] {
  return [...jobs.values()]
    .flatMap((job): Drying[] => {
      const { doneAt, dries } = job;
      if (!dries || doneAt === null || doneAt + dries.handleMinutes <= now) return [];
      return [
        {
          taskId: job.task.id,
          title: job.title,
          rowId: job.task.rowId,
          touch: doneAt + dries.touchMinutes,
          next: nextAfter(jobs, job.task.id, doneAt, now),
          handle: doneAt + dries.handleMinutes,
        },
      ];
    })
    .sort((a, b) => a.touch - b.touch);
}

function nextAfter(
  jobs: ReadonlyMap<string, BenchJob>,
  taskId: string,
  end: Minute,
  now: Minute,
): { title: string; from: Minute; until: Minute | null } | null {
  for (const { task, title } of jobs.values()) {
    const link = task.fixed ? undefined : task.after.find((one) => one.taskId === taskId);
    const open = link?.allowed.find(({ toMinutes }) => toMinutes === null || end + toMinutes > now);
    if (!open) continue;
    return {
      title,
      from: end + open.fromMinutes,
      until: open.toMinutes === null ? null : end + open.toMinutes,
    };
  }
  return null;
}
