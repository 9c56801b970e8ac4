/** A moment in whole minutes since the epoch; a plan of weeks is exact in them. */
export type Minute = number;

/** A stretch of time, its end not in it. */
export interface Stretch {
  start: Minute;
  end: Minute;
}

/** When a task may start after another, in minutes from the other's end; what has to be done again takes so long more. */
export interface AllowedStart {
  fromMinutes: number;
  toMinutes: number | null;
  extraMinutes: number;
}

/** That a task follows another: one of the starts has to hold. */
export interface Follows {
  taskId: string;
  allowed: readonly AllowedStart[];
}

/** What is drying after a task, where nothing else may lie meanwhile. */
export interface Hold {
  areaM2: number;
  minutes: number;
}

/** Tasks that share a set-up and a clean-up when they are done in a row. */
export interface Batch {
  key: string;
  setUpMinutes: number;
  cleanUpMinutes: number;
}

/** Minutes that a session takes beside what is done in it; 0 for what needs no set-up. */
export const sessionMinutes = (batch: Batch | null | undefined): number =>
  batch ? batch.setUpMinutes + batch.cleanUpMinutes : 0;

/** Something to be done. */
export interface BenchTask {
  id: string;
  /** The row on the drying line: all tasks of one row are done to the same pieces. */
  rowId: string;
  /** Hands-on minutes without set-up and clean-up; 0 for what only happens, like a delivery. */
  runMinutes: number;
  batch: Batch | null;
  /** The least that is worth beginning, where it may be done in parts; null where it is done in one go. */
  chunkMinutes: number | null;
  /** The hours in which it may run, by their name in {@link BenchProblem.hours}; null for any. */
  hoursKey: string | null;
  hold: Hold | null;
  after: readonly Follows[];
  /** Tasks that it would rather come after where nothing is late or ready later for it; most have none. */
  ratherAfter: readonly string[];
  /** Not before this moment. */
  earliest: Minute;
  /** An appointment: it is done then, whatever the windows say; null where it is laid. */
  fixed: Stretch | null;
}

/** Somebody who works: when, and how much in a stretch of days at the most. */
export interface Worker {
  id: string;
  windows: readonly Stretch[];
  caps: readonly (Stretch & { minutes: number })[];
}

/** A place where pieces dry. */
export interface DryingPlace {
  id: string;
  areaM2: number;
}

/** What is to be ready: the last of its tasks' ends, each with what it waits afterwards. */
export interface Deliverable {
  id: string;
  weight: number;
  /** The moment by which it must be ready; null where nothing presses. */
  due: Minute | null;
  ends: readonly { taskId: string; waitMinutes: number }[];
}

/** What is to be laid into whose hours. */
export interface BenchProblem {
  /** The present: nothing is laid before it. */
  now: Minute;
  tasks: readonly BenchTask[];
  workers: readonly Worker[];
  places: readonly DryingPlace[];
  /** Hours in which a kind of work may run, in order and apart. */
  hours: ReadonlyMap<string, readonly Stretch[]>;
  deliverables: readonly Deliverable[];
}

/** A task with its place in the calendar. */
export interface LaidTask {
  taskId: string;
  /** Who does it; null for what only happens. */
  workerId: string | null;
  /** Who works at it beside, at the same time: its minutes are shared among all of them. */
  helperIds: readonly string[];
  /** When hands are at it; several stretches where it is done in parts. */
  parts: readonly Stretch[];
  /** What has to be done again since it starts late after something, minutes; in the parts. */
  extraMinutes: number;
  /** Where it dries; null where nothing has to lie. */
  placeId: string | null;
}

/** Tasks of one batch key in a row: one set-up before, one clean-up after. */
export interface LaidSession extends Stretch {
  workerId: string;
  batch: Batch;
  taskIds: readonly string[];
}

/** What a schedule comes to, the first figure weighing most. */
export interface ScheduleScore {
  /** Weighted minutes that deliverables are late, together. */
  lateMinutes: number;
  setUpMinutes: number;
  /** When the last deliverable is ready. */
  end: Minute;
}

/** Tasks laid into the calendar. */
export interface BenchSchedule {
  tasks: readonly LaidTask[];
  sessions: readonly LaidSession[];
  /** Tasks for which no time was found as far as the windows reach, and all that follows them. */
  unlaid: readonly string[];
  score: ScheduleScore;
}

/** Whether a score is better than another: less late, then less set-up, then an earlier end. */
export function isBetter(a: ScheduleScore, b: ScheduleScore): boolean {
  if (a.lateMinutes !== b.lateMinutes) return a.lateMinutes < b.lateMinutes;
  if (a.setUpMinutes !== b.setUpMinutes) return a.setUpMinutes < b.setUpMinutes;
  return a.end < b.end;
}

/** The end of a laid task. */
export const endOf = (laid: LaidTask): Minute => Math.max(...laid.parts.map(({ end }) => end));

/** The start of a laid task. */
export const startOf = (laid: LaidTask): Minute => Math.min(...laid.parts.map(({ start }) => start));

/** The hours of whoever does something; the first worker's where nobody does, or nobody is known by that id. */
export const windowsOf = ({ workers }: BenchProblem, workerId: string | null | undefined): readonly Stretch[] =>
  (workers.find(({ id }) => id === workerId) ?? workers[0])?.windows ?? [];
