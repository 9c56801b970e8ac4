import { describe, expect, it } from 'vitest';
import { Memo } from './memo';

let made = 0;
const sum = (of: { numbers: readonly number[]; factor: number }) => {
  made += 1;
  return { value: of.numbers.reduce((a, b) => a + b, 0) * of.factor };
};
const difference = (of: { numbers: readonly number[]; factor: number }) => ({ value: -sum(of).value });
const countWays = ({ ways }: { ways: readonly (readonly [object, number])[] }) => ({ value: ways.length });

describe('a memo', () => {
  it('gives the very same part while its inputs are the same, lists compared item by item', () => {
    const memo = new Memo();
    made = 0;
    const first = memo.part(sum, 'a', { numbers: [1, 2], factor: 3 });
    expect(first).toEqual({ value: 9 });
    expect(memo.part(sum, 'a', { numbers: [1, 2], factor: 3 })).toBe(first);
    expect(made).toBe(1);
  });

  it.each([
    ['another factor', { numbers: [1, 2], factor: 4 }, 12],
    ['another item', { numbers: [1, 3], factor: 3 }, 12],
    ['a shorter list', { numbers: [1], factor: 3 }, 3],
    ['a longer list', { numbers: [1, 2, 3], factor: 3 }, 18],
    ['the items turned round', { numbers: [2, 1], factor: 3 }, 9],
  ])('makes it anew for %s', (_what, inputs, value) => {
    const memo = new Memo();
    const first = memo.part(sum, 'a', { numbers: [1, 2], factor: 3 });
    const second = memo.part(sum, 'a', inputs);
    expect(second).not.toBe(first);
    expect(second).toEqual({ value });
  });

  it('keeps parts of one key apart by what makes them, and parts of one kind by their key', () => {
    const memo = new Memo();
    const inputs = { numbers: [5], factor: 1 };
    expect(memo.part(sum, 'a', inputs).value).toBe(5);
    expect(memo.part(difference, 'a', inputs).value).toBe(-5);
    expect(memo.part(sum, 'b', { numbers: [6], factor: 1 }).value).toBe(6);
    expect(memo.part(sum, 'a', inputs).value).toBe(5);
  });

  it('compares lists of lists by what stands in them', () => {
    const memo = new Memo();
    const row = { id: 'x' };
    const of = (ways: readonly (readonly [object, number])[]) => memo.part(countWays, 'a', { ways });
    const first = of([[row, 1]]);
    expect(of([[row, 1]])).toBe(first);
    expect(of([[row, 2]])).not.toBe(first);
    expect(of([[{ id: 'x' }, 2]])).not.toBe(of([[row, 2]]));
  });

  it('compares objects as such: an equal one is another', () => {
    const memo = new Memo();
    const of = (row: { id: string }) => memo.part((inputs: { row: { id: string } }) => [inputs.row.id], 'a', { row });
    expect(of({ id: 'x' })).not.toBe(of({ id: 'x' }));
  });

  it('puts what is equal back to the old object where it is told how', () => {
    const memo = new Memo();
    const keep = (before: { value: number }, now: { value: number }) => (before.value === now.value ? before : now);
    const first = memo.part(sum, 'a', { numbers: [1, 2], factor: 3 }, keep);
    expect(memo.part(sum, 'a', { numbers: [3], factor: 3 }, keep)).toBe(first);
    expect(memo.part(sum, 'a', { numbers: [4], factor: 3 }, keep)).toEqual({ value: 12 });
  });
});
