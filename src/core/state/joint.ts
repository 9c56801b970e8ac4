import type { PreparationKind } from './preparation';
import type { StepKind } from './step';

export type Verdict = 'ok' | 'afterWait' | 'scuff' | 'barrierPrimer' | 'never' | 'notKnown';

/** From mildest to severest; a tie between rules goes to the severer. */
export const verdictSeverity: Record<Verdict, number> = {
  ok: 0,
  afterWait: 1,
  scuff: 2,
  notKnown: 3,
  barrierPrimer: 4,
  never: 5,
};

/** Whether a verdict says that it does not hold as it is: something has to come in between, or it never will. */
export const isBroken = ({ verdict }: { verdict: Verdict }): boolean =>
  verdict === 'barrierPrimer' || verdict === 'never';

/** When the upper layer may start, counted from the end of the lower one; open-ended when `toHours` is null. */
export interface AllowedInterval {
  fromHours: number;
  toHours: number | null;
  extraSteps: StepKind[];
}

/**
 * A way out that the row of a joint names: something laid in between, another coating instead of the one above or of
 * the one beneath, or a work on what is there.
 */
export type Remedy =
  | { kind: 'between'; coatingId: string }
  | { kind: 'instead'; coatingId: string }
  | { kind: 'insteadBelow'; coatingId: string }
  | { kind: 'prepare'; work: Extract<PreparationKind, 'strip' | 'dewax'> };

/** The judgment on one layer lying on another, with the rule that gave it. */
export interface Joint {
  verdict: Verdict;
  ruleId: string;
  reason: string;
  /** What happens where it does not hold, to read after "would": "peel", "lie blotchy". */
  fails: string;
  /** What the row names as a way out, the best first; nothing else may be laid in between. */
  remedies: readonly Remedy[];
  /** Hours that the lower layer must rest, for words; the exact intervals stand in `allowed`. */
  waitHours: number;
  allowed: AllowedInterval[];
}
