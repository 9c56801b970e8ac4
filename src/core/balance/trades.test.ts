import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { allChoices } from '../fixtures/balanceChoices';
import { balanceRows } from '../fixtures/balanceRows';
import { AS_OF, fill, find, offer, option, project, rows, slot, spot } from '../fixtures/projectRows';
import { Memo } from '../kernel/memo';
import { MICRO } from '../kernel/micro';
import { computePlan } from '../plan/computePlan';
import { beyondLimits, keepsLimits, type Limits, mostCashToGo, mostMinutesToGo } from './ask';
import { balancePlan } from './balancePlan';
import { changesBetween } from './changes';
import { checkChoice, rowsWith } from './checkChoice';
import { figuresOf, isPossible, presentChoice } from './choice';
import { efficient, frontier, STEP_MINUTES } from './frontier';
import { highsSolver } from './highsSolver';
import type { Solver } from './linearModel';
import { whenNothingFits } from './nothingFits';
import { balanceProgram } from './program';
import { whatGives } from './whatGives';

const everything = { lockedSlotIds: new Set<string>(), leastLiking: 1 };
const small = { slots: 4, ways: 4, supplies: 8, orders: 2 };
const programOf = (seed: number) => balanceProgram(computePlan(balanceRows(seed, small), AS_OF), everything);

let solver: Solver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});

describe('the limits of the purse', () => {
  it.each([
    [11_000, 10_000, 10_000],
    [11_000, 0, 11_000],
    // 1 + 0.10 rounds to 1, 5 + 0.5 rounds half up to 6: of 5 left, 4 can be paid.
    [5, 10_000, 4],
    [0, 10_000, 0],
    [-300, 10_000, -300],
  ])('of %d left with %d thousandths kept back, %d can be paid', (left, contingencyThousandths, expected) => {
    const { purse } = computePlan(rows({ project: project({ budget: Math.max(0, left) }) }), AS_OF);
    const money = { ...purse.money, spent: Math.max(0, -left) };
    expect(mostCashToGo({ budget: Math.max(0, left), contingencyThousandths }, { money })).toBe(expected);
  });
  it('leave no limit of hours where nobody said how many there are', () => {
    const plan = computePlan(rows({ project: project({ hoursOnHandMinutes: null }) }), AS_OF);
    expect(mostMinutesToGo(plan.purse)).toBeNull();
  });
});

describe('changes from one choice to another', () => {
  it('add up to the whole difference, and name each slot once', () => {
    for (let seed = 1; seed <= 10; seed += 1) {
      const program = programOf(seed);
      const all = allChoices(program);
      const [from, to] = [all[0], all[Math.floor(all.length / 2)]];
      if (!from || !to) continue;
      const changes = changesBetween(program, from.choice, to.choice);
      const sum = (of: 'cash' | 'handsMicro' | 'look') =>
        changes.reduce((total, { difference }) => total + difference[of], 0);
      expect(sum('cash')).toBe(to.figures.cash - from.figures.cash);
      expect(sum('handsMicro')).toBe(to.figures.handsMicro - from.figures.handsMicro);
      expect(sum('look')).toBeCloseTo(to.figures.look - from.figures.look, 9);
      expect(new Set(changes.map((change) => change.slot.id)).size).toBe(changes.length);
      expect(changesBetween(program, to.choice, to.choice)).toEqual([]);
    }
  });
});

describe('what gives', () => {
  it('lists only changes that bring a plan nearer to its limits, those that close it first', () => {
    let closing = 0;
    for (let seed = 1; seed <= 20; seed += 1) {
      const program = programOf(seed);
      const present = presentChoice(program);
      const before = figuresOf(program, present);
      const limits: Limits = {
        cash: Math.round(before.cash * 0.8),
        minutes: (before.handsMicro / MICRO) * 0.9,
        look: null,
      };
      const remedies = whatGives(program, present, { limits });
      const over = beyondLimits(before, limits);
      for (const { choice, difference, closes } of remedies) {
        const figures = figuresOf(program, choice);
        expect(figures.cash - before.cash).toBe(difference.cash);
        const now = beyondLimits(figures, limits);
        expect(now.cash < over.cash || now.minutes < over.minutes).toBe(true);
        expect(closes).toBe(isPossible(program, choice) && now.cash === 0 && now.minutes === 0);
        closing += closes ? 1 : 0;
      }
      const first = remedies.findIndex(({ closes }) => !closes);
      if (first >= 0)
        expect(remedies.slice(first).some(({ closes, changes }) => closes && changes.length === 1)).toBe(false);
    }
    expect(closing).toBeGreaterThan(5);
  });
  it('of a plan that keeps its limits tells what is cheaper at the same look', () => {
    const program = programOf(3);
    const present = presentChoice(program);
    const before = figuresOf(program, present);
    for (const { difference } of whatGives(program, present, { limits: { cash: null, minutes: null, look: null } }))
      expect(before.look + difference.look).toBeGreaterThanOrEqual(before.look - 1e-6);
  });
});

