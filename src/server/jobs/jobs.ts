import { createHash } from 'node:crypto';
import type { JobState } from '@contract/jobState';
import type { JobAnswer, JobAsk, JobKindName, JobSeen } from '@contract/jobs';
import type { Role } from '@contract/permissions';
import type { Database } from '../persistence/database';
import {
  addJob,
  cancelJob,
  endJob,
  type JobKey,
  jobSeen,
  latestJobs,
  lostJobs,
  openJobs,
  putJobBack,
  type SeenJob,
  type StoredJob,
  takeJob,
  tellJob,
} from '../persistence/jobs';
import { inTransaction, reading, type StudioScope, studioScope } from '../persistence/scope';
import { doneOrRefused, Refusal, refused } from '../usecases/answer';
import type { Environment } from '../usecases/environment';
import { BusyError } from '../usecases/turns';
import { balanceJob } from './balanceJob';
import { importHouseJob } from './importHouseJob';
import { importProjectJob } from './importProjectJob';
import { GivenUp, type JobKind } from './jobKind';
import { Queue } from './queue';
import type { Search } from './search';

/** Every kind of long work. */
const kinds: { readonly [K in JobKindName]: JobKind<K> } = {
  importProject: importProjectJob,
  importHouse: importHouseJob,
  balance: balanceJob,
};

/** So many works of a studio may be open at once. */
const MOST_OPEN = 20;
/** A server that works says so this often, is missed after so long, and it is looked this often who is missed; ms. */
const BEAT_MS = 1000;
const SILENT_MS = 10_000;
const LOOK_MS = 5000;
/** A work that failed on our side so often is told as failed; so is one at which servers ended so often. */
const MOST_TRIES = 3;
const MOST_BEGUN = 6;

const seen = (job: SeenJob): JobSeen => ({
  id: job.id,
  kind: job.kind as JobKindName,
  title: job.title,
  projectId: job.projectId,
  state: job.state as JobState,
  done: job.done,
  of: job.of,
  startedAtMs: job.createdAt.getTime(),
  refusal: job.refusal as JobSeen['refusal'],
});

/** What long work needs from its surroundings. */
export interface JobSettings {
  database: Database;
  environment: Environment;
  search: Search;
  log(line: string): void;
  /** Does a write in its turn; afterwards the summaries follow. */
  write<T>(scope: StudioScope, place: string, work: () => Promise<T>): Promise<T>;
}

/**
 * Long work: noted in the database, done by whichever server has a hand free, told to whoever looks. A server that ends in
 * the middle is missed after a while, and another one does it anew: what it writes is written once for its id.
 */
export class Jobs {
  private readonly of: JobSettings;
  private readonly queue: Queue;
  private started: Promise<void> | null = null;
  private watch: ReturnType<typeof setInterval> | null = null;

  constructor(settings: JobSettings) {
    this.of = settings;
    this.queue = new Queue(settings.database);
  }

  /** Begins to do what is noted. */
  start(): Promise<void> {
    this.started ??= this.begin().catch((error: unknown) => {
      // The database may be gone for the moment: whoever asks next tries again.
      this.started = null;
      throw error;
    });
    return this.started;
  }

  private async begin(): Promise<void> {
    const { database } = this.of;
    database.beforeClosing(() => this.stop());
    await this.queue.start((kind, key) => this.work(kind as JobKindName, key));
    await this.missLost();
    this.watch = setInterval(() => void this.missLost(), LOOK_MS);
    this.watch.unref();
  }

  /** Does nothing more. */
  async stop(): Promise<void> {
    if (this.watch) clearInterval(this.watch);
    if (this.started) await this.queue.stop();
  }

  /** What a server left in the middle is passed on. */
  private async missLost(): Promise<void> {
    try {
      for (const { kind, ...key } of await lostJobs(this.of.database, SILENT_MS)) await this.queue.send(kind, key);
    } catch (error) {
      // The database is gone for the moment; it is looked at again soon.
      this.of.log(`long work waits: ${(error as Error).message}`);
    }
  }

