import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../fixtures/following';
import { AS_OF, fill, find, offer, option, paid, pieceIdOf, project, rows, slot } from '../fixtures/projectRows';
import { ledgerDays } from '../formats/calendar/ledgerDays';
import { MS_PER_DAY } from '../kernel/units';
import type { LedgerRow, ProjectRows, SourceRow } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newSource } from '../plan/newSource';
import { findFromPiece } from '../plan/stashPieces';
import { ledgerSums } from '../pricing/ledger';
import {
  basisOf,
  deliveries,
  giveBacks,
  ledgerEntries,
  ledgerGroupings,
  ledgerGroups,
  missingPrices,
  returnsDue,
} from './ledgerLists';
import { origins } from './origins';
import { regrets } from './regrets';
import { unknownPiece } from './unknownPiece';

const PENNY = uuid(1);
const within = (days: number, restockingThousandths = 0): SourceRow => ({
  ...newSource(PENNY, 'The Penny Shelf'),
  returns: { state: 'within', days, restockingThousandths },
});
const payment = (change: Partial<LedgerRow> = {}): LedgerRow => ({
  ...paid('line', { kind: 'piece', id: pieceIdOf('vase') }, 2000),
  sourceId: PENNY,
  ...change,
});
const vase = find('vase', 2000, { name: 'Vase', state: 'bought', sourceId: PENNY });
const shop = (source: SourceRow, ...ledger: LedgerRow[]): ProjectRows =>
  rows({ sources: [source], finds: [vase], ledger });
const daysOn = (days: number) => AS_OF + days * MS_PER_DAY;

describe('what can be taken back', () => {
  it('counts the day of buying and so many more, the last one included', () => {
    const books = shop(within(14), payment());
    const left = (days: number, grace = 0) => returnsDue(books, daysOn(days), grace).map(({ daysLeft }) => daysLeft);
    expect([left(0), left(14), left(15), left(15, 7), left(22, 7)]).toEqual([[14], [0], [], [-1], []]);
    expect(returnsDue(books, AS_OF)[0]).toMatchObject({ what: 'Vase', lastDay: '2026-06-15', refund: 2000 });
  });

  it('counts days in the shop’s own time zone', () => {
    // 02:00 UTC on June 2 is still June 1 in New York, and June 2 in Berlin.
    const late = payment({ atMs: Date.parse('2026-06-02T02:00:00Z') });
    const lastDay = (timeZone: string | null) => returnsDue(shop({ ...within(14), timeZone }, late), AS_OF)[0]?.lastDay;
    expect([lastDay(null), lastDay('Europe/Berlin')]).toEqual(['2026-06-15', '2026-06-16']);
  });

  it('keeps the restocking percent, and of several pieces counts those that are left', () => {
    const three = payment({ amount: 350, pieces: 3 });
    const back: LedgerRow = {
      ...paid('back', three.subject, 117, 'refund'),
      refundsId: 'line',
      pieces: 1,
      sourceId: PENNY,
    };
    expect(returnsDue(shop(within(14, 10_000), three), AS_OF)[0]?.refund).toBe(315);
    // 1.17 went back; of 1.17 and 1.16 a tenth stays.
    expect(returnsDue(shop(within(14, 10_000), three, back), AS_OF)[0]?.refund).toBe(210);
  });

  it('leaves out what is final, unknown, free, a promise, or went back wholly', () => {
    const none = (books: ProjectRows) => expect(returnsDue(books, AS_OF)).toEqual([]);
    none(shop({ ...within(14), returns: { state: 'final' } }, payment()));
    none(shop({ ...within(14), returns: { state: 'unknown' } }, payment()));
    none(shop(within(14), payment({ amount: 0 })));
    none(shop(within(14), payment({ kind: 'promise' })));
    none(shop(within(14), payment(), { ...paid('back', payment().subject, 2000, 'refund'), refundsId: 'line' }));
    none(shop(within(14), payment({ sourceId: null })));
  });
});

