import type { Household } from '../state/brief';
import { furnitureTemplates } from '../surface/templates';
import type { OptionModel } from './model/optionModel';
import type { OptionFinding } from './optionSentences';

/**
 * What the place of the brief says against a way to fill a slot: rented, no drilling, reversible only, outdoors, the
 * reach of a cord. One finding per demand and option.
 */
export function placeFindings(model: OptionModel, household: Household): OptionFinding[] {
  const { option, recipe } = model;
  const findings: OptionFinding[] = [];
  const where = { kind: 'option', id: option.id } as const;
  const templates = [
    ...model.finds.map((find) => find.templateId),
    ...model.offers.map(({ offer }) => offer.templateId),
  ];
  const traits = new Set(templates.flatMap((id) => furnitureTemplates.find(id)?.traits ?? []));
  if (traits.has('hangs') && (household.noDrilling || household.rented))
    findings.push({
      code: household.noDrilling ? 'place.noDrilling' : 'place.rentedWall',
      severity: 'note',
      where,
      figures: {},
    });
  if (traits.has('lamp') && household.cordReachMm !== null)
    findings.push({
      code: 'place.cordReach',
      severity: 'note',
      where,
      figures: { reachMm: household.cordReachMm },
    });
  // Wax washes off again; every other finish stays.
  const lasting = recipe?.layers.filter((layer) => layer.coating.group !== 'wax') ?? [];
  const [owned] = model.finds.filter((find) => find.state === 'owned');
  if (household.reversibleOnly && owned && lasting.length > 0)
    findings.push({
      code: 'place.reversibleOnly',
      severity: 'refuse',
      where,
      figures: { piece: owned.name, coating: lasting[0]?.coating.name ?? '' },
    });
  if (household.outdoors && recipe) {
    const indoors = recipe.layers.filter((layer) => layer.coating.outdoors === 'no');
    if (indoors.length > 0)
      findings.push({
        code: 'place.outdoors',
        severity: 'warn',
        where,
        figures: { coating: indoors.map((layer) => layer.coating.name).join(', ') },
      });
  }
  return findings;
}
