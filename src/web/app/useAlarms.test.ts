import { MS_PER_MINUTE } from '@core/kernel/units';
import type { NamedDrying } from '@core/schedule/dryingOfRuns';
import { describe, expect, it } from 'vitest';
import { alarmsOf } from './useAlarms';

const stool: NamedDrying = {
  taskId: 'coat 1',
  title: 'Teal, coat 1 of 2',
  rowId: 'stool',
  rowName: 'Pine stool',
  touch: 60,
  next: { title: 'Teal, coat 2 of 2', from: 240, until: null },
  handle: 960,
};

describe('what is told of what dries', () => {
  it('names the piece, in the order in which it comes about', () => {
    const hamper = { ...stool, taskId: 'coat 2', rowName: 'Hamper', touch: 90, next: null, handle: 300 };
    expect(alarmsOf([stool, hamper]).map(({ atMs, words }) => [atMs / MS_PER_MINUTE, words])).toEqual([
      [60, 'Pine stool, teal, coat 1 of 2: dry to touch'],
      [90, 'Hamper, teal, coat 1 of 2: dry to touch'],
      [240, 'Pine stool: teal, coat 2 of 2 may begin'],
      [300, 'Hamper, teal, coat 1 of 2: may be handled'],
      [960, 'Pine stool, teal, coat 1 of 2: may be handled'],
    ]);
  });

  it('is known by what it is of, so that it is told once however often it is worked out', () => {
    const ids = alarmsOf([stool]).map(({ id }) => id);
    expect(new Set(ids).size).toBe(3);
    expect(alarmsOf([{ ...stool }]).map(({ id }) => id)).toEqual(ids);
  });
});
