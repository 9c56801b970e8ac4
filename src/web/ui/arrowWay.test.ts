import { describe, expect, it } from 'vitest';
import { arrowWay } from './arrowWay';

describe('where an arrow key points', () => {
  it('is one step, opposite keys taking each other back', () => {
    const [left, right, up, down] = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'].map(arrowWay);
    expect(right).toEqual([1, 0]);
    expect(down).toEqual([0, 1]);
    for (const [one, other] of [
      [left, right],
      [up, down],
    ] as const)
      for (const axis of [0, 1]) expect((one?.[axis] ?? 9) + (other?.[axis] ?? 9)).toBe(0);
  });

  it('is nowhere for any other key', () => {
    for (const key of ['Enter', 'a', '', 'arrowleft', 'Home']) expect(arrowWay(key)).toBeNull();
  });
});
