import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { fileURLToPath } from 'node:url';
import { computePlan } from '@core/plan/computePlan';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import yazl from 'yazl';
import { billBody } from '../core/fixtures/bills';
import { seedDemo } from './demo/seedDemo';
import { studioScope } from './persistence/scope';
import { attic, freshStudio, HOST } from './test/studio';
import { type Archive, openArchive } from './usecases/archive';

const { own, studio } = await freshStudio();
const NOW = Date.parse('2026-10-03T08:00:00Z');
const folder = mkdtempSync(join(tmpdir(), 'euporia-studio-test-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const inStudio = (id: string) => ({ 'x-studio': id });
const get = (path: string, studioId: string) => studio.send('GET', path, undefined, inStudio(studioId));

/** The file of a studio, opened by a ZIP library. */
async function saved(studioId: string): Promise<{ bytes: Buffer; archive: Archive }> {
  const answer = await studio.app.request(`http://${HOST}/api/studio/file`, {
    headers: { host: HOST, 'x-device': 'test', ...inStudio(studioId) },
  });
  expect(answer.status).toBe(200);
  const bytes = Buffer.from(await answer.arrayBuffer());
  const path = join(folder, `${randomUUID()}.zip`);
  writeFileSync(path, bytes);
  return { bytes, archive: await openArchive(path) };
}

async function bring(bytes: Buffer) {
  const answer = await studio.app.request(`http://${HOST}/api/studios/file`, {
    method: 'PUT',
    headers: { host: HOST, 'x-device': 'test', 'content-type': 'application/zip' },
    body: new Uint8Array(bytes),
  });
  return { status: answer.status, json: await answer.json() };
}

const most = 1e9;
const json = async (archive: Archive, name: string) => JSON.parse((await archive.read(name, most)).toString('utf8'));

/** The parts of an archive, without what says when it was written and how often a row was. */
async function contents(archive: Archive): Promise<Record<string, unknown>> {
  const parts: Record<string, unknown> = {};
  for (const name of [...archive.names].sort()) {
    if (name === 'studio.json') continue;
    parts[name] = name.endsWith('.json')
      ? JSON.parse(
          JSON.stringify(await json(archive, name), (key, value) =>
            key === 'version' && Number.isInteger(value) ? 0 : value,
          ),
        )
      : (await archive.read(name, most)).toString('base64');
  }
  return parts;
}

/** An archive with some parts changed, or left out. */
async function changed(archive: Archive, change: Record<string, ((before: Buffer) => Buffer) | null>): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const name of archive.names) {
    const how = change[name];
    if (how === null) continue;
    const bytes = await archive.read(name, most);
    zip.addBuffer(how ? how(bytes) : bytes, name);
  }
  zip.end();
  return buffer(zip.outputStream);
}

let first: { bytes: Buffer; archive: Archive };
let broughtId = '';
beforeAll(async () => {
  await seedDemo(
    own.database,
    studioScope(studio.studioId, 'demo'),
    fileURLToPath(new URL('../../demo', import.meta.url)),
    {
      nowMs: () => NOW,
      newId: () => randomUUID(),
    },
  );
  // What travels in no project file: a bill, its client's payment, a box, a wish; and a removed project with a bill.
  for (const isRemoved of [false, true]) {
    const { projectId } = await attic(studio);
    const [draftId, billId] = [randomUUID(), randomUUID()];
    const line = {
      id: randomUUID(),
      what: 'x',
      quantityThousandths: 1000,
      unit: '',
      unitPrice: 900,
      taxThousandths: 0,
    };
    const row = { id: draftId, version: 1, kind: 'invoice' as const, body: billBody({ lines: [line] }) };
    await studio.command(projectId, 'addBillDraft', { row });
    await studio.command(projectId, 'issueBill', { draftId, billId, issuedOn: '2026-06-01', doneOn: null });
    const payment = { id: randomUUID(), version: 1, onDate: '2026-06-02', amount: 900, what: '', billId };
    await studio.command(projectId, 'addClientPayment', { row: payment });
    if (isRemoved) await studio.command(projectId, 'removeProject', { id: projectId });
  }
  first = await saved(studio.studioId);
  const { status, json: answer } = await bring(first.bytes);
  expect(status).toBe(200);
  broughtId = answer.studios.find(({ isOpen }: { isOpen: boolean }) => isOpen).id;
}, 60_000);

