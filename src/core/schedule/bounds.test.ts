import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BENCH_NOW as NOW, benchTask as task } from '../fixtures/benchTask';
import { randomBench } from '../fixtures/randomBench';
import { benchOfTasks as bench, follows, improvedOf as improved, planOf as plan } from '../fixtures/smallBench';
import { isBetter } from './benchProblem';
import { decidingChain } from './decidingChain';
import { layTasks } from './layTasks';
import { lowerBound, readyAlone } from './lowerBound';
import { taskGraph } from './taskGraph';

const HOUR = 60;

describe('against figures from outside', () => {
  // Hillier & Lieberman, Introduction to Operations Research: building a house, expected weeks of PERT (from memory).
  const house: [string, number, string[]][] = [
    ['A', 2, []],
    ['B', 4, ['A']],
    ['C', 10, ['B']],
    ['D', 6, ['C']],
    ['E', 4, ['C']],
    ['F', 5, ['E']],
    ['G', 7, ['D']],
    ['H', 9, ['E', 'G']],
    ['I', 7, ['C']],
    ['J', 8, ['F', 'I']],
    ['K', 4, ['J']],
    ['L', 5, ['J']],
    ['M', 2, ['H']],
    ['N', 6, ['K', 'L']],
  ];
  const hands = Array.from({ length: 4 }, (_, n) => ({
    id: `crew ${n}`,
    windows: [{ start: NOW, end: NOW + 100 }],
    caps: [],
  }));
  const built = bench(
    house.map(([id, weeks, before]) => task(id, weeks, { after: before.map((other) => follows(other)) })),
    { workers: hands },
  );

  it('the house is built in 44 weeks, by its critical path A B C E F J L N', () => {
    const schedule = plan(built);
    expect(schedule.score.end - NOW).toBe(44);
    expect(readyAlone(built).get('all')).toBe(NOW + 44);
    expect(
      decidingChain(built, schedule)
        ?.links.map(({ taskId }) => taskId)
        .join(''),
    ).toBe('ABCEFJLN');
  });

  it('with one crew it takes the sum of all: 79 weeks', () => {
    expect(plan({ ...built, workers: hands.slice(0, 1) }).score.end - NOW).toBe(79);
  });

  it('small benches are as good as the best of all orders', () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const small = randomBench({ seed, pieces: 1, coats: 2 });
      const tasks = small.tasks.slice(0, 6);
      const two = bench(
        [...tasks, ...tasks.slice(1, 3).map((one) => ({ ...one, id: `${one.id} b`, rowId: 'b', after: [] }))],
        { hours: small.hours, places: small.places },
      );
      const graph = taskGraph(two);
      const orders = permutations(two.tasks.map((_, n) => n));
      let best = plan(two).score;
      for (const order of orders) {
        const urgency = order.map((place) => -place);
        const { score } = layTasks(two, graph, { urgency, heldUntil: new Map(), patienceMinutes: 2880, kept: null });
        if (isBetter(score, best)) best = score;
      }
      const { score } = improved(two, 300, seed);
      expect(isBetter(best, score)).toBe(false);
    }
  });

  it('no plan beats the bound, and another window or a shorter wait never moves the bound back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const any = randomBench({ seed, pieces: 4 });
        const bound = lowerBound(any);
        const { score } = improved(any, 10, seed);
        expect(score.end).toBeGreaterThanOrEqual(bound.end);
        expect(score.lateMinutes).toBeGreaterThanOrEqual(bound.lateMinutes);
        expect(score.setUpMinutes).toBeGreaterThanOrEqual(bound.setUpMinutes);
        const morning = { start: NOW + 8 * HOUR, end: NOW + 10 * HOUR };
        const more = { ...any, workers: any.workers.map((one) => ({ ...one, windows: [morning, ...one.windows] })) };
        expect(lowerBound(more).end).toBeLessThanOrEqual(bound.end);
        const quicker = {
          ...any,
          tasks: any.tasks.map((one) => ({
            ...one,
            after: one.after.map((link) => ({
              ...link,
              allowed: link.allowed.map((allowed) => ({
                ...allowed,
                fromMinutes: Math.floor(allowed.fromMinutes / 2),
              })),
            })),
          })),
        };
        expect(lowerBound(quicker).end).toBeLessThanOrEqual(bound.end);
      }),
      { numRuns: 30, seed: 8 },
    );
  });
});

/** All orders of a few numbers. */
function permutations(numbers: readonly number[]): number[][] {
  if (numbers.length > 8) throw new RangeError('too many to try');
  if (numbers.length <= 1) return [[...numbers]];
  return numbers.flatMap((one, n) =>
    permutations([...numbers.slice(0, n), ...numbers.slice(n + 1)]).map((rest) => [one, ...rest]),
  );
}
