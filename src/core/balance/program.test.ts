import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { allChoices, anyChoice } from '../fixtures/balanceChoices';
import { balanceRows } from '../fixtures/balanceRows';
import { AS_OF } from '../fixtures/projectRows';
import { MICRO, toMicro } from '../kernel/micro';
import { seededRandom } from '../kernel/seededRandom';
import { computePlan } from '../plan/computePlan';
import { goals, keepsLimits, type Limits } from './ask';
import { balance, isBetter } from './balance';
import { balancePlan } from './balancePlan';
import { rowsWith } from './checkChoice';
import { type ChoiceFigures, figuresOf, isPossible, presentChoice } from './choice';
import { exclusionIds, isExcluded } from './exclusions';
import { highsSolver } from './highsSolver';
import type { Solver } from './linearModel';
import { balanceProgram } from './program';
import { Tally } from './tally';

const everything = { lockedSlotIds: new Set<string>(), leastLiking: 1 };
const small = { slots: 4, ways: 4, supplies: 8, orders: 2 };

describe('a program', () => {
  it('comes to what the purse says, to the cent and the minute, for any choice', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const rows = balanceRows(seed, { ...small, slots: 8 });
      const plan = computePlan(rows, AS_OF);
      const program = balanceProgram(plan, everything);
      const random = seededRandom(seed);
      const choices = [presentChoice(program), ...Array.from({ length: 4 }, () => anyChoice(program, random))];
      for (const choice of choices) {
        const after = computePlan(rowsWith(program, choice), AS_OF, plan);
        const figures = figuresOf(program, choice);
        expect(figures.cash).toBe(after.sums.cash.likely);
        expect(figures.handsMicro).toBe(toMicro(after.sums.minutes.likely));
        expect(figures.stashMicro / MICRO).toBeCloseTo(after.sums.stash, 6);
      }
    }
  });
});

describe('a tally', () => {
  it('that is changed slot by slot comes to what the choice comes to', () => {
    for (let seed = 1; seed <= 10; seed += 1) {
      const program = balanceProgram(computePlan(balanceRows(seed, { ...small, slots: 8 }), AS_OF), everything);
      const random = seededRandom(seed);
      const tally = new Tally(program, presentChoice(program));
      for (let turn = 0; turn < 40; turn += 1) {
        const other = anyChoice(program, random);
        const slot = Math.floor(random() * program.slots.length);
        tally.set(slot, other[slot] ?? []);
        const { cash, handsMicro, stashMicro, look } = figuresOf(program, tally.counts);
        expect([tally.cash, tally.handsMicro]).toEqual([cash, handsMicro]);
        expect(tally.stashMicro / MICRO).toBeCloseTo(stashMicro / MICRO, 3);
        expect(tally.look).toBeCloseTo(look, 9);
        expect(tally.tooMany === 0).toBe(
          isPossible({ ...program, slots: program.slots.map((own) => ({ ...own, least: 0 })) }, tally.counts),
        );
      }
    }
  });
});