describe('a studio as a file', () => {
  it('has the house, every project and every picture, under names that anybody understands', async () => {
    const names = first.archive.names;
    expect(names.slice(0, 2)).toEqual(['studio.json', 'house.json']);
    expect(names.filter((name) => name.startsWith('projects/'))).toHaveLength(7);
    expect(names.filter((name) => name.startsWith('photos/')).length).toBeGreaterThan(0);
    expect(await json(first.archive, 'studio.json')).toMatchObject({ format: 'euporia.studio', name: 'Studio' });
    const house = await json(first.archive, 'house.json');
    expect(house.pieces.length).toBeGreaterThan(20);
  });

  it('becomes the same studio again: every row, every picture, byte by byte; and so on without end', async () => {
    expect(broughtId).not.toBe(studio.studioId);
    const second = await saved(broughtId);
    expect(await contents(second.archive)).toEqual(await contents(first.archive));
  });

  it('comes to the same plans, to the cent', async () => {
    const list = async (id: string) =>
      ((await get('/api/projects?limit=200', id)).json.projects as { id: string; name: string }[])
        .map((one) => one.id)
        .sort();
    const ids = await list(studio.studioId);
    expect(await list(broughtId)).toEqual(ids);
    for (const id of ids) {
      const of = async (studioId: string) => {
        const { presentRows } = await import('@core/formats/project/presentRows');
        const rows = presentRows((await get(`/api/projects/${id}/snapshot`, studioId)).json);
        const { money, hands } = computePlan(rows, NOW).purse;
        return { money, hands };
      };
      expect(await of(broughtId)).toEqual(await of(studio.studioId));
    }
  });

  it('keeps the bills of a removed project, and goes on after the last number', async () => {
    const bills = (await get('/api/bills?limit=200', broughtId)).json.bills;
    expect(bills.map(({ isRemoved }: { isRemoved: boolean }) => isRemoved).sort()).toEqual([false, true]);
    expect(bills.map(({ paid }: { paid: number }) => paid)).toEqual([900, 900]);
    const { projects } = (await get('/api/projects?limit=200', broughtId)).json;
    const projectId = projects[0].id;
    const [draftId, billId] = [randomUUID(), randomUUID()];
    const line = { id: randomUUID(), what: 'x', quantityThousandths: 1000, unit: '', unitPrice: 1, taxThousandths: 0 };
    const command = (kind: string, payload: unknown) =>
      studio.send(
        'POST',
        '/api/commands',
        { key: randomUUID(), projectId, kind, payload, expect: {} },
        inStudio(broughtId),
      );
    await command('addBillDraft', {
      row: { id: draftId, version: 1, kind: 'invoice', body: billBody({ lines: [line] }) },
    });
    const issued = await command('issueBill', { draftId, billId, issuedOn: '2026-06-01', doneOn: null });
    const row = issued.json.rows.find(({ table }: { table: string }) => table === 'bills').row;
    expect(row.number).toBe(3);
  });
});

describe('a file that is not whole', () => {
  const edit = (change: (parsed: Record<string, unknown>) => unknown) => (before: Buffer) =>
    Buffer.from(JSON.stringify(change(JSON.parse(before.toString('utf8')))));
  const project = () => first.archive.names.find((name) => name.startsWith('projects/')) ?? '';
  const photo = () => first.archive.names.find((name) => name.startsWith('photos/')) ?? '';
  const cases: [string, () => Promise<Buffer>, RegExp][] = [
    ['no archive', async () => Buffer.from('a text'), /the file/],
    ['cut off', async () => first.bytes.subarray(0, Math.floor(first.bytes.length / 2)), /the file/],
    ['without its house', () => changed(first.archive, { 'house.json': null }), /house\.json/],
    [
      'of a newer Euporia',
      () => changed(first.archive, { 'studio.json': edit((index) => ({ ...index, formatVersion: 999 })) }),
      /studio\.json: formatVersion/,
    ],
    [
      'with a row that cannot be',
      () =>
        changed(first.archive, {
          [project()]: edit((of: Record<string, unknown>) => ({
            ...of,
            slots: (of.slots as object[]).map((slot) => ({ ...slot, quantity: 'many' })),
          })),
        }),
      /slots\.0\.quantity/,
    ],
    [
      'with a row that points to nowhere',
      () =>
        changed(first.archive, {
          [project()]: edit((of: Record<string, unknown>) => ({ ...of, spots: [] })),
        }),
      /slots, .*: spotId/,
    ],
    [
      'with an id that is there twice',
      () =>
        changed(first.archive, {
          [project()]: edit((of: Record<string, unknown>) => ({
            ...of,
            spots: [...(of.spots as object[]), (of.spots as object[])[0]],
          })),
        }),
      /spots/,
    ],
    [
      'without a picture that a project shows',
      async () => {
        for (const name of first.archive.names.filter((one) => one.startsWith('projects/'))) {
          const [shown] = (await json(first.archive, name)).photos;
          if (shown) return changed(first.archive, { [`photos/${shown.id}.jpg`]: null });
        }
        throw new Error('the demo shows no photo');
      },
      /photos, .*: id/,
    ],
    ['with a picture that is none', () => changed(first.archive, { [photo()]: () => Buffer.from('no') }), /photos\//],
    ['with JSON that is none', () => changed(first.archive, { [project()]: () => Buffer.from('{') }), /projects\//],
  ];
  it.each(cases)('%s is refused with its place, and leaves nothing behind', async (_name, make, place) => {
    const before = (await studio.send('GET', '/api/studios')).json.studios.length;
    const { status, json: answer } = await bring(await make());
    expect(status).toBe(422);
    expect(answer.fields[0].field).toMatch(place);
    expect((await studio.send('GET', '/api/studios')).json.studios).toHaveLength(before);
  });

  it('is taken by nobody who sends something else', async () => {
    const answer = await studio.app.request(`http://${HOST}/api/studios/file`, {
      method: 'PUT',
      headers: { host: HOST, 'content-type': 'text/plain' },
      body: 'x',
    });
    expect(answer.status).toBe(415);
  });
});
