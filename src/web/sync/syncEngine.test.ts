import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import type { Command } from '@contract/command';
import type { PayloadOf } from '@core/acts';
import { perform } from '@core/acts/perform';
import fc from 'fast-check';
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { project, rows, slot, spot } from '../../core/fixtures/projectRows';
import type { ProjectRows } from '../../core/model/rows';

/** The device's storage, the server and the locks of a browser, as far as the outbox asks them. */
const stored = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
  get: async (key: string) => structuredClone(stored.get(key)),
  set: async (key: string, value: unknown) => void stored.set(key, structuredClone(value)),
  del: async (key: string) => void stored.delete(key),
  keys: async () => [...stored.keys()],
  update: async (key: string, how: (before: unknown) => unknown) =>
    void stored.set(key, structuredClone(how(structuredClone(stored.get(key))))),
}));
const sent: Command[] = [];
let answer: (command: Command) => Promise<DoneAnswer>;
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
      return this.status === 0 || this.status === 503;
    }
    get busy() {
      return this.answer.code === 'server.busy';
    }
  }
  return {
    ApiError,
    onAnswered: () => () => undefined,
    api: {
      command: (command: Command) => {
        sent.push(command);
        return answer(command);
      },
    },
  };
});
vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined });
const local = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => local.get(key) ?? null,
  setItem: (key: string, value: string) => void local.set(key, value),
});
/** Locks as a browser has them: one holder at a time, the others in a row. */
let held: Promise<unknown> = Promise.resolve();
vi.stubGlobal('navigator', {
  locks: {
    request: (_name: string, hold: () => Promise<unknown>) => {
      held = held.then(hold);
      return held;
    },
  },
});

const { SyncEngine } = await import('./syncEngine');
const { putPersonHere } = await import('../ui/devicePerson');
const { decide, typeAct } = await import('./typed');
const { ApiError } = await import('../app/api');
const { withWaiting } = await import('./foreseen');
const { withAnswer } = await import('./rowsAfter');
type OutboxEntry = import('./rowsAfter').OutboxEntry;

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const [projectId, first, second] = [uuid(1), uuid(2), uuid(3)];
const base: ProjectRows = rows({
  project: project({ id: projectId }),
  slots: [slot(first, { name: 'Lamp' }), slot(second, { number: 2, name: 'Mirror' })],
});
const refusal = (status: number): InstanceType<typeof ApiError> =>
  new ApiError(status, { code: status === 409 ? 'conflict' : 'fields.refused', sentence: 'No.' });

/** A server that does what it is told. */
function obedient() {
  let now = base;
  return async (command: Command): Promise<DoneAnswer> => {
    const outcome = perform(now, command.kind, command.payload);
    if (!outcome.ok) throw refusal(422);
    now = outcome.after;
    const changed = outcome.changes.flatMap((change) => (change.op === 'update' ? [change.id] : []));
    return {
      actId: uuid(900),
      title: 'done',
      tag: '2.1',
      rows: now.slots.filter((row) => changed.includes(row.id)).map((row) => ({ table: 'slots', row: { ...row } })),
      removed: [],
    };
  };
}

const open: InstanceType<typeof SyncEngine>[] = [];
/** A tab that shows the project, with what it was told. */
async function opened() {
  const done: string[] = [];
  const stuck: string[] = [];
  const engine = new SyncEngine();
  open.push(engine);
  engine.attach(projectId, {
    changed: () => undefined,
    done: (entry) => done.push((entry.command.payload as { id: string }).id),
    stuck: (entry) => stuck.push(entry.state),
  });
  await engine.start();
  await soon();
  const outbox = {
    get entries() {
      return engine.entriesOf(projectId);
    },
    get offline() {
      return engine.isOffline;
    },
    enqueue: <K extends 'editSlot' | 'undo'>(kind: K, payload: PayloadOf<K>, rows: ProjectRows) =>
      typeAct(engine, projectId, kind, payload, rows).command,
    resolve: (key: string, keepMine: boolean, rows: ProjectRows) =>
      decide(engine, projectId, key, { keep: keepMine ? 'mine' : 'theirs' }, rows),
    undoWith: (key: string, also: readonly string[]) => engine.undoWith(projectId, key, also),
    retry: () => engine.retry(),
    close: () => engine.stop(),
  };
  return { engine, outbox, done, stuck };
}
/** Lets promises settle that wait for nothing, also while the clock stands still. */
const soon = async () => {
  for (let n = 0; n < 60; n += 1) await Promise.resolve();
};
/** Lets everything that can go on without waiting go on. */
const turn = async () => {
  for (let n = 0; n < 3; n += 1) await new Promise((done) => setTimeout(done, 0));
};
const settle = () => new Promise((done) => setTimeout(done, 15));
const rename = (id: string, name: string) => ({ id, values: { name } });

