import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contrast, readableOn } from './contrast';
import { hexFromLab } from './lab';

describe('contrast (WCAG 2.1; values computed from its formula)', () => {
  it.each([
    ['#000000', '#ffffff', 21],
    ['#767676', '#ffffff', 4.5422],
    ['#777777', '#ffffff', 4.4781],
    ['#595959', '#ffffff', 7.0047],
    ['#0000ff', '#ffffff', 8.5925],
    ['#ff0000', '#ffffff', 3.9985],
    ['#008000', '#ffffff', 5.1374],
    ['#ffff00', '#ffffff', 1.0738],
    ['#808080', '#000000', 5.3172],
    ['#757575', '#000000', 4.5578],
  ])('%s on %s is %d', (one, other, expected) => expect(contrast(one, other)).toBeCloseTo(expected, 4));
  it('black or white reads on any color at 4.5 to 1 and more', () => {
    const channel = fc.double({ min: -80, max: 80, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), channel, channel, (L, a, b) => {
        expect(contrast(readableOn({ L, a, b }), hexFromLab({ L, a, b }))).toBeGreaterThanOrEqual(4.5);
      }),
    );
  });
});
