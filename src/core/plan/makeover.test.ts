import { describe, expect, it } from 'vitest';
import { finishLeftBy } from '../catalog/substrates.data';
import { needsOfPiece } from '../fixtures/demand';
import { AS_OF, card, find, option, pack, recipe, rows, slot, supply } from '../fixtures/projectRows';
import type { Explained } from '../kernel/explained';
import type { ProjectRows } from '../model/rows';
import { chosenLayer } from '../recipe/recipeBody';
import { readSurfaceTests, surfaceTests } from '../recipe/surfaceTests';
import { surfaceTestIds } from '../state/surfaceTest';
import { sentenceCodes, sentenceFor } from '../words/sentences';
import { colorFamilies } from './colorFamilies';
import { computePlan, type Plan } from './computePlan';
import { madeBody } from './madeBody';
import { namesOfOptions } from './nameOfOption';
import { explainArea } from './why/explainArea';
import { explainCoats } from './why/explainCoats';
import { explainLayerAmount } from './why/explainLayerAmount';
import { explainRecipeNeed } from './why/explainNeed';
import { explainStep } from './why/explainStep';

const teal = card('teal', 'Teal', '#2f5d62');
const stool = find('stool', 900, { name: 'Stool', finishId: 'soundOldPaint', sheen: 'matt' });
const shelf = find('shelf', 500, {
  name: 'Shelf',
  templateId: 'shelf',
  measures: {},
  finishId: 'soundOldPaint',
  sheen: 'matt',
});
const part = (findId: string) => [{ findId, offerId: null, pieces: 1 }];

/** Two pieces in one teal, with a quart of it to be bought. */
function project(change: Partial<ProjectRows> = {}): Plan {
  return computePlan(
    rows({
      slots: [slot('one'), slot('two')],
      finds: [stool, shelf],
      colorCards: [teal],
      recipes: [recipe('a', stool, 'chalk', 'teal'), recipe('b', shelf, 'chalk', 'teal')],
      options: [
        option('oa', 'one', 'makeover', { parts: part('stool'), recipeId: 'a' }),
        option('ob', 'two', 'makeover', { parts: part('shelf'), recipeId: 'b' }),
      ],
      supplies: [supply('can', 'chalk', 'teal', 'matt')],
      packs: [pack('quart', 'can', 946, 3600)],
      ...change,
    }),
    AS_OF,
  );
}
const lines = (tree: Explained): Explained[] => [tree, ...tree.because.flatMap(lines)];
const line = (tree: Explained, label: string) => lines(tree).find((entry) => entry.label === label);

