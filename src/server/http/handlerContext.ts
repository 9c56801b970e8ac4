import { Jobs, type Search } from '../jobs';
import type { Database } from '../persistence/database';
import { staleSummary } from '../persistence/projects';
import { reading, type StudioScope, studioScope, type Transaction } from '../persistence/scope';
import type { Planning } from '../planning/planning';
import type { Environment } from '../usecases/environment';
import { Identity } from '../usecases/identity';
import { type Known, nothingKnown } from '../usecases/known';
import { Studios } from '../usecases/studios';
import { SummaryJob } from '../usecases/summaryJob';
import { Turns } from '../usecases/turns';
import type { Sender } from './routes';

/** How many writes are at work at once: the pool's other connections are for those who read. */
const WRITES_AT_ONCE = 6;

/** What the handlers of all areas work with. */
export interface HandlerContext {
  database: Database;
  environment: Environment;
  studios: Studios;
  identity: Identity;
  known: Known;
  jobs: Jobs;
  plan: Planning;
  log(line: string): void;
  /** Whose rows a request may touch. */
  actor(sender: Sender): StudioScope;
  /** Does a write in its turn; afterwards the summaries follow. */
  write<T>(scope: StudioScope, place: string, work: () => Promise<T>): Promise<T>;
  /** Has stale summaries brought up to date; a list says which it shows are stale still. */
  freshen(transaction: Transaction): Promise<void>;
}

/** What is noted of who acted, at most so long. */
const MOST_DEVICE = 80;
const deviceOf = (name: string, device: string | undefined): string =>
  `${name.slice(0, MOST_DEVICE / 2)}, ${device ?? 'unknown'}`.slice(0, MOST_DEVICE);

/** Whose device that was, as it was noted; null where nobody was asked who they are. */
export const nameOfDevice = (device: string | null): string | null => {
  const comma = device?.lastIndexOf(', ') ?? -1;
  return device === null || comma < 0 ? null : device.slice(0, comma);
};

/** Makes it for one app. */
export function handlerContext(of: {
  database: Database;
  environment: Environment;
  studioId: string;
  retiredStudios: readonly string[] | undefined;
  summaryPatienceMs: number;
  summaryGatherMs: number | undefined;
  isAsked: boolean;
  search: Search;
  plan: Planning;
  log: (line: string) => void;
}): HandlerContext {
  const { database, environment, log } = of;
  const known = nothingKnown();
  const summaries = new SummaryJob({ database, environment, known, plan: of.plan, gatherMs: of.summaryGatherMs, log });
  const studios = new Studios(database, environment, of.studioId, of.retiredStudios);
  const turns = new Turns(WRITES_AT_ONCE);
  const write: HandlerContext['write'] = async (scope, place, work) => {
    try {
      return await turns.take(place, work);
    } finally {
      summaries.want(scope);
    }
  };
  return {
    database,
    environment,
    studios,
    identity: new Identity(database, environment, of.isAsked, log),
    known,
    plan: of.plan,
    log,
    // The one place that says who acts: whoever is signed in, in their studio; where nobody is asked, whoever has the page.
    actor: ({ device, studioId, asker }) =>
      asker.kind === 'person'
        ? studioScope(
            asker.session.person.studioId,
            deviceOf(asker.session.person.name, device),
            asker.session.person.role,
          )
        : studioScope(studioId ?? studios.openId, (device ?? 'unknown').slice(0, MOST_DEVICE)),
    write,
    jobs: new Jobs({ database, environment, search: of.search, log, write }),
    async freshen(transaction) {
      if ((await staleSummary(transaction)) === null) return;
      if (of.summaryPatienceMs > 0) await summaries.settle(transaction.scope, of.summaryPatienceMs);
      else summaries.want(transaction.scope);
    },
  };
}

/** For reading, without a transaction, in the scope of a request. */
export const readingFor = (context: HandlerContext, sender: Sender): Transaction =>
  reading(context.database, context.actor(sender));
