import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import type { Command } from '@contract/command';
import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { project, rows, slot } from '../../core/fixtures/projectRows';
import type { PhotoRow, ProjectRows } from '../../core/model/rows';
import { localPicture } from '../ui/localPictures';

/** The device's storage and the server, as far as pictures ask them. */
const stored = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
  get: async (key: string) => stored.get(key),
  set: async (key: string, value: unknown) => void stored.set(key, value),
  del: async (key: string) => void stored.delete(key),
  keys: async () => [...stored.keys()],
  update: async (key: string, how: (before: unknown) => unknown) => void stored.set(key, how(stored.get(key))),
}));
/** What reached the server, in its order: `picture a`, `addPhoto`, `editSlot`. */
const reached: string[] = [];
const commands: Command[] = [];
let put: (id: string) => Promise<{ widthPx: number; heightPx: number; sizeBytes: number }>;
let command: (sent: Command) => Promise<void>;
vi.mock('../app/api', () => {
  class ApiError extends Error {
    readonly status: number;
    readonly answer: RefusedAnswer;
    constructor(status: number, refused: RefusedAnswer) {
      super(refused.sentence);
      this.status = status;
      this.answer = refused;
    }
    get gone() {
      return this.status === 0;
    }
    get busy() {
      return false;
    }
  }
  return {
    ApiError,
    onAnswered: () => () => undefined,
    api: {
      putPhoto: async (id: string) => {
        const size = await put(id);
        reached.push(`picture ${id.slice(-1)}`);
        return size;
      },
      command: async (sent: Command): Promise<DoneAnswer> => {
        await command(sent);
        reached.push(sent.kind);
        commands.push(sent);
        return { actId: sent.key, title: 'done', tag: '2.1', rows: [], removed: [] };
      },
    },
  };
});
vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined });
vi.stubGlobal('navigator', {});
vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:here', revokeObjectURL: () => undefined }));

const { SyncEngine } = await import('./syncEngine');
const { keepPicture } = await import('./pictures');
const { decide, typeAct } = await import('./typed');
const { ApiError } = await import('../app/api');

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const [projectId, slotId] = [uuid(1), uuid(2)];
const base: ProjectRows = rows({ project: project({ id: projectId }), slots: [slot(slotId, { name: 'Lamp' })] });
const size = { widthPx: 40, heightPx: 30, sizeBytes: 12 };
const gone = () => new ApiError(0, { code: 'database.gone', sentence: 'Nobody.' });

const open: InstanceType<typeof SyncEngine>[] = [];
async function opened() {
  const engine = new SyncEngine();
  open.push(engine);
  await engine.start();
  const photo = (n: number): PhotoRow => ({
    id: uuid(n),
    version: 1,
    kind: 'before',
    name: `${n}.jpg`,
    atMs: n,
    shows: null,
    pair: null,
    widthPx: 1,
    heightPx: 1,
    sizeBytes: 1,
  });
  return {
    engine,
    photograph: async (n: number) => {
      await keepPicture(uuid(n), new Blob([`${n}`]));
      const payload = { photo: photo(n), inspiration: null };
      return typeAct(engine, projectId, 'addPhoto', payload, base, [], { id: uuid(n), name: `${n}.jpg` });
    },
    rename: (name: string) => typeAct(engine, projectId, 'editSlot', { id: slotId, values: { name } }, base),
    entries: () => engine.entriesOf(projectId),
  };
}
const settle = () => new Promise((done) => setTimeout(done, 15));
const keptPictures = () => [...stored.keys()].filter((key) => key.startsWith('picture:'));

beforeEach(async () => {
  for (const engine of open.splice(0)) engine.stop();
  await settle();
  stored.clear();
  reached.length = 0;
  commands.length = 0;
  put = async () => size;
  command = async () => undefined;
});

