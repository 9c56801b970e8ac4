import type {
  Batch,
  BenchProblem,
  BenchSchedule,
  BenchTask,
  LaidSession,
  LaidTask,
  Minute,
  Stretch,
} from './benchProblem';
import { DryingRoom } from './dryingRoom';
import { FreeHands, type KeptHands } from './freeHands';
import { type Put, putAt } from './put';
import { ratherLater } from './ratherLater';
import { scoreOf } from './scoreOf';
import { StartTimes } from './startTimes';
import { inOrder, type Link, type TaskGraph } from './taskGraph';
import { type Block, type OpenSession, WorkerDays } from './workerDay';

/** How tasks are laid: the more urgent first, each as early as it may. */
export interface LayingRule {
  /** Of each task by its number. */
  urgency: ArrayLike<number>;
  /** Tasks that are held back until a moment, by their number; none by default. */
  heldUntil: ReadonlyMap<number, Minute>;
  /** How many minutes later a task may start to join a session instead of opening one of its own. */
  patienceMinutes: number;
  /**
   * How tasks lay in a plan that is laid again as it was, by their number: wherever one can, it lies from when it is held
   * back until then, in the same hands. Null where no plan is kept.
   */
  kept: ReadonlyMap<number, KeptHands> | null;
}

const NEVER = Number.POSITIVE_INFINITY;
/** How often a task is begun later so that what must follow closely can. */
const MOST_PUSHES = 40;

/**
 * Lays tasks one after another, each at the earliest moment that everything allows: what it follows, its hours, room to
 * dry, a gap in somebody's window. A serial schedule generation scheme with sessions (Kolisch 1996 describes the plain
 * one, from memory).
 * @returns a schedule that {@link verifySchedule} passes; what found no time stands in `unlaid`
 */
export function layTasks(problem: BenchProblem, graph: TaskGraph, rule: LayingRule): BenchSchedule {
  const held = new Map(rule.heldUntil);
  for (let push = 0; ; push += 1) {
    const laying = new Laying(problem, graph, { ...rule, heldUntil: held });
    const pressed = laying.run();
    if (pressed === null || push >= MOST_PUSHES) return laying.schedule();
    held.set(pressed.task, pressed.until);
  }
}

class Laying {
  private readonly problem: BenchProblem;
  private readonly graph: TaskGraph;
  private readonly rule: LayingRule;
  private readonly days: WorkerDays[];
  private readonly room: DryingRoom;
  private readonly put: (Put | null)[];
  private readonly times: StartTimes;
  private readonly hands: FreeHands;
  private readonly sessions: OpenSession[] = [];
  private readonly sessionsOf = new Map<string, OpenSession[]>();

  constructor(problem: BenchProblem, graph: TaskGraph, rule: LayingRule) {
    this.problem = problem;
    this.graph = graph;
    this.rule = rule;
    this.days = problem.workers.map((worker) => new WorkerDays(worker));
    this.room = new DryingRoom(problem.places);
    this.put = graph.tasks.map(() => null);
    this.times = new StartTimes(problem, this.room, this.put);
    this.hands = new FreeHands(this.days, this.times);
  }

  /** Lays everything; gives a task that has to begin later, for what must follow it closely to find its time. */
  run(): { task: number; until: Minute } | null {
    const { tasks, links } = this.graph;
    tasks.forEach((task, n) => {
      if (task.fixed) this.putFixed(n, task, task.fixed);
    });
    // What is kept has a time of its own already: what must be followed closely needs no place in front of it.
    const pressed = this.rule.kept ? tasks.map(() => false) : this.graph.isPressed;
    for (const n of inOrder({ ...this.graph, isPressed: pressed }, this.rule.urgency)) {
      const task = tasks[n] as BenchTask;
      if (task.fixed) continue;
      if ((links[n] ?? []).some(({ before }) => this.put[before] === null)) continue;
      if (this.lay(n, task)) continue;
      const pressing = this.pressedBy(n, task);
      if (pressing) return pressing;
    }
    const lying = {
      put: this.put,
      hands: this.hands,
      takeOut: (n: number, put: Put) => this.takeOut(n, put),
      layAt: (n: number, put: Put) => this.open(n, tasks[n] as BenchTask, put),
    };
    ratherLater(this.problem, this.graph, lying, (n) => this.rule.heldUntil.has(n));
    return null;
  }

