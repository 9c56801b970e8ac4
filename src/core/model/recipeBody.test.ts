import { describe, expect, it } from 'vitest';
import { problemsOfSchema } from '../acts/problems';
import { coatings } from '../catalog/coatings';
import { uuid } from '../fixtures/following';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { recipeBody2, recipes } from '../formats/project/upgrades/recipes';
import { computeRecipe } from '../recipe/computeRecipe';
import { recipeFor } from '../recipe/recipeBody';
import { recipeBodySchema } from './values/recipeBody';

const of = find(uuid(1), 900);
const body = {
  ...recipe('r', of, 'chalk', uuid(2)).body,
  pieces: recipeFor(of.id, 'nightstand', of.measures, 'piece').pieces,
};
/** Paths that the schema refuses. */
const refused = (value: unknown): string[] => {
  const parsed = recipeBodySchema.safeParse(value);
  return parsed.success ? [] : problemsOfSchema(parsed.error, value).map((error) => error.field);
};
const piece = body.pieces[0];
const edited = (edit: object) => ({ ...body, pieces: [{ ...piece, zoneEdits: { top: edit } }] });

describe('the body of a recipe', () => {
  it('is accepted as the core makes it', () => {
    expect(refused(body)).toEqual([]);
  });
  it.each([
    [
      'a technique value that is no number',
      { ...body, layers: [{ ...body.layers[0], values: { waterParts: 'three' } }] },
      'layers.0.values.waterParts',
    ],
    ['thirteen coats', { ...body, layers: [{ ...body.layers[0], coats: 13 }] }, 'layers.0.coats'],
    [
      'a preparation nobody knows',
      { ...body, preparations: [{ kind: 'sandblast', zoneKeys: 'all' }] },
      'preparations.0.kind',
    ],
    ['a condition nobody knows', edited({ conditions: ['haunted'] }), 'pieces.0.zoneEdits.top.conditions.0'],
    ['a finish nobody knows', edited({ finishId: 'limeWash' }), 'pieces.0.zoneEdits.top.finishId'],
    ['three sides', edited({ sides: 3 }), 'pieces.0.zoneEdits.top.sides'],
    ['a texture of nine', edited({ textureFactor: 9 }), 'pieces.0.zoneEdits.top.textureFactor'],
    [
      'a step of a year',
      { ...body, ownSteps: [{ id: 'x', title: 'Wait', minutes: 1, waitHours: 9000, afterStepId: null }] },
      'ownSteps.0.waitHours',
    ],
    [
      'a step without a name',
      { ...body, ownSteps: [{ id: 'x', title: ' ', minutes: 1, waitHours: 0, afterStepId: null }] },
      'ownSteps.0.title',
    ],
    [
      'a setback nobody knows',
      { ...body, setbacks: [{ id: 's', layerId: 'l', coat: 1, problem: 'exploded', note: '' }] },
      'setbacks.0.problem',
    ],
    ['an older version', { ...body, version: 1 }, 'version'],
  ])('refuses %s at its field', (_words, value, field) => {
    expect(refused(value)).toContain(field);
  });
  it('keeps shapes, techniques and coatings that nobody knows', () => {
    expect(refused(edited({ shape: { kind: 'moebius', values: { turns: 1 } } }))).toEqual([]);
    expect(
      refused({ ...body, layers: [{ ...body.layers[0], techniqueId: 'rolledOn', coatingId: 'limeWash' }] }),
    ).toEqual([]);
  });
});

describe('a recipe of the first shape', () => {
  const { pieces, layers, dropped, school, labelCoats, stepEdits } = body;
  const first = {
    version: 1,
    pieces: pieces.map(({ ownZones: _own, tests: _tests, ...rest }) => rest),
    layers: layers.map(({ techniqueId: _technique, values: _values, ...rest }) => rest),
    dropped,
    school,
    labelCoats,
    stepEdits,
  };
  it('becomes the present one, each layer in the usual technique of its coating', () => {
    expect(recipeBody2(first)).toEqual(body);
    // Films came later.
    for (const coating of coatings.all.filter(({ role }) => role !== 'film')) {
      const upgraded = recipeBody2({
        ...first,
        layers: [{ ...first.layers[0], coatingId: coating.id }],
      }) as typeof body;
      expect(upgraded.layers[0]?.techniqueId).toBe(coating.techniqueId);
      expect(refused(upgraded)).toEqual([]);
    }
  });
  it('computes as it did: the same layers, the same need', () => {
    const context = recipeContext([of]);
    const now = computeRecipe('r', recipeBody2(first) as typeof body, context);
    expect(now.layers.map((layer) => layer.coating.id)).toEqual(
      computeRecipe('r', body, context).layers.map((layer) => layer.coating.id),
    );
  });
  it('is left as it is when it is present already, or no recipe at all', () => {
    expect(recipeBody2(body)).toBe(body);
    expect(recipeBody2(null)).toBeNull();
    expect(recipeBody2('recipe')).toBe('recipe');
    expect(recipes.upgrade({ recipes: [{ body }, { body: first }] }).recipes).toEqual([{ body }, { body }]);
  });
});
