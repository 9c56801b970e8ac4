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

/** Months are followed no further than this: what falls in none of so many falls in none. */
const MOST_MONTHS = 12 * 900;

const weekdayNumber = (code: string) => weekdayCodes.indexOf(code as WeekdayCode) + 1;

/** Every so many days. */
function dailyDates(interval: number, from: string, first: string, last: string): string[] {
  const steps = Math.max(0, Math.ceil(daysBetween(from, first) / interval));
  const dates: string[] = [];
  for (let date = dateAfter(from, steps * interval); date <= last; date = dateAfter(date, interval)) dates.push(date);
  return dates;
}

/** Weekdays of every so many weeks; weeks begin on Monday, as RFC 5545 has it where nothing is said. */
function weeklyDates(interval: number, weekdays: readonly number[], from: string, first: string, last: string) {
  const firstWeek = dateAfter(from, 1 - weekdayOf(from));
  const steps = Math.max(0, Math.floor(daysBetween(firstWeek, first) / (7 * interval)));
  const dates: string[] = [];
  for (let week = dateAfter(firstWeek, 7 * interval * steps); week <= last; week = dateAfter(week, 7 * interval))
    for (const weekday of weekdays) dates.push(dateAfter(week, weekday - 1));
  return dates;
}

/** What a rule names within a month: an nth weekday, or a day by its number, counted from the end where it is negative. */
function datesOfMonth(year: number, month: number, days: readonly string[], monthDays: readonly number[]): string[] {
  const firstDay = new Date(Date.UTC(year, month, 1)).toISOString().slice(0, 10);
  const length = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  const numbers = monthDays.map((day) => (day < 0 ? length + 1 + day : day));
  for (const day of days) {
    const [nth, weekday] = [Number(day.slice(0, -2)), weekdayNumber(day.slice(-2))];
    const earliest = 1 + ((weekday - weekdayOf(firstDay) + 7) % 7);
    const latest = earliest + 7 * Math.floor((length - earliest) / 7);
    numbers.push(nth < 0 ? latest + 7 * (nth + 1) : earliest + 7 * (nth - 1));
  }
  return numbers.filter((day) => day >= 1 && day <= length).map((day) => dateAfter(firstDay, day - 1));
}

function monthlyDates(rule: ReturnType<typeof ruleParts>, from: string, first: string, last: string): string[] {
  const [year = 0, month = 1] = from.split('-').map(Number);
  const [firstYear = 0, firstMonth = 1] = first.split('-').map(Number);
  const between = 12 * (firstYear - year) + firstMonth - month;
  const dates: string[] = [];
  for (let n = Math.max(0, Math.floor(between / rule.interval)); n * rule.interval < MOST_MONTHS; n += 1) {
    const at = month - 1 + n * rule.interval;
    const monthBegins = new Date(Date.UTC(year, at, 1)).toISOString().slice(0, 10);
    if (monthBegins > last) break;
    dates.push(...datesOfMonth(year, at, rule.days, rule.monthDays));
  }
  return dates;
}

/**
 * The local dates of a recurrence within a stretch of days, both ends included (RFC 5545, 3.3.10).
 * @param rule a rule that {@link isRecurrenceRule} accepts
 * @param from the local date that it counts from; nothing falls before it
 * @returns in order, each once; none for a rule that we do not read
 * @example FREQ=WEEKLY;INTERVAL=2;BYDAY=SU from 2026-11-29, to 2026-12-31 → 2026-11-29, 2026-12-13, 2026-12-27
 */
export function recurrenceDates(rule: string, from: string, first: string, last: string): string[] {
  if (!isRecurrenceRule(rule) || last < from || last < first) return [];
  const parts = ruleParts(rule);
  const { freq, interval, days } = parts;
  const begin = first < from ? from : first;
  const dates =
    freq === 'DAILY'
      ? dailyDates(interval, from, begin, last)
      : freq === 'WEEKLY'
        ? weeklyDates(interval, days.length > 0 ? days.map(weekdayNumber) : [weekdayOf(from)], from, begin, last)
        : monthlyDates(parts, from, begin, last);
  return [...new Set(dates)].filter((date) => date >= begin && date <= last).sort();
}

/** The weekday of a local date: 1 for Monday to 7 for Sunday. */
export function weekdayOf(date: string): number {
  const [year = 0, month = 1, dayOfMonth = 1] = date.split('-').map(Number);
  return ((new Date(Date.UTC(year, month - 1, dayOfMonth)).getUTCDay() + 6) % 7) + 1;
}

/** The first date on or after another that falls on a weekday (1 Monday … 7 Sunday). */
export const weekdayFrom = (date: string, weekday: number): string =>
  dateAfter(date, (weekday - weekdayOf(date) + 7) % 7);
