import { type Remote, wrap } from 'comlink';
import { endWithPage, endWorker } from '../../app/endWithPage';
import type { BalanceWork } from '../../workers/balance.worker';

/** A worker of our own: it is ended to stop a search, since a search listens to nobody. */
export class Searcher {
  private readonly worker = endWithPage(
    new Worker(new URL('../../workers/balance.worker.ts', import.meta.url), { type: 'module' }),
  );
  readonly work: Remote<BalanceWork> = wrap<BalanceWork>(this.worker);

  end(): void {
    endWorker(this.worker);
  }
}
