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
  // Six to twelve minutes for a tenth of a square meter all over; motifs and cutting along shapes take longer.
  paperSheets: figure(60, 80, 120),
  paperMotifs: figure(80, 120, 200),
  paperFussy: figure(150, 250, 400),
  brushTexture: figure(8, 15, 30),
  // Weeding 1 to 3 minutes and applying 0.5 to 1 for 100 cm² of dense art.
  filmShapes: figure(150, 225, 400),
  filmDrops: figure(8, 12, 20),
} as const;

/** Minutes by the piece or the meter: an edge sealed, a meter of tape, a leaf painted (the last from memory, no source). */
export const laborEach = {
  sealEdge: figure(2, 3, 5),
  maskMeter: figure(0.7, 1, 1.5),
  leaf: figure(0.3, 0.5, 1),
  filmFace: figure(5, 7, 10),
  // The least that a piece of paper takes, however small: picked up, wetted, laid, smoothed (from memory, no source).
  laidSheet: figure(0.5, 1, 2),
  // Six to twelve minutes for a tenth of a square meter, which is forty torn pieces of 50 mm.
  tornPiece: figure(0.15, 0.2, 0.3),
  // Building, by hand (from memory, no source; the log will correct them).
  sawCut: figure(2, 3, 6),
  ripMeter: figure(4, 8, 15),
  screw: figure(0.7, 1.2, 2.5),
  nail: figure(0.3, 0.5, 1),
  glueJoint: figure(1.5, 3, 6),
  wallFixing: figure(3, 6, 12),
  // Sewing by machine, pressed first (from memory, no source).
  hemMeter: figure(3, 5, 9),
  seamMeter: figure(1.5, 2.5, 4),
  staple: figure(0.1, 0.15, 0.3),
  stuff: figure(3, 6, 12),
  // Greenery and trim (from memory, no source).
  stem: figure(0.5, 1, 2),
  bow: figure(2, 4, 8),
  mossDm2: figure(1, 2, 4),
  wrapMeter: figure(0.5, 1, 2),
  setOut: figure(2, 4, 8),
  // Prints (from memory, no source).
  printSheet: figure(1, 2, 4),
  matWindow: figure(5, 8, 15),
  framing: figure(4, 6, 12),
  // Weeding a letter of an inch and more 8 to 20 s, a smaller one or a joined one 20 to 60 s.
  weedLetter: figure(8 / 60, 12 / 60, 20 / 60),
  weedSmallLetter: figure(20 / 60, 30 / 60, 1),
  // Weeding 1 to 3 minutes and applying 0.5 to 1 for 100 cm² of dense art.
  weedDm2: figure(1, 1.5, 3),
  applyDm2: figure(0.5, 0.75, 1),
  // A machine cuts 50 to 400 (150) mm a second, and waits a moment for its mat (the last from memory, no source).
  machineMeter: figure(1000 / 400 / 60, 1000 / 150 / 60, 1000 / 50 / 60),
  machineLoad: figure(1, 2, 5),
  // A knife or scissors by hand: 5 to 15 (10) mm a second.
  cutMeter: figure(1000 / 15 / 60, 1000 / 10 / 60, 1000 / 5 / 60),
} as const;

/** Minutes once per session. */
export const sessionMinutes = {
  setUp: figure(10, 15, 20),
  cleanUpWater: figure(10, 10, 15),
  cleanUpSolvent: figure(15, 20, 25),
  cleanUpAerosol: figure(3, 5, 8),
  // What is cut leaves scraps and a knife to put away (from memory, no source).
  cleanUpDry: figure(2, 4, 8),
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
