import { describe, expect, it } from 'vitest';
import { AS_OF, find, offer, option, project, rows, slot } from '../fixtures/projectRows';
import { stated } from '../kernel/price';
import { computePlan } from '../plan/computePlan';
import { plainStory } from '../pricing/priceStory';
import { sameLook } from './sameLook';

const sold = (id: string) => ({ parts: [{ findId: null, offerId: id, pieces: 1 }] });
const seen = (id: string) => ({ parts: [{ findId: id, offerId: null, pieces: 1 }] });

describe('the same look at several prices', () => {
  const plan = computePlan(
    rows({
      project: project({ tax: { percentThousandths: 10_000, included: false } }),
      slots: [slot('1', { quantity: 2 })],
      offers: [
        offer('pair', 3000, { name: 'Pair of lamps', pieces: 2, delivery: 500 }),
        offer('single', 1800, { name: 'Lamp' }),
        offer('designer', 90_000, { name: 'The designer lamp', dream: true }),
        offer('unknown', 0, { name: 'Somewhere', price: { state: 'unknown' } }),
      ],
      finds: [find('lot', 2000, { name: 'Lot of 4', count: 2, story: { ...plainStory(stated(2000)), pieces: 4 } })],
      options: [
        option('a', '1', 'buyNew', sold('pair')),
        option('b', '1', 'buyNew', sold('single')),
        option('c', '1', 'buyNew', sold('designer')),
        option('d', '1', 'buyNew', sold('unknown')),
        option('e', '1', 'asFound', seen('lot')),
        option('f', '1', 'makeover', seen('lot')),
      ],
    }),
    AS_OF,
  );

  it('ranks by what one that serves costs, delivered and with tax, each thing once', () => {
    // 33.00 + 5.00 for two; 19.80 each; a lot of four of which two serve for 22.00; 990.00.
    const told = sameLook(plan, '1').map(({ name, each, more, bought, usable }) => [
      name,
      each?.likely,
      more,
      bought,
      usable,
    ]);
    expect(told).toEqual([
      ['Lot of 4', 1100, null, 4, 2],
      ['Pair of lamps', 1900, 800, 2, 2],
      ['Lamp', 1980, 880, 2, 2],
      ['The designer lamp', 99_000, 97_900, 2, 2],
      ['Somewhere', 0, null, 2, 2],
    ]);
  });

  it('never takes the dream for the yardstick, and for no slot has nothing', () => {
    expect(plan.slot('1')?.yardstickId).toBe('a');
    expect(sameLook(plan, 'none')).toEqual([]);
  });
});
