import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../fixtures/following';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { logEntry } from '../fixtures/logEntry';
import { playActs } from '../fixtures/playActs';
import {
  AS_OF,
  card,
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
import { idsAfter, throwsUpTo } from '../fixtures/throws';
import { rowSchema } from '../model/entities';
import type { ProjectRows, StepRunRow } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { ledgerSums } from '../pricing/ledger';
import { againstPlan } from './againstPlan';
import { freezeOf, frozenPlanOf } from './freezePlan';
import { cashOf, minutesOf, reckon } from './reckon';
import { costsPer, originShares, savedAgainstNew } from './saved';
import { mondayOf, workByKind, workDoneByWeek } from './workByKind';

const teal = card(uuid(3), 'Teal', '#2f5d62');
const part = (findId: string, pieces = 1) => [{ findId, offerId: null, pieces }];
const isNew = (offerId: string) => [{ findId: null, offerId, pieces: 1 }];

const stand = find('stand', 1200, { state: 'bought' });
const chest = find('chest', 2400, { state: 'bought', materialId: 'pine' });
const inTeal = recipe('in teal', stand, 'chalk', teal.id);
const tealToo = recipe('teal too', chest, 'chalk', teal.id);

/** A nightstand and a chest in one teal, each held against a new one; both bought, nothing done yet. */
function bedroom(change: Partial<ProjectRows> = {}): ProjectRows {
  return rows({
    slots: [slot('s1', { number: 1, name: 'Nightstand' }), slot('s2', { number: 2, name: 'Chest' })],
    finds: [stand, chest],
    offers: [offer('new stand', 8840), offer('new chest', 15_000)],
    colorCards: [teal],
    recipes: [inTeal, tealToo],
    options: [
      option('over', 's1', 'makeover', { parts: part('stand'), recipeId: 'in teal' }),
      option('bought', 's1', 'buyNew', { parts: isNew('new stand') }),
      option('over too', 's2', 'makeover', {
        parts: part('chest'),
        recipeId: 'teal too',
        lasts: { uses: 100, looks: 4, years: 10 },
      }),
      option('bought too', 's2', 'buyNew', { parts: isNew('new chest') }),
    ],
    supplies: [supply('can', 'chalk', teal.id, 'matt')],
    packs: [pack('quart', 'can', 946, 2400)],
    fills: [fill('s1', 'over'), fill('s2', 'over too')],
    ledger: [
      paid('l1', { kind: 'piece', id: pieceIdOf('stand') }, 1200),
      paid('l2', { kind: 'piece', id: pieceIdOf('chest') }, 2400),
    ],
    ...change,
  });
}
const planOf = (of: ProjectRows) => computePlan(of, AS_OF);

/** The same when all is done: the can was bought, both recipes took from it, the hours are in the log. */
function done(change: Partial<ProjectRows> = {}): ProjectRows {
  const use = (id: string, amount: number) => ({
    id,
    version: 1,
    supplyId: 'can',
    what: 'bedroom',
    amount,
    onDate: '2026-06-05',
    cut: null,
  });
  const before = bedroom();
  const opened = planOf(before);
  /** Every step of a recipe, logged with an equal part of so many minutes. */
  const runs = (recipeId: string, minutes: number): [StepRunRow, ReturnType<typeof logEntry>][] => {
    const steps = opened.recipes.get(recipeId)?.steps ?? [];
    return steps.map(({ id }) => [
      {
        id: `run ${recipeId} ${id}`,
        version: 1,
        recipeId,
        spotId: null,
        optionId: null,
        stepId: id,
        what: id,
        state: 'done',
        stretches: [],
        people: 1,
        by: '',
        doneMs: AS_OF,
        wrong: null,
        logId: `log ${recipeId} ${id}`,
      },
      logEntry({ id: `log ${recipeId} ${id}`, atMs: AS_OF, minutes: minutes / steps.length, expectedMinutes: 10 }),
    ]);
  };
  const logged = [...runs('in teal', 150), ...runs('teal too', 240)];
  return bedroom({
    recipes: [
      { ...inTeal, doneOn: '2026-06-05', uses: ['u1'] },
      { ...tealToo, doneOn: '2026-06-05', uses: ['u2'] },
    ],
    supplies: [
      supply('can', 'chalk', teal.id, 'matt', {
        stash: { state: 'exact', amount: 346 },
        unitCostMillionths: 2_500_000,
      }),
    ],
    supplyUses: [use('u1', 200), use('u2', 400)],
    ledger: [...before.ledger, paid('l3', { kind: 'supply', id: 'can' }, 2400)],
    stepRuns: logged.map(([one]) => one),
    logEntries: logged.map(([, entry]) => entry),
    ...change,
  });
}

describe('what a project came to', () => {
  it('is what was paid and what is still planned, slot by slot; a can is shared by what each takes of it', () => {
    const plan = planOf(bedroom());
    const { slots, all, rest } = reckon(plan);
    expect(slots.map(({ paid: minor }) => minor)).toEqual([1200, 2400]);
    // One quart of 24.00 for both, and what else a makeover asks for.
    expect(slots.reduce((sum, { cashToGo }) => sum + cashToGo, 0)).toBe(plan.purse.money.planned.likely);
    expect(rest.money).toEqual([]);
    expect(cashOf(all)).toBe(3600 + plan.purse.money.planned.likely);
    expect(minutesOf(all)).toBeCloseTo(plan.purse.hands.planned.likely, 6);
  });

  it('splits a can that was paid by what was really taken of it: 200 mL and 400 mL of 24.00', () => {
    const { slots, all } = reckon(planOf(done()));
    expect(slots.map(({ paid: minor }) => minor)).toEqual([1200 + 800, 2400 + 1600]);
    expect(slots.map(({ stash, cashToGo }) => [stash, cashToGo])).toEqual([
      [0, 0],
      [0, 0],
    ]);
    expect(slots.map(({ doneMinutes }) => Math.round(doneMinutes))).toEqual([150, 240]);
    expect(all).toMatchObject({ paid: 6000, cashToGo: 0, stash: 0 });
    expect(all.doneMinutes).toBeCloseTo(390, 6);
  });

  it('counts as stash what was taken beyond what was bought here', () => {
    // 600 mL at 2.50 the mL in cents are 15.00; nothing of it was bought for this project.
    const before = bedroom();
    const { slots, all } = reckon(planOf(done({ ledger: before.ledger })));
    expect(all).toMatchObject({ paid: 3600, stash: 1500 });
    expect(slots.map(({ stash }) => stash)).toEqual([500, 1000]);
    // A can of 10.00 bought here and 600 mL taken: 5.00 came off the shelf.
    const some = [...before.ledger, paid('l3', { kind: 'supply', id: 'can' }, 1000)];
    expect(reckon(planOf(done({ ledger: some }))).all).toMatchObject({ paid: 4600, stash: 500 });
  });

  it('names what no slot bears: a fee, what serves nobody, what was sold of the house', () => {
    const stool = find('stool', 700, { state: 'bought' });
    const of = bedroom({
      finds: [stand, chest, stool],
      ledger: [
        ...bedroom().ledger,
        paid('l4', { kind: 'piece', id: pieceIdOf('stool') }, 700),
        { ...paid('l5', { kind: 'fee', id: 'project' }, 500), note: 'Parking' },
      ],
    });
    const { rest, byKind } = reckon(planOf(of));
    expect(rest.money.map(({ kind, name, paid: minor }) => [kind, name, minor])).toEqual([
      ['pieces', 'Find stool', 700],
      ['fees', 'Parking', 500],
    ]);
    expect(byKind.find(({ kind }) => kind === 'fees')).toMatchObject({ paid: 500, toGo: 0 });
  });

  it('tells no money for what came back whole, or was free', () => {
    const stool = find('stool', 700, { state: 'bought' });
    const back = { ...paid('l6', { kind: 'piece', id: pieceIdOf('stool') }, 700, 'refund'), refundsId: 'l4' };
    const free = paid('l7', { kind: 'fee', id: 'project' }, 0);
    const ledger = [...bedroom().ledger, paid('l4', { kind: 'piece', id: pieceIdOf('stool') }, 700), back, free];
    expect(reckon(planOf(bedroom({ finds: [stand, chest, stool], ledger }))).rest.money).toEqual([]);
  });

  it('is the purse to the cent after whatever acts', () => {
    fc.assert(
      fc.property(throwsUpTo(40), (throws) => {
        const newId = idsAfter(5000);
        const state = playActs(furnishedRoom(), throws, newId).at(-1) ?? furnishedRoom();
        const plan = planOf(state);
        const { all, slots, rest, byKind, bySource } = reckon(plan);
        const { spent, promised } = ledgerSums(state.ledger);
        expect(all.paid).toBe(spent + promised);
        expect(all.cashToGo).toBe(plan.purse.money.planned.likely);
        expect(minutesOf(all)).toBeCloseTo(plan.purse.hands.doneMinutes + plan.purse.hands.planned.likely, 4);
        const ofSlots = slots.reduce((sum, of) => sum + cashOf(of), 0);
        expect(ofSlots + rest.money.reduce((sum, of) => sum + of.paid + of.toGo, 0)).toBe(cashOf(all));
        for (const list of [byKind, bySource])
          expect(list.reduce((sum, of) => sum + of.paid + of.toGo, 0)).toBe(cashOf(all));
        const works = workByKind(plan).reduce((sum, of) => sum + of.done + of.toGo, 0);
        expect(Math.abs(works - minutesOf(all))).toBeLessThan(1.5);
        // What is frozen of it can be kept as it is.
        expect(rowSchema('planFreezes').safeParse(freezeOf(plan, { id: uuid(1), why: 'byHand', note: '' })).error).toBe(
          undefined,
        );
        const saved = savedAgainstNew(plan, reckon(plan));
        const shares = originShares(plan, reckon(plan), saved);
        const filled = plan.chosen.reduce((sum, { count }) => sum + count, 0);
        const starred = state.slots
          .filter(({ id, star }) => star !== null && !plan.chosen.some(({ model }) => model.slot.id === id))
          .reduce((sum, { quantity }) => sum + quantity, 0);
        expect(shares.reduce((sum, { count }) => sum + count, 0)).toBe(filled + starred);
      }),
      { numRuns: 40 },
    );
  });
});

describe('saved against new', () => {
  it('is the yardsticks less what the fills came to, and an hour earned over the hours beyond theirs', () => {
    const plan = planOf(done());
    const saved = savedAgainstNew(plan, reckon(plan));
    // New: 88.40 and 150.00, 40 minutes of assembling each. Came to 20.00 and 40.00 in 390 minutes.
    expect(saved.saved).toBe(8840 + 15_000 - 6000);
    expect(saved.yardstickMinutes).toBe(80);
    expect(saved.perHour).toBe(Math.round((17_840 * 60) / (390 - 80)));
    expect(saved.perHourOfThese).toBe(null);
    expect(saved.without).toEqual([]);
  });

  it('names a filled slot that nothing is held against, and tells the hour with its hours and without', () => {
    const of = done();
    const without = { ...of, options: of.options.filter(({ id }) => id !== 'bought too') };
    const plan = planOf(without);
    const saved = savedAgainstNew(plan, reckon(plan));
    expect(saved.without.map(({ slot: { name } }) => name)).toEqual(['Chest']);
    expect(saved.saved).toBe(8840 - 2000);
    expect(saved.perHour).toBe(Math.round((6840 * 60) / (390 - 40)));
    expect(saved.perHourOfThese).toBe(Math.round((6840 * 60) / (150 - 40)));
  });

  it('holds what was bought new against its own price: what was paid less is saved, and prices no hour', () => {
    const of = bedroom({
      fills: [fill('s1', 'bought')],
      ledger: [paid('l9', { kind: 'offer', id: 'new stand' }, 6000)],
      finds: [],
      recipes: [],
      options: [option('bought', 's1', 'buyNew', { parts: isNew('new stand') })],
    });
    const plan = planOf(of);
    const saved = savedAgainstNew(plan, reckon(plan));
    expect(saved.saved).toBe(2840);
    expect(saved.perHour).toBe(null);
  });

  it('tells where it came from by count, cost and what it stands for, and what each use comes to', () => {
    const of = done({ fills: [fill('s1', 'bought'), fill('s2', 'over too')] });
    const plan = planOf(of);
    const reckoning = reckon(plan);
    const shares = originShares(plan, reckoning, savedAgainstNew(plan, reckoning));
    expect(shares.map(({ origin, count, worth }) => [origin, count, worth])).toEqual([
      ['thrifted', 1, 15_000],
      ['new', 1, 8840],
    ]);
    const [per] = costsPer(reckon(planOf(done())));
    // 40.00 for 100 uses, 4 looks, 10 years.
    expect(per).toMatchObject({ slotName: 'Chest', cost: 4000, use: 40, look: 1000, year: 400 });
  });
});

describe('a frozen plan', () => {
  const before = bedroom();
  const freeze = freezeOf(planOf(before), { id: uuid(9), why: 'workBegan', note: '' });

  it('says what the plan came to, to the cent: slots, kinds and places are all of it, less what no slot bears', () => {
    const { plan } = freeze;
    const { money, hands } = planOf(before).purse;
    expect(plan.cash.likely).toBe(3600 + money.planned.likely);
    expect(plan.minutes.likely).toBeCloseTo(hands.planned.likely, 1);
    for (const list of [plan.byKind, plan.bySource, plan.slots])
      expect(list.reduce((sum, { cash }) => sum + cash, 0)).toBe(plan.cash.likely);
    expect(plan.byWork.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(plan.minutes.likely, 0);
    expect(plan.slots.map(({ yardstick }) => yardstick?.cost)).toEqual([8840, 15_000]);
  });

  it('stays as it is, byte by byte, whatever is changed afterwards', () => {
    const bytes = JSON.stringify(freeze);
    fc.assert(
      fc.property(throwsUpTo(30), (throws) => {
        const newId = idsAfter(5000);
        const start = furnishedRoom();
        const kept = freezeOf(planOf(start), { id: uuid(9), why: 'workBegan', note: '' });
        const asKept = JSON.stringify(kept);
        for (const state of playActs({ ...start, planFreezes: [kept] }, throws, newId))
          expect(JSON.stringify(state.planFreezes.find(({ id }) => id === kept.id))).toBe(asKept);
      }),
      { numRuns: 30 },
    );
    expect(JSON.stringify(freeze)).toBe(bytes);
  });

  it('stands beside what it came to: slots, kinds of work, weeks; what fills a slot otherwise is told', () => {
    const plan = planOf(done({ fills: [fill('s1', 'bought'), fill('s2', 'over too')], planFreezes: [freeze] }));
    const against = againstPlan(plan, freeze.plan, reckon(plan));
    expect(against.slots.map(({ name, isOther, isOpen }) => [name, isOther, isOpen])).toEqual([
      ['Nightstand', true, true],
      ['Chest', false, false],
    ]);
    const [, ofChest] = against.slots;
    expect(ofChest?.minutes.actual).toBeCloseTo(240, 6);
    expect(against.works.find(({ work }) => work === 'labor.cleanMinutesPerM2')?.actual).toBeCloseTo(390, 6);
    expect(against.weeks).toHaveLength(1);
    expect(against.weeks[0]).toMatchObject({ monday: '2026-06-01', minutes: { planned: null }, cash: 6000 });
    expect(against.weeks[0]?.minutes.actual).toBeCloseTo(390, 6);
    // A slot that is gone by now is still told of.
    const without = planOf(done({ slots: [slot('s1', { number: 1, name: 'Nightstand' })] }));
    const gone = againstPlan(without, freeze.plan, reckon(without)).slots.at(-1);
    expect(gone).toMatchObject({ name: 'Chest', cash: { actual: null }, isOther: true });
  });

  it('lies in the week of its Monday, as the calendar of ISO 8601 has weeks', () => {
    // 2026-06-01 is a Monday, 2026-01-01 a Thursday of the week that began in the year before.
    expect(['2026-06-01', '2026-06-07', '2026-06-08', '2026-01-01'].map(mondayOf)).toEqual([
      '2026-06-01',
      '2026-06-01',
      '2026-06-08',
      '2025-12-29',
    ]);
    expect(workDoneByWeek(planOf(done())).map(({ monday }) => monday)).toEqual(['2026-06-01']);
  });

  it('is made without a slot or a choice, too', () => {
    const nothing = frozenPlanOf(planOf(rows({ project: project(), slots: [] })));
    expect(nothing).toMatchObject({ cash: { likely: 0 }, slots: [], usableOn: null });
  });
});
