import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { project, rows, slot } from '../../core/fixtures/projectRows';
import { added, editedFields, followed, type Lane, markedSent, nextToSend, resolved, stuckAs } from './laneChanges';
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
