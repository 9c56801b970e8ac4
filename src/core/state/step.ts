import type { AirLimits } from '../calendar/weather/coatingHours';
import type { Source } from '../kernel/source';
import type { AllowedInterval } from './joint';
import type { PreparationKind } from './preparation';

export type StepKind =
  | PreparationKind
  | 'leadTest'
  | 'testPatch'
  | 'dismantle'
  | 'mask'
  | 'coat'
  | 'cut'
  | 'saw'
  | 'assemble'
  | 'glue'
  | 'sew'
  | 'drill'
  | 'arrange'
  | 'print'
  | 'sealInk'
  | 'sandBetween'
  | 'work'
  | 'finish'
  | 'mend'
  | 'own'
  | 'reassemble';

/** Paint and water of a mixed portion, and how long it keeps. */
export interface Mix {
  paint: number;
  waterMl: number;
  keepsHours: number | null;
}

/** Where a step can be done. */
export type Place = 'indoors' | 'ventilated' | 'outdoors';

/** One step of a recipe, carrying what a schedule will need. Minutes are hands-on, at the studio's skill. */
export interface Step {
  id: string;
  kind: StepKind;
  /** English title, from the entries involved. */
  title: string;
  zoneKeys: string[];
  layerId: string | null;
  coat: number | null;
  setUpMinutes: number;
  runMinutes: number;
  cleanUpMinutes: number;
  people: number;
  splittable: boolean;
  leastChunkMinutes: number;
  /** Steps with the same key share one set-up: supply and tool. */
  batchKey: string | null;
  place: Place;
  limits: AirLimits | null;
  /**
   * Drying after the step, in the air of the project: dry to touch, may be handled, fully cured; and the drying place
   * it takes until it may be handled, m².
   */
  drying: { touchHours: number; untilHours: number; cureDays: number; footprintM2: number } | null;
  potLifeHours: number | null;
  supplies: { supplyKey: string; amount: number }[];
  tools: string[];
  after: { stepId: string; allowed: AllowedInterval[] }[];
  /** What is mixed for it, when it is let down with water. */
  mix: Mix | null;
  /** How it is done, or what to look for. */
  hint: string;
  /** Taken out by the stylist: it stays in the list and takes nothing. */
  skipped: boolean;
  overruled: ('minutes' | 'wait')[];
  source: Source;
}
