import { beforeEach, describe, expect, it, vi } from 'vitest';

/** The device's storage, and a browser that decodes what it is given as four by three pixels. */
const stored = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
  get: async (key: string) => stored.get(key),
  set: async (key: string, value: unknown) => void stored.set(key, value),
  del: async (key: string) => void stored.delete(key),
  keys: async () => [...stored.keys()],
}));
vi.stubGlobal('createImageBitmap', async () => ({ width: 4, height: 3, close: () => undefined }));
vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:here', revokeObjectURL: () => undefined }));
vi.stubGlobal('navigator', {});

const { takeOldPhotos } = await import('./oldPhotos');
const old = (id: string, atMs: number, about?: string) => ({
  id,
  kind: 'before',
  name: `${id}.jpg`,
  blob: new Blob([id], { type: 'image/jpeg' }),
  atMs,
  ...(about === undefined ? {} : { about }),
});

beforeEach(() => stored.clear());

describe('pictures that an earlier version left on the device', () => {
  it('are taken into the queue, oldest first, whether kept in one list or one by one; and only once', async () => {
    stored.set('photo:attic:b', old('b', 2, 'find-1'));
    stored.set('photos:attic', [old('c', 3), old('a', 1)]);
    stored.set('photo:porch:d', old('d', 4));
    const taken: [string, string | null, number][] = [];
    const take = ({ id, about, widthPx }: { id: string; about: string | null; widthPx: number }) =>
      taken.push([id, about, widthPx]);
    await takeOldPhotos('attic', take);
    await takeOldPhotos('attic', take);
    expect(taken).toEqual([
      ['a', null, 4],
      ['b', 'find-1', 4],
      ['c', null, 4],
    ]);
    // They are kept as pictures of the queue now; those of another project stay for it.
    expect([...stored.keys()].sort()).toEqual(['photo:porch:d', 'picture:a', 'picture:b', 'picture:c']);
  });
});
