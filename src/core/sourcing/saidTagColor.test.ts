import { describe, expect, it } from 'vitest';
import { readPatternLine } from './patternLine';
import { saidTagColor } from './saidTagColor';

const patterns = ['half off blue tags', '30 % off, tags by turns: Red, green from Monday', '25 % off frames'].map(
  (line) => {
    const pattern = readPatternLine(line, '2026-06-01');
    if (!pattern) throw new Error(`“${line}” is not understood`);
    return pattern;
  },
);

describe('the color of a tag, as a line says it', () => {
  it.each([
    ['pine ledge, $9, blue tag', 'blue'],
    ['lamp, Green sticker, $4', 'green'],
    ['bowl, $2, red colored label', 'red'],
    ['blue chair, price tag torn, green tag', 'green'],
  ])('%s', (line, color) => {
    expect(saidTagColor(line, patterns)).toBe(color);
  });

  it.each(['blue chair, $9', 'bowl, yellow tag', 'a tag, blue', 'blue tagging kit', ''])('says nothing: %s', (line) => {
    expect(saidTagColor(line, patterns)).toBeNull();
  });

  it('asks for a rule of the shop', () => {
    expect(saidTagColor('pine ledge, blue tag', [])).toBeNull();
  });
});
