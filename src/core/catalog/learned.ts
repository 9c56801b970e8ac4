/** A factor that a studio's log teaches, and how many lines stand behind it. */
export interface LearnedFactor {
  factor: number;
  entries: number;
  /** Whether it is that of all work together, since there is too little of this one. */
  isOfAll: boolean;
}

/** What a studio's log teaches: factors on what the tables say. Null where there is too little to learn from. */
export interface Learned {
  /** On minutes that go by a rate, by its assumption: `labor.brushMinutesPerM2`. */
  minutesOf(key: string): LearnedFactor | null;
  /** On what a coating takes, by its id: more than 1 where it does not reach as far as the tables say. */
  amountOf(coatingId: string): LearnedFactor | null;
  /** Coats given beyond each that was expected of a coating, on average; null where there is too little to learn from. */
  coatsOf(coatingId: string): { morePerCoat: number; entries: number } | null;
}

/** A log in which nothing stands. */
export const nothingLearned: Learned = Object.freeze({
  minutesOf: () => null,
  amountOf: () => null,
  coatsOf: () => null,
});
