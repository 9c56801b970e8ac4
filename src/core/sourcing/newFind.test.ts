import { describe, expect, it } from 'vitest';
import { newFind } from './newFind';
import { readQuickLine } from './quickLine';

const findOf = (line: string) => newFind('find', 'piece', readQuickLine(line, 'USD', 'us'), 'us');

describe('a find from a line', () => {
  // Common practice, no source: what cautions ask about first.
  it.each([
    ['brass table lamp, $9', 'lamp'],
    ['3 pillar candles, $6', 'candle'],
    ['ceramic mug, $1', 'tableware'],
    ['wooden crib, $40', 'toyOrCot'],
    ['rocking horse, $15', 'toyOrCot'],
    ['doll house, $9', 'toyOrCot'],
    ['toy box, pine, $8', 'ordinary'],
    ['pine stool, $12', 'ordinary'],
  ])('“%s” is for cautions: %s', (line, kind) => {
    expect(findOf(line).kind).toBe(kind);
  });

  it('asks for the cord of a lamp, and of nothing else', () => {
    expect([findOf('brass table lamp, $9').cordCondition, findOf('wooden crib, $40').cordCondition]).toEqual([
      'unknown',
      'none',
    ]);
  });
});
