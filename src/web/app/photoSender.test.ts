import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { PhotoPage, WaitingPhoto } from './photoSender';

/** The device's storage, the server and the locks of a browser, as far as pictures ask them. */
const stored = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
  get: async (key: string) => stored.get(key),
  set: async (key: string, value: unknown) => void stored.set(key, value),
  del: async (key: string) => void stored.delete(key),
  keys: async () => [...stored.keys()],
}));
let put: (id: string) => Promise<{ widthPx: number; heightPx: number; sizeBytes: number }>;
const sent: string[] = [];
vi.mock('./api', () => {
  class ApiError extends Error {
    readonly status: number;
    readonly answer: unknown;
    constructor(status: number, answer: unknown) {
      super('No.');
      this.status = status;
      this.answer = answer;
    }
    get gone() {
      return this.status === 0 || this.status === 503;
    }
  }
  return {
    ApiError,
    api: {
      putPhoto: (id: string) => {
        sent.push(id);
        return put(id);
      },
    },
  };
});
const locks = new Map<string, Promise<unknown>>();
vi.stubGlobal('navigator', {
  locks: {
    request: (name: string, held: () => Promise<unknown>) => {
      const turn = (locks.get(name) ?? Promise.resolve()).then(held);
      locks.set(
        name,
        turn.catch(() => undefined),
      );
      return turn;
    },
  },
});

const { PhotoSender } = await import('./photoSender');
const { ApiError } = await import('./api');
const size = { widthPx: 4, heightPx: 3, sizeBytes: 12 };
const gone = () => new (ApiError as unknown as new (status: number, answer: unknown) => Error)(0, null);
const photo = (id: string, kind = 'before'): WaitingPhoto => ({
  id,
  kind,
  name: `${id}.jpg`,
  blob: new Blob([id]),
  atMs: Number(id),
});
const turn = async () => {
  for (let n = 0; n < 4; n += 1) await new Promise((done) => setTimeout(done, 0));
};
/** A part of a page with what it was told. */
function page() {
  const kept: string[] = [];
  const part: PhotoPage<string> = { changed: () => undefined, kept: (entry) => void kept.push(entry.id) };
  return { part, kept };
}

beforeEach(() => {
  stored.clear();
  sent.length = 0;
  put = async () => size;
});

describe('pictures on their way', () => {
  it('go one after the other; one that is added during an upload goes too', async () => {
    const ways: ((value: typeof size) => void)[] = [];
    put = () => new Promise((done) => ways.push(done));
    const sender = new PhotoSender('room');
    const { part, kept } = page();
    sender.attach(part);
    await sender.add([photo('1')]);
    await turn();
    await sender.add([photo('2')]);
    await turn();
    expect(sent).toEqual(['1']);
    expect([...stored.keys()]).toEqual(['photo:room:1', 'photo:room:2']);
    ways[0]?.(size);
    await turn();
    ways[1]?.(size);
    await turn();
    expect(kept).toEqual(['1', '2']);
    expect(stored.size).toBe(0);
  });

  it('are sent when somebody answers again, though more were added while nobody did', async () => {
    put = () => Promise.reject(gone());
    const sender = new PhotoSender('room');
    const { part, kept } = page();
    sender.attach(part);
    await sender.add([photo('1')]);
    await turn();
    await sender.add([photo('2')]);
    await turn();
    expect(sender.waiting.map(({ id }) => id)).toEqual(['1', '2']);
    put = async () => size;
    sender.retry();
    await turn();
    expect(kept).toEqual(['1', '2']);
  });

  it('left by an earlier visit are found in their order, also those kept as one list', async () => {
    stored.set('photo:room:2', photo('2'));
    stored.set('photo:room:1', photo('1'));
    stored.set('photo:hall:9', photo('9'));
    stored.set('photos:room', [photo('3')]);
    const sender = new PhotoSender('room');
    const { part, kept } = page();
    sender.attach(part);
    await turn();
    expect(kept).toEqual(['1', '2', '3']);
    expect([...stored.keys()]).toEqual(['photo:hall:9']);
  });

  it('are told once, however many parts of a page ask for them', async () => {
    stored.set('photo:room:1', photo('1'));
    const sender = new PhotoSender('room');
    const parts = [page(), page(), page()];
    for (const { part } of parts) sender.attach(part);
    await turn();
    expect(parts.flatMap(({ kept }) => kept)).toEqual(['1']);
    expect(sent).toEqual(['1']);
  });

  it('wait when the page is left, and are told to the next one', async () => {
    let through: (value: typeof size) => void = () => undefined;
    put = () => new Promise((done) => (through = done));
    const sender = new PhotoSender('room');
    const leave = sender.attach(page().part);
    await sender.add([photo('1')]);
    await turn();
    leave();
    through(size);
    await turn();
    expect([...stored.keys()]).toEqual(['photo:room:1']);
    put = async () => size;
    const next = page();
    sender.attach(next.part);
    sender.retry();
    await turn();
    expect(next.kept).toEqual(['1']);
  });

  it('that are refused are named with what would be accepted, and the others go on', async () => {
    const Refused = ApiError as unknown as new (status: number, answer: unknown) => Error;
    put = (id) =>
      id === '1'
        ? Promise.reject(
            new Refused(422, { fields: [{ field: 'photo', value: 'a PDF', accepted: 'JPEG, PNG, WebP, AVIF' }] }),
          )
        : Promise.resolve(size);
    const sender = new PhotoSender('room');
    const { part, kept } = page();
    sender.attach(part);
    await sender.add([photo('1', 'anchor'), photo('2')]);
    await turn();
    expect(sender.refused).toEqual([
      { kind: 'anchor', name: '1.jpg', reason: 'a PDF; accepted: JPEG, PNG, WebP, AVIF' },
    ]);
    expect(kept).toEqual(['2']);
    sender.refuse('anchor', []);
    expect(sender.refused).toEqual([]);
  });

  it('are kept once each by two tabs in any weather', async () => {
    const steps = fc.array(
      fc.oneof(
        fc.record({ do: fc.constant('add' as const), tab: fc.integer({ min: 0, max: 1 }) }),
        fc.record({ do: fc.constant('weather' as const), good: fc.boolean() }),
        fc.record({ do: fc.constant('reload' as const), tab: fc.integer({ min: 0, max: 1 }) }),
        fc.record({ do: fc.constant('retry' as const), tab: fc.integer({ min: 0, max: 1 }) }),
      ),
      { maxLength: 20 },
    );
    await fc.assert(
      fc.asyncProperty(steps, async (wanted) => {
        stored.clear();
        let good = true;
        put = async () => {
          if (!good) throw gone();
          return size;
        };
        const { part, kept } = page();
        const open = () => {
          const sender = new PhotoSender('room');
          return { sender, leave: sender.attach(part) };
        };
        const tabs = [open(), open()];
        const added: string[] = [];
        for (const step of wanted) {
          if (step.do === 'weather') good = step.good;
          else if (step.do === 'add') {
            added.push(String(added.length + 1));
            await tabs[step.tab]?.sender.add([photo(added.at(-1) ?? '')]);
          } else if (step.do === 'retry') tabs[step.tab]?.sender.retry();
          else {
            tabs[step.tab]?.leave();
            tabs[step.tab] = open();
          }
          await turn();
        }
        good = true;
        for (let n = 0; n < 3; n += 1) {
          for (const { sender } of tabs) sender.retry();
          await turn();
        }
        expect([...kept].sort()).toEqual([...added].sort());
        expect(stored.size).toBe(0);
        for (const { leave } of tabs) leave();
      }),
      { numRuns: 60 },
    );
  });
});
