import { dateAfter } from '../calendar/localDates';
import { USUAL_TABLE_M2, usualEvening } from '../state/workshop';
import type { BenchProblem, BenchSchedule, ScheduleScore, Stretch } from './benchProblem';
import { firstSchedule } from './improveSchedule';

/** Something that would make a plan earlier, and by how much. */
export interface Help {
  kind: 'evening' | 'place' | 'hands';
  /** The local date of another evening; null for what is not of a day. */
  date: string | null;
  /** How much sooner all is ready, and how much less is late, minutes. */
  soonerMinutes: number;
  lessLateMinutes: number;
}

const EVENING_MINUTES = usualEvening.toMinute - usualEvening.fromMinute;
const DAYS_LOOKED_AT = 7;
/** Less than half a day sooner helps nobody. */
const LEAST_MINUTES = 720;

/**
 * What would help most: another evening this week, another place to dry, a second pair of hands;
 * each tried by laying everything anew.
 * @param eveningOf two hours of a local date's evening, in minutes since the epoch
 * @param today the local date of the present
 * @returns the best of each kind that helps, the best first
 */
export function whatHelps(
  problem: BenchProblem,
  today: string,
  eveningOf: (date: string) => Stretch,
  present: BenchSchedule = firstSchedule(problem).schedule,
): Help[] {
  const tried: Help[] = [];
  const note = (kind: Help['kind'], date: string | null, changed: BenchProblem) => {
    const { score } = firstSchedule(changed).schedule;
    tried.push({ kind, date, ...gain(present.score, score) });
  };
  const [own] = problem.workers;
  if (own)
    for (let n = 0; n < DAYS_LOOKED_AT; n += 1) {
      const date = dateAfter(today, n);
      const evening = eveningOf(date);
      const isTaken = own.windows.some(({ start, end }) => start < evening.end && end > evening.start);
      if (isTaken || evening.end < problem.now + EVENING_MINUTES) continue;
      const windows = [...own.windows, evening].sort((a, b) => a.start - b.start);
      const caps = own.caps.map((cap) =>
        cap.start <= evening.start && evening.start < cap.end
          ? { ...cap, minutes: cap.minutes + EVENING_MINUTES }
          : cap,
      );
      note('evening', date, { ...problem, workers: [{ ...own, windows, caps }, ...problem.workers.slice(1)] });
    }
  if (problem.places.length > 0)
    note('place', null, { ...problem, places: [...problem.places, { id: 'another place', areaM2: USUAL_TABLE_M2 }] });
  if (own) note('hands', null, { ...problem, workers: [...problem.workers, { ...own, id: 'another pair of hands' }] });
  const best = new Map<Help['kind'], Help>();
  for (const help of tried) {
    if (help.soonerMinutes < LEAST_MINUTES && help.lessLateMinutes < LEAST_MINUTES) continue;
    const known = best.get(help.kind);
    if (!known || help.lessLateMinutes > known.lessLateMinutes || help.soonerMinutes > known.soonerMinutes)
      best.set(help.kind, help);
  }
  return [...best.values()].sort((a, b) => b.lessLateMinutes - a.lessLateMinutes || b.soonerMinutes - a.soonerMinutes);
}

const gain = (before: ScheduleScore, after: ScheduleScore) => ({
  soonerMinutes: before.end - after.end,
  lessLateMinutes: before.lateMinutes - after.lateMinutes,
});
