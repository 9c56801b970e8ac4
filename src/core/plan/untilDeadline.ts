import { dayBegins } from '../calendar/zonedTime';
import type { ProjectRow, SlotRow } from '../model/rows';
import type { Plan } from './computePlan';
import type { Purse } from './purse';

/** How what is chosen stands to the reveal. */
export type Pace = 'noDate' | 'past' | 'nothingChosen' | 'late' | 'lastMinute' | 'inTime' | 'early';

/** From so many days in hand on, work is early; below so many it is last minute (a modelling choice). */
const EARLY_DAYS = 14;
const LAST_MINUTE_DAYS = 2;

/** Early, in time, last minute or late, by the days between the last chosen piece and the reveal. */
export function paceOf({ toReveal, inHand, lastUsableMs }: Purse['days']): Pace {
  if (toReveal === null || inHand === null) return 'noDate';
  if (toReveal < 0) return 'past';
  if (lastUsableMs === null) return 'nothingChosen';
  if (inHand < 0) return 'late';
  return inHand < LAST_MINUTE_DAYS ? 'lastMinute' : inHand < EARLY_DAYS ? 'inTime' : 'early';
}

/** The day before which things must be usable: of the reveal, or on which the place is left, whichever comes first. */
export function deadlineOf({ revealDate, brief }: ProjectRow): { date: string; because: 'reveal' | 'leaving' } | null {
  const { leavingDate } = brief;
  if (leavingDate !== null && (revealDate === null || leavingDate < revealDate))
    return { date: leavingDate, because: 'leaving' };
  return revealDate === null ? null : { date: revealDate, because: 'reveal' };
}

/** An open slot with the ways thought up for it that would be usable before the deadline, and those that would not. */
export interface OpenUntilDeadline {
  slot: SlotRow;
  inTime: string[];
  tooLate: string[];
}

/**
 * What still fits until the deadline, slot by slot as far as they are open. Refused ways are neither.
 * @returns null without a deadline
 */
export function untilDeadline(plan: Plan): OpenUntilDeadline[] | null {
  const { project } = plan.rows;
  const deadline = deadlineOf(project);
  if (deadline === null) return null;
  const deadlineMs = dayBegins(deadline.date, project.timeZone);
  return plan.slots
    .filter(({ open }) => open > 0)
    .map(({ slot, options }) => {
      const able = options.filter(({ refused }) => !refused);
      return {
        slot,
        inTime: able.filter(({ usableMs }) => usableMs <= deadlineMs).map(({ option }) => option.id),
        tooLate: able.filter(({ usableMs }) => usableMs > deadlineMs).map(({ option }) => option.id),
      };
    });
}
