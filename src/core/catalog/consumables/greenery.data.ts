import type { Consumable } from '../consumable';
import { packs } from './row';

/** A stick of hot glue 11.2 by 100 mm holds 9.85 mL; a bead 3 mm thick takes 0.72 of one a meter (elementary geometry). */
export const GLUE_STICK_ML = (Math.PI * 1.12 * 1.12 * 10) / 4;

/** Moss, stems, candles, and what holds them. */
export const greeneryRows: readonly Consumable[] = [
  { id: 'moss', name: 'Preserved moss', unit: 'g', colored: false, packs: packs(['bag', 100, 5, 8, 14]) },
  {
    id: 'stems',
    name: 'Faux stems',
    unit: 'piece',
    colored: true,
    packs: packs(['single stem', 1, 2, 4, 9], ['bunch of 6', 6, 8, 14, 24]),
  },
  {
    id: 'glueStick',
    name: 'Hot glue sticks',
    unit: 'piece',
    colored: false,
    packs: packs(['pack of 20', 20, 4, 6, 10]),
  },
  { id: 'florWire', name: 'Floral wire', unit: 'm', colored: false, packs: packs(['spool', 30, 2, 4, 6]) },
  { id: 'wreathForm', name: 'Wreath form', unit: 'piece', colored: false, packs: packs(['single', 1, 2, 5, 10]) },
  { id: 'jute', name: 'Jute rope', unit: 'm', colored: false, packs: packs(['coil', 15, 4, 7, 12]) },
  { id: 'pillarCandle', name: 'Pillar candle', unit: 'piece', colored: true, packs: packs(['single', 1, 3, 6, 12]) },
  { id: 'ledCandle', name: 'Flameless candle', unit: 'piece', colored: true, packs: packs(['single', 1, 4, 8, 15]) },
  { id: 'hurricane', name: 'Hurricane glass', unit: 'piece', colored: false, packs: packs(['single', 1, 8, 16, 30]) },
  { id: 'pebbles', name: 'Sand or pebbles', unit: 'g', colored: true, packs: packs(['bag', 1000, 2, 4, 8]) },
];
