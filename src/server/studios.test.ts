import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { ensureLocalStudio } from './persistence/studios';
import { attic, freshStudio, studioApp } from './test/studio';

const { own, studio } = await freshStudio();

type Listed = { id: string; name: string; projects: number; pieces: number; isOpen: boolean };
const listed = async (of = studio): Promise<Listed[]> => (await of.send('GET', '/api/studios')).json.studios;
const names = async (headers: Record<string, string> = {}) =>
  (await studio.send('GET', '/api/projects', undefined, headers)).json.projects.map(
    ({ name }: { name: string }) => name,
  );

describe('studios', () => {
  it('begin empty with one press beside the one that is there, and both can be gone back to', async () => {
    const { projectId, slotId } = await attic(studio);
    const [first] = await listed();
    expect(first).toMatchObject({ id: studio.studioId, projects: 1, isOpen: true });

    const begun = (await studio.send('POST', '/api/studios/begin', {})).json.studios as Listed[];
    expect(begun).toHaveLength(2);
    expect(begun[0]).toMatchObject({ name: 'My studio', projects: 0, pieces: 0, isOpen: true });
    expect(await names()).toEqual([]);
    expect((await studio.send('GET', '/api/house')).json.supplies).toEqual([]);

    // A page that was opened before goes on in its own studio: it reads and writes there.
    const page = { 'x-studio': studio.studioId };
    expect(await names(page)).toHaveLength(1);
    const file = `/api/projects/${projectId}/file`;
    expect((await studio.send('GET', file)).status).toBe(404);
    expect((await studio.send('GET', `${file}?studio=${studio.studioId}`)).status).toBe(200);
    const path = `/api/projects/${projectId}/snapshot`;
    expect((await studio.send('GET', path)).status).toBe(404);
    expect((await studio.send('GET', path, undefined, page)).status).toBe(200);
    const command = {
      key: randomUUID(),
      projectId,
      kind: 'editSlot',
      payload: { id: slotId, values: { note: 'from the other studio' } },
      expect: {},
    };
    expect((await studio.send('POST', '/api/commands', command, page)).status).toBe(200);

    const inFirst = (await studio.send('GET', '/api/studios', undefined, page)).json.studios as Listed[];
    expect(inFirst.map(({ isOpen }) => isOpen)).toEqual([true, false]);
    expect(inFirst[0]?.id).toBe(studio.studioId);

    const back = await studio.send('POST', `/api/studios/${studio.studioId}/open`, {});
    expect(back.json.studios[0]).toMatchObject({ id: studio.studioId, isOpen: true });
    expect(await names()).toHaveLength(1);
  });

  it('asked for an empty one twice make one, also at once; one with work in it is left alone', async () => {
    const before = await listed();
    await Promise.all([1, 2, 3].map(() => studio.send('POST', '/api/studios/begin', {})));
    expect(await listed()).toHaveLength(before.length);
    await attic(studio);
    const begun = (await studio.send('POST', '/api/studios/begin', {})).json.studios as Listed[];
    expect(begun[0]).toMatchObject({ name: 'My studio 2', projects: 0, isOpen: true });
    expect(begun).toHaveLength(before.length + 1);
  });

  it('a page that does not say in which studio it is, is told; one that there is not counts as none', async () => {
    const [open] = await listed();
    for (const headers of [{}, { 'x-studio': randomUUID() }, { 'x-studio': 'nonsense' }] as Record<string, string>[]) {
      const answer = await studio.send('GET', '/api/projects', undefined, headers);
      expect(answer.status).toBe(200);
      expect(answer.headers.get('x-studio')).toBe(open?.id);
    }
    const there = await studio.send('GET', '/api/projects', undefined, { 'x-studio': studio.studioId });
    expect(there.headers.get('x-studio')).toBe(studio.studioId);
  });

  it('that a start put aside for a fresh one are left by their pages, until they are opened again', async () => {
    const fresh = (await studio.send('POST', '/api/studios/begin', {})).json.studios[0] as Listed;
    const started = studioApp(own.database, fresh.id, { retiredStudios: [studio.studioId] });
    const page = { 'x-studio': studio.studioId };
    const told = async () => (await started.send('GET', '/api/projects', undefined, page)).headers.get('x-studio');
    expect(await told()).toBe(fresh.id);
    await started.send('POST', `/api/studios/${studio.studioId}/open`, {});
    expect(await told()).toBe(studio.studioId);
  });

  it('that there are not cannot be opened, and say so', async () => {
    expect((await studio.send('POST', `/api/studios/${randomUUID()}/open`, {})).status).toBe(404);
    const odd = await studio.send('POST', '/api/studios/mine/open', {});
    expect(odd.status).toBe(422);
    expect(odd.json.fields[0]).toMatchObject({ accepted: 'the id of a studio' });
  });

  it('stay open through a restart', async () => {
    await studio.send('POST', `/api/studios/${studio.studioId}/open`, {});
    expect(await ensureLocalStudio(own.database, randomUUID())).toBe(studio.studioId);
    const other = (await listed()).find(({ isOpen }) => !isOpen);
    await studio.send('POST', `/api/studios/${other?.id}/open`, {});
    const again = await ensureLocalStudio(own.database, randomUUID());
    expect(again).toBe(other?.id);
    expect((await listed(studioApp(own.database, again)))[0]).toMatchObject({ id: again, isOpen: true });
  });
});
