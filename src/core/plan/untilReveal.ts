import { instantOf } from '../calendar/zonedTime';
import type { SlotRow } from '../model/rows';
import type { Plan } from './computePlan';
import type { Purse } from './purse';

/** How what is chosen stands to the reveal. */
export type Pace = 'noDate' | 'past' | 'late' | 'lastMinute' | 'inTime' | 'early';

/** From so many days in hand on, work is early; below so many it is last minute (a modelling choice). */
const EARLY_DAYS = 14;
const LAST_MINUTE_DAYS = 2;

/**
 * Early, in time, last minute or late, by the days between the last chosen piece and the reveal; with nothing chosen yet,
 * by the days that are left.
 */
export function paceOf({ toReveal, inHand }: Purse['days']): Pace {
  if (toReveal === null || inHand === null) return 'noDate';
  if (toReveal < 0) return 'past';
  if (inHand < 0) return 'late';
  return inHand < LAST_MINUTE_DAYS ? 'lastMinute' : inHand < EARLY_DAYS ? 'inTime' : 'early';
}

/** An open slot with the ways thought up for it that would be usable before the reveal, and those that would not. */
export interface OpenUntilReveal {
  slot: SlotRow;
  inTime: string[];
  tooLate: string[];
}

/**
 * What still fits until the reveal, slot by slot as far as they are open. Refused ways are neither.
 * @returns null without a reveal date
 */
export function untilReveal(plan: Plan): OpenUntilReveal[] | null {
  const { revealDate, timeZone } = plan.rows.project;
  if (revealDate === null) return null;
  const [year = 0, month = 1, day = 1] = revealDate.split('-').map(Number);
  const revealMs = instantOf(year, month, day, 0, timeZone);
  return plan.slots
    .filter(({ open }) => open > 0)
    .map(({ slot, options }) => {
      const able = options.filter(({ refused }) => !refused);
      return {
        slot,
        inTime: able.filter(({ usableMs }) => usableMs <= revealMs).map(({ option }) => option.id),
        tooLate: able.filter(({ usableMs }) => usableMs > revealMs).map(({ option }) => option.id),
      };
    });
}

/** What the place must keep doing, each with the slots that take it over; none while it is open. */
export function keptFunctions(plan: Plan): { words: string; slots: SlotRow[] }[] {
  const { project, slots } = plan.rows;
  return project.brief.functions.map((words) => ({
    words,
    slots: slots.filter((slot) => !slot.leftOut && slot.keeps.includes(words)),
  }));
}
