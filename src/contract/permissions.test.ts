import { describe, expect, it } from 'vitest';
import { roles, worksAt } from './permissions';

describe('the pages of a project', () => {
  it.each(['hunt', 'hunt/card', 'list', 'balance/list', 'bench', 'bench/step'])('%s is work of everybody', (path) => {
    expect(roles.map((role) => worksAt(role, path))).toEqual([true, true, true]);
  });

  it.each(['', 'brief', 'compare', 'balance', 'balance/listing', 'hunting', 'makeover/x', 'assumptions', 'x/hunt'])(
    '“%s” is none of a helper’s',
    (path) => {
      expect(roles.map((role) => worksAt(role, path))).toEqual([true, true, false]);
    },
  );
});
