import { describe, expect, it } from 'vitest';
import { benchOf, benchRoom, laidBy } from '../fixtures/benchRoom';
import { benchTask } from '../fixtures/benchTask';
import { following, uuid } from '../fixtures/following';
import { logEntry } from '../fixtures/logEntry';
import { AS_OF } from '../fixtures/projectRows';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../kernel/units';
import type { ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { usualWorkshop } from '../state/workshop';
import { taskIdOf } from './benchJobs';
import { benchOfPlan } from './benchOfPlan';
import { endOf, startOf } from './benchProblem';
import { capUse, isCapped } from './busyHours';
import { decidingChain } from './decidingChain';
import { dryingNow } from './dryingNow';
import { dryingOfRuns } from './dryingOfRuns';
import { logOfStep } from './logOfStep';
import { toFetch } from './toFetch';
import { whyUnlaid } from './whyUnlaid';

const planOf = (rows: ProjectRows) => computePlan(rows, AS_OF);

/** The first coat of the oak nightstand, as a run of it is written. */
function firstCoat(rows: ProjectRows) {
  const bench = benchOf(rows);
  const job = [...bench.jobs.values()].find(
    ({ step, subject }) => step?.kind === 'coat' && subject?.recipeId === uuid(30),
  );
  if (!job?.subject) throw new Error('no coat in the room');
  return { job, run: { ...job.subject, id: uuid(80), what: job.title, people: 1, by: '' } };
}

describe('what a step needs that is not in the house', () => {
  const nameless = benchRoom();
  const { job } = firstCoat(nameless);

  it('is a supply of which there is less than the step takes, and a tool that nobody has', () => {
    const names = toFetch(planOf(nameless), job).map(({ name }) => name);
    const plan = planOf(nameless);
    const short = (job.step?.supplies ?? []).filter(({ supplyKey }) => plan.model.supply(supplyKey).stash === 0);
    const missing = (job.step?.tools ?? []).filter((id) => !plan.model.tool(id).isOwned);
    expect(short.length).toBeGreaterThan(0);
    expect(names).toHaveLength(short.length + missing.length);
    expect(toFetch(plan, job).every(({ trip }) => trip === null)).toBe(true);
  });

  it('is a piece that was only looked at; once hands were at it, it is here', () => {
    const rows = benchRoom();
    const seen = { ...rows, finds: rows.finds.map((one) => ({ ...one, state: 'seen' as const })) };
    expect(toFetch(planOf(seen), job).map(({ name }) => name)).toContain('Oak nightstand');
    const { run } = firstCoat(nameless);
    const begun = following(seen, 'beginStep', { ...run, stepId: 'clean', atMs: AS_OF });
    expect(toFetch(planOf(begun), job).map(({ name }) => name)).not.toContain('Oak nightstand');
  });

  it('is nothing of a step that is done', () => {
    expect(toFetch(planOf(nameless), { ...job, doneAt: 1 })).toEqual([]);
  });
});

describe('what dries, asked without planning', () => {
  it('is what the bench itself says, with the name of the piece', () => {
    const rows = benchRoom();
    const { run } = firstCoat(rows);
    const entry = logEntry({ id: uuid(81), atMs: AS_OF, minutes: 20 });
    const spotRun = { ...run, id: uuid(82), recipeId: null, spotId: uuid(2), stepId: uuid(3), what: 'Wash the wall' };
    const coated = following(rows, 'finishStep', { ...run, atMs: AS_OF - MS_PER_HOUR, entry });
    const both = following(coated, 'finishStep', { ...spotRun, atMs: AS_OF, entry: null });
    for (const [done, later] of [
      [coated, 0],
      [both, 0],
      [both, MS_PER_HOUR],
      [both, 3 * MS_PER_DAY],
      [both, 60 * MS_PER_DAY],
      [rows, 0],
    ] as const) {
      const nowMs = AS_OF + later;
      const plan = computePlan(done, nowMs);
      const bench = benchOfPlan(plan, nowMs);
      const said = dryingOfRuns(plan, nowMs);
      expect(said.map(({ rowName: _, ...drying }) => drying)).toEqual(dryingNow(bench.jobs, bench.problem.now));
      for (const { rowId, rowName } of said) expect(rowName).toBe(bench.rows.find(({ id }) => id === rowId)?.name);
    }
    expect(dryingOfRuns(planOf(both), AS_OF)).toHaveLength(2);
  });

  it('is dry from the moment it was done, not while hands are at it', () => {
    const rows = benchRoom();
    const { run } = firstCoat(rows);
    const running = following(rows, 'beginStep', { ...run, atMs: AS_OF - 5 * MS_PER_MINUTE });
    expect(dryingOfRuns(planOf(running), AS_OF)).toEqual([]);
    expect(benchOf(running).jobs.get(taskIdOf(run))?.doneAt).toBeNull();
  });
});

describe('the air of a step in the log', () => {
  const typed = {
    days: [
      {
        id: uuid(90),
        version: 1,
        date: '2026-06-01',
        hours: Array.from({ length: 24 }, (_, hour) => ({
          airC: hour,
          humidityPercent: 40 + hour,
          windMPerS: 1,
          rainMm: 0,
        })),
        source: 'typed' as const,
        origin: 'the radio',
      },
    ],
    forget: [],
  };
  const rows = following(benchRoom(), 'setWeather', typed);
  const { job } = firstCoat(rows);
  const plan = planOf(rows);
  const zone = rows.project.timeZone;
  const at = (iso: string) => Date.parse(iso);
  const airAt = (atMs: number, place: 'outdoors' | 'indoors') =>
    logOfStep(
      plan,
      { ...job, step: job.step && { ...job.step, place } },
      {
        id: uuid(91),
        atMs,
        minutes: 10,
        people: 1,
        session: 0,
      },
    ).air;

  it('is that of the typed hour, in the open; indoors and on days that are only simulated nobody knows it', () => {
    const localHour = Number(
      new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', hourCycle: 'h23' }).format(
        at('2026-06-01T15:30:00Z'),
      ),
    );
    expect(airAt(at('2026-06-01T15:30:00Z'), 'outdoors')).toEqual({ airC: localHour, humidityPercent: 40 + localHour });
    expect(airAt(at('2026-06-01T15:30:00Z'), 'indoors')).toBeNull();
    expect(airAt(at('2026-06-03T15:30:00Z'), 'outdoors')).toBeNull();
  });
});

