import { MM_PER_FOOT, MM_PER_INCH } from '../../kernel/units';
import type { Consumable } from '../consumable';
import { type CutStock, LEAST_OFFCUT_MM } from '../cutStock';
import { packsOf } from './row';

/** A saw's usual kerf, 1/8 in (common practice, from memory). */
export const KERF_MM = MM_PER_INCH / 8;

/** Actual faces of dry lumber by its nominal width, in inches (PS 20, from memory). */
export const actualWidthInches = {
  2: 1.5,
  3: 2.5,
  4: 3.5,
  6: 5.5,
  8: 7.25,
  10: 9.25,
  12: 11.25,
} as const;
/** Actual thickness of dry lumber by its nominal thickness, in inches (PS 20, from memory). */
export const actualThicknessInches = { 1: 0.75, 2: 1.5 } as const;

const board = (widthMm: number): CutStock => ({
  form: 'board',
  widthMm,
  lengthMm: null,
  marginMm: 0,
  gapMm: KERF_MM,
  leastOffcutMm: LEAST_OFFCUT_MM.board,
  byTheStep: false,
});

/** A board by its nominal size, with what six and eight feet, or 2 and 2.4 m, cost about. */
function lumber(
  thickness: keyof typeof actualThicknessInches,
  width: keyof typeof actualWidthInches,
  per8ft: number,
): Consumable {
  const feet = (count: number): [string, number, number, number, number] => {
    const likely = Math.max(2, Math.round((per8ft * count) / 8));
    return [`${count} ft`, (count * MM_PER_FOOT) / 1000, Math.round(likely * 0.7), likely, Math.round(likely * 1.5)];
  };
  const meters = (length: number): [string, number, number, number, number] => {
    const likely = Math.max(2, Math.round((per8ft * length) / 2.4384));
    return [`${length} m`, length, Math.round(likely * 0.7), likely, Math.round(likely * 1.5)];
  };
  return {
    id: `board${thickness}x${width}`,
    name: `Pine board ${thickness} × ${width}`,
    unit: 'boardM',
    colored: false,
    packs: [...packsOf('us', feet(6), feet(8), feet(12)), ...packsOf('metric', meters(2), meters(2.4), meters(3))],
    cut: board(actualWidthInches[width] * MM_PER_INCH),
    thicknessMm: actualThicknessInches[thickness] * MM_PER_INCH,
  };
}

/** Lumber in the sizes that shelves, trays and boxes are made from. Prices are rough and from memory. */
export const lumberRows: readonly Consumable[] = [
  lumber(1, 2, 4),
  lumber(1, 3, 6),
  lumber(1, 4, 7),
  lumber(1, 6, 11),
  lumber(1, 8, 15),
  lumber(1, 10, 20),
  lumber(1, 12, 26),
  lumber(2, 2, 5),
  lumber(2, 4, 6),
  {
    id: 'plywood6',
    name: 'Plywood, 6 mm',
    unit: 'sheet',
    colored: false,
    packs: [
      ...packsOf('us', ['panel 2 × 4 ft', 1, 10, 14, 22]),
      ...packsOf('metric', ['panel 610 × 1220', 1, 10, 14, 22]),
    ],
    thicknessMm: 6,
    cut: { ...board(2 * MM_PER_FOOT), form: 'sheet', lengthMm: 4 * MM_PER_FOOT, leastOffcutMm: 100 },
  },
  {
    id: 'plywood6Whole',
    name: 'Plywood, 6 mm, whole panel',
    unit: 'sheet',
    colored: false,
    packs: [
      ...packsOf('us', ['panel 4 × 8 ft', 1, 22, 32, 48]),
      ...packsOf('metric', ['panel 1220 × 2440', 1, 22, 32, 48]),
    ],
    thicknessMm: 6,
    cut: { ...board(4 * MM_PER_FOOT), form: 'sheet', lengthMm: 8 * MM_PER_FOOT, leastOffcutMm: 100 },
  },
];
