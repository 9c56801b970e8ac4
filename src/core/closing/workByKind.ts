import { dateAfter } from '../calendar/localDates';
import { weekdayOf } from '../calendar/recurrence';
import { localDate } from '../calendar/zonedTime';
import { fromMicro } from '../kernel/micro';
import { MS_PER_MINUTE } from '../kernel/units';
import { learnFactors } from '../log/learnFactors';
import { workName } from '../log/logSummary';
import type { Plan } from '../plan/computePlan';
import { taskIdOf } from '../schedule/benchJobs';
import { benchOfPlan } from '../schedule/benchOfPlan';
import { workKeyOf } from '../schedule/logOfStep';
import { workDone } from './workEntries';

/** Setting up, cleaning up and being on the way, which no step has for itself while it is planned. */
export const BESIDES = 'besides';
/** What was worked and nobody logged. */
export const UNLOGGED = 'unlogged';

const besidesNames: Readonly<Record<string, string>> = {
  [BESIDES]: 'setting up, cleaning up, on the way',
  [UNLOGGED]: 'done and not logged',
};

/** What a kind of work is called here. */
export const nameOfWork = (work: string): string => besidesNames[work] ?? workName(work);

/** Hands-on minutes of one kind of work. */
export interface WorkOfKind {
  work: string;
  done: number;
  toGo: number;
}

/**
 * The work of a project by kind, most minutes first: what was done by its lines of the log, what is to do by the steps of
 * the bench. All kinds together are the hands of the purse.
 */
export function workByKind(plan: Plan): WorkOfKind[] {
  const bench = benchOfPlan(plan);
  const kinds = new Map<string, WorkOfKind>();
  const of = (work: string) => {
    const known = kinds.get(work) ?? { work, done: 0, toGo: 0 };
    kinds.set(work, known);
    return known;
  };
  let logged = 0;
  for (const { run, entry, minutes } of workDone(plan)) {
    const job = bench.jobs.get(taskIdOf(run));
    of(entry?.work ?? (job ? workKeyOf(plan, job) : UNLOGGED)).done += minutes;
    logged += minutes;
  }
  const { doneMinutes, planned } = plan.purse.hands;
  if (doneMinutes - logged > 0.5) of(UNLOGGED).done += doneMinutes - logged;
  let toGo = 0;
  const add = (work: string, more: number) => {
    of(work).toGo += more;
    toGo += more;
  };
  const open = [...bench.jobs.values()].filter(
    ({ doneAt, subject, task }) => doneAt === null && subject !== null && task.runMinutes > 0,
  );
  for (const job of open) add(workKeyOf(plan, job), job.task.runMinutes);
  // Setting up and cleaning up goes with what it is for, as it does in the log.
  for (const { pool, draw, cost } of plan.sums.lines) {
    const own =
      pool.kind === 'session'
        ? open.filter(
            ({ task, step }) => task.batch !== null && step?.supplies.some((one) => one.supplyKey === draw.key),
          )
        : [];
    const run = own.reduce((sum, { task }) => sum + task.runMinutes, 0);
    for (const job of own)
      add(workKeyOf(plan, job), (fromMicro(cost.handsMicro) * job.task.runMinutes) / Math.max(run, 1e-9));
  }
  // The bench works in whole minutes: what that makes too much comes off everything.
  if (toGo > planned.likely) for (const kind of kinds.values()) kind.toGo *= planned.likely / toGo;
  else if (planned.likely - toGo > 0.5) of(BESIDES).toGo += planned.likely - toGo;
  return [...kinds.values()].sort((a, b) => b.done + b.toGo - a.done - a.toGo || (a.work < b.work ? -1 : 1));
}

/** Hands-on minutes of a week. */
export interface WorkOfWeek {
  monday: string;
  minutes: number;
}

/** The Monday of the week that a local date lies in. */
export const mondayOf = (date: string): string => dateAfter(date, 1 - weekdayOf(date));

/** Minutes by the Monday of their week, the earliest first. */
function byWeek(entries: readonly { atMs: number; minutes: number }[], timeZone: string): WorkOfWeek[] {
  const weeks = new Map<string, number>();
  for (const { atMs, minutes } of entries) {
    const monday = mondayOf(localDate(atMs, timeZone));
    weeks.set(monday, (weeks.get(monday) ?? 0) + minutes);
  }
  return [...weeks].map(([monday, minutes]) => ({ monday, minutes })).sort((a, b) => (a.monday < b.monday ? -1 : 1));
}

/** What was worked, week by week. */
export const workDoneByWeek = (plan: Plan): WorkOfWeek[] =>
  byWeek(
    workDone(plan).map(({ run, entry, minutes }) => ({ atMs: run.doneMs ?? entry?.atMs ?? plan.asOfMs, minutes })),
    plan.rows.project.timeZone,
  );

/** What was worked, and what still lies ahead by the bench plan that was kept; nothing ahead where none was kept. */
export function workPlannedByWeek(plan: Plan): WorkOfWeek[] {
  const { benchPlans, stepRuns, project } = plan.rows;
  const done = new Set(stepRuns.filter(({ state }) => state === 'done').map(taskIdOf));
  const ahead = benchPlans
    .flatMap(({ placed }) => placed)
    .filter((one) => !done.has(taskIdOf(one)))
    .map(({ atMs, untilMs, workerIds }) => ({
      atMs,
      minutes: ((untilMs - atMs) / MS_PER_MINUTE) * Math.max(1, workerIds?.length ?? 1),
    }));
  const did = workDone(plan).map(({ run, minutes }) => ({ atMs: run.doneMs ?? plan.asOfMs, minutes }));
  return byWeek([...did, ...ahead], project.timeZone);
}

/** What the lines of a project taught: the factor of a kind of work without them, and with them. */
export interface TaughtFactor {
  work: string;
  before: number;
  after: number;
  entries: number;
}

/**
 * Which factors learned from a project, those that moved most first.
 * @returns only those of which enough is logged by now to count
 */
export function taughtFactors(plan: Plan): TaughtFactor[] {
  const { logEntries } = plan.rows;
  const own = new Set(workDone(plan).flatMap(({ entry }) => (entry?.counts ? [entry.id] : [])));
  const before = learnFactors(logEntries.filter(({ id }) => !own.has(id)));
  const after = learnFactors(logEntries);
  const works = new Set(logEntries.filter(({ id }) => own.has(id)).map(({ work }) => work));
  return [...works]
    .flatMap((work): TaughtFactor[] => {
      const learned = after.minutesOf(work);
      if (!learned || learned.isOfAll) return [];
      return [{ work, before: before.minutesOf(work)?.factor ?? 1, after: learned.factor, entries: learned.entries }];
    })
    .sort((a, b) => Math.abs(Math.log(b.after / b.before)) - Math.abs(Math.log(a.after / a.before)));
}