describe('the linear program', () => {
  let solver: Solver;
  beforeAll(async () => {
    solver = highsSolver(await highsLoader());
  });

  const run = () => ({ solver, seconds: 60, report: () => true, elapsed: () => 0 });

  it.each(goals)('finds for %s what trying every choice finds, ties and all', (goal) => {
    for (let seed = 100; seed < 130; seed += 1) {
      const rows = balanceRows(seed, small);
      const plan = computePlan(rows, AS_OF);
      const program = balanceProgram(plan, everything);
      const { hourValue } = rows.project;
      const figures = allChoices(program).map((one) => one.figures);
      const random = seededRandom(seed);
      const some = figures[Math.floor(random() * figures.length)] as ChoiceFigures;
      const limits: Limits = {
        cash: random() < 0.7 ? some.cash : null,
        minutes: random() < 0.7 ? some.handsMicro / MICRO : null,
        look: goal === 'bestLook' && random() < 0.7 ? null : some.look,
      };
      const within = figures.filter((own) => keepsLimits(own, limits));
      const expected = within.reduce((best, own) => (isBetter(own, best, goal, hourValue ?? 0) ? own : best));
      const answer = balance(program, { ...everything, goal, limits }, { ...run(), from: presentChoice(program) });
      if (answer.kind !== 'found') throw new Error(`${seed}: ${JSON.stringify(answer)}`);
      expect(answer.open).toBeNull();
      expect(isPossible(program, answer.choice)).toBe(true);
      expect(keepsLimits(answer.figures, limits)).toBe(true);
      expect([seed, isBetter(expected, answer.figures, goal, hourValue ?? 0)]).toEqual([seed, false]);
    }
  });

  it('says that nothing fits where no choice does, and that alone', () => {
    for (let seed = 200; seed < 215; seed += 1) {
      const plan = computePlan(balanceRows(seed, small), AS_OF);
      const program = balanceProgram(plan, everything);
      const figures = allChoices(program).map((one) => one.figures);
      const most = Math.max(...figures.map(({ look }) => look));
      const least = Math.min(...figures.filter(({ look }) => look >= most - 1e-9).map(({ cash }) => cash));
      const asked = (cash: number) =>
        balance(
          program,
          { ...everything, goal: 'leastHours', limits: { cash, minutes: null, look: most } },
          { ...run(), from: presentChoice(program) },
        );
      expect(asked(least - 1).kind).toBe('nothingFits');
      expect(asked(least).kind).toBe('found');
    }
  });

  it('does without what it shall do without, and finds the best of all that is left', () => {
    let without = 0;
    for (let seed = 400; seed < 412; seed += 1) {
      const plan = computePlan(balanceRows(seed, small), AS_OF);
      const program = balanceProgram(plan, everything);
      const { hourValue } = plan.rows.project;
      for (const id of exclusionIds) {
        const isOut = (s: number, w: number) => {
          const model = program.slots[s]?.ways[w]?.model;
          return model !== undefined && isExcluded(model, [id]);
        };
        const left = allChoices(program).filter(({ choice }) =>
          choice.every((counts, s) => counts.every((count, w) => count === 0 || !isOut(s, w))),
        );
        const ask = {
          ...everything,
          without: [id],
          goal: 'leastCash' as const,
          limits: { cash: null, minutes: null, look: null },
        };
        const answer = balancePlan(plan, ask, run());
        if (left.length === 0) {
          expect(answer.kind).toBe('nothingFits');
          continue;
        }
        if (answer.kind !== 'found') throw new Error(`${seed} ${id}: ${JSON.stringify(answer.kind)}`);
        expect(answer.after.chosen.some(({ model }) => isExcluded(model, [id]))).toBe(false);
        const best = left.reduce(
          (one, { figures }) => (isBetter(figures, one, 'leastCash', hourValue ?? 0) ? figures : one),
          left[0]?.figures as ChoiceFigures,
        );
        expect([seed, id, answer.figures.cash]).toEqual([seed, id, best.cash]);
        if (left.length < allChoices(program).length) without += 1;
      }
    }
    expect(without).toBeGreaterThan(10);
  });

  it('gives answers that the purse never contradicts', () => {
    for (let seed = 300; seed < 312; seed += 1) {
      const plan = computePlan(balanceRows(seed, { ...small, slots: 9 }), AS_OF);
      const limits = { cash: 12_000, minutes: 9 * 50, look: null };
      const answer = balancePlan(plan, { ...everything, goal: 'bestLook', limits }, run());
      if (answer.kind === 'nothingFits') continue;
      if (answer.kind !== 'found') throw new Error(JSON.stringify(answer.kind));
      expect(answer.after.sums.cash.likely).toBe(answer.figures.cash);
      expect(answer.after.sums.cash.likely).toBeLessThanOrEqual(limits.cash);
      expect(answer.after.sums.minutes.likely).toBeLessThanOrEqual(limits.minutes);
    }
  });
});