describe('the frontier', () => {
  it('has for every quarter of an hour a plan within half a percent of the cheapest, by trying all', () => {
    for (let seed = 1; seed <= 8; seed += 1) {
      const program = programOf(seed);
      const all = allChoices(program);
      const look = Math.max(...all.map(({ figures }) => figures.look)) * 0.7;
      const good = all.filter(({ figures }) => figures.look >= look - 1e-9);
      const told = frontier(program, { against: 'hours', limits: { look, minutes: null } }, presentChoice(program), {
        solver,
        most: 60,
        seconds: 20,
        report: () => true,
      });
      expect(told.isWhole).toBe(true);
      const { points } = told;
      expect(efficient(points, 'hours')).toEqual(points);
      for (const { figures } of points) expect(figures.look).toBeGreaterThanOrEqual(look - 1e-6);
      const minutes = good.map(({ figures }) => figures.handsMicro / MICRO);
      for (let limit = 0; limit <= Math.max(...minutes) + STEP_MINUTES; limit += STEP_MINUTES) {
        const within = good.filter(({ figures }) => figures.handsMicro / MICRO <= limit);
        if (within.length === 0) continue;
        const cheapest = Math.min(...within.map(({ figures }) => figures.cash));
        const ours = points.filter(({ figures }) => figures.handsMicro / MICRO <= limit + 1e-6);
        // Between the quickest plan and the next step no limit was asked for.
        if (ours.length === 0) continue;
        expect(Math.min(...ours.map(({ figures }) => figures.cash))).toBeLessThanOrEqual(cheapest * 1.005 + 1);
      }
    }
  });
  it('against the look has for every whole look a plan within half a percent of the cheapest, by trying all', () => {
    for (let seed = 1; seed <= 8; seed += 1) {
      const program = programOf(seed);
      const all = allChoices(program);
      const minutes = (Math.max(...all.map(({ figures }) => figures.handsMicro)) / MICRO) * 0.8;
      const quick = all.filter(({ figures }) => figures.handsMicro / MICRO <= minutes + 1e-9);
      const ask = { against: 'look' as const, limits: { minutes, look: null } };
      const told = frontier(program, ask, presentChoice(program), {
        solver,
        most: 80,
        seconds: 20,
        report: () => true,
      });
      expect(told.isWhole).toBe(true);
      expect(efficient(told.points, 'look')).toEqual(told.points);
      for (const { figures } of told.points) expect(figures.handsMicro / MICRO).toBeLessThanOrEqual(minutes + 1e-6);
      const most = Math.floor(Math.max(...quick.map(({ figures }) => figures.look)));
      for (let look = 0; look <= most; look += 1) {
        const fine = quick.filter(({ figures }) => figures.look >= look - 1e-9);
        const cheapest = Math.min(...fine.map(({ figures }) => figures.cash));
        const ours = told.points.filter(({ figures }) => figures.look >= look - 1e-6);
        expect(Math.min(...ours.map(({ figures }) => figures.cash))).toBeLessThanOrEqual(cheapest * 1.005 + 1);
      }
    }
  });
  it('is empty where no plan has the look', () => {
    const told = frontier(
      programOf(1),
      { against: 'hours', limits: { look: 10_000, minutes: null } },
      presentChoice(programOf(1)),
      {
        solver,
        most: 5,
        seconds: 5,
        report: () => true,
      },
    );
    expect(told).toEqual({ points: [], isWhole: true });
  });
});

