import { describe, expect, it } from 'vitest';
import { uuid } from '../fixtures/following';
import { find } from '../fixtures/projectRows';
import { stated } from '../kernel/price';
import type { FindRow } from '../model/rows';
import { newSource } from '../plan/newSource';
import { type PriceLine, plainStory } from '../pricing/priceStory';
import { readPatternLine } from './patternLine';
import { cheaperDays, withoutShopDiscounts } from './tillOnDays';

const half: PriceLine = { kind: 'markdown', percentThousandths: 50_000 };
const quarter: PriceLine = { kind: 'markdown', percentThousandths: 25_000 };
const coupon: PriceLine = { kind: 'couponMoney', amount: 200, by: 'store' };

/** A shop that halves everything on Thursdays. */
function shop() {
  const pattern = readPatternLine('half off everything on Thursdays', '2026-06-01');
  if (!pattern) throw new Error('The pattern is not understood.');
  return { ...newSource(uuid(3), 'The Penny Shelf'), patterns: [{ id: uuid(8), ...pattern }] };
}

const seen = (seenOn: string | null, lines: PriceLine[]): FindRow =>
  find(uuid(60), 2400, { name: 'Stool', seenOn, story: { ...plainStory(stated(2400)), lines } });

describe('a find priced on another day than it was seen', () => {
  it('loses what its shop took off that day, once, and keeps the rest', () => {
    // June 4th, 2026 is a Thursday.
    expect(withoutShopDiscounts(shop(), seen('2026-06-04', [half, coupon])).lines).toEqual([coupon]);
    expect(withoutShopDiscounts(shop(), seen('2026-06-04', [half, half, coupon])).lines).toEqual([half, coupon]);
  });

  it('keeps a markdown that the shop does not explain: another percentage, another day, no day', () => {
    expect(withoutShopDiscounts(shop(), seen('2026-06-04', [quarter])).lines).toEqual([quarter]);
    expect(withoutShopDiscounts(shop(), seen('2026-06-05', [half])).lines).toEqual([half]);
    expect(withoutShopDiscounts(shop(), seen(null, [half])).lines).toEqual([half]);
  });

  it('becomes cheaper on the shop’s days, none of them after the day it is needed', () => {
    const money = { currency: 'USD', tax: { percentThousandths: 0, included: false } };
    const days = (until: string | null) => cheaperDays(shop(), seen('2026-06-05', []), '2026-06-05', until, money);
    expect(days('2026-06-12').map(({ day, till }) => [day, till])).toEqual([['2026-06-11', 1200]]);
    expect(days('2026-06-10')).toEqual([]);
  });
});