  /** Takes a task that has no session out of the hours that it lies in. */
  private takeOut(n: number, put: Put): void {
    this.put[n] = null;
    for (const worker of put.worker === null ? [] : [put.worker, ...put.helpers])
      for (const { start, end } of put.parts) {
        this.days[worker]?.takeOut(start);
        this.days[worker]?.use(start, start - end);
      }
  }

  /** What has to begin later where a task could only be begun too late after it. */
  private pressedBy(n: number, task: BenchTask): { task: number; until: Minute } | null {
    const links = this.graph.links[n] ?? [];
    const free = links.map(({ before, allowed }) => ({
      before,
      allowed: allowed.map((one) => ({ ...one, toMinutes: null })),
    }));
    const at = this.hands.earliest(task, this.release(n, task), free);
    if (!at) return null;
    for (const { before, allowed } of links) {
      const earlier = this.put[before];
      const most = Math.max(...allowed.map(({ toMinutes }) => toMinutes ?? NEVER));
      if (!earlier || this.graph.tasks[before]?.fixed || at.start - earlier.end <= most) continue;
      return { task: before, until: Math.max(earlier.start + 1, at.start - most - (earlier.end - earlier.start)) };
    }
    return null;
  }

  private putFixed(n: number, task: BenchTask, { start, end }: Stretch): void {
    this.put[n] = { ...putAt(start, end, null), place: this.dry(task, end) };
    // An appointment takes the hours of the first worker, within the windows and outside of them.
    const mine = this.days[0];
    if (!mine || task.runMinutes === 0) return;
    for (let w = mine.windowAfter(start); w < mine.worker.windows.length; w += 1) {
      const window = mine.worker.windows[w] as Stretch;
      if (window.start >= end) break;
      const part = { start: Math.max(start, window.start), end: Math.min(end, window.end), session: null };
      if (part.end > part.start) mine.put(w, part);
    }
    mine.use(start, task.runMinutes);
  }

  private dry({ hold, rowId }: BenchTask, from: Minute): number | null {
    if (!hold || this.problem.places.length === 0) return null;
    const place = this.room.placeFor(rowId, hold.areaM2, from, from + hold.minutes) ?? 0;
    this.room.lay(place, rowId, hold.areaM2, from, from + hold.minutes);
    return place;
  }

  private release(n: number, task: BenchTask): Minute {
    return Math.max(this.problem.now, task.earliest, this.rule.heldUntil.get(n) ?? 0);
  }

  /** Lays one task; whether there was a time for it. */
  private lay(n: number, task: BenchTask): boolean {
    const links = this.graph.links[n] ?? [];
    const release = this.release(n, task);
    const kept = this.rule.kept?.get(n);
    const asKept = kept ? this.hands.exactly(task, release, kept, links) : null;
    const alone = asKept ?? this.hands.earliest(task, release, links);
    const latest = (alone?.start ?? NEVER) + (asKept ? 0 : this.rule.patienceMinutes);
    const joined = task.batch ? this.join(task, release, latest, links) : null;
    if (joined) {
      this.enter(n, task, joined.session, joined.put, joined.first);
      return true;
    }
    if (!alone) return false;
    this.open(n, task, alone);
    return true;
  }

  /** Puts a task beside those of a session that is there. */
  private enter(n: number, task: BenchTask, session: OpenSession, put: Put, first: boolean): void {
    const minutes = put.end - put.start;
    if (first) {
      session.block.start -= minutes;
      session.tasks.unshift(n);
    } else {
      session.block.end += minutes;
      session.tasks.push(n);
    }
    this.days[session.worker]?.changed(session.window);
    this.days[session.worker]?.use(put.start, minutes);
    this.put[n] = { ...put, place: this.dry(task, put.end) };
  }

