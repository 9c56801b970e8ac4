import { describe, expect, it } from 'vitest';
import { benchTask, BENCH_NOW as NOW } from '../fixtures/benchTask';
import { ordinaryWindows, randomBench } from '../fixtures/randomBench';
import type { BenchProblem, BenchTask, Stretch } from './benchProblem';
import { endOf, startOf } from './benchProblem';
import { ifItRains } from './ifItRains';
import { firstSchedule } from './improveSchedule';
import { keptOf } from './moveTasks';
import { settle } from './replan';
import { taskGraph } from './taskGraph';
import { verifySchedule } from './verifySchedule';

const DAY = 1440;

const task = (id: string, change: Partial<BenchTask> = {}) => benchTask(id, 30, change);

/** Days by their number, with their stretches. */
const days = (count: number) =>
  new Map(
    Array.from({ length: count }, (_, n): [string, Stretch] => [
      String(n),
      { start: NOW + n * DAY, end: NOW + (n + 1) * DAY },
    ]),
  );

/** The open is good from ten to three on some days. */
const openOn = (numbers: readonly number[]) =>
  new Map([['spray', numbers.map((n) => ({ start: NOW + n * DAY + 600, end: NOW + n * DAY + 900 }))]]);

const hamper = (open: readonly number[]): BenchProblem => ({
  now: NOW,
  tasks: [
    task('sand'),
    task('spray the hamper', {
      hoursKey: 'spray',
      after: [{ taskId: 'sand', allowed: [{ fromMinutes: 0, toMinutes: null, extraMinutes: 0 }] }],
    }),
    task('sew the runner'),
  ],
  workers: [{ id: 'own', windows: ordinaryWindows(NOW, 21), caps: [] }],
  places: [],
  hours: openOn(open),
  deliverables: [
    { id: 'hamper', weight: 2, due: NOW + 10 * DAY, ends: [{ taskId: 'spray the hamper', waitMinutes: DAY }] },
    { id: 'runner', weight: 1, due: null, ends: [{ taskId: 'sew the runner', waitMinutes: 0 }] },
  ],
});

describe('if it rains', () => {
  const told = (open: readonly number[]) => {
    const problem = hamper(open);
    const { schedule } = firstSchedule(problem);
    return ifItRains(problem, { schedule, pinned: new Set() }, days(14));
  };

  it('on Saturday, the hamper is sprayed on Sunday; nothing else moves', () => {
    // Monday is day 0: windows in daylight are on Saturday and Sunday only.
    expect(told([5, 6, 12])).toEqual([
      {
        date: '5',
        taskIds: ['spray the hamper'],
        to: NOW + 6 * DAY + 600,
        others: 0,
        laterMinutes: DAY,
        moreLateMinutes: 0,
      },
    ]);
  });

  it('on Saturday with a wet Sunday, it is a week later, and late', () => {
    expect(told([5, 12])[0]).toMatchObject({ date: '5', to: NOW + 12 * DAY + 600, laterMinutes: 7 * DAY });
    expect(told([5, 12])[0]?.moreLateMinutes).toBeGreaterThan(0);
  });

  it('on the only day, it finds no other hour', () => {
    expect(told([5])[0]).toMatchObject({ date: '5', to: null });
  });

  it('matters only on days on which something is planned in the open', () => {
    const problem = { ...hamper([5, 6]), hours: new Map([['spray', []]]) };
    const { schedule } = firstSchedule(problem);
    expect(ifItRains(problem, { schedule, pinned: new Set() }, days(14))).toEqual([]);
  });

  it('moves what was put on the day by hand too, and leaves what was put elsewhere', () => {
    const problem = hamper([5, 6]);
    const { schedule } = firstSchedule(problem);
    const pinned = new Set(['spray the hamper', 'sew the runner']);
    const [day] = ifItRains(problem, { schedule, pinned }, days(14));
    expect(day).toMatchObject({ to: NOW + 6 * DAY + 600, others: 0 });
  });

  it('gives plans that pass the check, with nothing in the open on the wet day, of any bench', () => {
    let wetDays = 0;
    for (let seed = 1; seed <= 12; seed += 1) {
      const problem = randomBench({ seed, pieces: 5, colors: 2, days: 42 });
      const graph = taskGraph(problem);
      const { schedule } = firstSchedule(problem, graph);
      for (const day of ifItRains(problem, { schedule, pinned: new Set() }, days(14), graph)) {
        wetDays += 1;
        const stretch = days(14).get(day.date) as Stretch;
        const hours = new Map(
          [...problem.hours].map(([key, list]) => [
            key,
            list.filter(({ start, end }) => end <= stretch.start || start >= stretch.end),
          ]),
        );
        const wet = { ...problem, hours };
        const anew = settle(wet, keptOf(schedule), graph);
        expect(verifySchedule(wet, anew)).toEqual([]);
        const there = anew.tasks.filter(
          (laid) => day.taskIds.includes(laid.taskId) && startOf(laid) < stretch.end && endOf(laid) > stretch.start,
        );
        expect(there).toEqual([]);
        if (day.to !== null) expect(day.to).toBeGreaterThanOrEqual(NOW);
      }
    }
    expect(wetDays).toBeGreaterThan(8);
  });
});
