import type { Learned, LearnedFactor } from '../catalog/learned';
import { grouped } from '../kernel/grouped';
import type { LogEntryRow } from '../model/rows';

/** Before so many lines nothing is learned of a thing. */
const LEAST_ENTRIES = 3;
/** How many lines of "as expected" are thought beside those that there are, so that a few odd ones do not decide. */
const PRIOR_ENTRIES = 4;
/** The weight of a line halves with every so many newer ones. */
const HALVES_EVERY = 20;
/** A ratio beyond this says more about the note than about the work. */
export const MOST_RATIO = 3;

/** What was expected and what it was. */
export interface Measured {
  expected: number;
  actual: number;
}

/**
 * The factor that measured ratios teach: exp(Σ wᵢ·ln(actualᵢ/expectedᵢ) ÷ (Σ wᵢ + 4)), each ratio held to a third and three
 * times; the weight halves every 20 lines. A modelling choice: a mean of logarithms, drawn towards 1.
 * @param measured the newest first
 * @returns null for fewer than three
 * @example 54 expected, 66, 61, 70 needed → 1.087
 */
export function factorOf(measured: readonly Measured[]): number | null {
  const usable = measured.filter(({ expected, actual }) => expected > 0 && actual > 0);
  if (usable.length < LEAST_ENTRIES) return null;
  let weights = 0;
  let sum = 0;
  usable.forEach(({ expected, actual }, n) => {
    const weight = 0.5 ** Math.floor(n / HALVES_EVERY);
    const ratio = Math.min(MOST_RATIO, Math.max(1 / MOST_RATIO, actual / expected));
    weights += weight;
    sum += weight * Math.log(ratio);
  });
  return Math.exp(sum / (weights + PRIOR_ENTRIES));
}

/**
 * What the lines of a log teach. Lines that do not count any more, or say nothing of the thing, are left out.
 * @param entries in any order
 */
export function learnFactors(entries: readonly LogEntryRow[]): Learned {
  const counted = entries.filter(({ counts }) => counts).sort((a, b) => b.atMs - a.atMs || (a.id < b.id ? -1 : 1));
  const minutesOf = (lines: readonly LogEntryRow[]): Measured[] =>
    lines.map(({ expectedMinutes, minutes }) => ({ expected: expectedMinutes, actual: minutes }));
  const all = toFactor(minutesOf(counted), true);
  const byWork = new Map(
    [...grouped(counted, ({ work }) => work)].map(([work, lines]) => [work, toFactor(minutesOf(lines), false)]),
  );
  const amounts = counted.flatMap((entry) =>
    entry.amounts.map(({ kindId, expected, used }) => ({ kindId, expected, actual: used })),
  );
  const byKind = new Map(
    [...grouped(amounts, ({ kindId }) => kindId)].map(([kindId, lines]) => [kindId, toFactor(lines, false)]),
  );
  const coats = grouped(
    counted.filter((entry) => entry.coats !== null && entry.coatingId !== null),
    ({ coatingId }) => coatingId ?? '',
  );
  return {
    minutesOf: (key) => byWork.get(key) ?? all,
    amountOf: (coatingId) => byKind.get(coatingId) ?? null,
    coatsOf: (coatingId) => {
      const lines = coats.get(coatingId) ?? [];
      if (lines.length < LEAST_ENTRIES) return null;
      const expected = lines.reduce((sum, entry) => sum + (entry.coats?.expected ?? 0), 0);
      const given = lines.reduce((sum, entry) => sum + (entry.coats?.given ?? 0), 0);
      return expected === 0 ? null : { morePerCoat: (given - expected) / expected, entries: lines.length };
    },
  };
}

function toFactor(measured: readonly Measured[], isOfAll: boolean): LearnedFactor | null {
  const factor = factorOf(measured);
  return factor === null ? null : { factor, entries: measured.length, isOfAll };
}
