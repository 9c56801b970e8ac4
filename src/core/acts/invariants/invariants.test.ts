import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { card, fill, find, offer, option, project, recipe, rows, slot, supply } from '../../fixtures/projectRows';
import { sampleRow } from '../../fixtures/sampleRow';
import { referencesOf } from '../../model/derive/references';
import { emptyProject } from '../../model/emptyRows';
import { isTable, rowEntities } from '../../model/entities';
import { newLedgerLine } from '../../model/newLedgerLine';
import type { LedgerRow, ProjectRows, SlotRow } from '../../model/rows';
import { type AnyRow, insert, type RowChange, remove, update, type Workspace } from '../changes';
import { judge } from '../perform';
import { after } from '../rowsAfter';
import { breachesOf, newBreaches } from '.';

const part = (findId: string) => ({ findId, offerId: null, pieces: 1 });
const said = (found: readonly { field: string; accepted: string }[]) =>
  found.map(({ field, accepted }) => `${field}: ${accepted}`);
/** What does not hold after some changes and did before. */
const broken = (before: Workspace, ...changes: RowChange[]) => said(newBreaches(before, after(before, changes)));

describe.each(rowEntities.map(({ table }) => table))('what a row of %s points to', (table) => {
  const row = sampleRow(table, true) as AnyRow;
  const pointed = referencesOf(table, row).filter((reference) => isTable(reference.table) && reference.id !== row.id);
  /** Rows that an act can remove; the project goes as a whole. */
  const goers = pointed.filter((reference) => reference.table !== 'project');
  const lists = new Map<string, AnyRow[]>([[table, [row]]]);
  for (const { table: target, id } of pointed) {
    if (!isTable(target) || target === 'project') continue;
    const list = lists.get(target) ?? [];
    if (!list.some((entry) => entry.id === id)) list.push({ ...(sampleRow(target, false) as AnyRow), id });
    lists.set(target, list);
  }
  const projectId = pointed.find((reference) => reference.table === 'project')?.id ?? uuid(999);
  const whole = { ...emptyProject(project({ id: projectId })), ...Object.fromEntries(lists) } as ProjectRows;
  const ofRow = (of: Workspace) => breachesOf(of).filter((breach) => breach.id === row.id && breach.target);

  it('is there, or is named with its place', () => {
    expect(ofRow(whole)).toEqual([]);
    for (const { table: target, id, path } of goers) {
      const list = (lists.get(target) ?? []).filter((entry) => entry.id !== id);
      const without = { ...whole, [target]: list } as ProjectRows;
      expect(ofRow(without).map((breach) => breach.path)).toContainEqual(path);
    }
  });

  it('cannot go from under it', () => {
    for (const { table: target, id } of goers) {
      const left = { ...whole, [target]: (lists.get(target) ?? []).filter((entry) => entry.id !== id) } as ProjectRows;
      expect(newBreaches(whole, left).some((breach) => breach.value === id)).toBe(true);
    }
  });
});

describe('one of a kind', () => {
  const teal = card(uuid(1), 'Teal', '#2f5d62');
  const base = rows({ colorCards: [teal], supplies: [supply(uuid(2), 'chalk', teal.id, 'matt')] });

  it('a second supply of one identity is refused; of another sheen, color or kind it is not', () => {
    const with_ = (kind: string, color: string | null, sheen: 'matt' | 'satin') =>
      broken(base, insert('supplies', supply(uuid(3), kind, color, sheen)));
    expect(with_('chalk', teal.id, 'matt')).toHaveLength(1);
    expect([
      ...with_('chalk', teal.id, 'satin'),
      ...with_('chalk', null, 'matt'),
      ...with_('wallAcrylic', teal.id, 'matt'),
    ]).toEqual([]);
  });

  it('a change that makes one the twin of another is refused too', () => {
    const two = after(base, [insert('supplies', supply(uuid(3), 'chalk', teal.id, 'satin'))]);
    expect(broken(two, update('supplies', uuid(3), { sheen: 'matt' }))).toHaveLength(1);
  });

  it('twins that a file brought are no obstacle to other work', () => {
    const twins = rows({
      colorCards: [teal],
      supplies: [supply(uuid(2), 'chalk', teal.id, 'matt'), supply(uuid(3), 'chalk', teal.id, 'matt')],
    });
    expect(breachesOf(twins)).toHaveLength(1);
    expect(broken(twins, update('colorCards', teal.id, { name: 'Harbor' }))).toEqual([]);
    expect(broken(twins, remove('supplies', uuid(3)))).toEqual([]);
  });
});

