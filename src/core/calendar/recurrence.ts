import ICAL from 'ical.js';
import { dateAfter, daysBetween } from './localDates';

/** Weekdays as RFC 5545 writes them, Monday first. */
export const weekdayCodes = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
export type WeekdayCode = (typeof weekdayCodes)[number];

const day = `(?:${weekdayCodes.join('|')})`;
const nth = '(?:[1-5]|-1)';
const monthDay = '(?:[1-9]|[12][0-9]|3[01]|-1)';
const interval = String.raw`(?:;INTERVAL=[1-9]\d?)?`;
/** The rules that shops keep: every so many days, weekdays of every so many weeks, an nth weekday or a day of the month. */
const ruleForms = [
  `FREQ=DAILY${interval}`,
  `FREQ=WEEKLY${interval}(?:;BYDAY=${day}(?:,${day})*)?`,
  `FREQ=MONTHLY${interval};BYDAY=${nth}${day}(?:,${nth}${day})*`,
  `FREQ=MONTHLY${interval};BYMONTHDAY=${monthDay}(?:,${monthDay})*`,
];
const rulePattern = new RegExp(`^(?:${ruleForms.join('|')})$`);

/** Whether a text is a recurrence rule that we read: the part of RFC 5545 that sales and opening days need. */
export const isRecurrenceRule = (text: string): boolean => rulePattern.test(text);

/** The parts of a rule by name. */
export function ruleParts(rule: string): { freq: string; interval: number; days: string[]; monthDays: number[] } {
  const parts = new Map(rule.split(';').map((part) => part.split('=') as [string, string]));
  const list = (name: string) => (parts.get(name) ?? '').split(',').filter((entry) => entry !== '');
  return {
    freq: parts.get('FREQ') ?? '',
    interval: Number(parts.get('INTERVAL') ?? 1),
    days: list('BYDAY'),
    monthDays: list('BYMONTHDAY').map(Number),
  };
}

/** No rule is followed further than this: a monthly one for more than eight hundred years. */
const MOST_STEPS = 10_000;

/** The last day before `first` from which a rule in days or weeks can be counted just as well as from its own start. */
function laterStart(rule: string, from: string, first: string): string {
  const { freq, interval } = ruleParts(rule);
  const step = freq === 'DAILY' ? interval : freq === 'WEEKLY' ? 7 * interval : null;
  // One step is left, since a week begins before the first of its days.
  const steps = step === null ? 0 : Math.floor(daysBetween(from, first) / step) - 1;
  return step === null || steps <= 0 ? from : dateAfter(from, steps * step);
}

/**
 * The local dates of a recurrence within a stretch of days, both ends included.
 * @param rule a rule that {@link isRecurrenceRule} accepts
 * @param from the local date that it counts from; nothing falls before it
 * @returns in order; none for a rule that we do not read
 * @example FREQ=WEEKLY;INTERVAL=2;BYDAY=SU from 2026-11-29, to 2026-12-31 → 2026-11-29, 2026-12-13, 2026-12-27
 */
export function recurrenceDates(rule: string, from: string, first: string, last: string): string[] {
  if (!isRecurrenceRule(rule) || last < from) return [];
  const days: string[] = [];
  const steps = ICAL.Recur.fromString(rule).iterator(ICAL.Time.fromDateString(laterStart(rule, from, first)));
  for (let n = 0; n < MOST_STEPS; n += 1) {
    const next = steps.next()?.toString();
    if (next === undefined || next > last) break;
    if (next >= first) days.push(next);
  }
  return days;
}

/** The weekday of a local date: 1 for Monday to 7 for Sunday. */
export function weekdayOf(date: string): number {
  const [year = 0, month = 1, dayOfMonth = 1] = date.split('-').map(Number);
  return ((new Date(Date.UTC(year, month - 1, dayOfMonth)).getUTCDay() + 6) % 7) + 1;
}

/** The first date on or after another that falls on a weekday (1 Monday … 7 Sunday). */
export const weekdayFrom = (date: string, weekday: number): string =>
  dateAfter(date, (weekday - weekdayOf(date) + 7) % 7);
