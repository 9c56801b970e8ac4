import {
  type BenchProblem,
  type BenchTask,
  type Minute,
  type ScheduleScore,
  type Stretch,
  sessionMinutes,
  type Worker,
} from './benchProblem';
import { inOrder, type TaskGraph, taskGraph } from './taskGraph';

/**
 * What no schedule can be better than, figure by figure: each deliverable as if its tasks were the only ones, with free
 * hands for all of them, nothing to set up and room for everything; the whole by the hours that all of it takes; each batch
 * key opened at least as often as coats of one row must lie in different windows.
 */
export function lowerBound(problem: BenchProblem, graph: TaskGraph = taskGraph(problem)): ScheduleScore {
  const ready = readyAlone(problem, graph);
  let lateMinutes = 0;
  let end = whenWorkedOff(problem);
  for (const { id, weight, due } of problem.deliverables) {
    const at = ready.get(id) ?? problem.now;
    end = Math.max(end, at);
    if (due !== null) lateMinutes += weight * Math.max(0, at - due);
  }
  return { lateMinutes, setUpMinutes: leastSetUpMinutes(problem, graph), end };
}

/** The earliest that each deliverable can be ready when nothing else is in its way; by its id. */
export function readyAlone(problem: BenchProblem, graph: TaskGraph = taskGraph(problem)): Map<string, Minute> {
  const ends = earliestEnds(problem, graph);
  return new Map(
    problem.deliverables.map(({ id, ends: last }) => {
      const moments = last.map(({ taskId, waitMinutes }) => {
        const n = graph.numberOf.get(taskId);
        return (n === undefined ? problem.now : (ends[n] ?? problem.now)) + waitMinutes;
      });
      return [id, Math.max(problem.now, ...moments)];
    }),
  );
}

/** Each task's earliest end behind those that it follows, by its number. */
function earliestEnds(problem: BenchProblem, graph: TaskGraph): Minute[] {
  const ends: Minute[] = graph.tasks.map(() => problem.now);
  const order = inOrder(
    graph,
    graph.tasks.map(() => 0),
  );
  for (const n of order) {
    const task = graph.tasks[n] as BenchTask;
    if (task.fixed) {
      ends[n] = task.fixed.end;
      continue;
    }
    const waits = (graph.links[n] ?? []).map(({ before, allowed }) => {
      const least = allowed.length === 0 ? 0 : Math.min(...allowed.map(({ fromMinutes }) => fromMinutes));
      return (ends[before] ?? problem.now) + least;
    });
    const release = Math.max(problem.now, task.earliest, ...waits);
    ends[n] = earliestEnd(problem, task, release);
  }
  return ends;
}

/** The earliest end of a task alone from a moment on; the moment and its minutes where no window is long enough. */
function earliestEnd(problem: BenchProblem, task: BenchTask, release: Minute): Minute {
  const hours = task.hoursKey === null ? null : (problem.hours.get(task.hoursKey) ?? []);
  if (task.runMinutes === 0 && !task.batch) return firstFit(hours ?? [{ start: release, end: release }], release, 0);
  const ends = problem.workers.map((worker) =>
    task.chunkMinutes === null
      ? firstFit(hours ? overlap(worker.windows, hours) : worker.windows, release, task.runMinutes)
      : // What may be shared takes as long as if all hands were at it.
        endInParts(worker, release, Math.ceil(task.runMinutes / problem.workers.length)),
  );
  const best = Math.min(...ends);
  return Number.isFinite(best) ? best : release + task.runMinutes;
}

function firstFit(stretches: readonly Stretch[], release: Minute, minutes: number): Minute {
  for (const { start, end } of stretches) {
    const from = Math.max(start, release);
    if (from + minutes <= end) return from + minutes;
  }
  return Number.POSITIVE_INFINITY;
}

function endInParts({ windows }: Worker, release: Minute, minutes: number): Minute {
  let left = minutes;
  for (const { start, end } of windows) {
    const from = Math.max(start, release);
    if (end <= from) continue;
    if (end - from >= left) return from + left;
    left -= end - from;
  }
  return Number.POSITIVE_INFINITY;
}

