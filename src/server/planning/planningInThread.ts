import { Worker } from 'node:worker_threads';
import type { ProjectRows } from '@core/model/rows';
import type { ComputationName, Wanted } from './computations';
import type { Planning } from './planning';

/** What a thread that plans is asked, by a number of its own. */
export interface AskedOfThread {
  n: number;
  name: ComputationName;
  rows: ProjectRows;
  nowMs: number;
  wanted: Wanted<ComputationName>;
}
/** What it answers: what was computed, or why not. */
export type AnswerOfThread = { n: number; value: unknown } | { n: number; error: unknown };

interface Waiting {
  done(value: unknown): void;
  fail(error: unknown): void;
}
/** A thread that plans, with what it has not answered yet. */
interface Running {
  thread: Worker;
  waiting: Map<number, Waiting>;
}

/**
 * Plans in a thread of its own, so that whoever asks meanwhile is answered. A thread that ends fails what was asked of
 * it; the next thing that is asked starts another.
 * @param program what the thread runs: `planningThread`, as it was built
 */
export function planningInThread(program: URL): Planning {
  let running: Running | null = null;
  let last = 0;
  const start = (): Running => {
    const thread = new Worker(program);
    const waiting: Running['waiting'] = new Map();
    const started = { thread, waiting };
    const end = (error: Error) => {
      if (running === started) running = null;
      for (const { fail } of waiting.values()) fail(error);
      waiting.clear();
    };
    thread.on('message', (answer: AnswerOfThread) => {
      const waits = waiting.get(answer.n);
      waiting.delete(answer.n);
      if ('value' in answer) waits?.done(answer.value);
      else waits?.fail(answer.error);
    });
    thread.once('error', end);
    thread.once('exit', (code) => end(new Error(`what plans ended with ${code}`)));
    // It does not hold the end of the server back.
    thread.unref();
    return started;
  };
  return (name, rows, nowMs, ...wanted) => {
    running ??= start();
    const { thread, waiting } = running;
    last += 1;
    const n = last;
    return new Promise((done, fail) => {
      thread.postMessage({ n, name, rows, nowMs, wanted } satisfies AskedOfThread);
      // The thread answers what it was asked by this name: so it is of that kind.
      waiting.set(n, { done: done as Waiting['done'], fail });
    });
  };
}
