import { dateAfter } from '@core/calendar/localDates';
import type { Minute, Stretch } from '@core/schedule/benchProblem';
import { minuteOf } from '@core/schedule/workerWindows';

/** How much wider an hour of work is drawn than an hour in which nobody works. */
const WORK_IS_WIDER = 7;

/** A day on the line: where it begins, and where its hours of work lie. */
export interface ScaledDay extends Stretch {
  date: string;
  x: number;
  windows: readonly (Stretch & { x: number; width: number })[];
}

/** Where moments lie on the line. */
export interface LineScale {
  days: readonly ScaledDay[];
  dayWidth: number;
  width: number;
  xOf(moment: Minute): number;
  /** The moment at a place; the first or the last one beyond the ends. */
  momentAt(x: number): Minute;
}

/**
 * Days of one width side by side; within each, hours of work are drawn wider than those between, so that an evening's
 * steps can be told apart and waiting still reads as long.
 */
export function lineScale(of: {
  from: string;
  days: number;
  dayWidth: number;
  windows: readonly Stretch[];
  timeZone: string;
}): LineScale {
  const days: ScaledDay[] = [];
  const marks: { moment: Minute; x: number }[] = [];
  for (let n = 0; n < of.days; n += 1) {
    const date = dateAfter(of.from, n);
    const start = minuteOf(date, 0, of.timeZone);
    const end = minuteOf(dateAfter(date, 1), 0, of.timeZone);
    const own = of.windows
      .filter((window) => window.start < end && window.end > start)
      .map((window) => ({ start: Math.max(start, window.start), end: Math.min(end, window.end) }));
    const worked = own.reduce((sum, window) => sum + window.end - window.start, 0);
    const unit = of.dayWidth / (worked * WORK_IS_WIDER + (end - start - worked));
    let x = n * of.dayWidth;
    let at = start;
    const windows: (Stretch & { x: number; width: number })[] = [];
    marks.push({ moment: at, x });
    for (const window of own) {
      x += (window.start - at) * unit;
      const width = (window.end - window.start) * unit * WORK_IS_WIDER;
      marks.push({ moment: window.start, x });
      windows.push({ ...window, x, width });
      x += width;
      at = window.end;
      marks.push({ moment: at, x });
    }
    days.push({ date, start, end, x: n * of.dayWidth, windows });
  }
  const width = of.days * of.dayWidth;
  marks.push({ moment: days.at(-1)?.end ?? 0, x: width });
  const between = (value: number, key: 'moment' | 'x', other: 'moment' | 'x'): number => {
    const first = marks[0];
    const last = marks.at(-1);
    if (!first || !last) return 0;
    if (value <= first[key]) return first[other];
    if (value >= last[key]) return last[other];
    let low = 0;
    let high = marks.length - 1;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((marks[middle]?.[key] ?? 0) <= value) low = middle;
      else high = middle;
    }
    const a = marks[low] ?? first;
    const b = marks[high] ?? last;
    return b[key] === a[key] ? a[other] : a[other] + ((b[other] - a[other]) * (value - a[key])) / (b[key] - a[key]);
  };
  return {
    days,
    dayWidth: of.dayWidth,
    width,
    xOf: (moment) => between(moment, 'moment', 'x'),
    momentAt: (x) => Math.round(between(x, 'x', 'moment')),
  };
}
