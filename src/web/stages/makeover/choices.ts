import { coatings } from '@core/catalog/coatings';
import { techniques } from '@core/technique';
import type { Technique } from '@core/technique/technique';
import type { Entry, EntryGroup } from '../../ui/Choice';

/** Menus of the makeover, all derived from the registries. */

const families: Record<Technique['family'], string> = {
  cover: 'Cover',
  translucent: 'Let the ground show',
  decorate: 'Decorate',
  age: 'Age',
  protect: 'Protect',
  paper: 'Paper',
  film: 'Film',
};

/** Techniques by what they do. */
export const techniqueGroups: readonly EntryGroup<string>[] = Object.entries(families).map(([family, label]) => ({
  label,
  options: techniques.all
    .filter((technique) => technique.family === family)
    .map((technique) => ({ value: technique.id, label: technique.name })),
}));

/** What a technique can put on: its own coatings first. */
export function coatingsFor(technique: Technique): Entry<string>[] {
  const accepted = coatings.all.filter((coating) => technique.accepts(coating));
  const own = accepted.filter((coating) => coating.techniqueId === technique.id);
  return [...own, ...accepted.filter((coating) => !own.includes(coating))].map((coating) => ({
    value: coating.id,
    label: coating.name,
  }));
}
