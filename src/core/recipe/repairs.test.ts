import { describe, expect, it } from 'vitest';
import { finishLeftBy } from '../catalog/substrates.data';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import type { FindRow } from '../model/rows';
import { computeRecipe } from './computeRecipe';
import { isRepairable } from './isRepairable';
import { chosenLayer } from './recipeBody';
import { looks } from './repairAttempts';
import { repairsFor } from './repairs';

/** The repairs of the first broken joint, with a cent for each milliliter and a dollar for each can. */
function repairsOf(of: FindRow, row: ReturnType<typeof recipe>, hourValue = 1500) {
  const context = recipeContext([of]);
  const finding = computeRecipe(row.id, row.body, context).findings.find(isRepairable);
  if (!finding) throw new Error('nothing is broken');
  const cashOf = (needs: ReadonlyMap<string, number>) => [...needs.values()].reduce((sum, amount) => sum + amount, 0);
  return { repairs: repairsFor(row.id, row.body, context, finding, cashOf, hourValue), context };
}
const ids = (repairs: { id: string }[]) => repairs.map((repair) => repair.id);

describe('the cheapest repair of a joint', () => {
  it('washes wax off twice and ties over it with shellac', () => {
    const of = find('waxed', 900, { finishId: finishLeftBy('clearWax') });
    const { repairs, context } = repairsOf(of, recipe('r', of, 'wallAcrylic', 'teal'));
    expect(ids(repairs)).toContain('dewax:');
    const dewaxed = repairs.find((repair) => repair.kind === 'dewax');
    const plan = computeRecipe('r', dewaxed?.body ?? recipe('r', of, 'chalk', null).body, context);
    expect(plan.steps.map((step) => step.kind)).toContain('dewax');
    expect(plan.findings.filter(isRepairable)).toEqual([]);
  });
  it('puts clear wax under dark wax on bare chalk-type paint', () => {
    const of = find('oak', 900, { materialId: 'veneer' });
    const row = recipe('r', of, 'chalk', 'teal');
    row.body.layers = [...row.body.layers, chosenLayer('dark', 'darkWax', { colorCardId: 'walnut' })];
    const { repairs } = repairsOf(of, row);
    expect(ids(repairs)).toContain('between:clearWax');
  });
  it('changes the base where conditioner and stain differ', () => {
    const of = find('pine', 900, { materialId: 'pine' });
    const row = recipe('r', of, 'oilConditioner', null);
    row.body.layers = [...row.body.layers, chosenLayer('stain', 'waterborneStain', { colorCardId: 'walnut' })];
    const { repairs } = repairsOf(of, row);
    expect(repairs.find((repair) => repair.kind === 'instead')?.coating).toBe('oilStain');
  });
  it('lays a gel stain, or strips, where varnish keeps a stain out', () => {
    const of = find('oak', 900, { finishId: 'glossyVarnish', era: 'recent' });
    const { repairs } = repairsOf(of, recipe('r', of, 'oilStain', 'walnut'));
    expect(ids(repairs)).toContain('strip:');
    expect(['gelStain', 'stainAndSealOil', 'stainAndSealWater']).toContain(
      repairs.find((repair) => repair.kind === 'instead')?.coating,
    );
  });
  it('strips where lead is open and nothing may be scuffed, and conditions the bare wood', () => {
    const of = find('old', 900, { materialId: 'pine', finishId: 'glossyVarnish', era: 'unknown', color: null });
    const { repairs, context } = repairsOf(of, recipe('r', of, 'oilStain', 'walnut'));
    const strip = repairs.find((repair) => repair.kind === 'strip');
    const plan = computeRecipe('r', strip?.body ?? recipe('r', of, 'chalk', null).body, context);
    expect(plan.layers.map((layer) => layer.coating.id)).toEqual(['oilConditioner', 'oilStain', 'waterClear']);
    expect(plan.findings.map((finding) => finding.code)).toContain('caution.lead.oldFinish');
  });
  it('primes galvanized steel before it takes an enamel', () => {
    const of = find('pail', 900, { materialId: 'galvanizedSteel' });
    const { repairs } = repairsOf(of, recipe('r', of, 'alkydEnamel', 'teal'));
    expect(repairs.find((repair) => repair.kind === 'between')?.coating).toBeDefined();
  });
  it('never leaves anything else broken, and says what it adds', () => {
    const of = find('foam', 900, { materialId: 'polystyreneFoam', templateId: 'freeBox', measures: {} });
    const { repairs, context } = repairsOf(of, recipe('r', of, 'aerosolEnamel', 'teal'));
    expect(ids(repairs)).toContain('between:gesso');
    for (const repair of repairs) {
      expect(computeRecipe('r', repair.body, context).findings.filter(isRepairable)).toEqual([]);
      expect(Number.isFinite(repair.minutes + repair.cash)).toBe(true);
    }
  });
  it('is ranked by what an hour is worth to the project; where time is free, by cash alone', () => {
    const of = find('waxed', 900, { finishId: finishLeftBy('clearWax') });
    const row = recipe('r', of, 'wallAcrylic', 'teal');
    for (const hourValue of [0, 1500, 40_000]) {
      const { repairs } = repairsOf(of, row, hourValue);
      const inOrder = repairs.map((repair) => ({
        look: looks.indexOf(repair.look),
        cost: repair.cash + (repair.minutes * hourValue) / 60,
      }));
      expect(inOrder).toEqual([...inOrder].sort((a, b) => a.look - b.look || a.cost - b.cost));
    }
  });
});
