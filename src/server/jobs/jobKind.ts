import type { JobAsk, JobKindName, JobResults } from '@contract/jobs';
import type { Database } from '../persistence/database';
import type { StudioScope, Transaction } from '../persistence/scope';
import type { AnswerWith } from '../usecases/answer';
import type { Environment } from '../usecases/environment';
import type { Search } from './search';

/** What a work is done with. */
export interface WorkContext {
  database: Database;
  environment: Environment;
  scope: StudioScope;
  /** The work's id, which is also the key under which what it writes is written once. */
  id: string;
  /** Whether it was given up; whoever works looks from time to time, and throws {@link GivenUp} then. */
  isGivenUp(): boolean;
  /** Says how far it is: so much of so much. */
  tell(done: number, of: number): void;
  /**
   * Ends the work with its result, within the transaction that wrote it.
   * @throws GivenUp where it was given up: then nothing stays written
   */
  end(transaction: Transaction, result: object): Promise<void>;
  search: Search;
}

/** Thrown where a work was given up in the middle: nothing that it wrote stays. */
export class GivenUp extends Error {}

/** A kind of long work. To add one: a file beside this one, a line in the list, what it is asked in the contract. */
export interface JobKind<K extends JobKindName> {
  kind: K;
  /** The project that it is about, where there is one. */
  projectOf(asked: JobAsk<K>): string | null;
  /** Whose turn its writes wait for; null where it writes nothing. */
  writesIn: string | null;
  /** Does it; done twice it does the same once. */
  run(context: WorkContext, asked: JobAsk<K>): Promise<AnswerWith<JobResults[K]>>;
}
