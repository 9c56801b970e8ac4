import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labFromHex } from './lab';
import { paletteFit } from './paletteFit';

const palette = ['#f4efe6', '#2f5d73', '#b6763f'].map(labFromHex);

describe('a color against a palette', () => {
  it.each([
    ['#2d5a72', 'fits'],
    ['#b07040', 'fits'],
    ['#ff00aa', 'clashes'],
    ['#39ff14', 'clashes'],
    ['#000000', null],
    ['#808080', null],
  ])('%s', (hex, fit) => {
    expect(paletteFit(labFromHex(hex), palette)).toBe(fit);
  });
  it('says nothing without a palette', () => {
    expect(paletteFit(labFromHex('#ff00aa'), [])).toBeNull();
  });
  it('never clashes with a palette that it is part of, and more colors never make it clash', () => {
    const color = fc.record({
      L: fc.integer({ min: 0, max: 100 }),
      a: fc.integer({ min: -80, max: 80 }),
      b: fc.integer({ min: -80, max: 80 }),
    });
    fc.assert(
      fc.property(color, fc.array(color, { maxLength: 6 }), (own, others) => {
        expect(paletteFit(own, [...others, own])).toBe('fits');
        if (others.length > 1 && paletteFit(own, others.slice(1)) !== 'clashes')
          expect(paletteFit(own, others)).not.toBe('clashes');
      }),
    );
  });
});
