import { seededRandom } from '../kernel/seededRandom';
import { type BenchProblem, type BenchSchedule, isBetter, type Minute, startOf } from './benchProblem';
import { type LayingRule, layTasks } from './layTasks';
import { type TaskGraph, taskGraph } from './taskGraph';

/** How long a task may be put off to join a session, tried one after the other, minutes. */
const PATIENCES = [0, 240, 1440, 2880, 5760];

/** A schedule with the rule that laid it. */
export interface RuledSchedule {
  schedule: BenchSchedule;
  rule: LayingRule;
}

/**
 * A first schedule at once: a few plain rules, each with a few patiences, the best of them. Urgent is what most waits
 * for; what of that has the least slack to its day; what has most to dry; or one color
 * after the other.
 */
export function firstSchedule(problem: BenchProblem, graph: TaskGraph = taskGraph(problem)): RuledSchedule {
  const rules = urgencies(problem, graph).flatMap((urgency) =>
    PATIENCES.map((patienceMinutes): LayingRule => ({ urgency, patienceMinutes, heldUntil: new Map(), kept: null })),
  );
  let best: RuledSchedule | null = null;
  for (const rule of rules) {
    const schedule = layTasks(problem, graph, rule);
    if (!best || isBetter(schedule.score, best.schedule.score)) best = { schedule, rule };
  }
  return best as RuledSchedule;
}

function urgencies(problem: BenchProblem, graph: TaskGraph): number[][] {
  const { tasks, tailMinutes, following } = graph;
  const horizon = 10_000_000;
  const dueOf = new Map<string, number>();
  for (const { due, weight, ends } of problem.deliverables)
    for (const { taskId } of ends) {
      const pressing = due === null ? horizon : (due - problem.now) / Math.max(1, weight);
      dueOf.set(taskId, Math.min(dueOf.get(taskId) ?? horizon, pressing));
    }
  // What follows presses on what comes before.
  const latest = tasks.map(({ id }) => dueOf.get(id) ?? horizon);
  for (let n = tasks.length - 1; n >= 0; n -= 1)
    for (const follower of following[n] ?? []) latest[n] = Math.min(latest[n] ?? 0, latest[follower] ?? 0);
  return [
    [...tailMinutes],
    tasks.map((_, n) => (tailMinutes[n] ?? 0) - (latest[n] ?? 0)),
    tasks.map(({ hold, earliest }, n) => (tailMinutes[n] ?? 0) + (hold?.minutes ?? 0) - earliest / 100),
    byFamily(graph, latest),
  ];
}

/** Family by family: rows that are coated from the same can one after the other, the most pressing family first. */
function byFamily({ tasks, tailMinutes }: TaskGraph, latest: readonly number[]): number[] {
  const coats = new Map<string, Map<string, number>>();
  tasks.forEach(({ rowId, batch }) => {
    if (!batch) return;
    const keys = coats.get(rowId) ?? new Map<string, number>();
    keys.set(batch.key, (keys.get(batch.key) ?? 0) + 1);
    coats.set(rowId, keys);
  });
  const familyOf = (rowId: string) =>
    [...(coats.get(rowId) ?? [])].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? rowId;
  const families = new Map<string, number>();
  tasks.forEach(({ rowId }, n) => {
    const family = familyOf(rowId);
    families.set(family, Math.min(families.get(family) ?? Number.POSITIVE_INFINITY, latest[n] ?? 0));
  });
  const order = [...families].sort((a, b) => a[1] - b[1] || (a[0] < b[0] ? -1 : 1)).map(([family]) => family);
  const most = Math.max(1, ...tailMinutes);
  return tasks.map(({ rowId }, n) => (order.length - order.indexOf(familyOf(rowId))) * most + (tailMinutes[n] ?? 0));
}

/** How far a search is, and the best that it has. */
export interface ImproveProgress {
  tries: number;
  of: number;
  best: BenchSchedule;
}

/**
 * Improves a schedule by trying other orders and by holding tasks back until a session that is there: simulated annealing
 * over urgencies, seeded, so that the same problem, seed and number of tries give the same schedule. It can be left at any
 * time with the best so far.
 * @param tries how many schedules are laid
 * @yields after every few of them
 */
