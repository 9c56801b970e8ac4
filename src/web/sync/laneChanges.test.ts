import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { project, rows, slot } from '../../core/fixtures/projectRows';
import { resolved } from './decisions';
import { added, editedFields, followed, type Lane, markedSent, mergedOver, nextToSend, stuckAs } from './laneChanges';
import type { OutboxEntry } from './rowsAfter';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const base = rows({ project: project({ id: uuid(1) }), slots: [slot(uuid(2)), slot(uuid(3), { number: 2 })] });
const entry = (n: number, id: string, values: object, more: Partial<OutboxEntry> = {}): OutboxEntry => ({
  command: {
    key: uuid(n),
    projectId: uuid(1),
    kind: 'editSlot',
    payload: { id, values },
    expect: { [`slots:${id}`]: 1 },
  },
  state: 'waiting',
  answer: null,
  ...more,
});
const refusal = { code: 'conflict', sentence: 'Changed.' } as const;
const newKey = () => uuid(99);

describe('a conflict', () => {
  const both = { name: 'Mine', note: 'my note' };
  const stuck: Lane = [entry(10, uuid(2), both, { state: 'conflict', answer: refusal, sent: true })];

  it('is resolved field by field: only what is kept of mine goes out, against the rows as they are', () => {
    const theirs = { ...base, slots: base.slots.map((row) => ({ ...row, version: 5 })) };
    const [again] = resolved(stuck, uuid(10), { keep: 'fields', fields: ['note'] }, theirs, newKey);
    expect(again?.command).toMatchObject({
      key: uuid(99),
      payload: { id: uuid(2), values: { note: 'my note' } },
      expect: { [`slots:${uuid(2)}`]: 5 },
    });
    expect(again).toMatchObject({ state: 'waiting', answer: null, sent: false });
  });

  it('goes out against what the server told of, where the page has not read that yet', () => {
    const told = {
      ...refusal,
      conflicts: [{ table: 'slots', id: uuid(2), expected: 1, theirs: { id: uuid(2), version: 9 }, mine: null }],
    };
    const lane: Lane = [entry(10, uuid(2), both, { state: 'conflict', answer: told, sent: true })];
    const [again] = resolved(lane, uuid(10), { keep: 'mine' }, base, newKey);
    expect(again?.command.expect).toEqual({ [`slots:${uuid(2)}`]: 9 });
  });

  it('of which no field of mine is kept is let go', () => {
    expect(resolved(stuck, uuid(10), { keep: 'fields', fields: [] }, base, newKey)).toEqual([]);
    expect(resolved(stuck, uuid(10), { keep: 'theirs' }, base, newKey)).toEqual([]);
  });

  it('says which fields it would change; anything but an edit has none', () => {
    const [first] = stuck;
    expect(first && editedFields(first)).toEqual(both);
    const other = {
      ...entry(11, uuid(2), {}),
      command: { ...entry(11, uuid(2), {}).command, payload: { id: uuid(2) } },
    };
    expect(editedFields(other)).toBeNull();
  });

  it('that waits is not resolved, and an unknown one changes nothing', () => {
    const waiting: Lane = [entry(10, uuid(2), both)];
    expect(resolved(waiting, uuid(10), { keep: 'theirs' }, base, newKey)).toBe(waiting);
    expect(resolved(stuck, uuid(77), { keep: 'theirs' }, base, newKey)).toBe(stuck);
  });
});