beforeEach(() => {
  for (const engine of open.splice(0)) engine.stop();
  held = Promise.resolve();
  stored.clear();
  sent.length = 0;
  answer = obedient();
});
afterAll(() => {
  for (const engine of open) engine.stop();
});

describe('a lane', () => {
  it('sends in order, one after the other, and forgets what is answered', async () => {
    const { outbox, done } = await opened();
    outbox.enqueue('editSlot', rename(first, 'One'), base);
    outbox.enqueue('editSlot', rename(second, 'Two'), base);
    await settle();
    expect(done).toEqual([first, second]);
    expect(outbox.entries).toEqual([]);
    expect([...stored.values()].flat()).toEqual([]);
  });

  it('a later edit of a row expects the version that the earlier one makes', async () => {
    const { outbox } = await opened();
    answer = () => new Promise(() => undefined);
    const seen = outbox.enqueue('editSlot', rename(first, 'One'), base);
    const after = withWaiting(base, [{ command: seen, state: 'waiting', answer: null }]);
    outbox.enqueue('editSlot', rename(first, 'Two'), after);
    expect(outbox.entries.map((entry) => entry.command.expect[`slots:${first}`])).toEqual([1, 2]);
  });

  it('keeps everything on the device while nobody answers, under the same key', async () => {
    const { outbox } = await opened();
    answer = () => Promise.reject(refusal(503));
    outbox.enqueue('editSlot', rename(first, 'One'), base);
    await settle();
    expect(outbox.offline).toBe(true);
    expect([...stored.values()].flat()).toHaveLength(1);
    const key = outbox.entries[0]?.command.key;
    answer = obedient();
    outbox.retry();
    await settle();
    expect(sent.map((command) => command.key)).toEqual([key, key]);
    expect(outbox.offline).toBe(false);
    expect(outbox.entries).toEqual([]);
  });

  it('finds what an earlier visit left, and sends it', async () => {
    const before = await opened();
    answer = () => Promise.reject(refusal(503));
    before.outbox.enqueue('editSlot', rename(first, 'Left'), base);
    await settle();
    before.outbox.close();
    answer = obedient();
    const { outbox, done } = await opened();
    await settle();
    expect(done).toEqual([first]);
    expect(outbox.entries).toEqual([]);
  });

  it('a conflict holds later edits of that row only', async () => {
    const { outbox, done, stuck } = await opened();
    const good = obedient();
    answer = (command) =>
      (command.payload as { id: string }).id === first ? Promise.reject(refusal(409)) : good(command);
    outbox.enqueue('editSlot', rename(first, 'Mine'), base);
    outbox.enqueue('editSlot', rename(first, 'Mine again'), base);
    outbox.enqueue('editSlot', rename(second, 'Other'), base);
    await settle();
    expect(stuck).toEqual(['conflict']);
    expect(done).toEqual([second]);
    expect(outbox.entries.map((entry) => entry.state)).toEqual(['conflict', 'waiting']);
    expect([...stored.values()].flat()).toHaveLength(2);
  });

  it('resolved to mine it goes as a new command with a new key against what is there now', async () => {
    const { outbox, done } = await opened();
    answer = () => Promise.reject(refusal(409));
    outbox.enqueue('editSlot', rename(first, 'Mine'), base);
    await settle();
    const stuck = outbox.entries[0];
    const theirs = { ...base, slots: base.slots.map((row) => (row.id === first ? { ...row, version: 7 } : row)) };
    answer = obedient();
    await outbox.resolve(stuck?.command.key ?? '', true, theirs);
    await settle();
    expect(done).toEqual([first]);
    expect(sent.at(-1)?.key).not.toBe(stuck?.command.key);
    expect(sent.at(-1)?.expect[`slots:${first}`]).toBe(7);
  });

  it('resolved to theirs it is let go, and the rest is sent', async () => {
    const { outbox, done } = await opened();
    const good = obedient();
    answer = () => Promise.reject(refusal(409));
    outbox.enqueue('editSlot', rename(first, 'Mine'), base);
    await settle();
    answer = good;
    outbox.enqueue('editSlot', rename(first, 'After'), base);
    await outbox.resolve(outbox.entries[0]?.command.key ?? '', false, base);
    await settle();
    expect(done).toEqual([first]);
    expect(sent.at(-1)?.payload).toMatchObject({ values: { name: 'After' } });
  });

  it('a command that the server stumbles over three times is shown, and the others go on', async () => {
    vi.useFakeTimers();
    try {
      const { outbox, done, stuck } = await opened();
      const good = obedient();
      answer = (command) =>
        (command.payload as { id: string }).id === first
          ? Promise.reject(new ApiError(500, { code: 'unexpected', sentence: 'Oh.' }))
          : good(command);
      outbox.enqueue('editSlot', rename(first, 'Trap'), base);
      outbox.enqueue('editSlot', rename(second, 'Fine'), base);
      await vi.advanceTimersByTimeAsync(10_000);
      expect(stuck).toEqual(['refused']);
      expect(done).toEqual([second]);
    } finally {
      vi.useRealTimers();
    }
  });
});

