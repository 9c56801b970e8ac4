import type { Finding } from '../kernel/finding';
import type { FindRow, ProjectRows } from '../model/rows';
import { cautionsFor } from '../safety/cautions';
import type { SafetyFacts } from '../safety/facts';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { fitFindings } from './fitFindings';
import type { Footprint } from './footprint';
import { houseFindings } from './houseFindings';
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
    oldFinish: find.finishId !== null,
    materials: [find.materialId],
    heightMm: template ? (completeMeasures(template, find.measures)[template.overall.height] ?? null) : null,
    storesThings: template?.traits.includes('storesThings') ?? false,
    isShade: template?.traits.includes('shade') ?? false,
    isMusty: false,
    disturbedM2: 0,
  };
}

/** Findings of an option beyond its recipe's: size, refused kinds, unknown prices, dates. */
export function optionFindings(footprint: Footprint, rows: ProjectRows): Finding[] {
  const { option, slot } = footprint;
  const findings: Finding[] = [...(footprint.recipe?.findings ?? [])];
  for (const find of footprint.finds) {
    findings.push(...fitFindings(slot, option.id, find.templateId, find.measures));
    if (!footprint.recipe) {
      const facts = { steps: [], uses: new Set<never>(), foodSafeFinish: false, household: rows.project.household };
      for (const caution of cautionsFor({ ...facts, piece: unplannedPiece(find) }, option.id)) {
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
  for (const { offer } of footprint.offers) {
    findings.push(...fitFindings(slot, option.id, offer.templateId, offer.measures));
    if (offer.price.state === 'unknown')
      findings.push({
        code: 'price.unknown',
        severity: 'warn',
        where: { kind: 'option', id: option.id },
        figures: { piece: offer.name },
      });
  }
  findings.push(...placeFindings(footprint, rows), ...houseFindings(footprint, rows));
  if (footprint.capacity < slot.quantity) {
    findings.push({
      code: 'option.coversPart',
      severity: 'note',
      where: { kind: 'option', id: option.id },
      figures: { covers: footprint.capacity, asked: slot.quantity },
    });
  }
  return findings;
}
