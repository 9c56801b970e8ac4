import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hexFromLab, labFromHex } from '../../color/lab';
import { lab } from './surface';

const hexOf = (n: number) => `#${n.toString(16).padStart(6, '0')}`;

describe('a color that a screen can show', () => {
  it.each(['#ffffff', '#000000', '#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff', '#ff00ff'])(
    '%s can be kept as it is',
    (hex) => {
      expect(lab.safeParse(labFromHex(hex)).success).toBe(true);
      expect(hexFromLab(labFromHex(hex))).toBe(hex);
    },
  );
  it('can be kept, whichever of the 16,777,216 it is, and comes back as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        expect(lab.safeParse(labFromHex(hexOf(n))).success).toBe(true);
        expect(hexFromLab(labFromHex(hexOf(n)))).toBe(hexOf(n));
      }),
      { numRuns: 2000 },
    );
  });
});
