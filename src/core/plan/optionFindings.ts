import { mayHoldLead } from '../catalog/substrates';
import type { FindRow, OfferRow, PieceRow } from '../model/rows';
import { isMade } from '../recipe/workpiece';
import { cautionsFor } from '../safety/cautions';
import type { SafetyFacts } from '../safety/facts';
import type { Household } from '../state/brief';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { fitFindings } from './fitFindings';
import { greenFindings } from './greenFindings';
import { houseFindings } from './houseFindings';
import type { OptionModel } from './model/optionModel';
import type { PlanModel } from './model/planModel';
import type { OptionFinding } from './optionSentences';
import { placeFindings } from './placeFindings';

/** A piece that nothing is done to, as cautions see it. */
function unplannedPiece(find: FindRow): NonNullable<SafetyFacts['piece']> {
  const template = furnitureTemplates.find(find.templateId);
  return {
    id: find.id,
    name: find.name,
    kind: find.kind,
    era: find.era,
    leadTest: find.leadTest,
    cordCondition: find.cordCondition,
    oldFinish: mayHoldLead(find.finishId),
    materials: [find.materialId],
    heightMm: template ? (completeMeasures(template, find.measures)[template.overall.height] ?? null) : null,
    storesThings: template?.traits.includes('storesThings') ?? false,
    isShade: template?.traits.includes('shade') ?? false,
    isMusty: false,
    disturbedM2: 0,
    traits: [],
  };
}

/** The findings of an option, taken over from an earlier plan while nothing that they speak of has changed. */
export function findingsOfOption(plan: PlanModel, model: OptionModel): readonly OptionFinding[] {
  const { household, revealDate, standsUntil } = plan.rows.project;
  const spot = plan.rows.spots.find(({ id }) => id === model.slot.spotId);
  return plan.memo.part(optionFindings, model.option.id, {
    model,
    household,
    revealDate,
    standsUntil,
    pieces: model.finds.flatMap((find) => plan.piece(find.pieceId) ?? []),
    spotName: spot?.name ?? '',
    spotKind: spot?.kind ?? '',
  });
}

/** What renting says: when it goes back, and what is left for it meanwhile. */
function rentFindings(
  { id, name, rented }: OfferRow,
  { model, revealDate, standsUntil }: { model: OptionModel; revealDate: string | null; standsUntil: string | null },
): OptionFinding[] {
  if (rented === null) return [];
  const where = { kind: 'option' as const, id: model.option.id };
  const needed = standsUntil ?? revealDate;
  const findings: OptionFinding[] = [];
  if (rented.backBy === null)
    findings.push({ code: 'rent.noDate', severity: 'note', where, figures: { piece: name, offer: id } });
  else if (needed !== null && rented.backBy < needed)
    findings.push({ code: 'rent.goesBack', severity: 'warn', where, figures: { piece: name, date: rented.backBy } });
  if (rented.deposit > 0)
    findings.push({
      code: 'rent.deposit',
      severity: 'note',
      where,
      figures: { piece: name, depositMinor: rented.deposit },
    });
  return findings;
}

/** Findings of an option, its recipe's and beyond them: size, refused kinds, unknown prices, the place, dates. */
export function optionFindings(of: {
  model: OptionModel;
  household: Household;
  revealDate: string | null;
  standsUntil: string | null;
  pieces: readonly PieceRow[];
  spotName: string;
  spotKind: string;
}): OptionFinding[] {
  const { model, household } = of;
  const { option, slot } = model;
  const findings: OptionFinding[] = [...(model.recipe?.findings ?? [])];
  for (const { findId, pieces } of option.parts) {
    const find = model.finds.find(({ id }) => id === findId);
    if (find && !find.counted && pieces * slot.quantity > find.count)
      findings.push({
        code: 'option.notCounted',
        severity: 'warn',
        where: { kind: 'option', id: option.id },
        figures: { piece: find.name, known: find.count, asked: pieces * slot.quantity },
      });
  }
  if (option.kind === 'make')
    for (const { piece } of model.recipe?.built ?? [])
      if (isMade(piece)) findings.push(...fitFindings(slot, option.id, piece.templateId, piece.measures));
  for (const find of model.finds) {
    findings.push(...fitFindings(slot, option.id, find.templateId, find.measures));
    if (!model.recipe) {
      const facts = { steps: [], uses: new Set<never>(), foodSafeFinish: false, household };
      for (const caution of cautionsFor({ piece: unplannedPiece(find), ...facts }, option.id)) {
        findings.push({ ...caution, where: { kind: 'option', id: option.id } });
      }
    }
    if (find.story.tag.state === 'unknown')
      findings.push({
        code: 'price.unknown',
        severity: 'warn',
        where: { kind: 'find', id: find.id },
        figures: { piece: find.name },
      });
  }
  for (const { offer } of model.offers) {
    findings.push(...fitFindings(slot, option.id, offer.templateId, offer.measures));
    if (offer.price.state === 'unknown')
      findings.push({
        code: 'price.unknown',
        severity: 'warn',
        where: { kind: 'option', id: option.id },
        figures: { piece: offer.name },
      });
    findings.push(...rentFindings(offer, of));
  }
  findings.push(
    ...placeFindings(model, household, of.pieces),
    ...houseFindings(of),
    ...greenFindings(model, of.spotKind),
  );
  if (model.capacity < slot.quantity) {
    findings.push({
      code: 'option.coversPart',
      severity: 'note',
      where: { kind: 'option', id: option.id },
      figures: { covers: model.capacity, asked: slot.quantity },
    });
  }
  return findings;
}
