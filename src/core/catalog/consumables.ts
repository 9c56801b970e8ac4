import { createRegistry } from '../kernel/registry';
import type { Consumable } from './consumable';
import { clothRows } from './consumables/cloth.data';
import { greeneryRows } from './consumables/greenery.data';
import { lumberRows } from './consumables/lumber.data';
import { paperRows } from './consumables/papers.data';
import { plantRows } from './consumables/plants.data';
import { printRows } from './consumables/prints.data';
import { workshopRows } from './consumables/workshop.data';

export type { Consumable, PaperFacts, PlantFacts, SupplyUnit } from './consumable';

/** Consumables by id. */
export const consumables = createRegistry<Consumable>('consumables', [
  ...workshopRows,
  ...paperRows,
  ...clothRows,
  ...greeneryRows,
  ...plantRows,
  ...printRows,
  ...lumberRows,
]);

/** What is always there, unless the studio says otherwise. */
export const staples: readonly Consumable[] = consumables.all.filter((kind) => kind.staple);

/** Whether a kind of supply is always there unless the studio says otherwise. */
export const isStaple = (kindId: string): boolean => consumables.find(kindId)?.staple ?? false;
