import { figure } from './figure';

/**
 * Hands-on rates in minutes a square meter: common practice, from memory. Brushing furniture takes 15 (8 to 30) min/m²;
 * the 8 min/m² of walls is for walls. Glaze, wash, dry brush, stencil, distressing and grout have no figure anywhere:
 * they are our own from memory, and the log will correct them.
 */
export const laborRates = {
  clean: figure(3, 6, 12),
  alcoholWipe: figure(1, 1.5, 3),
  dust: figure(1, 1.5, 3),
  scuff: figure(4, 6, 10),
  sandBetween: figure(2, 3, 6),
  sandBack: figure(12, 20, 35),
  brushOut: figure(3, 5, 10),
  fill: figure(2, 5, 10),
  etch: figure(3, 5, 8),
  strip: figure(30, 45, 90),
  dewax: figure(4, 8, 16),
  removeRust: figure(8, 15, 30),
  brush: figure(8, 15, 30),
  miniRoller: figure(3, 4, 6),
  roller: figure(2, 3, 5),
  spray: figure(2, 2.5, 4),
  clear: figure(8, 12, 24),
  stainWipe: figure(4, 6, 8),
  wax: figure(8, 10, 15),
  wash: figure(6, 10, 18),
  glaze: figure(8, 15, 25),
  dryBrush: figure(6, 12, 20),
  crevice: figure(6, 12, 20),
  distress: figure(4, 8, 15),
  stencil: figure(30, 50, 90),
  grout: figure(120, 200, 400),
  season: figure(2, 4, 6),
} as const;

/** Minutes by the piece or the meter: an edge sealed, a meter of tape, a leaf painted (the last from memory, no source). */
export const laborEach = {
  sealEdge: figure(2, 3, 5),
  maskMeter: figure(0.7, 1, 1.5),
  leaf: figure(0.3, 0.5, 1),
} as const;

/** Minutes once per session. */
export const sessionMinutes = {
  setUp: figure(10, 15, 20),
  cleanUpWater: figure(10, 10, 15),
  cleanUpSolvent: figure(15, 20, 25),
  cleanUpAerosol: figure(3, 5, 8),
} as const;

/** How much fiddly surfaces slow the brush (the spray less). */
export const detailFactors = {
  flat: { brush: 1, spray: 1 },
  profiles: { brush: 1.4, spray: 1 },
  spindles: { brush: 2.2, spray: 1.5 },
  weave: { brush: 3, spray: 1.5 },
} as const;

/** Skill: beginner 1.5 (1.3 to 2), practiced 1, professional 0.65 (0.5 to 0.8). */
export const skillFactors = {
  beginner: figure(1.3, 1.5, 2),
  practiced: figure(1, 1, 1),
  professional: figure(0.5, 0.65, 0.8),
} as const;
export type Skill = keyof typeof skillFactors;

/** Overhead on hands-on work in percent: fetching, looking, answering the door. */
export const OVERHEAD_PERCENT = figure(10, 15, 20);

/** Loss of a roller in percent, and what stays in its tray and nap each session in mL: common practice, from memory. */
export const ROLLER_LOSS_PERCENT = figure(10, 12, 20);
export const ROLLER_RESIDUE_ML = figure(50, 80, 150);
/** A mini-roller's short nap and small tray hold about half (from memory, no source). */
export const MINI_ROLLER_RESIDUE_ML = figure(20, 40, 80);

/** Share of an aerosol that lands on the piece: flat panel 1, legs and open work 0.6, wicker and wire 0.4. */
export const sprayEfficiency = { flat: 1, profiles: 0.6, spindles: 0.6, weave: 0.4 } as const;

/** What preparing takes, a square meter: half a sheet of sandpaper when scuffing; the rest from memory, no source. */
export const preparationSupplies = {
  sandpaperSheets: { label: 'Sandpaper for scuffing, sheets a square meter', amount: figure(0.3, 0.5, 1) },
  sandpaperBackSheets: { label: 'Sandpaper for sanding back, sheets a square meter', amount: figure(1, 1.5, 2) },
  mineralSpirits: { label: 'Mineral spirits for washing wax off, ml a square meter', amount: figure(80, 150, 250) },
  stripper: { label: 'Paint stripper, ml a square meter', amount: figure(400, 700, 1200) },
  filler: { label: 'Wood filler, g a square meter', amount: figure(10, 30, 80) },
  alcohol: { label: 'Denatured alcohol, ml a square meter', amount: figure(20, 40, 60) },
  rag: { label: 'Rags, pieces a square meter', amount: figure(0.3, 0.5, 1) },
} as const;

/** Tape that masking takes: 1.2 of the edge it follows. */
export const TAPE_PER_EDGE = figure(1.1, 1.2, 1.3);

/** A test of the trade takes about ten minutes; a kit's price is a rough shelf price, from memory. */
export const LEAD_TEST = { minutes: 10, kit: { low: 8, likely: 12, high: 18 } } as const;
