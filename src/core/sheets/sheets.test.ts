import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { afterwardsOf, billsInOrder, dueWords, standingOf, standingWords } from '../closing/billStanding';
import { proposedBill, proposedLines, usualTerms } from '../closing/proposedBill';
import { reckon } from '../closing/reckon';
import { billBody, billRow } from '../fixtures/bills';
import { uuid } from '../fixtures/following';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { playActs } from '../fixtures/playActs';
import { AS_OF, rows } from '../fixtures/projectRows';
import { textsOf } from '../fixtures/sheetTexts';
import { idsAfter, throwsUpTo } from '../fixtures/throws';
import { readProjectFile } from '../formats/project/read';
import { rowSchema } from '../model/entities';
import type { ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { lineAmount } from '../pricing/bill';
import { billDocument, billTable, sumsOfBill } from './billSheet';
import { type ClientSheet, clientSheetDocument } from './clientSheet';
import { clientSheetOf } from './clientSheetOf';
import { madeRecipes, makersSheetDocument } from './makersSheet';
import { shoppingRecordDocument, shoppingRecordOf, shoppingRecordTable } from './shoppingRecord';

const path = fileURLToPath(new URL('../../../demo/4-hall-console.project.json', import.meta.url));
const read = readProjectFile(JSON.parse(readFileSync(path, 'utf8')));
if (!read.ok) throw new Error(JSON.stringify(read.errors));
const plan = computePlan(read.file, Date.parse(read.file.asOf));
const noPictures = { room: [], looks: new Set<string>() };
const words = (document: Parameters<typeof textsOf>[0]) => textsOf(document).join('\n');

describe('the client’s sheet of the finished demo', () => {
  const sheet = clientSheetOf(plan, { showsCosts: true });

  it('names every piece where it stands, where it is from, and what it came to: together what the purse says', () => {
    const pieces = sheet.spots.flatMap((spot) => spot.pieces);
    expect(pieces).toHaveLength(plan.chosen.length);
    const { all, rest } = reckon(plan);
    const notBorne = rest.money.reduce((sum, { paid, toGo }) => sum + paid + toGo, 0);
    expect(pieces.reduce((sum, { cost }) => sum + (cost ?? 0), 0)).toBe(all.paid + all.cashToGo - notBorne);
    expect(sheet.costs).toMatchObject({ cameTo: all.paid + all.cashToGo, isSettled: true });
    expect(sheet.palette.length).toBeGreaterThan(0);
  });

  it('says no costs where none are to be shown, nor anything of the stylist’s own', () => {
    const shown = words(clientSheetDocument(clientSheetOf(plan, { showsCosts: false }), noPictures, '2026-06-01'));
    expect(shown).not.toMatch(/\$|USD|budget/);
    for (const { name } of plan.rows.sources) expect(shown).not.toContain(name);
    const costly = words(clientSheetDocument(sheet, noPictures, '2026-06-01'));
    expect(costly).toMatch(/It came to \$[\d.]+ of a budget of \$220\.00\./);
  });

  it('tells how to live with what was painted, like pieces together, what can harm first', () => {
    const { blocks } = clientSheetDocument(sheet, noPictures, '2026-06-01');
    const from = blocks.findIndex((block) => block.kind === 'heading' && block.text === 'Living with it');
    expect(from).toBeGreaterThan(0);
    const kinds = blocks.slice(from + 1).map(({ kind }) => kind);
    expect(kinds[0]).toBe('heading');
    expect(kinds).toContain('list');
    // Within one piece no caution comes after its list.
    for (const [n, kind] of kinds.entries()) if (kind === 'caution') expect(kinds[n - 1]).not.toBe('list');
  });

  it('shows the pictures that there are, the before beside the after', () => {
    const [spot] = sheet.spots;
    const { blocks } = clientSheetDocument(
      sheet,
      { room: [{ before: 'b', after: 'a' }], looks: new Set([spot?.id ?? '']) },
      '2026-06-01',
    );
    expect(blocks.filter(({ kind }) => kind === 'pictures')).toEqual([
      {
        kind: 'pictures',
        pictures: [
          { key: 'photo:b', caption: 'Before' },
          { key: 'photo:a', caption: 'After' },
        ],
      },
      { kind: 'pictures', pictures: [{ key: `look:${spot?.id}`, caption: '' }] },
    ]);
  });

  it('is a sheet too while nothing is there yet', () => {
    const empty: ClientSheet = clientSheetOf(computePlan(rows({}), 0), { showsCosts: true });
    expect(clientSheetDocument(empty, noPictures, '2026-06-01').blocks[0]).toMatchObject({ kind: 'heading' });
  });
});

describe('the makers’ sheet of the finished demo', () => {
  const made = madeRecipes(plan);

  it('has each makeover as it was done: layers, minutes of the log, what was taken', () => {
    expect(made.length).toBeGreaterThan(0);
    const logged = plan.rows.logEntries.reduce((sum, { minutes }) => sum + minutes, 0);
    const told = made
      .flatMap(({ steps }) => steps)
      .filter(({ isLogged }) => isLogged)
      .reduce((sum, { minutes }) => sum + minutes, 0);
    expect(told).toBeGreaterThan(0);
    expect(told).toBeLessThanOrEqual(logged + 1e-6);
    for (const { layers, doneOn, steps } of made) {
      expect(doneOn).not.toBeNull();
      expect(layers.every(({ coats, where }) => coats > 0 && where.length > 0)).toBe(true);
      expect(steps.some(({ took }) => took.length > 0)).toBe(true);
    }
  });

  it('is printed with layers and steps as tables', () => {
    const { blocks } = makersSheetDocument('Hall', made);
    const tables = blocks.flatMap((block) => (block.kind === 'table' ? [block.name] : []));
    for (const { name } of made)
      expect(tables).toEqual(expect.arrayContaining([`Layers of ${name}`, `Steps of ${name}`]));
    expect(words(makersSheetDocument('Hall', []))).toContain('Nothing that is chosen here is made');
  });
});

describe('the shopping record of the finished demo', () => {
  const lines = shoppingRecordOf(plan.rows);

  it('is all that was paid, the earliest first', () => {
    const { spent, promised } = plan.purse.money;
    expect(lines.reduce((sum, { amount }) => sum + amount, 0)).toBe(spent + promised);
    expect(lines.map(({ onDate }) => onDate)).toEqual(lines.map(({ onDate }) => onDate).sort());
    const shown = words(shoppingRecordDocument('Hall', 'USD', lines));
    for (const { what } of lines) expect(shown).toContain(what);
  });

  it('comes to the same as a table', () => {
    const { fields, rows: cells } = shoppingRecordTable('USD', lines);
    const at = fields.indexOf('Amount (USD)');
    const cents = cells.reduce((sum, cell) => sum + Math.round(Number(cell[at]) * 100), 0);
    expect(cents).toBe(lines.reduce((sum, { amount }) => sum + amount, 0));
    expect(words(shoppingRecordDocument('Hall', 'USD', []))).toContain('Nothing was bought yet.');
  });
});

describe('a bill as it is proposed', () => {
  const reckoning = reckon(plan);
  const terms = { ...usualTerms('USD'), hourRate: 4000, taxThousandths: 6000 };
  const ids = () => {
    let n = 0;
    return () => {
      n += 1;
      return uuid(n);
    };
  };

  it('bills what was paid and taken off the shelf, and the hours as they were', () => {
    const lines = proposedLines(reckoning, 'invoice', terms, 'USD', ids());
    const goods = lines.filter(({ unit }) => unit === '');
    expect(goods.reduce((sum, line) => sum + lineAmount(line), 0)).toBe(reckoning.all.paid + reckoning.all.stash);
    const hours = lines.filter(({ unit }) => unit === 'h').reduce((sum, line) => sum + line.quantityThousandths, 0);
    expect(Math.abs(hours / 1000 - reckoning.all.doneMinutes / 60)).toBeLessThan(0.005 * (reckoning.slots.length + 1));
  });

  it('puts the markup on each price, or on a line of its own', () => {
    const within = proposedLines(reckoning, 'quote', { ...terms, markupThousandths: 20_000 }, 'USD', ids());
    const apart = proposedLines(
      reckoning,
      'quote',
      { ...terms, markupThousandths: 20_000, showsMarkup: true },
      'USD',
      ids(),
    );
    expect(apart.at(-1)?.what).toBe('Choosing, buying and handling');
    const sum = (lines: typeof within) => lines.reduce((all, line) => all + lineAmount(line), 0);
    // Each line is rounded by itself: half a cent a line at most.
    expect(Math.abs(sum(within) - sum(apart))).toBeLessThanOrEqual(Math.ceil(within.length / 2));
  });

  it('bills no hours at a rate of other money, or without one', () => {
    for (const other of [{ hourRate: null }, { currency: 'EUR' }])
      expect(
        proposedLines(reckoning, 'quote', { ...terms, ...other }, 'USD', ids()).filter(({ unit }) => unit === 'h'),
      ).toEqual([]);
  });

  it('goes by what all bills say, and else by what the last one said that said it', () => {
    const room = furnishedRoom();
    const said = (n: number, from: string, payTo: string) =>
      billRow(uuid(n), { number: n, body: billBody({ from, payTo, to: `Payer ${n}` }) });
    const bills = [said(2, 'Ada Quill', ''), said(1, 'Old name', 'Account 1')];
    const of = reckon(computePlan(room, AS_OF));
    const proposed = (letterheads: ProjectRows['letterheads']) =>
      proposedBill({ ...room, bills, letterheads }, of, 'invoice', idsAfter(90_000));
    expect(proposed([])).toMatchObject({ from: 'Ada Quill', payTo: 'Account 1', to: 'Payer 2' });
    const own = { id: uuid(3), version: 1, ...usualTerms('USD'), from: 'Ada of the quay' };
    expect(proposed([own])).toMatchObject({ from: 'Ada of the quay', payTo: 'Account 1' });
  });

  it('can be kept, and comes to what the reckoning does, whatever was done before', () => {
    fc.assert(
      fc.property(throwsUpTo(30), (thrown) => {
        const present = playActs(furnishedRoom(), thrown, idsAfter(5000)).at(-1) ?? furnishedRoom();
        const of = reckon(computePlan(present, AS_OF));
        for (const kind of ['quote', 'invoice'] as const) {
          const body = proposedBill(present, of, kind, idsAfter(90_000));
          const row = { id: uuid(1), version: 1, kind, body };
          expect(rowSchema('billDrafts').safeParse(row).success).toBe(true);
        }
        const lines = proposedLines(of, 'quote', usualTerms('USD'), present.project.currency, idsAfter(90_000));
        const kept = of.rest.money.filter(({ kind }) => kind === 'deposits' || kind === 'sold');
        const notBilled = kept.reduce((sum, { paid, toGo }) => sum + paid + toGo, 0);
        expect(lines.reduce((sum, line) => sum + lineAmount(line), 0)).toBe(
          of.all.paid + of.all.cashToGo + of.all.stash - notBilled,
        );
      }),
      { numRuns: 40, seed: 5 },
    );
  });
});

describe('a bill as it is printed', () => {
  const line = (what: string, quantityThousandths: number, unitPrice: number, taxThousandths: number) => ({
    id: uuid(quantityThousandths),
    what,
    quantityThousandths,
    unit: 'h',
    unitPrice,
    taxThousandths,
  });
  const body = billBody({
    lines: [line('Hands-on', 2500, 4000, 6000), line('Frame', 1000, 1999, 0)],
    taxName: 'Sales tax',
    payTo: 'Account 1',
    payWithinDays: 10,
  });

  it('says who, to whom, what for, each line, the tax, what is to pay and by when', () => {
    const shown = words(
      billDocument(
        billRow(uuid(1), {
          body,
          prefix: 'A-',
          number: 7,
          deposits: [{ onDate: '2026-05-20', amount: 5000, what: 'Deposit' }],
        }),
        null,
      ),
    );
    for (const text of [
      ...['Invoice A-7', 'Ada Quill', 'Bo Ferry', 'June 1, 2026', '2.5 h', '$40.00', '$100.00'],
      ...['Sales tax 6 % on $100.00', '$6.00', '$125.99', 'Deposit, May 20, 2026', '−$50.00', '$75.99'],
      ...['To be paid by June 11, 2026.', 'Account 1'],
    ])
      expect(shown).toContain(text);
  });

  it.each([
    [12599, 'Nothing is left to be paid.', '$0.00'],
    [15000, 'Paid already; what was paid beyond it comes back.', '$24.01'],
  ])('paid beforehand with %d cents it asks for nothing more', (amount, said, left) => {
    const deposits = [{ onDate: '2026-05-20', amount, what: '' }];
    const shown = words(billDocument(billRow(uuid(1), { body, deposits }), null));
    expect(shown).toContain(said);
    expect(shown).toContain(left);
    expect(dueWords(12599 - amount, 'USD')).toBe(
      amount === 12599 ? 'all of it paid beforehand' : `paid beforehand; ${left} of that comes back`,
    );
    expect(shown).not.toContain('To be paid by');
    // Where to pay is not said where nothing is to be paid.
    expect(shown).not.toContain('Account 1');
  });

  it('stands in the order in which it was sent: by day, then by number, what has none yet at the end', () => {
    const sent = (n: number, issuedOn: string, number: number | null) => billRow(uuid(n), { issuedOn, number });
    const bills = [
      sent(1, '2026-06-01', 9),
      sent(2, '2026-06-02', null),
      sent(3, '2026-06-01', 8),
      sent(4, '2026-05-30', 7),
    ];
    const expected = [7, 8, 9, null];
    fc.assert(
      fc.property(fc.shuffledSubarray(bills, { minLength: bills.length }), (shuffled) => {
        expect(billsInOrder(shuffled).map(({ number }) => number)).toEqual(expected);
      }),
    );
  });

  it('a credit note names what it takes back; a quote says until when it holds', () => {
    const taken = billRow(uuid(1), { prefix: 'A-', number: 7, body });
    const note = billRow(uuid(2), { kind: 'creditNote', number: 8, cancelsId: uuid(1), body });
    expect(words(billDocument(note, taken))).toContain('Invoice A-7 of June 1, 2026');
    const quote = billRow(uuid(3), { kind: 'quote', series: 'quotes', number: null, body });
    const shown = words(billDocument(quote, null));
    expect(shown).toContain('Quote number follows');
    expect(shown).toContain('holds until June 11, 2026');
  });

  it('comes to the same as rows of a spreadsheet', () => {
    const bill = billRow(uuid(1), { body, deposits: [{ onDate: '2026-05-20', amount: 5000, what: '' }] });
    const { rows: cells } = billTable(bill);
    expect(cells.at(-1)?.at(-1)).toBe((sumsOfBill(bill).due / 100).toFixed(2));
  });

  it('is refused where a line comes to more than can be reckoned with', () => {
    const draft = (quantityThousandths: number, unitPrice: number) => ({
      id: uuid(1),
      version: 1,
      kind: 'invoice',
      body: billBody({ lines: [line('x', quantityThousandths, unitPrice, 0)] }),
    });
    const { success, error } = rowSchema('billDrafts').safeParse(draft(100_000_000, 100_000_000_000));
    expect(success).toBe(false);
    expect(error?.issues[0]?.path.join('.')).toBe('body.lines.0.unitPrice');
    expect(rowSchema('billDrafts').safeParse(draft(1000, 100_000_000_000)).success).toBe(true);
  });

  it('stands open until it is paid, and no more once it is taken back', () => {
    const bill = billRow(uuid(1), { body });
    const { total } = sumsOfBill(bill);
    const pay = (amount: number) => ({
      id: uuid(9),
      version: 1,
      onDate: '2026-06-05',
      amount,
      what: '',
      billId: bill.id,
    });
    const state = (clientPayments: ReturnType<typeof pay>[], bills = [bill]) =>
      standingOf(bill, afterwardsOf(bill, { bills, clientPayments }));
    expect(state([])).toEqual({ state: 'open', total, open: total, beyond: 0 });
    expect(state([pay(1000)])).toMatchObject({ state: 'paidInPart', open: total - 1000 });
    expect(state([pay(total)]).state).toBe('paid');
    expect(standingWords(state([pay(total - 100)]), 'USD')).toBe('paid in part, $1.00 open');
    expect(standingWords(state([pay(total), { ...pay(500), id: uuid(10) }]), 'USD')).toBe('paid, $5.00 too much');
    const note = billRow(uuid(2), { kind: 'creditNote', cancelsId: bill.id });
    expect(state([], [bill, note])).toMatchObject({ state: 'takenBack', open: 0 });
  });
});
