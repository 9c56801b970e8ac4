import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { newSlot, newSupply } from '../core/plan/newRows';
import { unknownPiece } from '../core/sourcing/unknownPiece';
import { createApp } from './http/app';
import { prepareQueue } from './jobs';
import { openDatabase } from './persistence/database';
import { APP_ROLE, ensureAppRole } from './persistence/sql/roles';
import { attic, freshStudio, HOST, studioApp, type TestStudio } from './test/studio';
import { acceptPhoto } from './usecases/acceptPhoto';

const { own, studio } = await freshStudio();

const command = (projectId: string, kind: string, payload: unknown, more: object = {}) =>
  studio.send('POST', '/api/commands', { key: randomUUID(), projectId, kind, payload, expect: {}, ...more });

describe('whatever is sent', () => {
  it.each([
    ['a NUL', 'a\u0000b'],
    ['half a character', 'a\ud83d'],
  ])('%s is refused at its field, in texts and in names', async (_what, text) => {
    const { projectId, slotId } = await attic(studio);
    const named = await command(projectId, 'editSlot', { id: slotId, values: { name: text } });
    expect([named.status, named.json.fields[0].field]).toEqual([422, 'payload.values.name']);
    const keyed = await command(projectId, 'editSlot', { id: slotId, values: { [text]: 1 } });
    expect(keyed.status).toBe(422);
    const searched = await studio.send('GET', `/api/house/pieces?words=${encodeURIComponent('a\u0000b')}`);
    expect(searched.status).toBe(422);
    const copied = await studio.send('POST', `/api/projects/${projectId}/copy`, {
      id: randomUUID(),
      kind: 'duplicate',
      name: text,
    });
    expect(copied.status).toBe(422);
  });

  it('a body nested without end is refused, not followed', async () => {
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    const answer = await studio.send('POST', '/api/commands', `{"key":${deep}}`);
    expect([answer.status, answer.json.fields[0].accepted]).toEqual([422, 'values at most 40 deep']);
  });

  it('a body that is too large for its route is refused by its size, copies too', async () => {
    const { projectId } = await attic(studio);
    const large = 'x'.repeat(2_200_000);
    const copy = { id: randomUUID(), kind: 'duplicate', name: large };
    expect((await studio.send('POST', `/api/projects/${projectId}/copy`, copy)).status).toBe(413);
    expect((await command(projectId, 'editSlot', { text: large })).status).toBe(413);
  });

  it('more expectations than anybody has are refused by their number', async () => {
    const { projectId, slotId } = await attic(studio);
    const expect_ = Object.fromEntries(Array.from({ length: 501 }, () => [`slots:${randomUUID()}`, 1]));
    const answer = await command(projectId, 'editSlot', { id: slotId, values: {} }, { expect: expect_ });
    expect([answer.status, answer.json.fields[0].accepted]).toEqual([422, 'versions of at most 500 rows']);
  });

  it('no nonsense ends in a fault of ours', async () => {
    const { projectId } = await attic(studio);
    const paths = [
      ['POST', '/api/commands'],
      ['POST', '/api/jobs'],
      ['POST', `/api/projects/${projectId}/copy`],
      ['POST', '/api/house/import/preview'],
    ] as const;
    await fc.assert(
      fc.asyncProperty(fc.nat(3), fc.json({ maxDepth: 4 }), async (which, text) => {
        const [method, path] = paths[which] ?? paths[0];
        const answer = await studio.send(method, path, text);
        expect(answer.status).toBeGreaterThanOrEqual(400);
        expect(answer.status).toBeLessThan(500);
      }),
      { numRuns: 150, seed: 5 },
    );
    for (const path of [
      '/api/projects?limit=9&offset=1e300',
      '/api/projects?limit=-1',
      '/api/house/pieces?offset=99999999999999999999',
      '/api/house/pieces?minHeight=1e999',
      '/api/house/risers?gapMm=NaN',
      '/api/projects/none/snapshot',
      `/api/photos/${randomUUID()}/full`,
    ])
      expect((await studio.send('GET', path)).status).toBeLessThan(500);
  });

  it('house commands to a project, project commands to the house, and unknown kinds are answered with a reason', async () => {
    const { projectId, slotId } = await attic(studio);
    const gap = { id: randomUUID(), values: { done: true } };
    expect((await command(projectId, 'editGap', gap)).status).toBe(422);
    expect((await command(studio.studioId, 'editSlot', { id: slotId, values: { name: 'x' } })).status).toBe(422);
    expect((await command(studio.studioId, 'createProject', {})).status).toBe(422);
    expect((await command(studio.studioId, 'undo', { actId: randomUUID(), reversalIds: [] })).status).toBe(404);
    expect((await command(projectId, 'paintItBlack', {})).status).toBe(422);
  });

  it('an edit by another project’s id, and a row with an id of somewhere else, are refused', async () => {
    const [mine, other] = [await attic(studio), await attic(studio)];
    const edit = { id: other.projectId, values: { name: 'Stolen' } };
    const stolen = await command(mine.projectId, 'editProject', edit);
    expect([stolen.status, stolen.json.fields[0].field]).toEqual([422, 'id']);
    expect((await studio.rows(other.projectId)).project.name).not.toBe('Stolen');
    const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
    const piece = unknownPiece(other.slotId, 'A vase', locale);
    expect((await command(studio.studioId, 'addPieces', { pieces: [piece] })).status).toBe(422);
    const slot = newSlot(other.slotId, mine.spotId, 9, 'Twice');
    expect((await command(mine.projectId, 'addSlot', { row: slot })).status).toBe(422);
    const goesOn = { id: other.slotId, values: { name: 'Still fine' } };
    expect((await command(other.projectId, 'editSlot', goesOn)).status).toBe(200);
  });
});

