/** How a material comes: flat sheets, a roll of one width, or boards of several lengths. */
export type StockForm = 'sheet' | 'roll' | 'board';

/** What parts are cut from: one unit of a material with what of it is of use. Lengths in mm. */
export interface CutStock {
  form: StockForm;
  /** Of a sheet its width, of a roll its width across, of a board its face. */
  widthMm: number;
  /** Of a sheet its length; null where the pack says how long it is. */
  lengthMm: number | null;
  /** What is of no use along each edge: a selvage, a pinch roller, a split end. */
  marginMm: number;
  /** What a cut takes between two parts: the kerf of a saw, the width that a blade or scissors need. */
  gapMm: number;
  /** The shorter side (of a board: the length) from which on a leftover is kept. */
  leastOffcutMm: number;
  /** Whether it is cut off the bolt: any number of steps in one piece. */
  byTheStep: boolean;
}

/** The least that a leftover must measure to go back to the stash: sheets and film 50 mm, cloth 150, boards 200. */
export const LEAST_OFFCUT_MM = { sheet: 50, cloth: 150, board: 200 } as const;