describe('a picture', () => {
  it('goes before its command, which tells how large the server keeps it; then the device lets go of it', async () => {
    const { photograph, entries } = await opened();
    await photograph(7);
    expect(localPicture(uuid(7))?.address).toBe('blob:here');
    await settle();
    expect(reached).toEqual(['picture 7', 'addPhoto']);
    expect(commands[0]?.payload).toMatchObject({ photo: { id: uuid(7), ...size } });
    expect(entries()).toEqual([]);
    expect(keptPictures()).toEqual([]);
    expect(localPicture(uuid(7))).toBeNull();
  });

  it('that takes long keeps nobody waiting who does not speak of it', async () => {
    let arrive: () => void = () => undefined;
    put = () => new Promise((done) => (arrive = () => done(size)));
    const { photograph, rename } = await opened();
    await photograph(7);
    rename('Sconce');
    await settle();
    expect(reached).toEqual(['editSlot']);
    arrive();
    await settle();
    expect(reached).toEqual(['editSlot', 'picture 7', 'addPhoto']);
  });

  it('is brought once more where nobody answered, and is there after the page was opened anew', async () => {
    put = async () => {
      throw gone();
    };
    const first = await opened();
    await first.photograph(7);
    await settle();
    expect(first.engine.isOffline).toBe(true);
    first.engine.stop();
    put = async () => size;
    const second = await opened();
    await settle();
    expect(reached).toEqual(['picture 7', 'addPhoto']);
    expect(second.entries()).toEqual([]);
  });

  it('that is at the server is not brought again where only its command was not answered', async () => {
    command = async () => {
      throw gone();
    };
    const { photograph, engine, entries } = await opened();
    await photograph(7);
    await settle();
    expect(reached).toEqual(['picture 7']);
    expect(entries()).toMatchObject([{ picture: { isThere: true }, sent: true }]);
    command = async () => undefined;
    engine.retry();
    await settle();
    expect(reached).toEqual(['picture 7', 'addPhoto']);
  });

  it('that the server refuses, or that the device cleared away, waits for the stylist; the others go on', async () => {
    put = async (id) => {
      if (id !== uuid(7)) return size;
      throw new ApiError(422, { code: 'fields.refused', sentence: 'Cut off.' });
    };
    const { photograph, entries, engine } = await opened();
    await photograph(7);
    await photograph(8);
    stored.delete(`picture:${uuid(8)}`);
    await photograph(9);
    await settle();
    expect(reached).toEqual(['picture 9', 'addPhoto']);
    expect(entries().map(({ state, answer }) => [state, answer?.sentence])).toEqual([
      ['refused', 'Cut off.'],
      ['refused', 'This picture is not on this device any more. Take it once more, or let it go.'],
    ]);
    for (const { command: stuck } of entries()) await decide(engine, projectId, stuck.key, { keep: 'theirs' }, base);
    expect(entries()).toEqual([]);
  });

  it('that nothing speaks of any more is let go of, though not while it may be on its way here', async () => {
    stored.set(`picture:${uuid(7)}`, { blob: new Blob(['7']), atMs: Date.now() - 2 * 60 * 60_000 });
    stored.set(`picture:${uuid(8)}`, { blob: new Blob(['8']), atMs: Date.now() });
    await opened();
    await settle();
    expect(keptPictures()).toEqual([`picture:${uuid(8)}`]);
  });

  it('in any weather each arrives before its command, each command once, edits in their order', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('photo', 'edit'), { minLength: 1, maxLength: 8 }),
        fc.infiniteStream(fc.boolean()),
        async (acts, weather) => {
          for (const engine of open.splice(0)) engine.stop();
          await settle();
          stored.clear();
          reached.length = 0;
          commands.length = 0;
          let lost = 0;
          const mayFail = async () => {
            if (lost < 6 && weather.next().value) {
              lost += 1;
              throw gone();
            }
          };
          put = async () => {
            await mayFail();
            return size;
          };
          command = mayFail;
          const { engine, photograph, rename, entries } = await opened();
          for (const [n, act] of acts.entries()) {
            if (act === 'photo') await photograph(10 + n);
            else rename(`name ${n}`);
          }
          for (let tries = 0; tries < 40 && entries().length > 0; tries += 1) {
            engine.retry();
            await new Promise((done) => setTimeout(done, 1));
          }
          expect(entries()).toEqual([]);
          const photos = commands.filter(({ kind }) => kind === 'addPhoto');
          expect(new Set(commands.map(({ key }) => key)).size).toBe(acts.length);
          expect(commands).toHaveLength(acts.length);
          for (const { payload } of photos)
            expect((payload as { photo: PhotoRow }).photo).toMatchObject({ widthPx: size.widthPx });
          const names = commands.flatMap(({ kind, payload }) =>
            kind === 'editSlot' ? [(payload as { values: { name: string } }).values.name] : [],
          );
          expect(names).toEqual([...names].sort());
          expect(keptPictures()).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  });
});
