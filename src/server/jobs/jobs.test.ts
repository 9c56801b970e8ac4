import { randomUUID } from 'node:crypto';
import type { Balanced } from '@contract/jobs';
import { afterAll, describe, expect, it } from 'vitest';
import { openDatabase } from '../persistence/database';
import { jobEntity } from '../persistence/jobEntity';
import { addJob, takeJob } from '../persistence/jobs';
import { inTransaction, studioScope } from '../persistence/scope';
import { attic, freshStudio, nightstandOption, studioApp } from '../test/studio';

const { own, studio } = await freshStudio();
/** A second server on the same database. */
const second = await openDatabase(own.url, { migrate: false, poolSize: 4 });
afterAll(() => second.close());

const table = (text: string) => ({ kind: 'pieces', text, units: 'us', currency: 'USD', today: '2026-06-01' }) as const;
const named = async (words: string) =>
  (await studio.send('GET', `/api/house/pieces?words=${words}`)).json.total as number;
const begun = (body: object) => studio.send('POST', '/api/jobs', body);
const look = (id: string) => studio.send('GET', `/api/jobs/${id}`);
const start = (id: string, text: string, more: object = {}) =>
  begun({ id, kind: 'importHouse', title: 'cups.csv', asked: table(text), ...more });
/** Waits until something is so. */
async function until(so: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 600; tries += 1) {
    if (await so()) return;
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error('it never came to be');
}
const ended = (id: string, state: string) => until(async () => (await look(id)).json.state === state);

