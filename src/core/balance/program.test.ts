import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { balanceRows } from '../fixtures/balanceRows';
import { AS_OF } from '../fixtures/projectRows';
import { MICRO, toMicro } from '../kernel/micro';
import { seededRandom } from '../kernel/seededRandom';
import type { ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { type Choice, figuresOf, isPossible, presentChoice } from './choice';
import { highsSolver } from './highsSolver';
import { GrowingSum, type Solver, type Sum } from './linearModel';
import { type LinearProgram, linearProgram } from './linearProgram';
import { type BalanceProgram, balanceProgram } from './program';
import { Tally } from './tally';

const everything = { lockedSlotIds: new Set<string>(), leastLiking: 1 };
const small = { slots: 4, ways: 4, supplies: 8, orders: 2 };

/** The rows with a choice of a program as their fills. */
function chosen(rows: ProjectRows, program: BalanceProgram, choice: Choice): ProjectRows {
  const fills = program.slots.flatMap(({ slotId, ways }, s) =>
    ways.flatMap(({ optionId }, w) => {
      const count = choice[s]?.[w] ?? 0;
      return count === 0 ? [] : [{ id: `fill ${optionId}`, version: 1, slotId, optionId, count }];
    }),
  );
  return { ...rows, fills };
}

/** A choice at random that is possible. */
function anyChoice(program: BalanceProgram, random: () => number): number[][] {
  return program.slots.map(({ ways, quantity, least }) => {
    const counts = ways.map(() => 0);
    let room = quantity;
    let filled = 0;
    for (let tries = 0; tries < 20 && (filled < least || (tries === 0 && random() < 0.8)); tries += 1) {
      const w = Math.floor(random() * ways.length);
      const count = Math.min(room, (ways[w]?.most ?? 0) - (counts[w] ?? 0));
      counts[w] = (counts[w] ?? 0) + count;
      room -= count;
      filled += count;
    }
    return counts;
  });
}

describe('a program', () => {
  it('comes to what the purse says, to the cent and the minute, for any choice', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const rows = balanceRows(seed, { ...small, slots: 8 });
      const plan = computePlan(rows, AS_OF);
      const program = balanceProgram(plan, everything);
      const random = seededRandom(seed);
      const choices = [presentChoice(program), ...Array.from({ length: 4 }, () => anyChoice(program, random))];
      for (const choice of choices) {
        const after = computePlan(chosen(rows, program, choice), AS_OF, plan);
        const figures = figuresOf(program, choice);
        expect(figures.cash).toBe(after.sums.cash.likely);
        expect(figures.handsMicro).toBe(toMicro(after.sums.minutes.likely));
        expect(figures.stashMicro / MICRO).toBeCloseTo(after.sums.stash, 6);
      }
    }
  });
});

/** All possible choices of a small program. */
function* allChoices(program: BalanceProgram): Generator<number[][]> {
  const perSlot = program.slots.map(({ ways, quantity, least }) => {
    const found: number[][] = [];
    const visit = (w: number, room: number, counts: number[]) => {
      const way = ways[w];
      if (!way) {
        if (quantity - room >= least) found.push(counts);
        return;
      }
      for (let count = 0; count <= Math.min(room, way.most); count += 1) visit(w + 1, room - count, [...counts, count]);
    };
    visit(0, quantity, []);
    return found;
  });
  const visit = function* (s: number, choice: number[][]): Generator<number[][]> {
    const options = perSlot[s];
    if (!options) {
      yield choice;
      return;
    }
    for (const counts of options) yield* visit(s + 1, [...choice, counts]);
  };
  yield* visit(0, []);
}

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

  /** The least of a sum within limits on others. */
  function least(linear: LinearProgram, goal: Sum, limits: readonly { sum: Sum; most: number }[]) {
    const rows = [
      ...linear.rows,
      ...limits.map(({ sum, most }) => ({
        lower: Number.NEGATIVE_INFINITY,
        upper: most - sum.constant,
        terms: sum.terms,
      })),
    ];
    return solver({
      model: { columns: linear.columns, rows, goal },
      start: null,
      absoluteGap: 0.4,
      relativeGap: 0,
      seconds: 60,
      report: () => true,
    });
  }

  it('finds what trying every choice finds', () => {
    for (let seed = 100; seed < 140; seed += 1) {
      const rows = balanceRows(seed, small);
      const program = balanceProgram(computePlan(rows, AS_OF), everything);
      const linear = linearProgram(program, true);
      const all = [...allChoices(program)].filter((choice) => isPossible(program, choice));
      const figures = all.map((choice) => figuresOf(program, choice));
      const random = seededRandom(seed);
      const some = figures[Math.floor(random() * figures.length)];
      if (!some) throw new Error('no choice is possible');
      const minutes = some.handsMicro / MICRO;
      // Least cash within the hours and at the look of some choice.
      const within = figures.filter((own) => own.handsMicro <= some.handsMicro && own.look >= some.look - 1e-9);
      const expected = Math.min(...within.map(({ cash }) => cash));
      const negativeLook = new GrowingSum().addSum(linear.look, -1);
      const answer = least(linear, linear.cash, [
        { sum: linear.minutes, most: minutes },
        { sum: negativeLook, most: -some.look + 1e-9 },
      ]);
      expect(answer.kind).toBe('proven');
      if (answer.kind !== 'proven') continue;
      const choice = linear.choiceOf(answer.values);
      expect(isPossible(program, choice)).toBe(true);
      expect(figuresOf(program, choice).cash).toBe(expected);
      // Least cost, stash in it, at that look.
      const cost = new GrowingSum().addSum(linear.cash).addSum(linear.stash);
      const cheap = least(linear, cost, [{ sum: negativeLook, most: -some.look + 1e-9 }]);
      const least2 = Math.min(
        ...figures.filter((own) => own.look >= some.look - 1e-9).map((own) => own.cash + own.stashMicro / MICRO),
      );
      if (cheap.kind !== 'proven') throw new Error(cheap.kind);
      const found = figuresOf(program, linear.choiceOf(cheap.values));
      expect(found.cash + found.stashMicro / MICRO).toBeLessThanOrEqual(least2 + 0.41);
    }
  });
});
