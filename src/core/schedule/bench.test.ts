import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { benchOf, laidBy, benchRoom as room } from '../fixtures/benchRoom';
import { following, uuid } from '../fixtures/following';
import { AS_OF, project } from '../fixtures/projectRows';
import { benchCalendar } from '../formats/calendar/benchDays';
import { computePlan } from '../plan/computePlan';
import { usualWorkshop } from '../state/workshop';
import { stepSubject, taskIdOf } from './benchJobs';
import { endOf, startOf } from './benchProblem';
import { againstWords, chainWords, decidesWords, waitWords } from './benchWords';
import { decidingChain } from './decidingChain';
import { dryingNow } from './dryingNow';
import { blocksOf, daysOf, withinMinutes } from './eveningsOf';
import { expectedAmounts, logOfStep } from './logOfStep';
import { readyMoments } from './scoreOf';
import { verifySchedule } from './verifySchedule';
import { hoursOn, minuteOf, workerWindows } from './workerWindows';

const NEW_YORK = 'America/New_York';
describe('the bench of a plan', () => {
  const bench = benchOf(room());
  const schedule = laidBy(bench);
  const job = (title: string) => [...bench.jobs.values()].find((one) => one.title.startsWith(title));
  const startOfJob = (title: string) => {
    const laid = schedule.tasks.find(({ taskId }) => taskId === job(title)?.task.id);
    return laid ? startOf(laid) : Number.NaN;
  };

  it('has every step of what is chosen, the spot’s tasks, what is sent, and setting it in place', () => {
    const steps = computePlan(room(), AS_OF).chosen.flatMap(({ model }) => model.recipe?.steps ?? []);
    const titles = [...bench.jobs.values()].map(({ title }) => title);
    expect(steps.length).toBeGreaterThan(8);
    for (const step of steps) expect(titles).toContain(step.title);
    expect(titles).toEqual(expect.arrayContaining(['Wash the wall', 'Curtain comes']));
    expect(titles.some((title) => title.startsWith('Assemble and set in place'))).toBe(true);
    expect(bench.rows.map(({ name }) => name)).toEqual([
      'Oak nightstand in teal',
      'Pine stool in teal',
      'Bed wall',
      'Curtain',
    ]);
  });

  it('is laid whole, passes its check, and opens the can for both pieces together', () => {
    expect(schedule.unlaid).toEqual([]);
    expect(verifySchedule(bench.problem, schedule)).toEqual([]);
    const shared = schedule.sessions.filter(({ taskIds }) => {
      const own = new Set(taskIds.map((id) => bench.jobs.get(id)?.task.rowId));
      return own.size > 1;
    });
    expect(shared.length).toBeGreaterThan(0);
  });

  it('hangs what was sent after it came and after the wall is dry', () => {
    const hang = startOfJob('Assemble and set in place');
    expect(hang).toBeGreaterThanOrEqual(startOfJob('Curtain comes'));
    expect(hang).toBeGreaterThanOrEqual(startOfJob('Wash the wall') + 30 + 4 * 60);
    // Three days from June 1, in the afternoon.
    expect(startOfJob('Curtain comes')).toBe(minuteOf('2026-06-04', 17 * 60, NEW_YORK));
  });

  it('keeps each coat from the one before as long as the recipe says', () => {
    for (const { task } of bench.jobs.values())
      for (const { taskId, allowed } of task.after) {
        const [own, other] = [task.id, taskId].map((id) => schedule.tasks.find((one) => one.taskId === id));
        if (!own || !other || allowed.length === 0) continue;
        expect(startOf(own) - endOf(other)).toBeGreaterThanOrEqual(
          Math.min(...allowed.map(({ fromMinutes }) => fromMinutes)),
        );
      }
  });

  it('is ready when the last film is cured as its use asks, and says what decides', () => {
    const ready = readyMoments(bench.problem, schedule.tasks);
    const chain = decidingChain(bench.problem, schedule);
    expect(chain?.ready).toBe(Math.max(...[...ready.values()].map((moment) => moment ?? 0)));
    expect(chain?.links.length).toBeGreaterThan(2);
    const words = chain ? decidesWords(chain, bench.jobs, 'Oak nightstand') : '';
    expect(words).toMatch(/^Oak nightstand decides the end: .*\.$/);
    for (const link of chain?.links ?? []) expect(chainWords(link, bench.jobs)).toMatch(/^(waits|comes|hands|can)/);
  });

  it('with a done recipe plans only what is left of it: nothing', () => {
    const done = room();
    const left = benchOf({ ...done, recipes: done.recipes.map((one) => ({ ...one, doneOn: '2026-05-30' })) });
    expect([...left.jobs.values()].every(({ subject }) => subject?.recipeId === null || subject === null)).toBe(true);
  });

  it('without anybody’s hours lays nothing, and says nothing wrong', () => {
    const nobody = room({
      project: project({ id: uuid(1), workshop: { ...usualWorkshop, week: usualWorkshop.week.map(() => []) } }),
    });
    const idle = benchOf(nobody);
    const none = laidBy(idle);
    expect(none.tasks.every(({ workerId }) => workerId === null)).toBe(true);
    expect(verifySchedule(idle.problem, none)).toEqual([]);
  });

  it('takes what is longer than any evening in parts, and says so', () => {
    const short = usualWorkshop.week.map(() => [{ fromMinute: 1080, toMinute: 1100 }]);
    const cramped = benchOf(room({ project: project({ id: uuid(1), workshop: { ...usualWorkshop, week: short } }) }));
    expect([...cramped.jobs.values()].some(({ isTooLong }) => isTooLong)).toBe(true);
    expect(verifySchedule(cramped.problem, laidBy(cramped))).toEqual([]);
  });
});

