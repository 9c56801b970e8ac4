import type { ProjectRows, SlotRow } from '../model/rows';

/** What the place must keep doing, each with the slots that take it over; none while it is open. */
export function keptFunctions({
  project,
  slots,
}: Pick<ProjectRows, 'project' | 'slots'>): { words: string; slots: SlotRow[] }[] {
  return project.brief.functions.map((words) => ({
    words,
    slots: slots.filter((slot) => !slot.leftOut && slot.keeps.includes(words)),
  }));
}
