import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { perform } from '../acts/perform';
import { sourceKinds } from '../catalog/sourceKinds';
import { uuid } from '../fixtures/following';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { playActs } from '../fixtures/playActs';
import {
  AS_OF,
  fill,
  find,
  offer,
  option,
  paid,
  pieceIdOf,
  project,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import { idsAfter, throwsUpTo } from '../fixtures/throws';
import { looseEndDays } from '../formats/calendar/looseEndDays';
import { calendarFile } from '../formats/calendar/write';
import type { LooseEndRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newSource } from '../plan/newSource';
import { emptyBrief, emptyHousehold } from '../state/brief';
import { looseEndTitle } from './closingWords';
import { looseEnds } from './looseEnds';
import { thingsToStore } from './toStore';

const shop = {
  ...newSource(uuid(40), 'The Penny Shelf', sourceKinds.get('dollar')),
  version: 1,
  returns: { state: 'within' as const, days: 30, restockingThousandths: 0 },
};
const jug = find(uuid(1), 900, { name: 'Enamel jug', state: 'bought' });
const vase = find(uuid(2), 600, { name: 'Blue vase', state: 'bought' });
const part = (findId: string) => [{ findId, offerId: null, pieces: 1 }];

/** A jug that serves in a slot, a vase that serves nowhere, both paid on June 1. */
function landing(change: Partial<ProjectRows> = {}): ProjectRows {
  return rows({
    project: project({ id: uuid(9), revealDate: '2026-06-20' }),
    slots: [slot(uuid(5), { name: 'Jug' })],
    finds: [jug, vase],
    options: [option(uuid(6), uuid(5), 'asFound', { parts: part(jug.id) })],
    fills: [{ ...fill(uuid(5), uuid(6)), id: uuid(7) }],
    ledger: [
      { ...paid(uuid(21), { kind: 'piece', id: pieceIdOf(jug.id) }, 900), sourceId: shop.id },
      { ...paid(uuid(22), { kind: 'piece', id: pieceIdOf(vase.id) }, 600), sourceId: shop.id },
    ],
    sources: [shop],
    ...change,
  });
}
const endsOf = (of: ProjectRows, asOf = AS_OF) => looseEnds(computePlan(of, asOf));
const told = (of: ProjectRows, asOf = AS_OF) =>
  endsOf(of, asOf).open.map((end) => [looseEndTitle(end), end.dueOn, end.isUsualDay]);

const said = (change: Partial<LooseEndRow>): LooseEndRow => ({
  id: uuid(50),
  version: 1,
  about: { kind: 'own' },
  what: '',
  dueOn: null,
  doneOn: null,
  way: null,
  note: '',
  ...change,
});

describe('what is left to do', () => {
  it('is what was bought and serves nowhere, until the last day on which it goes back; what serves is left alone', () => {
    expect(told(landing())).toEqual([['Decide what becomes of Blue vase', '2026-07-01', false]]);
    // Once the window is over, two weeks after the reveal are usual.
    const late = Date.parse('2026-07-02T13:00:00Z');
    expect(told(landing(), late)).toEqual([['Decide what becomes of Blue vase', '2026-07-16', true]]);
  });

  it('is nothing any more once the thing serves, goes back, stays in the house, is sold or given away', () => {
    const start = landing();
    const [vaseEnd] = endsOf(start).open;
    const ledgerId = uuid(60);
    const ways = [
      ['keepFind', { findId: vase.id, values: {} }],
      ['takeBack', { paymentId: uuid(22), refund: 600, pieces: null, amount: 0, note: '', ledgerId, atMs: AS_OF }],
      ['sellPiece', { pieceId: pieceIdOf(vase.id), income: 400, note: '', ledgerId, atMs: AS_OF }],
      [
        'settleLooseEnd',
        {
          id: uuid(61),
          about: vaseEnd?.about,
          title: '',
          values: { way: 'give', doneOn: '2026-06-21', what: 'Blue vase' },
        },
      ],
      ['addOption', null],
    ] as const;
    for (const [kind, payload] of ways) {
      if (payload === null) continue;
      const outcome = perform(start, kind, payload);
      expect(outcome.ok ? [] : outcome.problems).toEqual([]);
      if (outcome.ok) expect(told(outcome.after)).toEqual([]);
    }
    const given = perform(start, 'settleLooseEnd', ways[3][1]);
    // What was paid for it stays in the books.
    if (given.ok) expect(given.after.ledger).toHaveLength(2);
    if (given.ok) expect(endsOf(given.after).done.map(({ what, way }) => [what, way])).toEqual([['Blue vase', 'give']]);
  });

  it('takes the day that is said, once for a thing, and keeps it', () => {
    const [vaseEnd] = endsOf(landing()).open;
    const first = perform(landing(), 'settleLooseEnd', {
      id: uuid(61),
      about: vaseEnd?.about,
      values: { dueOn: '2026-06-10' },
    });
    if (!first.ok) throw new Error(JSON.stringify(first.problems));
    expect(told(first.after)).toEqual([['Decide what becomes of Blue vase', '2026-06-10', false]]);
    const second = perform(first.after, 'settleLooseEnd', {
      id: uuid(62),
      about: vaseEnd?.about,
      values: { way: 'sell' },
    });
    if (!second.ok) throw new Error(JSON.stringify(second.problems));
    expect(second.after.looseEnds).toHaveLength(1);
    expect(told(second.after)).toEqual([['Sell Blue vase', '2026-06-10', false]]);
  });

  it('is an order that has not come, a thing that is rented, an offer that nobody chose any more', () => {
    const lamp = offer(uuid(30), 5000, { name: 'Floor lamp', leadDays: 9, sourceId: shop.id });
    const arch = offer(uuid(31), 2000, {
      name: 'Arch',
      leadDays: 0,
      sourceId: shop.id,
      rented: { backBy: '2026-06-22', deposit: 4000, wentBackOn: null },
    });
    const of = landing({
      finds: [jug],
      offers: [lamp, arch],
      ledger: [
        { ...paid(uuid(21), { kind: 'piece', id: pieceIdOf(jug.id) }, 900), sourceId: shop.id },
        { ...paid(uuid(23), { kind: 'offer', id: lamp.id }, 5000), sourceId: shop.id },
        { ...paid(uuid(24), { kind: 'offer', id: arch.id }, 2000), sourceId: shop.id },
      ],
    });
    expect(told(of)).toEqual([
      ['Floor lamp comes', '2026-06-10', false],
      ['Take back Arch', '2026-06-22', false],
      ['Return Floor lamp', '2026-07-01', false],
    ]);
  });

  it('is a can that was opened here, until it was looked at afterwards', () => {
    const can = supply(uuid(33), 'chalk', null, 'matt', { stash: { state: 'exact', amount: 300 } });
    const ledger = [
      ...landing().ledger.slice(0, 1),
      { ...paid(uuid(25), { kind: 'supply', id: can.id }, 2400), sourceId: null },
    ];
    const of = landing({ finds: [jug], supplies: [can], ledger });
    expect(told(of).map(([title, day]) => [String(title).slice(0, 22), day])).toEqual([
      ['Put away what is left:', '2026-06-27'],
    ]);
    const looked = { ...of, supplies: [{ ...can, checkedOn: '2026-06-21' }] };
    expect(told(looked)).toEqual([]);
    expect(told({ ...of, supplies: [{ ...can, stash: { state: 'none' as const, amount: 0 } }] })).toEqual([]);
  });

  it('is each receipt of what was bought twice and is not wanted, until its own day', () => {
    const can = supply(uuid(33), 'chalk', null, 'matt', { stash: { state: 'none', amount: 0 } });
    const bought = (n: number, atMs: number) => ({
      ...paid(uuid(n), { kind: 'supply', id: can.id }, 2400),
      sourceId: shop.id,
      atMs,
    });
    const dayMs = 86_400_000;
    const ledger = [...landing().ledger.slice(0, 1), bought(25, AS_OF), bought(26, AS_OF - 3 * dayMs)];
    const of = landing({ finds: [jug], supplies: [can], ledger });
    expect(told(of).map(([, day]) => day)).toEqual(['2026-06-28', '2026-07-01']);
    expect(new Set(endsOf(of).open.map(({ key }) => key)).size).toBe(2);
    // One of them is kept: the other is still open.
    const [first] = endsOf(of).open;
    const kept = perform(of, 'settleLooseEnd', {
      id: uuid(61),
      about: first?.about,
      values: { way: 'keep', doneOn: '2026-06-10' },
    });
    if (!kept.ok) throw new Error(JSON.stringify(kept.problems));
    expect(told(kept.after).map(([, day]) => day)).toEqual(['2026-07-01']);
  });

  it('is whatever the stylist adds; what is done is told with its day', () => {
    const own = said({ what: 'Bring the ladder back', dueOn: '2026-06-15' });
    const of = landing({ finds: [jug], looseEnds: [own, said({ id: uuid(51), what: 'Key', doneOn: '2026-06-01' })] });
    expect(told(of)).toEqual([['Bring the ladder back', '2026-06-15', false]]);
    expect(endsOf(of).done.map(({ what }) => what)).toEqual(['Key']);
  });

  it('stands in a calendar file, each day once and under the same name each time (RFC 5545)', () => {
    const days = looseEndDays(endsOf(landing()).open, 'USD');
    expect(days).toEqual([
      {
        id: expect.stringMatching(/^loose-end-misfit-/),
        onDate: '2026-07-01',
        title: 'Decide what becomes of Blue vase',
        text: 'The Penny Shelf, $6.00 back',
      },
    ]);
    const file = calendarFile('Landing', days, AS_OF);
    expect(file).toContain('DTSTART;VALUE=DATE:20260701');
    expect(file).toContain('DTEND;VALUE=DATE:20260702');
  });
});

describe('after whatever acts', () => {
  it('every end is told once and named, what is put away is ours and in no box yet', () => {
    fc.assert(
      fc.property(throwsUpTo(40), (throws) => {
        const newId = idsAfter(5000);
        const state = playActs(furnishedRoom(), throws, newId).at(-1) ?? furnishedRoom();
        const plan = computePlan(state, AS_OF);
        const { open, done } = looseEnds(plan);
        const keys = open.map(({ key }) => key);
        expect(new Set(keys).size).toBe(keys.length);
        for (const end of open) expect(looseEndTitle(end).trim()).not.toBe('');
        // What has a day stands in the order of its days, what has none at the end.
        const days = open.map(({ dueOn }) => dueOn ?? '9');
        expect(days).toEqual([...days].sort());
        expect(done.every(({ doneOn }) => doneOn !== null)).toBe(true);
        const things = thingsToStore(plan, newId);
        expect(new Set(things.map(({ piece }) => piece.id)).size).toBe(things.length);
        for (const { piece } of things) {
          expect(piece.borrowedFrom).toBe('');
          expect(piece.inHouse && piece.box !== '').toBe(false);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('says nothing of holes elsewhere, and of those here only where somebody moves out', () => {
    const hole = (n: number, place: string) => ({
      id: uuid(n),
      version: 1,
      place,
      edge: 'the door',
      fromEdgeMm: 300,
      heightMm: 1500,
      what: 'mirror',
      madeOn: '2026-06-02',
      filled: false,
    });
    const holes = [hole(70, 'Landing, Bed wall'), hole(71, 'Hall, Other wall')];
    const moving = project({
      household: { ...emptyHousehold, rented: true },
      brief: { ...emptyBrief, leavingDate: '2026-08-31' },
    });
    expect(told(landing({ finds: [jug], holes, project: moving }))).toEqual([
      ['Fill: Landing, Bed wall: mirror', '2026-08-31', false],
    ]);
    expect(told(landing({ finds: [jug], holes }))).toEqual([]);
  });
});
