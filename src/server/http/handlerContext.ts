import type { Database } from '../persistence/database';
import { staleSummary } from '../persistence/projects';
import { reading, type StudioScope, studioScope, type Transaction } from '../persistence/scope';
import type { Environment } from '../usecases/environment';
import { type Known, nothingKnown } from '../usecases/known';
import { SummaryJob } from '../usecases/summaryJob';
import { Turns } from '../usecases/turns';

/** How many writes are at work at once: the pool's other connections are for those who read. */
const WRITES_AT_ONCE = 6;

/** What the handlers of all areas work with. */
export interface HandlerContext {
  database: Database;
  environment: Environment;
  studioId: string;
  known: Known;
  log(line: string): void;
  /** Whose rows a request may touch, by the name of its device. */
  actor(device: string | undefined): StudioScope;
  /** Does a write in its turn; afterwards the summaries follow. */
  write<T>(scope: StudioScope, place: string, work: () => Promise<T>): Promise<T>;
  /** Has stale summaries brought up to date; a list says which it shows are stale still. */
  freshen(transaction: Transaction): Promise<void>;
}

/** Makes it for one app. */
export function handlerContext(of: {
  database: Database;
  environment: Environment;
  studioId: string;
  summaryPatienceMs: number;
  summaryGatherMs: number | undefined;
  log: (line: string) => void;
}): HandlerContext {
  const { database, environment, studioId, log } = of;
  const known = nothingKnown();
  const summaries = new SummaryJob(database, environment, known.projects, of.summaryGatherMs, log);
  const turns = new Turns(WRITES_AT_ONCE);
  return {
    database,
    environment,
    studioId,
    known,
    log,
    // The one place that says who acts. On loopback that is the local studio; sign-in will change only this.
    actor: (device) => studioScope(studioId, (device ?? 'unknown').slice(0, 80)),
    async write(scope, place, work) {
      try {
        return await turns.take(place, work);
      } finally {
        summaries.want(scope);
      }
    },
    async freshen(transaction) {
      if ((await staleSummary(transaction)) === null) return;
      if (of.summaryPatienceMs > 0) await summaries.settle(transaction.scope, of.summaryPatienceMs);
      else summaries.want(transaction.scope);
    },
  };
}

/** For reading, without a transaction, in the scope of a request. */
export const readingFor = (context: HandlerContext, device: string | undefined): Transaction =>
  reading(context.database, context.actor(device));
