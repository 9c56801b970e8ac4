import type { SizeRange, SlotRow } from '../model/rows';
import { completeMeasures, type Measures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import type { OptionFinding } from './optionSentences';

/**
 * Overall width, depth and height of a piece by its template, in mm; null where the template has none.
 * @param measures mm by the template’s own names
 */
export function overallSize(
  templateId: string,
  measures: Measures,
): Record<'width' | 'depth' | 'height', number | null> {
  const template = furnitureTemplates.find(templateId);
  if (!template) return { width: null, depth: null, height: null };
  const complete = completeMeasures(template, measures);
  const { width, depth, height } = template.overall;
  return {
    width: width === null ? null : (complete[width] ?? null),
    depth: depth === null ? null : (complete[depth] ?? null),
    height: complete[height] ?? null,
  };
}

/**
 * Where a piece's size leaves the slot's range: one finding per direction, with how far off it is in mm.
 * @param measures mm by the template’s own names; a measure that is not known says nothing
 */
export function fitFindings(slot: SlotRow, optionId: string, templateId: string, measures: Measures): OptionFinding[] {
  const size = overallSize(templateId, measures);
  const findings: OptionFinding[] = [];
  for (const direction of ['width', 'depth', 'height'] as const) {
    const value = size[direction];
    const range: SizeRange = slot[direction];
    if (value === null) continue;
    if (range.maximumMm !== null && value > range.maximumMm + 0.5) {
      findings.push({
        code: 'fit.tooLarge',
        severity: 'warn',
        where: { kind: 'option', id: optionId },
        figures: { direction, byMm: value - range.maximumMm },
      });
    } else if (range.minimumMm !== null && value < range.minimumMm - 0.5) {
      findings.push({
        code: 'fit.tooSmall',
        severity: 'warn',
        where: { kind: 'option', id: optionId },
        figures: { direction, byMm: range.minimumMm - value },
      });
    }
  }
  return findings;
}