describe('steps that are at hand or done', () => {
  const bench = benchOf(room());
  const first = [...bench.jobs.values()].find(({ step }) => step?.kind === 'coat');
  if (!first?.subject) throw new Error('no coat');
  const run = { ...first.subject, id: uuid(80), what: first.title, people: 1, by: '' };
  const HOUR_MS = 3_600_000;
  const doneMs = AS_OF - HOUR_MS;
  const entry = logOfStep(computePlan(room(), AS_OF), first, {
    id: uuid(81),
    atMs: doneMs,
    minutes: 42,
    people: 1,
    session: 0,
  });
  const done = following(room(), 'finishStep', { ...run, atMs: doneMs, entry });

  it('stay where they were, and what follows waits from there', () => {
    const after = benchOf(done);
    const laid = laidBy(after).tasks.find(({ taskId }) => taskId === first.task.id);
    expect(laid && endOf(laid)).toBe(doneMs / 60_000);
    expect(verifySchedule(after.problem, laidBy(after))).toEqual([]);
  });

  it('dry until they may be touched, coated again, handled', () => {
    const [drying] = dryingNow(benchOf(done).jobs, AS_OF / 60_000);
    expect(drying?.taskId).toBe(first.task.id);
    expect(drying?.handle).toBe(doneMs / 60_000 + (first.dries?.handleMinutes ?? 0));
    expect(drying?.next?.from).toBeGreaterThan(doneMs / 60_000);
    expect(dryingNow(benchOf(done).jobs, AS_OF / 60_000 + 90 * 1440)).toEqual([]);
  });

  it('that are at hand hold their worker; what was paused goes on with what is left', () => {
    const begun = following(room(), 'beginStep', { ...run, atMs: AS_OF - 10 * 60_000 });
    const atHand = benchOf(begun).jobs.get(first.task.id)?.task;
    expect(atHand?.fixed).toEqual({
      start: AS_OF / 60_000 - 10,
      end: AS_OF / 60_000 + Math.max(1, first.task.runMinutes - 10),
    });
    const paused = following(begun, 'pauseStep', { runId: uuid(80), atMs: AS_OF - 5 * 60_000 });
    expect(benchOf(paused).jobs.get(first.task.id)?.task).toMatchObject({
      fixed: null,
      runMinutes: Math.max(1, first.task.runMinutes - 5),
    });
  });

  it('leave a line with what was expected, however much the log has taught meanwhile', () => {
    expect(entry).toMatchObject({
      minutes: 42,
      recipeName: 'Oak nightstand in teal',
      projectName: 'Attic bedroom',
      counts: true,
    });
    const lines = [1, 2, 3].map((n) => ({ ...entry, id: uuid(90 + n), minutes: entry.expectedMinutes * 2 }));
    const taught = { ...room(), logEntries: lines };
    const slower = benchOf(taught).jobs.get(first.task.id);
    expect(slower?.task.runMinutes).toBeGreaterThan(first.task.runMinutes);
    if (!slower) return;
    const again = logOfStep(computePlan(taught, AS_OF), slower, {
      id: uuid(99),
      atMs: AS_OF,
      minutes: 1,
      people: 1,
      session: 0,
    });
    // Minutes are whole at the bench, so that the two agree to about one.
    expect(Math.abs(again.expectedMinutes - entry.expectedMinutes)).toBeLessThan(1.5);
    expect(expectedAmounts(computePlan(taught, AS_OF), slower)[0]?.expected).toBeGreaterThan(0);
  });
});

