import type { PieceRow } from '../model/rows';
import type { Household } from '../state/brief';
import { furnitureTemplates } from '../surface/templates';
import type { OptionModel } from './model/optionModel';
import type { OptionFinding } from './optionSentences';

/** Whether a piece stays where it is when the stylist leaves: part of the building, or somebody else's. */
export function staysBehind(templateId: string, piece: Pick<PieceRow, 'borrowedFrom'> | undefined): boolean {
  const isFixture = furnitureTemplates.find(templateId)?.traits.includes('fixture') ?? false;
  return isFixture || (piece?.borrowedFrom ?? '') !== '';
}

/**
 * A finish that lasts, where the place is rented or only what can be undone is wanted: it holds for every piece, ours or
 * not, until somebody agreed to it; what belongs to the place stays behind with what was spent on it.
 */
function lastingFindings(model: OptionModel, household: Household, pieces: readonly PieceRow[]): OptionFinding[] {
  const { option, recipe } = model;
  // Wax washes off again, and removable film peels off; every other finish stays.
  const lasting =
    recipe?.layers.filter(({ coating }) => coating.group !== 'wax' && !(coating.adhesive?.isRemovable ?? false)) ?? [];
  const [coat] = lasting;
  if (!coat || !(household.reversibleOnly || household.rented)) return [];
  const where = { kind: 'option', id: option.id } as const;
  const findings: OptionFinding[] = [];
  for (const find of model.finds) {
    const piece = pieces.find((row) => row.id === find.pieceId);
    const stays = staysBehind(find.templateId, piece);
    const figures = { piece: find.name, coating: coat.coating.name };
    const fix = { kind: 'noteConsent', pieceId: find.pieceId } as const;
    if (piece?.mayAlter) {
      if (stays) findings.push({ code: 'place.staysBehind', severity: 'note', where, figures });
    } else if (stays) findings.push({ code: 'place.askFirst', severity: 'refuse', where, figures, fix });
    else if (household.reversibleOnly)
      findings.push({ code: 'place.reversibleOnly', severity: 'refuse', where, figures, fix });
  }
  return findings;
}

/**
 * What the place of the brief says against a way to fill a slot: rented, no drilling, reversible only, outdoors, the
 * reach of a cord. One finding per demand and option.
 */
export function placeFindings(model: OptionModel, household: Household, pieces: readonly PieceRow[]): OptionFinding[] {
  const { option, recipe } = model;
  const findings: OptionFinding[] = [];
  const where = { kind: 'option', id: option.id } as const;
  const templates = [
    ...model.finds.map((find) => find.templateId),
    ...model.offers.map(({ offer }) => offer.templateId),
    ...(recipe?.built.map(({ build }) => build.templateId) ?? []),
  ];
  const traits = new Set(templates.flatMap((id) => furnitureTemplates.find(id)?.traits ?? []));
  if (traits.has('hangs') && (household.noDrilling || household.rented))
    findings.push({
      code: household.noDrilling ? 'place.noDrilling' : 'place.rentedWall',
      severity: 'note',
      where,
      figures: {},
    });
  // What is screwed to the wall can be nothing else: a shelf on a cleat does not lean.
  const drilled = recipe?.built.find(({ plan }) => plan.works.some(({ kind }) => kind === 'drill'));
  if (drilled && household.noDrilling)
    findings.push({ code: 'place.mustDrill', severity: 'refuse', where, figures: { what: drilled.build.name } });
  if (traits.has('lamp') && household.cordReachMm !== null)
    findings.push({
      code: 'place.cordReach',
      severity: 'note',
      where,
      figures: { reachMm: household.cordReachMm },
    });
  findings.push(...lastingFindings(model, household, pieces));
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
