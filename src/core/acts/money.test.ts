import { describe, expect, it } from 'vitest';
import { following, refusal, uuid } from '../fixtures/following';
import {
  AS_OF,
  fill,
  find,
  offer,
  option,
  pack,
  paid,
  pieceIdOf,
  project,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import { stated } from '../kernel/price';
import type { FindRow, LedgerSubject, ProjectRows, ReceiptRow } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newSource } from '../plan/newSource';
import { ledgerSums, linesInForce } from '../pricing/ledger';
import { plainStory } from '../pricing/priceStory';
import { undoChanges } from './undoChanges';

const VASE = uuid(60);
const CHAIRS = uuid(61);
const SLOT = uuid(1);
const OPTION = uuid(2);
const SHOP = uuid(3);
const WAX = uuid(5);
const vase = find(VASE, 2000, { name: 'Vase', sourceId: SHOP });
const chairs = find(CHAIRS, 4200, { name: 'Chairs', count: 3, story: { ...plainStory(stated(4200)), pieces: 3 } });
/** Two finds, one of them chosen for a slot. */
const room = (change: Partial<ProjectRows> = {}): ProjectRows =>
  rows({
    project: project({ id: uuid(98) }),
    sources: [newSource(SHOP, 'The Penny Shelf')],
    slots: [slot(SLOT)],
    finds: [vase, chairs],
    options: [option(OPTION, SLOT, 'asFound', { parts: [{ findId: VASE, offerId: null, pieces: 1 }] })],
    fills: [{ ...fill(SLOT, OPTION), id: uuid(4) }],
    supplies: [supply(WAX, 'clearWax', null, 'satin', { stash: { state: 'exact', amount: 100 } })],
    ...change,
  });
const buy = (findId: string, paidMinor: number, n = 900) => ({
  findId,
  how: 'payment' as const,
  paid: paidMinor,
  ledgerId: uuid(n),
  atMs: AS_OF,
});
const back = (paymentId: string, refund: number, pieces: number | null = null, n = 950) => ({
  paymentId,
  refund,
  pieces,
  amount: 0,
  note: '',
  ledgerId: uuid(n),
  atMs: AS_OF,
});
const spent = (of: ProjectRows) => ledgerSums(of.ledger).spent;
const stateOf = (of: ProjectRows, id: string) => of.finds.find((row) => row.id === id)?.state;

