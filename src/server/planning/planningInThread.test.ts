import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { describe, expect, it } from 'vitest';
import { temporaryFolder } from '../../../scripts/lib/temporary.mjs';
import { furnishedRoom } from '../../core/fixtures/furnishedRoom';
import type { Planning } from './planning';
import { planningInThread } from './planningInThread';

/** A thread that does what it is asked by the time: answers late, fails, or ends. What it really computes has tests of its own. */
const program = join(temporaryFolder('euporia-thread'), 'thread.mjs');
writeFileSync(
  program,
  `import { parentPort, threadId } from 'node:worker_threads';
   parentPort.on('message', ({ n, name, nowMs, wanted }) => {
     if (nowMs < 0) process.exit(3);
     if (nowMs === 0) return parentPort.postMessage({ n, error: new Error('no such plan') });
     setTimeout(() => parentPort.postMessage({ n, value: { name, nowMs, wanted, threadId } }), nowMs);
   });`,
);
const rows = furnishedRoom();
const link = { showsCosts: false, showsPhotos: false, expiresAt: new Date(5) };
const planned = () => planningInThread(pathToFileURL(program));
/** Which thread answers. */
async function threadOf(plan: Planning): Promise<unknown> {
  const told: object = await plan('summary', rows, 1);
  return 'threadId' in told ? told.threadId : null;
}

describe('planning in a thread', () => {
  it('gives each who asks their own answer, in whatever order they come', async () => {
    const plan = planned();
    const answers = await Promise.all([
      plan('summary', rows, 60),
      plan('sheet', rows, 5, link),
      plan('summary', rows, 1),
    ]);
    expect(answers).toMatchObject([
      { name: 'summary', nowMs: 60, wanted: [] },
      { name: 'sheet', nowMs: 5, wanted: [link] },
      { name: 'summary', nowMs: 1, wanted: [] },
    ]);
  });

  it('fails what cannot be computed, and nothing else', async () => {
    const plan = planned();
    const [failed, other] = await Promise.allSettled([plan('summary', rows, 0), plan('summary', rows, 1)]);
    expect(failed).toMatchObject({ status: 'rejected', reason: { message: 'no such plan' } });
    expect(other.status).toBe('fulfilled');
  });

  it('fails what was asked of a thread that ends, and goes on in another', async () => {
    const plan = planned();
    const first = await threadOf(plan);
    const all = await Promise.allSettled([plan('summary', rows, 10_000), plan('summary', rows, -1)]);
    expect(all.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
    expect(all[0]).toMatchObject({ reason: { message: 'what plans ended with 3' } });
    const next = await threadOf(plan);
    expect([typeof first, typeof next]).toEqual(['number', 'number']);
    expect(next).not.toBe(first);
  });

  it('refuses what cannot be handed over, and goes on', async () => {
    const plan = planned();
    const odd = Object.assign({ ...rows }, { spots: [() => 1] });
    await expect(plan('summary', odd, 1)).rejects.toThrow(/could not be cloned/);
    expect(await plan('summary', rows, 1)).toMatchObject({ nowMs: 1 });
  });
});
