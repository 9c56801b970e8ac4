import { describe, expect, it } from 'vitest';
import type { DiscountPattern } from '../pricing/discountPattern';
import { readPatternLine } from './patternLine';
import { chipWords, nextBeginning, patternWords } from './patternWords';

// November 28, 2026 is a Saturday.
const today = '2026-11-28';
const read = (line: string): DiscountPattern => {
  const said = readPatternLine(line, today);
  if (!said) throw new Error(`not read: ${line}`);
  return { id: 'pattern', ...said };
};

describe('a discount as a person says it', () => {
  it.each([
    ['blue tags half off this week', 'half off blue tags, this week'],
    ['frames half off every other week, next from Sunday', 'half off frames, every other week, next from tomorrow'],
    [
      'frames 40 % off in alternate weeks',
      '40 % off frames, every other week, now until tomorrow, next from Mon, Dec 7',
    ],
    ['25 % off on Tuesdays', '25 % off everything, on Tuesdays'],
    ['10 percent off every Wednesday', '10 % off everything, on Wednesdays'],
    ['20% off furniture on Mondays and Thursdays', '20 % off furniture, on Mondays and Thursdays'],
    ['half price on weekends', 'half off everything, on Saturdays and Sundays'],
    ['half off every other Saturday', 'half off everything, every other Saturday, today, next Sat, Dec 12'],
    [
      'everything 10 % off first Saturday of the month, on top',
      '10 % off everything, on the first Saturday of the month, next Sat, Dec 5, on top of others',
    ],
    ['linens 30% off last Friday of the month', '30 % off linens, on the last Friday of the month, next Fri, Dec 25'],
    [
      'half off on the 1st and 15th of the month',
      'half off everything, on the 1st and 15th of the month, next Tuesday',
    ],
    ['florals 40% off until Dec 3', '40 % off florals, until Thursday'],
    ['50 % off Nov 27 to Nov 30', 'half off everything, yesterday to Monday'],
    ['red tag 75% off today', '75 % off red tags, today'],
    ['half off Sunday', 'half off everything, tomorrow'],
    ['a third off lamps', '33.3 % off lamps'],
    ['members 5% off always, on top', '5 % off members, on top of others'],
    [
      'half off, tags by turns: blue, green, red from Monday',
      'half off tags by turns (blue, green, red, a week each, from Monday)',
    ],
    [
      'one color of the week: blue, green, yellow, half off',
      'half off blue tags now, tags by turns (blue, green, yellow, a week each)',
    ],
    [
      'tags by turns: pink, white, orange, a week each, half off',
      'half off pink tags now, tags by turns (pink, white, orange, a week each)',
    ],
    [
      'half off colored tags rotating weekly: pink, white and orange',
      'half off pink tags now, tags by turns (pink, white, orange, a week each)',
    ],
    [
      'tag color changes every Sunday: pink, blue, green, 50 % off',
      'half off pink tags now, tags by turns (pink, blue, green, a week each)',
    ],
    [
      'tags rotate every 3 days, red, then blue, then white, 30 % off',
      '30 % off red tags now, tags by turns (red, blue, white, 3 days each)',
    ],
    ['clearance 30, 50, 75 % from Dec 26', 'clearance: everything 30 % from Dec 26, 50 % from Jan 2, 75 % from Jan 9'],
    [
      'closing sale: 30 % from Dec 1, 50 % from Dec 8, 70 % from Dec 15 until Dec 24',
      'closing sale: everything 30 % from Dec 1, 50 % from Dec 8, 70 % from Dec 15, until Dec 24',
    ],
  ])('“%s” is “%s”', (line, words) => {
    expect(patternWords(read(line), today)).toBe(words);
  });

  it.each(['', 'free coffee', 'open late on Fridays', '0 % off', '150 % off'])('“%s” takes nothing off', (line) => {
    expect(readPatternLine(line, today)).toBeNull();
  });

  it('knows the next time', () => {
    expect(nextBeginning(read('frames half off every other week, next from Sunday'), today)).toBe('2026-11-29');
    expect(nextBeginning(read('clearance 30, 50 % from Dec 26'), '2026-12-27')).toBe('2027-01-02');
    expect(nextBeginning(read('half off until Dec 1'), '2026-12-05')).toBeNull();
    expect(nextBeginning(read('half off today'), '2026-11-29')).toBeNull();
  });

  it('is short on a chip', () => {
    const chip = (line: string, day = today) => chipWords({ pattern: read(line), percentThousandths: 50_000 }, day);
    expect(chip('blue tags half off this week')).toBe('blue tags −50 %');
    expect(chip('half off, tags by turns: blue, green, red from Monday', '2026-12-08')).toBe('green tags −50 %');
    expect(chip('frames half off')).toBe('frames −50 %');
    expect(chip('half off')).toBe('−50 %');
  });
});