describe('taking something back', () => {
  const bought = following(room(), 'buyFind', buy(VASE, 2000));

  it('gives the money back, takes it out of the plan, and lets the slot be open again', () => {
    const after = following(bought, 'takeBack', back(uuid(900), 1700));
    expect([spent(bought), spent(after)]).toEqual([2000, 300]);
    expect(stateOf(after, VASE)).toBe('returned');
    expect([after.options.length, after.fills.length]).toEqual([0, 0]);
    expect(computePlan(after, AS_OF).purse.money.spent).toBe(300);
    expect(after.ledger.at(-1)).toMatchObject({ kind: 'refund', refundsId: uuid(900), sourceId: SHOP, amount: 1700 });
  });

  it('can be bought again afterwards, and is then ours', () => {
    const after = following(bought, 'takeBack', back(uuid(900), 2000));
    const again = following(after, 'buyFind', buy(VASE, 1500, 901));
    expect([stateOf(again, VASE), spent(again)]).toEqual(['bought', 1500]);
  });

  it('goes back once, for no more than was paid, and of a payment that counts', () => {
    const after = following(bought, 'takeBack', back(uuid(900), 2000));
    expect(refusal(after, 'takeBack', back(uuid(900), 0, null, 951)).field).toBe('paymentId');
    expect(refusal(bought, 'takeBack', back(uuid(900), 2001))).toMatchObject({ field: 'refund', value: 2001 });
    expect(refusal(bought, 'takeBack', back(uuid(999), 1)).field).toBe('paymentId');
    expect(refusal(room(), 'takeBack', back(uuid(900), 1)).field).toBe('paymentId');
  });

  it('takes some of the pieces back: the rest stays, and the last ones end it', () => {
    const three = following(room(), 'buyFind', buy(CHAIRS, 4200));
    const two = following(three, 'takeBack', back(uuid(900), 1400, 1));
    expect(two.finds.find(({ id }) => id === CHAIRS)).toMatchObject({ state: 'bought', count: 2 });
    expect(refusal(two, 'takeBack', back(uuid(900), 100, 3, 951))).toMatchObject({ field: 'pieces', value: 3 });
    const none = following(two, 'takeBack', back(uuid(900), 2800, 2, 951));
    expect([stateOf(none, CHAIRS), spent(none)]).toEqual(['returned', 0]);
  });

  it('of an order takes its choice away, of a supply its amount', () => {
    const ordered = room({
      offers: [offer(uuid(6), 8840)],
      options: [option(OPTION, SLOT, 'buyNew', { parts: [{ findId: null, offerId: uuid(6), pieces: 1 }] })],
      ledger: [paid(uuid(900), { kind: 'offer', id: uuid(6) }, 8840)],
    });
    expect(following(ordered, 'takeBack', back(uuid(900), 8840)).fills).toEqual([]);
    const waxed = room({ ledger: [paid(uuid(900), { kind: 'supply', id: WAX }, 1200)] });
    const after = following(waxed, 'takeBack', { ...back(uuid(900), 1200), amount: 40 });
    expect(after.supplies[0]?.stash).toEqual({ state: 'exact', amount: 60 });
  });

  it('keeps the line that was refunded from being set right, and leaves a done makeover in the books', () => {
    const after = following(bought, 'takeBack', back(uuid(900), 500, null));
    const correction = { lineId: uuid(900), paid: 1, ledgerId: uuid(960), reversalId: uuid(961), atMs: AS_OF };
    expect(refusal(after, 'correctPayment', correction).field).toBe('lineId');
    const made = room({
      recipes: [{ ...recipe(uuid(7), vase, 'chalk', null), doneOn: '2026-05-01' }],
      ledger: [paid(uuid(900), { kind: 'piece', id: pieceIdOf(VASE) }, 2000)],
    });
    expect(following(made, 'takeBack', back(uuid(900), 2000)).recipes[0]?.doneOn).toBe('2026-05-01');
  });

  it('is undone as a whole: the line is reversed, the choice is there again', () => {
    const after = following(bought, 'takeBack', back(uuid(900), 2000));
    const kept = {
      id: uuid(980),
      changes: [
        ...bought.fills.map((row) => ({
          table: 'fills' as const,
          id: row.id,
          op: 'remove' as const,
          before: row,
          after: null,
          version: 1,
        })),
        ...after.ledger.slice(-1).map((row) => ({
          table: 'ledger' as const,
          id: row.id,
          op: 'insert' as const,
          before: null,
          after: row,
          version: 1,
        })),
      ],
    };
    const removed = new Map(bought.fills.map((row) => [`fills:${row.id}`, row]));
    const present = { ...after, options: bought.options };
    const undone = undoChanges(present, [kept], removed, [uuid(981)], AS_OF);
    if (!undone.ok) throw new Error(JSON.stringify(undone.obstacles));
    expect([spent(undone.after), undone.after.fills.length, stateOf(undone.after, VASE)]).toEqual([2000, 1, 'bought']);
  });
});

