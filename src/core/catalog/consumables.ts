import { createRegistry } from '../kernel/registry';
import type { PackSize } from './coating';

/** A supply that is no coating: counted in pieces. */
export interface Consumable {
  id: string;
  name: string;
  unit: 'sheet';
  packs: readonly PackSize[];
}

/** Consumables by id. Prices are rough shelf prices, from memory. */
export const consumables = createRegistry<Consumable>('consumables', [
  {
    id: 'sandpaper',
    name: 'Sandpaper P220',
    unit: 'sheet',
    packs: [
      { id: 'sheet', name: 'single sheet', size: 1, market: 'us', estimate: { low: 1, likely: 1, high: 2 } },
      { id: 'sheets5', name: 'pack of 5', size: 5, market: 'us', estimate: { low: 3, likely: 4, high: 7 } },
      { id: 'sheetMetric', name: 'single sheet', size: 1, market: 'metric', estimate: { low: 1, likely: 1, high: 2 } },
      { id: 'sheets5Metric', name: 'pack of 5', size: 5, market: 'metric', estimate: { low: 3, likely: 4, high: 7 } },
    ],
  },
]);
