import { describe, expect, it } from 'vitest';
import { parseNumber, parseVolume, parseWeight } from './parseQuantity';

describe('weights and volumes as people write them', () => {
  // NIST SP 811, Appendix B.8 (from memory): lb → 4.535924 E−01 kg, oz → 2.834952 E−02 kg, gal (US) → 3.785412 E+00 L,
  // qt (US liquid) → 9.463529 E−01 L, pt (US liquid) → 4.731765 E−01 L, fl oz (US) → 2.957353 E+01 mL.
  it.each([
    ['1 lb', 453.5924],
    ['1 oz', 28.34952],
    ['2.5 kg', 2500],
    ['750', 750],
  ])('weighs %s', (text, grams) => {
    expect(parseWeight(text, 'g')).toBeCloseTo(grams, 4);
  });
  it.each([
    ['1 gal', 3785.412],
    ['1 qt', 946.3529],
    ['1 pt', 473.1765],
    ['1 fl oz', 29.57353],
    ['1/2 quart', 473.1765],
    ['0,75 l', 750],
    ['25 cl', 250],
    ['12', 12],
  ])('measures %s', (text, milliliters) => {
    expect(parseVolume(text, 'ml')).toBeCloseTo(milliliters, 3);
  });
  it('gives nothing for what is no quantity', () => {
    for (const text of ['', 'some', '3 stones', '-2 kg', '1/0 lb']) expect(parseWeight(text, 'kg')).toBeNull();
    expect(parseVolume('a cup', 'ml')).toBeNull();
    expect(parseNumber('1 1/2')).toBe(1.5);
    expect(parseNumber('12e3')).toBeNull();
  });
});
