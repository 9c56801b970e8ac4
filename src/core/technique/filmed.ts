import { technique } from './parts';
import type { SheetWork } from './sheetWork';
import type { Technique } from './technique';

/** Film cut and stuck on: one layer, dry, on what is smooth and sound. */
export function filmed(
  own: Pick<Technique, 'id' | 'name' | 'words' | 'remark' | 'parameters' | 'rate'> & {
    sheet: Pick<SheetWork, 'cut'> & Partial<SheetWork>;
  } & Partial<Omit<Technique, 'sheet'>>,
): Technique {
  const { sheet, ...rest } = own;
  return technique({
    family: 'film',
    accepts: (coating) => coating.role === 'film',
    place: 'indoors',
    // A profile is followed with heat and patience; film takes no longer to it than a brush.
    toolIds: ['craftKnife', 'squeegee', 'steelRule'],
    // What it takes is cut from the roll: nothing is poured.
    quantity: () => 0,
    coats: 1,
    sheet: {
      accepts: () => false,
      ...sheet,
      cannot: (question) =>
        question.detail === 'weave'
          ? 'it is woven: film has nothing to lie flat on'
          : (sheet.cannot?.(question) ?? null),
    },
    ...rest,
  });
}