describe('selling something of ours', () => {
  it('brings money in, and the piece leaves the house and the plan', () => {
    const bought = following(room(), 'buyFind', buy(VASE, 2000));
    const sold = following(bought, 'sellPiece', {
      pieceId: pieceIdOf(VASE),
      income: 3500,
      note: '',
      ledgerId: uuid(950),
      atMs: AS_OF,
    });
    expect([spent(sold), stateOf(sold, VASE), sold.fills.length]).toEqual([-1500, 'sold', 0]);
    expect(
      refusal(sold, 'sellPiece', { pieceId: pieceIdOf(VASE), income: 1, note: '', ledgerId: uuid(951), atMs: AS_OF })
        .field,
    ).toBe('pieceId');
    expect(refusal(sold, 'buyFind', buy(VASE, 1, 952)).field).toBe('findId');
  });

  it('is refused for what is not ours, or borrowed', () => {
    const sale = { pieceId: pieceIdOf(VASE), income: 1, note: '', ledgerId: uuid(950), atMs: AS_OF };
    expect(refusal(room(), 'sellPiece', sale)).toMatchObject({ field: 'pieceId', value: 'Vase' });
    const bought = following(room(), 'buyFind', buy(VASE, 2000));
    const lent = { ...bought, pieces: bought.pieces.map((piece) => ({ ...piece, borrowedFrom: 'Ana' })) };
    expect(refusal(lent, 'sellPiece', sale).accepted).toContain('not borrowed');
  });
});

describe('fees and deposits', () => {
  const fee = { what: 'Parking', depositFor: null, sourceId: SHOP, paid: 300, ledgerId: uuid(950), atMs: AS_OF };
  it('count as spent and say what they were for; a deposit does not make a piece bought', () => {
    const after = following(room(), 'payFee', fee);
    expect(after.ledger[0]).toMatchObject({ subject: { kind: 'fee' }, note: 'Parking', sourceId: SHOP });
    const left = following(room(), 'payFee', { ...fee, what: 'Left for the vase', depositFor: pieceIdOf(VASE) });
    expect([spent(left), stateOf(left, VASE)]).toEqual([300, 'seen']);
    const given = following(left, 'takeBack', back(uuid(950), 300, null, 951));
    expect([spent(given), given.options.length]).toEqual([0, 1]);
    expect(refusal(room(), 'payFee', { ...fee, depositFor: uuid(99) }).field).toBe('depositFor');
  });
});

/** A printed line of a receipt. */
const line = (
  n: number,
  what: string,
  price: number,
  subjects: LedgerSubject[],
  amount = 0,
): ReceiptRow['lines'][number] => ({
  id: uuid(n),
  what,
  price,
  quantity: 1,
  markdowns: [],
  tax: null,
  isFee: false,
  subjects: subjects.map((subject) => ({ subject, own: null, pieces: 1, amount })),
});

