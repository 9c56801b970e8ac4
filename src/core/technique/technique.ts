import type { Coating } from '../catalog/coating';
import type { laborEach, laborRates } from '../catalog/labor.data';
import type { Verdict } from '../state/joint';
import type { Place } from '../state/step';
import type { SurfaceState } from '../state/surfaceState';
import type { DetailKind } from '../surface/zone';
import type { SheetWork } from './sheetWork';

/** What a technique needs to know of a zone and a layer to say how much of a supply it takes. */
export interface QuantityInput {
  /** Area without any texture factor, in m². */
  projectedAreaM2: number;
  /** The zone's one texture factor. */
  texture: number;
  /** Absorption of the first coat; 1 when a primer lies beneath. */
  absorption: number;
  coats: number;
  /** m² per liter, per can and light coat, per meter of a roll. */
  spreadingRate: number;
  /** Loss in percent, already 0 where the rate holds it. */
  lossPercent: number;
  detail: DetailKind;
}

/** One thing to set on a technique: a ratio, a share, a length in mm. Values are plain numbers. */
export interface TechniqueParameter {
  id: string;
  label: string;
  kind: 'number' | 'length' | 'count' | 'choice';
  standard: number;
  minimum: number;
  maximum: number;
  /** For a choice: what each number stands for. */
  choices?: readonly { value: number; label: string }[];
  /** Asked only while an artwork is cut, only while none is, or with the artwork itself. */
  only?: 'artwork' | 'noArtwork' | 'withArtwork';
  /** Asked only while this count of the same technique is above 0. */
  onlyWith?: string;
}
export type TechniqueValues = Readonly<Record<string, number>>;

/** A work that follows the last coat of a technique: buffing, seasoning. */
export interface FinishingWork {
  id: string;
  title: string;
  rate: keyof typeof laborRates;
  /** Hours after the last coat. */
  waitHours: number;
}

/** How a technique reads a surface that its coating alone would take or leave. */
export interface TechniqueDemand {
  verdict: Verdict;
  waitHours: number;
  reason: string;
}

/**
 * A way to put a layer on, or to work what lies there. To add one: a folder with its object and a line in
 * `technique/index.ts`; menus, schemas and forms derive from the registry.
 */
export interface Technique {
  id: string;
  name: string;
  /** What people call it: "whitewash", "spray it". */
  words: readonly string[];
  family: 'cover' | 'translucent' | 'decorate' | 'age' | 'protect' | 'paper' | 'film';
  /** What it is, for someone who has not done it. */
  remark: string;
  /** What it asks of a hand: 1 a first piece, 2 practice, 3 a steady hand. */
  difficulty: 1 | 2 | 3;
  skillAsked: string;
  /** Coatings it can put on; a technique that lays nothing takes none. */
  accepts(coating: Coating): boolean;
  lays: boolean;
  /** Whether only parts of the zone are reached, so that what lies beneath stays open too. */
  partial: boolean;
  parameters: readonly TechniqueParameter[];
  place: Place;
  /** Hands-on rate: by the square meter, or each (a leaf). */
  rate: { perM2: keyof typeof laborRates } | { each: keyof typeof laborEach };
  detailFactor(detail: DetailKind): number;
  toolIds: readonly string[];
  /** Share of the zone that it reaches, 0 to 1. */
  reach(values: TechniqueValues): number;
  /** Share of what is put on that comes out of the can; the rest is water. */
  paintShare(values: TechniqueValues): number;
  /** Amount of what is put on, in the coating's unit (mL or cans), water included. */
  quantity(input: QuantityInput, values: TechniqueValues): number;
  /** The assumption its spreading rate stands under, or null to take the coating's own. */
  spreadingRateKey: string | null;
  /** The assumption its loss stands under, in percent, or null to take the coating's own. */
  lossKey: string | null;
  /** The assumption of what stays in tray and nap each session, mL, or null where nothing does. */
  residueKey: string | null;
  /** Supplies beside the coating, a square meter reached. */
  extras: readonly { kindId: string; perM2: number }[];
  /** How coats are counted: until it hides, by the table, so many, or what paper takes beneath and above it. */
  coats: 'untilHidden' | 'table' | 'paper' | number;
  /** What it cuts from sheets, rolls or cloth; null where it cuts nothing. */
  sheet: SheetWork | null;
  /** The rate of coats after the first, where these are quicker than it: medium over paper that lies. */
  laterRate: keyof typeof laborRates | null;
  /** For a see-through coat: the share of the difference that one coat covers; null when it hides as paint does. */
  opacity(coating: Coating | null, values: TechniqueValues): number | null;
  /** Hours that a mixed portion keeps, or null when nothing is mixed. */
  mixedLifeHours: number | null;
  /** What it needs of the surface beyond what its coating asks; null when nothing. */
  demands(state: SurfaceState): TechniqueDemand | null;
  finishing: readonly FinishingWork[];
}

/**
 * The values of a technique, filled from what was set, else from its standards, held within its limits.
 * @returns a value for every setting of the technique; what it does not have is left out
 */
export function completeValues(technique: Technique, set: TechniqueValues): TechniqueValues {
  const complete: Record<string, number> = {};
  for (const parameter of technique.parameters) {
    const value = set[parameter.id] ?? parameter.standard;
    complete[parameter.id] = Math.min(parameter.maximum, Math.max(parameter.minimum, value));
  }
  return complete;
}
