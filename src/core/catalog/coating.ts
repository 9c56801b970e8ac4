import type { AirLimits } from '../calendar/weather/coatingHours';
import type { CoatRange, HidingRow } from '../color/coatsUntilHidden';
import type { Source } from '../kernel/source';
import type { AllowedInterval } from '../state/joint';
import type { Film, Sheen } from '../state/surfaceState';
import type { CutStock } from './cutStock';
import type { Figure } from './figure';

/** Families by which the compatibility table speaks of layers. */
export type CoatingGroup =
  | 'waterbornePaint'
  | 'waterborneClear'
  | 'oilPaint'
  | 'oilClear'
  | 'solventPaint'
  | 'solventClear'
  | 'waterborneStain'
  | 'oilStain'
  | 'sealingStain'
  | 'glaze'
  | 'wax'
  | 'conditioner'
  | 'primer'
  | 'decoupage'
  | 'film';

/**
 * A paint hides what is beneath; a translucent coat lets it show; a primer carries; a clear coat protects; a film is cut
 * and stuck on.
 */
export type CoatingRole = 'paint' | 'translucent' | 'primer' | 'clear' | 'film';

/** A size a coating is usually sold in; `estimate` is a rough shelf price in whole dollars, euros or pounds. */
export interface PackSize {
  id: string;
  name: string;
  /** mL, cans for aerosols, meters of a roll, sheets, pieces. */
  size: number;
  market: 'us' | 'metric';
  estimate: { low: number; likely: number; high: number } | null;
}

/**
 * When a finish asks for a clear coat: always, where hands or weather reach it, only on table tops and in the wet,
 * never, or not at all because a clear coat spoils it.
 */
export type TopcoatDemand = 'always' | 'handled' | 'hardWear' | 'never' | 'forbidden';

/** What a product is, as cautions look at it. */
export type Hazard = 'waterborne' | 'powder' | 'aerosol' | 'spirit' | 'oil' | 'wax' | 'epoxy' | 'none';

/** What a film is that its size does not say. */
export interface FilmFacts {
  /** Whether it comes off without harm: what rented rooms ask for. */
  isRemovable: boolean;
  lifeYears: Figure;
  /** The narrowest stroke that holds and weeds, and the lowest letters, plain and in script; mm. */
  leastStrokeMm: Figure;
  leastLetterMm: Figure;
  leastScriptMm: Figure;
  /** Whether it is cut from its back, so that everything is cut mirrored. */
  isMirrored: boolean;
  /** What a panel draws in along each meter. */
  shrinkMmPerM: Figure;
}

/**
 * One row of the coatings table. Spreading rate is m² per liter, per can and light coat for aerosols, per meter of a roll
 * for films.
 */
export interface Coating {
  id: string;
  name: string;
  role: CoatingRole;
  group: CoatingGroup;
  /**
   * What it counts as while it is laid, and once it lies there. A product that is two things in one counts as both: a
   * stain and seal is laid like a stain of its base, and lies there like a clear coat of it.
   */
  laysAs: readonly CoatingGroup[];
  liesAs: readonly CoatingGroup[];
  film: Film;
  /** The technique it is usually put on with. */
  techniqueId: string;
  unit: 'mL' | 'can' | 'm';
  spreadingRate: Figure;
  /** Hiding and coats; what does not hide uses `similar` only. */
  hiding: HidingRow;
  /** For a translucent coat: the share of the difference to its own color that one coat covers, 0 to 1. */
  opacity: number | null;
  /** Drying and clean-up. Hours at 21 °C and 50 % relative humidity. */
  touchHours: Figure;
  recoatHours: Figure;
  /** When the same product may follow itself. */
  recoatIntervals: AllowedInterval[];
  handleHours: Figure;
  fullCureDays: Figure;
  /** How long an opened can keeps, in months. */
  openedLifeMonths: Figure;
  /** Hours that a mixed portion keeps, for what is mixed before use. */
  mixedLifeHours: number | null;
  limits: AirLimits;
  sheens: readonly Sheen[];
  outdoors: 'yes' | 'no' | 'ifSealed' | 'ifLabelled';
  topcoat: TopcoatDemand;
  /** Whether its coats are sanded lightly between each other. */
  sandBetween: boolean;
  foodUse: 'displayOnly' | 'outsideBelowRim' | 'afterFullCureIfLabelled' | 'nowhereNear';
  hazard: Hazard;
  cleanUp: 'water' | 'aerosol' | 'solvent' | 'dry';
  /** Only for primers: what it lies on, whether it holds back tannin and stains; color null leaves the ground's. */
  primer: {
    madeFor: readonly string[];
    blocksBleed: boolean;
    bondsWithoutScuff: boolean;
    tintable: boolean;
    color: string | null;
  } | null;
  packs: readonly PackSize[];
  /** Only for films: what they are cut from, and what they can do. */
  cut?: CutStock;
  adhesive?: FilmFacts;
  source: Source;
}

/** Whether a coating is told apart by its color, and asks for one. */
export function isColored(coating: Coating): boolean {
  return coating.role === 'paint' || coating.role === 'translucent' || coating.role === 'film';
}

/** Whether a coating dries by giving off water, so that damp air holds it up. */
export function isWaterborne(coating: Coating): boolean {
  return coating.cleanUp === 'water';
}

export type { CoatRange };