describe('a receipt', () => {
  const FRAME = uuid(62);
  const frame: FindRow = find(FRAME, 1249, { name: 'Frame' });
  const receipt = (change: Partial<ReceiptRow> = {}): ReceiptRow => ({
    id: uuid(40),
    version: 1,
    sourceId: SHOP,
    onDate: '2026-06-01',
    lines: [
      line(41, 'Vase', 1249, [{ kind: 'piece', id: pieceIdOf(VASE) }]),
      line(42, 'Clear wax', 399, [{ kind: 'supply', id: WAX }], 250),
      line(43, 'Frame', 725, [{ kind: 'piece', id: frame.pieceId }]),
    ],
    discounts: [{ id: uuid(44), offer: { kind: 'money', amount: 200, by: 'store' }, lineIds: null, leastSpend: null }],
    tax: { percentThousandths: 0, included: false },
    rounding: 'receipt',
    paid: null,
    foreign: null,
    photoId: null,
    note: '',
    ...change,
  });
  const keep = (row: ReceiptRow, change: object = {}) => ({
    receipt: row,
    finds: [frame],
    supplies: [],
    ledgerIds: [901, 902, 903, 904].map(uuid),
    reversalIds: [911, 912, 913, 914].map(uuid),
    atMs: AS_OF,
    ...change,
  });

  it('pays for each thing on it, to the cent: 2.00 off 12.49, 3.99 and 7.25 (definitions, worked example)', () => {
    const after = following(room(), 'recordReceipt', keep(receipt()));
    expect(after.ledger.map(({ amount, receiptId }) => [amount, receiptId])).toEqual([
      [1144, uuid(40)],
      [365, uuid(40)],
      [664, uuid(40)],
    ]);
    expect(spent(after)).toBe(2173);
    expect([stateOf(after, VASE), stateOf(after, FRAME)]).toEqual(['bought', 'bought']);
    expect(after.supplies[0]?.stash).toEqual({ state: 'exact', amount: 350 });
  });

  it('comes to what was paid where the till says something else, and shares a lot among its pieces', () => {
    const after = following(room(), 'recordReceipt', keep(receipt({ paid: 2000 })));
    expect(spent(after)).toBe(2000);
    const lot = receipt({
      discounts: [],
      lines: [
        line(41, 'Three for 3.50', 350, [
          { kind: 'piece', id: pieceIdOf(VASE) },
          { kind: 'piece', id: pieceIdOf(CHAIRS) },
          { kind: 'piece', id: frame.pieceId },
        ]),
      ],
    });
    const split = (parts: { own: number | null; weight?: number }[]) => {
      const [first] = lot.lines;
      const subjects = first?.subjects.map((thing, n) => ({ ...thing, ...parts[n] })) ?? [];
      const row = { ...lot, lines: lot.lines.map((each) => ({ ...each, subjects })) };
      return following(room(), 'recordReceipt', keep(row)).ledger.map(({ amount }) => amount);
    };
    expect(split([])).toEqual([117, 117, 116]);
    // One of its own for 1.50, the other two share 2.00 as three to one.
    expect(split([{ own: 150 }, { own: null, weight: 3 }, { own: null, weight: 1 }])).toEqual([150, 150, 50]);
  });

  it('takes a promise back that was made for a thing on it', () => {
    const promised = following(room(), 'buyFind', { ...buy(VASE, 1300), how: 'promise' });
    const after = following(promised, 'recordReceipt', keep(receipt()));
    expect(ledgerSums(after.ledger)).toMatchObject({ spent: 2173, promised: 0 });
    expect(linesInForce(after.ledger)).toHaveLength(3);
  });

  it('is refused as a whole where a thing on it is paid already, or is not there', () => {
    const bought = following(room(), 'buyFind', buy(VASE, 2000));
    expect(refusal(bought, 'recordReceipt', keep(receipt()))).toMatchObject({ field: 'lines', value: 'Vase' });
    expect(refusal(room({ supplies: [] }), 'recordReceipt', keep(receipt())).value).toBe('Clear wax');
    expect(refusal(room(), 'recordReceipt', keep(receipt(), { ledgerIds: [] })).field).toBe('ledgerIds');
  });
});

