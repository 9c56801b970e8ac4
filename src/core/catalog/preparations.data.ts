import type { PreparationKind } from '../state/preparation';
import type { laborRates, preparationSupplies } from './labor.data';

/** One kind of work on a surface before its first layer. */
export interface Preparation {
  title: string;
  /** The labor rate it goes by; edges go by the meter. */
  rate: keyof typeof laborRates | 'sealEdge';
  /** What it takes a square meter: the figure, and the supply it is drawn from. */
  takes: readonly { figure: keyof typeof preparationSupplies; kindId: string }[];
  tools: readonly string[];
  /** Makes dust of what lies there: off while lead is open. */
  abrasive: boolean;
  /** Hours until the surface is dry again, or null to take the material's drying time. */
  dryHours: number | null;
  /** How a stylist is told to do it. */
  how: string;
  /** Materials that it spoils, and how: there it is left out, whoever asks for it. */
  spoils?: Readonly<Record<string, string>>;
}

const EATS_FOAM = 'it dissolves foam';
const COCKLES = 'water cockles paper';
const SOFTENS_PLASTIC = 'it softens plastic';

/** Works before the first layer, by kind; they are done in the order of `preparationKinds`. */
export const preparations: Readonly<Record<PreparationKind, Preparation>> = {
  brushOut: {
    title: 'Brush and vacuum the weave and pores',
    rate: 'brushOut',
    takes: [],
    tools: [],
    abrasive: false,
    dryHours: 0,
    how: 'dust in the weave ends up in the paint',
  },
  strip: {
    title: 'Strip with a benzyl-alcohol stripper, wash off',
    rate: 'strip',
    takes: [{ figure: 'stripper', kindId: 'stripper' }],
    tools: ['scraper', 'chemicalGloves'],
    abrasive: false,
    dryHours: 24,
    how: 'little water on veneer; never one with methylene chloride or NMP',
    spoils: {
      polystyreneFoam: EATS_FOAM,
      hardPlastic: SOFTENS_PLASTIC,
      polypropylene: SOFTENS_PLASTIC,
      fauxLeaf: SOFTENS_PLASTIC,
      resin: SOFTENS_PLASTIC,
      laminate: 'it lifts the plastic face',
      paper: 'it soaks paper through',
      inkjetPrint: 'it takes the print along',
      fabric: 'it stays in the cloth',
      leather: 'it takes the finish and the oils out of leather',
      candleWax: 'it takes the wax along',
      realLeaf: 'it takes the leaf apart',
    },
  },
  clean: {
    title: 'Degrease and rinse',
    rate: 'clean',
    takes: [],
    tools: [],
    abrasive: false,
    dryHours: null,
    how: 'dish soap or a phosphate-free degreaser, then clear water',
    spoils: { paper: COCKLES, inkjetPrint: 'water makes the ink run', realLeaf: 'it makes a dried leaf soggy' },
  },
  wetClean: {
    title: 'Wash down wet, no abrasion',
    rate: 'clean',
    takes: [],
    tools: [],
    abrasive: false,
    dryHours: null,
    how: 'keep it wet, catch the water, throw the rags away in a bag',
    spoils: { paper: COCKLES, inkjetPrint: 'water makes the ink run' },
  },
  dewax: {
    title: 'Wash wax off twice with mineral spirits',
    rate: 'dewax',
    takes: [
      { figure: 'mineralSpirits', kindId: 'mineralSpirits' },
      { figure: 'rag', kindId: 'rag' },
    ],
    tools: ['chemicalGloves'],
    abrasive: false,
    dryHours: 24,
    how: 'a fresh rag each time; the spirit must leave before shellac',
    spoils: {
      polystyreneFoam: EATS_FOAM,
      candleWax: 'it takes the candle along',
      fauxLeaf: SOFTENS_PLASTIC,
      paper: 'it soaks paper through',
      inkjetPrint: 'it soaks paper through',
      leather: 'it takes the finish and the oils out of leather',
    },
  },
  removeRust: {
    title: 'Take rust off to sound metal',
    rate: 'removeRust',
    takes: [],
    tools: ['sandingBlock', 'dustMask'],
    abrasive: true,
    dryHours: 0,
    how: 'prime within four hours',
  },
  sandBack: {
    title: 'Sand back, P80 to P180, until it is even',
    rate: 'sandBack',
    takes: [{ figure: 'sandpaperBackSheets', kindId: 'sandpaper' }],
    tools: ['sandingBlock', 'dustMask'],
    abrasive: true,
    dryHours: 0,
    how: 'no machine on veneer',
  },
  fill: {
    title: 'Fill dents and old holes, sand flush',
    rate: 'fill',
    takes: [{ figure: 'filler', kindId: 'filler' }],
    tools: ['sandingBlock', 'dustMask'],
    abrasive: true,
    dryHours: 2,
    how: 'a little proud, it shrinks',
  },
  scuff: {
    title: 'Scuff with P220 by hand, vacuum, wipe',
    rate: 'scuff',
    takes: [{ figure: 'sandpaperSheets', kindId: 'sandpaper' }],
    tools: ['sandingBlock', 'dustMask'],
    abrasive: true,
    dryHours: 0,
    how: 'dull all over is enough',
  },
  etch: {
    title: 'Wash with vinegar water, rinse',
    rate: 'etch',
    takes: [],
    tools: ['chemicalGloves'],
    abrasive: false,
    dryHours: null,
    how: 'never together with bleach or any other cleaner',
  },
  alcoholWipe: {
    title: 'Wipe with alcohol, touch no more',
    rate: 'alcoholWipe',
    takes: [{ figure: 'alcohol', kindId: 'alcohol' }],
    tools: [],
    abrasive: false,
    dryHours: 0.25,
    how: 'finger grease is what lets a film go',
    spoils: { inkjetPrint: 'alcohol makes the ink run', realLeaf: 'it dries a leaf to crumbs' },
  },
  sealEdges: {
    title: 'Seal the raw edges twice, sand between',
    rate: 'sealEdge',
    takes: [],
    tools: ['brush'],
    abrasive: false,
    dryHours: 2,
    how: 'with the primer itself or thinned wood glue: edges drink twice as much',
  },
  dust: {
    title: 'Dust off',
    rate: 'dust',
    takes: [],
    tools: [],
    abrasive: false,
    dryHours: 0,
    how: 'a soft brush, no water',
  },
};

/** What a condition of the surface adds to its preparation. */
export const conditionWorks = {
  greasy: ['clean', 'alcoholWipe'],
  dented: ['fill'],
  flaking: ['sandBack', 'fill'],
  stained: [],
  polished: ['dewax'],
  musty: ['clean'],
} as const satisfies Record<string, readonly PreparationKind[]>;
