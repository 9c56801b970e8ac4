import type { ProjectRows, SlotRow } from '../model/rows';

/**
 * What of our own a slot is filled from: the piece that was named, or the pieces of the house that fill all of it as
 * they are. Null while something else is chosen, or part of it is open.
 */
export function starOf(rows: Pick<ProjectRows, 'fills' | 'options' | 'finds'>, slot: SlotRow): string | null {
  if (slot.star !== null) return slot.star.what;
  let covered = 0;
  const names = new Set<string>();
  for (const fill of rows.fills) {
    if (fill.slotId !== slot.id) continue;
    const option = rows.options.find((candidate) => candidate.id === fill.optionId);
    if (option?.kind !== 'own') continue;
    const finds = option.parts.map((part) => rows.finds.find((find) => find.id === part.findId));
    if (finds.length === 0 || finds.some((find) => find?.state !== 'owned')) continue;
    covered += fill.count;
    for (const find of finds) if (find) names.add(find.name);
  }
  return covered >= slot.quantity && names.size > 0 ? [...names].join(', ') : null;
}
