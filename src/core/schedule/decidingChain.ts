import {
  type BenchProblem,
  type BenchSchedule,
  type BenchTask,
  endOf,
  type LaidTask,
  type Minute,
  sessionMinutes,
  startOf,
} from './benchProblem';
import { isCapped } from './busyHours';

/** Why a task begins when it does and not sooner. */
export type WaitsFor =
  | { kind: 'after'; taskId: string; waitMinutes: number }
  | { kind: 'hands'; taskId: string }
  | { kind: 'window' }
  | { kind: 'cap' }
  | { kind: 'weather' }
  | { kind: 'arrival' }
  | { kind: 'now' };

/** A task of the chain, with what it waits for. */
export interface ChainLink {
  taskId: string;
  start: Minute;
  end: Minute;
  waitsFor: WaitsFor;
}

/** The deliverable that is ready last, and the tasks that decide it, the first one first. */
export interface DecidingChain {
  deliverableId: string;
  ready: Minute;
  /** What the last task waits for afterwards, minutes: curing. */
  curingMinutes: number;
  links: readonly ChainLink[];
}

/**
 * The chain that decides when all is ready: from the deliverable that is ready last back through what each task waits for.
 * @returns null where nothing is to be done
 */
export function decidingChain(problem: BenchProblem, schedule: BenchSchedule): DecidingChain | null {
  const laid = new Map(schedule.tasks.map((task) => [task.taskId, task]));
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  let last: { deliverableId: string; taskId: string; ready: Minute; curingMinutes: number } | null = null;
  for (const { id, ends } of problem.deliverables)
    for (const { taskId, waitMinutes } of ends) {
      const at = laid.get(taskId);
      if (!at) continue;
      const ready = endOf(at) + waitMinutes;
      if (!last || ready > last.ready) last = { deliverableId: id, taskId, ready, curingMinutes: waitMinutes };
    }
  if (!last) return null;
  const links: ChainLink[] = [];
  const seen = new Set<string>();
  for (let taskId: string | null = last.taskId; taskId !== null && !seen.has(taskId); ) {
    seen.add(taskId);
    const at = laid.get(taskId);
    const task = tasks.get(taskId);
    if (!at || !task) break;
    const waitsFor = whyThen(problem, schedule, task, at, laid);
    links.unshift({ taskId, start: startOf(at), end: endOf(at), waitsFor });
    taskId = 'taskId' in waitsFor ? waitsFor.taskId : null;
  }
  return { deliverableId: last.deliverableId, ready: last.ready, curingMinutes: last.curingMinutes, links };
}

function whyThen(
  problem: BenchProblem,
  schedule: BenchSchedule,
  task: BenchTask,
  at: LaidTask,
  laid: ReadonlyMap<string, LaidTask>,
): WaitsFor {
  const start = startOf(at);
  if (task.fixed) return { kind: 'now' };
  const worker = problem.workers.find(({ id }) => id === at.workerId);
  const window = worker?.windows.find((one) => one.start <= start && start < one.end);
  const session = schedule.sessions.find(({ taskIds }) => taskIds.includes(task.id));
  const begins = session?.taskIds[0] === task.id ? session.start : start;
  // What it follows, where that was over so late that no earlier window would have done.
  const pressing = task.after
    .flatMap(({ taskId, allowed }) => {
      const other = laid.get(taskId);
      if (!other) return [];
      const gap = start - endOf(other);
      const waits = allowed.filter(({ fromMinutes }) => fromMinutes <= gap).map(({ fromMinutes }) => fromMinutes);
      const waitMinutes = waits.length > 0 ? Math.max(...waits) : 0;
      return [{ taskId, waitMinutes, free: endOf(other) + waitMinutes }];
    })
    .sort((a, b) => b.free - a.free)[0];
  if (pressing && window && pressing.free >= window.start)
    return { kind: 'after', taskId: pressing.taskId, waitMinutes: pressing.waitMinutes };
  const before = schedule.tasks
    .filter((other) => other.taskId !== task.id && other.workerId === at.workerId && other.workerId !== null)
    .filter((other) => window && endOf(other) <= start && endOf(other) >= window.start)
    .sort((a, b) => endOf(b) - endOf(a))[0];
  if (before && begins - endOf(before) < 30) return { kind: 'hands', taskId: before.taskId };
  const from = Math.max(problem.now, task.earliest, pressing?.free ?? 0);
  const minutes = task.chunkMinutes ?? task.runMinutes + sessionMinutes(task.batch);
  if (worker && isCapped(problem, schedule, worker, { from, to: begins, minutes })) return { kind: 'cap' };
  if (task.hoursKey !== null && !(problem.hours.get(task.hoursKey) ?? []).some((one) => one.start < start))
    return { kind: 'weather' };
  if (pressing) return { kind: 'after', taskId: pressing.taskId, waitMinutes: pressing.waitMinutes };
  if (task.earliest > problem.now && task.earliest >= start - 1440) return { kind: 'arrival' };
  return window && begins <= window.start ? { kind: 'window' } : { kind: 'now' };
}
