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

/** When the upper layer may start, counted from the end of the lower one; open-ended when `toHours` is null. */
export interface AllowedInterval {
  fromHours: number;
  toHours: number | null;
  extraSteps: StepKind[];
}

/** The judgment on one layer lying on another, with the rule that gave it. */
export interface Joint {
  verdict: Verdict;
  ruleId: string;
  reason: string;
  remedy: string | null;
  /** Hours that the lower layer must rest, for words; the exact intervals stand in `allowed`. */
  waitHours: number;
  allowed: AllowedInterval[];
}
