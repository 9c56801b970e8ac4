import { randomUUID } from 'node:crypto';
import { addresses } from '@contract/addresses';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { newSlot } from '../core/plan/newRows';
import { pruneOld } from './persistence/sql/prune';
import { addStudio } from './persistence/studios';
import { held, holdAnswer } from './test/answersHold';
import { attic, freshStudio, nightstandOption, studioApp, type TestStudio } from './test/studio';
import { BusyError, Turns } from './usecases/turns';

const { own, studio } = await freshStudio();

const AS_OF = Date.parse('2026-06-01T13:00:00Z');
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

describe('writes in turn', () => {
  it('of one place follow one another, of others go beside them, and no more than so many at once', async () => {
    const turns = new Turns(2);
    const begun: string[] = [];
    let active = 0;
    let most = 0;
    const work = (place: string) =>
      turns.take(place, async () => {
        begun.push(place);
        active += 1;
        most = Math.max(most, active);
        await pause(5);
        active -= 1;
        return place;
      });
    const all = await Promise.all(['a', 'a', 'a', 'b', 'c', 'b'].map(work));
    expect(all).toEqual(['a', 'a', 'a', 'b', 'c', 'b']);
    expect(most).toBe(2);
    // The first of each place did not wait for those of another.
    expect(begun.slice(0, 2)).toEqual(['a', 'b']);
  });

  it('go on after one that failed, and its error is its own', async () => {
    const turns = new Turns(1);
    const failed = turns.take('a', () => Promise.reject(new Error('no')));
    const next = turns.take('a', () => Promise.resolve('yes'));
    await expect(failed).rejects.toThrow('no');
    expect(await next).toBe('yes');
  });

  it('turn away who comes when hundreds wait, as busy and not as gone', async () => {
    const turns = new Turns(1);
    let open = () => {};
    const gate = new Promise<void>((done) => {
      open = done;
    });
    const waiting = Array.from({ length: 400 }, () => turns.take('a', () => gate));
    await expect(turns.take('a', () => gate)).rejects.toBeInstanceOf(BusyError);
    open();
    await Promise.all(waiting);
    expect(await turns.take('a', () => Promise.resolve(1))).toBe(1);
  });

  it('eighty at once are all answered, and one who reads beside them too', async () => {
    const { projectId, slotId } = await attic(studio);
    const { projectId: quiet } = await attic(studio);
    const writes = Array.from({ length: 80 }, (_, n) =>
      studio.command(projectId, 'editSlot', { id: slotId, values: { note: `note ${n}` } }),
    );
    const reads = await Promise.all(
      Array.from({ length: 5 }, () => studio.send('GET', `/api/projects/${quiet}/snapshot`)),
    );
    expect(reads.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200]);
    expect(new Set((await Promise.all(writes)).map(({ status }) => status))).toEqual(new Set([200]));
    expect((await studio.rows(projectId)).slots[0]?.version).toBe(81);
  });
});

describe('two servers on one database', () => {
  it('never take for present what the other changed since', async () => {
    const other = studioApp(own.database, studio.studioId);
    const { projectId, spotId, slotId } = await attic(studio);
    for (let n = 0; n < 6; n += 1) {
      const writer = n % 2 === 0 ? studio : other;
      const answer = await writer.command(projectId, 'addSlot', {
        row: newSlot(randomUUID(), spotId, n + 2, `Slot ${n}`),
      });
      expect(answer.status).toBe(200);
    }
    // The other removes a slot; here it must not be filled any more.
    const here = nightstandOption(slotId);
    expect((await studio.command(projectId, 'addOption', here)).status).toBe(200);
    expect((await other.command(projectId, 'removeSlot', { id: slotId })).status).toBe(200);
    const late = await studio.command(projectId, 'addOption', nightstandOption(slotId));
    expect(late.status).toBe(422);
    const rows = await studio.rows(projectId);
    expect(rows.slots.map((slot) => slot.name).sort()).toEqual([0, 1, 2, 3, 4, 5].map((n) => `Slot ${n}`));
    // The same through both, in the same order: what each remembers is what stands there.
    expect(await other.rows(projectId)).toEqual(rows);
  });

  it('see a change in the house that the other made before they go on', async () => {
    const other = studioApp(own.database, studio.studioId);
    const { projectId } = await attic(studio);
    const { projectId: second } = await attic(other);
    const row = { id: randomUUID(), version: 1, name: 'Fern', lab: { L: 40, a: -20, b: 15 } };
    await studio.command(projectId, 'addColorCard', { row });
    await other.command(second, 'editColorCard', { id: row.id, values: { name: 'Deep fern' } });
    const stale = await studio.command(
      projectId,
      'editColorCard',
      { id: row.id, values: { name: 'Pale fern' } },
      { expect: { [`colorCards:${row.id}`]: 1 } },
    );
    expect(stale.status).toBe(409);
    expect(stale.json.conflicts[0].theirs.name).toBe('Deep fern');
  });
});