describe('the ledger listed', () => {
  const chair = find('chair', 900, { name: 'Chair', state: 'bought' });
  const books = rows({
    slots: [slot('1', { name: 'By the window' })],
    sources: [within(14)],
    finds: [vase, chair],
    options: [option('o', '1', 'asFound', { parts: [{ findId: 'chair', offerId: null, pieces: 1 }] })],
    fills: [fill('1', 'o')],
    ledger: [
      payment(),
      { ...paid('c', { kind: 'piece', id: pieceIdOf('chair') }, 900), atMs: AS_OF + 40 * MS_PER_DAY },
      { ...paid('fee', { kind: 'fee', id: 'project' }, 300), note: 'Parking' },
      { ...paid('sold', { kind: 'piece', id: uuid(70) }, 500, 'saleIncome') },
      { ...paid('wrong', { kind: 'fee', id: 'project' }, 777) },
      { ...paid('undone', { kind: 'fee', id: 'project' }, 777), reversesId: 'wrong' },
    ],
  });

  it('shows the lines that count, the latest first, what came back as less', () => {
    expect(ledgerEntries(books).map(({ what, signed, onDate }) => [what, signed, onDate])).toEqual([
      ['Chair', 900, '2026-07-11'],
      ['Parking', 300, '2026-06-01'],
      ['Vase', 2000, '2026-06-01'],
      ['A piece', -500, '2026-06-01'],
    ]);
  });

  it('sums by slot, place, kind and month, and every grouping comes to the same', () => {
    const sums = (by: (typeof ledgerGroupings)[number]) => ledgerGroups(books, by).map(({ name, sum }) => [name, sum]);
    expect(sums('slot')).toEqual([
      ['no slot', 1800],
      ['1 · By the window', 900],
    ]);
    expect(sums('source')).toEqual([
      ['The Penny Shelf', 2000],
      ['no place noted', 700],
    ]);
    expect(sums('kind')).toEqual([
      ['dollar store', 2000],
      ['no place noted', 700],
    ]);
    expect(sums('month')).toEqual([
      ['2026-07', 900],
      ['2026-06', 1800],
    ]);
  });

  it('comes to what the purse has spent and promised, whatever it is grouped by', () => {
    const kind = fc.constantFrom('payment', 'promise', 'refund', 'saleIncome');
    const line = fc.record({ kind, amount: fc.nat(9000), day: fc.nat(400), from: fc.boolean() });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 20 }), fc.constantFrom(...ledgerGroupings), (lines, by) => {
        const ledger = lines.map(
          ({ kind: of, amount, day, from }, n): LedgerRow => ({
            ...paid(`l${n}`, { kind: 'fee', id: 'project' }, amount, of as LedgerRow['kind']),
            atMs: AS_OF + day * MS_PER_DAY,
            sourceId: from ? PENNY : null,
          }),
        );
        const { spent, promised } = ledgerSums(ledger);
        const groups = ledgerGroups(rows({ sources: [within(14)], ledger }), by);
        expect(groups.reduce((sum, group) => sum + group.sum, 0)).toBe(spent + promised);
      }),
    );
  });

  it('tells stated, estimated, free and unknown apart', () => {
    const basis = (amount: number, atLeast: boolean, estimated = false) => basisOf({ amount, atLeast, estimated });
    expect([basis(100, false), basis(100, false, true), basis(100, true), basis(0, false), basis(0, true)]).toEqual([
      'stated',
      'estimated',
      'estimated',
      'free',
      'unknown',
    ]);
    const asked = rows({
      ledger: [paid('a', { kind: 'fee', id: 'project' }, 0), { ...payment(), amount: 0, atLeast: true }],
    });
    expect(missingPrices(asked).map(({ line: { id } }) => id)).toEqual(['line']);
  });
});

