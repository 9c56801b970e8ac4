import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BENCH_NOW as NOW, benchTask as task } from '../fixtures/benchTask';
import { randomBench } from '../fixtures/randomBench';
import { benchOfTasks as bench, can, follows, improvedOf as improved, planOf as plan } from '../fixtures/smallBench';
import { type BenchProblem, isBetter, startOf } from './benchProblem';
import { layTasks } from './layTasks';
import { keptOf } from './moveTasks';
import { replan } from './replan';
import { taskGraph } from './taskGraph';
import { verifySchedule } from './verifySchedule';

const HOUR = 60;
const DAY = 1440;

/** A bench whose waits close after a day or so: what is begun later takes a little longer. */
function closing(problem: BenchProblem, seed: number): BenchProblem {
  if (seed % 2 === 0) return problem;
  const tasks = problem.tasks.map((one, n) => ({
    ...one,
    // Small parts, so that two may share them.
    chunkMinutes: one.chunkMinutes === null ? null : 3,
    after: one.after.map(({ taskId, allowed }) => {
      const fromMinutes = allowed[0]?.fromMinutes ?? 0;
      const toMinutes = fromMinutes + 300 + ((seed + n) % 5) * 300;
      return {
        taskId,
        allowed: [
          { fromMinutes, toMinutes, extraMinutes: 0 },
          { fromMinutes: toMinutes + 60, toMinutes: null, extraMinutes: 2 },
        ],
      };
    }),
  }));
  return { ...problem, tasks };
}

describe('the check of a schedule', () => {
  const problem = randomBench({ seed: 3, pieces: 6 });
  const good = plan(problem);
  const faultsAfter = (change: (tasks: (typeof good.tasks)[number][]) => void, of = good) => {
    const tasks = structuredClone(of.tasks) as (typeof good.tasks)[number][];
    change(tasks);
    return verifySchedule(problem, { ...of, tasks }).map(({ kind }) => kind);
  };

  it('passes what was laid', () => {
    expect(verifySchedule(problem, good)).toEqual([]);
  });

  it('finds a task that is missing, twice, too early, too short, or outside of the hours', () => {
    expect(faultsAfter((tasks) => tasks.splice(0, 1))).toContain('missing');
    expect(faultsAfter((tasks) => tasks.push(...tasks.slice(0, 1)))).toContain('twice');
    const shift = (by: number) => (tasks: (typeof good.tasks)[number][]) => {
      const one = tasks.find(({ parts }) => parts.length === 1 && parts[0] && parts[0].end > parts[0].start);
      if (one) Object.assign(one, { parts: one.parts.map(({ start, end }) => ({ start: start + by, end: end + by })) });
    };
    expect(faultsAfter(shift(-30 * DAY))).toContain('tooEarly');
    expect(faultsAfter(shift(4 * HOUR))).toContain('window');
    expect(
      faultsAfter((tasks) => {
        const one = tasks.find(({ parts }) => parts[0] && parts[0].end - parts[0].start > 2);
        if (one) Object.assign(one, { parts: one.parts.map(({ start, end }) => ({ start, end: end - 1 })) });
      }),
    ).toContain('wrongLength');
  });

  it('finds what overlaps, what is not dry, a torn session, no room and a wrong score', () => {
    const two = bench([task('a', 30), task('b', 30)]);
    const laid = plan(two);
    const both = laid.tasks.map((one) => ({ ...one, parts: [{ start: NOW + 18 * HOUR, end: NOW + 18 * HOUR + 30 }] }));
    expect(verifySchedule(two, { ...laid, tasks: both }).map(({ kind }) => kind)).toContain('overlap');
    const wet = bench([task('a', 30), task('b', 30, { after: [follows('a', 2 * HOUR)] })]);
    const soon = {
      ...laid,
      tasks: laid.tasks.map((one, n) => ({
        ...one,
        parts: [{ start: NOW + (18 + n) * HOUR, end: NOW + (18 + n) * HOUR + 30 }],
      })),
    };
    expect(verifySchedule(wet, soon).map(({ kind }) => kind)).toContain('follows');
    const session = bench([task('a', 20, { batch: can('k') }), task('b', 20, { batch: can('k') })]);
    const one = plan(session);
    expect(verifySchedule(session, { ...one, sessions: [] }).map(({ kind }) => kind)).toContain('session');
    const hold = { areaM2: 0.8, minutes: 600 };
    const full = bench([task('a', 30, { hold }), task('b', 30, { hold })], { places: [{ id: 'table', areaM2: 1 }] });
    const crowded = { ...laid, tasks: laid.tasks.map((two_) => ({ ...two_, placeId: 'table' })) };
    expect(verifySchedule(full, crowded).map(({ kind }) => kind)).toContain('noRoom');
    expect(
      verifySchedule(two, { ...laid, score: { ...laid.score, end: laid.score.end - 1 } }).map(({ kind }) => kind),
    ).toEqual(['score']);
  });

  it('is no later and takes no more setting up for what is rather set in place later', () => {
    let moved = 0;
    for (let seed = 1; seed <= 30; seed += 1) {
      const usual = randomBench({ seed, pieces: 2 + (seed % 6), helpers: seed % 2 });
      const last = (piece: number) => `${piece} refit`;
      const rather: BenchProblem = {
        ...usual,
        tasks: usual.tasks.map((one) =>
          one.id.endsWith('place') ? { ...one, ratherAfter: [0, 1, 2].map(last) } : one,
        ),
      };
      const graph = taskGraph(rather);
      const rule = {
        urgency: graph.tailMinutes,
        heldUntil: new Map<number, number>(),
        patienceMinutes: 240,
        kept: null,
      };
      const soon = layTasks(usual, taskGraph(usual), rule);
      const late = layTasks(rather, graph, rule);
      expect(verifySchedule(rather, late)).toEqual([]);
      expect(late.score).toEqual(soon.score);
      const before = new Map(soon.tasks.map((one) => [one.taskId, startOf(one)]));
      moved += late.tasks.filter((one) => startOf(one) > (before.get(one.taskId) ?? 0)).length;
      // What is held where it was kept stays there.
      const held = new Map(late.tasks.map((one) => [graph.numberOf.get(one.taskId) ?? -1, startOf(one)]));
      const again = layTasks(rather, graph, { ...rule, heldUntil: held });
      expect(again.tasks.every((one) => startOf(one) >= (held.get(graph.numberOf.get(one.taskId) ?? -1) ?? 0))).toBe(
        true,
      );
    }
    expect(moved).toBeGreaterThan(10);
  });

  it('passes every plan of any bench: first, improved and planned anew', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 3 }),
        (seed, pieces, helpers) => {
          const any = closing(randomBench({ seed, pieces, helpers, coats: 1 + (seed % 3) }), seed);
          const first = plan(any);
          expect(verifySchedule(any, first)).toEqual([]);
          // Only what waits for an hour outdoors that never comes finds no time.
          const never = first.unlaid.filter((id) => !any.tasks.some(({ hoursKey }) => hoursKey !== null) && id !== '');
          expect(never).toEqual([]);
          const better = improved(any, 20, seed);
          expect(verifySchedule(any, better)).toEqual([]);
          expect(isBetter(first.score, better.score)).toBe(false);
          const later = { ...any, now: any.now + 3 * DAY };
          expect(verifySchedule(later, replan(later, keptOf(better)).schedule)).toEqual([]);
        },
      ),
      { numRuns: 25, seed: 5 },
    );
  });

  it('and the same problem, seed and number of tries give the same plan', () => {
    expect(improved(problem, 40, 9)).toEqual(improved(problem, 40, 9));
  });
});
