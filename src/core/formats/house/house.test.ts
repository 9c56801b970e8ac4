import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { card, pack, rows as projectRows, supply } from '../../fixtures/projectRows';
import type { PackRow, PieceRow } from '../../model/rows';
import { unknownPiece } from '../../sourcing/unknownPiece';
import { readTable } from '../table/readTable';
import type { FileLocale } from './column';
import { type HouseTable, type PresentHouse, pieceFingerprint, planImport } from './planImport';
import { piecesCsv, pricesCsv, suppliesCsv } from './write';

const us: FileLocale = { units: 'us', currency: 'USD', decimal: '.', today: '2026-06-01' };
const eu: FileLocale = { units: 'metric', currency: 'EUR', decimal: ',', today: '2026-06-01' };
const nothing: PresentHouse = {
  pieces: new Map(),
  fingerprints: new Set(),
  supplies: [],
  packs: [],
  colorCards: [],
  priceNotes: [],
};
let counter = 0;
const newId = () => {
  counter += 1;
  return `00000000-0000-4000-8000-${String(counter).padStart(12, '0')}`;
};
const plan = (
  kind: HouseTable,
  text: string,
  locale: FileLocale = us,
  present: PresentHouse = nothing,
  mapping: (string | null)[] | null = null,
) => planImport(kind, readTable(text), locale, present, newId, mapping);
const piecesOf = (text: string, locale: FileLocale = us) =>
  plan('pieces', text, locale).changes.map((change) => change.row as PieceRow);

