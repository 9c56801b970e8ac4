import { type Remote, wrap } from 'comlink';
import { endWithPage } from '../../app/endWithPage';
import type { ScheduleWork } from '../../workers/schedule.worker';

let worker: Remote<ScheduleWork> | null = null;

/** The worker that plans: one for all, made when it is first asked. */
export function scheduleWorker(): Remote<ScheduleWork> {
  worker ??= wrap<ScheduleWork>(
    endWithPage(new Worker(new URL('../../workers/schedule.worker.ts', import.meta.url), { type: 'module' })),
  );
  return worker;
}

/** A worker that broke is begun anew with the next question. */
export function dropScheduleWorker(): void {
  worker = null;
}
