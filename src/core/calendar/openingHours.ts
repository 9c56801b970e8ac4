import { placeOfName, weekdayNames } from './dayNames';
import { weekdayOf } from './recurrence';

/** A stretch of the day on which a place is open, on some weekdays (1 Monday … 7 Sunday); minutes since midnight. */
export interface OpenStretch {
  days: number[];
  fromMinute: number;
  toMinute: number;
}

const MINUTES_OF_DAY = 1440;

/** The stretches of one local day, in order; none where it is closed. */
export function openOn(hours: readonly OpenStretch[], date: string): { fromMinute: number; toMinute: number }[] {
  const weekday = weekdayOf(date);
  return hours
    .filter(({ days }) => days.includes(weekday))
    .map(({ fromMinute, toMinute }) => ({ fromMinute, toMinute }))
    .sort((a, b) => a.fromMinute - b.fromMinute);
}

function minuteOf(text: string): number | null {
  const match = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm|a|p)?$/i.exec(text.trim());
  if (!match) return null;
  const [hour, minute] = [Number(match[1]), Number(match[2] ?? 0)];
  const half = match[3]?.toLowerCase()[0];
  const inDay = half === 'p' && hour < 12 ? hour + 12 : half === 'a' && hour === 12 ? 0 : hour;
  return hour > 24 ||
    minute > 59 ||
    (half !== undefined && (hour < 1 || hour > 12)) ||
    inDay * 60 + minute > MINUTES_OF_DAY
    ? null
    : inDay * 60 + minute;
}

function daysOf(text: string): number[] | null {
  if (/^(?:daily|every day|all week|)$/i.test(text.trim())) return [1, 2, 3, 4, 5, 6, 7];
  if (/^weekdays$/i.test(text.trim())) return [1, 2, 3, 4, 5];
  if (/^weekends?$/i.test(text.trim())) return [6, 7];
  const days: number[] = [];
  for (const part of text.split(/\s*(?:,|and|&)\s*/i)) {
    const ends = part.split(/\s*(?:-|–|to)\s*/i).map((word) => placeOfName(weekdayNames, word.trim()) + 1);
    const [from = 0, to = from] = ends;
    if (ends.length > 2 || from === 0 || to === 0) return null;
    // "Fri-Mon" goes on over the end of the week.
    for (let day = from; ; day = (day % 7) + 1) {
      if (!days.includes(day)) days.push(day);
      if (day === to) break;
    }
  }
  return days.sort((a, b) => a - b);
}

const time = String.raw`\d{1,2}(?:[:.]\d{2})?\s*(?:am|pm|a|p)?`;
const stretch = new RegExp(String.raw`^(?<days>[^\d]*?)\s*(?<from>${time})\s*(?:-|–|to)\s*(?<to>${time})$`, 'i');

/**
 * Opening hours as people write them: "Mon-Fri 9-18, Sat 10-16", "Tue to Sat 9 am - 5 pm", "daily 8-20", "Sat, Sun 7-12".
 * Stretches are separated by semicolons, line breaks, or commas before a weekday.
 * @returns null where a part is not understood; nothing at all is no hours known
 */
export function parseOpeningHours(text: string): OpenStretch[] | null {
  const hours: OpenStretch[] = [];
  let waiting = '';
  for (const part of text.split(/[;\n,]/)) {
    const said = `${waiting}${waiting === '' ? '' : ', '}${part.trim()}`;
    if (said === '') continue;
    const match = stretch.exec(said);
    if (!match) {
      // "Sat, Sun 7-12": a weekday without its hours waits for them.
      if (daysOf(said) === null) return null;
      waiting = said;
      continue;
    }
    waiting = '';
    const { days = '', from = '', to = '' } = match.groups ?? {};
    const [weekdays, fromMinute, end] = [daysOf(days), minuteOf(from), minuteOf(to)];
    if (weekdays === null || fromMinute === null || end === null) return null;
    // "9 - 5" means five in the afternoon.
    const isAfternoon = end <= fromMinute && end <= MINUTES_OF_DAY / 2 && !/[ap]m?$/i.test(to.trim());
    const toMinute = isAfternoon ? end + MINUTES_OF_DAY / 2 : end;
    if (toMinute <= fromMinute) return null;
    hours.push({ days: weekdays, fromMinute, toMinute });
  }
  return waiting === '' ? hours : null;
}

/** A minute of the day as a clock shows it: 9:00, 17:30. */
export const clockWords = (minute: number): string =>
  `${Math.floor(minute / 60)}:${String(Math.round(minute % 60)).padStart(2, '0')}`;

const shortName = (day: number) => (weekdayNames[day - 1] ?? '').slice(0, 3);

function daysWords(days: readonly number[]): string {
  if (days.length === 7) return 'daily';
  const runs: number[][] = [];
  for (const day of days) {
    const last = runs.at(-1);
    if (last && day === (last.at(-1) ?? 0) + 1) last.push(day);
    else runs.push([day]);
  }
  return runs
    .map((run) =>
      run.length > 2 ? `${shortName(run[0] ?? 1)}–${shortName(run.at(-1) ?? 1)}` : run.map(shortName).join(', '),
    )
    .join(', ');
}

/** Opening hours in words that {@link parseOpeningHours} reads again: "Mon–Fri 9:00–18:00; Sat 10:00–16:00". */
export function openingHoursWords(hours: readonly OpenStretch[]): string {
  return hours
    .map(({ days, fromMinute, toMinute }) => `${daysWords(days)} ${clockWords(fromMinute)}–${clockWords(toMinute)}`)
    .join('; ');
}
