import { randomUUID } from 'node:crypto';
import { chosenLayer, recipeFor } from '@core/recipe/recipeBody';
import { studioRecipeOf } from '@core/recipe/studioRecipe';
import { describe, expect, it } from 'vitest';
import { attic, freshStudio, nightstandOption } from './test/studio';

const { own, studio } = await freshStudio();

/** A project with one makeover of a nightstand in wall acrylic. */
async function withMakeover() {
  const { projectId, slotId } = await attic(studio);
  const way = nightstandOption(slotId);
  const body = recipeFor(way.find.id, 'nightstand', way.find.measures, 'piece');
  body.layers = [chosenLayer('layer', 'wallAcrylic')];
  const recipe = { id: randomUUID(), version: 1, name: 'Nightstand in white', body, doneOn: null, uses: [] };
  await studio.command(projectId, 'addOption', {
    ...way,
    option: { ...way.option, kind: 'makeover', recipeId: recipe.id },
    recipe,
  });
  return { projectId, recipe, body };
}

describe('a recipe', () => {
  it('keeps every part of its body', async () => {
    const { projectId, recipe, body } = await withMakeover();
    const full = {
      ...body,
      layers: [...body.layers, { ...chosenLayer('wax', 'clearWax'), values: { sharePercent: 12 } }],
      preparations: [{ kind: 'strip' as const, zoneKeys: 'all' as const }],
      pieces: body.pieces.map((piece) => ({
        ...piece,
        zoneEdits: { top: { conditions: ['stained' as const], shape: { kind: 'disc', values: { diameterMm: 300 } } } },
        ownZones: [{ id: 'feet', name: 'Feet', shape: { kind: 'sphere', values: { diameterMm: 60 } } }],
        tests: { waterBeads: true },
      })),
      ownSteps: [{ id: 'own', title: 'Line the drawers', minutes: 20, waitHours: 1, afterStepId: null }],
      setbacks: [{ id: 's', layerId: 'layer', coat: 1, problem: 'ran' as const, note: '' }],
      stepEdits: { clean: { skipped: true } },
    };
    const answer = await studio.command(projectId, 'editRecipe', { id: recipe.id, values: { body: full } });
    expect(answer.status).toBe(200);
    expect((await studio.rows(projectId)).recipes[0]?.body).toEqual(full);
  });

  it('refuses what cannot be, naming the field, and loses nothing', async () => {
    const { projectId, recipe, body } = await withMakeover();
    const broken = { ...body, setbacks: [{ id: 's', layerId: 'layer', coat: 0, problem: 'ran', note: '' }] };
    const answer = await studio.command(projectId, 'editRecipe', { id: recipe.id, values: { body: broken } } as never);
    expect(answer.status).toBe(422);
    expect(answer.text).toContain('setbacks.0.coat');
    expect((await studio.rows(projectId)).recipes[0]?.body).toEqual(body);
  });

  it('keeps a technique, a coating and a shape that nobody knows any more', async () => {
    const { projectId, recipe, body } = await withMakeover();
    const strange = {
      ...body,
      layers: [{ ...chosenLayer('x', 'limeWash'), techniqueId: 'rolledOn' }],
      pieces: body.pieces.map((piece) => ({
        ...piece,
        zoneEdits: { top: { shape: { kind: 'moebius', values: {} } } },
      })),
    };
    expect((await studio.command(projectId, 'editRecipe', { id: recipe.id, values: { body: strange } })).status).toBe(
      200,
    );
    expect((await studio.rows(projectId)).recipes[0]?.body).toEqual(strange);
  });

  it('of the first shape is understood, and written back in the present one', async () => {
    const { projectId, recipe, body } = await withMakeover();
    const { pieces, layers, dropped, school, labelCoats, stepEdits } = body;
    const first = {
      version: 1,
      pieces: pieces.map(({ ownZones: _zones, tests: _tests, ...piece }) => piece),
      layers: layers.map(({ techniqueId: _technique, values: _values, ...layer }) => layer),
      dropped,
      school,
      labelCoats,
      stepEdits,
    };
    await own.database.source.query('update recipe set body = $1 where id = $2', [JSON.stringify(first), recipe.id]);
    // The server computes the summary from it; a command on another row works.
    expect((await studio.command(projectId, 'editRecipe', { id: recipe.id, values: { name: 'Older' } })).status).toBe(
      200,
    );
    expect((await studio.command(projectId, 'editRecipe', { id: recipe.id, values: { body } })).status).toBe(200);
    expect((await studio.rows(projectId)).recipes[0]?.body).toEqual(body);
  });
});

describe('a recipe that the studio keeps', () => {
  it('is there in every project, and taken back by undo', async () => {
    const { projectId, body } = await withMakeover();
    const row = {
      id: randomUUID(),
      version: 1,
      name: 'White wall',
      templateId: 'nightstand',
      body: studioRecipeOf(body),
    };
    const kept = await studio.command(projectId, 'keepRecipe', { row });
    const other = await attic(studio);
    expect((await studio.rows(other.projectId)).studioRecipes).toMatchObject([{ name: 'White wall', body: row.body }]);
    await studio.command(other.projectId, 'forgetRecipe', { id: row.id });
    expect((await studio.rows(projectId)).studioRecipes).toEqual([]);
    expect(kept.status).toBe(200);
  });

  it('keeps its colors from being removed while it shows them', async () => {
    const { projectId, body } = await withMakeover();
    const card = { id: randomUUID(), version: 1, name: 'Fog', lab: { L: 80, a: 0, b: 2 } };
    const added = await studio.command(projectId, 'addColorCard', { row: card });
    const layers = [chosenLayer('a', 'wallAcrylic', { colorCardId: card.id })];
    await studio.command(projectId, 'keepRecipe', {
      row: {
        id: randomUUID(),
        version: 1,
        name: 'Fog',
        templateId: 'nightstand',
        body: studioRecipeOf({ ...body, layers }),
      },
    });
    const undone = await studio.command(projectId, 'undo', { actId: added.json.actId, reversalIds: [] });
    expect(undone.status).not.toBe(200);
    expect(undone.text).toContain('a color that no palette');
  });
});
