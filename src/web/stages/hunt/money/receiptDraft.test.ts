import type { PayloadOf } from '@core/acts';
import { following, uuid } from '@core/fixtures/following';
import { AS_OF, find, pieceIdOf, project, rows, supply } from '@core/fixtures/projectRows';
import type { LedgerSubject, ProjectRows, ReceiptRow } from '@core/model/rows';
import { newSource } from '@core/plan/newSource';
import { linesInForce } from '@core/pricing/ledger';
import { describe, expect, it } from 'vitest';
import { correctionPayload, draftOf, notKept, receiptPayload } from './receiptDraft';

const locale = { currency: 'USD', units: 'us', timeZone: 'America/New_York' } as const;
const [VASE, JUG, WAX, SHOP, KEPT] = [uuid(60), uuid(61), uuid(62), uuid(63), uuid(64)] as const;
const piece = (id: string): LedgerSubject => ({ kind: 'piece', id: pieceIdOf(id) });

const line = (n: number, change: Partial<ReceiptRow['lines'][number]>): ReceiptRow['lines'][number] => ({
  id: uuid(n),
  what: `Line ${n}`,
  price: 900,
  quantity: 1,
  markdowns: [],
  tax: null,
  isFee: false,
  subjects: [],
  ...change,
});
/** A lot with a price of its own, a supply without tax, a line that is taxed apart, a tool, a fee; 8.25 % on the rest. */
const receipt: ReceiptRow = {
  id: KEPT,
  version: 1,
  sourceId: SHOP,
  onDate: '2026-05-20',
  lines: [
    line(1, {
      price: 1250,
      markdowns: [20_000],
      subjects: [
        { subject: piece(VASE), own: 700, pieces: 1, amount: 0 },
        { subject: piece(JUG), own: null, pieces: 3, weight: 5, amount: 0 },
      ],
    }),
    line(2, {
      tax: { percentThousandths: 0, included: false },
      subjects: [{ subject: { kind: 'supply', id: WAX }, own: null, pieces: 1, amount: 250 }],
    }),
    line(3, {
      tax: { percentThousandths: 2_000, included: false },
      subjects: [{ subject: { kind: 'tool', id: uuid(70) }, own: null, pieces: 1, amount: 0 }],
    }),
    line(4, { isFee: true, subjects: [{ subject: { kind: 'fee', id: uuid(99) }, own: null, pieces: 1, amount: 0 }] }),
  ],
  discounts: [{ id: uuid(80), offer: { kind: 'money', amount: 150, by: 'store' }, lineIds: null, leastSpend: null }],
  tax: { percentThousandths: 8_250, included: false },
  rounding: 'receipt',
  paid: null,
  foreign: null,
  photoId: null,
  note: 'from the glove box',
};

function kept(): ProjectRows {
  const given = rows({
    project: project({ id: uuid(99), tax: { percentThousandths: 6_000, included: false } }),
    sources: [newSource(SHOP, 'The Penny Shelf')],
    finds: [find(VASE, 700, { name: 'Vase' }), find(JUG, 600, { name: 'Jug' })],
    supplies: [supply(WAX, 'clearWax', null, null)],
    tools: [{ id: uuid(70), version: 1, toolId: 'orbitalSander', owned: false, wear: 'good' }],
  });
  const payload: PayloadOf<'recordReceipt'> = {
    receipt,
    finds: [],
    supplies: [],
    ledgerIds: [901, 902, 903, 904, 905].map(uuid),
    reversalIds: [911, 912, 913, 914, 915].map(uuid),
    atMs: AS_OF,
  };
  return following(given, 'recordReceipt', payload);
}
const payments = (of: ProjectRows) =>
  linesInForce(of.ledger).map(({ subject, amount, pieces, atMs }) => [subject, amount, pieces, atMs]);

describe('a kept receipt that is opened again', () => {
  it('comes to the very same payments when nothing on it is changed, though its place charges another tax by now', () => {
    const before = kept();
    const draft = draftOf(receipt, before);
    const after = following(before, 'correctReceipt', correctionPayload(draft, receipt, before, locale, AS_OF + 1));
    expect(payments(after)).toEqual(payments(before));
    const [{ version: _v, ...now } = receipt] = after.receipts;
    const { version: _w, ...was } = receipt;
    expect(now).toEqual(was);
    expect(after.supplies[0]?.stash).toEqual(before.supplies[0]?.stash);
  });

  it('makes no find of a tool, and keeps the price of its own in a lot while the line is for the same things', () => {
    const before = kept();
    const draft = draftOf(receipt, before);
    expect(draft.lines.map(({ of }) => of.kind)).toEqual(['finds', 'supply', 'kept', 'fee']);
    const again = correctionPayload(draft, receipt, before, locale, AS_OF);
    expect(again.finds).toEqual([]);
    expect(again.receipt.lines[0]?.subjects).toEqual(receipt.lines[0]?.subjects);
    const alone = {
      ...draft,
      lines: draft.lines.map((each, n) =>
        n === 0 ? { ...each, of: { kind: 'finds' as const, ids: [VASE], parts: {} } } : each,
      ),
    };
    expect(correctionPayload(alone, receipt, before, locale, AS_OF).receipt.lines[0]?.subjects).toEqual([
      { subject: piece(VASE), own: null, pieces: 1, amount: 0 },
    ]);
  });

  it('takes the tax of its place once the place is another', () => {
    const before = kept();
    const elsewhere = { ...draftOf(receipt, before), sourceId: null, tax: null };
    expect(receiptPayload(elsewhere, before, locale, AS_OF).receipt.tax.percentThousandths).toBe(6_000);
  });

  it('keeps the other money that it was paid in while the sum is the same', () => {
    const foreign = { currency: 'EUR', amount: 3000, rateMillionths: 1_100_000, day: '2026-05-20' };
    const before = kept();
    const paidAbroad = { ...receipt, foreign };
    const draft = draftOf(paidAbroad, before);
    const said = (change: Partial<typeof draft>) =>
      correctionPayload({ ...draft, ...change }, paidAbroad, before, locale, AS_OF).receipt.foreign;
    expect([said({}), said({ paid: 999 })]).toEqual([foreign, null]);
  });
});

describe('a receipt that was sent', () => {
  it('is offered again only while no line of the books is its own', () => {
    const draft = draftOf(receipt, kept());
    const sent = { draft, ledgerId: uuid(901) };
    expect([notKept(null, []), notKept(sent, kept().ledger)]).toEqual([null, null]);
    expect(notKept(sent, [{ id: uuid(999) }])).toBe(draft);
  });
});
