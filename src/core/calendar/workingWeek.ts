import { clockWords, type OpenStretch, openingHoursWords, parseOpeningHours } from './openingHours';

/** Hours of a local day, minutes since midnight. */
interface Hours {
  fromMinute: number;
  toMinute: number;
}

/** A week of hours, Sunday first, from stretches on weekdays. */
export function weekOf(stretches: readonly OpenStretch[]): Hours[][] {
  return Array.from({ length: 7 }, (_, day) =>
    stretches
      .filter(({ days }) => days.includes(day === 0 ? 7 : day))
      .map(({ fromMinute, toMinute }) => ({ fromMinute, toMinute }))
      .sort((a, b) => a.fromMinute - b.fromMinute),
  );
}

/** A week in words that {@link parseWeek} reads again: "Mon–Fri 18:00–20:00; Sat, Sun 10:00–15:00"; "no hours" for none. */
export function weekWords(week: readonly (readonly Hours[])[]): string {
  const days = new Map<string, OpenStretch>();
  for (const day of [1, 2, 3, 4, 5, 6, 7])
    for (const { fromMinute, toMinute } of week[day % 7] ?? []) {
      const key = `${fromMinute} ${toMinute}`;
      const known = days.get(key);
      if (known) known.days.push(day);
      else days.set(key, { days: [day], fromMinute, toMinute });
    }
  return days.size === 0 ? 'no hours' : openingHoursWords([...days.values()]);
}

/** A week as it is typed: "Mon–Fri 18–20, Sat 10–15"; null where it is not understood. */
export function parseWeek(text: string): Hours[][] | null {
  if (/^(?:no hours|none|never|-)?$/i.test(text.trim())) return weekOf([]);
  const stretches = parseOpeningHours(text);
  return stretches === null ? null : weekOf(stretches);
}

/** The hours of one day in words: "18:00–20:00, 21:00–22:00"; "no hours" for none. */
export const dayHoursWords = (hours: readonly Hours[]): string =>
  hours.length === 0
    ? 'no hours'
    : hours.map(({ fromMinute, toMinute }) => `${clockWords(fromMinute)}–${clockWords(toMinute)}`).join(', ');

/** The hours of one day as they are typed: "18–20", "9–12; 14–16", "none"; null where they are not understood. */
export function parseDayHours(text: string): Hours[] | null {
  if (/^(?:no hours|none|off|free|-)?$/i.test(text.trim())) return [];
  const stretches = parseOpeningHours(text.replace(/,/g, ';'));
  return stretches?.every(({ days }) => days.length === 7)
    ? stretches
        .map(({ fromMinute, toMinute }) => ({ fromMinute, toMinute }))
        .sort((a, b) => a.fromMinute - b.fromMinute)
    : null;
}
