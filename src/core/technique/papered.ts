import type { Consumable } from '../catalog/consumable';
import { brushedAmount, technique } from './parts';
import type { SheetQuestion, SheetWork } from './sheetWork';
import type { QuantityInput, Technique, TechniqueParameter } from './technique';

/** Paper drinks a third more of the first coat that lies on it (common practice, from memory). */
const PAPER_DRINKS = 0.3;

/** Medium under the paper and over it: the coats, and what the paper itself drinks. */
function mediumAmount(input: QuantityInput): number {
  return input.coats <= 0 ? 0 : brushedAmount({ ...input, absorption: input.absorption + PAPER_DRINKS });
}

const isPaper = (kind: Consumable): boolean => kind.paper !== undefined;

/** A length that a paper technique asks for. */
export const sheetLength = (
  id: string,
  label: string,
  standard: number,
  minimum: number,
  maximum: number,
): TechniqueParameter => ({ id, label, kind: 'length', standard, minimum, maximum });

/** A number of something. */
export const sheetCount = (
  id: string,
  label: string,
  standard: number,
  minimum: number,
  maximum: number,
): TechniqueParameter => ({ id, label, kind: 'count', standard, minimum, maximum });

/** Overlap, bleed and wrap as the trade has them: 3 to 10 mm, and 10 to 20 mm over an edge. */
export const overlapParameter = sheetLength('overlapMm', 'Overlap where two meet, bleed at an edge', 6, 0, 50);
export const wrapParameter = sheetLength('wrapMm', 'Turned over behind an edge', 15, 0, 100);
/** Knob holes and the like: a template cannot know them, and they take no less paper. A knob's hole is bare under its foot. */
export const openingParameters = [
  sheetCount('holes', 'Holes in each face, in a row across its middle', 0, 0, 50),
  { ...sheetLength('holeMm', 'Holes, across', 8, 1, 500), onlyWith: 'holes' },
];

/** What only torn pieces follow cannot be covered whole. */
export const needsFaces = ({ faces }: SheetQuestion): string | null =>
  faces.length === 0 ? 'it has no faces that lie flat: torn pieces follow it' : null;

/** Paper laid in medium: one coat beneath, two or more above, which need no special hand. */
export function papered(
  own: Pick<Technique, 'id' | 'name' | 'words' | 'remark' | 'parameters'> & {
    sheet: Pick<SheetWork, 'cut'> & Partial<SheetWork>;
  } & Partial<Omit<Technique, 'sheet'>>,
): Technique {
  const { sheet, ...rest } = own;
  return technique({
    family: 'paper',
    accepts: (coating) => coating.group === 'decoupage',
    rate: { perM2: 'paperSheets' },
    laterRate: 'clear',
    // Paper lies on the surface as it is: carving slows it as it slows a brush.
    toolIds: ['brush', 'scissors', 'brayer'],
    quantity: mediumAmount,
    coats: 'paper',
    sheet: { accepts: isPaper, cannot: () => null, ...sheet },
    ...rest,
  });
}
