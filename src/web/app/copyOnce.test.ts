import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest';

vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined });
vi.stubGlobal('localStorage', { getItem: () => 'device', setItem: () => undefined });
const { copyOnce } = await import('./copyOnce');

/** The ids that came to the server, and what it does with each: nothing is told, it is refused, or it is made. */
const ids: string[] = [];
let answers: (() => Promise<Response>)[] = [];
const silent = async (): Promise<Response> => Promise.reject(new TypeError('failed to fetch'));
const refused = async () => Response.json({ code: 'notFound', sentence: 'It is not there.' }, { status: 404 });
const made = async () => Response.json({ projectId: 'made', name: 'x', mode: 'copy', actId: 'a' });
beforeEach(() => {
  ids.length = 0;
  vi.stubGlobal('fetch', async (_path: string, init: RequestInit) => {
    ids.push((JSON.parse(String(init.body)) as { id: string }).id);
    return (answers.shift() ?? made)();
  });
});
afterAll(() => vi.unstubAllGlobals());

const season = { kind: 'nextSeason', name: 'Hall, next season' } as const;

describe('a copy', () => {
  it('is the same one when it is asked for again after silence, and another one after it was made', async () => {
    answers = [silent, silent, made, made];
    await expect(copyOnce('p', season)).rejects.toThrow(/Press it again/);
    await expect(copyOnce('p', season)).rejects.toThrow(/Press it again/);
    expect(await copyOnce('p', season)).toMatchObject({ projectId: 'made' });
    await copyOnce('p', season);
    expect(new Set(ids.slice(0, 3)).size).toBe(1);
    expect(ids[3]).not.toBe(ids[0]);
  });

  it('is another one under another name or of another project, and after a refusal', async () => {
    answers = [silent, silent, silent, refused, made];
    await expect(copyOnce('p', season)).rejects.toThrow();
    await expect(copyOnce('p', { ...season, name: 'Hall again' })).rejects.toThrow();
    await expect(copyOnce('q', season)).rejects.toThrow();
    await expect(copyOnce('p', season)).rejects.toThrow('It is not there.');
    await copyOnce('p', season);
    expect(new Set([ids[0], ids[1], ids[2], ids[4]]).size).toBe(4);
    expect(ids[3]).toBe(ids[0]);
  });
});
