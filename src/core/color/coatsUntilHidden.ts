import { ciede2000 } from './ciede2000';
import { type Lab, mixLab } from './lab';

/** Fewest, typical and most coats of one column of the coatings table. */
export interface CoatRange {
  minimum: number;
  typical: number;
  maximum: number;
}

/** How well a coating hides: its coats over a similar color, light over dark, dark over light. */
export interface HidingRow {
  similar: CoatRange;
  lightOverDark: CoatRange;
  darkOverLight: CoatRange;
}

export type HidingDirection = keyof HidingRow;

/** What the eye still accepts after the last coat, as ΔE00: strict 1, ordinary 2, rustic 3.5. */
export const hidingThresholds = { strict: 1, ordinary: 2, rustic: 3.5 } as const;
export type HidingEye = keyof typeof hidingThresholds;

/** ΔE00 of the reference pair Lab 25,8,12 and 94,0,5 that defines hiding (a modelling choice). */
export const REFERENCE_DIFFERENCE = 62;

export interface HidingResult {
  coats: number;
  direction: HidingDirection;
  /** ΔE00 between the present and the new color. */
  difference: number;
  /** Share of the difference that one coat hides, 0 to 1. */
  hidingPerCoat: number;
  /** Weak pigments (strong yellows and oranges) hide less. */
  weakPigment: boolean;
  /** What still shows after each coat, from one coat to `coats`, as ΔE00. */
  showing: number[];
  /** The color after each coat, from one to the most of `coats` and 3. */
  colors: Lab[];
  /** Whether the table's maximum ended the count while more than the threshold still shows. */
  cutShort: boolean;
}

function hidingOf(typicalCoats: number): number {
  return 1 - (2 / REFERENCE_DIFFERENCE) ** (1 / typicalCoats);
}

function isWeakPigment(color: Lab): boolean {
  const hue = (Math.atan2(color.b, color.a) * 180) / Math.PI;
  return Math.hypot(color.a, color.b) > 45 && hue >= 20 && hue <= 110;
}

/**
 * Which column of the table a change of color falls under.
 * @param under what is there
 * @param target what shall be seen
 * @example L 90 under L 30 → dark over light
 */
export function hidingDirection(under: Lab, target: Lab): HidingDirection {
  const rise = target.L - under.L;
  if (rise > 5) return 'lightOverDark';
  if (rise < -5) return 'darkOverLight';
  return ciede2000(under, target) <= 10 ? 'similar' : 'lightOverDark';
}

/**
 * How many coats of `target` hide `under`. The color after n coats is
 * Lab_n = target + (under − target)·(1 − h)^n; n is the least with ΔE00 at or below the threshold, held between the
 * column's minimum and maximum. h comes from the table's typical coats (a modelling choice, defined in the figures).
 * @param threshold ΔE00 that may still show, see {@link hidingThresholds}
 */
export function coatsUntilHidden(under: Lab, target: Lab, row: HidingRow, threshold: number): HidingResult {
  const direction = hidingDirection(under, target);
  const column = row[direction];
  const falls = target.L < under.L;
  const typical =
    direction === 'darkOverLight' || (direction === 'similar' && falls)
      ? row.darkOverLight.typical
      : row.lightOverDark.typical;
  const weakPigment = isWeakPigment(target);
  const h = hidingOf(typical);
  const remains = Math.min(1, (1 - h) * (weakPigment ? 1.5 : 1));
  const colorAfter = (n: number) => mixLab(target, under, remains ** n);
  const showsAfter = (n: number) => ciede2000(colorAfter(n), target);
  let coats = column.minimum;
  while (coats < column.maximum && showsAfter(coats) > threshold) coats += 1;
  const showing = Array.from({ length: coats }, (_, index) => showsAfter(index + 1));
  return {
    coats,
    direction,
    difference: ciede2000(under, target),
    hidingPerCoat: 1 - remains,
    weakPigment,
    showing,
    colors: Array.from({ length: Math.max(coats, 3) }, (_, index) => colorAfter(index + 1)),
    cutShort: (showing[coats - 1] ?? 0) > threshold,
  };
}
