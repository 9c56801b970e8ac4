import { isProject } from '../changes';
import type { Breach, Invariant } from './invariant';

/** Choices cover no more than the quantity of their slot, by options of that slot; a slot left out has none and is no must. */
export const slotCapacity: Invariant = {
  id: 'slotCapacity',
  breaches: (rows) => {
    if (!isProject(rows)) return [];
    const breaches: Breach[] = [];
    const slotOf = new Map(rows.options.map((option) => [option.id, option.slotId]));
    const covered = new Map<string, { sum: number; last: string }>();
    for (const fill of rows.fills) {
      covered.set(fill.slotId, { sum: (covered.get(fill.slotId)?.sum ?? 0) + fill.count, last: fill.id });
      const slotId = slotOf.get(fill.optionId);
      if (slotId !== undefined && slotId !== fill.slotId)
        breaches.push({
          table: 'fills',
          id: fill.id,
          path: ['optionId'],
          field: 'optionId',
          value: fill.optionId,
          accepted: 'an option of the same slot',
          weight: 1,
        });
    }
    for (const slot of rows.slots) {
      const { sum, last } = covered.get(slot.id) ?? { sum: 0, last: '' };
      const field = `slot ${slot.number}, ${slot.name}`;
      if (sum > slot.quantity)
        breaches.push({
          table: 'fills',
          id: last,
          path: ['count'],
          field,
          value: sum,
          accepted: `choices that together cover at most ${slot.quantity}`,
          weight: sum - slot.quantity,
        });
      const place = { table: 'slots', id: slot.id, path: ['leftOut'], field, tolerated: true } as const;
      if (slot.leftOut && sum > 0)
        breaches.push({ ...place, value: sum, accepted: 'nothing chosen where a slot is left out', weight: sum });
      if (slot.leftOut && slot.importance === 'must')
        breaches.push({
          ...place,
          path: ['importance'],
          value: 'left out',
          accepted: 'something, as it is a must',
          weight: 1,
        });
    }
    return breaches;
  },
};
