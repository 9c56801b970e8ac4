import { figure } from './figure';

/**
 * Hands-on rates and fixed times: common practice, from memory. Brushing furniture takes 15 (8 to 30) min/m²;
 * the 8 min/m² of walls is for walls.
 */
export const laborRates = {
  clean: figure(3, 6, 12),
  scuff: figure(4, 6, 10),
  removeRust: figure(8, 15, 30),
  brush: figure(8, 15, 30),
  spray: figure(2, 2.5, 4),
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

/** Share of an aerosol that lands on the piece: flat panel 1, legs and open work 0.6. */
export const sprayEfficiency = { flat: 1, profiles: 0.6, spindles: 0.6 } as const;

/** Half a sheet of sandpaper a square meter when scuffing. */
export const SANDPAPER_SHEETS_PER_M2 = figure(0.3, 0.5, 1);

/** A test of the trade takes about ten minutes; a kit's price is a rough shelf price, from memory. */
export const LEAD_TEST = { minutes: 10, kit: { low: 8, likely: 12, high: 18 } } as const;
