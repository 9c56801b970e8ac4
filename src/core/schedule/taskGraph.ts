import type { AllowedStart, BenchProblem, BenchTask } from './benchProblem';

/** That a task starts after another, with the other by its number. */
export interface Link {
  before: number;
  allowed: readonly AllowedStart[];
}

/** The tasks of a problem by number, with who follows whom; made once, read in every try. */
export interface TaskGraph {
  tasks: readonly BenchTask[];
  numberOf: ReadonlyMap<string, number>;
  /** What each follows, of the tasks that are there. */
  links: readonly (readonly Link[])[];
  following: readonly (readonly number[])[];
  /** Whether a task may only start within a time after another, and not later either: it is laid right after it. */
  isPressed: readonly boolean[];
  /** The least minutes from a task's start to the end of all that waits for it, its own in it. */
  tailMinutes: readonly number[];
}

/** Whether there is no start that stays open. */
const closes = (allowed: readonly AllowedStart[]): boolean =>
  allowed.length > 0 && allowed.every(({ toMinutes }) => toMinutes !== null);

/**
 * Numbers the tasks and links them.
 * @throws RangeError where tasks follow each other in a circle: that is a fault of what made them
 */
export function taskGraph(problem: BenchProblem): TaskGraph {
  const { tasks } = problem;
  const numberOf = new Map(tasks.map((task, n) => [task.id, n]));
  const links = tasks.map((task) =>
    task.after.flatMap(({ taskId, allowed }): Link[] => {
      const before = numberOf.get(taskId);
      return before === undefined ? [] : [{ before, allowed }];
    }),
  );
  const following: number[][] = tasks.map(() => []);
  links.forEach((list, n) => {
    for (const { before } of list) following[before]?.push(n);
  });
  const isPressed = links.map((list) => list.some(({ allowed }) => closes(allowed)));
  const graph = { tasks, numberOf, links, following, isPressed };
  return { ...graph, tailMinutes: tailsOf(problem, graph) };
}

/**
 * The tasks in an order in which each stands after what it follows; of those that could come next the most urgent, and
 * before all others what must follow closely.
 * @param urgency of each task by its number
 */
export function inOrder(
  { links, following, isPressed }: Pick<TaskGraph, 'links' | 'following' | 'isPressed'>,
  urgency: ArrayLike<number>,
): number[] {
  const open = links.map((list) => list.length);
  const ready = open.flatMap((count, n) => (count === 0 ? [n] : []));
  const order: number[] = [];
  const urgencyOf = (n: number) => (isPressed[n] ? Number.POSITIVE_INFINITY : (urgency[n] ?? 0));
  while (ready.length > 0) {
    let best = 0;
    for (let n = 1; n < ready.length; n += 1)
      if (urgencyOf(ready[n] as number) > urgencyOf(ready[best] as number)) best = n;
    const next = ready[best] as number;
    ready[best] = ready[ready.length - 1] as number;
    ready.pop();
    order.push(next);
    for (const follower of following[next] ?? []) {
      open[follower] = (open[follower] ?? 1) - 1;
      if (open[follower] === 0) ready.push(follower);
    }
  }
  if (order.length < open.length) throw new RangeError('tasks follow each other in a circle');
  return order;
}

/** The longest way from each task on, waits in it, windows not. */
function tailsOf(problem: BenchProblem, graph: Omit<TaskGraph, 'tailMinutes'>): number[] {
  const { tasks, numberOf, links, following } = graph;
  const tails = tasks.map((task) => task.runMinutes);
  for (const { ends } of problem.deliverables)
    for (const { taskId, waitMinutes } of ends) {
      const n = numberOf.get(taskId);
      if (n !== undefined) tails[n] = Math.max(tails[n] ?? 0, (tasks[n]?.runMinutes ?? 0) + waitMinutes);
    }
  for (const n of inOrder(graph, tails).reverse())
    for (const follower of following[n] ?? []) {
      const link = links[follower]?.find(({ before }) => before === n);
      const wait = Math.min(...(link?.allowed ?? []).map(({ fromMinutes }) => fromMinutes));
      const rest = (tasks[n]?.runMinutes ?? 0) + (Number.isFinite(wait) ? wait : 0) + (tails[follower] ?? 0);
      tails[n] = Math.max(tails[n] ?? 0, rest);
    }
  return tails;
}
