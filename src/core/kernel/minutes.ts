import { fromMicro } from './micro';

/** Minutes as a range: low, likely, high. Where the code says so, in millionths of a minute. */
export interface Minutes {
  low: number;
  likely: number;
  high: number;
}

/**
 * The same for every end of a range.
 * @param change must not put a high end below a low one
 */
export function mapMinutes(minutes: Minutes, change: (end: number) => number): Minutes {
  return { low: change(minutes.low), likely: change(minutes.likely), high: change(minutes.high) };
}

/**
 * a + b × factor, end by end; exact for whole millionths.
 * @param factor how many times b is added
 */
export function addMinutes(a: Minutes, b: Minutes, factor = 1): Minutes {
  return { low: a.low + b.low * factor, likely: a.likely + b.likely * factor, high: a.high + b.high * factor };
}

/** The same minutes at every end. */
export function sureMinutes(minutes: number): Minutes {
  return { low: minutes, likely: minutes, high: minutes };
}

export const noMinutes: Minutes = Object.freeze(sureMinutes(0));

/** From millionths to minutes. */
export function minutesFromMicro(micro: Minutes): Minutes {
  return mapMinutes(micro, fromMicro);
}
