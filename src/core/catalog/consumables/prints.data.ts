import { MM_PER_INCH } from '../../kernel/units';
import type { Consumable } from '../consumable';
import { type CutStock, LEAST_OFFCUT_MM } from '../cutStock';
import { paperSizes } from './papers.data';
import { packs } from './row';

/** A sheet with what a printer leaves blank along its edges, and what a knife needs between two prints. */
const sheet = (widthMm: number, lengthMm: number, marginMm = 0, gapMm = 0): CutStock => ({
  form: 'sheet',
  widthMm,
  lengthMm,
  marginMm,
  gapMm,
  leastOffcutMm: LEAST_OFFCUT_MM.sheet,
  byTheStep: false,
});

/** A home printer leaves 5 mm blank and two prints want 3 mm between them (from memory, no source). */
const printed = (size: readonly [number, number]): CutStock => sheet(size[0], size[1], 5, 3);

/** What prints are made of and framed in. */
export const printRows: readonly Consumable[] = [
  {
    id: 'printLetter',
    name: 'Matt print paper, Letter',
    unit: 'sheet',
    colored: false,
    packs: packs(['single sheet', 1, 1, 1, 2], ['pack of 25', 25, 8, 14, 22]),
    cut: printed(paperSizes.letter),
  },
  {
    id: 'printA4',
    name: 'Matt print paper, A4',
    unit: 'sheet',
    colored: false,
    packs: packs(['single sheet', 1, 1, 1, 2], ['pack of 25', 25, 8, 14, 22]),
    cut: printed(paperSizes.a4),
  },
  {
    id: 'printA3',
    name: 'Matt print paper, A3',
    unit: 'sheet',
    colored: false,
    packs: packs(['single sheet', 1, 1, 2, 4]),
    cut: printed(paperSizes.a3),
  },
  {
    id: 'printShop',
    name: 'Print from a shop, 24 × 36 in',
    unit: 'sheet',
    colored: false,
    packs: packs(['single print', 1, 14, 24, 40]),
    cut: sheet(24 * MM_PER_INCH, 36 * MM_PER_INCH),
  },
  {
    id: 'matBoard',
    name: 'Mat board, 32 × 40 in',
    unit: 'sheet',
    colored: true,
    packs: packs(['single sheet', 1, 7, 12, 20]),
    cut: sheet(32 * MM_PER_INCH, 40 * MM_PER_INCH),
  },
  { id: 'readyFrame', name: 'Frame with glass', unit: 'piece', colored: true, packs: packs(['single', 1, 6, 14, 30]) },
  { id: 'hingingTape', name: 'Acid-free tape', unit: 'm', colored: false, packs: packs(['roll', 10, 4, 6, 10]) },
];
