import { MM_PER_INCH } from '../../kernel/units';
import type { Consumable } from '../consumable';
import { type CutStock, LEAST_OFFCUT_MM } from '../cutStock';
import { packs, packsOf } from './row';

/** Cloth off the bolt by its usable width: the selvages are off. */
const bolt = (widthMm: number): CutStock => ({
  form: 'roll',
  widthMm,
  lengthMm: null,
  marginMm: 0,
  gapMm: 0,
  leastOffcutMm: LEAST_OFFCUT_MM.cloth,
  byTheStep: true,
});

/** Cut in the shop by the eighth of a yard, or by ten centimeters. */
const yardage = (perYard: number): Consumable['packs'] => [
  ...packsOf('us', ['1/8 yard', 0.1143, perYard / 12, perYard / 8, perYard / 5]),
  ...packsOf('metric', ['10 cm', 0.1, perYard / 13, perYard / 9, perYard / 6]),
];

/** Cloth, ribbon and what sews them; usable widths are common practice, from memory. */
export const clothRows: readonly Consumable[] = [
  { id: 'ribbon', name: 'Ribbon', unit: 'm', colored: true, packs: packs(['roll', 9, 3, 5, 9]) },
  {
    id: 'fabric',
    name: 'Fabric',
    unit: 'm',
    colored: true,
    packs: yardage(11),
    // 42 to 44 in, of which 42 are of use.
    cut: bolt(42 * MM_PER_INCH),
  },
  {
    id: 'fabricWide',
    name: 'Fabric, home decor width',
    unit: 'm',
    colored: true,
    packs: yardage(18),
    cut: bolt(52 * MM_PER_INCH),
  },
  {
    id: 'fabricBack',
    name: 'Wide backing, 108 in',
    unit: 'm',
    colored: true,
    packs: yardage(16),
    cut: bolt(106 * MM_PER_INCH),
  },
  { id: 'thread', name: 'Sewing thread', unit: 'm', colored: true, packs: packs(['spool of 250 m', 250, 2, 3, 5]) },
  { id: 'cushionPad', name: 'Cushion pad', unit: 'piece', colored: false, packs: packs(['single', 1, 5, 9, 16]) },
  { id: 'staples', name: 'Staples', unit: 'piece', colored: false, packs: packs(['box of 1000', 1000, 3, 4, 7]) },
  { id: 'headingTape', name: 'Curtain heading tape', unit: 'm', colored: false, packs: packs(['5 m', 5, 4, 7, 12]) },
  { id: 'fiberfill', name: 'Stuffing', unit: 'g', colored: false, packs: packs(['bag', 340, 4, 6, 10]) },
];
