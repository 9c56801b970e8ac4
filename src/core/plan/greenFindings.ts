import { type GreenKind, greenKindOf } from './greenKind';
import type { OptionModel } from './model/optionModel';
import type { OptionFinding } from './optionSentences';

/** Kinds of spots that the sun reaches. */
const sunny: ReadonlySet<string> = new Set(['window', 'porch']);

/** What is said of each kind of green, and in which light (common practice, no source). */
const said = {
  living: { code: 'green.needsLight', where: (spotKind: string) => !sunny.has(spotKind) },
  dried: { code: 'green.bleaches', where: (spotKind: string) => sunny.has(spotKind) },
  cut: { code: 'green.wiltsInSun', where: (spotKind: string) => sunny.has(spotKind) },
  faux: { code: 'green.fadesOutdoors', where: (spotKind: string) => spotKind === 'porch' },
} as const satisfies Readonly<Record<GreenKind, { code: string; where(spotKind: string): boolean }>>;

/**
 * What the light of a spot says of leaves and flowers: what lives needs it, what is dried is bleached by it, what is cut
 * wilts sooner in it, and most that is faux fades outdoors.
 * @param spotKind the kind of the slot's spot; empty where it has none, then nothing is said
 */
export function greenFindings({ option, finds, offers }: OptionModel, spotKind: string): OptionFinding[] {
  if (spotKind === '') return [];
  const things = [...finds, ...offers.map(({ offer }) => ({ name: offer.name, freshDays: null }))];
  return things.flatMap((thing): OptionFinding[] => {
    const kind = greenKindOf(thing);
    if (kind === null || !said[kind].where(spotKind)) return [];
    const where = { kind: 'option', id: option.id } as const;
    return [{ code: said[kind].code, severity: 'note', where, figures: { piece: thing.name } }];
  });
}
