import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MOST_NAME, nextName } from './nextName';

describe('the name of what comes after', () => {
  it('counts on instead of saying it twice', () => {
    const names = ['Hall'];
    for (let n = 0; n < 3; n += 1) names.push(nextName(names.at(-1) ?? '', 'next season'));
    expect(names).toEqual(['Hall', 'Hall, next season', 'Hall, next season 2', 'Hall, next season 3']);
    expect(nextName('Hall, next season', 'copy')).toBe('Hall, next season, copy');
    expect(nextName('Mara, copy shop', 'copy')).toBe('Mara, copy shop, copy');
  });

  it('is another one each time, no longer than it may be, and says what it is', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: MOST_NAME }), (first) => {
        const seen = new Set([first]);
        let name = first;
        for (let n = 0; n < 12; n += 1) {
          name = nextName(name, 'copy');
          expect(name.length).toBeLessThanOrEqual(MOST_NAME);
          expect(name).toMatch(/, copy(?: \d+)?$/);
          seen.add(name);
        }
        expect(seen.size).toBe(13);
      }),
    );
  });
});
