/** Names of the weekdays, Monday first. */
export const weekdayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** Names of the months. */
export const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/**
 * Which of some names a word means: the whole name, its plural, or its first three letters and more.
 * @returns its place in the list, counted from 0, or -1
 */
export function placeOfName(names: readonly string[], word: string): number {
  const said = word.toLowerCase().replace(/\.$/, '');
  return names.findIndex((name) => {
    const whole = name.toLowerCase();
    return said === `${whole}s` || (said.length >= 3 && whole.startsWith(said.replace(/(.{3,})s$/, '$1')));
  });
}
