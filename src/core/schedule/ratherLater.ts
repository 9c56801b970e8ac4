import type { BenchProblem, BenchTask, Minute } from './benchProblem';
import type { FreeHands } from './freeHands';
import type { Put } from './put';
import type { TaskGraph } from './taskGraph';

/** Tasks as they lie so far, by their number, and what it takes to move one that is done without a session. */
export interface Lying {
  put: readonly (Put | null)[];
  hands: FreeHands;
  /** Takes a task out of the hours that it lies in. */
  takeOut: (n: number, put: Put) => void;
  /** Lays it there. */
  layAt: (n: number, put: Put) => void;
}

/**
 * Moves what would rather come after other work to the first time after it, where nothing is less in time or ready later
 * as a whole for it: what is only set in place is set there when the dust of its spot has settled. Only what nothing else
 * waits for is moved, and not what is held where it was.
 */
export function ratherLater(
  problem: BenchProblem,
  graph: TaskGraph,
  lying: Lying,
  isHeld: (n: number) => boolean,
): void {
  const { tasks, numberOf, links, following } = graph;
  const endAt = (taskId: string) => lying.put[numberOf.get(taskId) ?? -1]?.end;
  const moves = tasks.flatMap((task, n) => {
    const put = lying.put[n];
    if (!put || task.ratherAfter.length === 0 || task.fixed || isHeld(n)) return [];
    if (task.batch || task.hold || (following[n] ?? []).length > 0) return [];
    const others = task.ratherAfter.flatMap((taskId) => endAt(taskId) ?? []).filter((end) => end > put.start);
    return others.length > 0 ? [{ n, task, put, others: others.sort((a, b) => a - b) }] : [];
  });
  if (moves.length === 0) return;
  const latest = latestEnds(problem, lying, numberOf);
  for (const { n, task, put, others } of moves) {
    lying.takeOut(n, put);
    const last = latest.get(task.id) ?? put.end;
    // After all of them; else after as many as leave it in time.
    let chosen = put;
    for (let count = others.length; count > 0 && chosen === put; count = Math.floor(count / 2)) {
      const wanted = others[count - 1] as Minute;
      const later = wanted > last ? null : lying.hands.earliest(task, wanted, links[n] ?? []);
      if (later && later.end <= last) chosen = later;
    }
    lying.layAt(n, chosen);
  }
}

/** The latest that each task may end with what waits for it no later than its day, or than it is ready now; by its id. */
function latestEnds(
  problem: BenchProblem,
  { put }: Lying,
  numberOf: TaskGraph['numberOf'],
): ReadonlyMap<BenchTask['id'], Minute> {
  const ready = problem.deliverables.map(({ ends }) =>
    Math.max(
      problem.now,
      ...ends.map(({ taskId, waitMinutes }) => {
        const at = put[numberOf.get(taskId) ?? -1];
        return at ? at.end + waitMinutes : Number.NEGATIVE_INFINITY;
      }),
    ),
  );
  const last = Math.max(problem.now, ...ready);
  const latest = new Map<string, Minute>();
  problem.deliverables.forEach(({ due, ends }, d) => {
    const mayBeReady = Math.min(last, Math.max(due ?? last, ready[d] ?? last));
    for (const { taskId, waitMinutes } of ends)
      latest.set(taskId, Math.min(latest.get(taskId) ?? Number.POSITIVE_INFINITY, mayBeReady - waitMinutes));
  });
  return latest;
}
