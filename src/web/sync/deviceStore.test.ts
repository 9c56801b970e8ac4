import { beforeEach, describe, expect, it, vi } from 'vitest';

/** A device with room for so many things. */
const stored = new Map<string, unknown>();
let room = Number.POSITIVE_INFINITY;
const put = (key: string, value: unknown) => {
  if (!stored.has(key) && stored.size >= room) throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
  stored.set(key, structuredClone(value));
};
vi.mock('idb-keyval', () => ({
  get: async (key: string) => structuredClone(stored.get(key)),
  set: async (key: string, value: unknown) => put(key, value),
  del: async (key: string) => void stored.delete(key),
  keys: async () => [...stored.keys()],
  update: async (key: string, how: (before: unknown) => unknown) => put(key, how(structuredClone(stored.get(key)))),
}));
const { change, forgetKept, get, keepsNothing, orKept, set } = await import('./deviceStore');
const gone = new Error('nobody answers');
const isGone = (error: unknown) => error === gone;

beforeEach(() => {
  stored.clear();
  room = Number.POSITIVE_INFINITY;
});

describe('a device without room', () => {
  it('lets go of what is only looked at; what is still to be sent stays, and nothing is given up', async () => {
    await set('snapshot.9:a', { rows: 1 });
    await set('kept::projects', [1]);
    await set('lane:a', ['unsent']);
    await set('photo:a:1', 'picture');
    room = 4;
    await change<string[]>('lane:b', (present) => [...(present ?? []), 'more']);
    expect([...stored.keys()].sort()).toEqual(['lane:a', 'lane:b', 'photo:a:1']);
    expect(await get('lane:b')).toEqual(['more']);
    expect(keepsNothing()).toBe(false);
  });
});

describe('what the server answered last', () => {
  it('is there while nobody answers, under what was asked; a refusal is no silence', async () => {
    expect(
      await orKept(
        () => 'studio:projects',
        async () => ['one'],
        isGone,
      ),
    ).toEqual(['one']);
    await vi.waitFor(() => expect(stored.has('kept:studio:projects')).toBe(true));
    expect(
      await orKept(
        () => 'studio:projects',
        () => Promise.reject(gone),
        isGone,
      ),
    ).toEqual(['one']);
    await expect(
      orKept(
        () => 'studio:house',
        () => Promise.reject(gone),
        isGone,
      ),
    ).rejects.toBe(gone);
    const refusal = new Error('forbidden');
    await expect(
      orKept(
        () => 'studio:projects',
        () => Promise.reject(refusal),
        isGone,
      ),
    ).rejects.toBe(refusal);
  });

  it('is forgotten by whoever signs out, but for what is still to be sent', async () => {
    await set('kept:studio:house', 1);
    await set('snapshot.9:a', 2);
    await set('lane:a', ['unsent']);
    await forgetKept();
    expect([...stored.keys()]).toEqual(['lane:a']);
  });
});
