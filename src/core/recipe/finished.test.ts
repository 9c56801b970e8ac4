import { describe, expect, it } from 'vitest';
import { labFromHex } from '../color/lab';
import { needsOfPiece } from '../fixtures/demand';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { computeRecipe } from './computeRecipe';
import { finishedSurface, withFoundSurfaces } from './finished';

describe('a recipe that is done', () => {
  const oak = find('oak', 900, {
    materialId: 'veneer',
    finishId: 'glossyVarnish',
    sheen: 'gloss',
    color: labFromHex('#9b6b43'),
  });
  const row = recipe('r', oak, 'chalk', 'teal');
  const plan = computeRecipe('r', row.body, recipeContext([oak]));

  it('leaves the piece with what lies uppermost on its largest zone, in its new color', () => {
    expect(finishedSurface(plan, 'oak')).toMatchObject({ finishId: 'laid.waterClear', sheen: 'satin' });
    expect(finishedSurface(plan, 'oak')?.color?.L).toBeCloseTo(labFromHex('#2f5d62').L, 0);
    expect(finishedSurface(plan, 'somebody else')).toBeNull();
  });
  it('still tells what was done once the piece has taken on its new finish', () => {
    const surface = finishedSurface(plan, 'oak');
    const body = withFoundSurfaces(row.body, plan);
    const after = computeRecipe('r', body, recipeContext([{ ...oak, ...surface }]));
    expect(after.layers.map((layer) => layer.coating.id)).toEqual(plan.layers.map((layer) => layer.coating.id));
    expect([...needsOfPiece(after, 'oak')]).toEqual([...needsOfPiece(plan, 'oak')]);
  });
  it('makes the next recipe on it start from the new finish', () => {
    const next = { ...oak, ...finishedSurface(plan, 'oak') };
    const again = computeRecipe('n', recipe('n', next, 'wallAcrylic', 'white').body, recipeContext([next]));
    expect(again.stacks.get('piece-oak/carcass')?.[0]?.joint.ruleId).toBe('waterborneClear.waterborne');
  });
});
