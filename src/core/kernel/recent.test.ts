import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Recent } from './recent';

describe('what was kept last', () => {
  it('is there, as it was kept last, and nothing that was kept before so many others', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.tuple(fc.nat(9), fc.nat()), { maxLength: 60 }),
        (most, all) => {
          const recent = new Recent<number, number>(most);
          for (const [n, [key, value]] of all.entries()) {
            recent.keep(key, value);
            const latest = new Map(all.slice(0, n + 1));
            const order = [
              ...new Set(
                all
                  .slice(0, n + 1)
                  .map(([of]) => of)
                  .toReversed(),
              ),
            ];
            for (const of of Array.from({ length: 10 }, (_, k) => k))
              expect(recent.get(of)).toBe(order.slice(0, most).includes(of) ? latest.get(of) : undefined);
          }
        },
      ),
    );
  });
});
