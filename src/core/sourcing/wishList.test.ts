import { describe, expect, it } from 'vitest';
import type { WishRow } from '../model/rows';
import { wishList, wishWords } from './wishList';

const wish = (id: string, change: Partial<WishRow> = {}): WishRow => ({
  id,
  version: 1,
  what: id,
  target: null,
  currency: 'USD',
  sourceId: null,
  saleOn: null,
  use: '',
  note: '',
  gotOn: null,
  ...change,
});
const today = '2026-06-10';

describe('what is looked out for', () => {
  it('has the next sale first, then what has no day or whose sale is over, and apart what was got', () => {
    const { open, got } = wishList(
      [
        wish('no day'),
        wish('over', { saleOn: '2026-06-01' }),
        wish('later', { saleOn: '2026-07-01' }),
        wish('today', { saleOn: today }),
        wish('got', { gotOn: '2026-06-02', saleOn: today }),
        wish('got last', { gotOn: '2026-06-09' }),
      ],
      today,
    );
    expect(open.map(({ id }) => id)).toEqual(['today', 'later', 'no day', 'over']);
    expect(got.map(({ id }) => id)).toEqual(['got last', 'got']);
  });

  it('is told with its price, its place, its day and what it is for', () => {
    expect(wishWords(wish('vase', { target: 900, saleOn: '2026-06-11', use: 'the hall' }), [], today)).toBe(
      'up to $9 · on sale tomorrow, in 1 day · for the hall',
    );
    expect(wishWords(wish('vase', { saleOn: today }), [], today)).toBe('on sale today');
    expect(wishWords(wish('vase', { saleOn: '2026-06-09' }), [], today)).toBe('the sale was yesterday');
    expect(wishWords(wish('vase', { target: 900, currency: '' }), [], today)).toBe('up to $9');
    expect(wishWords(wish('vase'), [], today)).toBe('');
  });
});