describe('long work', () => {
  it('is noted, done, told, and listed with the latest first', async () => {
    const id = randomUUID();
    const noted = await start(id, 'Name\nPewter cup\nPewter bowl');
    expect(noted.status).toBe(200);
    expect(noted.json).toMatchObject({ id, kind: 'importHouse', title: 'cups.csv', refusal: null });
    await ended(id, 'done');
    const { json } = await look(id);
    expect(json.result).toMatchObject({ counts: { new: 2 } });
    expect(await named('pewter')).toBe(2);
    const { jobs } = (await studio.send('GET', '/api/jobs')).json;
    expect(jobs[0]).toMatchObject({ id, state: 'done' });
    // What was asked is let go of.
    expect(await own.database.source.manager.findOneBy(jobEntity, { id })).toMatchObject({ asked: null });
  });

  it('asked for again under its id is done once; another work under that id is refused', async () => {
    const id = randomUUID();
    const all = await Promise.all([1, 2, 3].map(() => start(id, 'Name\nCopper cup')));
    expect(all.map(({ status }) => status)).toEqual([200, 200, 200]);
    await ended(id, 'done');
    expect((await start(id, 'Name\nCopper cup')).json.state).toBe('done');
    expect(await named('copper')).toBe(1);
    const other = await start(id, 'Name\nCopper jug');
    expect([other.status, other.json.code]).toEqual([422, 'key.reused']);
  });

  it('that is refused tells why in the words of a refusal, and writes nothing', async () => {
    const id = randomUUID();
    const file = { format: 'something else' };
    await begun({ id, kind: 'importProject', title: 'a file', asked: { mode: 'copy', file } });
    await ended(id, 'refused');
    expect((await look(id)).json).toMatchObject({ refusal: { code: 'file.unreadable' }, result: null });
  });

  it('names what is wrong with what is asked', async () => {
    const none = await begun({ id: randomUUID(), kind: 'paint', title: 'x', asked: {} });
    expect([none.status, none.json.fields[0].field]).toEqual([422, 'kind']);
    const blank = await start(randomUUID(), 'Name\nx', { title: ' ' });
    expect(blank.json.fields[0]).toMatchObject({ field: 'title', accepted: 'text of 1 to 200 characters' });
    expect((await look(randomUUID())).status).toBe(404);
  });

  it('of another studio is not there', async () => {
    const id = randomUUID();
    await start(id, 'Name\nTin cup');
    await ended(id, 'done');
    const other = studioApp(own.database, randomUUID());
    expect((await other.send('GET', `/api/jobs/${id}`)).status).toBe(404);
    expect((await other.send('POST', `/api/jobs/${id}/cancel`, {})).status).toBe(404);
  });

  it('given up in the middle leaves nothing written, and is never both given up and written', async () => {
    const lines = Array.from({ length: 6000 }, (_, n) => `Given cup ${n}`).join('\n');
    for (const waitMs of [0, 300, 900]) {
      const id = randomUUID();
      await start(id, `Name\n${lines}`);
      await new Promise((done) => setTimeout(done, waitMs));
      const before = await named('given');
      const { json } = await studio.send('POST', `/api/jobs/${id}/cancel`, {});
      expect(['cancelled', 'done']).toContain(json.state);
      // Whoever works on it learns of it within a second or two.
      await new Promise((done) => setTimeout(done, 2500));
      const now = (await look(id)).json;
      expect(now.state).toBe(json.state);
      expect(await named('given')).toBe(now.state === 'done' ? 6000 : before);
      if (now.state === 'done')
        await studio.command(studio.studioId, 'undo', { actId: now.result.actId, also: [], reversalIds: [] });
    }
  });

  it('that a server left in the middle is done by another one, once', async () => {
    const id = randomUUID();
    const scope = studioScope(studio.studioId, 'a server that ends');
    const key = { studioId: studio.studioId, id };
    const asked = table('Name\nLost cup\nLost bowl');
    await inTransaction(own.database, scope, (transaction) =>
      addJob(transaction, { id, kind: 'importHouse', title: 'lost.csv', projectId: null, asked, askedHash: 'x' }),
    );
    // It was taken, and nothing was heard of its server since.
    expect(await takeJob(own.database, key)).toMatchObject({ tries: 1, state: 'working' });
    await own.database.source.query(`update long_job set beat_at = now() - interval '1 hour' where id = $1`, [id]);
    await studioApp(second, studio.studioId).app.jobs.start();
    await ended(id, 'done');
    expect(await named('lost')).toBe(2);
    // A server that comes late with the same finds that it has ended.
    expect(await takeJob(own.database, key)).toBeNull();
  });

  it('at which servers ended again and again is told as failed, and not begun once more', async () => {
    const id = randomUUID();
    const scope = studioScope(studio.studioId, 'a server that ends');
    await inTransaction(own.database, scope, (transaction) =>
      addJob(transaction, {
        id,
        kind: 'importHouse',
        title: 'heavy.csv',
        projectId: null,
        asked: table('Name\nHeavy cup'),
        askedHash: 'x',
      }),
    );
    await own.database.source.query(
      `update long_job set tries = 6, state = 'working', beat_at = now() - interval '1 hour' where id = $1`,
      [id],
    );
    await ended(id, 'refused');
    expect((await look(id)).json.refusal.code).toBe('unexpected');
    expect(await named('heavy')).toBe(0);
  });

  it('is shared by two servers: each is done once, whoever is asked', async () => {
    const other = studioApp(second, studio.studioId);
    await other.app.jobs.start();
    const ids = Array.from({ length: 8 }, () => randomUUID());
    await Promise.all(
      ids.map((id, n) =>
        (n % 2 === 0 ? studio : other).send('POST', '/api/jobs', {
          id,
          kind: 'importHouse',
          title: `${n}`,
          asked: table(`Name\nShared cup ${n}`),
        }),
      ),
    );
    for (const id of ids) await ended(id, 'done');
    expect(await named('shared')).toBe(8);
  });

  it('too much of it at once is turned away as busy, and what was noted goes on', async () => {
    const scope = studioScope(studio.studioId, 'somebody');
    const ids = Array.from({ length: 20 }, () => randomUUID());
    await inTransaction(own.database, scope, async (transaction) => {
      for (const id of ids)
        await addJob(transaction, { id, kind: 'balance', title: 'x', projectId: null, asked: {}, askedHash: 'x' });
    });
    const turned = await start(randomUUID(), 'Name\nOne more');
    expect([turned.status, turned.json.code]).toEqual([503, 'server.busy']);
    for (const id of ids) await studio.send('POST', `/api/jobs/${id}/cancel`, {});
    const taken = await start(randomUUID(), 'Name\nOne more');
    expect(taken.status).toBe(200);
  });

  it('searches for the best plan, of the project as it stands', async () => {
    const { projectId, slotId } = await attic(studio);
    const found = nightstandOption(slotId);
    const added = await studio.command(projectId, 'addOption', found);
    expect(added.status, added.text).toBe(200);
    const { status, json } = await studio.work('balance', {
      projectId,
      goal: 'bestLook',
      limits: { cash: 5000, minutes: null, look: null },
      lockedSlotIds: [],
      leastLiking: 1,
      without: [],
    });
    expect(status).toBe(200);
    const { answer, tag } = json as Balanced;
    expect(tag).toBe(added.json.tag);
    expect(answer).toMatchObject({
      kind: 'found',
      open: null,
      changes: [{ slotId, to: [{ optionId: found.option.id, count: 1 }] }],
    });
    const gone = await studio.work('balance', {
      projectId: randomUUID(),
      goal: 'leastCash',
      limits: { cash: null, minutes: null, look: null },
      lockedSlotIds: [],
      leastLiking: 1,
      without: [],
    });
    expect(gone.status).toBe(404);
  });
});
