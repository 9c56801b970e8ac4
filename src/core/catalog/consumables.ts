import { createRegistry } from '../kernel/registry';
import type { PackSize } from './coating';

/** What a supply is counted in. */
export type SupplyUnit = 'mL' | 'can' | 'sheet' | 'm' | 'piece' | 'g';

/** A supply that is no coating. */
export interface Consumable {
  id: string;
  name: string;
  unit: Exclude<SupplyUnit, 'can'>;
  /** Whether its color tells one from another: ribbon does, sandpaper does not. */
  colored: boolean;
  /** Whether a workshop has it without counting: owned until the studio says otherwise (common practice, no source). */
  staple?: boolean;
  packs: readonly PackSize[];
}

/** The same pack in both markets; rough shelf prices in whole dollars, euros or pounds, from memory. */
function packs(...sizes: [name: string, size: number, low: number, likely: number, high: number][]): PackSize[] {
  return (['us', 'metric'] as const).flatMap((market) =>
    sizes.map(([name, size, low, likely, high], n) => ({
      id: `${n}${market}`,
      name,
      size,
      market,
      estimate: { low, likely, high },
    })),
  );
}

/** Consumables by id. */
export const consumables = createRegistry<Consumable>('consumables', [
  {
    id: 'sandpaper',
    name: 'Sandpaper P220',
    unit: 'sheet',
    colored: false,
    staple: true,
    packs: [
      { id: 'sheet', name: 'single sheet', size: 1, market: 'us', estimate: { low: 1, likely: 1, high: 2 } },
      { id: 'sheets5', name: 'pack of 5', size: 5, market: 'us', estimate: { low: 3, likely: 4, high: 7 } },
      { id: 'sheetMetric', name: 'single sheet', size: 1, market: 'metric', estimate: { low: 1, likely: 1, high: 2 } },
      { id: 'sheets5Metric', name: 'pack of 5', size: 5, market: 'metric', estimate: { low: 3, likely: 4, high: 7 } },
    ],
  },
  { id: 'maskingTape', name: 'Masking tape', unit: 'm', colored: false, packs: packs(['roll', 50, 4, 6, 9]) },
  {
    id: 'rag',
    name: 'Cotton rags',
    unit: 'piece',
    colored: false,
    staple: true,
    packs: packs(['pack of 12', 12, 5, 8, 12]),
  },
  { id: 'filler', name: 'Wood filler', unit: 'g', colored: false, packs: packs(['tub', 250, 5, 8, 12]) },
  {
    id: 'mineralSpirits',
    name: 'Mineral spirits',
    unit: 'mL',
    colored: false,
    packs: packs(['quart or liter', 950, 7, 10, 15]),
  },
  {
    id: 'alcohol',
    name: 'Denatured alcohol',
    unit: 'mL',
    colored: false,
    staple: true,
    packs: packs(['pint', 473, 6, 9, 13]),
  },
  {
    id: 'stripper',
    name: 'Paint stripper, benzyl alcohol',
    unit: 'mL',
    colored: false,
    packs: packs(['quart or liter', 950, 18, 26, 38]),
  },
  { id: 'ribbon', name: 'Ribbon', unit: 'm', colored: true, packs: packs(['roll', 9, 3, 5, 9]) },
  { id: 'twine', name: 'Twine', unit: 'm', colored: false, packs: packs(['ball', 60, 3, 5, 8]) },
  { id: 'fabric', name: 'Fabric', unit: 'm', colored: true, packs: packs(['by the meter', 1, 6, 12, 25]) },
  { id: 'paper', name: 'Decorative paper', unit: 'sheet', colored: true, packs: packs(['single sheet', 1, 1, 2, 5]) },
  { id: 'napkin', name: 'Paper napkins', unit: 'piece', colored: true, packs: packs(['pack of 20', 20, 3, 4, 7]) },
  { id: 'film', name: 'Adhesive film', unit: 'm', colored: true, packs: packs(['roll', 3, 8, 14, 25]) },
  { id: 'moss', name: 'Preserved moss', unit: 'g', colored: false, packs: packs(['bag', 100, 5, 8, 14]) },
  { id: 'stems', name: 'Faux stems', unit: 'piece', colored: true, packs: packs(['single stem', 1, 2, 4, 9]) },
  { id: 'strips', name: 'Adhesive strips', unit: 'piece', colored: false, packs: packs(['pack of 8', 8, 5, 7, 11]) },
  { id: 'woodGlue', name: 'Wood glue', unit: 'mL', colored: false, packs: packs(['bottle', 118, 3, 5, 8]) },
  { id: 'screws', name: 'Wood screws', unit: 'piece', colored: false, packs: packs(['box of 50', 50, 3, 5, 8]) },
  { id: 'knob', name: 'Knob or pull', unit: 'piece', colored: false, packs: packs(['single', 1, 2, 4, 9]) },
  { id: 'hinge', name: 'Hinge', unit: 'piece', colored: false, packs: packs(['pair', 2, 3, 6, 12]) },
  {
    id: 'glassPane',
    name: 'Picture glass, cut to size',
    unit: 'piece',
    colored: false,
    packs: packs(['pane', 1, 6, 10, 18]),
  },
  { id: 'epoxyPutty', name: 'Repair putty', unit: 'g', colored: false, packs: packs(['stick', 56, 5, 8, 11]) },
  { id: 'feltPads', name: 'Felt pads', unit: 'piece', colored: false, packs: packs(['pack of 24', 24, 3, 4, 6]) },
]);

/** What is always there, unless the studio says otherwise. */
export const staples: readonly Consumable[] = consumables.all.filter((kind) => kind.staple);

/** Whether a kind of supply is always there unless the studio says otherwise. */
export const isStaple = (kindId: string): boolean => consumables.find(kindId)?.staple ?? false;