describe('when nothing fits', () => {
  const run = () => ({ solver, seconds: 20, report: () => true, elapsed: () => 0 });
  it('each way out is the least that has to give, by trying all', () => {
    for (let seed = 1; seed <= 8; seed += 1) {
      const plan = computePlan(balanceRows(seed, small), AS_OF);
      const program = balanceProgram(plan, everything);
      const all = allChoices(program).map(({ figures }) => figures);
      const look = Math.max(...all.map((figures) => figures.look)) * 0.9;
      const good = all.filter((figures) => figures.look >= look - 1e-9);
      const least = (of: (figures: (typeof all)[number]) => number, among = good) => Math.min(...among.map(of));
      const limits: Limits = {
        cash: Math.floor(least(({ cash }) => cash) * 0.9),
        minutes: (least(({ handsMicro }) => handsMicro) / MICRO) * 1.3,
        look,
      };
      const ask = { ...everything, goal: 'bestLook' as const, limits };
      expect(balancePlan(plan, ask, run()).kind).toBe('nothingFits');
      const ways = whenNothingFits(plan, ask, run());
      const by = (kind: string) => ways.find((way) => way.kind === kind)?.by;
      const inHours = good.filter(({ handsMicro }) => handsMicro / MICRO <= (limits.minutes ?? 0));
      expect(by('moreMoney')).toBe(least(({ cash }) => cash, inHours) - (limits.cash ?? 0));
      const inMoney = good.filter(({ cash }) => cash <= (limits.cash ?? 0));
      // With too little money for any plan no number of hours helps.
      expect(inMoney).toEqual([]);
      expect(by('moreHours')).toBeUndefined();
      const both = all.filter((figures) => keepsLimits(figures, { ...limits, look: null }));
      const lost = both.length === 0 ? undefined : look - Math.max(...both.map((figures) => figures.look));
      if (lost === undefined) expect(by('lessLook')).toBeUndefined();
      else expect(by('lessLook')).toBeCloseTo(lost, 6);
    }
  });
  it('where no single thing helps says what it takes of both, and where the look is beyond every plan, by how much', () => {
    const part = (findId: string) => ({ parts: [{ findId, offerId: null, pieces: 1 }], handsOnMinutes: 30 });
    const plan = computePlan(
      rows({
        project: project({ revealDate: null, tax: { percentThousandths: 0, included: false } }),
        spots: [spot('spot')],
        slots: [slot('one', { importance: 'must' }), slot('two', { number: 2, importance: 'must' })],
        finds: [find('dear', 9000), find('cheap', 4000), find('other', 500)],
        options: [
          option('a', 'one', 'asFound', part('dear')),
          option('b', 'one', 'asFound', part('cheap')),
          option('c', 'two', 'asFound', part('other')),
        ],
      }),
      AS_OF,
    );
    const asked = (limits: Limits) =>
      whenNothingFits(plan, { ...everything, goal: 'bestLook', limits }, run()).map((way) => [
        way.kind,
        way.by,
        Math.round(way.minutes),
      ]);
    // 40.00 and 5.00, half an hour each; 1.00 and a quarter of an hour are there.
    expect(asked({ cash: 100, minutes: 15, look: null })).toEqual([['moreOfBoth', 4400, 45]]);
    // Two musts as found are a look of 5 × 2 each.
    expect(asked({ cash: 100, minutes: 15, look: 25 })).toEqual([['lookBeyondAll', 5, 0]]);
    expect(asked({ cash: 100, minutes: null, look: null })).toEqual([['moreMoney', 4400, 0]]);
  });
  it('names the first reveal on which what was too late is ready', () => {
    const late = { leadDays: 30, assemblyMinutes: 0 };
    const made = rows({
      project: project({ revealDate: '2026-06-20', budget: 10_000 }),
      spots: [spot('spot')],
      slots: [slot('one', { importance: 'must' })],
      finds: [find('dear', 9000)],
      offers: [offer('slow', 2000, late)],
      options: [
        option('found', 'one', 'asFound', { parts: [{ findId: 'dear', offerId: null, pieces: 1 }] }),
        option('new', 'one', 'buyNew', { parts: [{ findId: null, offerId: 'slow', pieces: 1 }] }),
      ],
    });
    const plan = computePlan(made, AS_OF);
    const limits: Limits = { cash: 5000, minutes: null, look: null };
    const [money, reveal] = whenNothingFits(plan, { ...everything, goal: 'bestLook', limits }, run());
    expect([money?.kind, money?.by]).toEqual(['moreMoney', 4000]);
    // Ordered on June 1, it comes on July 1 and is placed that day: ready for a reveal on the second.
    expect([reveal?.kind, reveal?.revealDate, reveal?.by]).toEqual(['laterReveal', '2026-07-02', 12]);
  });
});

describe('the check of an answer', () => {
  it('finds a locked slot that changed, a piece taken twice, a must left open, and money beyond the limit', () => {
    const part = [{ findId: 'one', offerId: null, pieces: 1 }];
    const made = rows({
      project: project({ revealDate: null }),
      spots: [spot('spot')],
      slots: [slot('a', { importance: 'must' }), slot('b', { number: 2 }), slot('c', { number: 3, locked: true })],
      finds: [find('one', 900), find('two', 700)],
      options: [
        option('a1', 'a', 'asFound', { parts: part }),
        option('b1', 'b', 'asFound', { parts: part }),
        option('c1', 'c', 'asFound', { parts: [{ findId: 'two', offerId: null, pieces: 1 }] }),
      ],
      fills: [fill('c', 'c1')],
    });
    const program = balanceProgram(computePlan(made, AS_OF), everything);
    const none: Limits = { cash: null, minutes: null, look: null };
    const wrong = (choice: number[][], limits = none) =>
      checkChoice(program, choice, limits, new Memo()).wrong.map(({ what }) => what);
    expect(wrong([[1], [0], [1]])).toEqual([]);
    expect(wrong([[1], [1], [1]])).toEqual(['piece']);
    expect(wrong([[0], [0], [1]])).toEqual(['mustOpen']);
    expect(wrong([[1], [0], [0]])).toEqual(['locked']);
    expect(wrong([[1], [0], [1]], { ...none, cash: 1000 })).toEqual(['cash']);
    // What is left open of a slot that is no must is left out.
    expect(rowsWith(program, [[1], [0], [1]]).slots.map(({ leftOut }) => leftOut)).toEqual([false, true, false]);
  });
});
