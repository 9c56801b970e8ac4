import { MS_PER_MINUTE } from '@core/kernel/units';
import type { LogEntryRow, PlanFreezeRow, StepRunRow } from '@core/model/rows';
import type { BenchJob } from '@core/schedule/benchJobs';
import { taskIdOf } from '@core/schedule/benchJobs';
import type { BenchSchedule } from '@core/schedule/benchProblem';
import { logOfStep } from '@core/schedule/logOfStep';
import { useMemo, useRef } from 'react';
import { useCommands, usePlan, useRows } from '../../app/projectStore';
import { serverNow } from '../../app/serverClock';
import { planAsWorkBegins } from '../../app/workBegins';
import { workedMs } from './stepMinutes';
import { whoIsAtIt } from './whoIsAtIt';

/** Minutes of setting up before and cleaning up after a task, where it is the first or the last of its session. */
export function sessionMinutesOf(schedule: BenchSchedule, taskId: string): number {
  const session = schedule.sessions.find(({ taskIds }) => taskIds.includes(taskId));
  if (!session) return 0;
  const { setUpMinutes, cleanUpMinutes } = session.batch;
  return (session.taskIds[0] === taskId ? setUpMinutes : 0) + (session.taskIds.at(-1) === taskId ? cleanUpMinutes : 0);
}

/** What can be done with a step at the bench; moments are the server's. */
export function useSteps(schedule: BenchSchedule) {
  const rows = useRows();
  const plan = usePlan();
  const { run, runWhenMade } = useCommands();
  const runs = useMemo(() => new Map(rows.stepRuns.map((one) => [taskIdOf(one), one])), [rows.stepRuns]);
  const asked = useRef(new Set<string>());
  return useMemo(() => {
    // The first work of all brings the plan along that it is held against; a second press meanwhile is the same one.
    const once = (job: BenchJob, act: (freeze: PlanFreezeRow | null) => void) => {
      const { id } = job.task;
      if (asked.current.has(id)) return;
      asked.current.add(id);
      runWhenMade(planAsWorkBegins(plan), (freeze) => {
        asked.current.delete(id);
        act(freeze);
      });
    };
    const named = (job: BenchJob, people: number) => {
      const { subject } = job;
      return subject && { ...subject, id: crypto.randomUUID(), what: job.title, people, by: whoIsAtIt() };
    };
    return {
      runOf: (taskId: string): StepRunRow | undefined => runs.get(taskId),
      begin(job: BenchJob, people: number): void {
        const step = named(job, people);
        const atMs = serverNow();
        if (step) once(job, (freeze) => run('beginStep', { ...step, atMs, freeze }));
      },
      pause(stepRun: StepRunRow): void {
        run('pauseStep', { runId: stepRun.id, atMs: serverNow() });
      },
      /** Finishes a step: by its timer, or with minutes that are told. */
      finish(job: BenchJob, told: { minutes: number | null; people: number }, more: Partial<LogEntryRow> = {}): void {
        const step = named(job, told.people);
        if (!step) return;
        const atMs = serverNow();
        const stepRun = runs.get(job.task.id);
        const minutes = told.minutes ?? (stepRun ? (workedMs(stepRun, atMs) / MS_PER_MINUTE) * told.people : 0);
        const session = sessionMinutesOf(schedule, job.task.id);
        const entry = {
          ...logOfStep(plan, job, { id: crypto.randomUUID(), atMs, minutes, people: told.people, session }),
          ...more,
        };
        once(job, (freeze) => run('finishStep', { ...step, atMs, entry, freeze }));
      },
      tell(stepRun: StepRunRow, values: Partial<Pick<StepRunRow, 'people' | 'by'>>): void {
        run('tellStep', { runId: stepRun.id, values });
      },
      reopen(stepRun: StepRunRow): void {
        run('reopenStep', { runId: stepRun.id });
      },
    };
  }, [runs, plan, run, runWhenMade, schedule]);
}
