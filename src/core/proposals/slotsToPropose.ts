import type { SlotRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { importanceWeight } from '../plan/importanceWeight';

/** The slots that are worth proposing for: open ones that are not kept as they are, what counts most first. */
export const slotsToPropose = (plan: Plan): SlotRow[] =>
  plan.slots
    .filter(({ slot, open }) => open > 0 && !slot.locked)
    .map(({ slot }) => slot)
    .sort((a, b) => importanceWeight[b.importance] - importanceWeight[a.importance] || a.number - b.number);
