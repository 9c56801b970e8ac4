import { type Remote, wrap } from 'comlink';
import { endWithPage } from '../../../app/endWithPage';
import type { ArtworkWork } from '../../../workers/artwork.worker';

let worker: Remote<ArtworkWork> | null = null;

/** The worker that sets letters and reads drawings, started when it is first asked. */
export function artworkWorker(): Remote<ArtworkWork> {
  worker ??= wrap<ArtworkWork>(
    endWithPage(new Worker(new URL('../../../workers/artwork.worker.ts', import.meta.url), { type: 'module' })),
  );
  return worker;
}
