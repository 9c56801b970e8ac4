import { describe, expect, it } from 'vitest';
import { corpusScore } from '../fixtures/corpusScore';
import { type CorpusLine, laterLines, quickLineCorpus } from '../fixtures/quickLineCorpus';

const only = (heldOut: boolean) => quickLineCorpus.filter((line) => line.heldOut === heldOut);

describe('lines as people type them', () => {
  it('are at least two hundred, a third of them held out', () => {
    expect(quickLineCorpus.length).toBeGreaterThanOrEqual(200);
    expect(only(true).length).toBe(Math.floor(quickLineCorpus.length / 3));
  });
  it.each<[string, readonly CorpusLine[]]>([
    ['seen while the reader was written', only(false)],
    ['held out', only(true)],
    ['written later', laterLines],
  ])('%s: 95 % of prices and counts and 90 % of kinds are right', (_words, lines) => {
    const score = corpusScore(lines);
    expect(score.price, score.wrong.join('\n')).toBeGreaterThanOrEqual(0.95);
    expect(score.count, score.wrong.join('\n')).toBeGreaterThanOrEqual(0.95);
    expect(score.kind, score.wrong.join('\n')).toBeGreaterThanOrEqual(0.9);
  });
});
