import { MM_PER_INCH } from '../../kernel/units';
import type { Consumable, PaperFacts } from '../consumable';
import { type CutStock, LEAST_OFFCUT_MM } from '../cutStock';
import { packs, packsOf } from './row';

/** Paper sizes of ISO 216 and of ANSI Y14.1, mm. */
export const paperSizes = {
  a3: [297, 420],
  a4: [210, 297],
  a5: [148, 210],
  letter: [8.5 * MM_PER_INCH, 11 * MM_PER_INCH],
  tabloid: [11 * MM_PER_INCH, 17 * MM_PER_INCH],
  craft12: [12 * MM_PER_INCH, 12 * MM_PER_INCH],
} as const satisfies Record<string, readonly [widthMm: number, lengthMm: number]>;

/** A sheet that scissors or a knife cut without loss. */
const sheet = (widthMm: number, lengthMm: number): CutStock => ({
  form: 'sheet',
  widthMm,
  lengthMm,
  marginMm: 0,
  gapMm: 0,
  leastOffcutMm: LEAST_OFFCUT_MM.sheet,
  byTheStep: false,
});

const paper = (
  id: string,
  name: string,
  unit: 'sheet' | 'piece',
  cut: CutStock,
  facts: PaperFacts,
  sold: Consumable['packs'],
): Consumable => ({ id, name, unit, colored: true, packs: sold, cut, paper: facts });

const fast = (gramsPerM2: number, plies = 1): PaperFacts => ({ gramsPerM2, plies, print: 'fast' });

/**
 * Papers for decoupage, each told apart by its design: sizes and weights are common practice, from memory; a supply's
 * own size overrides them.
 */
export const paperRows: readonly Consumable[] = [
  // Of a napkin only the printed ply is used: one sheet each, unfolded 33 cm (lunch size).
  paper('napkin', 'Paper napkins', 'piece', sheet(330, 330), fast(18, 3), packs(['pack of 20', 20, 3, 4, 7])),
  paper('tissuePaper', 'Tissue paper', 'sheet', sheet(500, 700), fast(18), packs(['pack of 8', 8, 1, 2, 5])),
  paper(
    'ricePaper',
    'Rice paper, mulberry paper',
    'sheet',
    sheet(...paperSizes.a3),
    fast(30),
    packs(['single sheet', 1, 2, 4, 8]),
  ),
  paper(
    'paper',
    'Decorative paper',
    'sheet',
    sheet(...paperSizes.craft12),
    fast(180),
    packs(['single sheet', 1, 1, 2, 5], ['pad of 24', 24, 8, 14, 22]),
  ),
  paper('card', 'Printed card', 'sheet', sheet(...paperSizes.a4), fast(250), packs(['pack of 10', 10, 4, 7, 12])),
  paper(
    'inkjetPrint',
    'Inkjet print',
    'sheet',
    sheet(...paperSizes.a4),
    { gramsPerM2: 90, plies: 1, print: 'inkjet' },
    packs(['single print', 1, 1, 1, 2]),
  ),
  paper(
    'laserPrint',
    'Laser print or copy',
    'sheet',
    sheet(...paperSizes.a4),
    { gramsPerM2: 90, plies: 1, print: 'laser' },
    packs(['single print', 1, 1, 1, 2]),
  ),
  {
    id: 'wrappingPaper',
    name: 'Wrapping paper',
    unit: 'm',
    colored: true,
    packs: packs(['roll of 2 m', 2, 3, 4, 7], ['roll of 5 m', 5, 5, 8, 14]),
    cut: { ...sheet(700, 0), form: 'roll', lengthMm: null },
    paper: fast(80),
  },
  {
    id: 'wallpaper',
    name: 'Wallpaper',
    unit: 'm',
    colored: true,
    // Usual rolls are 53 cm by 10 m, or 20.5 in by 33 ft.
    packs: packs(['roll of 10 m', 10, 15, 28, 60]),
    cut: { ...sheet(530, 0), form: 'roll', lengthMm: null },
    paper: fast(150),
  },
  {
    id: 'thinFabric',
    name: 'Thin fabric, cotton lawn',
    unit: 'm',
    colored: true,
    packs: [...packsOf('us', ['1/4 yard', 0.2286, 2, 3, 4]), ...packsOf('metric', ['25 cm', 0.25, 2, 3, 4])],
    cut: { ...sheet(42 * MM_PER_INCH, 0), form: 'roll', lengthMm: null, byTheStep: true },
    paper: fast(75),
  },
];
