import type { FindRow, OptionKind, ProjectRows, SlotRow } from '../model/rows';

/** A choice for a slot, as far as it tells whether the slot is filled from what is owned. */
interface Choice {
  kind: OptionKind;
  finds: readonly (Pick<FindRow, 'name' | 'state'> | undefined)[];
  count: number;
}

/**
 * What of our own a slot is filled from: the piece that was named, or the pieces of the house that fill all of it as
 * they are. Null while something else is chosen, or part of it is open.
 * @param choices the choices for this slot
 */
export function ownedIn(slot: SlotRow, choices: readonly Choice[]): string | null {
  if (slot.star !== null) return slot.star.what;
  let covered = 0;
  const names = new Set<string>();
  for (const { kind, finds, count } of choices) {
    if (kind !== 'own' || finds.length === 0 || finds.some((find) => find?.state !== 'owned')) continue;
    covered += count;
    for (const find of finds) if (find) names.add(find.name);
  }
  return covered >= slot.quantity && names.size > 0 ? [...names].join(', ') : null;
}

/** The same from the rows of a project. */
export function starOf(rows: Pick<ProjectRows, 'fills' | 'options' | 'finds'>, slot: SlotRow): string | null {
  const choices = rows.fills.flatMap((fill): Choice[] => {
    const option = fill.slotId === slot.id ? rows.options.find((row) => row.id === fill.optionId) : undefined;
    if (!option) return [];
    const finds = option.parts.map((part) => rows.finds.find((find) => find.id === part.findId));
    return [{ kind: option.kind, finds, count: fill.count }];
  });
  return ownedIn(slot, choices);
}
