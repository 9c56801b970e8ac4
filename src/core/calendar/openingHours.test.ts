import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type OpenStretch, openingHoursWords, openOn, parseOpeningHours } from './openingHours';

const h = (hour: number, minute = 0) => hour * 60 + minute;
const weekdays = [1, 2, 3, 4, 5];

describe('opening hours as people write them', () => {
  it.each<[string, OpenStretch[]]>([
    ['', []],
    [
      'Mon-Fri 9-18, Sat 10-16',
      [
        { days: weekdays, fromMinute: h(9), toMinute: h(18) },
        { days: [6], fromMinute: h(10), toMinute: h(16) },
      ],
    ],
    ['Tue to Sat 9 am - 5 pm', [{ days: [2, 3, 4, 5, 6], fromMinute: h(9), toMinute: h(17) }]],
    ['9-5', [{ days: [1, 2, 3, 4, 5, 6, 7], fromMinute: h(9), toMinute: h(17) }]],
    ['daily 8:30-20:15', [{ days: [1, 2, 3, 4, 5, 6, 7], fromMinute: h(8, 30), toMinute: h(20, 15) }]],
    ['Sat, Sun 7-12', [{ days: [6, 7], fromMinute: h(7), toMinute: h(12) }]],
    ['weekends 12 - 4 pm', [{ days: [6, 7], fromMinute: h(12), toMinute: h(16) }]],
    ['Fri-Mon 10-14', [{ days: [1, 5, 6, 7], fromMinute: h(10), toMinute: h(14) }]],
    [
      'Wed 9-12; Wed 14-18',
      [
        { days: [3], fromMinute: h(9), toMinute: h(12) },
        { days: [3], fromMinute: h(14), toMinute: h(18) },
      ],
    ],
  ])('“%s”', (text, hours) => {
    expect(parseOpeningHours(text)).toEqual(hours);
  });

  it.each(['whenever', 'Mon 9', 'Mon-Xyz 9-10', 'Mon 18-9 pm pm', 'Mon 25-26', 'Mon', '13 pm - 14'])(
    'does not understand “%s”',
    (text) => {
      expect(parseOpeningHours(text)).toBeNull();
    },
  );

  it('knows the stretches of one day', () => {
    const hours = parseOpeningHours('Wed 14-18, Wed 9-12') ?? [];
    // December 2, 2026 is a Wednesday.
    expect(openOn(hours, '2026-12-02').map(({ fromMinute }) => fromMinute)).toEqual([h(9), h(14)]);
    expect(openOn(hours, '2026-12-03')).toEqual([]);
  });

  it('writes what it reads again', () => {
    const days = fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }).map((list) => list.sort());
    const open = fc
      .tuple(days, fc.integer({ min: 0, max: 700 }), fc.integer({ min: 721, max: 1440 }))
      .map(([list, fromMinute, toMinute]) => ({ days: list, fromMinute, toMinute }));
    fc.assert(
      fc.property(fc.array(open, { maxLength: 4 }), (hours) => {
        expect(parseOpeningHours(openingHoursWords(hours))).toEqual(hours);
      }),
    );
  });
});