describe('what goes back and what comes', () => {
  const lent = {
    ...unknownPiece(uuid(20), 'Lantern', { units: 'us', currency: 'USD', today: '2026-06-01' }),
    borrowedFrom: 'Ana',
    backBy: '2026-07-01',
  };

  it('lists borrowed things by the day they go back', () => {
    const later = { ...lent, id: uuid(21), name: 'Bowl', backBy: null };
    const gone = { ...lent, id: uuid(22), inHouse: false };
    expect(giveBacks(rows({ pieces: [later, gone, lent] })).map(({ name, backBy }) => [name, backBy])).toEqual([
      ['Lantern', '2026-07-01'],
      ['Bowl', null],
    ]);
  });

  it('lists what is rented and paid until it went back, with its deposit, and never as something to return', () => {
    const terms = { backBy: '2026-06-20', deposit: 5000, wentBackOn: null };
    const arch = offer('arch', 6000, { name: 'Arch', sourceId: PENNY, rented: terms });
    const books = rows({
      sources: [within(14)],
      pieces: [lent],
      offers: [arch, { ...arch, id: 'unpaid' }],
      ledger: [{ ...payment(), subject: { kind: 'offer', id: 'arch' } }],
    });
    expect(giveBacks(books).map(({ name, kind, backBy, deposit }) => [name, kind, backBy, deposit])).toEqual([
      ['Arch', 'rented', '2026-06-20', 5000],
      ['Lantern', 'borrowed', '2026-07-01', 0],
    ]);
    expect(returnsDue(books, AS_OF)).toEqual([]);
    const [day] = ledgerDays({ returns: [], giveBacks: giveBacks(books), deliveries: [] }, 'USD');
    expect([day?.title, day?.text]).toEqual(['Take back Arch', `to ${within(14).name}, $50.00 of deposit comes back`]);
    const gone = { ...books, offers: [{ ...arch, rented: { ...terms, wentBackOn: '2026-06-19' } }] };
    expect(giveBacks(gone).map(({ name }) => name)).toEqual(['Lantern']);
  });

  it('lists what is ordered until it has come, late or not, with where it goes and its task there', () => {
    const order = paid('o', { kind: 'offer', id: 'new' }, 8840, 'promise');
    const books = rows({ offers: [offer('new', 8840, { name: 'Shelf', leadDays: 9 })], ledger: [order] });
    const told = (asOfMs: number) =>
      deliveries(books, asOfMs).map(({ what, onDate, daysLeft, spot: at }) => [what, onDate, daysLeft, at?.name]);
    expect(told(AS_OF)).toEqual([['Shelf', '2026-06-10', 9, undefined]]);
    expect(told(daysOn(12))).toEqual([['Shelf', '2026-06-10', -3, undefined]]);
    const here = { ...books, offers: books.offers.map((row) => ({ ...row, arrivedOn: '2026-06-08' })) };
    expect(deliveries(here, AS_OF)).toEqual([]);
    const task = { id: 't', name: 'Clear the way for Shelf', minutes: 15, dryHours: 0, done: false };
    const placed = {
      ...books,
      spots: books.spots.map((at) => ({ ...at, tasks: [task] })),
      slots: [slot('1')],
      options: [option('o', '1', 'buyNew', { parts: [{ findId: null, offerId: 'new', pieces: 1 }] })],
      fills: [fill('1', 'o')],
    };
    expect(deliveries(placed, AS_OF)[0]).toMatchObject({ spot: { name: 'Bed wall' }, clearing: task });
  });

  it('puts all three into a calendar', () => {
    const books = rows({
      sources: [within(14)],
      finds: [vase],
      pieces: [lent],
      offers: [offer('new', 8840, { name: 'Shelf', leadDays: 9 })],
      ledger: [payment(), paid('o', { kind: 'offer', id: 'new' }, 8840, 'promise')],
    });
    const days = ledgerDays(
      { returns: returnsDue(books, AS_OF), giveBacks: giveBacks(books), deliveries: deliveries(books, AS_OF) },
      'USD',
    );
    expect(days.map(({ onDate, title }) => [onDate, title])).toEqual([
      ['2026-06-15', 'Last day to return Vase'],
      ['2026-07-01', 'Give back Lantern'],
      ['2026-06-10', 'Shelf comes: clear the way'],
    ]);
  });
});

