import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength } from './formatLength';
import { parseSizeRange } from './sizeWords';

const inches = (text: string, things: { name: string; sizeMm: number }[] = []) => {
  const read = parseSizeRange(text, 'us', things);
  if (!read.ok) return read.findings[0]?.code ?? 'refused';
  const show = (mm: number | null) => (mm === null ? null : Math.round((mm / 25.4) * 1000) / 1000);
  return [show(read.value.minimumMm), show(read.value.maximumMm)];
};

describe('a size as people say it', () => {
  it.each<[string, [number | null, number | null]]>([
    ['', [null, null]],
    ['18', [null, 18]],
    ['18 1/2', [null, 18.5]],
    ['at most 27', [null, 27]],
    ['under 27 in', [null, 27]],
    ['at least 24', [24, null]],
    ['24 to 27', [24, 27]],
    ['24-27 in', [24, 27]],
    ['24 1/2 – 26 3/4', [24.5, 26.75]],
    ["2' 1\" to 3'", [25, 36]],
    ['about 20', [18, 22]],
    ['knee high', [18, 22]],
    ['hand high', [6.5, 8]],
    ['a hand', [6.5, 8]],
    ['counter height', [34, 42]],
  ])('“%s” is %j in', (text, expected) => expect(inches(text)).toEqual(expected));

  it('reads centimeters with their unit said once', () => {
    const read = parseSizeRange('60 to 70 cm', 'us');
    expect(read.ok && read.value).toEqual({ minimumMm: 600, maximumMm: 700 });
  });

  it('compares with things that are named and measured', () => {
    const lamp = [{ name: 'Reading lamp', sizeMm: 381 }];
    expect(inches('taller than the lamp', lamp)).toEqual([15, null]);
    expect(inches('lower than our reading lamp', lamp)).toEqual([null, 15]);
    expect(inches('shorter than 20 in')).toEqual([null, 20]);
    expect(inches('taller than the wardrobe', lamp)).toBe('size.unknownThing');
  });

  it.each(['wide', '27 to 24', 'at most tall', '12 bananas'])('refuses “%s” with an example', (text) => {
    const read = parseSizeRange(text, 'us');
    expect(read.ok).toBe(false);
    if (!read.ok)
      expect(read.findings[0]?.figures).toMatchObject({ text, example: expect.stringContaining('24 to 27') });
  });

  it('reads back what is shown of a range', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 0, max: 900 }), (sixteenths, more) => {
        const from = (sixteenths * 25.4) / 16;
        const to = ((sixteenths + more) * 25.4) / 16;
        const read = parseSizeRange(`${formatLength(from, 'us', false)} to ${formatLength(to, 'us')}`, 'us');
        expect(read.ok).toBe(true);
        if (read.ok) {
          expect(read.value.minimumMm).toBeCloseTo(from, 6);
          expect(read.value.maximumMm).toBeCloseTo(to, 6);
        }
      }),
    );
  });
});
