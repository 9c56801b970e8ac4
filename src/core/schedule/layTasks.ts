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
import { scoreOf } from './scoreOf';
import { inOrder, type TaskGraph } from './taskGraph';
import { type Block, type OpenSession, WorkerDays } from './workerDay';

/** How tasks are laid: the more urgent first, each as early as it may. */
export interface LayingRule {
  /** Of each task by its number. */
  urgency: ArrayLike<number>;
  /** Tasks that are held back until a moment, by their number; none by default. */
  heldUntil: ReadonlyMap<number, Minute>;
  /** How many minutes later a task may start to join a session instead of opening one of its own. */
  patienceMinutes: number;
}

/** Where a task was put. */
interface Put {
  start: Minute;
  end: Minute;
  parts: Stretch[];
  worker: number | null;
  /** Who works at it beside. */
  helper: number | null;
  session: OpenSession | null;
  extraMinutes: number;
  place: number | null;
}

const NEVER = Number.POSITIVE_INFINITY;
/** How often a task is begun later so that what must follow closely can. */
const MOST_PUSHES = 40;
/** How often a start is moved on before it is given up: each time something else forbids it. */
const MOST_MOVES = 400;

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
  private readonly sessions: OpenSession[] = [];
  private readonly sessionsOf = new Map<string, OpenSession[]>();

  constructor(problem: BenchProblem, graph: TaskGraph, rule: LayingRule) {
    this.problem = problem;
    this.graph = graph;
    this.rule = rule;
    this.days = problem.workers.map((worker) => new WorkerDays(worker));
    this.room = new DryingRoom(problem.places);
    this.put = graph.tasks.map(() => null);
  }

  /** Lays everything; gives a task that has to begin later, for what must follow it closely to find its time. */
  run(): { task: number; until: Minute } | null {
    const { tasks, links } = this.graph;
    tasks.forEach((task, n) => {
      if (task.fixed) this.putFixed(n, task, task.fixed);
    });
    for (const n of inOrder(this.graph, this.rule.urgency)) {
      const task = tasks[n] as BenchTask;
      if (task.fixed) continue;
      if ((links[n] ?? []).some(({ before }) => this.put[before] === null)) continue;
      if (this.lay(n, task)) continue;
      const pressed = this.pressedBy(n, task);
      if (pressed) return pressed;
    }
    return null;
  }

  /** What has to begin later where a task could only be begun too late after it. */
  private pressedBy(n: number, task: BenchTask): { task: number; until: Minute } | null {
    const links = this.graph.links[n] ?? [];
    const free = links.map(({ before, allowed }) => ({
      before,
      allowed: allowed.map((one) => ({ ...one, toMinutes: null })),
    }));
    const at = this.earliest(task, this.release(n, task), free);
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
    this.put[n] = {
      start,
      end,
      parts: [{ start, end }],
      worker: null,
      helper: null,
      session: null,
      extraMinutes: 0,
      place: this.dry(task, end),
    };
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
    const alone = this.earliest(task, release, links);
    const latest = (alone?.start ?? NEVER) + this.rule.patienceMinutes;
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
    const beside = put.helper === null ? undefined : this.days[put.helper];
    for (const part of beside ? put.parts : []) {
      beside?.put(beside.windowAfter(part.start), { ...part, session: null });
      beside?.use(part.start, part.end - part.start);
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
    links: TaskGraph['links'][number],
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
        const free = this.freeStart(task, start, links);
        if (free?.start !== start) continue;
        const minutes = task.runMinutes + free.extraMinutes;
        if (room < minutes || (first && free.extraMinutes > 0)) continue;
        const put = { ...putAt(start, start + minutes, worker), session, extraMinutes: free.extraMinutes };
        best = { session, put, first };
      }
    }
    return best;
  }

  /** The earliest start at or after a moment that links, hours and drying room allow; hands are not asked. */
  private freeStart(
    task: BenchTask,
    from: Minute,
    links: TaskGraph['links'][number],
  ): { start: Minute; extraMinutes: number } | null {
    let start = from;
    for (let move = 0; move < MOST_MOVES; move += 1) {
      let extra = 0;
      let next = start;
      for (const { before, allowed } of links) {
        const earlier = this.put[before];
        if (!earlier) continue;
        const found = startAfter(earlier.end, allowed, start);
        if (!found) return null;
        next = Math.max(next, found.start);
        extra = Math.max(extra, found.extraMinutes);
      }
      if (next > start) {
        start = next;
        continue;
      }
      const run = task.runMinutes + extra;
      next = this.withinHours(task, start, run);
      if (next === start) next = this.withRoomToDry(task, start, run);
      if (next === NEVER) return null;
      if (next === start) return { start, extraMinutes: extra };
      start = next;
    }
    return null;
  }

  private withinHours({ hoursKey }: BenchTask, start: Minute, run: number): Minute {
    if (hoursKey === null) return start;
    const hours = this.problem.hours.get(hoursKey) ?? [];
    let low = 0;
    let high = hours.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((hours[middle] as Stretch).end < start + run) low = middle + 1;
      else high = middle;
    }
    for (let n = low; n < hours.length; n += 1) {
      const hour = hours[n] as Stretch;
      const begin = Math.max(start, hour.start);
      if (begin + run <= hour.end) return begin;
    }
    return NEVER;
  }

  private withRoomToDry({ hold, rowId }: BenchTask, start: Minute, run: number): Minute {
    if (!hold || this.problem.places.length === 0) return start;
    const end = start + run;
    if (this.room.placeFor(rowId, hold.areaM2, end, end + hold.minutes) !== null) return start;
    const next = this.room.nextEnd(end);
    return next === NEVER ? NEVER : next - run;
  }

  /** The earliest place where somebody's hands are free. */
  private earliest(task: BenchTask, release: Minute, links: TaskGraph['links'][number]): Put | null {
    if (task.runMinutes === 0 && !task.batch) {
      const free = this.freeStart(task, release, links);
      return free ? putAt(free.start, free.start + free.extraMinutes, null) : null;
    }
    let best: Put | null = null;
    for (let worker = 0; worker < this.days.length; worker += 1) {
      const found =
        task.chunkMinutes === null
          ? this.inOneGo(task, release, links, worker)
          : this.inParts(task, release, links, worker);
      if (found && (!best || found.end < best.end)) best = found;
    }
    const shared = this.together(task, release, links);
    return shared && (!best || shared.end < best.end) ? shared : best;
  }

  /** The earliest time at which two have their hands free together, for what may be shared and is worth it. */
  private together(task: BenchTask, release: Minute, links: TaskGraph['links'][number]): Put | null {
    const { chunkMinutes, runMinutes } = task;
    if (chunkMinutes === null || runMinutes < 2 * chunkMinutes || this.days.length < 2) return null;
    let best: Put | null = null;
    for (let worker = 0; worker < this.days.length; worker += 1)
      for (let helper = worker + 1; helper < this.days.length; helper += 1) {
        const found = this.ofTwo(task, release, links, worker, helper);
        if (found && (!best || found.end < best.end)) best = found;
      }
    return best;
  }

  private ofTwo(
    task: BenchTask,
    release: Minute,
    links: TaskGraph['links'][number],
    worker: number,
    helper: number,
  ): Put | null {
    const [own, other] = [this.days[worker] as WorkerDays, this.days[helper] as WorkerDays];
    const { windows } = own.worker;
    const least = Math.ceil(task.runMinutes / 2);
    for (let w = own.windowAfter(release); w < windows.length; w += 1) {
      if ((own.freest[w] ?? 0) < least) continue;
      for (const gap of own.gaps(w))
        for (let v = other.windowAfter(gap.start); v < other.worker.windows.length; v += 1) {
          if ((other.worker.windows[v] as Stretch).start >= gap.end) break;
          for (const beside of other.gaps(v)) {
            const from = Math.max(gap.start, beside.start, release);
            const free = from < gap.end ? this.freeStart(task, from, links) : null;
            if (!free) continue;
            const minutes = Math.ceil((task.runMinutes + free.extraMinutes) / 2);
            const end = free.start + minutes;
            const fits = end <= Math.min(gap.end, beside.end);
            if (!fits || own.leftAt(free.start) < minutes || other.leftAt(free.start) < minutes) continue;
            return { ...putAt(free.start, end, worker), helper, extraMinutes: free.extraMinutes };
          }
        }
    }
    return null;
  }

  private inOneGo(task: BenchTask, release: Minute, links: TaskGraph['links'][number], worker: number): Put | null {
    const days = this.days[worker] as WorkerDays;
    const { windows } = days.worker;
    const setUp = task.batch?.setUpMinutes ?? 0;
    const cleanUp = task.batch?.cleanUpMinutes ?? 0;
    let free = this.freeStart(task, release, links);
    if (!free) return null;
    for (let w = days.windowAfter(free.start); w < windows.length; w += 1) {
      if ((days.freest[w] ?? 0) < setUp + task.runMinutes + cleanUp) continue;
      for (const gap of days.gaps(w)) {
        // Where a start is forbidden the next one may still lie in the same gap.
        for (;;) {
          const from = Math.max(gap.start + setUp, free.start);
          if (from > free.start) {
            free = this.freeStart(task, from, links);
            if (!free) return null;
            if (free.start > from) continue;
          }
          const end: Minute = free.start + task.runMinutes + free.extraMinutes;
          const whole = setUp + (end - free.start) + cleanUp;
          if (free.start - setUp < gap.start || end + cleanUp > gap.end || days.leftAt(free.start) < whole) break;
          return { ...putAt(free.start, end, worker), extraMinutes: free.extraMinutes };
        }
      }
    }
    return null;
  }

  private inParts(task: BenchTask, release: Minute, links: TaskGraph['links'][number], worker: number): Put | null {
    let from = release;
    for (let move = 0; move < MOST_MOVES; move += 1) {
      const put = this.partsFrom(task, from, links, worker);
      if (!put || !task.hold || this.problem.places.length === 0) return put;
      const { areaM2, minutes } = task.hold;
      if (this.room.placeFor(task.rowId, areaM2, put.end, put.end + minutes) !== null) return put;
      // No room to dry when it would end: it begins a little later.
      from = put.start + (task.chunkMinutes ?? 1);
    }
    return null;
  }

  /** Parts from a moment on, in one worker's gaps; whether there is room to dry at their end is not asked. */
  private partsFrom(task: BenchTask, release: Minute, links: TaskGraph['links'][number], worker: number): Put | null {
    const days = this.days[worker] as WorkerDays;
    const { windows } = days.worker;
    const anywhere = { ...task, hold: null };
    const free = this.freeStart(anywhere, release, links);
    if (!free) return null;
    const chunk = task.chunkMinutes ?? 1;
    let { extraMinutes } = free;
    let left = task.runMinutes + extraMinutes;
    const parts: Stretch[] = [];
    for (let w = days.windowAfter(free.start); w < windows.length; w += 1) {
      if ((days.freest[w] ?? 0) < Math.min(chunk, left)) continue;
      for (const gap of days.gaps(w)) {
        const start = Math.max(gap.start, free.start);
        if (parts.length === 0) {
          const checked = this.freeStart(anywhere, start, links);
          if (!checked) return null;
          if (checked.start !== start) continue;
          // A later start may have to do something again, or not any more.
          extraMinutes = checked.extraMinutes;
          left = task.runMinutes + extraMinutes;
        }
        const room = Math.min(gap.end - start, days.leftAt(start, parts));
        // Nothing is begun for less than is worth it, and no less than that is left over.
        const most = room >= left ? left : Math.min(room, left - Math.min(chunk, left));
        if (most < Math.min(chunk, left)) continue;
        parts.push({ start, end: start + most });
        left -= most;
        if (left > 0) continue;
        const first = parts[0] as Stretch;
        return { ...putAt(first.start, start + most, worker), parts, extraMinutes };
      }
    }
    return null;
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
          helperIds: put.helper === null ? [] : [workers[put.helper]?.id ?? ''],
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

const putAt = (start: Minute, end: Minute, worker: number | null): Put => ({
  start,
  end,
  parts: [{ start, end }],
  worker,
  helper: null,
  session: null,
  extraMinutes: 0,
  place: null,
});

/** The earliest start from a moment on that an allowed stretch after an end permits; null where all are over. */
function startAfter(
  end: Minute,
  allowed: BenchTask['after'][number]['allowed'],
  from: Minute,
): { start: Minute; extraMinutes: number } | null {
  let best: { start: Minute; extraMinutes: number } | null =
    allowed.length === 0 ? { start: Math.max(from, end), extraMinutes: 0 } : null;
  for (const { fromMinutes, toMinutes, extraMinutes } of allowed) {
    const start = Math.max(from, end + fromMinutes);
    if (toMinutes !== null && start > end + toMinutes) continue;
    if (!best || start < best.start) best = { start, extraMinutes };
  }
  return best;
}
