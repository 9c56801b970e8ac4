import type { SlotRow } from '../model/rows';
import type { Plan } from './computePlan';

/** What the place must keep doing, each with the slots that take it over; none while it is open. */
export function keptFunctions(plan: Plan): { words: string; slots: SlotRow[] }[] {
  const { project, slots } = plan.rows;
  return project.brief.functions.map((words) => ({
    words,
    slots: slots.filter((slot) => !slot.leftOut && slot.keeps.includes(words)),
  }));
}
