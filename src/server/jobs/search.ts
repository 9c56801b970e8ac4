import { Worker } from 'node:worker_threads';
import type { BalanceJobAsk } from '@contract/jobs';
import type { ToldAnswer } from '@core/balance/toldPlan';
import type { ProjectRows } from '@core/model/rows';
import { GivenUp } from './jobKind';

/** What is searched. */
export interface SearchAsk {
  rows: ProjectRows;
  asOfMs: number;
  ask: BalanceJobAsk;
  seconds: number;
}

/**
 * Searches for the best plan.
 * @param tell is told how many seconds have gone
 * @throws GivenUp soon after it was given up
 */
export type Search = (
  asked: SearchAsk,
  tell: (seconds: number) => void,
  isGivenUp: () => boolean,
) => Promise<ToldAnswer>;

/** How often somebody is told, and it is looked whether the search was given up, ms. */
const TELL_MS = 1000;

/** Searches in a thread of its own, so that whoever asks meanwhile is answered; given up, the thread is ended. */
export const searchInThread =
  (program: URL): Search =>
  (asked, tell, isGivenUp) =>
    new Promise((found, failed) => {
      const began = performance.now();
      const thread = new Worker(program, { workerData: asked });
      const end = (settle: () => void) => {
        clearInterval(timer);
        void thread.terminate();
        settle();
      };
      const timer = setInterval(() => {
        if (isGivenUp()) end(() => failed(new GivenUp()));
        else tell((performance.now() - began) / 1000);
      }, TELL_MS);
      thread.once('message', (answer: ToldAnswer) => end(() => found(answer)));
      thread.once('error', (error) => end(() => failed(error)));
      thread.once('exit', (code) => end(() => failed(new Error(`the search ended with ${code} and no answer`))));
    });