describe('pieces from a file', () => {
  it('are read by their headings, in any case, with other words for them and units in parentheses', () => {
    const [vase] = piecesOf('WHAT,Tall (cm),Weight (kg),Where,qty\nBlue vase,42,1.5,mantel,2');
    expect(vase).toMatchObject({ name: 'Blue vase', heightMm: 420, weightG: 1500, standsAt: 'mantel', count: 2 });
    // What the name says proposes the roles, as in a quick entry.
    expect(vase?.roles).toEqual(['height', 'greenery']);
  });

  it('read lengths as people write them, in the unit of the studio where nothing is said', () => {
    expect(piecesOf(`Name,Width,Height\nStool,"12 1/2","1' 6"""`)[0]).toMatchObject({
      widthMm: 317.5,
      heightMm: 457.2,
    });
    expect(piecesOf('Name;Breite;Width;Height\nKrug;x;12,5;0,3 m', eu)[0]).toMatchObject({
      widthMm: 125,
      heightMm: 300,
    });
  });

  it('read money in the currency of the line, whichever column comes first', () => {
    expect(piecesOf('Name;Value;Currency\nKrug;1.299,50;EUR\nJug;12,5;GBP', eu).map((piece) => piece.value)).toEqual([
      129_950, 1250,
    ]);
  });

  it('refuse a bad line by line, field, value and what is accepted, and keep the good ones', () => {
    const result = plan(
      'pieces',
      'Name,Height,Last used,Fragile\nVase,tall,2026-06-20,yes\n,12,,\nJug,8,06/07/2026,no\nBowl,4,20.6.2026,x',
    );
    expect(result.counts).toEqual({ new: 1, change: 0, same: 0, bad: 3 });
    expect(result.lines.map((line) => [line.line, line.fate, line.problems[0]?.field])).toEqual([
      [2, 'bad', 'Height'],
      [3, 'bad', 'Name'],
      [4, 'bad', 'Last used'],
      [5, 'new', undefined],
    ]);
    expect(result.lines[0]?.problems[0]).toEqual({
      field: 'Height',
      value: 'tall',
      accepted: 'a length like 34 1/2 or 80 cm',
    });
    expect(result.changes[0]?.row).toMatchObject({ name: 'Bowl', lastUsedOn: '2026-06-20', fragile: true });
  });

  it('follow a mapping of the stylist’s own, and leave a field out that is mapped to nothing', () => {
    const text = 'A,B,C\nVase,9,12';
    expect(plan('pieces', text).counts.bad).toBe(1);
    const [change] = plan('pieces', text, us, nothing, ['name', null, 'heightMm']).changes;
    expect(change?.row).toMatchObject({ name: 'Vase', heightMm: 304.8, box: '' });
  });

  it('that are here already stay as they are; by id they change, and empty cells change nothing', () => {
    const here: PieceRow = {
      ...unknownPiece('00000000-0000-4000-8000-0000000000aa', 'Vase', us),
      heightMm: 304.8,
      box: '4',
      story: 'from the ferry',
    };
    const present = {
      ...nothing,
      pieces: new Map([[here.id, here]]),
      fingerprints: new Set([pieceFingerprint(here)]),
    };
    expect(plan('pieces', 'Name,Height,Box\nvase,12,4', us, present).counts.same).toBe(1);
    const result = plan('pieces', `Id,Name,Story,Box\n${here.id},Vase,,7\n${here.id},Vase,,8`, us, present);
    expect(result.changes).toHaveLength(1);
    expect(result.changes[0]?.row).toMatchObject({ box: '7', story: 'from the ferry', heightMm: 304.8 });
    expect(result.lines[1]?.fate).toBe('bad');
  });

  it('written and read again change nothing, in either country’s way', () => {
    const text = fc.string({ maxLength: 20, unit: fc.constantFrom('a', 'B', '"', ',', ';', '\n', '=', '-', 'é') });
    const sixteenths = fc.integer({ min: 1, max: 800 }).map((n) => Math.round(n * 25.4 * 4) / 100);
    fc.assert(
      fc.property(
        fc.record({
          name: text.map((value) => `${value}x`.trim()),
          story: text.map((value) => value.trim()),
          heightMm: fc.option(sixteenths),
          count: fc.integer({ min: 1, max: 9 }),
          value: fc.option(fc.integer({ min: 0, max: 1_000_000 })),
          fragile: fc.boolean(),
          counted: fc.boolean(),
          outline: fc.constantFrom('unknown' as const, 'round' as const, 'square' as const),
          innerWidthMm: fc.option(sixteenths),
          innerHeightMm: fc.option(sixteenths),
          tiers: fc.option(fc.integer({ min: 1, max: 12 })),
          freshDays: fc.option(fc.integer({ min: 1, max: 365 })),
          carriesG: fc.option(fc.integer({ min: 1, max: 50_000 })),
          lastUsedOn: fc.constantFrom(null, '2024-02-29', '2026-01-01'),
        }),
        fc.constantFrom(us, { ...us, units: 'metric' as const }),
        (change, locale) => {
          const piece: PieceRow = {
            ...unknownPiece('00000000-0000-4000-8000-0000000000ab', 'x', us),
            ...change,
            sorted: true,
          };
          const present = { ...nothing, pieces: new Map([[piece.id, piece]]) };
          const again = plan('pieces', piecesCsv([piece], locale), locale, present);
          const after = again.changes[0]?.row as PieceRow | undefined;
          expect(again.counts.bad).toBe(0);
          expect(after === undefined ? [] : [after]).toEqual([]);
          // In a house that does not know it yet it is the same piece.
          const fresh = plan('pieces', piecesCsv([piece], locale), locale, nothing).changes[0]?.row;
          expect(fresh).toMatchObject({ ...change, name: piece.name });
        },
      ),
    );
  });
});

