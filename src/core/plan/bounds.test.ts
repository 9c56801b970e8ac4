import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exactMinutes } from '../fixtures/exactMinutes';
import { AS_OF, card, fill, find, offer, option, recipe, rows, slot } from '../fixtures/projectRows';
import type { Price } from '../kernel/price';
import type { OfferRow } from '../model/rows';
import { computePlan } from './computePlan';
import { beatsYardstick, compareWithYardstick } from './makeOrBuy';
import { explainOption } from './why/explainOption';

/** A painted nightstand beside a new one, each at a price that may be a bound. */
function beside(
  newPrice: Price,
  tag: Price = { state: 'stated', low: 1200, high: 1200 },
  change: Partial<OfferRow> = {},
) {
  const stand = find('stand', 1200, { finishId: 'soundOldPaint', sheen: 'matt' });
  const plan = computePlan(
    rows({
      slots: [slot('1')],
      finds: [{ ...stand, story: { ...stand.story, tag } }],
      offers: [offer('new', 0, { price: newPrice, ...change })],
      recipes: [recipe('paint', stand, 'chalk', 'teal')],
      colorCards: [card('teal', 'Teal', '#2f5d62')],
      options: [
        option('made', '1', 'makeover', { parts: [{ findId: 'stand', offerId: null, pieces: 1 }], recipeId: 'paint' }),
        option('bought', '1', 'buyNew', { parts: [{ findId: null, offerId: 'new', pieces: 1 }] }),
      ],
      fills: [fill('1', 'made')],
    }),
    AS_OF,
  );
  const made = plan.option('made');
  const bought = plan.option('bought');
  if (!made || !bought) throw new Error('an option is missing');
  return { plan, made, bought };
}

describe('a price that is only known to be over so much', () => {
  it('makes what an hour earns a least', () => {
    const { made, bought, plan } = beside({ state: 'over', low: 20_000 });
    expect(bought.cashAdded).toMatchObject({ likely: 20_000, atLeast: true });
    expect(made.comparison).toMatchObject({ kind: 'perHour', bound: 'least' });
    expect(explainOption(plan, made, 'hourEarns').label).toBe('Your hour earns, at least');
  });
  it('tells nothing where the least is a loss', () => {
    expect(beside({ state: 'over', low: 500 }).made.comparison.kind).toBe('unknownPrice');
    expect(beside({ state: 'unknown' }).made.comparison.kind).toMatch(/unknownPrice|noYardstick/);
  });
  it('reaches the purse: planned at least so much, free at most the rest', () => {
    const { plan } = beside({ state: 'unknown' }, { state: 'over', low: 3000 });
    expect(plan.purse.money.planned.atLeast).toBe(true);
    expect(plan.purse.money.free.atLeast).toBe(true);
    expect(plan.purse.money.planned.low).toBeGreaterThanOrEqual(3000);
  });
  it('and delivery that nobody knows count as what is known, and say at least', () => {
    const { bought, plan } = beside({ state: 'stated', low: 8000, high: 8000 }, undefined, { delivery: null });
    expect(bought.cashAdded).toMatchObject({ likely: 8000, atLeast: true });
    expect(JSON.stringify(explainOption(plan, bought, 'cashAdded'))).toContain('not known yet');
    const known = beside({ state: 'stated', low: 8000, high: 8000 }, undefined, { delivery: 900 });
    expect(known.bought.cashAdded).toMatchObject({ likely: 8900, atLeast: false });
  });

  it('never claims more than holds for every price that it may turn out to be', () => {
    const side = fc.record({ cost: fc.integer({ min: 0, max: 40_000 }), minutes: fc.integer({ min: 0, max: 600 }) });
    fc.assert(
      fc.property(
        side,
        side,
        fc.boolean(),
        fc.integer({ min: 0, max: 50_000 }),
        fc.integer({ min: 0, max: 4000 }),
        (a, b, isYardstick, more, hour) => {
          const of = (value: typeof a, atLeast: boolean, on = 0) => ({
            cost: value.cost + on,
            minutes: exactMinutes(value.minutes),
            atLeast,
          });
          const bound = compareWithYardstick(of(a, !isYardstick), of(b, isYardstick), false);
          if (!('bound' in bound)) return;
          // The truth: whatever is not known yet comes on top.
          const truth = compareWithYardstick(
            of(a, false, isYardstick ? 0 : more),
            of(b, false, isYardstick ? more : 0),
            false,
          );
          if (!('deltaCost' in truth)) throw new Error('the truth is known');
          if (bound.bound === 'least') expect(truth.deltaCost).toBeGreaterThanOrEqual(bound.deltaCost);
          else expect(truth.deltaCost).toBeLessThanOrEqual(bound.deltaCost);
          const claim = beatsYardstick(bound, hour);
          if (claim !== null) expect(beatsYardstick(truth, hour)).toBe(claim);
        },
      ),
    );
  });
});