describe('why a recipe’s figures are what they are', () => {
  const plan = project();
  const made = plan.recipes.get('a');
  const row = plan.rows.recipes[0];
  if (!made || !row) throw new Error('no recipe');
  const zone = made.zones.find((entry) => entry.zone.id === 'top');
  const layer = made.layers.find((entry) => entry.coating.id === 'chalk');
  const entry = zone && made.stacks.get(zone.key)?.find((candidate) => candidate.layerId === layer?.id);
  if (!zone || !layer || !entry) throw new Error('no layer');

  it('an area names what was measured', () => {
    const tree = explainArea(zone);
    expect(tree.value).toBe(zone.projectedAreaM2);
    expect(line(tree, 'Width')?.value).toBeCloseTo(406.4, 6);
  });
  it('an amount can be worked out again from its own lines', () => {
    const tree = explainLayerAmount(plan, zone, layer, entry);
    const of = (label: string) => Number(line(tree, label)?.value);
    const again =
      ((of(zone.zone.name) * of('Texture factor') * of('Coats')) / of('Chalk-type paint: spreading rate')) *
      1000 *
      (1 + of('Chalk-type paint: loss in brush and can') / 100);
    expect(again).toBeCloseTo(entry.amount, 6);
    expect(tree.value).toBe(entry.amount);
  });
  it('coats say what is left to see after each, and which school counts', () => {
    const tree = explainCoats(plan, entry);
    expect(tree.value).toBe(entry.coats.coats);
    for (let coat = 1; coat <= entry.coats.coats; coat += 1)
      expect(line(tree, `Still shows after ${coat}`)?.value).toBe(entry.coats.hiding?.showing[coat - 1]);
    expect(tree.note).toContain('threshold');
  });
  it('every step’s minutes add up from its lines, overhead in them', () => {
    for (const step of made.steps) {
      const tree = explainStep(plan, made, step);
      const sum = step.setUpMinutes + step.runMinutes + step.cleanUpMinutes;
      expect(tree.value).toBeCloseTo(sum * 1.15, 6);
      expect(line(tree, 'Work')?.value).toBe(step.runMinutes);
      for (const entryLine of lines(tree))
        if (entryLine.unit !== 'text') expect(Number.isFinite(Number(entryLine.value))).toBe(true);
    }
  });
  it('a need is the sum of its zones, and sandpaper that of its steps', () => {
    const needs = needsOfPiece(made, 'stool');
    for (const [key, amount] of needs) {
      const tree = explainRecipeNeed(plan, made, madeBody(plan.rows, row), key);
      const sum = tree.because
        .filter((reason) => !reason.assumption)
        .reduce((total, reason) => total + Number(reason.value), 0);
      expect(sum).toBeCloseTo(amount, 6);
    }
  });
  it('each line has a source or reasons of its own', () => {
    const trees = [
      explainLayerAmount(plan, zone, layer, entry),
      ...made.steps.map((step) => explainStep(plan, made, step)),
    ];
    for (const tree of trees)
      for (const entryLine of lines(tree))
        expect(entryLine.source !== undefined || entryLine.because.length > 0).toBe(true);
  });
  it('a wash shows its water, an own figure says that it is yours', () => {
    const row = recipe('a', stool, 'wallAcrylic', 'teal');
    row.body.layers = [chosenLayer('w', 'wallAcrylic', { techniqueId: 'wash', colorCardId: 'teal' })];
    row.body.stepEdits = { clean: { runMinutes: 7 } };
    const washed = project({ recipes: [row], options: [] });
    const own = washed.recipes.get('a');
    const wash = own?.layers.find((candidate) => candidate.technique.id === 'wash');
    const key = own?.zones[0]?.key ?? '';
    const laid = own?.stacks.get(key)?.find((candidate) => candidate.layerId === wash?.id);
    if (!own?.zones[0] || !wash || !laid) throw new Error('no wash');
    expect(line(explainLayerAmount(washed, own.zones[0], wash, laid), 'Water mixed in')?.value).toBe(laid.waterMl);
    const clean = own.steps.find((step) => step.id === 'clean');
    if (!clean) throw new Error('no cleaning');
    expect(line(explainStep(washed, own, clean), 'Work')).toMatchObject({ value: 7, source: { kind: 'you' } });
  });
});

describe('pieces of one color', () => {
  it('share one can: what it serves, what is left, what one more piece adds', () => {
    const plan = project();
    const [family] = colorFamilies(plan);
    expect(family).toMatchObject({ supplyKey: 'chalk|teal|matt' });
    expect(family?.uses.map((use) => use.name).sort()).toEqual(['a', 'b']);
    expect(family?.need).toBeCloseTo(
      (family?.uses ?? []).reduce((sum, use) => sum + use.amount, 0),
      9,
    );
    // One quart holds both and a third: it adds no cash.
    expect(family?.purchase.packs).toMatchObject([{ id: 'quart', count: 1 }]);
    expect(family?.left).toBeCloseTo(946 - (family?.need ?? 0), 6);
    expect(family?.oneMore.cash.likely).toBe(0);
  });
  it('asks for a pack more once the can is full', () => {
    const plan = project({ packs: [pack('sample', 'can', 200, 1200)] });
    const [family] = colorFamilies(plan);
    const need = family?.need ?? 0;
    const amount = family?.oneMore.amount ?? 0;
    const more = Math.ceil((need + amount) / 200) - Math.ceil(need / 200);
    expect(family?.oneMore.cash.likely).toBe(more * 1200);
  });
  it('counts a done makeover no more, and leaves out what has no color', () => {
    const plan = project();
    const done = project({
      recipes: plan.rows.recipes.map((row) => (row.id === 'a' ? { ...row, doneOn: '2026-06-01' } : row)),
    });
    expect(colorFamilies(done)[0]?.uses.map((use) => use.name)).toEqual(['b']);
    for (const family of colorFamilies(plan)) expect(family.supplyKey.split('|')[1]).not.toBe('');
  });
});