describe('supplies from a file', () => {
  it('open a color card where there is none, and take amounts in any unit', () => {
    const result = plan(
      'supplies',
      'Kind,Color,Color code,Sheen,Left,Full can holds,Opened on\nChalk-type paint,Deep teal,#1f5a5e,matt,1/2 qt,1 qt,2026-03-01\nRibbon,Red,,,3,,',
    );
    expect(result.lines.flatMap((line) => line.problems)).toEqual([]);
    const stored = result.changes.map((change) => change.row as unknown as Record<string, unknown>);
    expect(stored[0]).toMatchObject({ name: 'Deep teal' });
    expect(stored[1]).toMatchObject({
      kindId: 'chalk',
      colorCardId: stored[0]?.id,
      sheen: 'matt',
      openedOn: '2026-03-01',
    });
    // Half a US quart is 473.176473 mL (231 in³ to the gallon, exactly: NIST Handbook 44).
    expect((stored[1] as { stash: { amount: number } }).stash.amount).toBeCloseTo(473.176473, 5);
    // A bare number of ribbon is yards, as it is shown: a yard is 0.9144 m exactly.
    expect(stored[3]).toMatchObject({ kindId: 'ribbon', stash: { state: 'exact', amount: expect.closeTo(2.7432, 9) } });
  });

  it('written and read again are the same', () => {
    const teal = card('00000000-0000-4000-8000-0000000000c1', 'Deep teal', '#1f5a5e');
    const rows = projectRows({
      colorCards: [teal],
      supplies: [
        supply('00000000-0000-4000-8000-0000000000d1', 'chalk', teal.id, 'matt', {
          stash: { state: 'exact', amount: 500 },
        }),
        supply('00000000-0000-4000-8000-0000000000d2', 'aerosolClear', null, 'gloss', {
          stash: { state: 'exact', amount: 2 },
        }),
      ],
    });
    const locale = { ...eu, decimal: '.' as const };
    const again = plan('supplies', suppliesCsv(rows, locale), locale, { ...nothing, ...rows, pieces: new Map() });
    expect(again.lines.map((line) => [line.fate, line.problems])).toEqual([
      ['same', []],
      ['same', []],
    ]);
  });
});

describe('prices from a file', () => {
  const text =
    'Kind,Color,Sheen,Pack,Size,Price,Currency,Source,Seen on\n' +
    'Chalk-type paint,Deep teal,matt,quart,1 qt,$24.00,USD,The Penny Shelf,2026-05-01\n' +
    'Chalk-type paint,Deep teal,matt,sample pot,4 oz,7.50,USD,The Penny Shelf,2026-05-01\n' +
    'Sanding block,,,,,5.25,USD,Quay Tools,\n' +
    'New: Nightstand,,,walnut look,,"1,088.40",USD,Harbor Mail,\n' +
    'Chalk-type paint,Deep teal,matt,tin,,8,USD,,\n';

  it('become packs of one supply, prices of tools and of new pieces; a pack without its size is refused', () => {
    const result = plan('prices', text);
    expect(result.counts).toEqual({ new: 4, change: 0, same: 0, bad: 1 });
    expect(result.lines[4]?.problems[0]).toMatchObject({ field: 'Size' });
    expect(result.changes.map((change) => change.table)).toEqual([
      'colorCards',
      'supplies',
      'packs',
      'packs',
      'priceNotes',
      'priceNotes',
    ]);
    const [quart, pot] = result.changes
      .filter((change) => change.table === 'packs')
      .map((change) => change.row as PackRow);
    // 1 US quart and 4 fl oz in mL, exact.
    expect(quart).toMatchObject({ size: 946.352946, price: { state: 'stated', low: 2400 }, source: 'The Penny Shelf' });
    expect(pot?.size).toBeCloseTo(118.29411825, 6);
    expect(result.changes[5]?.row).toMatchObject({
      subject: 'piece',
      subjectId: 'nightstand',
      price: { low: 108_840 },
    });
  });

  it('change the pack that is there, and are the same when they say the same', () => {
    const teal = card('00000000-0000-4000-8000-0000000000c1', 'Deep teal', '#1f5a5e');
    const paint = supply('00000000-0000-4000-8000-0000000000d1', 'chalk', teal.id, 'matt');
    const quart = {
      ...pack('00000000-0000-4000-8000-0000000000e1', paint.id, 946.352946, 2000),
      name: 'quart',
      currency: 'USD',
      source: 'The Penny Shelf',
      seenOn: '2026-04-01',
    };
    const present = { ...nothing, colorCards: [teal], supplies: [paint], packs: [quart] };
    const [change] = plan('prices', text, us, present).changes;
    expect(change).toMatchObject({ table: 'packs', before: quart, row: { id: quart.id, price: { low: 2400 } } });
    const rows = projectRows({ colorCards: [teal], supplies: [paint], packs: [quart] });
    expect(plan('prices', pricesCsv(rows, us), us, present).lines.map((line) => line.fate)).toEqual(['same']);
  });
});
