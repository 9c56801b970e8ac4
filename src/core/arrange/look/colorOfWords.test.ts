import { hexFromLab } from '@core/color/lab';
import { describe, expect, it } from 'vitest';
import { colorOfWords } from './colorOfWords';

describe('the color that a described thing is drawn in', () => {
  it.each([
    ['blue vase', '#2f5f9e'],
    ['pale blue jug', '#add8e6'],
    ['brass lamp', '#b08d3c'],
    ['dried eucalyptus stems', '#c2a878'],
    ['fir branches', '#5d7a4a'],
    ['black iron lantern', '#000000'],
  ])('%s', (words, hex) => {
    const found = colorOfWords(words);
    expect(found && hexFromLab(found)).toBe(hex);
  });

  it('is that of its material where its name says nothing, and unknown where nobody knows', () => {
    expect(colorOfWords('small box', 'pine')).not.toBeNull();
    expect(colorOfWords('something round')).toBeNull();
  });
});