describe('a server that is busy', () => {
  it('is asked again soon, and nobody is told that there is no connection', async () => {
    vi.useFakeTimers();
    try {
      const { outbox, done } = await opened();
      const good = obedient();
      let turnedAway = 0;
      answer = (command) => {
        if (turnedAway === 2) return good(command);
        turnedAway += 1;
        return Promise.reject(new ApiError(503, { code: 'server.busy', sentence: 'In a moment.' }));
      };
      outbox.enqueue('editSlot', rename(first, 'Patient'), base);
      await vi.advanceTimersByTimeAsync(300);
      expect([outbox.offline, done]).toEqual([false, []]);
      await vi.advanceTimersByTimeAsync(1200);
      expect([outbox.offline, done, turnedAway]).toEqual([false, [first], 2]);
    } finally {
      vi.useRealTimers();
    }
  });
});

describe('what may be done already', () => {
  it('goes out again under its own key, whatever is resolved meanwhile', async () => {
    const { outbox } = await opened();
    // The first is refused for good; of the second only the answer is lost.
    answer = (command) => Promise.reject((command.payload as { id: string }).id === first ? refusal(409) : refusal(0));
    outbox.enqueue('editSlot', rename(first, 'Mine'), base);
    outbox.enqueue('editSlot', rename(second, 'Lost on its way'), base);
    await settle();
    const [stuck, lost] = outbox.entries;
    expect([stuck?.state, lost?.state, lost?.sent]).toEqual(['conflict', 'waiting', true]);
    const theirs = {
      ...base,
      slots: base.slots.map((row) => ({ ...row, version: row.version + 3 })),
    };
    answer = () => new Promise(() => undefined);
    await outbox.resolve(stuck?.command.key ?? '', true, theirs);
    const kept = outbox.entries.find((entry) => (entry.command.payload as { id: string }).id === second);
    expect(kept?.command).toEqual(lost?.command);
    outbox.close();
  });

  it('is what a fault of the server leaves open: tried again, it keeps its key', async () => {
    vi.useFakeTimers();
    try {
      const { outbox } = await opened();
      answer = () => Promise.reject(new ApiError(500, { code: 'unexpected', sentence: 'Oh.' }));
      outbox.enqueue('editSlot', rename(first, 'Once'), base);
      await vi.advanceTimersByTimeAsync(10_000);
      const [stuck] = outbox.entries;
      expect(stuck?.state).toBe('refused');
      answer = obedient();
      await outbox.resolve(stuck?.command.key ?? '', true, base);
      await vi.advanceTimersByTimeAsync(100);
      expect(new Set(sent.map((command) => command.key)).size).toBe(1);
      expect(outbox.entries).toEqual([]);
    } finally {
      vi.useRealTimers();
    }
  });
});

