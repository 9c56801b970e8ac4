import { describe, expect, it } from 'vitest';
import { outcomeOf, uuid } from '../fixtures/following';
import { card, find, option, project, rows, slot } from '../fixtures/projectRows';
import type { ProjectRows } from '../model/rows';
import { acts } from '.';

describe('every command', () => {
  it.each(acts.all.map((entry) => entry.id))('%s refuses an empty and an unknown field', (kind) => {
    const { payload } = acts.get(kind).act;
    expect(payload.safeParse({ nobody: 1 }).success).toBe(false);
    expect(payload.safeParse(null).success).toBe(false);
  });

  it('has a title for the message that offers to undo it', () => {
    for (const { act } of acts.all) expect(act.title).toMatch(/^[A-Z].+/);
  });
});

/** Rows after a command, or the refusal. */
function after(before: ProjectRows, kind: string, payload: unknown): ProjectRows {
  const { rows: changed, refused } = outcomeOf(before, kind, payload);
  if (!changed) throw new Error(refused.accepted);
  return changed;
}

describe('choosing', () => {
  const slotId = uuid(1);
  const base = rows({
    project: project({ id: uuid(9) }),
    slots: [slot(slotId, { quantity: 2 })],
    finds: [find(uuid(2), 1200), find(uuid(3), 900)],
    options: [
      option(uuid(4), slotId, 'asFound', { parts: [{ findId: uuid(2), offerId: null, pieces: 1 }] }),
      option(uuid(5), slotId, 'asFound', { parts: [{ findId: uuid(3), offerId: null, pieces: 1 }] }),
      option(uuid(6), slotId, 'buyNew'),
    ],
    colorCards: [card(uuid(7), 'Teal', '#2f5d62')],
  });
  const choose = (from: ProjectRows, optionId: string, count: number, n: number) =>
    after(from, 'choose', { slotId, optionId, count, fillId: uuid(n) });
  const fills = (of: ProjectRows) => of.fills.map((fill) => [fill.optionId, fill.count]);

  it('keeps what still fits beside it, and lets the rest give way', () => {
    const one = choose(base, uuid(4), 1, 20);
    const both = choose(one, uuid(5), 1, 21);
    expect(fills(both)).toEqual([
      [uuid(4), 1],
      [uuid(5), 1],
    ]);
    expect(fills(choose(both, uuid(6), 2, 22))).toEqual([[uuid(6), 2]]);
  });

  it('leaves its inputs untouched', () => {
    const frozen = Object.freeze({ ...base, fills: Object.freeze([]) as never });
    expect(() => choose(frozen, uuid(4), 1, 20)).not.toThrow();
    expect(frozen.fills).toEqual([]);
  });
});

describe('a function of the place', () => {
  const brief = { ...project().brief, functions: ['hide the mail', 'light to read'] };
  const base = rows({
    project: project({ id: uuid(9), brief }),
    slots: [slot(uuid(1), { keeps: ['hide the mail', 'said before'] }), slot(uuid(2))],
  });
  const given = (from: ProjectRows, words: string, slotId: string | null) =>
    after(from, 'keepFunction', { words, slotId });
  const keeps = (of: ProjectRows) => of.slots.map((row) => row.keeps);
  it('goes from one slot to another in one act, and what the brief says no more goes too', () => {
    const moved = given(base, 'hide the mail', uuid(2));
    expect(keeps(moved)).toEqual([[], ['hide the mail']]);
    expect(keeps(given(moved, 'light to read', uuid(2)))[1]).toEqual(['hide the mail', 'light to read']);
    expect(keeps(given(moved, 'hide the mail', null))).toEqual([[], []]);
  });
  it('must be one that the brief names, and a slot that is there', () => {
    expect(outcomeOf(base, 'keepFunction', { words: 'said before', slotId: uuid(2) }).refused?.field).toBe('words');
    expect(outcomeOf(base, 'keepFunction', { words: 'hide the mail', slotId: uuid(3) }).refused?.field).toBe('slotId');
  });
});