describe('a receipt set right', () => {
  const KEPT = uuid(40);
  const vase = (price: number) => line(41, 'Vase', price, [{ kind: 'piece', id: pieceIdOf(VASE) }]);
  const wax = (price: number, amount: number) => line(42, 'Clear wax', price, [{ kind: 'supply', id: WAX }], amount);
  const said = (n: number, lines: ReceiptRow['lines']) => ({
    receipt: {
      id: KEPT,
      version: 1,
      sourceId: SHOP,
      onDate: '2026-06-01',
      lines,
      discounts: [],
      tax: { percentThousandths: 0, included: false },
      rounding: 'receipt' as const,
      paid: null,
      foreign: null,
      photoId: null,
      note: '',
    },
    finds: [],
    supplies: [],
    ledgerIds: [n + 1, n + 2].map(uuid),
    reversalIds: [n + 3, n + 4].map(uuid),
    atMs: AS_OF,
  });
  const kept = () => following(room(), 'recordReceipt', said(900, [vase(1200), wax(400, 250)]));
  const undoIds = [981, 982].map(uuid);

  it('books what it says now in the place of what it said, and the ledger keeps both', () => {
    const after = following(kept(), 'correctReceipt', { ...said(950, [vase(1300), wax(450, 150)]), undoIds });
    expect(spent(after)).toBe(1750);
    expect(after.ledger).toHaveLength(6);
    expect(linesInForce(after.ledger).map(({ amount, receiptId }) => [amount, receiptId])).toEqual([
      [1300, KEPT],
      [450, KEPT],
    ]);
    // 100 were on the shelf: 250 came by the first reading, 150 by the second.
    expect(after.supplies[0]?.stash).toEqual({ state: 'exact', amount: 250 });
    expect(after.receipts).toHaveLength(1);
    expect(after.receipts[0]?.lines[0]?.price).toBe(1300);
  });

  it('comes to the same as if it had been kept so at once, where it is known what the rest had cost', () => {
    const known = room();
    const start = { ...known, supplies: known.supplies.map((row) => ({ ...row, unitCostMillionths: 2_000_000 })) };
    const now = said(950, [vase(1300), wax(450, 150)]);
    const first = following(start, 'recordReceipt', said(900, [vase(1200), wax(400, 250)]));
    const [turned, straight] = [
      following(first, 'correctReceipt', { ...now, undoIds }),
      following(start, 'recordReceipt', now),
    ];
    expect(turned.supplies[0]?.stash).toEqual(straight.supplies[0]?.stash);
    // (100 · 2.00 + 450) ÷ 250 = 2.60 a unit; each purchase rounds it to a millionth.
    expect(straight.supplies[0]?.unitCostMillionths).toBe(2_600_000);
    expect(Math.abs((turned.supplies[0]?.unitCostMillionths ?? 0) - 2_600_000)).toBeLessThanOrEqual(2);
    expect(spent(turned)).toBe(spent(straight));
    expect(stateOf(turned, VASE)).toBe(stateOf(straight, VASE));
  });

  it('lets go of what it names no more: it was only seen', () => {
    const after = following(kept(), 'correctReceipt', { ...said(950, [wax(400, 250)]), undoIds });
    expect([spent(after), stateOf(after, VASE), after.finds.some(({ id }) => id === VASE)]).toEqual([
      400,
      'seen',
      true,
    ]);
  });

  it('is refused where something of it came back, where it is not kept, and without ids for what it takes back', () => {
    const again = { ...said(950, [vase(1300)]), undoIds };
    const back = following(kept(), 'takeBack', {
      paymentId: uuid(901),
      refund: 1200,
      pieces: null,
      amount: 0,
      note: '',
      ledgerId: uuid(970),
      atMs: AS_OF,
    });
    expect(refusal(back, 'correctReceipt', again).field).toBe('receipt');
    expect(refusal(room(), 'correctReceipt', again).field).toBe('receipt');
    expect(refusal(kept(), 'correctReceipt', { ...again, undoIds: [] }).field).toBe('undoIds');
  });
});