describe('evenings, spare minutes, the calendar', () => {
  const bench = benchOf(room());
  const schedule = laidBy(bench);
  const blocks = blocksOf(schedule, bench.jobs);

  it('lists every task that takes time once, day by day, sessions whole', () => {
    const inBlocks = blocks.flatMap(({ tasks }) => tasks.map(({ job }) => job.task.id));
    const laid = schedule.tasks
      .filter(({ parts }) => parts.some(({ start, end }) => end > start))
      .map(({ taskId }) => taskId);
    expect(new Set(inBlocks)).toEqual(new Set([...laid, ...inBlocks]));
    const days = daysOf(blocks, NEW_YORK);
    expect(days.map(({ date }) => date)).toEqual([...days.map(({ date }) => date)].sort());
    expect(days[0]?.date).toBe('2026-06-01');
  });

  it('knows what can be done in twenty minutes: nothing that waits, needs a can, or is longer', () => {
    const spare = withinMinutes(schedule, bench.jobs, AS_OF / 60_000, 20);
    expect(spare.length).toBeGreaterThan(0);
    for (const { task } of spare) expect([task.runMinutes <= 20, task.batch]).toEqual([true, null]);
    expect(withinMinutes(schedule, bench.jobs, AS_OF / 60_000, 0)).toEqual([]);
  });

  it('goes into a calendar file that a parser reads again, to the minute', () => {
    const file = benchCalendar(
      'Attic bedroom',
      blocks,
      (id) => bench.rows.find((row) => row.id === id)?.name ?? '',
      AS_OF,
    );
    const events = new ICAL.Component(ICAL.parse(file))
      .getAllSubcomponents('vevent')
      .map((event) => new ICAL.Event(event));
    const timed = blocks.filter(({ start, end }) => end > start);
    expect(events.map(({ startDate }) => startDate.toJSDate().getTime() / 60_000).sort()).toEqual(
      timed.map(({ start }) => start).sort(),
    );
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    for (const line of file.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  });
});

describe('whose hours', () => {
  it('an evening stays an evening when the clocks change (New York, March 8 2026)', () => {
    const windows = workerWindows(usualWorkshop, { from: '2026-03-06', days: 5, now: 0, timeZone: NEW_YORK });
    expect(windows.map(({ start }) => new Date(start * 60_000).toISOString().slice(5, 16))).toEqual([
      '03-06T23:00',
      '03-07T15:00',
      '03-08T14:00',
      '03-09T22:00',
      '03-10T22:00',
    ]);
  });

  it('a day that differs takes the place of its weekday, hours that overlap count once, and nothing lies before now', () => {
    const hours = {
      week: usualWorkshop.week,
      exceptions: [
        { date: '2026-06-02', hours: [], note: '' },
        {
          date: '2026-06-03',
          hours: [
            { fromMinute: 540, toMinute: 660 },
            { fromMinute: 600, toMinute: 720 },
          ],
          note: '',
        },
      ],
    };
    expect(hoursOn(hours, '2026-06-02')).toEqual([]);
    const now = minuteOf('2026-06-01', 1110, NEW_YORK);
    const windows = workerWindows(hours, { from: '2026-06-01', days: 3, now, timeZone: NEW_YORK });
    expect(windows.map(({ start, end }) => end - start)).toEqual([90, 180]);
  });
});

describe('words of the bench', () => {
  it('say waits the way they are said', () => {
    expect([45, 240, 2 * 1440, 1440 * 9].map(waitWords)).toEqual(['45 min', '4 h', '2 days', '9 days']);
  });

  it('say why an hour is none', () => {
    const words = {
      temperature: (c: number) => `${c}°`,
      difference: (c: number) => `${c}°`,
      wind: (m: number) => `${m} m/s`,
    };
    expect(againstWords({ kind: 'rain', inHours: 0 }, words)).toBe('rain');
    expect(againstWords({ kind: 'rain', inHours: 2 }, words)).toBe('rain within 2 h');
    expect(againstWords({ kind: 'night', lowC: 6, leastC: 10 }, words)).toBe('a cold night after it: 6°, at least 10°');
  });

  it('name a task by what it is of', () => {
    expect(taskIdOf(stepSubject('r', 'clean'))).toBe('step r clean');
  });
});
