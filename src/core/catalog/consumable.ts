import type { PackSize } from './coating';
import type { CutStock } from './cutStock';
import type { Figure } from './figure';

/** What a supply is counted in; `boardM` is a meter of what is sold by the foot where people measure in feet. */
export type SupplyUnit = 'mL' | 'can' | 'sheet' | 'm' | 'boardM' | 'piece' | 'g';

/** A supply that is no coating. */
export interface Consumable {
  id: string;
  name: string;
  unit: Exclude<SupplyUnit, 'can'>;
  /** Whether its color tells one from another: ribbon does, sandpaper does not. */
  colored: boolean;
  /** Whether a workshop has it without counting: owned until the studio says otherwise (common practice, no source). */
  staple?: boolean;
  packs: readonly PackSize[];
  /** What one of it is, where parts are cut from it; absent for what is poured, counted or measured off. */
  cut?: CutStock;
  /** How thick it is, mm, where parts are fitted by it. */
  thicknessMm?: number;
  /** How it behaves when it is laid; only for paper. */
  paper?: PaperFacts;
  /** How long it lasts; only for cut stems. */
  plant?: PlantFacts;
}

/** What a printed paper is that its size does not say. */
export interface PaperFacts {
  gramsPerM2: number;
  /** How many plies it has; only the printed one is used, the others are peeled off. */
  plies: number;
  /** What its print is made with: ink may run in water. */
  print: 'fast' | 'inkjet' | 'laser';
}

/** How long cut stems last, in days, and what to know of the plant. */
export interface PlantFacts {
  /** In a vase of fresh water; null where it is not kept in water. */
  waterDays: Figure | null;
  /** In a garland or a wreath, without water; null where it keeps for a season. */
  dryDays: Figure | null;
  /** What makes it no good for animals or small children; null where nothing is known against it. */
  harm: 'kills' | 'sickens' | null;
}
