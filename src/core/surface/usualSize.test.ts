import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usualSize } from './usualSize';
import { usualSizes } from './usualSizes.data';

const IN = 25.4;
const inInches = (name: string, known: Parameters<typeof usualSize>[1] = {}) => {
  const size = usualSize(name, known);
  return size && [size.widthMm, size.heightMm, size.depthMm].map((mm) => Math.round(mm / IN));
};

describe('how large a thing usually is', () => {
  it('goes by the last word that says what it is, the longest that ends there', () => {
    expect(inInches('Grandmother’s wall clock')).toEqual([14, 14, 2]);
    expect(inInches('two mantel clocks')).toEqual([8, 9, 4]);
    expect(inInches('old dining chair with arms')).toEqual([18, 36, 20]);
    expect(inInches('Something')).toBeNull();
  });

  it('furniture is as high as it is however wide; all else keeps its proportions', () => {
    expect(inInches('desk', { widthMm: 60 * IN })).toEqual([60, 30, 24]);
    expect(inInches('wall clock', { widthMm: 28 * IN })).toEqual([28, 28, 4]);
    expect(inInches('pumpkin', { heightMm: 4 * IN })).toEqual([5, 4, 5]);
  });

  it('is never other than what was measured, and never nothing', () => {
    const side = fc.option(fc.integer({ min: 1, max: 4000 }), { nil: undefined });
    fc.assert(
      fc.property(fc.constantFrom(...usualSizes), side, side, side, ({ words }, widthMm, heightMm, depthMm) => {
        const known = Object.fromEntries(
          Object.entries({ widthMm, heightMm, depthMm }).filter(([, value]) => value !== undefined),
        );
        const size = usualSize(words[0] ?? '', known);
        expect(size).toMatchObject(known);
        for (const value of Object.values(size ?? {})) expect(value).toBeGreaterThan(0);
      }),
    );
  });

  it('no word stands twice; each row has three sides', () => {
    const words = usualSizes.flatMap((row) => row.words);
    expect(words.filter((word, n) => words.indexOf(word) !== n)).toEqual([]);
    for (const { wide, high, deep, words: of } of usualSizes)
      expect([of[0], wide > 0 && high > 0 && deep > 0]).toEqual([of[0], true]);
  });
});