describe('many at once', () => {
  const can = (amount: number) => ({ supply: newSupply(randomUUID(), 'chalk', null, 'satin'), packs: [], amount });

  it('house commands do not wait for each other in a circle', async () => {
    const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
    const pieces = Array.from({ length: 6 }, (_, n) => unknownPiece(randomUUID(), `Jug ${n}`, locale));
    await command(studio.studioId, 'addPieces', { pieces });
    const edits = Array.from({ length: 24 }, (_, n) =>
      command(studio.studioId, 'editPiece', { id: pieces[n % 6]?.id, values: { box: `box ${n}` } }),
    );
    const removals = [
      command(studio.studioId, 'removePieces', { ids: [...pieces].reverse().map((piece) => piece.id) }),
    ];
    for (const answer of await Promise.all([...edits, ...removals])) expect(answer.status).toBeLessThan(500);
  });

  it('two devices that make the same supply make one', async () => {
    const { projectId } = await attic(studio);
    const requests = [can(1), can(2), can(3)];
    const answers = await Promise.all(
      requests.map(({ supply }) =>
        command(projectId, 'buySupply', { supply, amount: 100, paid: 500, ledgerId: randomUUID(), atMs: 1 }),
      ),
    );
    expect(answers.map((answer) => answer.status)).toEqual([200, 200, 200]);
    const { supplies } = await studio.rows(projectId);
    const same = supplies.filter((row) => row.kindId === 'chalk' && row.sheen === 'satin' && row.colorCardId === null);
    expect(same).toMatchObject([{ stash: { state: 'exact', amount: 300 } }]);
  });

  it('an import into the house does not stop a project', async () => {
    const { projectId, slotId } = await attic(studio);
    const lines = Array.from({ length: 6000 }, (_, n) => `Plate ${randomUUID().slice(0, 8)} ${n}`);
    let imported = false;
    const importing = studio
      .work('importHouse', {
        kind: 'pieces',
        text: `Name\n${lines.join('\n')}`,
        units: 'us',
        currency: 'USD',
        today: '2026-06-01',
      })
      .then((answer) => {
        imported = true;
        return answer;
      });
    let meanwhile = 0;
    for (let n = 0; n < 200 && !imported; n += 1) {
      const answer = await command(projectId, 'editSlot', { id: slotId, values: { note: `note ${n}` } });
      expect(answer.status).toBe(200);
      if (!imported) meanwhile += 1;
    }
    expect((await importing).json.counts.new).toBe(6000);
    expect(meanwhile).toBeGreaterThan(2);
  });
});

describe('a database in trouble', () => {
  it('that is full says so with 503, and the same request goes through when there is room', async () => {
    const { projectId, slotId } = await attic(studio);
    const sql = (text: string) => own.database.source.query(text);
    await sql(
      `create function no_room() returns trigger language plpgsql as $$ begin raise exception 'could not extend file' using errcode = '53100'; end $$`,
    );
    await sql('create trigger no_room before update on "slot" for each row execute function no_room()');
    const key = randomUUID();
    const edit = () => command(projectId, 'editSlot', { id: slotId, values: { name: 'Later' } }, { key });
    const full = await edit();
    expect([full.status, full.json.code, full.headers.get('retry-after')]).toEqual([503, 'database.full', '2']);
    await sql('drop trigger no_room on "slot"');
    await sql('drop function no_room');
    expect((await edit()).status).toBe(200);
  });

  it('that does not answer in time is 503 too, and health answers meanwhile', async () => {
    const slow = await openDatabase(own.url, { migrate: false, queryLimitMs: 900, poolSize: 3 });
    const holder = await openDatabase(own.url, { migrate: false, poolSize: 1 });
    try {
      const lone = studioApp(slow, studio.studioId);
      const { projectId, slotId } = await attic(studio);
      const held = holder.source.createQueryRunner();
      await held.startTransaction();
      await held.query('lock table "slot" in access exclusive mode');
      const edit = lone.command(projectId, 'editSlot', { id: slotId, values: { name: 'Waits' } });
      const health = await lone.send('GET', '/api/health');
      expect(health.status).toBe(200);
      const answer = await edit;
      expect([answer.status, answer.json.code]).toEqual([503, 'database.gone']);
      await held.rollbackTransaction();
      await held.release();
      const again = await lone.command(projectId, 'editSlot', { id: slotId, values: { name: 'Goes' } });
      expect(again.status).toBe(200);
    } finally {
      await slow.close();
      await holder.close();
    }
  });
});

