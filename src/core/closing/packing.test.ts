import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { perform } from '../acts/perform';
import { uuid } from '../fixtures/following';
import { AS_OF, fill, find, offer, option, paid, pieceIdOf, project, rows, slot } from '../fixtures/projectRows';
import type { PieceRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { unknownPiece } from '../sourcing/unknownPiece';
import { crushRiskOf, crushRisks, isTooLarge, packingOrder, storageNoteOfSupply, storageNotes } from './packing';
import { thingsToStore } from './toStore';

const piece = (name: string, change: Partial<PieceRow> = {}): PieceRow => ({
  ...unknownPiece(name, name, { units: 'us', currency: 'USD', today: '2026-06-01' }),
  version: 1,
  ...change,
});

describe('packing', () => {
  it('lays what carries at the bottom, the heaviest first, and what breaks on top', () => {
    const packed = packingOrder([
      piece('Jar', { materialId: 'glass', weightG: 900 }),
      piece('Runner', { materialId: 'fabric' }),
      piece('Crate', { materialId: 'pine', weightG: 4000 }),
      piece('Wreath', { materialId: 'fauxLeaf' }),
      piece('Riser', { materialId: 'pine', weightG: 700 }),
      piece('Bird', { materialId: 'resin', fragile: true, weightG: 300 }),
    ]);
    expect(packed.map(({ name }) => name)).toEqual(['Crate', 'Riser', 'Runner', 'Wreath', 'Jar', 'Bird']);
  });

  it('never lays anything that breaks under what carries, whatever there is, and loses nothing', () => {
    const any = fc.record({
      materialId: fc.constantFrom('glass', 'pine', 'fabric', 'paper', 'terracotta', 'wicker', 'ferrousMetal'),
      fragile: fc.boolean(),
      weightG: fc.option(fc.integer({ min: 1, max: 20_000 })),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 30 }), (list) => {
        const pieces = list.map((of, n) => piece(`${n}`, of));
        const packed = packingOrder(pieces);
        expect(packed.map(({ id }) => id).sort()).toEqual(pieces.map(({ id }) => id).sort());
        const ranks = packed.map((one) => crushRisks.indexOf(crushRiskOf(one)));
        expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
      }),
    );
  });

  it('knows what no box takes by its size, measured or usual of its kind', () => {
    expect(isTooLarge(piece('Board', { widthMm: 1200, depthMm: 20, heightMm: 200 }))).toBe(true);
    expect(isTooLarge(piece('Console', { templateId: 'consoleTable' }))).toBe(true);
    expect(isTooLarge(piece('Jar', { templateId: 'jar' }))).toBe(false);
  });

  it('keeps wax out of the heat, waterborne paint out of the frost, what is under pressure out of cars', () => {
    expect(storageNotes(piece('Candle', { kind: 'candle' })).join()).toContain('heat');
    expect(storageNotes(piece('Crate', { materialId: 'pine' }))).toEqual([]);
    // What only looks like wax keeps in an attic; what is in it does not keep.
    const flameless = storageNotes(piece('LED pillar candle', { kind: 'candle' })).join();
    expect(flameless).not.toContain('wax');
    for (const name of ['LED pillar candle', 'Wall clock', 'Fairy lights', 'Battery fairy lights', 'Flameless lantern'])
      expect(storageNotes(piece(name)).filter((note) => note.includes('batteries'))).toHaveLength(1);
    expect(storageNotes(piece('Oil lamp')).join()).not.toContain('batteries');
    expect(storageNotes(piece('Flameless candle', { kind: 'candle', materialId: 'candleWax' })).join()).toContain(
      'wax',
    );
    expect(storageNoteOfSupply('chalk')).toBe('keep from frost');
    expect(storageNoteOfSupply('aerosolEnamel')).toContain('50 °C');
    expect(storageNoteOfSupply('sandpaper')).toBe('');
  });
});

const vase = find(uuid(1), 900, { name: 'Blue vase', state: 'bought', materialId: 'glass' });
const stool = find(uuid(2), 600, { name: 'Oak stool', state: 'bought', materialId: 'hardwood' });
const lent = find(uuid(3), 0, { name: 'Fern', state: 'owned', borrowedFrom: 'Jory' });
const lamp = offer(uuid(4), 5000, { name: 'Floor lamp', templateId: 'lampBase' });
const parts = (findId: string | null, offerId: string | null = null) => [{ findId, offerId, pieces: 1 }];

/** A vase, a borrowed fern and a new lamp in their slots; a stool that serves nowhere. */
function corner(change: Partial<ProjectRows> = {}): ProjectRows {
  const slots = [5, 6, 7].map((n) => slot(uuid(n), { name: `Slot ${n}`, number: n }));
  return rows({
    project: project({ id: uuid(9) }),
    slots,
    finds: [vase, stool, lent],
    offers: [lamp],
    options: [
      option(uuid(15), uuid(5), 'asFound', { parts: parts(vase.id) }),
      option(uuid(16), uuid(6), 'borrow', { parts: parts(lent.id) }),
      option(uuid(17), uuid(7), 'buyNew', { parts: parts(null, lamp.id) }),
    ],
    fills: [15, 16, 17].map((n) => ({ ...fill(uuid(n - 10), uuid(n)), id: uuid(n + 10) })),
    ledger: [
      paid(uuid(31), { kind: 'piece', id: pieceIdOf(vase.id) }, 900),
      paid(uuid(32), { kind: 'piece', id: pieceIdOf(stool.id) }, 600),
      paid(uuid(33), { kind: 'offer', id: lamp.id }, 5000),
    ],
    ...change,
  });
}
const thingsOf = (of: ProjectRows) => {
  let made = 700;
  return thingsToStore(computePlan(of, AS_OF), () => {
    made += 1;
    return uuid(made);
  });
};

