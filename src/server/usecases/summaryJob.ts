import { setImmediate as nextTurn } from 'node:timers/promises';
import type { Database } from '../persistence/database';
import { staleSummary, storeSummary } from '../persistence/projects';
import { reading, type StudioScope, type Transaction } from '../persistence/scope';
import type { Planning } from '../planning/planning';
import type { Environment } from './environment';
import { type Known, rowsNow } from './known';

/** Between two summings up there is at least so much more time than the first took. */
const REST_FACTOR = 4;
/** How long changes are gathered before their projects are summed up unless said otherwise, in milliseconds. */
export const GATHER_MS = 150;

/** What summing up works with. */
interface SummaryWork {
  database: Database;
  environment: Environment;
  known: Known;
  plan: Planning;
  gatherMs?: number | undefined;
  log(line: string): void;
}

/**
 * Brings the summaries of projects up to date beside the requests: after each change of a project, and of all projects
 * after a change in the house. What is stale stands in the database, so nothing is forgotten when a server ends, and
 * several servers may work on it: at worst one does what another did.
 */
export class SummaryJob {
  private readonly of: SummaryWork;
  /** How long the last summing up took. */
  private lastMs = 0;
  private wanted: StudioScope | null = null;
  private running: Promise<void> | null = null;
  /** Ends the gathering that is under way. */
  private hurry: (() => void) | null = null;

  constructor(of: SummaryWork) {
    this.of = of;
  }

  /** Says that something may be stale; the work begins after a moment, once for all that was said by then. */
  want(scope: StudioScope): void {
    this.wanted = scope;
    this.running ??= this.run();
  }

  /** Gathers no longer and waits until all that is stale is summed up, though not longer than so many milliseconds. */
  async settle(scope: StudioScope, patienceMs: number): Promise<void> {
    this.want(scope);
    this.hurry?.();
    let timer: NodeJS.Timeout | undefined;
    const tired = new Promise<void>((done) => {
      timer = setTimeout(done, patienceMs);
    });
    await Promise.race([this.running, tired]);
    clearTimeout(timer);
  }

  private async run(): Promise<void> {
    while (this.wanted) {
      await this.gather();
      const scope = this.wanted;
      this.wanted = null;
      const began = performance.now();
      try {
        await this.catchUp(scope);
      } catch (error) {
        // What is stale stays stale and is taken up with the next change or look at the list.
        this.of.log(`summaries wait: ${(error as Error).message}`);
      }
      this.lastMs = performance.now() - began;
    }
    this.running = null;
  }

  private async sumUp(transaction: Transaction, projectId: string): Promise<void> {
    const state = await rowsNow(this.of.known, transaction, projectId);
    if (!state) return;
    const summary = await this.of.plan('summary', state.rows, this.of.environment.nowMs());
    await storeSummary(transaction, projectId, summary, state.tag);
  }

  private gather(): Promise<void> {
    return new Promise((done) => {
      // Where many write at once, most of the time is left to them.
      const timer = setTimeout(
        () => this.hurry?.(),
        Math.max(this.of.gatherMs ?? GATHER_MS, this.lastMs * REST_FACTOR),
      );
      this.hurry = () => {
        clearTimeout(timer);
        this.hurry = null;
        done();
      };
    });
  }

  /** Sums up what is stale, each project once: one that is being worked on comes again with the change under way. */
  private async catchUp(scope: StudioScope): Promise<void> {
    const transaction = reading(this.of.database, scope);
    const done: string[] = [];
    for (;;) {
      const projectId = await staleSummary(transaction, done);
      if (projectId === null) return;
      done.push(projectId);
      try {
        await this.sumUp(transaction, projectId);
      } catch (error) {
        // One that cannot be summed up does not stand in the way of the others.
        this.of.log(`no summary of ${projectId}: ${(error as Error).message}`);
      }
      await nextTurn();
    }
  }
}