describe('what a slot holds', () => {
  const board = (change: Partial<SlotRow>, ...counts: number[]) =>
    rows({
      slots: [slot('a', { quantity: 3, name: 'Lamps', ...change }), slot('b', { number: 2, name: 'Rug' })],
      offers: counts.map((_, n) => offer(`offer ${n}`, 900)),
      options: counts.map((_, n) =>
        option(`option ${n}`, 'a', 'buyNew', { parts: [{ findId: null, offerId: `offer ${n}`, pieces: 1 }] }),
      ),
      fills: counts.map((count, n) => fill('a', `option ${n}`, count)),
    });

  it('is at most what it asks for, in any parts', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 3 }), { maxLength: 4 }),
        fc.integer({ min: 1, max: 6 }),
        (counts, quantity) => {
          const sum = counts.reduce((total, count) => total + count, 0);
          expect(said(breachesOf(board({ quantity }, ...counts)))).toEqual(
            sum > quantity ? [`slot 1, Lamps: choices that together cover at most ${quantity}`] : [],
          );
        },
      ),
    );
  });

  it('can be chosen fewer of when it holds too many, and never more', () => {
    const over = board({ quantity: 2 }, 2, 2);
    expect(broken(over, update('fills', 'fill-option 1', { count: 1 }))).toEqual([]);
    expect(broken(over, update('fills', 'fill-option 1', { count: 3 }))).toHaveLength(1);
    expect(broken(over, update('slots', 'b', { name: 'Mat' }))).toEqual([]);
    expect(broken(over, update('slots', 'a', { name: 'Sconces', quantity: 3 }))).toEqual([]);
    expect(broken(over, update('slots', 'a', { quantity: 1 }))).toHaveLength(1);
  });

  it('is chosen from its own ways, and nothing where it is left out', () => {
    const base = board({}, 1);
    expect(broken(base, update('fills', 'fill-option 0', { slotId: 'b' }))).toEqual([
      'optionId: an option of the same slot',
    ]);
    expect(broken(base, update('slots', 'a', { leftOut: true }))).toEqual([
      'slot 1, Lamps: nothing chosen where a slot is left out',
    ]);
    expect(broken(base, update('slots', 'b', { leftOut: true, importance: 'must' }))).toEqual([
      'slot 2, Rug: something, as it is a must',
    ]);
  });
});

describe('a piece is in one place', () => {
  const jars = (count: number, ...taken: number[]) =>
    rows({
      slots: taken.map((_, n) => slot(`slot ${n}`, { number: n + 1, quantity: 9 })),
      finds: [find('jars', 300, { name: 'Jars', count })],
      options: taken.map((_, n) => option(`way ${n}`, `slot ${n}`, 'asFound', { parts: [part('jars')] })),
      fills: taken.map((pieces, n) => fill(`slot ${n}`, `way ${n}`, pieces)),
    });

  it('choices take no more than there are, however they are spread', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.integer({ min: 1, max: 4 }), { maxLength: 4 }),
        (count, taken) => {
          const sum = taken.reduce((total, pieces) => total + pieces, 0);
          expect(breachesOf(jars(count, ...taken)).map(({ value }) => value)).toEqual(sum > count ? [sum] : []);
        },
      ),
    );
  });

  it('a refusal names the piece and every slot that wants it', () => {
    expect(broken(jars(3, 1, 2), update('fills', 'fill-way 1', { count: 3 }))).toEqual([
      'Jars, slot 1 and 2: at most the 3 there are',
    ]);
  });

  it('that one of them broke can be noted; only taking one more is refused', () => {
    const full = jars(3, 1, 2);
    const pieceId = full.finds[0]?.pieceId ?? '';
    const cracked = [update('pieces', pieceId, { count: 2 })];
    expect(broken(full, ...cracked)).toEqual([]);
    const short = after(full, cracked);
    expect(broken(short, update('fills', 'fill-way 0', { count: 2 }))).toHaveLength(1);
    expect(broken(short, remove('fills', 'fill-way 0'))).toEqual([]);
  });

  it('parts of one way that take the same piece count together', () => {
    const pair = rows({
      slots: [slot('a', { quantity: 2 })],
      finds: [find('jar', 300, { name: 'Jar' })],
      options: [option('pair', 'a', 'asFound', { parts: [part('jar'), part('jar')] })],
    });
    expect(broken(pair, insert('fills', fill('a', 'pair')))).toEqual(['Jar, slot 1: at most the 1 there is']);
  });
});