describe('the role that the app works in', () => {
  it('writes and changes rows, and can neither empty tables, alter them, nor touch records', async () => {
    expect(await ensureAppRole(own.database)).toBe(APP_ROLE);
    await prepareQueue(own.database, APP_ROLE);
    const limited = await openDatabase(own.url, { migrate: false, role: APP_ROLE, poolSize: 3 });
    try {
      const lone = studioApp(limited, studio.studioId);
      const { projectId, slotId } = await attic(lone as TestStudio);
      expect((await lone.command(projectId, 'editSlot', { id: slotId, values: { name: 'Fine' } })).status).toBe(200);
      const answered = await lone.work('importHouse', {
        kind: 'pieces',
        text: `Name\n${Array.from({ length: 1100 }, (_, n) => `Cup ${n}`).join('\n')}`,
        units: 'us',
        currency: 'USD',
        today: '2026-06-01',
      });
      expect(answered.json.counts.new).toBe(1100);
      for (const sql of [
        'truncate "act"',
        'truncate "slot" cascade',
        'delete from "slot"',
        'update "ledger_line" set amount = 1',
        'update "act" set kind = null',
        'alter table "slot" add column x int',
        'drop table "act"',
        'alter table "ledger_line" disable trigger all',
      ])
        await expect(limited.source.query(sql)).rejects.toThrow(/permission denied|must be owner/);
    } finally {
      await limited.close();
    }
  });
});

describe('what answers say of themselves', () => {
  const policy = /base-uri 'none'.*form-action 'self'/;
  it('stands on refusals too', async () => {
    const outsider = await studio.send('GET', '/api/projects', undefined, { host: 'evil.example' });
    expect(outsider.status).toBe(403);
    expect(outsider.headers.get('content-security-policy')).toMatch(policy);
    expect(outsider.headers.get('x-content-type-options')).toBe('nosniff');
    expect((await studio.send('GET', '/api/nowhere')).headers.get('content-security-policy')).toMatch(policy);
  });

  it.each([['cross-site'], ['same-site']])('a read from another page (%s) is refused', async (site) => {
    for (const path of ['/api/projects', '/api/house', '/api/openapi.json'])
      expect((await studio.send('GET', path, undefined, { 'sec-fetch-site': site })).status).toBe(403);
  });

  it('a file that is not there is not there; the page itself answers for its own addresses, from anywhere', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'euporia-web-'));
    try {
      mkdirSync(join(folder, 'assets'));
      writeFileSync(join(folder, 'index.html'), '<title>Euporia</title>');
      writeFileSync(join(folder, 'assets', 'app-1.js'), '1');
      const app = createApp({
        database: own.database,
        studioId: studio.studioId,
        allowedHosts: new Set([HOST]),
        webFolder: folder,
        environment: { nowMs: () => 0, newId: () => randomUUID() },
      });
      const get = (path: string, headers: Record<string, string> = {}) =>
        app.request(`http://${HOST}${path}`, { headers: { host: HOST, ...headers } });
      const missing = await get('/assets/app-0.js');
      expect([missing.status, missing.headers.get('cache-control')]).toEqual([404, 'no-store']);
      expect(await missing.text()).not.toContain('<title>');
      expect((await get('/favicon.png')).status).toBe(404);
      const page = await get(`/p/${randomUUID()}/brief`, { 'sec-fetch-site': 'cross-site' });
      expect([page.status, page.headers.get('cache-control')]).toEqual([200, 'no-cache']);
      expect((await get('/assets/app-1.js')).headers.get('cache-control')).toContain('immutable');
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe('a photo as AVIF', () => {
  it('is read as promised', async () => {
    const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#2f5d62' } })
      .avif()
      .toBuffer();
    const accepted = await acceptPhoto('door.avif', bytes);
    expect(accepted.ok && [accepted.photo.mime, accepted.photo.widthPx]).toEqual(['image/jpeg', 40]);
  });
});
