import { isProject } from '../changes';
import type { Breach, Invariant } from './invariant';

/** What a piece of a look stands on is of the same look, and nothing stands on itself; another way is one of its slot. */
export const looksHold: Invariant = {
  id: 'looksHold',
  breaches: (rows) => {
    if (!isProject(rows)) return [];
    const byId = new Map(rows.lookPieces.map((placement) => [placement.id, placement]));
    const slotOf = new Map(rows.options.map((option) => [option.id, option.slotId]));
    const breach = (id: string, field: string, value: unknown, accepted: string): Breach => ({
      table: 'lookPieces',
      id,
      path: [field],
      field,
      value,
      accepted,
      weight: 1,
    });
    return rows.lookPieces.flatMap(({ id, lookId, onId, slotId, optionId }) => {
      const found: Breach[] = [];
      const optionSlot = optionId === null ? undefined : slotOf.get(optionId);
      if (optionSlot !== undefined && optionSlot !== slotId)
        found.push(breach(id, 'optionId', optionId, 'a way for the same slot'));
      const seen = new Set([id]);
      let below = byId.get(onId ?? '');
      if (below && below.lookId !== lookId) found.push(breach(id, 'onId', onId, 'a piece of the same look'));
      while (below && !seen.has(below.id)) {
        seen.add(below.id);
        below = byId.get(below.onId ?? '');
      }
      if (below) found.push(breach(id, 'onId', onId, 'a piece that does not stand on this one'));
      return found;
    });
  },
};
