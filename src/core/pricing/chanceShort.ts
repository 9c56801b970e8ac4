import { pertBetaCdf, type ThreePoints } from '../kernel/pertBeta';

/**
 * The chance that what there is does not reach, because a coating spreads less than usual.
 * @param rate the spreading rate's range; the need was reckoned with its usual figure
 * @param need what is needed at the usual rate, in the supply's unit
 * @param have what there will be: the stash with the packs bought
 * @returns 0 to 1; none where nothing is needed
 */
export function chanceShort(rate: ThreePoints, need: number, have: number): number {
  if (need <= 0) return 0;
  if (have <= 0) return 1;
  // The need grows as the rate falls: it is too much below the rate at which it just reaches.
  return pertBetaCdf((rate.usual * need) / have, rate);
}

/** Chances below this are not worth a word. */
const WORTH_SAYING = 0.05;

/**
 * A chance that something does not reach, as one says it: "may not do: 3 in 10".
 * @returns null where it is hardly worth saying
 */
export function shortWords(chance: number): string | null {
  if (chance < WORTH_SAYING) return null;
  const odds = chance < 0.1 ? `1 in ${Math.round(1 / chance)}` : `${Math.min(9, Math.round(chance * 10))} in 10`;
  return chance < 0.5 ? `may not do: ${odds}` : `is likely short: ${odds}`;
}
