import {
  type BenchProblem,
  type BenchSchedule,
  type BenchTask,
  endOf,
  type LaidTask,
  type Minute,
  type Stretch,
  startOf,
} from './benchProblem';
import { scoreOf } from './scoreOf';

/** What is wrong with a schedule, and at which task. */
export interface ScheduleFault {
  kind:
    | 'unknownTask'
    | 'missing'
    | 'twice'
    | 'tooEarly'
    | 'moved'
    | 'wrongLength'
    | 'partTooShort'
    | 'torn'
    | 'follows'
    | 'hours'
    | 'worker'
    | 'window'
    | 'overlap'
    | 'cap'
    | 'session'
    | 'noRoom'
    | 'score';
  taskId: string;
}

/**
 * Everything that is wrong with a schedule: an answer of its own, which knows nothing of how it was laid. A schedule is
 * shown only when this is empty.
 */
export function verifySchedule(problem: BenchProblem, schedule: BenchSchedule): ScheduleFault[] {
  const faults: ScheduleFault[] = [];
  const laid = new Map<string, LaidTask>();
  for (const task of schedule.tasks) {
    if (laid.has(task.taskId)) faults.push({ kind: 'twice', taskId: task.taskId });
    laid.set(task.taskId, task);
  }
  const known = new Set(problem.tasks.map(({ id }) => id));
  for (const taskId of laid.keys()) if (!known.has(taskId)) faults.push({ kind: 'unknownTask', taskId });
  const unlaid = new Set(schedule.unlaid);
  for (const task of problem.tasks) {
    const at = laid.get(task.id);
    if (!at && !unlaid.has(task.id)) faults.push({ kind: 'missing', taskId: task.id });
    if (at) faults.push(...faultsOfTask(problem, task, at, laid, known));
  }
  faults.push(...faultsOfHands(problem, schedule), ...faultsOfSessions(problem, schedule, laid));
  faults.push(...faultsOfRoom(problem, schedule));
  const score = scoreOf(problem, schedule.tasks, schedule.sessions);
  const { lateMinutes, setUpMinutes, end } = schedule.score;
  if (score.lateMinutes !== lateMinutes || score.setUpMinutes !== setUpMinutes || score.end !== end)
    faults.push({ kind: 'score', taskId: '' });
  return faults;
}

function faultsOfTask(
  problem: BenchProblem,
  task: BenchTask,
  at: LaidTask,
  laid: ReadonlyMap<string, LaidTask>,
  known: ReadonlySet<string>,
): ScheduleFault[] {
  const taskId = task.id;
  const faults: ScheduleFault[] = [];
  const start = startOf(at);
  if (task.fixed) {
    if (start !== task.fixed.start || endOf(at) !== task.fixed.end) faults.push({ kind: 'moved', taskId });
    return faults;
  }
  if (start < Math.max(problem.now, task.earliest)) faults.push({ kind: 'tooEarly', taskId });
  const lengths = at.parts.map((part) => part.end - part.start);
  const length = lengths.reduce((sum, minutes) => sum + minutes, 0);
  // Shared among several, the last minute is one for all of them.
  const hands = 1 + at.helperIds.length;
  const isShared = hands > 1 && task.chunkMinutes !== null;
  if (length !== Math.ceil((task.runMinutes + at.extraMinutes) / (isShared ? hands : 1)))
    faults.push({ kind: 'wrongLength', taskId });
  if ((hands > 1 && !isShared) || at.helperIds.includes(at.workerId ?? '')) faults.push({ kind: 'worker', taskId });
  if (task.chunkMinutes === null && at.parts.length !== 1) faults.push({ kind: 'torn', taskId });
  if (at.parts.length > 1 && lengths.some((minutes) => minutes < (task.chunkMinutes ?? 0)))
    faults.push({ kind: 'partTooShort', taskId });
  let extraMinutes = 0;
  for (const { taskId: otherId, allowed } of task.after) {
    if (!known.has(otherId)) continue;
    const other = laid.get(otherId);
    if (!other) {
      faults.push({ kind: 'follows', taskId });
      continue;
    }
    const gap = start - endOf(other);
    const inside = allowed.filter(
      ({ fromMinutes, toMinutes }) => gap >= fromMinutes && (toMinutes === null || gap <= toMinutes),
    );
    if (gap < 0 || (allowed.length > 0 && inside.length === 0)) faults.push({ kind: 'follows', taskId });
    else if (inside.length > 0)
      extraMinutes = Math.max(extraMinutes, Math.min(...inside.map((one) => one.extraMinutes)));
  }
  if (at.extraMinutes < extraMinutes) faults.push({ kind: 'wrongLength', taskId });
  if (task.hoursKey !== null) {
    const hours = problem.hours.get(task.hoursKey) ?? [];
    const isInside = (part: Stretch) => hours.some((hour) => hour.start <= part.start && part.end <= hour.end);
    if (!at.parts.every(isInside)) faults.push({ kind: 'hours', taskId });
  }
  const needsHands = task.runMinutes > 0 || task.batch !== null;
  if (needsHands && at.workerId === null) faults.push({ kind: 'worker', taskId });
  return faults;
}