describe('whatever becomes of the connection', () => {
  type Weather = 'good' | 'lost on the way' | 'answer lost' | 'busy';
  const steps = fc.array(
    fc.oneof(
      { weight: 4, arbitrary: fc.record({ do: fc.constant('edit' as const), slot: fc.constantFrom(first, second) }) },
      {
        weight: 3,
        arbitrary: fc.record({
          do: fc.constant('weather' as const),
          is: fc.constantFrom<Weather>('good', 'lost on the way', 'answer lost', 'busy'),
        }),
      },
      fc.constant({ do: 'retry' as const }),
      fc.constant({ do: 'reload' as const }),
      fc.constant({ do: 'look' as const }),
    ),
    { maxLength: 25 },
  );

  it('each edit is done once, in its order, and none becomes a conflict with itself', async () => {
    await fc.assert(
      fc.asyncProperty(steps, async (wanted) => {
        stored.clear();
        sent.length = 0;
        let now = base;
        let weather: Weather = 'good';
        const answers = new Map<string, DoneAnswer>();
        const executed: string[] = [];
        /** A server that does a key once, and only over the versions that its author saw. */
        answer = async (command) => {
          if (weather === 'lost on the way') throw refusal(0);
          if (weather === 'busy') throw refusal(503);
          const known = answers.get(command.key);
          if (!known) {
            const { id, values } = command.payload as { id: string; values: { name: string } };
            const row = now.slots.find((candidate) => candidate.id === id);
            if (command.expect[`slots:${id}`] !== row?.version) throw refusal(409);
            const outcome = perform(now, command.kind, command.payload);
            if (!outcome.ok) throw refusal(422);
            now = outcome.after;
            executed.push(values.name);
            const rowsNow = now.slots.filter((candidate) => candidate.id === id);
            answers.set(command.key, {
              actId: uuid(900),
              title: 'done',
              tag: '2.1',
              rows: rowsNow.map((candidate) => ({ table: 'slots', row: { ...candidate } })),
              removed: [],
            });
          }
          if (weather === 'answer lost') throw refusal(0);
          return answers.get(command.key) as DoneAnswer;
        };
        let seen = now;
        const problems: string[] = [];
        const visit = async () => {
          const engine = new SyncEngine();
          open.push(engine);
          engine.attach(projectId, {
            changed: () => undefined,
            done: (_entry, done) => {
              seen = withAnswer(seen, done);
            },
            stuck: (entry) => problems.push(entry.state),
          });
          await engine.start();
          await turn();
          return engine;
        };
        let outbox = await visit();
        const typed: string[] = [];
        for (const step of wanted) {
          if (step.do === 'weather') weather = step.is;
          else if (step.do === 'edit') {
            typed.push(`name ${typed.length}`);
            const rowsSeen = withWaiting(seen, outbox.entriesOf(projectId));
            typeAct(outbox, projectId, 'editSlot', rename(step.slot, typed.at(-1) ?? ''), rowsSeen);
          } else if (step.do === 'retry') outbox.retry();
          else if (step.do === 'look') seen = now;
          else {
            await turn();
            outbox.stop();
            outbox = await visit();
            seen = now;
          }
          if (step.do !== 'edit') await turn();
        }
        weather = 'good';
        for (let tries = 0; tries < 5 && outbox.entriesOf(projectId).length > 0; tries += 1) {
          outbox.retry();
          await turn();
        }
        outbox.stop();
        expect(problems).toEqual([]);
        expect(executed).toEqual(typed);
        expect([...stored.values()].flat()).toEqual([]);
        expect(seen.slots.map(({ name, version }) => [name, version])).toEqual(
          now.slots.map(({ name, version }) => [name, version]),
        );
      }),
      { numRuns: 150 },
    );
  });
});

