import highsLoader, { type Highs } from 'highs';
import ICAL from 'ical.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { dateAfter } from '../calendar/localDates';
import { parseOpeningHours } from '../calendar/openingHours';
import { weekOf } from '../calendar/workingWeek';
import { benchTask, BENCH_NOW as NOW } from '../fixtures/benchTask';
import { seededRandom } from '../kernel/seededRandom';
import type { BenchProblem, BenchTask } from './benchProblem';
import { firstSchedule, improveSchedule } from './improveSchedule';
import { lowerBound } from './lowerBound';
import { verifySchedule } from './verifySchedule';
import { workerWindows } from './workerWindows';

let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

const WINDOW = 100_000;

/** One pair of hands without evenings, tasks with heads, waits and tails: the core of the bench, small enough to prove. */
function singleHands(seed: number, count: number): BenchProblem {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const tasks = Array.from({ length: count }, (_, n): BenchTask => {
    const before = n > 1 && random() < 0.6 ? between(0, n - 1) : null;
    return benchTask(`t${n}`, between(5, 40), {
      earliest: NOW + between(0, 30),
      after:
        before === null
          ? []
          : [{ taskId: `t${before}`, allowed: [{ fromMinutes: between(0, 90), toMinutes: null, extraMinutes: 0 }] }],
    });
  });
  return {
    now: NOW,
    tasks,
    workers: [{ id: 'own', windows: [{ start: NOW, end: NOW + WINDOW }], caps: [] }],
    places: [],
    hours: new Map(),
    deliverables: [
      { id: 'all', weight: 1, due: null, ends: tasks.map(({ id }) => ({ taskId: id, waitMinutes: between(0, 60) })) },
    ],
  };
}

/** The earliest end that any order gives, by a mixed-integer program of disjunctions (Manne 1960, from memory). */
function provenEnd({ tasks, deliverables }: BenchProblem): number {
  const big = 5000;
  const rows: string[] = [];
  const binaries: string[] = [];
  for (const { taskId, waitMinutes } of deliverables[0]?.ends ?? []) {
    const task = tasks.find(({ id }) => id === taskId);
    rows.push(`c - ${taskId} >= ${(task?.runMinutes ?? 0) + waitMinutes}`);
  }
  tasks.forEach((task, n) => {
    rows.push(`${task.id} >= ${task.earliest - NOW}`);
    for (const { taskId, allowed } of task.after) {
      const other = tasks.find(({ id }) => id === taskId);
      rows.push(`${task.id} - ${taskId} >= ${(other?.runMinutes ?? 0) + (allowed[0]?.fromMinutes ?? 0)}`);
    }
    for (const later of tasks.slice(n + 1)) {
      const first = `y_${task.id}_${later.id}`;
      binaries.push(first);
      rows.push(`${later.id} - ${task.id} - ${big} ${first} >= ${task.runMinutes - big}`);
      rows.push(`${task.id} - ${later.id} + ${big} ${first} >= ${later.runMinutes}`);
    }
  });
  const text = [
    'Minimize',
    ' obj: c',
    'Subject To',
    ...rows.map((row, n) => ` r${n}: ${row}`),
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');
  const answer = highs.solve(text);
  if (answer.Status !== 'Optimal') throw new Error(`not proven: ${answer.Status}`);
  return Math.round(answer.ObjectiveValue);
}

function improvedEnd(problem: BenchProblem): number {
  const run = improveSchedule(problem, firstSchedule(problem), { seed: 1, tries: 400 });
  let step = run.next();
  while (!step.done) step = run.next();
  expect(verifySchedule(problem, step.value.schedule)).toEqual([]);
  return step.value.schedule.score.end - NOW;
}

describe('small benches against a solver of mixed-integer programs', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])('seed %d: seven tasks are done as early as the solver proves', (seed) => {
    const problem = singleHands(seed, 7);
    const proven = provenEnd(problem);
    expect(improvedEnd(problem)).toBe(proven);
    expect(lowerBound(problem).end - NOW).toBeLessThanOrEqual(proven);
  });

  it('a shorter wait or an earlier beginning never makes the proven end later', () => {
    for (let seed = 21; seed <= 28; seed += 1) {
      const problem = singleHands(seed, 6);
      const proven = provenEnd(problem);
      const sooner = {
        ...problem,
        tasks: problem.tasks.map((task) => ({
          ...task,
          earliest: NOW,
          after: task.after.map(({ taskId, allowed }) => ({
            taskId,
            allowed: allowed.map((one) => ({ ...one, fromMinutes: Math.floor(one.fromMinutes / 2) })),
          })),
        })),
      };
      expect(provenEnd(sooner)).toBeLessThanOrEqual(proven);
      expect(improvedEnd(sooner)).toBe(provenEnd(sooner));
    }
  });
});

describe('the weeks against a kept library of recurrences', () => {
  it.each([
    ['America/New_York', 'Mon-Fri 18-20; Sat, Sun 10-15', ['MO', 'TU', 'WE', 'TH', 'FR'], 18],
    ['Europe/Paris', 'Tue, Thu 19-21', ['TU', 'TH'], 19],
    ['Australia/Sydney', 'Sun 9-12', ['SU'], 9],
  ])(
    '%s: %s begins on the days that the rule names, for a year, at the hour of the clock',
    (timeZone, text, days, hour) => {
      const week = weekOf(parseOpeningHours(text) ?? []);
      const windows = workerWindows({ week, exceptions: [] }, { from: '2026-01-01', days: 365, now: 0, timeZone });
      const steps = ICAL.Recur.fromString(`FREQ=WEEKLY;BYDAY=${days.join(',')}`).iterator(
        ICAL.Time.fromDateString('2026-01-01'),
      );
      const expected: string[] = [];
      for (
        let next = steps.next()?.toString();
        next && next <= dateAfter('2026-01-01', 364);
        next = steps.next()?.toString()
      )
        expected.push(next);
      const format = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' });
      const starts = windows
        .map(({ start }) => format.format(start * 60_000))
        .filter((moment) => moment.endsWith(` ${String(hour).padStart(2, '0')}:00`));
      expect(starts.map((moment) => moment.slice(0, 10))).toEqual(expected);
    },
  );
});
