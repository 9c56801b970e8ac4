import { describe, expect, it } from 'vitest';
import { uuid } from '../fixtures/following';
import { lots } from '../fixtures/lots';
import { card, find, project, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { sampleRow } from '../fixtures/sampleRow';
import { columnsOf } from './derive/columns';
import { nestedReferenceFields, referenceFields, referencesOf, withReferences, writeOrder } from './derive/references';
import { travelling } from './derive/travel';
import { allEntities, type ChangedTable, entityOf, isTable, rowEntities, tableNames } from './entities';
import { isKeepable, line, paragraph } from './fields';
import { newLedgerLine } from './newLedgerLine';
import { priceSchema } from './values/price';

const tables = allEntities.map((entity) => entity.table);

describe.each(tables)('the table %s', (table) => {
  const entity = entityOf(table);

  it('has rows that its own schema accepts, scarce and full', () => {
    for (const filled of [false, true]) expect(entity.row.safeParse(sampleRow(table, filled)).success).toBe(true);
  });

  it('refuses a field that nobody has heard of, and a row without one of its own', () => {
    const row = sampleRow(table, true);
    expect(entity.row.safeParse({ ...row, nobody: 1 }).success).toBe(false);
    for (const field of Object.keys(entity.fields)) {
      const { [field]: _gone, ...rest } = row;
      expect(entity.row.safeParse(rest).success).toBe(false);
    }
  });

  it('keeps every field in a column', () => {
    const columns = columnsOf(entity);
    // Made once: a full project says every day of every helper.
    const full = sampleRow(table, true);
    expect(columns.map((column) => column.field)).toEqual(Object.keys(entity.fields));
    for (const { field, nullable } of columns) {
      const empty = entity.row.safeParse({ ...full, [field]: null }).success;
      // Two fields of which only one may be said are both nullable on their own.
      if (!nullable) expect(empty).toBe(false);
    }
  });

  it('points only to tables that there are, and lists its own fields where it names some', () => {
    const known = (name: string) => isTable(name) || name === 'photoBytes';
    for (const reference of referenceFields(entity)) expect(known(reference.table)).toBe(true);
    for (const { tables: named } of nestedReferenceFields(entity))
      for (const name of named) expect(known(name)).toBe(true);
    for (const field of [...entity.unique, ...entity.indexed].flat())
      expect(Object.keys(entity.fields)).toContain(field);
    expect(Object.keys(entity.fields)).toEqual(expect.arrayContaining(Object.keys(entity.remains)));
    expect(entity.row.safeParse({ ...sampleRow(table, true), ...entity.remains }).success).toBe(true);
  });

  it('finds every reference of a full row, and changes each without touching the row', () => {
    const row = Object.freeze(sampleRow(table, true));
    const before = JSON.stringify(row);
    const found = referencesOf(table, row);
    const named = [...referenceFields(entity), ...nestedReferenceFields(entity)];
    // Full rows say one kind of everything, so a field with references has at least one.
    for (const { field } of named) {
      if (table === 'overrides' || row[field] === null) continue;
      expect(found.some((reference) => reference.path[0] === field)).toBe(true);
    }
    const marked = withReferences(table, row, ({ id }) => `${id.slice(0, -1)}x`);
    const after = JSON.stringify(marked);
    for (const { id, path } of found) if (path[0] !== 'id') expect(after).not.toContain(`"${id}"`);
    expect(JSON.stringify(row)).toBe(before);
    expect(withReferences(table, row, ({ id }) => id)).toBe(row);
  });
});

describe('the tables together', () => {
  it('are written so that every reference points to a row that is there', () => {
    const order = writeOrder();
    expect([...order].sort()).toEqual([...tables].sort());
    for (const table of order)
      for (const { table: target } of referenceFields(entityOf(table)))
        if (isTable(target) && target !== table)
          expect(order.indexOf(target as ChangedTable)).toBeLessThan(order.indexOf(table));
  });

  it('have names of their own', () => {
    for (const key of ['table', 'name'] as const)
      expect(new Set(allEntities.map((entity) => entity[key])).size).toBe(allEntities.length);
    expect(tableNames).toHaveLength(rowEntities.length);
  });
});

describe('a table that is added', () => {
  it('has its columns, its references and its rules from the one definition', () => {
    expect(columnsOf(lots)).toEqual([
      { field: 'code', type: 'text', nullable: false },
      { field: 'story', type: 'text', nullable: false },
      { field: 'pieces', type: 'int', nullable: false },
      { field: 'weightKg', type: 'double', nullable: true },
      { field: 'color', type: 'lab', nullable: true },
      { field: 'sightings', type: 'json', nullable: false },
      { field: 'spotId', type: 'uuid', nullable: true },
    ]);
    expect(referenceFields(lots)).toEqual([{ field: 'spotId', table: 'spots' }]);
    expect(nestedReferenceFields(lots)).toEqual([{ field: 'sightings', tables: new Set(['sightings']) }]);
    const row = {
      id: uuid(1),
      version: 1,
      code: 'a',
      story: '',
      pieces: 4,
      weightKg: null,
      color: null,
      sightings: [],
      spotId: null,
    };
    const read = lots.row.safeParse(row);
    expect(read.error?.issues.map((issue) => [issue.path.join('.'), issue.message])).toEqual([
      ['weightKg', 'a weight'],
    ]);
    expect(lots.row.safeParse({ ...row, weightKg: 2 }).success).toBe(true);
  });
});

describe('texts', () => {
  it('of one line have one: a break in them is a space', () => {
    expect(line(1, 40).parse('  Oak stool\r\nwith a\n\n split seat ')).toBe('Oak stool with a split seat');
    expect(paragraph(1, 40).parse(' two\nlines ')).toBe('two\nlines');
  });
  it.each([
    ['a NUL', 'a\u0000b'],
    ['the first half of a character', 'a\ud83d'],
    ['the second half of one', '\ude00b'],
    ['halves in the wrong order', '\ude00\ud83d'],
  ])('with %s are refused, as nothing can keep them', (_what, text) => {
    expect(isKeepable(text)).toBe(false);
    expect(line(0, 40).safeParse(text).success).toBe(false);
  });
  it('keep whole characters of any script', () => {
    for (const text of ['🪑 stool', '椅子', 'Ω', 'é']) expect(line(0, 40).parse(text)).toBe(text);
  });
});

describe('a price', () => {
  it.each([
    [{ state: 'stated', low: 900, high: 1200 }, true],
    [{ state: 'stated', low: 900, high: 900 }, true],
    [{ state: 'stated', low: 1200, high: 900 }, false],
    [{ state: 'estimated', low: 900, likely: 1000, high: 1200 }, true],
    [{ state: 'estimated', low: 900, likely: 1300, high: 1200 }, false],
    [{ state: 'estimated', low: 900, likely: 800, high: 1200 }, false],
    [{ state: 'stated', low: -1, high: 900 }, false],
    [{ state: 'stated', low: 9.5, high: 10 }, false],
    [{ state: 'free' }, true],
    [{ state: 'unknown' }, true],
    [{ state: 'unknown', low: 1, high: 2 }, false],
  ])('%j can be kept: %s', (price, good) => {
    expect(priceSchema.safeParse(price).success).toBe(good);
  });
});

describe('what travels in a file', () => {
  const teal = card(uuid(1), 'Teal', '#2f5d62');
  const plum = card(uuid(2), 'Plum', '#5a2a4a');
  const stool = find(uuid(3), 900);
  const base = rows({
    project: project({ id: uuid(9) }),
    slots: [slot(uuid(4))],
    finds: [stool],
    recipes: [recipe(uuid(5), stool, 'chalk', teal.id)],
    colorCards: [teal, plum],
    supplies: [
      supply(uuid(6), 'chalk', teal.id, 'matt'),
      supply(uuid(7), 'chalk', plum.id, 'matt'),
      supply(uuid(8), 'clearWax', null, 'satin'),
    ],
  });
  const ids = (list: readonly { id: string }[]) => list.map((row) => row.id);

  it('is what the project speaks of, with what belongs to that', () => {
    const file = travelling(base);
    expect(ids(file.colorCards)).toEqual([teal.id]);
    // A supply without a color serves any project; one in a color that is not shown stays.
    expect(ids(file.supplies)).toEqual([uuid(6), uuid(8)]);
    expect(ids(file.pieces)).toEqual([stool.pieceId]);
  });

  it('is also what only the ledger names: a color and a supply that nothing shows any more', () => {
    const line = newLedgerLine(uuid(20), 'payment', { kind: 'supply', id: uuid(7) }, 100, 0);
    const file = travelling({ ...base, ledger: [line] });
    expect(ids(file.supplies)).toContain(uuid(7));
    expect(ids(file.colorCards)).toContain(plum.id);
  });

  it('leaves pictures behind, and what refers to one goes without it', () => {
    const anchor = { what: 'the rug', why: '', photoId: uuid(30) };
    const pictured = {
      ...base,
      project: { ...base.project, brief: { ...base.project.brief, anchor } },
      inspirations: [{ id: uuid(31), version: 1, photoId: uuid(30), seenAt: '', taken: '' }],
      pieces: base.pieces.map((piece) => ({ ...piece, photoId: uuid(30) })),
    };
    const file = travelling(pictured);
    expect(file.photos).toEqual([]);
    expect([file.project.brief.anchor?.photoId, file.inspirations[0]?.photoId, file.pieces[0]?.photoId]).toEqual([
      null,
      null,
      null,
    ]);
    expect(pictured.inspirations[0]?.photoId).toBe(uuid(30));
  });
});