describe('the books', () => {
  const line = (n: number, change: Partial<LedgerRow> = {}): LedgerRow => ({
    ...newLedgerLine(uuid(n), 'payment', { kind: 'supply', id: uuid(90) }, 1200, n),
    ...change,
  });
  const books = (...ledger: LedgerRow[]) => rows({ supplies: [supply(uuid(90), 'clearWax', null, 'satin')], ledger });

  it('take a line back once, by its mirror image', () => {
    const paid = books(line(1));
    expect(broken(paid, insert('ledger', line(2, { reversesId: uuid(1) })))).toEqual([]);
    expect(broken(paid, insert('ledger', line(2, { reversesId: uuid(1), amount: 1100 })))).toEqual([
      'amount: the payment of 1200 that it takes back',
    ]);
    const back = books(line(1), line(2, { reversesId: uuid(1) }));
    expect(broken(back, insert('ledger', line(3, { reversesId: uuid(1) })))).toEqual([
      'reversesId: a line that no other line reverses',
    ]);
    expect(broken(back, insert('ledger', line(3, { reversesId: uuid(2) })))).toEqual([]);
  });

  it('have no lines that reverse each other in a circle', () => {
    const circle = books(line(1, { reversesId: uuid(2) }), line(2, { reversesId: uuid(1) }));
    expect(said(breachesOf(circle))).toContain('reversesId: a line that does not reverse this one in turn');
  });

  it('of any length in a chain are read without a step too deep', () => {
    const chain = Array.from({ length: 5000 }, (_, n) => line(n + 1001, n === 0 ? {} : { reversesId: uuid(n + 1000) }));
    expect(breachesOf(books(...chain))).toEqual([]);
  });

  it('pay for a piece or an order once, for a supply again and again', () => {
    const stool = find('stool', 900);
    const subject = { kind: 'piece' as const, id: stool.pieceId };
    const paid = rows({ finds: [stool], ledger: [line(1, { subject })] });
    const again = insert('ledger', line(2, { subject }));
    expect(broken(paid, again)).toEqual(['payment: one payment or promise for each piece']);
    expect(broken(paid, insert('ledger', line(2, { subject, reversesId: uuid(1) })), { ...again })).toHaveLength(1);
    expect(broken(paid, insert('ledger', line(2, { subject, kind: 'promise' })))).toHaveLength(1);
    expect(broken(books(line(1)), insert('ledger', line(2)))).toEqual([]);
  });
});

describe('the shelf', () => {
  const stool = find('stool', 900);
  const open = recipe('white', stool, 'wallAcrylic', null);
  const use = {
    id: uuid(70),
    version: 1,
    supplyId: uuid(90),
    what: 'Stool',
    amount: 100,
    onDate: '2026-06-01',
    cut: null,
  };
  const base = rows({
    finds: [stool],
    supplies: [supply(uuid(90), 'wallAcrylic', null, 'matt')],
    supplyUses: [use],
    recipes: [open],
  });

  it('gives to what is done, once', () => {
    expect(broken(base, update('recipes', 'white', { uses: [use.id] }))).toEqual([
      'white: nothing off the shelf before it is done',
    ]);
    const done = update('recipes', 'white', { uses: [use.id], doneOn: '2026-06-01' });
    expect(broken(base, done)).toEqual([]);
    expect(broken(base, update('recipes', 'white', { uses: [use.id, use.id], doneOn: '2026-06-01' }))).toEqual([
      'white: each amount taken once',
    ]);
    const other = { ...recipe('gray', stool, 'wallAcrylic', null), uses: [use.id], doneOn: '2026-06-02' };
    expect(broken(after(base, [done]), insert('recipes', other))).toEqual(['gray: each amount taken once']);
  });
});

describe('a row that an act decides', () => {
  const base = rows({ slots: [slot(uuid(5), { spotId: uuid(4) })] });

  it('is read by its own schema before anything is written', () => {
    const outcome = judge(base, [update('slots', uuid(5), { quantity: -1 })]);
    expect(outcome).toMatchObject({ ok: false, why: 'payload', problems: [{ field: 'quantity', value: -1 }] });
  });

  it('is judged by what changes: an older field that no longer passes does not stand in the way', () => {
    const old = { ...base, slots: base.slots.map((row) => ({ ...row, quantity: 0 })) };
    expect(judge(old, [update('slots', uuid(5), { name: 'Lamp' })])).toMatchObject({ ok: true });
    expect(judge(old, [update('slots', uuid(5), { quantity: 0 })]).ok).toBe(false);
  });

  it('may be renamed while what it points to is missing', () => {
    const lost = rows({ slots: [slot(uuid(5), { spotId: uuid(404) })] });
    expect(breachesOf(lost)).toHaveLength(1);
    expect(broken(lost, update('slots', uuid(5), { name: 'Lamp' }))).toEqual([]);
    expect(broken(lost, update('slots', uuid(5), { spotId: uuid(405) }))).toHaveLength(1);
  });

  it('that is not there any more is refused by its noun', () => {
    expect(judge(base, [update('slots', uuid(6), { name: 'Lamp' })])).toMatchObject({
      ok: false,
      problems: [{ field: 'id', value: uuid(6), accepted: 'a slot that is still there' }],
    });
  });
});
