import { describe, expect, it } from 'vitest';
import { following, refusal, uuid } from '../fixtures/following';
import { card, find, option, pack, paid, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { rowProblems } from '../formats/project/read';
import type { PieceRow, ProjectRows } from '../model/rows';
import { newSpot } from '../plan/newRows';
import { findFromPiece } from '../plan/stashPieces';
import { keptFields } from '../sourcing/newPiece';
import { unknownPiece } from '../sourcing/unknownPiece';
import { acts } from '.';

const [SPOT, SLOT, FIND, OPTION, RECIPE, CARD, SUPPLY, PIECE] = Array.from({ length: 8 }, (_, n) => uuid(n + 1)) as [
  string,
  string,
  string,
  string,
  string,
  string,
  string,
  string,
];
const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
const lantern: PieceRow = { ...unknownPiece(PIECE, 'Storm lantern', locale), heightMm: 280, count: 3 };
const part = (findId: string) => ({ findId, offerId: null, pieces: 1 });

const house = (change: Partial<ProjectRows> = {}) =>
  rows({
    spots: [newSpot(SPOT, 'Porch', 'porch', 0)],
    slots: [slot(SLOT, { spotId: SPOT, quantity: 2 })],
    ...change,
  });

/** What a page sends to fill the slot with the lantern. */
const using = (count = 2, change: object = {}) => {
  const own = findFromPiece(FIND, lantern);
  return {
    slotId: SLOT,
    pieceId: PIECE,
    count,
    find: own,
    option: option(OPTION, SLOT, 'own', { parts: [part(FIND)] }),
    fillId: uuid(50),
    gap: null,
    ...change,
  };
};

describe('a slot filled from the house', () => {
  it('gets the piece as an owned find, chosen, and a note where it stood', () => {
    const gap = {
      id: uuid(51),
      version: 1,
      place: 'porch step',
      what: 'Storm lantern',
      sinceOn: '2026-06-01',
      done: false,
    };
    const filled = following(house({ pieces: [lantern] }), 'usePiece', using(2, { gap }));
    expect(filled.finds).toMatchObject([{ state: 'owned', pieceId: PIECE, name: 'Storm lantern' }]);
    expect(filled.fills).toMatchObject([{ slotId: SLOT, optionId: OPTION, count: 2 }]);
    expect(filled.gaps).toEqual([gap]);
    expect(rowProblems(filled)).toEqual([]);
  });

  it('takes the find and the option again that are there, and lets what no longer fits give way', () => {
    const first = following(house({ pieces: [lantern] }), 'usePiece', using(1));
    const other = find(uuid(60), 500);
    const both = rows({
      ...first,
      finds: [...first.finds, other],
      options: [...first.options, option(uuid(61), SLOT, 'asFound', { parts: [part(uuid(60))] })],
      fills: [...first.fills, { id: uuid(62), version: 1, slotId: SLOT, optionId: uuid(61), count: 1 }],
    });
    const again = following(both, 'usePiece', using(2, { fillId: uuid(52) }));
    expect(again.finds).toHaveLength(2);
    expect(again.options).toHaveLength(2);
    expect(again.fills).toMatchObject([{ optionId: OPTION, count: 2 }]);
  });

  it('opens a slot that was left out', () => {
    const out = house({ slots: [slot(SLOT, { spotId: SPOT, leftOut: true })], pieces: [lantern] });
    expect(following(out, 'usePiece', using(1)).slots[0]?.leftOut).toBe(false);
  });

  it('refuses more than the slot asks for, another slot’s option, and a find that is another piece', () => {
    const before = house({ pieces: [lantern] });
    expect(refusal(before, 'usePiece', using(3))).toMatchObject({ field: 'count', value: 3 });
    expect(refusal(before, 'usePiece', using(1, { slotId: uuid(99) })).field).toBe('slotId');
    const elsewhere = option(OPTION, uuid(98), 'own', { parts: [part(FIND)] });
    expect(refusal(before, 'usePiece', using(1, { option: elsewhere })).field).toBe('option');
    const another = { ...findFromPiece(FIND, lantern), pieceId: uuid(97) };
    expect(refusal(before, 'usePiece', using(1, { find: another })).field).toBe('find.pieceId');
    const taken = house({ pieces: [lantern], finds: [find(FIND, 100)] });
    expect(refusal(taken, 'usePiece', using(1)).field).toBe('find.id');
  });
});

describe('an edit of a find that is a piece', () => {
  const before = following(house({ pieces: [lantern] }), 'usePiece', using(1));

  it('changes the piece where both know the field, and the find where only it does', () => {
    const edited = following(before, 'editFind', {
      id: FIND,
      values: { name: 'Porch lantern', sheen: 'matt', note: 'a wick is missing' },
    });
    expect(edited.pieces[0]).toMatchObject({ name: 'Porch lantern', sheen: 'matt', version: 2 });
    expect(edited.sightings[0]).toMatchObject({ note: 'a wick is missing', version: 2 });
    expect(edited.finds[0]).toMatchObject({ name: 'Porch lantern', note: 'a wick is missing', version: 2 });
  });

  it('takes a measure that changed for the piece’s own, and leaves what nobody measured alone', () => {
    const measures = before.finds[0]?.measures ?? {};
    const edited = following(before, 'editFind', { id: FIND, values: { measures: { ...measures, heightMm: 300 } } });
    expect(edited.pieces[0]).toMatchObject({ heightMm: 300, widthMm: null });
  });

  it('stays with the find where it is none', () => {
    const plain = house({ finds: [find(FIND, 100)] });
    expect(following(plain, 'editFind', { id: FIND, values: { name: 'Stool' } }).finds[0]?.name).toBe('Stool');
    expect(refusal(plain, 'editFind', { id: uuid(99), values: { name: 'Stool' } }).field).toBe('id');
  });
});

describe('pieces that come and go', () => {
  it('a bought find is kept in the house with what is known of it, once', () => {
    const bought = find(FIND, 1250, { name: 'Blue vase', state: 'bought' });
    const values = keptFields(bought, 'The Penny Shelf');
    const kept = following(house({ finds: [bought] }), 'keepFind', { findId: FIND, values });
    expect(kept.pieces).toMatchObject([
      {
        id: bought.pieceId,
        inHouse: true,
        name: 'Blue vase',
        heightMm: 635,
        materialId: 'veneer',
        value: 1250,
        roles: ['height', 'greenery'],
        story: 'from The Penny Shelf',
      },
    ]);
    expect(kept.finds[0]).toMatchObject({ pieceId: bought.pieceId, inHouse: true });
    expect(refusal(kept, 'keepFind', { findId: FIND, values }).field).toBe('findId');
    const seen = house({ finds: [find(FIND, 1)] });
    expect(refusal(seen, 'keepFind', { findId: FIND, values }).accepted).toContain('bought or ours');
  });

  it('are removed only while they are there, and given back only when borrowed', () => {
    const both = house({ pieces: [lantern, { ...lantern, id: uuid(9), borrowedFrom: 'the chapel' }] });
    const inHouse = (of: ProjectRows) => of.pieces.filter((piece) => piece.inHouse).map((piece) => piece.id);
    expect(inHouse(following(both, 'removePieces', { ids: [PIECE] }))).toHaveLength(1);
    expect(refusal(both, 'removePieces', { ids: [uuid(99)] }).field).toBe('ids');
    expect(inHouse(following(both, 'giveBack', { id: uuid(9) }))).toEqual([PIECE]);
    expect(refusal(both, 'giveBack', { id: PIECE }).accepted).toBe('a borrowed piece');
  });
});

describe('a borrowed piece', () => {
  it('gets no recipe before its owner was asked', () => {
    const bell = { ...lantern, borrowedFrom: 'the harbor master' };
    const own = findFromPiece(FIND, bell);
    const row = recipe(RECIPE, own, 'wallAcrylic', CARD);
    row.body.pieces = row.body.pieces.map((entry) => ({ ...entry, id: uuid(70) }));
    row.body.layers = row.body.layers.map((entry) => ({ ...entry, id: uuid(71) }));
    const before = house({ pieces: [bell], finds: [own], colorCards: [card(CARD, 'Teal', '#2f5d62')] });
    const payload = {
      option: option(OPTION, SLOT, 'makeover', { parts: [part(FIND)], recipeId: RECIPE }),
      find: null,
      offer: null,
      recipe: row,
      colorCard: null,
    };
    expect(refusal(before, 'addOption', payload)).toEqual({
      field: 'option.parts',
      value: 'Storm lantern',
      accepted: 'a piece of ours, or one that the harbor master lets us alter',
    });
    const asked = { ...before, pieces: [{ ...bell, mayAlter: true }] };
    expect(following(asked, 'addOption', payload).recipes).toHaveLength(1);
  });
});

describe('a makeover that is done', () => {
  const piece = find(FIND, 100);
  const paint = supply(SUPPLY, 'wallAcrylic', CARD, 'matt', { stash: { state: 'exact', amount: 500 } });
  const before = house({
    finds: [piece],
    recipes: [recipe(RECIPE, piece, 'wallAcrylic', CARD)],
    colorCards: [card(CARD, 'Teal', '#2f5d62')],
    supplies: [paint],
    packs: [pack(uuid(40), SUPPLY, 946, 2400)],
  });
  const use = (amount: number, supplyId = SUPPLY) => ({
    id: uuid(41),
    version: 1,
    supplyId,
    what: 'Stool in teal',
    amount,
    onDate: '2026-06-02',
    cut: null,
  });
  const finish = (...uses: object[]) => ({ recipeId: RECIPE, doneOn: '2026-06-02', uses });

  it('takes what it used off the shelf, opens the can, and is remembered with it', () => {
    const done = following(before, 'finishRecipe', finish(use(180)));
    expect(done.recipes[0]?.doneOn).toBe('2026-06-02');
    expect(done.supplies[0]).toMatchObject({ stash: { state: 'about', amount: 320 }, openedOn: '2026-06-02' });
    expect(done.supplyUses).toMatchObject([{ what: 'Stool in teal', amount: 180 }]);
    const opened = { ...before, supplies: [{ ...paint, openedOn: '2026-01-01' }] };
    expect(following(opened, 'finishRecipe', finish(use(180))).supplies[0]?.openedOn).toBe('2026-01-01');
  });

  it('gives the piece of the house its new finish; a piece that is not there is refused', () => {
    const surface = { finishId: 'laid.wallAcrylic', sheen: 'matt', color: { L: 36, a: -14, b: -8 } };
    const owned = { ...before, pieces: [lantern] };
    const payload = { ...finish(use(180)), pieces: [{ id: PIECE, ...surface }] };
    expect(following(owned, 'finishRecipe', payload).pieces[0]).toMatchObject(surface);
    expect(refusal(before, 'finishRecipe', payload).field).toBe('pieces.id');
  });

  it('never leaves less than nothing, and is done once', () => {
    const done = following(before, 'finishRecipe', finish(use(900)));
    expect(done.supplies[0]?.stash).toEqual({ state: 'none', amount: 0 });
    expect(refusal(done, 'finishRecipe', finish()).accepted).toBe('a recipe that is not done yet');
    expect(refusal(before, 'finishRecipe', finish(use(1, uuid(99)))).field).toBe('uses.supplyId');
  });
});

describe('the price book and the shelf', () => {
  const note = {
    id: uuid(30),
    version: 1,
    subject: 'piece' as const,
    subjectId: 'nightstand',
    name: 'two-drawer nightstand',
    price: { state: 'stated' as const, low: 8840, high: 8840 },
    currency: 'USD',
    source: 'Harbor Mail Order',
    seenOn: '2026-05-21',
  };

  it('notes a price, changes it under the same id, and refuses one for what nobody knows', () => {
    const noted = following(house(), 'savePrice', { note });
    const changed = following(noted, 'savePrice', { note: { ...note, source: 'The Penny Shelf' } });
    expect(changed.priceNotes).toMatchObject([{ source: 'The Penny Shelf', version: 2 }]);
    expect(following(changed, 'removePrice', { id: note.id }).priceNotes).toEqual([]);
    const parsed = acts.get('savePrice').act.payload.safeParse({ note: { ...note, subjectId: 'spaceship' } });
    expect(parsed.success).toBe(false);
  });

  it('removes a supply with its packs, unless something was paid for it here', () => {
    const paint = supply(SUPPLY, 'chalk', null, 'matt');
    const before = house({ supplies: [paint], packs: [pack(uuid(40), SUPPLY, 946, 2400)] });
    expect(following(before, 'removeSupply', { id: SUPPLY })).toMatchObject({ supplies: [], packs: [] });
    const bought = {
      ...before,
      ledger: [paid(uuid(80), { kind: 'supply', id: SUPPLY }, 2400)],
    };
    expect(refusal(bought, 'removeSupply', { id: SUPPLY }).field).toBe('id');
  });
});