describe('what the start page shows', () => {
  it('follows each change beside the requests, and says so while it is not there yet', async () => {
    // A studio of its own, where nothing is summed up any more of what went before. One of its two servers waits for
    // no summary and makes none while the test runs, however slow the machine is; the other waits for all.
    const patient = studioApp(own.database, await addStudio(own.database, randomUUID(), 'Of this test'));
    const impatient = studioApp(own.database, patient.studioId, { summaryPatienceMs: 0, summaryGatherMs: 600_000 });
    const { projectId, slotId } = await attic(impatient);
    const option = nightstandOption(slotId);
    await impatient.command(projectId, 'addOption', option);
    await impatient.command(projectId, 'choose', {
      slotId,
      optionId: option.option.id,
      count: 1,
      fillId: randomUUID(),
    });
    const entryOf = async (of: TestStudio) =>
      (await of.send('GET', '/api/projects?limit=200')).json.projects.find(
        (entry: { id: string }) => entry.id === projectId,
      );
    expect((await entryOf(impatient)).isStale).toBe(true);
    const settled = await entryOf(patient);
    expect(settled.isStale).toBe(false);
    const plan = computePlan(await patient.rows(projectId), AS_OF);
    expect(settled.summary.money).toMatchObject({ planned: plan.purse.money.planned, free: plan.purse.money.free });
    expect(settled.summary.slots).toEqual({ all: 1, settled: 1 });
  });

  it('of all projects follows a change in the house', async () => {
    const { projectId } = await attic(studio);
    const list = async () => (await studio.send('GET', '/api/projects?limit=200')).json.projects;
    expect((await list()).every((entry: { isStale: boolean }) => !entry.isStale)).toBe(true);
    await studio.command(projectId, 'setTool', {
      tool: { id: randomUUID(), version: 1, toolId: 'respirator', owned: true, wear: 'good' },
    });
    const after = await list();
    expect(after.length).toBeGreaterThan(3);
    expect(after.every((entry: { isStale: boolean }) => !entry.isStale)).toBe(true);
  });
});

