import { colorName } from '../color/colorName';
import { grouped } from '../kernel/grouped';
import { mainLayer } from '../recipe/mainLayer';
import type { OptionModel } from './model/optionModel';

/** A short name of an option: what it is made of. */
export function nameOfOption({ finds, offers, recipe }: Pick<OptionModel, 'finds' | 'offers' | 'recipe'>): string {
  const made = finds.length === 0 ? (recipe?.built ?? []).map(({ build }) => build.name) : [];
  return (
    [...finds.map((find) => find.name), ...offers.map(({ offer }) => offer.name), ...made].join(' + ') || 'nothing yet'
  );
}

/** What is done to its pieces, for telling it from another: the coating that was chosen last, and its color. */
function wayOf({ recipe }: Pick<OptionModel, 'recipe'>): string[] {
  const layer = recipe && mainLayer(recipe);
  if (!layer) return [];
  const { coating, technique } = layer;
  const color = layer.colorCardId === null || layer.color === null ? '' : colorName(layer.color);
  return [color.toLowerCase(), (layer.sheet?.kind ?? coating).name.toLowerCase(), technique.name.toLowerCase()];
}

/**
 * Names of options that stand side by side: what each is made of and, where two of a kind would be called the same,
 * what is done to it as far as that tells them apart; else their number.
 * @returns a name for each option by its id
 */
export function namesOfOptions(
  models: readonly Pick<OptionModel, 'option' | 'finds' | 'offers' | 'recipe'>[],
): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  const byName = grouped(models, (model) => `${model.option.kind} ${nameOfOption(model)}`);
  for (const same of byName.values()) {
    const name = same[0] ? nameOfOption(same[0]) : '';
    const ways = same.map(wayOf);
    // Of color, coating and technique only what differs is said.
    const differs = [0, 1, 2].filter((n) => new Set(ways.map((way) => way[n] ?? '')).size > 1);
    const said = ways.map((way) => differs.flatMap((n) => way[n] || []).join(', '));
    for (const [n, model] of same.entries()) {
      const words = said[n] ?? '';
      const isTold = words !== '' && said.filter((other) => other === words).length === 1;
      const mark = same.length === 1 ? '' : isTold ? words : [words, n + 1].filter(Boolean).join(' ');
      names.set(model.option.id, mark === '' ? name : `${name}, ${mark}`);
    }
  }
  return names;
}