describe('what is put away', () => {
  it('is what is ours, in the order of packing: also what was bought new, not what goes back to somebody', () => {
    expect(thingsOf(corner()).map(({ piece: { name }, slotName, isNew }) => [name, slotName, isNew])).toEqual([
      ['Oak stool', '', false],
      ['Floor lamp', 'Slot 7', true],
      ['Blue vase', 'Slot 5', false],
    ]);
    // What is not paid yet is not here.
    expect(thingsOf(corner({ ledger: [] })).some(({ isNew }) => isNew)).toBe(false);
  });

  it('asks for the id of a new piece by what it comes of, whatever else is there', () => {
    const shade = offer(uuid(8), 2000, { name: 'Paper shade' });
    const both = corner({
      finds: [],
      offers: [lamp, shade],
      options: [
        option(uuid(15), uuid(5), 'buyNew', { parts: parts(null, shade.id) }),
        option(uuid(17), uuid(7), 'buyNew', { parts: parts(null, lamp.id) }),
      ],
      fills: [15, 17].map((n) => ({ ...fill(uuid(n - 10), uuid(n)), id: uuid(n + 10) })),
      ledger: [lamp, shade].map(({ id }, n) => paid(uuid(34 + n), { kind: 'offer', id }, 2000)),
    });
    const idsOf = (of: ProjectRows) =>
      thingsToStore(computePlan(of, AS_OF), (optionId) => `of ${optionId}`).map(({ piece: { name, id } }) => [
        name,
        id,
      ]);
    const expected = [
      ['Floor lamp', `of ${uuid(17)}`],
      ['Paper shade', `of ${uuid(15)}`],
    ];
    expect(idsOf(both).sort()).toEqual(expected);
    expect(idsOf({ ...both, ledger: both.ledger.slice(0, 1) })).toEqual(expected.slice(0, 1));
  });

  it('lies in its box afterwards as a piece of the house, once, used once more where it served', () => {
    const start = corner();
    const payload = {
      said: 'Into Box 7',
      newBox: {
        id: uuid(80),
        version: 1,
        name: 'Box 7',
        shelf: 'attic',
        protection: '',
        note: '',
        checkedOn: null,
        lookAgainOn: null,
      },
      pieces: thingsOf(start).map((thing, n) => ({
        id: thing.piece.id,
        fresh: thing.optionId === null ? null : { row: thing.piece, optionId: thing.optionId, endId: uuid(90 + n) },
        box: 'Box 7',
        shelf: 'attic',
        protection: '',
        standsAt: '',
        usedOn: thing.slotName === '' ? null : '2026-06-20',
      })),
    };
    const outcome = perform(start, 'storePieces', payload);
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
    const inBox = outcome.after.pieces.filter(({ box }) => box === 'Box 7');
    expect(inBox.map(({ name, inHouse, uses, lastUsedOn }) => [name, inHouse, uses, lastUsedOn]).sort()).toEqual([
      ['Blue vase', true, 1, '2026-06-20'],
      ['Floor lamp', true, 1, '2026-06-20'],
      ['Oak stool', true, 0, null],
    ]);
    expect(thingsOf(outcome.after)).toEqual([]);
    // The same box, the same things: neither is made twice.
    expect(perform(outcome.after, 'storePieces', payload)).toMatchObject({ ok: false });
    const again = perform(outcome.after, 'storePieces', { ...payload, newBox: null });
    expect(again).toMatchObject({ ok: false });
  });

  it('refuses what is not ours, and a box of a name that is there', () => {
    const start = corner();
    const one = { fresh: null, box: 'Box 7', shelf: '', protection: '', standsAt: '', usedOn: null };
    expect(perform(start, 'storePieces', { newBox: null, pieces: [{ ...one, id: pieceIdOf(lent.id) }] })).toMatchObject(
      { ok: false, problems: [{ accepted: 'a piece that is not borrowed' }] },
    );
    const box = {
      id: uuid(81),
      version: 1,
      name: 'box 7',
      shelf: '',
      protection: '',
      note: '',
      checkedOn: null,
      lookAgainOn: null,
    };
    const there = { ...start, boxes: [{ ...box, id: uuid(82), name: 'Box 7' }] };
    expect(perform(there, 'storePieces', { newBox: box, pieces: [{ ...one, id: pieceIdOf(vase.id) }] })).toMatchObject({
      ok: false,
      problems: [{ accepted: 'a box that is not there yet' }],
    });
  });
});
