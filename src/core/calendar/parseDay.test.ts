import { describe, expect, it } from 'vitest';
import { parseDay } from './parseDay';

// November 28, 2026 is a Saturday.
const today = '2026-11-28';

describe('a day as people say it', () => {
  it.each([
    ['2026-12-03', '2026-12-03'],
    ['Dec 3', '2026-12-03'],
    ['December 3rd', '2026-12-03'],
    ['3 Dec', '2026-12-03'],
    ['Dec. 3, 2027', '2027-12-03'],
    ['Jan 5', '2027-01-05'],
    ['Nov 28', '2026-11-28'],
    ['Nov 27', '2027-11-27'],
    ['Feb 29', '2028-02-29'],
    ['today', '2026-11-28'],
    ['tomorrow', '2026-11-29'],
    ['Sunday', '2026-11-29'],
    ['Saturday', '2026-11-28'],
    ['next Saturday', '2026-12-05'],
    ['tue', '2026-12-01'],
  ])('reads “%s” on a Saturday, November 28', (text, date) => {
    expect(parseDay(text, today)).toBe(date);
  });

  it.each(['', 'soon', 'Feb 30', '2026-02-30', '31 Foo', '12', 'ma'])('reads no day in “%s”', (text) => {
    expect(parseDay(text, today)).toBeNull();
  });
});
