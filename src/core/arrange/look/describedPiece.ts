import type { UnitSystem } from '../../kernel/units';
import type { LookPieceRow } from '../../model/rows';
import { readQuickLine } from '../../sourcing/quickLine';
import { asTemplateAsks, completeMeasures } from '../../surface/furnitureTemplate';
import { furnitureTemplates } from '../../surface/templates';
import { sizeOf } from '../../surface/views';
import { colorOfWords } from './colorOfWords';

/** Plates in a stack stand; one by itself is set up or hung, and shows its face. */
const stacked = /\b(?:stacks?|piles?) of ((?:\S+ )?(?:plates|saucers|platters))\b/i;

/**
 * What somebody describes in words for a look: its name as it was said, its kind, its measures, its color.
 * @example "blue vase, 5 in wide, 12 in tall" → a vase of that size, called Blue vase
 */
export function describedPiece(
  words: string,
  currency: string,
  units: UnitSystem,
): Pick<LookPieceRow, 'name' | 'size'> & { drawn: NonNullable<LookPieceRow['drawn']> } {
  const stack = stacked.exec(words);
  // A stack is read as a thing of its own: as wide, as high as it is said to be.
  const line = readQuickLine(stack ? words.replace(stack[0], 'dinnerware') : words, currency, units);
  const name = stack ? stack[0] : line.name || words;
  const template = furnitureTemplates.get(line.templateId ?? 'freeBox');
  const measures = asTemplateAsks(template, line.measures);
  const { widthMm } = line.measures;
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    // A bunch that is said to be so wide is so wide in this look; its kind knows only leaves and stems.
    size:
      widthMm !== undefined && template.overall.width === null
        ? { ...sizeOf(template, completeMeasures(template, measures)), widthMm }
        : null,
    drawn: { templateId: template.id, measures, color: colorOfWords(words, line.materialId) },
  };
}
