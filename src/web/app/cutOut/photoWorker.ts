import { type Remote, wrap } from 'comlink';
import type { PhotoWork } from '../../workers/photo.worker';
import { endWithPage } from '../endWithPage';

let worker: Remote<PhotoWork> | null = null;

/** The worker that pictures are made in; one for all. */
export function photoWorker(): Remote<PhotoWork> {
  worker ??= wrap<PhotoWork>(
    endWithPage(new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' })),
  );
  return worker;
}
