import type { Minutes } from '../kernel/minutes';

/** Differences in hands-on time up to this many minutes are not priced; they are told in words. */
export const SAME_TIME_MINUTES = 15;

/** An option's cost against the slot's yardstick: money in minor units, time in minutes. */
export type Comparison =
  | { kind: 'noYardstick' }
  | { kind: 'isYardstick' }
  | { kind: 'unknownPrice' }
  /** ΔH > 15 min: `perHour` is ΔC ÷ ΔH; negative means that the hour costs. */
  | ({ kind: 'perHour'; perHour: number } & Difference)
  /** |ΔH| ≤ 15 min: saves or costs money for about the same time. */
  | ({ kind: 'sameTime' } & Difference)
  | ({ kind: 'cheaperAndQuicker' } & Difference)
  /** ΔH < −15 min and ΔC < 0: buys time. */
  | ({ kind: 'savesTime' } & Difference);

/** What the option saves against the yardstick, and the time it takes more. */
interface Difference {
  deltaCost: number;
  deltaMinutes: number;
  /**
   * Whether the saving is exact, the least it comes to (the yardstick costs more than is known) or the most (the option
   * does).
   */
  bound: 'exact' | 'least' | 'most';
}

export interface SideOfComparison {
  /** Cash added + stash used, minor units (likely). */
  cost: number;
  minutes: Minutes;
  atLeast: boolean;
}

/**
 * Compares an option with the yardstick, each in the same plan and for the same count.
 * ΔC = cost of the yardstick − cost of the option; ΔH = minutes of the option − minutes of the yardstick.
 * A price that is only known to be over so much makes the saving a bound; where the bound tells nothing, nothing is told.
 * @example new $88.40 and 40 min against $21.69 and 155 min → $34.81 an hour
 * @returns money in minor units, an hour’s worth only where the option takes more time
 */
export function compareWithYardstick(
  option: SideOfComparison,
  yardstick: SideOfComparison | null,
  isYardstick: boolean,
): Comparison {
  if (isYardstick) return { kind: 'isYardstick' };
  if (yardstick === null) return { kind: 'noYardstick' };
  if (option.atLeast && yardstick.atLeast) return { kind: 'unknownPrice' };
  const bound = yardstick.atLeast ? 'least' : option.atLeast ? 'most' : 'exact';
  const deltaCost = yardstick.cost - option.cost;
  // A bound says something only on its own side: what saves at least a loss may save or lose.
  if ((bound === 'least' && deltaCost < 0) || (bound === 'most' && deltaCost >= 0)) return { kind: 'unknownPrice' };
  const deltaMinutes = option.minutes.likely - yardstick.minutes.likely;
  const difference = { deltaCost, deltaMinutes, bound } as const;
  if (deltaMinutes > SAME_TIME_MINUTES) {
    return { kind: 'perHour', perHour: Math.round(deltaCost / (deltaMinutes / 60)), ...difference };
  }
  if (deltaMinutes >= -SAME_TIME_MINUTES) return { kind: 'sameTime', ...difference };
  return { kind: deltaCost >= 0 ? 'cheaperAndQuicker' : 'savesTime', ...difference };
}

/**
 * Whether the option beats the yardstick at an hour worth `hourValue` minor units (0 when time is free): ΔC ≥ v·ΔH.
 * @returns null where the two cannot be compared
 */
export function beatsYardstick(comparison: Comparison, hourValue: number): boolean | null {
  switch (comparison.kind) {
    case 'noYardstick':
    case 'isYardstick':
    case 'unknownPrice':
      return null;
    case 'perHour':
    case 'sameTime':
    case 'cheaperAndQuicker':
    case 'savesTime': {
      const wins = comparison.deltaCost >= (hourValue * comparison.deltaMinutes) / 60;
      // Of a bound only what lies on its side is certain.
      if (comparison.bound === 'least') return wins ? true : null;
      return comparison.bound === 'most' && wins ? null : wins;
    }
    default:
      return comparison satisfies never;
  }
}

/**
 * The largest till price at which the option still costs no more than the yardstick, hours priced:
 * cost(yardstick) + v·H(yardstick) − (cost(option) − its till price) − v·H(option), rounded down to whole minor units.
 * Negative means "not even free".
 * @param tillInCost the part of the option's cost that is its find's till price
 */
export function worthUpTo(
  option: SideOfComparison,
  tillInCost: number,
  yardstick: SideOfComparison,
  hourValue: number,
): number {
  const hours = (option.minutes.likely - yardstick.minutes.likely) / 60;
  return Math.floor(yardstick.cost - (option.cost - tillInCost) - hourValue * hours + 1e-6);
}
