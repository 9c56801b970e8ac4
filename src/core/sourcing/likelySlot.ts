import type { SlotRow } from '../model/rows';
import { tellingWords } from './fitNeed';

/**
 * The slot that a thing is most likely meant for: the one whose name shares the most words with its own; among equals one
 * that is still open, then the one of the lowest number.
 * @param name what the thing is called
 * @param open ids of slots for which nothing is chosen yet
 * @returns null only where there is no slot
 * @example "plant stand, pine" among "Rattan chair" and "Plant stand" → the second, whatever its number
 */
export function likelySlot<S extends Pick<SlotRow, 'id' | 'name' | 'number'>>(
  name: string,
  slots: readonly S[],
  open: ReadonlySet<string>,
): S | null {
  const words = new Set(tellingWords(name));
  const shared = (slot: S) => tellingWords(slot.name).filter((word) => words.has(word)).length;
  const [likeliest] = [...slots].sort(
    (a, b) => shared(b) - shared(a) || Number(open.has(b.id)) - Number(open.has(a.id)) || a.number - b.number,
  );
  return likeliest ?? null;
}
