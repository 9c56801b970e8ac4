import { describe, expect, it } from 'vitest';
import { worksAt } from './permissions';

describe('the pages of a project', () => {
  it.each(['hunt', 'hunt/card', 'list', 'balance/list', 'bench', 'bench/step'])('%s is work of everybody', (path) => {
    expect(['owner', 'stylist', 'helper'].map((role) => worksAt(role as never, path))).toEqual([true, true, true]);
  });

  it.each(['', 'brief', 'compare', 'balance', 'balance/listing', 'hunting', 'makeover/x', 'assumptions', 'x/hunt'])(
    '“%s” is none of a helper’s',
    (path) => {
      expect(['owner', 'stylist', 'helper'].map((role) => worksAt(role as never, path))).toEqual([true, true, false]);
    },
  );
});