/** What each worker's hands are at: the sessions whole, and what is done without one. */
function faultsOfHands(problem: BenchProblem, schedule: BenchSchedule): ScheduleFault[] {
  const faults: ScheduleFault[] = [];
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const inSession = new Set(schedule.sessions.flatMap(({ taskIds }) => taskIds));
  problem.workers.forEach((worker, n) => {
    const busy: (Stretch & { taskId: string; isFixed: boolean })[] = [];
    for (const session of schedule.sessions)
      if (session.workerId === worker.id)
        busy.push({ start: session.start, end: session.end, taskId: session.taskIds[0] ?? '', isFixed: false });
    for (const { taskId, workerId, helperIds, parts } of schedule.tasks) {
      const task = tasks.get(taskId);
      if (!task || inSession.has(taskId) || task.runMinutes === 0) continue;
      // Appointments are the first worker's.
      const isMine = task.fixed ? n === 0 : workerId === worker.id || helperIds.includes(worker.id);
      if (isMine) for (const part of parts) busy.push({ ...part, taskId, isFixed: task.fixed !== null });
    }
    busy.sort((a, b) => a.start - b.start || a.end - b.end);
    busy.forEach((one, index) => {
      const isInWindow = worker.windows.some(({ start, end }) => start <= one.start && one.end <= end);
      if (!one.isFixed && !isInWindow) faults.push({ kind: 'window', taskId: one.taskId });
      const before = busy.slice(0, index).find((other) => other.end > one.start && !(other.isFixed && one.isFixed));
      if (before) faults.push({ kind: 'overlap', taskId: one.taskId });
    });
    for (const cap of worker.caps) {
      const used = busy
        .filter(({ start }) => cap.start <= start && start < cap.end)
        .reduce((sum, one) => sum + (one.isFixed ? (tasks.get(one.taskId)?.runMinutes ?? 0) : one.end - one.start), 0);
      const isLaid = busy.some(({ start, isFixed }) => !isFixed && cap.start <= start && start < cap.end);
      if (isLaid && used > cap.minutes) faults.push({ kind: 'cap', taskId: busy[0]?.taskId ?? '' });
    }
  });
  return faults;
}

/** A session is one set-up, its tasks in a row without a pause, one clean-up; a task with a set-up is in one of them. */
function faultsOfSessions(
  problem: BenchProblem,
  schedule: BenchSchedule,
  laid: ReadonlyMap<string, LaidTask>,
): ScheduleFault[] {
  const faults: ScheduleFault[] = [];
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const counted = new Map<string, number>();
  for (const session of schedule.sessions) {
    let from: Minute = session.start + session.batch.setUpMinutes;
    for (const taskId of session.taskIds) {
      counted.set(taskId, (counted.get(taskId) ?? 0) + 1);
      const at = laid.get(taskId);
      const batch = tasks.get(taskId)?.batch;
      const isSame =
        batch?.key === session.batch.key &&
        session.batch.setUpMinutes >= batch.setUpMinutes &&
        session.batch.cleanUpMinutes >= batch.cleanUpMinutes;
      if (!at || !isSame || at.workerId !== session.workerId || startOf(at) !== from)
        faults.push({ kind: 'session', taskId });
      from = at ? endOf(at) : from;
    }
    if (from + session.batch.cleanUpMinutes !== session.end)
      faults.push({ kind: 'session', taskId: session.taskIds[0] ?? '' });
  }
  for (const task of problem.tasks) {
    const asked = task.batch && !task.fixed && laid.has(task.id) ? 1 : 0;
    if ((counted.get(task.id) ?? 0) !== asked) faults.push({ kind: 'session', taskId: task.id });
  }
  return faults;
}

/** What dries somewhere at one time has room there; what is larger than its place lies alone. */
function faultsOfRoom(problem: BenchProblem, schedule: BenchSchedule): ScheduleFault[] {
  if (problem.places.length === 0) return [];
  const faults: ScheduleFault[] = [];
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const lying = schedule.tasks.flatMap((at) => {
    const task = tasks.get(at.taskId);
    if (!task?.hold) return [];
    const start = endOf(at);
    return [{ task, placeId: at.placeId, start, end: start + task.hold.minutes, areaM2: task.hold.areaM2 }];
  });
  for (const one of lying) {
    // What happened already lies where it lies.
    if (one.task.fixed) continue;
    const place = problem.places.find(({ id }) => id === one.placeId);
    if (!place) {
      faults.push({ kind: 'noRoom', taskId: one.task.id });
      continue;
    }
    const rows = new Map<string, number>();
    for (const other of lying)
      if (other.placeId === one.placeId && other.start <= one.start && one.start < other.end)
        rows.set(other.task.rowId, Math.max(rows.get(other.task.rowId) ?? 0, other.areaM2));
    const sum = [...rows.values()].reduce((total, area) => total + area, 0);
    if (rows.size > 1 && sum > place.areaM2 + 1e-6) faults.push({ kind: 'noRoom', taskId: one.task.id });
  }
  return faults;
}
