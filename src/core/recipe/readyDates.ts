import type { WorkWindows } from '../calendar/workWindows';
import type { Assumptions } from '../catalog/assumptions';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../kernel/units';
import type { Step } from '../state/step';
import type { RecipePlan } from './computeRecipe';
import { curingOf } from './curing';

/** A step with its place in the calendar, epoch milliseconds. */
export interface LaidStep {
  stepId: string;
  startMs: number;
  endMs: number;
}

export interface ReadyDates {
  laid: LaidStep[];
  /** When it can be set in place with care: last work done and every film past handling time. */
  standsMs: number;
  /** When it is usable as its zones are used. */
  usableMs: number;
}

/**
 * Puts minutes of work into the windows from an instant on; splits only what may be split.
 * @returns epoch milliseconds of its beginning and its end
 */
export function scheduleWork(
  windows: WorkWindows,
  fromMs: number,
  minutes: number,
  splittable: boolean,
): { startMs: number; endMs: number } {
  if (minutes <= 0) return { startMs: fromMs, endMs: fromMs };
  const mustFit = !splittable && minutes <= windows.longestMinutes;
  let index = windows.indexAfter(fromMs);
  let left = minutes * MS_PER_MINUTE;
  let startMs: number | null = null;
  for (;;) {
    const window = windows.at(index);
    const begin = Math.max(window.startMs, fromMs);
    const room = window.endMs - begin;
    index += 1;
    if (room <= 0 || (mustFit && room < left)) continue;
    startMs ??= begin;
    if (room >= left) return { startMs, endMs: begin + left };
    left -= room;
  }
}

/** The first start that one of the allowed intervals after a step's end permits, given where work fits. */
function earliestStart(
  step: Step,
  ends: ReadonlyMap<string, number>,
  windows: WorkWindows,
  minutes: number,
  fromMs: number,
): { startMs: number; endMs: number } {
  let from = fromMs;
  for (let round = 0; round < 50; round += 1) {
    const placed = scheduleWork(windows, from, minutes, step.splittable);
    let wanted = placed.startMs;
    for (const link of step.after) {
      const end = ends.get(link.stepId);
      if (end === undefined) continue;
      const gapHours = (placed.startMs - end) / MS_PER_HOUR;
      const inside = link.allowed.some(
        (interval) =>
          gapHours >= interval.fromHours - 1e-9 && (interval.toHours === null || gapHours <= interval.toHours + 1e-9),
      );
      if (inside) continue;
      const next = link.allowed
        .filter((interval) => interval.fromHours > gapHours)
        .sort((a, b) => a.fromHours - b.fromHours)[0];
      if (next) wanted = Math.max(wanted, end + next.fromHours * MS_PER_HOUR);
    }
    if (wanted <= placed.startMs) return placed;
    from = wanted;
  }
  return scheduleWork(windows, from, minutes, step.splittable);
}

/**
 * Lays a recipe alone into the studio's ordinary week: waits run round the clock, hands-on minutes (overhead in them)
 * only in the windows, one step at a time; each film cures from its own last coat, the latest wins.
 */
export function readyDates(
  plan: RecipePlan,
  assumptions: Assumptions,
  windows: WorkWindows,
  startMs: number,
): ReadyDates {
  const overhead = 1 + assumptions.number('labor.overheadPercent') / 100;
  const ends = new Map<string, number>();
  const laid: LaidStep[] = [];
  let free = startMs;
  for (const step of plan.steps) {
    const minutes = (step.setUpMinutes + step.runMinutes + step.cleanUpMinutes) * overhead;
    const placed = earliestStart(step, ends, windows, minutes, free);
    ends.set(step.id, placed.endMs);
    laid.push({ stepId: step.id, ...placed });
    free = Math.max(free, placed.endMs);
  }
  let standsMs = free;
  let usableMs = free;
  for (const { layerId, handleHours, usableHours } of curingOf(plan, assumptions)) {
    const coats = plan.steps.filter((step) => step.layerId === layerId);
    const last = Math.max(0, ...coats.map((step) => ends.get(step.id) ?? 0));
    if (last === 0) continue;
    standsMs = Math.max(standsMs, last + handleHours * MS_PER_HOUR);
    usableMs = Math.max(usableMs, last + usableHours * MS_PER_HOUR);
  }
  return { laid, standsMs, usableMs };
}
