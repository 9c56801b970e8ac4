import { describe, expect, it } from 'vitest';
import { asTemplateAsks } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
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

  // What is called wide and tall has another name in some kinds; nothing that was said is lost.
  it.each([
    ['blue vase, 5 in wide, 12 in tall, $4', 'widestMm', 5],
    ['blue vase, 5 in wide, 12 in tall, $4', 'heightMm', 12],
    ['oak framed mirror, 24 in wide, 30 in tall, $12', 'widthMm', 24],
    ['brass lamp, 7 in wide, 16 in tall, $9', 'heightMm', 16],
    ['dinner plate, 10 in wide, $1', 'widthMm', 10],
    ['white curtain, 84 in long, $6', 'heightMm', 84],
    ['table runner, 14 in wide, 90 in long, $4', 'widthMm', 14],
    ['table runner, 14 in wide, 90 in long, $4', 'depthMm', 90],
    ['table runner, 90 in long, $4', 'depthMm', 90],
    ['wool rug, 60 in by 96 in, $30', 'widthMm', 60],
    ['wool rug, 60 in by 96 in, $30', 'depthMm', 96],
    ['pine bench, 48 in long, $20', 'widthMm', 48],
  ])('“%s” has its %s of %d in', (line, measure, inches) => {
    expect(findOf(line).measures[measure]).toBeCloseTo(inches * 25.4, 3);
  });

  it('is as wide and as tall as was said, whatever its kind', () => {
    for (const template of furnitureTemplates.all) {
      const { width, height } = template.overall;
      const asked = asTemplateAsks(template, { widthMm: 321, heightMm: 432, depthMm: 123, nonsense: 1 });
      const ids = template.measures.map(({ id }) => id);
      if (width !== null) expect([template.id, asked[width]]).toEqual([template.id, 321]);
      if (height !== width) expect([template.id, asked[height]]).toEqual([template.id, 432]);
      expect(Object.keys(asked).filter((id) => !ids.includes(id))).toEqual([]);
    }
  });
});