export function* improveSchedule(
  problem: BenchProblem,
  from: RuledSchedule,
  { seed, tries, every = 20 }: { seed: number; tries: number; every?: number },
  graph: TaskGraph = taskGraph(problem),
): Generator<ImproveProgress, RuledSchedule> {
  const random = seededRandom(seed);
  const count = graph.tasks.length;
  let present = from;
  let best = from;
  const spread = Math.max(1, ...Array.from(from.rule.urgency, Math.abs));
  for (let n = 1; n <= tries && count > 0; n += 1) {
    const rule = neighbor(problem, graph, present, random, spread);
    const schedule = layTasks(problem, graph, rule);
    const heat = 1 - n / tries;
    if (isTaken(problem, present.schedule, schedule, heat, random)) present = { schedule, rule };
    if (isBetter(schedule.score, best.schedule.score)) best = { schedule, rule };
    // A search that went astray begins again from the best.
    if (n % 200 === 0) present = best;
    if (n % every === 0) yield { tries: n, of: tries, best: best.schedule };
  }
  return best;
}

/** How much worse a schedule may be that is taken at the beginning, as a share of what the present one comes to, and at the most. */
const HEAT_SHARE = 0.03;
const MOST_HEAT = 1500;

/** A better one always; a worse one now and then, less often as the search cools. */
function isTaken(
  problem: BenchProblem,
  present: BenchSchedule,
  next: BenchSchedule,
  heat: number,
  random: () => number,
): boolean {
  if (!isBetter(present.score, next.score)) return true;
  const worth = ({ lateMinutes, setUpMinutes, end }: BenchSchedule['score']) =>
    lateMinutes * 10 + setUpMinutes * 60 + (end - problem.now);
  const now = worth(present.score);
  const warmth = heat * heat * Math.min(MOST_HEAT, HEAT_SHARE * now);
  return random() < Math.exp((now - worth(next.score)) / Math.max(0.1, warmth));
}

/** How many sessions from one can are put into a later one at a time. */
const MOST_MERGED = 4;

/** A rule that differs a little: one task more or less urgent, held back until another's session, or let go again. */
function neighbor(
  problem: BenchProblem,
  { tasks, numberOf }: TaskGraph,
  { rule, schedule }: RuledSchedule,
  random: () => number,
  spread: number,
): LayingRule {
  const pick = (length: number) => Math.floor(random() * length);
  const urgency = Float64Array.from(rule.urgency);
  const heldUntil = new Map(rule.heldUntil);
  const n = pick(tasks.length);
  const move = random();
  if (move < 0.25) {
    urgency[n] = urgency[pick(tasks.length)] as number;
    urgency[n] = (urgency[n] as number) + (random() - 0.5) * spread * 0.02;
  } else if (move < 0.45) {
    // A whole row sooner or later: most often to where another row stands.
    const rowId = tasks[n]?.rowId;
    const other = pick(tasks.length);
    const shift = (urgency[other] as number) - (urgency[n] as number) + (random() - 0.5) * spread * 0.02;
    tasks.forEach((task, number) => {
      if (task.rowId === rowId) urgency[number] = (urgency[number] as number) + shift;
    });
  } else if (move < 0.7) {
    // A family together: several sessions from one can wait for a later one of them.
    const any = schedule.sessions[pick(schedule.sessions.length)];
    const own = schedule.sessions.filter(({ batch }) => batch.key === any?.batch.key);
    const from = pick(own.length);
    const target = own[Math.min(own.length - 1, from + 1 + pick(MOST_MERGED))];
    for (const { start, taskIds } of own.slice(from))
      if (target && start < target.start)
        for (const taskId of taskIds)
          heldUntil.set(numberOf.get(taskId) ?? -1, target.start + target.batch.setUpMinutes);
  } else if (move < 0.88) {
    const session = schedule.sessions[pick(schedule.sessions.length)];
    const mate = session ? laterMate(problem, schedule, session.batch.key, session.taskIds, random) : null;
    if (session && mate !== null) for (const taskId of session.taskIds) heldUntil.set(numberOf.get(taskId) ?? -1, mate);
  } else {
    const held = [...heldUntil.keys()];
    const one = held[pick(held.length)];
    if (one !== undefined) heldUntil.delete(one);
  }
  return { urgency, heldUntil, patienceMinutes: rule.patienceMinutes, kept: null };
}

/** When another session of the same key begins its tasks, later than this one; null where there is none. */
function laterMate(
  problem: BenchProblem,
  schedule: BenchSchedule,
  key: string,
  own: readonly string[],
  random: () => number,
): Minute | null {
  const first = schedule.tasks.find(({ taskId }) => taskId === own[0]);
  const from = first ? startOf(first) : problem.now;
  const later = schedule.sessions.filter(({ batch, start }) => batch.key === key && start > from);
  const mate = later[Math.floor(random() * Math.min(3, later.length))];
  return mate ? mate.start + mate.batch.setUpMinutes : null;
}
