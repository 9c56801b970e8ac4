import { describe, expect, it } from 'vitest';
import { BENCH_NOW as NOW, benchTask as task } from '../fixtures/benchTask';
import { ordinaryWindows, randomBench } from '../fixtures/randomBench';
import { benchOfTasks as bench, can, follows, improvedOf as improved, planOf as plan } from '../fixtures/smallBench';
import { type BenchProblem, endOf, startOf } from './benchProblem';
import { keptOf, moveTasks } from './moveTasks';
import { replan } from './replan';
import { taskGraph } from './taskGraph';
import { verifySchedule } from './verifySchedule';
import { whatHelps } from './whatHelps';
import { whyNotThere } from './whyNotThere';

const HOUR = 60;
const DAY = 1440;

describe('planning anew', () => {
  const problem = randomBench({ seed: 12, pieces: 5 });
  const kept = improved(problem, 60);

  it('without a change moves nothing', () => {
    const { schedule, moved } = replan(problem, keptOf(kept));
    expect(moved).toBe(0);
    expect(schedule.score).toEqual(kept.score);
  });

  it('after a step that ran late moves what it must, and no more', () => {
    // The first coat of one piece takes five minutes longer, on an evening that has room.
    const first = kept.tasks.find(({ taskId }) => taskId === '3 coat 1');
    if (!first) throw new Error('it is not laid');
    const late = { start: startOf(first), end: endOf(first) + 5 };
    const changed = {
      ...problem,
      tasks: problem.tasks.map((one) => (one.id === first.taskId ? { ...one, fixed: late, batch: null } : one)),
    };
    const { schedule, moved } = replan(changed, keptOf(kept));
    expect(verifySchedule(changed, schedule)).toEqual([]);
    expect(moved).toBeLessThan(6);
    const was = new Map(kept.tasks.map((one) => [one.taskId, startOf(one)]));
    // Nothing is done sooner than it was planned.
    for (const one of schedule.tasks)
      if (one.taskId !== first.taskId) expect(startOf(one)).toBeGreaterThanOrEqual(was.get(one.taskId) ?? 0);
    expect(schedule.tasks.find(({ taskId }) => taskId === first.taskId)?.parts).toEqual([late]);
  });

  it('puts a session where it was dragged, takes what follows along, and says where it cannot lie', () => {
    const simple = bench([
      task('prime', 20),
      task('coat', 20, { after: [follows('prime', 4 * HOUR)] }),
      task('sew', 20),
    ]);
    const from = { schedule: plan(simple), pinned: new Set<string>() };
    const graph = taskGraph(simple);
    const thursday = { start: NOW + 3 * DAY + 18 * HOUR, end: NOW + 3 * DAY + 20 * HOUR };
    const moved = moveTasks(simple, from, ['prime'], thursday, graph);
    expect(moved).toMatchObject({ isThere: true, start: thursday.start, others: 1 });
    expect(moved.schedule.tasks.filter(({ taskId }) => taskId === 'coat').map(startOf)).toEqual([
      NOW + 4 * DAY + 18 * HOUR,
    ]);
    // The coat cannot lie on the evening of its primer: it lies on the next one that is dry.
    const monday = { start: NOW + 18 * HOUR, end: NOW + 20 * HOUR };
    expect(moveTasks(simple, from, ['coat'], monday, graph)).toMatchObject({
      isThere: false,
      start: NOW + DAY + 18 * HOUR,
    });
  });
});