describe('simple tests of a surface (common practice, no source)', () => {
  it.each([
    [{ waxCurls: true }, finishLeftBy('clearWax')],
    [{ alcoholSoftens: true, chalksOff: true }, finishLeftBy('chalk')],
    [{ alcoholSoftens: true }, finishLeftBy('wallAcrylic')],
    [{ alcoholSoftens: false, waterBeads: true }, 'glossyVarnish'],
    [{ waterBeads: false }, null],
  ])('%j reads as %s', (tests, finishId) => {
    expect(readSurfaceTests(tests)[0]).toMatchObject({ finishId });
  });
  it('a magnet tells iron from brass, and one answer alone may tell nothing', () => {
    expect(readSurfaceTests({ magnetHolds: true })).toMatchObject([{ materialId: 'ferrousMetal' }]);
    expect(readSurfaceTests({ magnetHolds: false })).toMatchObject([{ materialId: 'nonferrousMetal' }]);
    expect(readSurfaceTests({ waterBeads: true })).toEqual([]);
    expect(readSurfaceTests({})).toEqual([]);
  });
  it('each asks something and says how', () => {
    for (const id of surfaceTestIds) {
      expect(surfaceTests[id].question.endsWith('?')).toBe(true);
      expect(surfaceTests[id].how).not.toBe('');
    }
  });
});

describe('what recipes say in words', () => {
  const locale = { units: 'us', currency: 'USD' } as const;
  const said = (code: string, figures: Record<string, string | number>) =>
    sentenceFor({ code, severity: 'note', where: { kind: 'step', id: 'x' }, figures }, locale);
  it('temperatures in the project’s units, differences never with the 32 added', () => {
    expect(said('weather.tooCold', { airC: 8, minimumC: 10 })).toContain('46 °F is too cold: it wants 50 °F');
    expect(said('weather.dew', { spreadC: 2, leastC: 3, dewPointC: 12.5 })).toContain(
      '3.6 °F over the dew point (55 °F): it wants 5.4 °F',
    );
  });
  it('a lesson names what, on what, and what it teaches', () => {
    expect(
      said('lesson.learned', {
        coating: 'Chalk-type paint',
        surface: 'Laminate',
        name: 'peeled',
        lesson: 'it did not grip',
        problem: 'peeled',
      }),
    ).toBe('Chalk-type paint on laminate went wrong before (peeled): it did not grip.');
  });
  it('has a sentence for every finding that a recipe can make', () => {
    for (const code of [
      'zone.tooLarge',
      'zone.unknownShape',
      'layer.unknownTechnique',
      'layer.wrongTechnique',
      'layer.cannotLighten',
      'layer.veilOnly',
      'layer.forbiddenByUse',
      'layer.nowhereNearFood',
      'layer.outdoorsIfLabelled',
      'work.impossible',
      'primer.tintSaves',
      'lesson.learned',
      'weather.tooCold',
      'weather.tooHot',
      'weather.tooDamp',
      'weather.dew',
    ])
      expect(sentenceCodes).toContain(code);
  });
});

describe('the names of options side by side', () => {
  const red = card('red', 'Red', '#a02020');
  const namesOf = (makeovers: [string, string, string][]) => {
    const plan = computePlan(
      rows({
        slots: [slot('one')],
        finds: [stool],
        colorCards: [teal, red],
        recipes: makeovers.map(([id, coating, color]) => recipe(id, stool, coating, color)),
        options: [
          option('plain', 'one', 'asFound', { parts: part('stool') }),
          ...makeovers.map(([id]) => option(id, 'one', 'makeover', { parts: part('stool'), recipeId: id })),
        ],
      }),
      AS_OF,
    );
    return Object.fromEntries(namesOfOptions(plan.model.optionsOf('one')));
  };
  it('are the piece’s where nothing else has that name', () => {
    expect(namesOf([['a', 'chalk', 'teal']])).toEqual({ plain: 'Stool', a: 'Stool' });
  });
  it('tell two makeovers of one piece apart by what differs, else by their number', () => {
    expect(
      namesOf([
        ['a', 'chalk', 'teal'],
        ['b', 'chalk', 'red'],
      ]),
    ).toEqual({ plain: 'Stool', a: 'Stool, deep teal', b: 'Stool, deep red' });
    expect(
      namesOf([
        ['a', 'chalk', 'teal'],
        ['b', 'waterborneEnamel', 'teal'],
      ]),
    ).toEqual({ plain: 'Stool', a: 'Stool, chalk-type paint', b: 'Stool, waterborne enamel' });
    expect(
      namesOf([
        ['a', 'chalk', 'teal'],
        ['b', 'chalk', 'teal'],
      ]),
    ).toEqual({ plain: 'Stool', a: 'Stool, 1', b: 'Stool, 2' });
  });
});
