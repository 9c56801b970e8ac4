import type { CoatRange, HidingRow } from '../color/coatsUntilHidden';
import type { Source } from '../kernel/source';
import type { AllowedInterval } from '../state/joint';
import type { WeatherLimits } from '../state/step';
import type { Film, Sheen } from '../state/surfaceState';
import type { Figure } from './figure';

export type CoatingGroup = 'waterbornePaint' | 'waterborneClear' | 'solventPaint' | 'solventClear' | 'primer';
export type CoatingRole = 'paint' | 'primer' | 'clear';

/** A size a coating is usually sold in; `estimate` is a rough shelf price in whole dollars, euros or pounds. */
export interface PackSize {
  id: string;
  name: string;
  /** mL, or cans for aerosols. */
  size: number;
  market: 'us' | 'metric';
  estimate: { low: number; likely: number; high: number } | null;
}

/** One row of the coatings table. Spreading rate is m² per liter, or m² per can and light coat for aerosols. */
export interface Coating {
  id: string;
  name: string;
  role: CoatingRole;
  group: CoatingGroup;
  film: Film;
  techniqueId: string;
  unit: 'mL' | 'can';
  spreadingRate: Figure;
  /** Hiding and coats; a clear coat uses `similar` only. */
  hiding: HidingRow;
  /** Drying and clean-up. Hours at 21 °C and 50 % relative humidity. */
  touchHours: Figure;
  recoatHours: Figure;
  /** When the same product may follow itself. */
  recoatIntervals: AllowedInterval[];
  handleHours: Figure;
  fullCureDays: Figure;
  /** How long an opened can keeps, in months. */
  openedLifeMonths: Figure;
  limits: WeatherLimits;
  sheens: readonly Sheen[];
  outdoors: 'yes' | 'no' | 'ifSealed';
  /** Uses that ask for a clear coat over it. */
  topcoat: 'always' | 'never';
  foodUse: 'displayOnly' | 'afterFullCureIfLabelled';
  hazard: 'waterborne' | 'aerosol' | 'spirit' | 'oil';
  cleanUp: 'water' | 'aerosol' | 'solvent';
  /** Only for primers: what it is made to lie on, and whether it holds back tannin and stains. */
  primer: { madeFor: readonly string[]; blocksBleed: boolean; bondsWithoutScuff: boolean; color: string } | null;
  packs: readonly PackSize[];
  source: Source;
}

export type { CoatRange };
