import {
  type BenchProblem,
  type BenchSchedule,
  isBetter,
  type Minute,
  type ScheduleScore,
  startOf,
} from './benchProblem';
import type { KeptHands } from './freeHands';
import { firstSchedule } from './improveSchedule';
import { layTasks } from './layTasks';
import { type TaskGraph, taskGraph } from './taskGraph';

/** Where a task lay in the plan that is kept. */
export interface KeptPlace {
  taskId: string;
  start: Minute;
  end: Minute;
  /** Put there by hand: it begins no earlier, however much room there is. */
  isPinned: boolean;
  /** Whose hands were at it; empty where nobody's were, or nobody knows. */
  workerIds: readonly string[];
}

/** What is planned for the coming day is moved only where it would be late otherwise. */
const SETTLED_MINUTES = 1440;
const WORTH_MINUTES = 720;

/**
 * Plans anew from a plan that is kept: what is done or at hand stays where it is; what cannot begin any more is begun
 * later, and what follows moves with it and no more. What is further away than a day may also be done sooner where that is
 * better; what is planned for the coming day only where less is late then. Where nothing has to move all stays.
 * @returns the plan, and how many tasks lie elsewhere than they were kept
 */
export function replan(
  problem: BenchProblem,
  kept: readonly KeptPlace[],
  graph: TaskGraph = taskGraph(problem),
): { schedule: BenchSchedule; moved: number } {
  const lay = (holds: (place: KeptPlace) => boolean) => layKept(problem, kept, graph, holds);
  const settled = settle(problem, kept, graph);
  // Where nothing has to move nothing does: a better plan is offered, not taken.
  if (movedFrom(problem, kept, settled) === 0) return { schedule: settled, moved: 0 };
  const later = lay(({ start }) => start < problem.now + SETTLED_MINUTES);
  const byKeptOrder = lay(() => false);
  // What was put somewhere by hand stays there, so that nothing is planned as if it were not.
  const free = kept.some(({ isPinned }) => isPinned) ? byKeptOrder : freely(problem, graph, byKeptOrder);
  const best = isWorthMoving(later.score, settled.score) ? later : settled;
  const schedule = free.score.lateMinutes < best.score.lateMinutes ? free : best;
  return { schedule, moved: movedFrom(problem, kept, schedule) };
}

/** The plan that is kept with only what must moved, however much is late then. */
export const settle = (problem: BenchProblem, kept: readonly KeptPlace[], graph: TaskGraph): BenchSchedule =>
  layKept(problem, kept, graph, () => true);

/** Lays tasks in the order that was kept; what holds is begun no earlier than it was. */
function layKept(
  problem: BenchProblem,
  kept: readonly KeptPlace[],
  graph: TaskGraph,
  holds: (place: KeptPlace) => boolean,
): BenchSchedule {
  const places = new Map(kept.map((place) => [graph.numberOf.get(place.taskId) ?? -1, place]));
  // Earlier is more urgent; what is done in parts comes when it ends, so that what lies between its parts lies there
  // before it. What is new comes where its tasks belong, behind all that was planned.
  const urgency = graph.tasks.map((task, n) => {
    const place = places.get(n);
    if (!place) return -(Math.max(task.earliest, problem.now) + 10_000_000);
    return -(task.chunkMinutes === null ? place.start : place.end);
  });
  const heldUntil = new Map<number, Minute>();
  const hands = new Map<number, KeptHands>();
  const numberOf = new Map(problem.workers.map(({ id }, n) => [id, n]));
  for (const [n, place] of places)
    if (place.isPinned || holds(place)) {
      heldUntil.set(n, place.start);
      hands.set(n, { end: place.end, workers: place.workerIds.flatMap((id) => numberOf.get(id) ?? []) });
    }
  return layTasks(problem, graph, { urgency, heldUntil, patienceMinutes: 1440, kept: hands });
}

/** The plan as if nothing were settled: in the order that was kept, or anew where that is better. */
function freely(problem: BenchProblem, graph: TaskGraph, byKeptOrder: BenchSchedule): BenchSchedule {
  const anew = firstSchedule(problem, graph).schedule;
  return isBetter(anew.score, byKeptOrder.score) ? anew : byKeptOrder;
}

/** Whether moving what lies further away is worth the unrest: less is late then, or all is ready half a day sooner. */
const isWorthMoving = (later: ScheduleScore, settled: ScheduleScore): boolean =>
  later.lateMinutes < settled.lateMinutes || (isBetter(later, settled) && settled.end - later.end >= WORTH_MINUTES);

/** How many tasks that are still to be done begin at another time than they were kept. */
export function movedFrom(problem: BenchProblem, kept: readonly KeptPlace[], schedule: BenchSchedule): number {
  const done = new Set(problem.tasks.filter(({ fixed }) => fixed !== null).map(({ id }) => id));
  const open = schedule.tasks.filter(({ taskId }) => !done.has(taskId));
  const starts = new Map(open.map((task) => [task.taskId, startOf(task)]));
  return kept.filter(({ taskId, start }) => {
    const now = starts.get(taskId);
    return now !== undefined && now !== start;
  }).length;
}