describe('a decision in the shop', () => {
  const jug: FindRow = find(uuid(63), 800, { name: 'Jug', sourceId: SHOP });
  const way = {
    option: option(uuid(8), SLOT, 'asFound', { parts: [{ findId: jug.id, offerId: null, pieces: 1 }] }),
    recipe: null,
    colorCard: null,
  };
  const decide = (verdict: 'buy' | 'think' | 'pass', change: object = {}) => ({
    verdict,
    find: jug,
    ways: [],
    choice: null,
    payment: null,
    ...change,
  });
  const { findId: _findId, ...payment } = buy(jug.id, 800);

  it('bought: the find, its way, its slot and one line of the ledger, at once', () => {
    const after = following(
      room(),
      'decideFind',
      decide('buy', { ways: [way], choice: { slotId: SLOT, optionId: uuid(8), count: 1, fillId: uuid(9) }, payment }),
    );
    expect([stateOf(after, jug.id), after.fills[0]?.optionId, spent(after)]).toEqual(['bought', uuid(8), 800]);
    expect(after.ledger[0]).toMatchObject({ sourceId: SHOP, pieces: 1 });
  });

  it('thought over until a day, or passed, with why', () => {
    const later = following(
      room(),
      'decideFind',
      decide('think', { find: { ...jug, thinkUntil: '2026-06-04', because: 'sale' } }),
    );
    expect(later.finds.find(({ id }) => id === jug.id)).toMatchObject({ state: 'seen', thinkUntil: '2026-06-04' });
    const passed = following(later, 'decideFind', decide('pass', { find: { ...jug, because: 'too dear' } }));
    expect(passed.finds.find(({ id }) => id === jug.id)).toMatchObject({
      state: 'passed',
      because: 'too dear',
      thinkUntil: null,
    });
    expect(passed.pieces.filter(({ name }) => name === 'Jug')).toHaveLength(1);
  });

  it('over a find seen before notes all that the card changed on it, its piece too, and nothing else', () => {
    const seen = following(room(), 'decideFind', decide('think', { find: { ...jug, note: 'blue rim' } }));
    const [known] = seen.finds.filter(({ id }) => id === jug.id);
    const closer = { ...known, materialId: 'glass', era: 'old', inspected: [{ check: 'glassChips', verdict: 'flaw' }] };
    const after = following(seen, 'decideFind', decide('buy', { find: { ...closer, note: 'stale words' }, payment }));
    expect(after.finds.find(({ id }) => id === jug.id)).toMatchObject({
      state: 'bought',
      materialId: 'glass',
      era: 'old',
      inspected: closer.inspected,
      note: 'blue rim',
    });
  });

  it('is refused as a whole where it is bought already', () => {
    const bought = following(room(), 'decideFind', decide('buy', { payment }));
    expect(refusal(bought, 'decideFind', decide('buy', { payment: { ...payment, ledgerId: uuid(901) } })).field).toBe(
      'findId',
    );
  });
});

describe('places', () => {
  it('take their new name into the price book, which names them as they were written', () => {
    const note = {
      id: uuid(10),
      version: 1,
      subject: 'piece' as const,
      subjectId: 'nightstand',
      name: 'Stand',
      price: stated(1),
      currency: 'USD',
      source: 'The Penny Shelf',
      seenOn: '',
    };
    const before = room({
      packs: [{ ...pack(uuid(11), WAX, 250, 400), source: 'The Penny Shelf' }],
      priceNotes: [note, { ...note, id: uuid(12), source: 'Elsewhere' }],
    });
    const after = following(before, 'editSource', { id: SHOP, values: { name: 'The Penny Shelf, harbor' } });
    expect([after.packs[0]?.source, ...after.priceNotes.map(({ source }) => source)]).toEqual([
      'The Penny Shelf, harbor',
      'The Penny Shelf, harbor',
      'Elsewhere',
    ]);
    expect(after.finds.find(({ id }) => id === VASE)?.sourceId).toBe(SHOP);
  });

  it('stay while something names them, and have each name once', () => {
    expect(refusal(room(), 'removeSource', { id: SHOP }).accepted).toContain('no find, offer or payment names');
    const other = { ...newSource(uuid(13), 'Yard sale'), version: 1 };
    const two = following(room(), 'addSource', { row: other });
    expect(refusal(two, 'editSource', { id: uuid(13), values: { name: 'The Penny Shelf' } }).accepted).toContain(
      'one place for each',
    );
    expect(following(two, 'removeSource', { id: uuid(13) }).sources).toHaveLength(1);
  });

  it('have their own tax: what is bought there is taxed by it', () => {
    const taxed = { ...newSource(SHOP, 'The Penny Shelf'), tax: { percentThousandths: 10_000, included: false } };
    const cash = (of: ProjectRows) => computePlan(of, AS_OF).option(OPTION)?.cashAdded.likely;
    expect([cash(room()), cash(room({ sources: [taxed] }))]).toEqual([2000, 2200]);
  });
});
