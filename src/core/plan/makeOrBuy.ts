import type { Minutes } from '../kernel/minutes';

/** Differences in hands-on time up to this many minutes are not priced; they are told in words. */
export const SAME_TIME_MINUTES = 15;

/** An option's cost against the slot's yardstick: money in minor units, time in minutes. */
export type Comparison =
  | { kind: 'noYardstick' }
  | { kind: 'isYardstick' }
  | { kind: 'unknownPrice' }
  /** ΔH > 15 min: `perHour` is ΔC ÷ ΔH; negative means that the hour costs. */
  | { kind: 'perHour'; deltaCost: number; deltaMinutes: number; perHour: number }
  /** |ΔH| ≤ 15 min: saves or costs money for about the same time. */
  | { kind: 'sameTime'; deltaCost: number; deltaMinutes: number }
  | { kind: 'cheaperAndQuicker'; deltaCost: number; deltaMinutes: number }
  /** ΔH < −15 min and ΔC < 0: buys time. */
  | { kind: 'savesTime'; deltaCost: number; deltaMinutes: number };

export interface SideOfComparison {
  /** Cash added + stash used, minor units (likely). */
  cost: number;
  minutes: Minutes;
  atLeast: boolean;
}

/**
 * Compares an option with the yardstick, each in the same plan and for the same count.
 * ΔC = cost of the yardstick − cost of the option; ΔH = minutes of the option − minutes of the yardstick.
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
  if (option.atLeast || yardstick.atLeast) return { kind: 'unknownPrice' };
  const deltaCost = yardstick.cost - option.cost;
  const deltaMinutes = option.minutes.likely - yardstick.minutes.likely;
  if (deltaMinutes > SAME_TIME_MINUTES) {
    return { kind: 'perHour', deltaCost, deltaMinutes, perHour: Math.round(deltaCost / (deltaMinutes / 60)) };
  }
  if (deltaMinutes >= -SAME_TIME_MINUTES) return { kind: 'sameTime', deltaCost, deltaMinutes };
  return { kind: deltaCost >= 0 ? 'cheaperAndQuicker' : 'savesTime', deltaCost, deltaMinutes };
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
    case 'savesTime':
      return comparison.deltaCost >= (hourValue * comparison.deltaMinutes) / 60;
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
