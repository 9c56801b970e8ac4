import { coatings } from '@core/catalog/coatings';
import type { Substrate } from '@core/catalog/substrate';
import { materials, oldFinishes } from '@core/catalog/substrates';
import { techniques } from '@core/technique';
import type { Technique } from '@core/technique/technique';

/** Menus of the makeover, all derived from the registries. */

const families: Record<Technique['family'], string> = {
  cover: 'Cover',
  translucent: 'Let the ground show',
  decorate: 'Decorate',
  age: 'Age',
  protect: 'Protect',
};

interface Group {
  label: string;
  options: { value: string; label: string }[];
}

/** Techniques by what they do. */
export const techniqueGroups: Group[] = Object.entries(families).map(([family, label]) => ({
  label,
  options: techniques.all
    .filter((technique) => technique.family === family)
    .map((technique) => ({ value: technique.id, label: technique.name })),
}));

/** What a technique can put on: its own coatings first. */
export function coatingsFor(technique: Technique): { value: string; label: string }[] {
  const accepted = coatings.all.filter((coating) => technique.accepts(coating));
  const own = accepted.filter((coating) => coating.techniqueId === technique.id);
  return [...own, ...accepted.filter((coating) => !own.includes(coating))].map((coating) => ({
    value: coating.id,
    label: coating.name,
  }));
}

const option = (row: Substrate) => ({ value: row.id, label: row.name });

export const materialOptions = materials.map(option);

/** Old finishes: what one sees first, then what a known product left behind. */
export const finishGroups: Group[] = [
  { label: 'Not known what it was', options: oldFinishes.filter((row) => row.productId === null).map(option) },
  {
    label: 'A known product',
    options: oldFinishes
      .filter((row) => row.productId !== null)
      .map((row) => ({ value: row.id, label: coatings.get(row.productId ?? '').name })),
  },
];

/** Said in a menu for "no finish". */
export const BARE = 'bare';
