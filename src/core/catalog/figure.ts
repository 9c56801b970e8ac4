import { commonPractice, type Source } from '../kernel/source';

/** A table figure: its usual range, the value taken by default, and where it is from. */
export interface Figure {
  low: number;
  usual: number;
  high: number;
  source: Source;
}

/** A figure of the trade; the source is common practice from memory unless another is given. */
export function figure(low: number, usual: number, high: number, source: Source = commonPractice): Figure {
  return { low, usual, high, source };
}