describe('an undo that others have built on', () => {
  it('goes out once more with what stands in its way', async () => {
    const { outbox } = await opened();
    answer = () =>
      Promise.reject(
        new ApiError(409, {
          code: 'undo.builtOn',
          sentence: 'Built on.',
          acts: [{ actId: uuid(71), title: 'Option added', atMs: 1, ownDevice: false }],
        }),
      );
    outbox.enqueue('undo', { actId: uuid(70), reversalIds: [] }, base);
    await settle();
    const [stuck] = outbox.entries;
    answer = () => new Promise(() => undefined);
    await outbox.undoWith(stuck?.command.key ?? '', [uuid(71)]);
    await settle();
    expect(sent.at(-1)?.key).not.toBe(stuck?.command.key);
    expect(sent.at(-1)?.payload).toMatchObject({ actId: uuid(70), also: [uuid(71)] });
    outbox.close();
  });
});

describe('a browser that keeps nothing', () => {
  it('has its commands sent all the same, and says that they are not kept', async () => {
    vi.resetModules();
    vi.doMock('idb-keyval', () => {
      const no = () => Promise.reject(new Error('no store here'));
      return { get: no, set: no, del: no, keys: no, update: no };
    });
    const { SyncEngine: Bare } = await import('./syncEngine');
    const { keepsNothing } = await import('./deviceStore');
    const done: string[] = [];
    const engine = new Bare();
    engine.attach(projectId, {
      changed: () => undefined,
      done: (entry) => done.push((entry.command.payload as { id: string }).id),
      stuck: () => undefined,
    });
    typeAct(engine, projectId, 'editSlot', rename(first, 'Before it opened'), base);
    await engine.start();
    typeAct(engine, projectId, 'editSlot', rename(second, 'After'), base);
    await settle();
    await settle();
    expect(done).toEqual([first, second]);
    expect(keepsNothing()).toBe(true);
    engine.stop();
    vi.doUnmock('idb-keyval');
  });
});

describe('several tabs of one device', () => {
  it('one sends what all of them typed, each is told, and each takes back only its own', async () => {
    const [a, b] = [await opened(), await opened()];
    b.outbox.enqueue('editSlot', rename(first, 'By the second'), base);
    a.outbox.enqueue('editSlot', rename(second, 'By the first'), base);
    await settle();
    expect(sent).toHaveLength(2);
    expect([...a.done].sort()).toEqual([first, second].sort());
    expect([...b.done].sort()).toEqual([first, second].sort());
    expect([a.outbox.entries, b.outbox.entries]).toEqual([[], []]);
  });

  it('see what waits in each other, and know whose it is', async () => {
    const [a, b] = [await opened(), await opened()];
    answer = () => Promise.reject(refusal(0));
    a.outbox.enqueue('editSlot', rename(first, 'Offline'), base);
    await settle();
    const [entry] = b.outbox.entries;
    expect(entry?.command.payload).toMatchObject({ values: { name: 'Offline' } });
    expect([a, b].map(({ engine }) => engine.isOwn(entry as OutboxEntry))).toEqual([true, false]);
    expect(b.outbox.offline).toBe(true);
  });

  it('go on sending when the one that sent is closed, under the same key', async () => {
    const [a, b] = [await opened(), await opened()];
    answer = () => new Promise(() => undefined);
    a.outbox.enqueue('editSlot', rename(first, 'Half sent'), base);
    await settle();
    answer = obedient();
    a.outbox.close();
    await settle();
    expect(b.done).toEqual([first]);
    expect(new Set(sent.map(({ key }) => key)).size).toBe(1);
    expect(sent).toHaveLength(2);
  });

  it('a lane that another tab resolves is resolved in all', async () => {
    const [a, b] = [await opened(), await opened()];
    answer = () => Promise.reject(refusal(409));
    a.outbox.enqueue('editSlot', rename(first, 'Mine'), base);
    await settle();
    expect(b.stuck).toEqual(['conflict']);
    await b.outbox.resolve(b.outbox.entries[0]?.command.key ?? '', false, base);
    await settle();
    expect([a.outbox.entries, b.outbox.entries]).toEqual([[], []]);
  });
});

