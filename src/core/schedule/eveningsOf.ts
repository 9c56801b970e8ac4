import { localDate } from '../calendar/zonedTime';
import { MS_PER_MINUTE } from '../kernel/units';
import type { BenchJob } from './benchJobs';
import { type BenchSchedule, type LaidTask, type Minute, type Stretch, startOf } from './benchProblem';

/** Something that is done in one go: a session with its tasks, a task alone, or a part of one. */
export interface BenchBlock extends Stretch {
  /** The same as long as it is of the same tasks. */
  id: string;
  workerId: string | null;
  /** Set-up before and clean-up after, minutes; 0 for a task alone. */
  setUpMinutes: number;
  cleanUpMinutes: number;
  tasks: readonly (Stretch & { laid: LaidTask; job: BenchJob })[];
}

/** What is done on one local date. */
export interface BenchDay {
  date: string;
  blocks: readonly BenchBlock[];
  /** Minutes of hands, set-ups in them. */
  minutes: number;
}

/** A schedule as blocks in order: sessions whole, what is done alone alone. What takes no time is not in it. */
export function blocksOf(schedule: BenchSchedule, jobs: ReadonlyMap<string, BenchJob>): BenchBlock[] {
  const laid = new Map(schedule.tasks.map((task) => [task.taskId, task]));
  const inSession = new Set(schedule.sessions.flatMap(({ taskIds }) => taskIds));
  const partsOf = (task: LaidTask) => {
    const job = jobs.get(task.taskId);
    return job ? task.parts.map((part) => ({ ...part, laid: task, job })) : [];
  };
  const blocks: BenchBlock[] = schedule.sessions.map(({ start, end, workerId, batch, taskIds }) => ({
    id: taskIds[0] ?? '',
    start,
    end,
    workerId,
    setUpMinutes: batch.setUpMinutes,
    cleanUpMinutes: batch.cleanUpMinutes,
    tasks: taskIds.flatMap((taskId) => {
      const task = laid.get(taskId);
      return task ? partsOf(task) : [];
    }),
  }));
  for (const task of schedule.tasks) {
    if (inSession.has(task.taskId)) continue;
    partsOf(task).forEach((part, n) => {
      if (part.end > part.start || part.job.task.runMinutes === 0)
        blocks.push({
          id: n === 0 ? task.taskId : `${task.taskId} part ${n + 1}`,
          start: part.start,
          end: part.end,
          workerId: task.workerId,
          setUpMinutes: 0,
          cleanUpMinutes: 0,
          tasks: [part],
        });
    });
  }
  return blocks.filter(({ tasks }) => tasks.some(({ job }) => !job.step?.skipped)).sort((a, b) => a.start - b.start);
}

/** Blocks by the local date on which they begin, the first date first. */
export function daysOf(blocks: readonly BenchBlock[], timeZone: string): BenchDay[] {
  const days = new Map<string, BenchBlock[]>();
  for (const block of blocks) {
    const date = localDate(block.start * MS_PER_MINUTE, timeZone);
    const known = days.get(date);
    if (known) known.push(block);
    else days.set(date, [block]);
  }
  return [...days].map(([date, own]) => ({
    date,
    blocks: own,
    minutes: own.reduce((sum, { start, end }) => sum + (end - start), 0),
  }));
}

/**
 * What could be begun this minute and done within so many minutes: all that it follows is done and dry, it needs neither a
 * set-up nor the weather, and it is not at hand.
 */
export function withinMinutes(
  schedule: BenchSchedule,
  jobs: ReadonlyMap<string, BenchJob>,
  now: Minute,
  minutes: number,
): BenchJob[] {
  const laid = new Map(schedule.tasks.map((task) => [task.taskId, task]));
  return [...schedule.tasks]
    .sort((a, b) => startOf(a) - startOf(b))
    .flatMap(({ taskId }) => {
      const job = jobs.get(taskId);
      if (!job || job.task.fixed || job.task.batch || job.task.hoursKey !== null) return [];
      const { runMinutes, earliest, after } = job.task;
      if (runMinutes === 0 || runMinutes > minutes || earliest > now) return [];
      const isFree = after.every(({ taskId: otherId, allowed }) => {
        const other = jobs.get(otherId)?.task;
        const at = laid.get(otherId);
        if (!other || !at) return true;
        const end = other.fixed?.end ?? (other.runMinutes === 0 ? startOf(at) : null);
        if (end === null || end > now) return false;
        return (
          allowed.length === 0 ||
          allowed.some(({ fromMinutes, toMinutes, extraMinutes }) => {
            const gap = now - end;
            return extraMinutes === 0 && gap >= fromMinutes && (toMinutes === null || gap <= toMinutes);
          })
        );
      });
      return isFree ? [job] : [];
    });
}
