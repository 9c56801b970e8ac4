import { describe, expect, it } from 'vitest';
import { chanceShort, shortWords } from './chanceShort';

const chalk = { low: 7.4, usual: 9.82, high: 13 };

describe('the chance that a can does not reach', () => {
  it('is about even where the can just holds the need, and none with half as much again', () => {
    expect(chanceShort(chalk, 473, 473)).toBeGreaterThan(0.4);
    expect(chanceShort(chalk, 473, 473)).toBeLessThan(0.6);
    // 473 × 9.82 ÷ 7.4 = 628: the most that the need can come to.
    expect(chanceShort(chalk, 473, 628)).toBeLessThan(1e-6);
    expect(chanceShort(chalk, 473, 300)).toBe(1);
    expect(chanceShort(chalk, 0, 0)).toBe(0);
  });
  it('falls as there is more', () => {
    const chances = [430, 473, 500, 560, 620].map((have) => chanceShort(chalk, 473, have));
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
  });
  it('is said in words, or not at all', () => {
    expect([0.01, 0.06, 0.3, 0.52, 1].map(shortWords)).toEqual([
      null,
      'may not do: 1 in 17',
      'may not do: 3 in 10',
      'is likely short: 5 in 10',
      'is likely short: 9 in 10',
    ]);
  });
});
