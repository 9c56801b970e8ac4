import { mostOf } from '../../model/finds';
import { isProject, type Workspace } from '../changes';
import type { Breach, Invariant } from './invariant';

interface Taken {
  count: number;
  slots: Set<number>;
}

const known = new WeakMap<Workspace, ReadonlyMap<string, Taken>>();

/** How many of each piece the choices take, and for which slots. */
function takenOf(rows: Workspace): ReadonlyMap<string, Taken> {
  const before = known.get(rows);
  if (before) return before;
  const taken = new Map<string, Taken>();
  if (isProject(rows)) {
    const finds = new Map(rows.finds.map((find) => [find.id, find]));
    const options = new Map(rows.options.map((option) => [option.id, option]));
    const numbers = new Map(rows.slots.map((slot) => [slot.id, slot.number]));
    for (const fill of rows.fills)
      for (const part of options.get(fill.optionId)?.parts ?? []) {
        const pieceId = part.findId === null ? undefined : finds.get(part.findId)?.pieceId;
        if (pieceId === undefined) continue;
        const entry = taken.get(pieceId) ?? { count: 0, slots: new Set<number>() };
        entry.count += part.pieces * fill.count;
        entry.slots.add(numbers.get(fill.slotId) ?? 0);
        taken.set(pieceId, entry);
      }
  }
  known.set(rows, taken);
  return taken;
}

/**
 * A piece is in one place: choices take no more of it than there are. The weight of a breach is how many are taken, not
 * how many are missing: that one of them broke can be noted at any time, only taking one more is refused.
 */
export const pieceCapacity: Invariant = {
  id: 'pieceCapacity',
  breaches: (rows) => {
    const taken = takenOf(rows);
    return rows.pieces.flatMap((piece): Breach[] => {
      const used = taken.get(piece.id);
      if (!used || used.count <= mostOf(piece)) return [];
      const where = [...used.slots].sort((a, b) => a - b).join(' and ');
      return [
        {
          table: 'pieces',
          id: piece.id,
          path: ['count'],
          tolerated: true,
          field: `${piece.name}, slot ${where}`,
          value: used.count,
          accepted: `at most the ${piece.count} there ${piece.count === 1 ? 'is' : 'are'}`,
          weight: used.count,
          weightIn: (before) => takenOf(before).get(piece.id)?.count ?? 0,
        },
      ];
    });
  },
};