/** What two lists of stretches, each in order, have in common. */
function overlap(a: readonly Stretch[], b: readonly Stretch[]): Stretch[] {
  const found: Stretch[] = [];
  let n = 0;
  for (const one of a) {
    while (n > 0 && (b[n - 1] as Stretch).end > one.start) n -= 1;
    for (; n < b.length && (b[n] as Stretch).start < one.end; n += 1) {
      const start = Math.max(one.start, (b[n] as Stretch).start);
      const end = Math.min(one.end, (b[n] as Stretch).end);
      if (end > start) found.push({ start, end });
    }
  }
  return found;
}

/** When all hands together could have done all that is left, without a pause. */
function whenWorkedOff(problem: BenchProblem): Minute {
  let left = problem.tasks.reduce((sum, task) => sum + (task.fixed ? 0 : task.runMinutes), 0);
  if (left === 0) return problem.now;
  const edges = problem.workers
    .flatMap(({ windows }) => windows.flatMap(({ start, end }) => [[start, 1] as const, [end, -1] as const]))
    .map(([moment, step]) => [Math.max(problem.now, moment), step] as const)
    .sort((a, b) => a[0] - b[0]);
  let hands = 0;
  let from = problem.now;
  for (const [moment, step] of edges) {
    const done = hands * (moment - from);
    if (hands > 0 && done >= left) return from + Math.ceil(left / hands);
    left -= done;
    from = moment;
    hands += step;
  }
  return from;
}

/** Minutes of set-up and clean-up that no schedule saves: tasks further apart than any window is long share none. */
function leastSetUpMinutes(problem: BenchProblem, graph: TaskGraph): number {
  const longest = Math.max(
    0,
    ...problem.workers.flatMap(({ windows }) => windows.map(({ start, end }) => end - start)),
  );
  const order = inOrder(
    graph,
    graph.tasks.map(() => 0),
  );
  const rows = new Map<string, number[]>();
  for (const n of order) {
    const { rowId, batch, fixed } = graph.tasks[n] as BenchTask;
    if (!batch || fixed) continue;
    const key = `${batch.key}\n${rowId}`;
    rows.set(key, [...(rows.get(key) ?? []), n]);
  }
  const least = new Map<string, { sessions: number; minutes: number }>();
  for (const numbers of rows.values()) {
    const { batch } = graph.tasks[numbers[0] as number] as BenchTask;
    if (!batch) continue;
    const sessions = apart(graph, order, numbers, longest);
    const minutes = Math.min(...numbers.map((n) => sessionMinutes(graph.tasks[n]?.batch)));
    const known = least.get(batch.key);
    least.set(batch.key, {
      sessions: Math.max(known?.sessions ?? 0, sessions),
      minutes: Math.min(known?.minutes ?? minutes, minutes),
    });
  }
  return [...least.values()].reduce((sum, { sessions, minutes }) => sum + sessions * minutes, 0);
}

/** How many of the tasks, in order, cannot lie in one window with the one before. */
function apart(graph: TaskGraph, order: readonly number[], numbers: readonly number[], longest: number): number {
  let count = 0;
  let lags: Map<number, number> | null = null;
  for (const n of numbers) {
    if (lags && (lags.get(n) ?? 0) <= longest) continue;
    count += 1;
    lags = lagsFrom(graph, order, n);
  }
  return count;
}

/** The least minutes from the start of a task to the start of each that follows it, directly or not. */
function lagsFrom(graph: TaskGraph, order: readonly number[], from: number): Map<number, number> {
  const lags = new Map([[from, 0]]);
  for (const n of order)
    for (const { before, allowed } of graph.links[n] ?? []) {
      const lag = lags.get(before);
      if (lag === undefined) continue;
      const wait = allowed.length === 0 ? 0 : Math.min(...allowed.map(({ fromMinutes }) => fromMinutes));
      lags.set(n, Math.max(lags.get(n) ?? 0, lag + (graph.tasks[before]?.runMinutes ?? 0) + wait));
    }
  return lags;
}