describe('waste and regret', () => {
  const bought = (id: string, change: Parameters<typeof find>[2] = {}) =>
    find(id, 1000, { state: 'bought', ...change });
  it('tells broken, bought twice, wrong and unused, each once and with what it cost', () => {
    const finds = [
      bought('used', { name: 'Brass lamp' }),
      bought('again', { name: 'Brass lamp' }),
      bought('other', { name: 'Rug' }),
      bought('cracked', { name: 'Jug', inspected: [{ check: 'glass.chips', verdict: 'breaker' }] }),
      bought('spare', { name: 'Tray' }),
      bought('gift', { name: 'Book', reason: 'a gift' }),
    ];
    const part = (id: string) => ({ parts: [{ findId: id, offerId: null, pieces: 1 }] });
    const plan = computePlan(
      rows({
        slots: [slot('1')],
        finds,
        options: [option('a', '1', 'asFound', part('used')), option('b', '1', 'asFound', part('other'))],
        fills: [fill('1', 'a')],
        ledger: finds.map(({ id, pieceId }, n) => paid(`l${id}`, { kind: 'piece', id: pieceId }, 100 * (n + 1))),
      }),
      AS_OF,
    );
    expect(regrets(plan).map(({ kind, find: { id }, cost }) => [kind, id, cost])).toEqual([
      ['unused', 'spare', 500],
      ['broken', 'cracked', 400],
      ['wrong', 'other', 300],
      ['twice', 'again', 200],
    ]);
  });
});

describe('where it all came from', () => {
  it('counts owned, thrifted, free and new among what is chosen, by count and by value', () => {
    const house = {
      ...unknownPiece(uuid(30), 'Chair', { units: 'us', currency: 'USD', today: '2026-06-01' }),
      value: 4000,
    };
    const own = findFromPiece(uuid(31), house);
    const finds = [
      own,
      find('thrift', 1200, { state: 'bought' }),
      find('curb', 0, { story: { ...vase.story, tag: { state: 'free' } } }),
    ];
    const part = (findId: string | null, offerId: string | null = null) => ({
      parts: [{ findId, offerId, pieces: 1 }],
    });
    const plan = computePlan(
      rows({
        project: project(),
        slots: ['1', '2', '3', '4', '5', '6'].map((id) => slot(id, { quantity: 2 })),
        pieces: [house],
        finds,
        offers: [offer('n', 8840)],
        options: [
          option('a', '1', 'own', part(own.id)),
          option('b', '2', 'asFound', part('thrift')),
          option('c', '3', 'asFound', part('curb')),
          option('d', '4', 'buyNew', part(null, 'n')),
          option('e', '5', 'make'),
          option('f', '6', 'borrow', part(own.id)),
        ],
        fills: ['a', 'b', 'c', 'd', 'e', 'f'].map((id, n) => fill(String(n + 1), id, id === 'e' ? 2 : 1)),
        ledger: [paid('l', { kind: 'piece', id: pieceIdOf('thrift') }, 1300)],
      }),
      AS_OF,
    );
    expect(origins(plan)).toEqual([
      { kind: 'owned', count: 1, value: 4000 },
      { kind: 'lent', count: 1, value: 0 },
      { kind: 'thrifted', count: 1, value: 1300 },
      { kind: 'free', count: 1, value: 0 },
      { kind: 'made', count: 2, value: 0 },
      { kind: 'new', count: 1, value: 8840 },
    ]);
    // Once it is paid, what is new came to what was paid for it.
    const rowsPaid = { ...plan.rows, ledger: [...plan.rows.ledger, paid('n1', { kind: 'offer', id: 'n' }, 8000)] };
    expect(origins(computePlan(rowsPaid, AS_OF)).find(({ kind }) => kind === 'new')?.value).toBe(8000);
  });
});
