import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../fixtures/following';
import { find } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { recipeBodySchema } from '../model/values/recipeBody';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { computeRecipe } from './computeRecipe';
import { needsOf } from './needsOf';
import { chosenLayer, type RecipeBody, recipeFor } from './recipeBody';
import { removeOwnZone, splitZone } from './splitZone';

const PIECE = uuid(1);

/** A piece of a template, whole in one paint, and its recipe's plan. */
function painted(templateId: string) {
  const of = find(PIECE, 900, { templateId, measures: {}, materialId: 'pine', era: 'recent' });
  const measures = completeMeasures(furnitureTemplates.get(templateId), {});
  const body = recipeFor(PIECE, templateId, measures, 'p');
  body.layers = [chosenLayer('base', 'chalk', { colorCardId: 'teal' })];
  return { body, plan: (changed: RecipeBody) => computeRecipe('r', changed, recipeContext([of])) };
}

/** Every template with a zone of several like faces. */
const several = furnitureTemplates.all.flatMap((template) => {
  const { body, plan } = painted(template.id);
  return plan(body)
    .zones.filter(({ zone }) => zone.count > 1 && zone.included)
    .map((zone) => ({ templateId: template.id, zoneId: zone.zone.id, count: zone.zone.count }));
});

describe('like faces taken apart', () => {
  it('exist in several kinds of furniture', () => {
    expect(new Set(several.map(({ templateId }) => templateId)).size).toBeGreaterThan(5);
  });

  it('take as much as before until one part is changed, and put back are as before', () => {
    fc.assert(
      fc.property(fc.constantFrom(...several), fc.integer({ min: 1, max: 499 }), (of, part) => {
        const { body, plan } = painted(of.templateId);
        const before = plan(body);
        const zone = before.zones.find((candidate) => candidate.zone.id === of.zoneId);
        if (!zone) throw new Error('the zone is there');
        const apart = 1 + (part % (of.count - 1));
        const split = splitZone(body, zone, apart, 'other');
        expect(recipeBodySchema.safeParse({ ...split, layers: [] }).error).toBeUndefined();
        const after = plan(split);
        const own = after.zones.find((candidate) => candidate.zone.id === 'other');
        expect(own?.zone.count).toBe(apart);
        const area = (zones: typeof before.zones) => zones.reduce((sum, { areaM2 }) => sum + areaM2, 0);
        expect(area(after.zones)).toBeCloseTo(area(before.zones), 6);
        for (const [key, amount] of needsOf(before, body))
          expect(needsOf(after, split).get(key) ?? 0).toBeCloseTo(amount, 3);
        if (!own) return;
        const back = removeOwnZone(split, own);
        expect(back.pieces[0]?.ownZones).toEqual([]);
        expect(area(plan(back).zones)).toBeCloseTo(area(before.zones), 6);
        expect(needsOf(plan(back), back)).toEqual(needsOf(before, body));
      }),
      { numRuns: 60 },
    );
  });

  it('every other drawer takes the second color, the others keep the first', () => {
    const { body, plan } = painted('dresser');
    const drawers = plan(body).zones.find(({ zone }) => zone.count === 6);
    if (!drawers) throw new Error('a dresser has six drawers');
    body.layers = [
      chosenLayer('base', 'chalk', { colorCardId: 'teal' }),
      chosenLayer('second', 'chalk', { colorCardId: 'cream', zoneKeys: [drawers.key] }),
    ];
    const all = needsOf(plan(body), body);
    const creamKey = [...all.keys()].find((key) => key.includes('cream')) ?? '';
    const split = splitZone(body, drawers, 3, 'other');
    const other = 'p/other';
    // What lay on the drawers lies on both parts; then one part is taken off the second color.
    expect(split.layers[1]?.zoneKeys).toEqual([drawers.key, other]);
    const [base, second] = split.layers;
    if (!base || !second) throw new Error('both layers are there');
    const half = { ...split, layers: [base, { ...second, zoneKeys: [other] }] };
    expect((needsOf(plan(half), half).get(creamKey) ?? 0) * 2).toBeCloseTo(all.get(creamKey) ?? 0, 3);
    expect(split.pieces[0]?.ownZones[0]?.name).toContain('every other');
  });

  it('say how many they are, apart and together again', () => {
    const { body, plan } = painted('nightstand');
    const drawers = plan(body).zones.find(({ zone }) => zone.name === '2 drawer fronts');
    if (!drawers) throw new Error('a nightstand has two drawers');
    const split = splitZone(body, drawers, 1, 'other');
    const names = (of: RecipeBody) => plan(of).zones.map(({ zone }) => zone.name);
    expect(names(split)).toEqual(expect.arrayContaining(['1 drawer front', '1 drawer front, every other']));
    const own = plan(split).zones.find(({ key }) => key === 'p/other');
    expect(own && names(removeOwnZone(split, own))).toEqual(names(body));
  });

  it('that are one cannot be parted, and more than there are neither', () => {
    const { body, plan } = painted('dresser');
    const zones = plan(body).zones;
    const [one] = zones.filter(({ zone }) => zone.count === 1);
    const [six] = zones.filter(({ zone }) => zone.count === 6);
    if (!one || !six) throw new Error('a dresser has a top and drawers');
    expect(splitZone(body, one, 1, 'x')).toBe(body);
    for (const apart of [0, 6, 7]) expect(splitZone(body, six, apart, 'x')).toBe(body);
    expect(removeOwnZone(body, six)).toBe(body);
  });
});
