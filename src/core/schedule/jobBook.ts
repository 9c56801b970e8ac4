import { dateAfter } from '../calendar/localDates';
import { placeOutdoors } from '../calendar/weather/placeOutdoors';
import type { Forecast } from '../calendar/weather/weatherHour';
import { dayBegins, localDate } from '../calendar/zonedTime';
import { MS_PER_DAY, MS_PER_MINUTE } from '../kernel/units';
import type { StepRunRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import type { Step } from '../state/step';
import { type BenchJob, type BenchRow, taskIdOf } from './benchJobs';
import { type BenchTask, type Follows, type Minute, type Stretch, sessionMinutes, type Worker } from './benchProblem';
import { forecastOf } from './forecastOf';
import { goodHours } from './goodHours';
import { minuteOf, workerWindows } from './workerWindows';

/** How far a plan looks ahead at the least, and beyond the reveal. */
const LEAST_DAYS = 56;
const DAYS_AFTER_REVEAL = 42;
const MOST_DAYS = 370;
/** What is too long for any window is taken in halves of an hour. */
const CHUNK_OF_TOO_LONG = 30;
/** Whose hours the project's own are. */
export const OWN_HANDS = 'own';

/** That something may begin so many minutes after a task, and any time later. */
export const openAfter = (taskId: string, minutes: number): Follows => ({
  taskId,
  allowed: [{ fromMinutes: Math.ceil(minutes), toMinutes: null, extraMinutes: 0 }],
});

/** A task while it is written down: what is usual of it may be left out. */
export type NewJob = Omit<BenchJob, 'task' | 'isTooLong' | 'doneAt'> & {
  task: Omit<BenchTask, 'fixed' | 'earliest' | 'ratherAfter'> & Partial<BenchTask>;
};

/** Nothing of a recipe's step about it. */
export const plainJob = { hint: '', step: null, color: null, dries: null } as const;

/** The tasks of a bench while they are gathered, with the hours in which they can be done. */
export class JobBook {
  readonly plan: Plan;
  readonly nowMs: number;
  readonly now: Minute;
  readonly timeZone: string;
  readonly today: string;
  readonly days: number;
  readonly overhead: number;
  readonly longestMinutes: number;
  readonly workers: Worker[];
  readonly jobs = new Map<string, BenchJob>();
  readonly rows = new Map<string, BenchRow>();
  readonly hours = new Map<string, Stretch[]>();
  readonly forecast: Forecast;
  readonly runs: ReadonlyMap<string, StepRunRow>;
  /** The last tasks of each recipe or spot, each with what it waits afterwards. */
  readonly lastOf = new Map<string, Follows[]>();

  constructor(plan: Plan, nowMs: number) {
    this.plan = plan;
    this.nowMs = nowMs;
    const { project, weatherDays, stepRuns } = plan.rows;
    this.now = Math.ceil(nowMs / MS_PER_MINUTE);
    this.timeZone = project.timeZone;
    this.today = localDate(nowMs, this.timeZone);
    const untilReveal = project.revealDate
      ? Math.ceil((dayBegins(project.revealDate, this.timeZone) - nowMs) / MS_PER_DAY)
      : 0;
    this.days = Math.min(MOST_DAYS, Math.max(LEAST_DAYS, untilReveal + DAYS_AFTER_REVEAL));
    this.overhead = 1 + plan.assumptions.number('labor.overheadPercent') / 100;
    const { workshop, brief } = project;
    const stretch = { from: this.today, days: this.days, now: this.now, timeZone: this.timeZone };
    const caps = brief.weeks.map(({ monday, minutes }) => ({
      start: minuteOf(monday, 0, this.timeZone),
      end: minuteOf(dateAfter(monday, 7), 0, this.timeZone),
      minutes,
    }));
    this.workers = [
      { id: OWN_HANDS, windows: workerWindows(workshop, stretch), caps },
      ...workshop.helpers.map((helper) => ({ id: helper.id, windows: workerWindows(helper, stretch), caps: [] })),
    ];
    this.longestMinutes = Math.max(
      0,
      ...this.workers.flatMap(({ windows }) => windows.map(({ start, end }) => end - start)),
    );
    this.forecast = forecastOf(project, weatherDays);
    this.runs = new Map(stepRuns.map((run) => [taskIdOf(run), run]));
  }

  /** A row of the line; gives its id. */
  row(row: BenchRow): string {
    if (!this.rows.has(row.id)) this.rows.set(row.id, row);
    return row.id;
  }

  /** The row of a recipe. */
  recipeRow(recipeId: string): string {
    const name = this.plan.rows.recipes.find(({ id }) => id === recipeId)?.name ?? '';
    return this.row({ id: `recipe ${recipeId}`, name, kind: 'recipe', ofId: recipeId });
  }

  /** Writes a task down, with what was done of it already. */
  add(job: NewJob): void {
    const { task } = job;
    const withBatch = task.runMinutes + sessionMinutes(task.batch);
    const isTooLong = task.chunkMinutes === null && task.runMinutes > 0 && withBatch > this.longestMinutes;
    const shape = isTooLong ? { runMinutes: withBatch, batch: null, chunkMinutes: CHUNK_OF_TOO_LONG } : {};
    const whole: BenchTask = { earliest: this.now, fixed: null, ratherAfter: [], ...task, ...shape };
    const withRunOf = this.withRun(whole);
    const isDone = this.runs.get(task.id)?.state === 'done';
    this.jobs.set(task.id, {
      ...job,
      isTooLong,
      doneAt: isDone ? (withRunOf.fixed?.end ?? null) : null,
      task: withRunOf,
    });
  }

  /** A task with what was done of it: what is done lies where it was, what is at hand goes on now. */
  withRun(task: BenchTask): BenchTask {
    const run = this.runs.get(task.id);
    const first = run?.stretches[0];
    if (!run || !first) return task;
    const minute = (ms: number) => Math.round(ms / MS_PER_MINUTE);
    const start = minute(first.startMs);
    if (run.state === 'done') {
      const end = Math.max(start, minute(run.doneMs ?? first.startMs));
      return { ...task, fixed: { start, end }, batch: null, hoursKey: null };
    }
    const worked = run.stretches.reduce(
      (sum, stretch) => sum + Math.max(0, minute(stretch.endMs ?? this.nowMs) - minute(stretch.startMs)),
      0,
    );
    const left = Math.max(1, task.runMinutes - worked);
    if (run.state === 'running')
      return { ...task, fixed: { start, end: this.now + left }, batch: null, hoursKey: null };
    return { ...task, runMinutes: left };
  }

  /** Hands-on minutes with the overhead, in whole ones. */
  minutes(handsOn: number): number {
    return Math.ceil(handsOn * this.overhead - 1e-9);
  }

  /** Hours in the open that a step may run in; each kind of limits is looked up once. */
  hoursKey({ limits }: Step): string {
    const key = JSON.stringify(limits);
    if (!this.hours.has(key)) {
      const place = placeOutdoors(this.plan.rows.project.workshop);
      const stretch = { from: this.today, days: this.days, timeZone: this.timeZone };
      this.hours.set(key, goodHours(this.forecast, limits, place, stretch));
    }
    return key;
  }
}