describe('lanes of several projects', () => {
  const other = uuid(60);
  const house = uuid(61);
  const paths = (command: Command) => command.projectId;

  it('do not wait for each other', async () => {
    const { engine } = await opened();
    const good = obedient();
    answer = (command) => (paths(command) === projectId ? new Promise(() => undefined) : good(command));
    typeAct(engine, projectId, 'editSlot', rename(first, 'Slow'), base);
    typeAct(engine, other, 'editSlot', rename(second, 'Quick'), base);
    await settle();
    expect(engine.entriesOf(other)).toEqual([]);
    expect(engine.waitingLanes().map(({ scopeId }) => scopeId)).toEqual([projectId]);
  });

  it('what speaks of a row waits until the other lane has made it', async () => {
    const { engine } = await opened();
    answer = () => Promise.reject(refusal(0));
    const made = slot(uuid(80), { number: 3, name: 'New one', spotId: uuid(90) });
    const there = { ...base, spots: [spot(uuid(90))] };
    typeAct(engine, house, 'addSlot', { row: made }, there);
    typeAct(engine, projectId, 'removeSlot', { id: made.id }, base);
    await settle();
    expect(sent.map(paths)).toEqual([house]);
    answer = async () => ({ actId: uuid(900), title: '', tag: '2.1', rows: [], removed: [] });
    engine.retry();
    await settle();
    expect(sent.map(paths)).toEqual([house, house, projectId]);
  });

  it('what somebody typed goes out in their name: while another is signed in here, it waits and is not seen', async () => {
    const { outbox } = await opened();
    const { own, sentBy } = { own: () => outbox.entries.length, sentBy: () => sent.map(({ payload }) => payload) };
    answer = async () => {
      throw new ApiError(0, { code: 'database.gone', sentence: 'Nobody.' });
    };
    putPersonHere('mara');
    outbox.enqueue('editSlot', rename(first, 'Mara’s lamp'), base);
    await settle();
    expect(own()).toBe(1);
    // She signs out, and somebody else signs in.
    putPersonHere('noor');
    expect(own()).toBe(0);
    sent.length = 0;
    answer = obedient();
    outbox.enqueue('editSlot', rename(first, 'Noor’s lamp'), base);
    outbox.retry();
    await settle();
    expect(sentBy()).toEqual([rename(first, 'Noor’s lamp')]);
    putPersonHere('mara');
    expect(own()).toBe(1);
    outbox.retry();
    await settle();
    expect(sentBy()).toEqual([rename(first, 'Noor’s lamp'), rename(first, 'Mara’s lamp')]);
    putPersonHere('');
  });

  it('each goes out in the studio that it was typed in', async () => {
    const { engine } = await opened();
    answer = () => Promise.reject(refusal(0));
    const entry = typeAct(engine, projectId, 'editSlot', rename(first, 'Here'), base);
    await settle();
    expect(entry).toHaveProperty('studioId');
    expect((stored.get(`lane:${projectId}`) as OutboxEntry[])[0]?.atMs).toBeGreaterThan(0);
  });
});

describe('what was kept by an earlier version', () => {
  it('is taken over: a queue for each tab becomes one lane', async () => {
    const entry = (id: string, name: string): OutboxEntry => ({
      command: {
        key: uuid(Number(id.slice(-2)) + 40),
        projectId,
        kind: 'editSlot',
        payload: rename(id, name),
        expect: {},
      },
      state: 'waiting',
      answer: null,
    });
    stored.set(`outbox:${projectId}:tab-a`, [entry(first, 'Left by a')]);
    stored.set(`outbox:${projectId}:tab-b`, [entry(second, 'Left by b')]);
    const { done } = await opened();
    await settle();
    expect([...done].sort()).toEqual([first, second].sort());
    expect([...stored.values()].flat()).toEqual([]);
  });
});