  /**
   * Notes a work, once for its id.
   * @throws Refusal where the id was used for another work
   * @throws BusyError where too much waits already
   */
  async begun<K extends JobKindName>(
    scope: StudioScope,
    of: { id: string; kind: K; title: string; asked: JobAsk<K> },
  ): Promise<JobAnswer> {
    await this.start();
    const { id, kind, title, asked } = of;
    const askedHash = createHash('sha256').update(kind).update(JSON.stringify(asked)).digest('hex');
    const job = await inTransaction(this.of.database, scope, async (transaction) => {
      const before = await jobSeen(transaction, id);
      if (before) return before;
      if ((await openJobs(transaction)) >= MOST_OPEN) throw new BusyError('too much long work waits');
      const noted = await addJob(transaction, {
        id,
        kind,
        title,
        projectId: kinds[kind].projectOf(asked),
        asked,
        askedHash,
      });
      await this.queue.send(kind, { studioId: scope.studioId, id }, transaction);
      return { ...noted, result: null };
    });
    if (job.askedHash !== askedHash)
      throw new Refusal(
        refused('key.reused', { fields: [{ field: 'id', value: id, accepted: 'a new id for new work' }] }),
      );
    this.queue.look(kind);
    return { ...seen(job), result: job.result };
  }

  /** The latest works of a studio. */
  async latest(scope: StudioScope): Promise<JobSeen[]> {
    return (await latestJobs(reading(this.of.database, scope))).map(seen);
  }

  /**
   * How far a work is, and what came of it.
   * @throws Refusal where there is none such
   */
  async look(scope: StudioScope, id: string): Promise<JobAnswer> {
    const job = await jobSeen(reading(this.of.database, scope), id);
    if (!job) throw new Refusal(refused('notFound'));
    return { ...seen(job), result: job.result };
  }

  /** Gives a work up; one that has ended stays as it ended. */
  async cancel(scope: StudioScope, id: string): Promise<JobAnswer> {
    await cancelJob(reading(this.of.database, scope), id);
    return this.look(scope, id);
  }

  /** Does one that was noted. */
  private async work(kind: JobKindName, key: JobKey): Promise<void> {
    const job = await takeJob(this.of.database, key);
    // It has ended, or somebody else was quicker.
    if (!job) return;
    if (job.tries > MOST_BEGUN) return this.fail(key, new Error(`begun ${job.tries} times and never ended`));
    const far = { done: job.done, of: job.of };
    let isGivenUp = false;
    const beat = setInterval(() => {
      void tellJob(this.of.database, key, far).then(
        (goesOn) => {
          isGivenUp ||= !goesOn;
        },
        () => undefined,
      );
    }, BEAT_MS);
    try {
      await this.finish(kind, key, job, far, () => isGivenUp);
    } finally {
      clearInterval(beat);
    }
  }

  private async finish<K extends JobKindName>(
    kind: K,
    key: JobKey,
    job: StoredJob,
    far: { done: number; of: number },
    isGivenUp: () => boolean,
  ): Promise<void> {
    const { database, environment, search, write } = this.of;
    const scope = studioScope(job.studioId, job.device, job.role as Role | null);
    const refuse = async (refusal: object) => {
      await endJob(database.source.manager, key, { state: 'refused', refusal });
    };
    try {
      const { run, writesIn }: JobKind<K> = kinds[kind];
      const inTurn = <T>(does: () => Promise<T>) => (writesIn === null ? does() : write(scope, writesIn, does));
      const answer = await inTurn(() =>
        run(
          {
            database,
            environment,
            scope,
            id: job.id,
            isGivenUp,
            tell: (done, of) => Object.assign(far, { done, of }),
            end: async ({ manager }, result) => {
              if (!(await endJob(manager, key, { state: 'done', result }))) throw new GivenUp();
            },
            search,
          },
          // The schema of its kind has read it when it was noted.
          job.asked as JobAsk<K>,
        ),
      );
      await endJob(database.source.manager, key, { state: 'done', result: doneOrRefused<object>(answer) });
    } catch (error) {
      if (error instanceof GivenUp) return;
      if (error instanceof Refusal) return refuse(error.answer.body);
      if (job.tries < MOST_TRIES) {
        await putJobBack(database, key).catch(() => undefined);
        throw error;
      }
      await this.fail(key, error);
    }
  }

  /** Gives up on a work that goes wrong on our side each time. */
  private async fail(key: JobKey, error: unknown): Promise<void> {
    const { database, log } = this.of;
    log(`unexpected: ${(error as Error).stack ?? error}`);
    await endJob(database.source.manager, key, { state: 'refused', refusal: refused('unexpected').body });
  }
}
