import { jobKindNames } from '@contract/jobs';
import PgBoss from 'pg-boss';
import type { Database } from '../persistence/database';
import type { JobKey } from '../persistence/jobs';
import type { Transaction } from '../persistence/scope';
import { queueDb } from '../persistence/sql/queueDb';
import { APP_ROLE } from '../persistence/sql/roles';
import { statement } from '../persistence/sql/statement';

/** The part of the database that belongs to the queue. */
const SCHEMA = 'long_work';
/** How often a server looks for work that another one noted, seconds; its own it is told of at once. */
const LOOK_SECONDS = 2;
/** How long a server that ends waits for what is under way, ms. */
const PATIENCE_MS = 1500;
/** What nobody finished within so long is given to somebody else, seconds: longer than the longest work may take. */
const GIVEN_FOR_SECONDS = 30 * 60;

const bossOver = (database: Database, isOwner: boolean) =>
  new PgBoss({
    db: queueDb(database.source.manager),
    schema: SCHEMA,
    migrate: isOwner,
    // What is over is cleared away by servers as they go; nothing is begun by the clock.
    supervise: !isOwner,
    schedule: false,
  });

/** Makes the queue's tables, or brings them up to date, by the owner of the database; the app may then work with them. */
export async function prepareQueue(owner: Database, role: string | null): Promise<void> {
  const boss = bossOver(owner, true);
  boss.on('error', () => undefined);
  await boss.start();
  for (const kind of jobKindNames)
    await boss.createQueue(kind, {
      name: kind,
      policy: 'short',
      retryLimit: 2,
      retryDelay: 5,
      expireInSeconds: GIVEN_FOR_SECONDS,
    });
  await boss.stop({ close: false, graceful: false });
  if (role === APP_ROLE)
    for (const right of [
      `grant usage on schema ${SCHEMA} to ${role}`,
      `grant select, insert, update, delete on all tables in schema ${SCHEMA} to ${role}`,
      `grant execute on all functions in schema ${SCHEMA} to ${role}`,
    ])
      await statement(owner.source, right);
}

/** A pause that somebody may end, also just before it begins. */
class Pause {
  private isOver = false;
  private end: () => void = () => undefined;

  async wait(ms: number): Promise<void> {
    if (!this.isOver) await this.rest(ms);
    this.isOver = false;
  }

  private rest(ms: number): Promise<void> {
    return new Promise((done) => {
      const timer = setTimeout(done, ms);
      this.end = () => {
        clearTimeout(timer);
        done();
      };
    });
  }

  over(): void {
    this.isOver = true;
    this.end();
  }
}

/**
 * Work that waits in the database, for whichever server has a hand free. A database that is gone is looked for again:
 * what could not be said of a work is seen by whoever misses it.
 */
export class Queue {
  private readonly boss: PgBoss;
  private readonly pauses = new Map<string, Pause>();
  private loops: Promise<void>[] = [];
  private isStopped = false;

  constructor(database: Database) {
    this.boss = bossOver(database, false);
    this.boss.on('error', () => undefined);
  }

  /**
   * Begins to work: one of each kind at a time on this server.
   * @param work does what is noted under a key; throws where it shall be tried again
   */
  async start(work: (kind: string, key: JobKey) => Promise<void>): Promise<void> {
    await this.boss.start();
    this.loops = jobKindNames.map((kind) => this.loop(kind, work));
  }

  private async loop(kind: string, work: (kind: string, key: JobKey) => Promise<void>): Promise<void> {
    const pause = new Pause();
    this.pauses.set(kind, pause);
    while (!this.isStopped) {
      const [next] = await this.boss.fetch<JobKey>(kind).catch(() => []);
      if (next) await this.does(kind, next, work);
      else await pause.wait(LOOK_SECONDS * 1000);
    }
  }

  private async does(
    kind: string,
    { id, data }: PgBoss.Job<JobKey>,
    work: (kind: string, key: JobKey) => Promise<void>,
  ): Promise<void> {
    const isDone = await work(kind, data).then(
      () => true,
      () => false,
    );
    await (isDone ? this.boss.complete(kind, id) : this.boss.fail(kind, id)).catch(() => undefined);
  }

  /** Notes that something is to be done; within a transaction it is noted if that one comes to a good end. */
  async send(kind: string, key: JobKey, within?: Transaction): Promise<void> {
    const once = { singletonKey: key.id };
    await this.boss.send(kind, { ...key }, within ? { ...once, db: queueDb(within.manager) } : once);
  }

  /** Has this server look at once. */
  look(kind: string): void {
    this.pauses.get(kind)?.over();
  }

  /** Takes nothing more on, and waits a moment for what is under way; what is not done by then goes on elsewhere. */
  async stop(): Promise<void> {
    this.isStopped = true;
    for (const pause of this.pauses.values()) pause.over();
    await Promise.race([Promise.all(this.loops), new Promise((tired) => setTimeout(tired, PATIENCE_MS).unref())]);
    await this.boss.stop({ close: false, graceful: false });
  }
}
