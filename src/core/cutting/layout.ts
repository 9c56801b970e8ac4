import type { PackPurchase } from '../pricing/cheapestPacks';

/** A part where it lies on a unit of stock; mm from the unit's own corner, margins in it. */
export interface Placement {
  partKey: string;
  /** Which of the parts of that key it is, from 1. */
  nth: number;
  xMm: number;
  yMm: number;
  /** The box that it takes as it lies. */
  widthMm: number;
  lengthMm: number;
  /** Degrees clockwise by which it is turned. */
  turnedDeg: 0 | 90 | 180 | 270;
}

/** A rectangle that is left of a unit. */
export interface Leftover {
  xMm: number;
  yMm: number;
  widthMm: number;
  lengthMm: number;
}

/** Where a unit comes from: a leftover of the house, a whole one of the house, or one to buy. */
export type UnitOrigin =
  | { kind: 'offcut'; id: string }
  | { kind: 'house' }
  /** The pack that it is bought as; empty for whole sheets, whose packs follow from their number. */
  | { kind: 'bought'; packId: string };

/** One sheet, length of roll or board with what is cut from it. */
export interface LaidUnit {
  /** Names it among the units that there are: what was put on it stays on it. */
  key: string;
  origin: UnitOrigin;
  widthMm: number;
  lengthMm: number;
  /** How far along it anything is cut, its margin in it; of a roll only that much comes off. */
  usedMm: number;
  placed: readonly Placement[];
  /** What is worth keeping of it, the largest first. */
  leftovers: readonly Leftover[];
}

/** How parts are cut from stock, and what has to be bought for it. */
export interface CutLayout {
  units: readonly LaidUnit[];
  /** Keys of parts that are larger than any unit. */
  tooLarge: readonly string[];
  purchase: PackPurchase;
  /** What it takes of the whole units of the house: sheets, or meters of a roll. */
  ownedUsed: number;
  /** Whether it is the first, quick one, which the search may still better. */
  isQuick: boolean;
  /** Whether nothing can take fewer units to buy. */
  isProven: boolean;
}

/** Area of a box, mm². */
export const areaMm2 = ({ widthMm, lengthMm }: { widthMm: number; lengthMm: number }): number => widthMm * lengthMm;

/**
 * Share of what is cut up that neither a part nor a kept leftover takes, 0 to 1. Of a roll only the length that comes off
 * is cut up, of a board with a leftover what lies before it; boxes count as if they were full.
 */
export function wasteOf(units: readonly LaidUnit[]): number {
  const whole = units.reduce((sum, { widthMm, usedMm }) => sum + widthMm * usedMm, 0);
  const taken = units.reduce(
    (sum, { placed, leftovers, usedMm }) =>
      sum +
      [...placed, ...leftovers.filter(({ yMm }) => yMm < usedMm - 1e-6)].reduce((all, box) => all + areaMm2(box), 0),
    0,
  );
  return whole <= 0 ? 0 : Math.max(0, 1 - taken / whole);
}
