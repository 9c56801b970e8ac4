import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { option, slot } from '../fixtures/projectRows';
import { noMinutes } from '../kernel/minutes';
import { DrawTotals, drawsOfFills } from './drawTotals';
import type { OptionModel } from './model/optionModel';
import type { PlannedFill } from './model/planModel';
import { drawOf, nothingDrawn, type PoolKind, totalDrawn } from './model/pools';

const kinds: readonly PoolKind[] = ['find', 'order', 'supply', 'session', 'tool'];

function fillOf(slotId: string, n: number, count: number, draws: OptionModel['draws']): PlannedFill {
  const hands = { work: noMinutes, overhead: noMinutes, onceMicro: 0, eachMicro: 0 };
  const model: OptionModel = {
    option: option(`o${slotId}${n}`, slotId, 'makeover'),
    slot: slot(slotId),
    finds: [],
    offers: [],
    recipe: null,
    isDone: false,
    capacity: 9,
    draws,
    supplyTerms: [],
    flawTerms: [],
    workTerms: [],
    hands,
  };
  return { model, count };
}

/** Fills over a few slots that draw on a few pools. */
const anyFills = fc
  .array(
    fc.record({
      slot: fc.constantFrom('a', 'b', 'c', 'd'),
      count: fc.integer({ min: 1, max: 4 }),
      draws: fc.array(
        fc.record({
          kind: fc.constantFrom(...kinds),
          key: fc.constantFrom('x', 'y'),
          amount: fc.integer({ min: 0, max: 1e9 }),
          once: fc.integer({ min: 0, max: 1e9 }),
        }),
        { maxLength: 6 },
      ),
    }),
    { maxLength: 10 },
  )
  .map((list) =>
    list.map(({ slot: slotId, count, draws }, n) => {
      const each = new Map(
        draws.map(({ kind, key, amount, once }) => [`${kind} ${key}`, drawOf(kind, key, amount, once)]),
      );
      return fillOf(slotId, n, count, [...each.values()]);
    }),
  );

describe('what the chosen draw', () => {
  it('without one slot is what the fills of all the others draw, pool by pool, exactly', () => {
    fc.assert(
      fc.property(anyFills, (fills) => {
        const totals = new DrawTotals(fills);
        for (const left of ['a', 'b', 'c', 'd']) {
          const others = drawsOfFills(fills.filter((fill) => fill.model.slot.id !== left));
          for (const kind of kinds)
            for (const key of ['x', 'y']) {
              const draw = drawOf(kind, key, 0);
              expect(totals.without(left, draw)).toEqual(others.get(draw.poolId)?.drawn ?? nothingDrawn);
            }
        }
      }),
    );
  });

  it('of a slot that draws nothing leaves the total as it is', () => {
    fc.assert(
      fc.property(anyFills, (fills) => {
        const totals = new DrawTotals(fills);
        for (const { draw, total } of totals.all()) expect(totalDrawn(totals.without('nobody', draw))).toEqual(total);
      }),
    );
  });

  it('grows with the count for pieces and supplies; a set-up, a find and a tool serve all', () => {
    const draws = [
      drawOf('order', 'x', 2),
      drawOf('supply', 'x', 500, 80),
      drawOf('session', 'x', 0, 3),
      drawOf('find', 'x', 1),
    ];
    const totals = new DrawTotals([fillOf('a', 1, 4, draws), fillOf('b', 2, 1, draws)]);
    // By hand: 2 × 4 + 2 pieces; 500 × 4 + 500 millionths and 80 in the tray, once; the most of 3 and 3 sessions; two
    // uses of one find.
    expect([...totals.all()].map(({ draw, total }) => [draw.kind, total.amount])).toEqual([
      ['order', 10],
      ['supply', 2580],
      ['session', 3],
      ['find', 2],
    ]);
  });
});