describe('what nobody asks for any more', () => {
  it('goes when a server starts: old keys, and what acts of long ago changed; the rest stays', async () => {
    const { projectId, slotId } = await attic(studio);
    const first = await studio.command(projectId, 'editSlot', { id: slotId, values: { note: 'first' } });
    const second = await studio.command(projectId, 'editSlot', { id: slotId, values: { note: 'second' } });
    const undone = await studio.command(projectId, 'undo', {
      actId: second.json.actId,
      reversalIds: Array.from({ length: 4 }, () => randomUUID()),
    });
    expect(undone.status).toBe(200);
    const { source } = own.database;
    await source.query('alter table "act" disable trigger act_is_record');
    await source.query(`update "act" set created_at = now() - interval '500 days' where id = any($1)`, [
      [first.json.actId, second.json.actId],
    ]);
    await source.query('alter table "act" enable trigger act_is_record');
    const key = randomUUID();
    await source.query(
      `insert into "request_key" (studio_id, key, body_hash, status, answer, created_at) values ($1, $2, 'x', 200, '{}', now() - interval '31 days')`,
      [studio.studioId, key],
    );
    for (const [state, ended] of [
      ['done', `now() - interval '31 days'`],
      ['done', 'now()'],
      ['waiting', 'null'],
    ] as const)
      await source.query(
        `insert into "long_job" (studio_id, id, kind, title, device, asked_hash, state, ended_at) values ($1, $2, 'balance', 'x', 'x', 'x', '${state}', ${ended})`,
        [studio.studioId, randomUUID()],
      );
    expect(await pruneOld(own.database)).toEqual({ keys: 1, jobs: 1, acts: 1 });
    const left: { id: string }[] = await source.query('select id from "act" where id = any($1)', [
      [first.json.actId, second.json.actId, undone.json.actId],
    ]);
    // The second stays: what took it back is not old yet.
    expect(left.map(({ id }) => id).sort()).toEqual([second.json.actId, undone.json.actId].sort());
    expect(await pruneOld(own.database)).toEqual({ keys: 0, jobs: 0, acts: 0 });
    await expect(source.query('delete from "act"')).rejects.toThrow();
  });
});

describe('what routes promise', () => {
  it('is held against every answer of these tests, and another shape is named', async () => {
    const before = held.count;
    await studio.send('GET', '/api/projects');
    expect(held.count).toBe(before + 1);
    expect(() =>
      holdAnswer('GET', '/api/projects', 200, JSON.stringify({ studioId: 'x', projects: [{ id: 1 }] })),
    ).toThrow('does not promise');
    expect(() => holdAnswer('GET', '/api/projects/x/snapshot', 404, JSON.stringify({ code: 'no such code' }))).toThrow(
      'does not promise',
    );
    expect(() => holdAnswer('GET', '/api/nowhere', 200, '{}')).toThrow('no endpoint');
  });

  it('stands in the document about it: every endpoint, with what it asks and answers', async () => {
    const { json } = await studio.send('GET', '/api/openapi.json');
    for (const { method, path } of Object.values(addresses)) {
      const operation = json.paths[path]?.[method];
      expect(operation?.responses['200'].description.length, `${method} ${path}`).toBeGreaterThan(10);
      expect(operation.responses['503']).toBeDefined();
      const places = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]);
      const inPath = (operation.parameters ?? []).filter((parameter: { in: string }) => parameter.in === 'path');
      expect(inPath.map((parameter: { name: string }) => parameter.name).sort()).toEqual(places.sort());
    }
    expect(json.paths['/api/commands'].post.requestBody.content['application/json'].schema).toBeDefined();
  });
});

describe('a project that cannot be summed up', () => {
  it('does not keep the others from it', async () => {
    const lines: string[] = [];
    const broken = await attic(studio);
    const fine = await attic(studio);
    await studio.send('GET', '/api/projects');
    // A time zone that no platform knows: its dates cannot be laid.
    await own.database.source.query(
      `update "project" set time_zone = 'Nowhere/At_all', revision = revision + 1 where id = $1`,
      [broken.projectId],
    );
    await studio.command(fine.projectId, 'editSlot', { id: fine.slotId, values: { note: 'later' } });
    await own.database.source.query(`update "project" set updated_at = now() where id = $1`, [broken.projectId]);
    const watched = studioApp(own.database, studio.studioId, {
      summaryPatienceMs: 25_000,
      log: (line) => lines.push(line),
    });
    const { projects } = (await watched.send('GET', '/api/projects?limit=200')).json;
    const staleOf = (id: string) => projects.find((entry: { id: string }) => entry.id === id)?.isStale;
    expect([staleOf(broken.projectId), staleOf(fine.projectId)]).toEqual([true, false]);
    expect(lines.some((line) => line.includes(`no summary of ${broken.projectId}`))).toBe(true);
    await own.database.source.query(`update "project" set time_zone = 'UTC' where id = $1`, [broken.projectId]);
  });
});