describe('a plan that is kept', () => {
  /** A bench in which everything is due long before it can be ready, so that another order is always less late. */
  const late = (seed: number): BenchProblem => {
    const problem = randomBench({ seed, pieces: 5, helpers: seed % 2, days: 60 });
    return { ...problem, deliverables: problem.deliverables.map((one) => ({ ...one, due: problem.now + 2 * DAY })) };
  };

  it('stays as it is while nothing has to move, however late it is', () => {
    for (let seed = 1; seed <= 10; seed += 1) {
      const problem = late(seed);
      for (const schedule of [plan(problem), improved(problem, 60, seed)]) {
        const kept = keptOf(schedule);
        const anew = replan(problem, kept);
        expect(anew.moved).toBe(0);
        expect(keptOf(anew.schedule)).toEqual(kept);
        expect(verifySchedule(problem, anew.schedule)).toEqual([]);
      }
    }
  });

  it('moved by hand moves what it must, and nothing more when it is looked at again', () => {
    let tried = 0;
    for (let seed = 1; seed <= 10; seed += 1) {
      const problem = late(seed);
      const graph = taskGraph(problem);
      const from = { schedule: plan(problem), pinned: new Set<string>() };
      const one = from.schedule.tasks[seed % from.schedule.tasks.length];
      if (!one || problem.tasks.find(({ id }) => id === one.taskId)?.batch) continue;
      const day = { start: startOf(one) + DAY, end: startOf(one) + 2 * DAY };
      const moved = moveTasks(problem, from, [one.taskId], day, graph);
      if (moved.start === null) continue;
      tried += 1;
      expect(verifySchedule(problem, moved.schedule)).toEqual([]);
      // What was planned before it stays where it was.
      const before = new Map(moved.kept.map(({ taskId, start }) => [taskId, start]));
      for (const task of from.schedule.tasks)
        if (task !== one && endOf(task) <= startOf(one)) expect(before.get(task.taskId)).toBe(startOf(task));
      expect(replan(problem, moved.kept, graph).moved).toBe(0);
    }
    expect(tried).toBeGreaterThan(3);
  });
});

describe('why something cannot be done on an evening', () => {
  const evening = { start: NOW + DAY + 18 * HOUR, end: NOW + DAY + 20 * HOUR };
  const whyNot = (problem: BenchProblem, ids: string[]) => whyNotThere(problem, plan(problem), ids, evening);

  it('what it follows is not dry', () => {
    const wet = bench([task('prime', 20), task('coat', 20, { after: [follows('prime', 48 * HOUR)] })]);
    expect(whyNot(wet, ['coat'])).toEqual({ kind: 'after', taskId: 'prime', free: NOW + 18 * HOUR + 20 + 48 * HOUR });
  });

  it('the open does not allow it, the evening is too short, or something else is done then', () => {
    const noon = new Map([['spray', [{ start: NOW + DAY + 11 * HOUR, end: NOW + DAY + 14 * HOUR }]]]);
    expect(whyNot(bench([task('spray', 20, { hoursKey: 'spray' })], { hours: noon }), ['spray'])).toEqual({
      kind: 'weather',
    });
    expect(whyNot(bench([task('long', 110, { batch: can('teal') })]), ['long'])).toEqual({
      kind: 'tooShort',
      minutes: 135,
    });
    expect(whyNot(bench([task('a', 20)]), ['a'])).toEqual({ kind: 'taken' });
  });
});

describe('what would help', () => {
  it('names another evening where hours are short, and another table where room is', () => {
    const due = NOW + 4 * DAY;
    const hold = { areaM2: 0.8, minutes: 40 * HOUR };
    const pieces = ['a', 'b', 'c'].map((id) => task(id, 20, { hold }));
    const crowded = bench(pieces, {
      places: [{ id: 'table', areaM2: 1 }],
      deliverables: pieces.map(({ id }) => ({ id, weight: 1, due, ends: [{ taskId: id, waitMinutes: 0 }] })),
    });
    expect(whatHelps(crowded, '2026-02-01', () => ({ start: 0, end: 0 }))[0]?.kind).toBe('place');
    const onlyWeekends = { id: 'own', windows: ordinaryWindows(NOW, 56).filter((_, n) => n % 7 >= 5), caps: [] };
    const short = bench(
      pieces.map((one) => ({ ...one, hold: null })),
      {
        workers: [onlyWeekends],
        deliverables: pieces.map(({ id }) => ({ id, weight: 1, due, ends: [{ taskId: id, waitMinutes: 0 }] })),
      },
    );
    const monday = { start: NOW + 18 * HOUR, end: NOW + 20 * HOUR };
    expect(whatHelps(short, '2026-02-01', () => monday)[0]).toMatchObject({ kind: 'evening' });
  });
});
