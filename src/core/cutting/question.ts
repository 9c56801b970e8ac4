import type { CutStock } from '../catalog/cutStock';
import type { PackChoice } from '../pricing/cheapestPacks';
import type { Placement } from './layout';
import type { PartBag } from './part';

/** A leftover of the house, mm; of a board its length alone counts. */
export interface Offcut {
  id: string;
  widthMm: number;
  lengthMm: number;
  count: number;
}

/** A part that the stylist put somewhere; it stays, as long as there is that unit. */
export interface Pin extends Omit<Placement, 'widthMm' | 'lengthMm'> {
  unitKey: string;
}

/** What is to be cut from what. */
export interface CutQuestion {
  stock: CutStock;
  parts: PartBag;
  offcuts: readonly Offcut[];
  /** Whole units of the house, in the supply's unit: sheets, or meters of a roll. Infinity where nobody counts. */
  owned: number;
  /** What it is sold in; sizes in the supply's unit: sheets, or meters of a roll or a board. */
  packs: readonly PackChoice[];
  pins: readonly Pin[];
  seed: number;
}

/** Lengths closer than this are equal, mm. */
export const SAME_MM = 1e-6;

export const MM_PER_M = 1000;
