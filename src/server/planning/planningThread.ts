import { parentPort } from 'node:worker_threads';
import { planningHere } from './planning';
import type { AnswerOfThread, AskedOfThread } from './planningInThread';

/** Plans in a thread of its own: it is asked one thing after the other, and remembers what it computed. */
const plan = planningHere();
const answer = (told: AnswerOfThread) => parentPort?.postMessage(told);
parentPort?.on('message', ({ n, name, rows, nowMs, wanted }: AskedOfThread) => {
  plan(name, rows, nowMs, ...wanted).then(
    (value) => answer({ n, value }),
    (error: unknown) => answer({ n, error }),
  );
});