describe('hours that the brief gives', () => {
  const rows = benchRoom();
  const capped = (minutes: number): ProjectRows => ({
    ...rows,
    project: {
      ...rows.project,
      workshop: usualWorkshop,
      brief: {
        ...rows.project.brief,
        weeks: ['2026-05-25', '2026-06-01', '2026-06-08', '2026-06-15'].map((monday) => ({ monday, minutes })),
      },
    },
  });

  it('are never over-planned, and what waits for the next week says that they are used up', () => {
    const bench = benchOf(capped(60));
    const schedule = laidBy(bench);
    const [own] = bench.problem.workers;
    if (!own) throw new Error('nobody works');
    const weeks = capUse(bench.problem, schedule, own);
    expect(weeks.length).toBeGreaterThan(2);
    for (const { minutes, usedMinutes } of weeks) expect(usedMinutes).toBeLessThanOrEqual(minutes);
    const chain = decidingChain(bench.problem, schedule);
    expect(chain?.links.some(({ waitsFor }) => waitsFor.kind === 'cap')).toBe(true);
    // With hours enough nothing waits for them.
    const free = benchOf(capped(2400));
    const freeChain = decidingChain(free.problem, laidBy(free));
    expect(freeChain?.links.some(({ waitsFor }) => waitsFor.kind === 'cap')).toBe(false);
  });

  it('keep a task from a gap only where there is one that is long enough', () => {
    const window = { start: 1000, end: 1120 };
    const worker = { id: 'own', windows: [window], caps: [{ start: 0, end: 10_000, minutes: 40 }] };
    const task = benchTask('a', 30, { earliest: 0 });
    const problem = { now: 0, tasks: [task], workers: [worker], places: [], hours: new Map(), deliverables: [] };
    const laid = {
      taskId: 'a',
      workerId: 'own',
      helperIds: [],
      parts: [{ start: 1000, end: 1030 }],
      extraMinutes: 0,
      placeId: null,
    };
    const schedule = { tasks: [laid], sessions: [], unlaid: [], score: { lateMinutes: 0, setUpMinutes: 0, end: 1030 } };
    const asks = (minutes: number, to = 5000) => isCapped(problem, schedule, worker, { from: 0, to, minutes });
    expect(capUse(problem, schedule, worker)[0]?.usedMinutes).toBe(30);
    expect(asks(10)).toBe(false);
    expect(asks(11)).toBe(true);
    // Ninety minutes are left in the window, so longer work is not kept from it by the cap but by the window.
    expect(asks(90)).toBe(true);
    expect(asks(91)).toBe(false);
    expect(asks(11, 1040)).toBe(false);
    expect(endOf(laid) - startOf(laid)).toBe(30);
  });
});

describe('why something finds no time', () => {
  const rows = benchRoom();
  const withWeek = (week: ProjectRows['project']['workshop']['week']) => ({
    ...rows,
    project: { ...rows.project, workshop: { ...usualWorkshop, week } },
  });
  const everyDay = (fromMinute: number, toMinute: number) =>
    Array.from({ length: 7 }, () => (toMinute > fromMinute ? [{ fromMinute, toMinute }] : []));
  const told = (week: ProjectRows['project']['workshop']['week']) => {
    const bench = benchOf(withWeek(week));
    return { bench, why: whyUnlaid(bench.problem, laidBy(bench), bench.jobs) };
  };

  it('is nothing where everything found one, and nobody where nobody has hours', () => {
    expect(told(everyDay(1080, 1200)).why).toEqual([]);
    expect(told(everyDay(0, 0)).why).toEqual([{ kind: 'nobody' }]);
  });

  it('is hours that are too short, told of what begins and not of what only waits for it', () => {
    const { bench, why } = told(everyDay(600, 604));
    const short = why.find((one) => one.kind === 'tooShort');
    expect(short).toMatchObject({ longestMinutes: 4 });
    const task = bench.jobs.get(short && 'taskId' in short ? short.taskId : '')?.task;
    const unlaid = new Set(laidBy(bench).unlaid);
    expect(task?.after.some(({ taskId }) => unlaid.has(taskId))).toBe(false);
  });

  it('is the open, where no hour of it allows it', () => {
    const bench = benchOf(rows);
    const [first] = bench.jobs.values();
    if (!first) throw new Error('an empty room');
    const task = { ...first.task, hoursKey: 'never', fixed: null, after: [] };
    const problem = { ...bench.problem, hours: new Map([['never', []]]), tasks: [task] };
    const jobs = new Map([[task.id, { ...first, task }]]);
    expect(whyUnlaid(problem, { unlaid: [task.id] }, jobs)).toEqual([{ kind: 'outdoors', taskId: task.id }]);
  });
});
