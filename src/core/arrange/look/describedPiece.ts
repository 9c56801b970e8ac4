import type { UnitSystem } from '../../kernel/units';
import type { LookPieceRow } from '../../model/rows';
import { readQuickLine } from '../../sourcing/quickLine';
import { asTemplateAsks, completeMeasures } from '../../surface/furnitureTemplate';
import { likenessOf } from '../../surface/likenesses';
import { furnitureTemplates } from '../../surface/templates';
import { sizeOf } from '../../surface/views';
import { colorOfWords } from './colorOfWords';

/** Plates in a stack stand; one by itself is set up or hung, and shows its face. */
const stacked = /\b(?:stacks?|piles?) of ((?:\S+ )?(?:plates|saucers|platters))\b/i;

/** What lies in something is one thing with it: six lemons in a bowl. */
const held = /\b(?:in|on) (?:a|an|the|its)\b/i;
/** Measures that say how many there are in one thing. */
const countedTogether: ReadonlySet<string> = new Set(['stems']);
/** Kinds that are many things in one. */
const piles: ReadonlySet<string> = new Set(['books']);
/** So many are put in at once at the most: places at a large table. */
const MOST_AT_ONCE = 16;

/**
 * What somebody describes in words for a look: its name as it was said, its kind, its measures, its color, and how many.
 * @example "blue vase, 5 in wide, 12 in tall" → a vase of that size, called Blue vase; "8 dinner plates" → eight of one
 */
export function describedPiece(
  words: string,
  currency: string,
  units: UnitSystem,
): { of: Pick<LookPieceRow, 'name' | 'size'> & { drawn: NonNullable<LookPieceRow['drawn']> }; count: number } {
  const stack = stacked.exec(words);
  // A stack is read as a thing of its own: as wide, as high as it is said to be.
  const line = readQuickLine(stack ? words.replace(stack[0], 'dinnerware') : words, currency, units);
  const name = stack ? stack[0] : line.name || words;
  const template = furnitureTemplates.get(line.templateId ?? likenessOf(words)?.templateId ?? 'freeBox');
  const together = template.measures.find(({ id }) => countedTogether.has(id));
  const measures = {
    ...asTemplateAsks(template, line.measures),
    // Stems in a bunch and books in a pile are one thing.
    ...(together && line.pieces > 1 ? { [together.id]: Math.min(together.maximum, line.pieces) } : {}),
  };
  const isOne = together !== undefined || piles.has(template.id) || stack !== null || held.test(words);
  const { widthMm } = line.measures;
  const of = {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    // A bunch that is said to be so wide is so wide in this look; its kind knows only leaves and stems.
    size:
      widthMm !== undefined && template.overall.width === null
        ? { ...sizeOf(template, completeMeasures(template, measures)), widthMm }
        : null,
    drawn: { templateId: template.id, measures, color: colorOfWords(words, line.materialId) },
  };
  return { of, count: isOne ? 1 : Math.min(MOST_AT_ONCE, Math.max(1, line.pieces)) };
}
