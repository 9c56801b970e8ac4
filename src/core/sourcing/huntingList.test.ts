import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { AS_OF, fill, find, option, paid, project, rows, slot } from '../fixtures/projectRows';
import { huntingListText } from '../formats/huntingList/write';
import { huntingListCsv } from '../formats/huntingList/writeCsv';
import { budgetShares } from '../plan/budgetShares';
import { computePlan } from '../plan/computePlan';
import { newSpot } from '../plan/newRows';
import { emptyBrief } from '../state/brief';
import { huntingList } from './huntingList';

const locale = { units: 'us', currency: 'USD' } as const;
const plain = { contingencyThousandths: 0 };

describe('the spread of the budget', () => {
  it('weighs must 5, wanted 3, nice 1, for each of the quantity', () => {
    const shares = budgetShares(
      rows({
        project: project({ ...plain, budget: 10_000 }),
        slots: [
          slot('a', { importance: 'must' }),
          slot('b', { importance: 'wanted' }),
          slot('c', { importance: 'nice', quantity: 2 }),
        ],
      }),
    );
    expect(shares.map((share) => share.amount)).toEqual([5000, 3000, 2000]);
  });

  it('takes out what is kept back and the splurge first, and respects a share of its own', () => {
    const shares = budgetShares(
      rows({
        project: project({
          budget: 11_000,
          contingencyThousandths: 10_000,
          brief: { ...emptyBrief, splurge: { what: 'a lamp shade', amount: 2000 } },
        }),
        slots: [slot('own', { shareThousandths: 25_000 }), slot('rest')],
      }),
    );
    // 110.00 holds 100.00 and its 10 %; less 20.00 leaves 80.00: a quarter of it, and the rest.
    expect(shares).toEqual([
      { slotId: 'own', amount: 2000, own: true },
      { slotId: 'rest', amount: 6000, own: false },
    ]);
  });

  it('needs nothing for what is left out or starred', () => {
    const shares = budgetShares(
      rows({
        project: project({ ...plain, budget: 1000 }),
        slots: [slot('a'), slot('out', { leftOut: true }), slot('ours', { star: { what: 'hall mirror' } })],
      }),
    );
    expect(shares).toEqual([{ slotId: 'a', amount: 1000, own: false }]);
  });

  it('adds up to the minor unit for any slots', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.array(
          fc.record({
            importance: fc.constantFrom('must', 'wanted', 'nice'),
            quantity: fc.integer({ min: 1, max: 12 }),
          }),
          { minLength: 1, maxLength: 20 },
        ),
        (budget, list) => {
          const shares = budgetShares(
            rows({
              project: project({ ...plain, budget }),
              slots: list.map((entry, n) => slot(`s${n}`, entry as never)),
            }),
          );
          expect(shares.reduce((sum, share) => sum + share.amount, 0)).toBe(budget);
        },
      ),
    );
  });
});

describe('the hunting list', () => {
  const found = find('f', 1000);
  const base = rows({
    project: project({ ...plain, budget: 9000 }),
    spots: [{ ...newSpot('spot', 'Bed wall', 'bedWall', 1) }, { ...newSpot('tray', 'Tray', 'tray', 0) }],
    slots: [
      slot('a', { number: 1, name: 'Nightstand', importance: 'wanted' }),
      slot('b', { number: 2, name: 'Lamps', quantity: 2, height: { minimumMm: null, maximumMm: 457.2 } }),
      slot('c', { number: 3, name: 'Mirror', star: { what: 'hall mirror' } }),
      slot('d', { number: 4, name: 'Plant', spotId: 'tray', importance: 'nice' }),
    ],
    finds: [found],
    options: [option('o', 'a', 'asFound', { parts: [{ findId: 'f', offerId: null, pieces: 1 }] })],
  });
  const list = (input = base) => huntingList(computePlan(input, AS_OF));

  it('holds what is neither starred, left out nor filled, by spot and number', () => {
    expect(list().map((line) => [line.spotName, line.slot.name, line.needed])).toEqual([
      ['Tray', 'Plant', 1],
      ['Bed wall', 'Nightstand', 1],
      ['Bed wall', 'Lamps', 2],
    ]);
    expect(list({ ...base, fills: [fill('a', 'o')] }).map((line) => line.slot.name)).toEqual(['Plant', 'Lamps']);
  });

  it('gives the ceiling from the share, for each piece', () => {
    // 90.00 over weights 3, 2 × 3 and 1: 27.00, 54.00, 9.00.
    expect(list().map((line) => line.ceiling)).toEqual([900, 2700, 2700]);
    expect(list().map((line) => line.target)).toEqual([900, 2700, 2700]);
  });

  it('lowers the target when money is spent, and never raises it above the ceiling', () => {
    const spent = list({
      ...base,
      ledger: [paid('l', { kind: 'fee', id: 'project' }, 4500)],
    });
    expect(spent.map((line) => line.target)).toEqual([450, 1350, 1350]);
    // The nightstand was filled for 10.00 instead of 27.00: the others could take more, but their ceiling holds.
    const early = list({ ...base, fills: [fill('a', 'o')] });
    expect(early.map((line) => [line.ceiling, line.target])).toEqual([
      [900, 900],
      [2700, 2700],
    ]);
  });

  it('reads as text grouped by spot, with the largest size', () => {
    expect(huntingListText(list(), locale)).toBe(
      [
        'Tray',
        '4. 1 × Plant; aim $9, at most $9 each',
        '',
        'Bed wall',
        '1. 1 × Nightstand; aim $27, at most $27 each',
        '2. 2 × Lamps, at most 18 in tall; aim $27, at most $27 each',
      ].join('\n'),
    );
  });

  it('is CSV by RFC 4180: CRLF, quotes, and no cell that a spreadsheet would run', () => {
    const awkward = list({
      ...base,
      slots: [slot('x', { name: '=1+1, "quoted"\nand broken' }), slot('y', { number: 2, name: '+49' })],
    });
    const csv = huntingListCsv(awkward, locale);
    const [header, ...data] = Papa.parse<string[]>(csv, { header: false }).data;
    expect(header).toHaveLength(9);
    expect(csv.split('\r\n')[0]).toContain('Target each (USD)');
    for (const row of data) expect(row).toHaveLength(9);
    expect(data[0]?.[1]).toBe(`'=1+1, "quoted"\nand broken`);
    expect(data[1]?.[1]).toBe(`'+49`);
  });

  it('gives no target below nothing when the purse is over', () => {
    const over = list({
      ...base,
      ledger: [paid('l', { kind: 'fee', id: 'project' }, 20_000)],
    });
    expect(over.map((line) => line.target)).toEqual([0, 0, 0]);
  });
});
