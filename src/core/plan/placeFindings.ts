import type { Finding } from '../kernel/finding';
import type { Household } from '../state/brief';
import { furnitureTemplates } from '../surface/templates';
import type { OptionModel } from './model/optionModel';

/**
 * What the place of the brief says against a way to fill a slot: rented, no drilling, reversible only, outdoors, the
 * reach of a cord. One finding per demand and option.
 */
export function placeFindings(model: OptionModel, household: Household): Finding[] {
  const { option, recipe } = model;
  const findings: Finding[] = [];
  const say = (code: string, severity: Finding['severity'], figures: Finding['figures'] = {}) =>
    findings.push({ code: `place.${code}`, severity, where: { kind: 'option', id: option.id }, figures });
  const templates = [
    ...model.finds.map((find) => find.templateId),
    ...model.offers.map(({ offer }) => offer.templateId),
  ];
  const traits = new Set(templates.flatMap((id) => furnitureTemplates.find(id)?.traits ?? []));
  if (traits.has('hangs') && (household.noDrilling || household.rented))
    say(household.noDrilling ? 'noDrilling' : 'rentedWall', 'note');
  if (traits.has('lamp') && household.cordReachMm !== null)
    say('cordReach', 'note', { reachMm: household.cordReachMm });
  // Wax washes off again; every other finish stays.
  const lasting = recipe?.layers.filter((layer) => layer.coating.group !== 'wax') ?? [];
  const [owned] = model.finds.filter((find) => find.state === 'owned');
  if (household.reversibleOnly && owned && lasting.length > 0)
    say('reversibleOnly', 'refuse', { piece: owned.name, coating: lasting[0]?.coating.name ?? '' });
  if (household.outdoors && recipe) {
    const indoors = recipe.layers.filter((layer) => layer.coating.outdoors === 'no');
    if (indoors.length > 0) say('outdoors', 'warn', { coating: indoors.map((layer) => layer.coating.name).join(', ') });
  }
  return findings;
}
