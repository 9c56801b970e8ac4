import { SAME_TIME_MINUTES } from '../plan/makeOrBuy';

/** What an hour earned; null where it took no longer than the other way, up to what counts as the same time. */
export const earnedPerHour = (saved: number, minutes: number): number | null =>
  minutes > SAME_TIME_MINUTES ? Math.round((saved * 60) / minutes) : null;