describe('a server that stays away', () => {
  it('is asked ever more rarely, at once when somebody presses, and soon again after it answered', async () => {
    vi.useFakeTimers();
    try {
      const { outbox } = await opened();
      answer = () => Promise.reject(refusal(0));
      outbox.enqueue('editSlot', rename(first, 'One'), base);
      await vi.advanceTimersByTimeAsync(120_000);
      // After 0, 2, 6, 14, 30, 62 seconds, then once a minute.
      expect(sent.length).toBeGreaterThanOrEqual(6);
      expect(sent.length).toBeLessThanOrEqual(8);
      const before = sent.length;
      outbox.retry();
      await vi.advanceTimersByTimeAsync(10);
      expect(sent.length).toBe(before + 1);
    } finally {
      vi.useRealTimers();
    }
  });
});

describe('a device that stops keeping in the middle', () => {
  it('loses nothing of what waits in the tab, and sends it', async () => {
    vi.resetModules();
    const kept = new Map<string, unknown>();
    let isBroken = false;
    const orNot =
      <A extends unknown[], R>(work: (...args: A) => R) =>
      async (...args: A) => {
        if (isBroken) throw new Error('the disk is gone');
        return work(...args);
      };
    vi.doMock('idb-keyval', () => ({
      get: orNot((key: string) => structuredClone(kept.get(key))),
      set: orNot((key: string, value: unknown) => void kept.set(key, structuredClone(value))),
      del: orNot((key: string) => void kept.delete(key)),
      keys: orNot(() => [...kept.keys()]),
      update: orNot(
        (key: string, how: (before: unknown) => unknown) => void kept.set(key, how(structuredClone(kept.get(key)))),
      ),
    }));
    const { SyncEngine: Breaking } = await import('./syncEngine');
    const { typeAct: typeInto } = await import('./typed');
    const { ApiError: Refused } = await import('../app/api');
    const done: string[] = [];
    const engine = new Breaking();
    open.push(engine);
    engine.attach(projectId, {
      changed: () => undefined,
      done: (entry) => done.push((entry.command.payload as { id: string }).id),
      stuck: () => undefined,
    });
    await engine.start();
    answer = () => Promise.reject(new Refused(0, { code: 'database.gone', sentence: '' }));
    typeInto(engine, projectId, 'editSlot', rename(first, 'Kept'), base);
    await settle();
    isBroken = true;
    typeInto(engine, projectId, 'editSlot', rename(second, 'Only in the tab'), base);
    await settle();
    expect(engine.entriesOf(projectId)).toHaveLength(2);
    answer = obedient();
    engine.retry();
    await settle();
    await settle();
    expect(done).toEqual([first, second]);
    vi.doUnmock('idb-keyval');
  });
});

describe('rows as the page shows them', () => {
  const waiting = (kind: string, payload: unknown) => ({
    command: { key: uuid(50), projectId, kind, payload, expect: {} },
    state: 'waiting' as const,
    answer: null,
  });
  it('hold what is on its way, and not what was refused', () => {
    const edit = waiting('editSlot', rename(first, 'Soon'));
    expect(withWaiting(base, [edit]).slots[0]?.name).toBe('Soon');
    expect(withWaiting(base, [{ ...edit, state: 'refused' as never }]).slots[0]?.name).toBe('Lamp');
    expect(base.slots[0]?.name).toBe('Lamp');
  });
  it('skip a command that no longer makes sense instead of failing', () => {
    expect(withWaiting(base, [waiting('editSlot', rename(uuid(77), 'Ghost'))])).toEqual(base);
    expect(withWaiting(base, [waiting('editSlot', { id: first, values: { quantity: 'many' } })])).toEqual(base);
  });
  it('take the server’s rows: changed ones replace, new ones join, removed ones go', () => {
    const after = withAnswer(base, {
      actId: uuid(9),
      title: '',
      tag: '3.1',
      rows: [
        { table: 'slots', row: { ...base.slots[0], name: 'Theirs', version: 4 } },
        { table: 'slots', row: { ...base.slots[0], id: uuid(8), name: 'New' } },
        { table: 'project', row: { ...base.project, name: 'Renamed' } },
      ] as never,
      removed: [{ table: 'slots', id: second }],
    });
    expect(after.slots.map((row) => row.name)).toEqual(['Theirs', 'New']);
    expect(after.project.name).toBe('Renamed');
  });
});
