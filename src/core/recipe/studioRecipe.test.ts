import { describe, expect, it } from 'vitest';
import { needsOfPiece } from '../fixtures/demand';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { computeRecipe } from './computeRecipe';
import { chosenLayer } from './recipeBody';
import { studioRecipeOf, withStudioRecipe } from './studioRecipe';

describe('a recipe that the studio keeps', () => {
  const oak = find('oak', 900, { finishId: 'glossyVarnish', era: 'recent' });
  const row = recipe('r', oak, 'chalk', 'teal', { dropped: ['topcoat:waterClear', 'primer:bondingPrimer@layer-r'] });
  row.body.layers = [
    ...row.body.layers,
    chosenLayer('drawers', 'craftAcrylic', {
      techniqueId: 'stencil',
      colorCardId: 'white',
      zoneKeys: ['piece-oak/drawers'],
    }),
  ];
  const kept = studioRecipeOf(row.body);
  let n = 0;
  const newId = () => {
    n += 1;
    return `new-${n}`;
  };

  it('leaves its pieces and their measures behind', () => {
    expect(kept.pieces).toEqual([]);
    expect(kept.layers.map((layer) => layer.zoneKeys)).toEqual(['all', ['*/drawers']]);
  });
  it('goes on another piece with its own amounts, on the zones of the same name', () => {
    const chest = find('chest', 900, { templateId: 'dresser', measures: {}, finishId: 'glossyVarnish', era: 'recent' });
    const empty = recipe('other', chest, 'chalk', 'teal').body;
    const context = recipeContext([chest]);
    const { zones } = computeRecipe('other', empty, context);
    const applied = withStudioRecipe(empty, kept, zones, newId);
    expect(applied.pieces).toBe(empty.pieces);
    expect(applied.layers.map((layer) => layer.zoneKeys)).toEqual(['all', ['piece-chest/drawers']]);
    const small = computeRecipe('r', row.body, recipeContext([oak]));
    const large = computeRecipe('other', applied, context);
    const teal = (plan: typeof small, id: string) => needsOfPiece(plan, id).get('chalk|teal|matt') ?? 0;
    expect(teal(large, 'chest') / teal(small, 'oak')).toBeGreaterThan(1.5);
    // What was dropped stays dropped under the layers' new names.
    expect(large.layers.map((layer) => layer.coating.id)).toEqual(['chalk', 'craftAcrylic']);
  });
  it('covers all zones where the other piece has none of that name, and shares no layer id', () => {
    const vase = find('vase', 300, { templateId: 'vase', measures: {}, materialId: 'terracotta' });
    const empty = recipe('v', vase, 'chalk', 'teal').body;
    const { zones } = computeRecipe('v', empty, recipeContext([vase]));
    const applied = withStudioRecipe(empty, kept, zones, newId);
    expect(applied.layers.map((layer) => layer.zoneKeys)).toEqual(['all', 'all']);
    expect(applied.layers.some((layer) => kept.layers.some((other) => other.id === layer.id))).toBe(false);
  });
});