describe('whatever happens to a lane', () => {
  const step = fc.record({
    what: fc.constantFrom('add', 'sent', 'stuck', 'done', 'mine', 'theirs', 'fields'),
    of: fc.integer({ min: 0, max: 9 }),
    slot: fc.constantFrom(uuid(2), uuid(3)),
  });

  it('no key is there twice, order is kept, and nothing goes but by an answer or a decision', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        let lane: Lane = [];
        let fresh = 500;
        const typed: string[] = [];
        const ended = new Set<string>();
        for (const { what, of, slot: id } of steps) {
          const present = lane[of % Math.max(1, lane.length)];
          const key = present?.command.key ?? '';
          const name = (present?.command.payload as { values?: { name?: string } } | undefined)?.values?.name ?? '';
          if (what === 'add') {
            const more = entry(typed.length + 100, id, { name: `typed ${typed.length}` });
            typed.push(`typed ${typed.length}`);
            lane = added(added(lane, more), more);
          } else if (what === 'sent') lane = markedSent(lane, key);
          else if (what === 'stuck' && present) lane = stuckAs(lane, key, 'conflict', refusal);
          else if (what === 'done' && present?.state === 'waiting') {
            ended.add(name);
            lane = followed(lane, key, { actId: uuid(9), title: '', tag: '', rows: [], removed: [] });
          } else if (what === 'mine' || what === 'theirs') {
            if (what === 'theirs' && present && present.state !== 'waiting') ended.add(name);
            lane = resolved(lane, key, { keep: what }, base, () => {
              fresh += 1;
              return uuid(fresh);
            });
          }
        }
        const keys = lane.map(({ command }) => command.key);
        expect(new Set(keys).size).toBe(keys.length);
        const left = lane.map(({ command }) => (command.payload as { values: { name: string } }).values.name);
        expect(left).toEqual(typed.filter((name) => !ended.has(name)));
        // What is sent next never touches a row that is held.
        const next = nextToSend(lane);
        const held = lane
          .filter(({ state }) => state !== 'waiting')
          .flatMap(({ command }) => Object.keys(command.expect));
        expect(Object.keys(next?.command.expect ?? {}).filter((place) => held.includes(place))).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
});

describe('an edit that meets another one of the same row', () => {
  const conflict = (theirs: object | null) => [
    { table: 'slots', id: uuid(2), expected: 1, theirs: theirs && { id: uuid(2), version: 4, ...theirs }, mine: null },
  ];
  const over = (seen: object, mine: object, theirs: object | null) =>
    mergedOver({ ...entry(10, uuid(2), mine), seen: { ...seen } }, conflict(theirs), uuid(99));
  const valuesOf = (merged: OutboxEntry | null) => (merged?.command.payload as { values: object } | undefined)?.values;

  it('goes over it by itself where they changed something else', () => {
    const merged = over({ name: 'Lamp' }, { name: 'Tall lamp' }, { name: 'Lamp', note: 'theirs' });
    expect(valuesOf(merged)).toEqual({ name: 'Tall lamp' });
    expect(merged?.command).toMatchObject({ key: uuid(99), expect: { [`slots:${uuid(2)}`]: 4 } });
    expect(merged?.sent).toBe(false);
  });

  it('waits for the stylist where both changed the same, and where the row is gone', () => {
    expect(over({ name: 'Lamp' }, { name: 'Mine' }, { name: 'Theirs' })).toBeNull();
    expect(over({ name: 'Lamp' }, { name: 'Mine' }, null)).toBeNull();
    expect(over({ name: 'Lamp' }, { name: 'Same' }, { name: 'Same' })).not.toBeNull();
  });

  it('is none of its own where nobody knows what was seen, or where it is no edit', () => {
    expect(mergedOver(entry(10, uuid(2), { name: 'Mine' }), conflict({ name: 'Lamp' }), uuid(99))).toBeNull();
    const other = entry(10, uuid(2), {}, { seen: {} });
    const act = { ...other, command: { ...other.command, payload: { rows: [] } } };
    expect(mergedOver(act, conflict({}), uuid(99))).toBeNull();
  });

  it('whatever the fields and their parts: different changes are all kept, the same one is asked about', () => {
    const part = fc.constantFrom('a', 'b', 'c');
    const change = fc.dictionary(part, fc.integer({ min: 1, max: 3 }), { maxKeys: 3 });
    fc.assert(
      fc.property(change, change, (mine, theirs) => {
        const seen = { a: 0, b: 0, c: 0 };
        const merged = over({ brief: seen }, { brief: { ...seen, ...mine } }, { brief: { ...seen, ...theirs } });
        const clash = Object.keys(mine).some((key) => key in theirs && mine[key] !== theirs[key]);
        if (clash) expect(merged).toBeNull();
        else expect(valuesOf(merged)).toEqual({ brief: { ...seen, ...theirs, ...mine } });
      }),
    );
  });
});
