import { describe, expect, it } from 'vitest';
import { plainStory } from '../pricing/priceStory';
import { receiptOf } from '../pricing/receipt';
import { readQuickLine } from './quickLine';

const read = (line: string) => readQuickLine(line, 'USD', 'us');

describe('prices as shops and people say them', () => {
  it.each<[string, number, number]>([
    ['vase, a few dollars', 300, 700],
    ['old jug for a couple of bucks', 200, 300],
    ['basket, next to nothing', 0, 200],
  ])('“%s” is a range and stays one', (line, low, high) => {
    const { tag, name } = read(line);
    expect(tag).toEqual({ state: 'stated', low, high });
    expect(name.length).toBeGreaterThan(2);
    const total = receiptOf(plainStory(tag ?? { state: 'unknown' }), 'USD', {
      percentThousandths: 0,
      included: false,
    }).total;
    expect([total.low, total.high]).toEqual([low, high]);
  });

  it.each([
    ['3 frames $4 each, buy 2 get 1 free', { kind: 'buyGet', buy: 2, free: 1 }],
    ['6 glasses at $2, 3 for the price of 2', { kind: 'buyGet', buy: 2, free: 1 }],
    ['2 candles $5 each, second at half price', { kind: 'secondLess', percentThousandths: 50_000 }],
  ])('“%s”', (line, expected) => {
    expect(read(line).lines).toEqual([expected]);
  });

  it('keeps “half off” what it is', () => {
    expect(read('nightstand, $12, half off').lines).toEqual([{ kind: 'markdown', percentThousandths: 50_000 }]);
  });
});
