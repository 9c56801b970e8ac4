import { instantOf, zonedMoment } from './zonedTime';

/** Seven lists of [start, end] minutes of the local day, Sunday first. */
export type WorkWeek = readonly (readonly (readonly [number, number])[])[];

/** The studio's ordinary week until it says otherwise: 18:00–20:00 on weekdays, 10:00–15:00 on weekend days. */
export const ordinaryWeek: WorkWeek = [
  [[600, 900]],
  [[1080, 1200]],
  [[1080, 1200]],
  [[1080, 1200]],
  [[1080, 1200]],
  [[1080, 1200]],
  [[600, 900]],
];

/** Instants (epoch ms) in which somebody works. */
export interface WorkWindow {
  startMs: number;
  endMs: number;
}

/**
 * The work windows from an instant on, laid into local days of the time zone (clock changes respected), computed
 * only as far as they are asked for. Freshly made for each plan; asking twice gives the same answer.
 */
export class WorkWindows {
  /** The longest window of the week, in minutes. */
  readonly longestMinutes: number;
  private readonly windows: WorkWindow[] = [];
  private nextDay = 0;
  private readonly first: { year: number; month: number; day: number };
  private readonly fromMs: number;
  private readonly timeZone: string;
  private readonly week: WorkWeek;

  constructor(fromMs: number, timeZone: string, week: WorkWeek = ordinaryWeek) {
    this.fromMs = fromMs;
    this.timeZone = timeZone;
    this.week = week;
    this.first = zonedMoment(fromMs, timeZone);
    this.longestMinutes = Math.max(...week.flatMap((day) => day.map(([start, end]) => end - start)));
    if (!week.some((day) => day.length > 0)) throw new RangeError('a work week needs at least one window');
  }

  /** The window at an index, the first one being the first that ends after the starting instant. */
  at(index: number): WorkWindow {
    while (this.windows.length <= index) this.extend();
    return this.windows[index] as WorkWindow;
  }

  /** The index of the first window that ends after the instant. */
  indexAfter(instantMs: number): number {
    while (this.windows.length === 0 || (this.windows[this.windows.length - 1] as WorkWindow).endMs <= instantMs)
      this.extend();
    let low = 0;
    let high = this.windows.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.windows[middle] as WorkWindow).endMs <= instantMs) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private extend(): void {
    const date = new Date(Date.UTC(this.first.year, this.first.month - 1, this.first.day + this.nextDay));
    this.nextDay += 1;
    const day = this.week[date.getUTCDay()] ?? [];
    for (const [start, end] of day) {
      const at = (minute: number) =>
        instantOf(date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), minute, this.timeZone);
      const endMs = at(end);
      if (endMs > this.fromMs) this.windows.push({ startMs: Math.max(at(start), this.fromMs), endMs });
    }
  }
}