  /** Puts a task where nothing is: with a session of its own where it needs a set-up. */
  private open(n: number, task: BenchTask, put: Put): void {
    this.put[n] = put;
    const { batch } = task;
    const days = put.worker === null ? undefined : this.days[put.worker];
    for (const helper of put.helpers)
      for (const part of put.parts) {
        const beside = this.days[helper] as WorkerDays;
        beside.put(beside.windowAfter(part.start), { ...part, session: null });
        beside.use(part.start, part.end - part.start);
      }
    if (days && put.worker !== null)
      for (const part of put.parts) {
        const block: Block = {
          start: part.start - (batch?.setUpMinutes ?? 0),
          end: part.end + (batch?.cleanUpMinutes ?? 0),
          session: null,
        };
        const window = days.windowAfter(part.start);
        days.put(window, block);
        days.use(part.start, block.end - block.start);
        if (batch) put.session = this.newSession(put.worker, window, block, batch, n);
      }
    put.place = this.dry(task, put.end);
  }

  private newSession(worker: number, window: number, block: Block, batch: Batch, n: number): OpenSession {
    const { key, setUpMinutes, cleanUpMinutes } = batch;
    const session: OpenSession = { worker, window, block, key, setUpMinutes, cleanUpMinutes, tasks: [n] };
    block.session = session;
    this.sessions.push(session);
    const known = this.sessionsOf.get(key);
    if (known) known.push(session);
    else this.sessionsOf.set(key, [session]);
    return session;
  }

  /** The earliest place in a session that is there, no later than a moment: after its last task or before its first. */
  private join(
    task: BenchTask,
    release: Minute,
    latest: Minute,
    links: readonly Link[],
  ): { session: OpenSession; put: Put; first: boolean } | null {
    let best: { session: OpenSession; put: Put; first: boolean } | null = null;
    for (const session of this.sessionsOf.get(task.batch?.key ?? '') ?? []) {
      const { block, window, worker, setUpMinutes, cleanUpMinutes } = session;
      if (block.end < release || block.start > latest) continue;
      const days = this.days[worker] as WorkerDays;
      for (const first of [true, false]) {
        const start = first ? block.start + setUpMinutes - task.runMinutes : block.end - cleanUpMinutes;
        if (start < release || start > latest || (best && best.put.start <= start)) continue;
        const room = first ? block.start - days.roomBefore(window, block) : days.roomAfter(window, block) - block.end;
        if (room < task.runMinutes || days.leftAt(start) < task.runMinutes) continue;
        const free = this.times.from(task, start, links);
        if (free?.start !== start) continue;
        const minutes = task.runMinutes + free.extraMinutes;
        if (room < minutes || (first && free.extraMinutes > 0)) continue;
        const put = { ...putAt(start, start + minutes, worker), session, extraMinutes: free.extraMinutes };
        best = { session, put, first };
      }
    }
    return best;
  }

  schedule(): BenchSchedule {
    const { tasks } = this.graph;
    const { workers, places } = this.problem;
    const laid = tasks.flatMap((task, n): LaidTask[] => {
      const put = this.put[n];
      if (!put) return [];
      return [
        {
          taskId: task.id,
          workerId: put.worker === null ? null : (workers[put.worker]?.id ?? null),
          helperIds: put.helpers.map((helper) => workers[helper]?.id ?? ''),
          parts: put.parts,
          extraMinutes: put.extraMinutes,
          placeId: put.place === null ? null : (places[put.place]?.id ?? null),
        },
      ];
    });
    const sessions = this.sessions
      .map(({ worker, block, key, setUpMinutes, cleanUpMinutes, tasks: inIt }): LaidSession => {
        const batch = { key, setUpMinutes, cleanUpMinutes };
        const taskIds = inIt.map((n) => tasks[n]?.id ?? '');
        return { workerId: workers[worker]?.id ?? '', start: block.start, end: block.end, batch, taskIds };
      })
      .sort((a, b) => a.start - b.start);
    const unlaid = tasks.flatMap((task, n) => (this.put[n] ? [] : [task.id]));
    return { tasks: laid, sessions, unlaid, score: scoreOf(this.problem, laid, sessions) };
  }
}
