import { describe, expect, it } from 'vitest';
import { staples } from '../catalog/consumables';
import { AS_OF, card, fill, find, option, recipe, rows, slot, supply } from '../fixtures/projectRows';
import type { ProjectRows, SupplyRow } from '../model/rows';
import { computePlan } from './computePlan';
import { explainOption } from './why/explainOption';

/** A scuffed nightstand in stain: it takes sandpaper and rags. */
function stained(supplies: readonly SupplyRow[] = []): ProjectRows {
  const stand = find('stand', 1200, { materialId: 'hardwood' });
  return rows({
    slots: [slot('1')],
    finds: [stand],
    recipes: [recipe('stain', stand, 'oilStain', 'walnut')],
    options: [
      option('makeover', '1', 'makeover', {
        parts: [{ findId: 'stand', offerId: null, pieces: 1 }],
        recipeId: 'stain',
      }),
    ],
    fills: [fill('1', 'makeover')],
    colorCards: [card('walnut', 'Walnut', '#5b3a23')],
    supplies: [...supplies],
  });
}
const planned = (supplies?: readonly SupplyRow[]) => {
  const plan = computePlan(stained(supplies), AS_OF);
  const made = plan.option('makeover');
  if (!made) throw new Error('no makeover');
  return { plan, made };
};
const counted = (kindId: string, stash: SupplyRow['stash']) => supply(kindId, kindId, null, null, { stash });

describe('what a workshop always has', () => {
  it('is not bought: rags, alcohol and sandpaper are there until the studio says otherwise', () => {
    expect(staples.map((kind) => kind.id).sort()).toEqual(['alcohol', 'rag', 'sandpaper']);
    const { made, plan } = planned();
    const none = planned(['rag', 'sandpaper'].map((id) => counted(id, { state: 'none', amount: 0 }))).made;
    // A pack of rags at 8.00 and a sheet of sandpaper or more at 1.00 less.
    expect(none.cashAdded.likely - made.cashAdded.likely).toBeGreaterThanOrEqual(900);
    expect(plan.supplies.map((line) => line.name)).not.toContain('Cotton rags');
  });
  it('still counts as used, at what replacing costs: it is not free', () => {
    const { made, plan } = planned();
    expect(made.stashUsed).toBeGreaterThan(0);
    const why = JSON.stringify(explainOption(plan, made, 'stashUsed'));
    expect(why).toContain('always here');
    expect(why).not.toContain('In the stash');
  });
  it('can be said of any supply, and counted again', () => {
    const always = planned([
      counted('rag', { state: 'always', amount: 0 }),
      supply('stain', 'oilStain', 'walnut', 'raw', { stash: { state: 'always', amount: 3 } }),
    ]).made;
    expect(always.cashAdded.likely).toBeLessThan(planned().made.cashAdded.likely);
    const twelve = planned([counted('rag', { state: 'exact', amount: 12 })]).made;
    expect(twelve.cashAdded).toEqual(planned().made.cashAdded);
  });
});
