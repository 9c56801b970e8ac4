import type { Consumable, PlantFacts } from '../consumable';
import { figure } from '../figure';
import { packs } from './row';

type Days = readonly [low: number, usual: number, high: number] | null;

/** One kind of cut stem; foraged it costs nothing, at a market a bunch has its price (rough, from memory). */
function plant(id: string, name: string, water: Days, dry: Days, harm: PlantFacts['harm'] = null): Consumable {
  return {
    id,
    name,
    unit: 'piece',
    colored: false,
    packs: packs(['bunch of 10', 10, 4, 8, 15]),
    plant: { waterDays: water && figure(...water), dryDays: dry && figure(...dry), harm },
  };
}

/** Cut stems and how many days they last in water and without (common practice, from memory). */
export const plantRows: readonly Consumable[] = [
  plant('stemMagnolia', 'Magnolia, cut', [7, 10, 14], [10, 14, 30]),
  plant('stemCedar', 'Cedar, juniper or cypress, cut', [14, 21, 28], [7, 10, 14]),
  plant('stemPine', 'Pine, cut', [14, 21, 28], [10, 14, 21]),
  plant('stemFir', 'Fir, cut', [21, 28, 35], [14, 18, 21]),
  plant('stemSpruce', 'Spruce or hemlock, cut', [7, 10, 14], [4, 5, 7]),
  plant('stemBoxwood', 'Boxwood, cut', [14, 21, 28], [10, 12, 14], 'sickens'),
  plant('stemHolly', 'Holly, cut', [7, 12, 21], [4, 6, 8], 'sickens'),
  plant('stemEucalyptus', 'Eucalyptus, cut', [14, 18, 21], [180, 360, 720], 'sickens'),
  plant('stemOlive', 'Olive, laurel or bay, cut', [7, 10, 14], [10, 12, 14]),
  plant('stemIvy', 'Ivy, cut', [7, 10, 14], [2, 2.5, 3], 'sickens'),
  plant('stemHerb', 'Rosemary or herbs, cut', [7, 8, 10], [5, 7, 10]),
  plant('stemFern', 'Fern, cut', [5, 7, 10], [1, 1.5, 2]),
  plant('stemLeaves', 'Autumn leaves, cut', [4, 5, 7], [2, 3, 4]),
  plant('stemBlossom', 'Flowering branch, cut', [7, 8, 14], [1, 1, 2]),
  plant('stemHydrangea', 'Hydrangea, cut', [5, 7, 10], [300, 365, 400], 'sickens'),
  plant('stemDried', 'Twigs, wheat or seed heads, dried', null, [180, 360, 1080]),
];

/** All of them by id, as a wreath or a garland may be made of. */
export const plantIds: readonly string[] = plantRows.map(({ id }) => id);
