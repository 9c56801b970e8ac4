import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Assumptions, type OverrideRow } from '../catalog/assumptions';
import { coatings } from '../catalog/coatings';
import type { Skill } from '../catalog/labor.data';
import { materials, oldFinishes } from '../catalog/substrates';
import { finishLeftBy } from '../catalog/substrates.data';
import { hexFromLab, labFromHex } from '../color/lab';
import { minutesOfPiece, needsOfPiece } from '../fixtures/demand';
import { card, find, recipe } from '../fixtures/projectRows';
import { cards, leadFreeFinishes, recipeContext } from '../fixtures/recipes';
import { fromMicro } from '../kernel/micro';
import type { FindRow, RecipeRow } from '../model/rows';
import { sessionPool } from '../plan/model/compilePools';
import { conditions, preparationKinds } from '../state/preparation';
import { setbackProblems } from '../state/setback';
import { furnitureTemplates } from '../surface/templates';
import { zoneUses } from '../surface/zone';
import { techniques } from '../technique';
import { computeRecipe, type RecipePlan } from './computeRecipe';
import { asksMoreThan } from './difficulty';
import { needsOf } from './needsOf';
import { chosenLayer, type RecipeBody, type ZoneEdit } from './recipeBody';
import type { RecipeContext } from './recipeContext';

const compute = (of: FindRow, row: RecipeRow, change: Partial<RecipeContext> = {}) =>
  computeRecipe(row.id, row.body, recipeContext([of], change));
type Computed = ReturnType<typeof compute>;
const kinds = (plan: Computed) => plan.steps.map((step) => step.kind);
const ids = (plan: Computed) => plan.steps.map((step) => step.id);
const layerIds = (plan: Computed) => plan.layers.map((layer) => layer.coating.id);
const codes = (plan: Computed) => plan.findings.map((finding) => `${finding.severity}:${finding.code}`);
const withBody = (row: RecipeRow, change: Partial<RecipeBody>): RecipeRow => ({
  ...row,
  body: { ...row.body, ...change },
});
const withZones = (row: RecipeRow, edits: Record<string, ZoneEdit>): RecipeRow =>
  withBody(row, { pieces: row.body.pieces.map((piece) => ({ ...piece, zoneEdits: edits })) });
const withLayer = (row: RecipeRow, coatingId: string, more: Parameters<typeof chosenLayer>[2] = {}): RecipeRow =>
  withBody(row, { layers: [...row.body.layers, chosenLayer(`on-${coatingId}`, coatingId, more)] });

const oak = find('oak', 1200, { materialId: 'veneer', color: labFromHex('#a9794f') });
const painted = find('painted', 900, { finishId: 'soundOldPaint', sheen: 'matt', color: labFromHex('#e8e2d4') });
const override = (key: string, value: number): OverrideRow => ({
  id: key,
  version: 1,
  key,
  scope: 'project',
  value,
  note: '',
});

describe('facts of the trade (common practice, no source)', () => {
  const black = find('black', 900, { finishId: 'soundOldPaint', sheen: 'matt', color: labFromHex('#000000') });
  const coatsOf = (plan: Computed, id: string) =>
    Math.max(
      ...[...plan.stacks.values()]
        .flat()
        .filter((entry) => plan.layers.find((layer) => layer.id === entry.layerId)?.coating.id === id)
        .map((entry) => entry.coats.coats),
    );
  it('white over black takes three coats or more of ordinary hiding', () => {
    expect(coatsOf(compute(black, recipe('r', black, 'wallAcrylic', 'white')), 'wallAcrylic')).toBeGreaterThanOrEqual(
      3,
    );
  });
  it('dark over light takes one or two coats of a thick paint', () => {
    const plan = compute(painted, recipe('r', painted, 'chalk', 'teal'));
    expect([1, 2]).toContain(coatsOf(plan, 'chalk'));
  });
  it('metal needs a primer under every paint', () => {
    for (const materialId of ['ferrousMetal', 'galvanizedSteel', 'nonferrousMetal'])
      for (const coatingId of ['wallAcrylic', 'aerosolEnamel']) {
        const of = find('metal', 900, { materialId });
        expect(coatings.get(layerIds(compute(of, recipe('r', of, coatingId, 'teal')))[0] ?? '').role).toBe('primer');
      }
  });
  it('an oil-based conditioner under a water-based stain is refused', () => {
    const pine = find('pine', 900, { materialId: 'pine' });
    const plan = compute(
      pine,
      withLayer(recipe('r', pine, 'oilConditioner', null), 'waterborneStain', { colorCardId: 'walnut' }),
    );
    expect(codes(plan)).toContain('refuse:joint.never');
  });
  it('three layers on metal have two waits between and one after', () => {
    const lamp = find('lamp', 900, { materialId: 'ferrousMetal', templateId: 'lampBase', measures: {} });
    const plan = compute(lamp, withLayer(recipe('r', lamp, 'aerosolEnamel', 'teal'), 'aerosolClear'));
    expect(layerIds(plan)).toEqual(['rustPrimer', 'aerosolEnamel', 'aerosolClear']);
    const firstCoats = plan.steps.filter((step) => step.kind === 'coat' && step.coat === 1);
    const waits = firstCoats.map((step) => step.after[0]?.allowed[0]?.fromHours ?? 0);
    // The primer's day, the enamel's minutes within the hour; and handling time before it is put together.
    expect(waits.slice(1)).toEqual([24, 0.05]);
    expect(plan.steps.at(-1)?.kind).toBe('reassemble');
    expect(plan.steps.at(-1)?.after[0]?.allowed[0]?.fromHours).toBe(2);
  });
});

describe('what cannot cover', () => {
  it('a stain lighter than what is there is refused, with the nearest thing that works', () => {
    const dark = find('dark', 900, { materialId: 'hardwood', color: labFromHex('#3a2415') });
    const plan = compute(dark, recipe('r', dark, 'waterborneStain', 'white'));
    const finding = plan.findings.find((entry) => entry.code === 'layer.cannotLighten');
    expect(finding).toMatchObject({ severity: 'refuse', fix: { kind: 'replaceCoating' } });
    const fix = finding?.fix;
    if (fix?.kind !== 'replaceCoating') throw new Error('no fix');
    expect(codes(compute(dark, recipe('r', dark, fix.coatingId, 'white')))).not.toContain('refuse:layer.cannotLighten');
  });
  it('a lighter wash is told to be a veil', () => {
    const basket = find('basket', 900, {
      materialId: 'wicker',
      templateId: 'basket',
      measures: {},
      color: labFromHex('#6b4a2a'),
    });
    const plan = compute(
      basket,
      withLayer(recipe('r', basket, 'chalk', 'white', { layers: [] }), 'wallAcrylic', {
        techniqueId: 'wash',
        colorCardId: 'white',
      }),
    );
    expect(codes(plan)).toContain('note:layer.veilOnly');
    const entry = plan.stacks.get('piece-basket/outside')?.[0];
    expect(entry?.waterMl).toBeCloseTo(entry?.amount ?? 0, 9);
    const shown = entry?.leaves.color?.L ?? 0;
    expect(shown > 34 && shown < 90).toBe(true);
  });
  it('a stain keeps the grain: the color lies between the wood and the stain', () => {
    const pine = find('pine', 900, { materialId: 'pine', color: labFromHex('#d9b382') });
    const plan = compute(pine, recipe('r', pine, 'oilStain', 'walnut'));
    const color = plan.stacks.get('piece-pine/top')?.find((entry) => entry.layerId === 'layer-r')?.leaves.color;
    expect(color && hexFromLab(color)).not.toBe('#5b3a23');
    expect((color?.L ?? 0) < 75 && (color?.L ?? 0) > 28).toBe(true);
  });
});

describe('a use', () => {
  const used = (use: ZoneEdit['use'], coatingId: string, more = {}) =>
    compute(
      painted,
      withZones(
        recipe('r', painted, coatingId, 'teal'),
        Object.fromEntries(['top', 'carcass', 'drawers', 'bay'].map((id) => [id, { use: use as never, ...more }])),
      ),
    );
  it('outdoors asks for a clear coat that may stand there', () => {
    expect(layerIds(used('outdoors', 'chalk')).at(-1)).toBe('waterbornePolyurethane');
    expect(layerIds(used('outdoors', 'aerosolStone')).at(-1)).toBe('aerosolClear');
  });
  it('only seen leaves craft acrylic bare, handled asks for a clear coat', () => {
    expect(layerIds(used('seen', 'craftAcrylic'))).toEqual(['craftAcrylic']);
    expect(layerIds(used('handled', 'craftAcrylic'))).toEqual(['craftAcrylic', 'waterClear']);
  });
  it('on a table top a mineral paint is sealed, elsewhere not', () => {
    expect(layerIds(used('tableTop', 'mineralPaint'))).toContain('waterClear');
    expect(layerIds(used('handled', 'mineralPaint'))).not.toContain('waterClear');
  });
  it('near heat and in the wet forbids wax', () => {
    for (const use of ['wet', 'nearHeat'] as const) {
      const row = withLayer(recipe('r', painted, 'chalk', 'teal'), 'clearWax');
      const plan = compute(painted, withZones(row, { top: { use } }));
      expect(codes(plan)).toContain('stop:layer.forbiddenByUse');
    }
  });
  it('near food refuses what has no place there', () => {
    expect(codes(used('food', 'aerosolStone'))).toContain('refuse:layer.nowhereNearFood');
    expect(codes(used('seen', 'aerosolStone'))).not.toContain('refuse:layer.nowhereNearFood');
  });
  it('a chalkboard gets no clear coat, and is seasoned after three days', () => {
    const plan = used('handled', 'chalkboardPaint');
    expect(layerIds(plan)).toEqual(['chalkboardPaint']);
    const season = plan.steps.find((step) => step.kind === 'finish');
    expect(season?.after[0]?.allowed[0]?.fromHours).toBe(72);
  });
});

describe('what is there, zone by zone', () => {
  it('a zone with another finish has its own joints', () => {
    const plan = compute(
      oak,
      withZones(recipe('r', oak, 'chalk', 'teal'), { top: { finishId: finishLeftBy('clearWax') } }),
    );
    expect(plan.stacks.get('piece-oak/top')?.[0]?.joint.ruleId).toBe('waxOld.chalk');
    expect(plan.stacks.get('piece-oak/carcass')?.[0]?.joint.ruleId).not.toBe('waxOld.chalk');
    expect(kinds(plan)[0]).toBe('testPatch');
  });
  it('stains are sealed with shellac, dents filled, grease wiped, polish washed off', () => {
    const worked = (condition: (typeof conditions)[number]) =>
      compute(painted, withZones(recipe('r', painted, 'wallAcrylic', 'white'), { top: { conditions: [condition] } }));
    expect(
      worked('stained')
        .stacks.get('piece-painted/top')
        ?.map((entry) => entry.layerId)[0],
    ).toContain('shellacPrimer');
    expect(kinds(worked('dented'))).toContain('fill');
    expect(kinds(worked('greasy'))).toContain('alcoholWipe');
    expect(kinds(worked('polished'))).toContain('dewax');
    expect(
      worked('polished')
        .stacks.get('piece-painted/top')
        ?.map((entry) => entry.layerId)[0],
    ).toContain('shellacPrimer');
  });
  it('stripped, the wood takes a stain that the varnish kept out', () => {
    const varnished = find('varnished', 900, {
      materialId: 'hardwood',
      finishId: 'glossyVarnish',
      color: labFromHex('#9b6b43'),
    });
    const row = recipe('r', varnished, 'oilStain', 'walnut');
    expect(codes(compute(varnished, row))).toContain('refuse:joint.never');
    const plan = compute(varnished, withBody(row, { preparations: [{ kind: 'strip', zoneKeys: 'all' }] }));
    expect(codes(plan)).not.toContain('refuse:joint.never');
    expect(kinds(plan).indexOf('strip')).toBeLessThan(kinds(plan).indexOf('clean'));
    expect(needsOfPiece(plan, 'varnished').get('stripper||')).toBeGreaterThan(0);
    expect(codes(plan)).toContain('stop:caution.stripper.choice');
  });
  it('keeps the texture of the weave under an old varnish', () => {
    const hamper = find('hamper', 900, {
      materialId: 'wicker',
      finishId: 'glossyVarnish',
      templateId: 'freeBox',
      measures: {},
    });
    expect(compute(hamper, recipe('r', hamper, 'gelStain', 'walnut')).zones[0]?.texture).toBe(2);
  });
  it('takes a shape of the library for a zone, and zones of one’s own', () => {
    const row = withZones(recipe('r', oak, 'chalk', 'teal'), {
      top: { shape: { kind: 'disc', values: { diameterMm: 400, edgeMm: 0 } } },
    });
    const own = withBody(row, {
      pieces: row.body.pieces.map((piece) => ({
        ...piece,
        ownZones: [{ id: 'feet', name: 'Four ball feet', shape: { kind: 'sphere', values: { diameterMm: 80 } } }],
        zoneEdits: { ...piece.zoneEdits, feet: { count: 4 } },
      })),
    });
    const plan = compute(oak, own);
    const area = (id: string) => plan.zones.find((zone) => zone.zone.id === id)?.projectedAreaM2;
    expect(area('top')).toBeCloseTo(Math.PI * 0.04, 6);
    expect(area('feet')).toBeCloseTo(4 * 0.02010619, 6);
    expect(plan.zones.find((zone) => zone.zone.id === 'feet')?.zone.letter).toBe('E');
  });
});

describe('grout', () => {
  const wall = find('wall', 0, {
    templateId: 'tiles',
    measures: { widthMm: 1000, heightMm: 1000, tileMm: 100, jointMm: 3 },
    materialId: 'glazedCeramic',
    color: labFromHex('#2f5d62'),
  });
  it('is a zone of its own material between the tiles; only its joints take colorant', () => {
    const plan = compute(wall, recipe('r', wall, 'groutColorant', 'white'));
    const joints = plan.zones.find((zone) => zone.zone.id === 'joints');
    expect(joints).toMatchObject({ material: { id: 'groutJoint' }, colorEstimated: true });
    expect(joints?.projectedAreaM2).toBeCloseTo(1 - 10_000 / 103 ** 2, 9);
    expect(plan.stacks.get('piece-wall/joints')?.[0]?.joint.verdict).toBe('ok');
    expect(codes(plan)).not.toContain('refuse:joint.never');
  });
  it('that was sealed is stripped first; old grout is tested for asbestos before it is worked on', () => {
    const old = { ...wall, era: 'unknown' as const };
    const plan = compute(old, recipe('r', old, 'groutColorant', 'white'));
    expect(codes(plan)).toContain('stop:caution.asbestos.old');
  });
});

describe('steps', () => {
  it('coat one face, wait until it can be handled, then the other', () => {
    const door = find('door', 900, { materialId: 'laminate', templateId: 'door', measures: {} });
    const plan = compute(door, recipe('r', door, 'waterborneEnamel', 'teal'));
    const back = plan.steps.find((step) => step.id === 'coat:layer-r:1:back');
    expect(back?.after[0]?.allowed[0]?.fromHours).toBe(16);
    const front = plan.steps.find((step) => step.id === 'coat:layer-r:1');
    const turned = plan.zones.filter((zone) => zone.zone.sides === 2).map((zone) => zone.key);
    expect(back?.zoneKeys).toEqual(turned);
    // Both faces together are one coat over everything: 15 min/m², profiles 1.4.
    const whole = plan.zones
      .filter((zone) => zone.zone.included)
      .reduce((sum, zone) => sum + zone.areaM2 * 15 * (zone.zone.detail === 'profiles' ? 1.4 : 1), 0);
    expect((front?.runMinutes ?? 0) + (back?.runMinutes ?? 0)).toBeCloseTo(whole, 9);
  });
  it('sand between coats where the table says, never on a weave', () => {
    expect(kinds(compute(painted, recipe('r', painted, 'waterborneEnamel', 'teal')))).toContain('sandBetween');
    expect(
      kinds(compute(painted, recipe('r', painted, 'wallAcrylic', 'teal', { dropped: ['topcoat:waterClear'] }))),
    ).not.toContain('sandBetween');
    const hamper = find('hamper', 900, { materialId: 'wicker', templateId: 'basket', measures: {} });
    expect(kinds(compute(hamper, recipe('r', hamper, 'waterborneEnamel', 'teal')))).not.toContain('sandBetween');
  });
  it('seal the raw edges of board by the meter, brush out a weave, mask what a spray must not reach', () => {
    const board = find('board', 900, { materialId: 'mdf', templateId: 'shelf', measures: {} });
    const plan = compute(board, recipe('r', board, 'waterborneEnamel', 'teal'));
    const edges = plan.steps.find((step) => step.kind === 'sealEdges');
    // One board 900 × 200 mm has 2.2 m of edge: 3 min a meter.
    expect(edges?.runMinutes).toBeCloseTo(6.6, 6);
    const hamper = find('hamper', 900, { materialId: 'wicker', templateId: 'basket', measures: {} });
    const sprayed = compute(hamper, recipe('r', hamper, 'aerosolEnamel', 'teal'));
    expect(kinds(sprayed).slice(0, 2)).toEqual(['brushOut', 'clean']);
    expect(sprayed.steps.find((step) => step.kind === 'mask')?.supplies[0]?.amount).toBeGreaterThan(0);
  });
  it('dry slower in the cold, and say when it is too cold, too damp or too near the dew point', () => {
    const lamp = find('lamp', 900, { materialId: 'ferrousMetal', templateId: 'lampBase', measures: {} });
    const row = recipe('r', lamp, 'aerosolEnamel', 'teal');
    const cold = compute(lamp, row, {
      assumptions: new Assumptions([override('climate.airC', 8), override('climate.humidityPercent', 90)]),
    });
    expect(codes(cold)).toEqual(
      expect.arrayContaining(['stop:weather.tooCold', 'stop:weather.tooDamp', 'stop:weather.dew']),
    );
    const cool = compute(painted, recipe('r', painted, 'chalk', 'teal'), {
      assumptions: new Assumptions([override('climate.airC', 11)]),
    });
    expect(cool.steps.find((step) => step.id === 'coat:layer-r:2')?.after[0]?.allowed[0]?.fromHours).toBe(4);
    expect(codes(compute(lamp, row)).filter((code) => code.includes('weather'))).toEqual([]);
  });
  it('count the surface that was measured, not the air', () => {
    const lamp = find('lamp', 900, { materialId: 'ferrousMetal', templateId: 'lampBase', measures: {} });
    const at = (surface: number) =>
      codes(
        compute(lamp, recipe('r', lamp, 'aerosolEnamel', 'teal'), {
          assumptions: new Assumptions([
            override('climate.airC', 25),
            override('climate.humidityPercent', 60),
            override('climate.surfaceC', surface),
          ]),
        }),
      );
    expect(at(18)).toContain('stop:weather.dew');
    expect(at(25)).not.toContain('stop:weather.dew');
  });
  it('can be left out, and own ones put in between: what follows waits for them', () => {
    const row = recipe('r', painted, 'chalk', 'teal', {
      stepEdits: { clean: { skipped: true } },
      ownSteps: [{ id: 'own', title: 'Line the drawers', minutes: 25, waitHours: 3, afterStepId: 'scuff' }],
    });
    const plan = compute(painted, row);
    expect(plan.steps.find((step) => step.id === 'clean')).toMatchObject({
      skipped: true,
      runMinutes: 0,
      supplies: [],
    });
    expect(ids(plan).indexOf('own')).toBe(ids(plan).indexOf('scuff') + 1);
    const next = plan.steps[ids(plan).indexOf('own') + 1];
    expect(next?.after).toContainEqual({ stepId: 'own', allowed: [{ fromHours: 3, toHours: null, extraSteps: [] }] });
    const without = compute(
      painted,
      recipe('r', painted, 'chalk', 'teal', { stepEdits: { clean: { skipped: true } } }),
    );
    expect(minutesOfPiece(plan, 'painted').likely - minutesOfPiece(without, 'painted').likely).toBeCloseTo(25, 9);
  });
  it('put the test patch first, with its wait and what to look for, where the surface is uncertain', () => {
    const bin = find('bin', 900, { materialId: 'polypropylene', templateId: 'freeBox', measures: {} });
    const plan = compute(
      bin,
      withBody(recipe('r', bin, 'aerosolEnamel', 'teal'), {
        layers: [chosenLayer('p', 'adhesionPromoter'), chosenLayer('e', 'aerosolEnamel', { colorCardId: 'teal' })],
      }),
    );
    expect(plan.steps[0]).toMatchObject({ kind: 'testPatch', hint: expect.stringContaining('tape') });
    expect(plan.steps[1]?.after[0]?.allowed[0]?.fromHours).toBe(24);
    expect(kinds(compute(painted, recipe('r', painted, 'chalk', 'teal')))).not.toContain('testPatch');
  });
  it('say what the hand needs: straight lines are a first piece, weave and stencil want practice', () => {
    const plain = compute(painted, recipe('r', painted, 'chalk', 'teal'));
    expect(plain.difficulty).toEqual({ level: 1, because: [] });
    // Carving found in the shop: more minutes with the brush, no step of its own, and no beginner's piece any more.
    const carved = { ...painted, inspected: [{ check: 'wood.lines', verdict: 'flaw' as const }] };
    const fiddly = compute(carved, recipe('r', carved, 'chalk', 'teal'));
    expect(fiddly.difficulty).toEqual({ level: 2, because: ['carving: the brush has to get into every groove'] });
    expect(
      ['beginner', 'practiced', 'professional'].map((skill) => asksMoreThan(fiddly.difficulty, skill as Skill)),
    ).toEqual([true, false, false]);
    const minutes = (of: RecipePlan) =>
      of.steps.filter(({ kind }) => kind === 'coat').reduce((sum, { runMinutes }) => sum + runMinutes, 0);
    expect(minutes(fiddly)).toBeGreaterThan(minutes(plain));
    // The top stays flat: less than 1.4 times as long (figures.md, 7: profiles by brush).
    expect(minutes(fiddly)).toBeLessThan(1.4 * minutes(plain));
    expect(fiddly.steps.filter(({ kind }) => kind === 'mend')).toEqual([]);
    const stenciled = withLayer(recipe('r', painted, 'chalk', 'teal'), 'craftAcrylic', {
      techniqueId: 'stencil',
      colorCardId: 'white',
    });
    expect(compute(painted, stenciled).difficulty.level).toBe(2);
  });
});

describe('two layers of one coating', () => {
  it('are told apart by their colors', () => {
    const row = withLayer(recipe('r', painted, 'chalk', 'teal'), 'chalk', { colorCardId: 'white' });
    const titles = compute(painted, row).steps.map((step) => step.title);
    expect(titles).toContain('Chalk-type paint, Teal, coat 1 of 2');
    expect(titles.some((title) => title.startsWith('Chalk-type paint, White'))).toBe(true);
    expect(compute(painted, recipe('r', painted, 'chalk', 'teal')).steps.map((step) => step.title)).toContain(
      'Chalk-type paint, coat 1 of 2',
    );
  });
});

describe('accents and aging', () => {
  it('an accent leaves what is beneath open: the clear coat has to hold on both', () => {
    const row = withLayer(recipe('r', painted, 'chalk', 'teal'), 'craftAcrylic', {
      techniqueId: 'dryBrush',
      colorCardId: 'white',
    });
    const plan = compute(painted, row);
    const clear = plan.stacks.get('piece-painted/carcass')?.at(-1);
    // Chalk-type paint wants a day before the clear coat, the craft paint on top an hour: the day counts.
    expect(clear?.joint.waitHours).toBe(24);
    const accent = plan.stacks.get('piece-painted/carcass')?.find((entry) => entry.layerId === 'on-craftAcrylic');
    expect(accent?.coats).toMatchObject({ coats: 1, reason: 'technique' });
    expect(accent?.reachedM2.projected).toBeCloseTo(
      0.3 * (plan.zones.find((zone) => zone.zone.id === 'carcass')?.projectedAreaM2 ?? 0),
      9,
    );
  });
  it('distressing opens the layer beneath, takes sandpaper, and is left out while lead is open', () => {
    const row = withBody(recipe('r', painted, 'chalk', 'teal'), {
      layers: [
        chosenLayer('layer-r', 'chalk', { colorCardId: 'teal' }),
        { ...chosenLayer('rub', ''), coatingId: null, techniqueId: 'distress' },
      ],
    });
    const plan = compute(painted, row);
    expect(kinds(plan)).toContain('work');
    expect(plan.works[0]?.zoneKeys.length).toBe(4);
    const old = find('old', 900, { finishId: 'soundOldPaint', sheen: 'matt', era: 'unknown' });
    const refused = compute(old, {
      ...row,
      body: { ...row.body, pieces: recipe('r', old, 'chalk', 'teal').body.pieces },
    });
    expect(kinds(refused)).not.toContain('work');
    expect(codes(refused)).toContain('warn:work.impossible');
  });
  it('dark wax on bare chalk-type paint is refused, on clear wax it holds', () => {
    const bare = withLayer(recipe('r', painted, 'chalk', 'teal'), 'darkWax', { colorCardId: 'walnut' });
    expect(codes(compute(painted, bare))).toContain('refuse:joint.never');
    const waxed = withLayer(withLayer(recipe('r', painted, 'chalk', 'teal'), 'clearWax'), 'darkWax', {
      colorCardId: 'walnut',
    });
    expect(codes(compute(painted, waxed))).not.toContain('refuse:joint.never');
  });
});

describe('a tinted primer', () => {
  const laminate = find('laminate', 900, { materialId: 'laminate', color: labFromHex('#d8d2c6') });
  const charcoal = card('charcoal', 'Charcoal', '#23262b');
  const colorCards = new Map([...cards, charcoal].map((entry) => [entry.id, entry]));
  const offersOf = (coatingId: string, cardId: string) =>
    compute(laminate, recipe('r', laminate, coatingId, cardId), { colorCards }).findings.filter(
      (finding) => finding.code === 'primer.tintSaves',
    );
  const offered = ['charcoal', 'walnut', 'teal', 'yellow'].flatMap((cardId) =>
    ['wallAcrylic', 'waterborneEnamel', 'aerosolEnamel', 'chalk']
      .filter((coatingId) => offersOf(coatingId, cardId).length > 0)
      .map((coatingId) => [coatingId, cardId] as const),
  );
  it('is offered under some dark paints', () => {
    expect(offered.length).toBeGreaterThan(0);
  });
  it.each(offered)('saves what it said under %s in %s', (coatingId, cardId) => {
    const [offer] = offersOf(coatingId, cardId);
    const fix = offer?.fix;
    if (fix?.kind !== 'tintPrimer') throw new Error('no tint');
    const tinted = { ...card('tint', 'Tint', '#000000'), lab: fix.lab };
    const row = recipe('r', laminate, coatingId, cardId, { primerTints: { [fix.layerId]: 'tint' } });
    const after = compute(laminate, row, { colorCards: new Map([...colorCards, ['tint', tinted]]) });
    const coats = [...after.stacks.values()].map(
      (entries) => entries.find((entry) => entry.layerId === 'layer-r')?.coats.coats,
    );
    expect(coats).toContain(offer?.figures.coats);
    expect([...needsOfPiece(after, 'laminate').keys()]).toContain('bondingPrimer|tint|matt');
  });
});

describe('a coat that went wrong', () => {
  const setback = (problem: (typeof setbackProblems)[number], coat = 2) =>
    compute(
      painted,
      recipe('r', painted, 'chalk', 'teal', { setbacks: [{ id: 's', layerId: 'layer-r', coat, problem, note: '' }] }),
    );
  const plain = compute(painted, recipe('r', painted, 'chalk', 'teal'));
  it.each(setbackProblems)('%s: is mended from the failed coat on, and takes more paint and time', (problem) => {
    const plan = setback(problem);
    const failed = ids(plan).indexOf('coat:layer-r:2');
    const redo = ids(plan).indexOf('coat:layer-r:2:s');
    expect(failed).toBeGreaterThan(-1);
    expect(redo).toBeGreaterThan(failed);
    const need = (of: Computed) => needsOfPiece(of, 'painted').get('chalk|teal|matt') ?? 0;
    expect(need(plan)).toBeGreaterThan(need(plain));
    expect(minutesOfPiece(plan, 'painted').likely).toBeGreaterThan(minutesOfPiece(plain, 'painted').likely);
  });
  it('peeled repeats the layer from its first coat, over a bonding primer', () => {
    expect(ids(setback('peeled'))).toEqual(
      expect.arrayContaining(['mend:s:primer', 'coat:layer-r:1:s', 'coat:layer-r:2:s']),
    );
  });
  it('counts the session of a primer that mends, as its step shows it', () => {
    const plan = setback('peeled');
    const step = plan.steps.find((entry) => entry.id === 'mend:s:primer');
    expect(plan.sessions.get('bondingPrimer||matt')).toBe(1);
    const { micro } = sessionPool({ key: 'bondingPrimer||matt', assumptions: new Assumptions([]) });
    expect(fromMicro(micro)).toBe((step?.setUpMinutes ?? 0) + (step?.cleanUpMinutes ?? 0));
    expect(plain.sessions.has('bondingPrimer||matt')).toBe(false);
  });
  it('the clear coat waits for the coat that was repeated', () => {
    const plan = setback('ran');
    const clear = plan.steps.find(
      (step) => step.kind === 'coat' && step.layerId === 'topcoat:waterClear' && step.coat === 1,
    );
    expect(clear?.after[0]?.stepId).toBe('coat:layer-r:2:s');
  });
  it('is a lesson for the next recipe with the same coating on the same surface', () => {
    const lessons = [
      { recipeId: 'other', coatingId: 'chalk', substrateId: 'soundOldPaint', problem: 'peeled' as const },
    ];
    expect(codes(compute(painted, recipe('r', painted, 'chalk', 'teal'), { lessons }))).toContain(
      'note:lesson.learned',
    );
    expect(codes(compute(oak, recipe('r', oak, 'chalk', 'teal'), { lessons }))).not.toContain('note:lesson.learned');
  });
});

describe('bad input', () => {
  it('is named at its field, and the rest still computes', () => {
    const row = withZones(recipe('r', oak, 'chalk', 'teal'), {
      top: { shape: { kind: 'rectangle', values: { widthMm: 0 } } },
      carcass: { shape: { kind: 'rectangle', values: { widthMm: 90_000, heightMm: 90_000 } } },
    });
    const plan = compute(
      oak,
      withBody(row, {
        pieces: row.body.pieces.map((piece) => ({
          ...piece,
          ownZones: [{ id: 'odd', name: 'Odd', shape: { kind: 'moebius', values: {} } }],
        })),
      }),
    );
    expect(codes(plan)).toEqual(
      expect.arrayContaining(['warn:zone.noArea', 'warn:zone.tooLarge', 'warn:zone.unknownShape']),
    );
    expect(needsOfPiece(plan, 'oak').get('chalk|teal|matt')).toBeGreaterThan(0);
  });
  it('a coating in a technique that cannot lay it is refused, with the usual one as its fix', () => {
    const row = withBody(recipe('r', oak, 'chalk', 'teal'), {
      layers: [chosenLayer('x', 'aerosolEnamel', { techniqueId: 'brushOn', colorCardId: 'teal' })],
    });
    expect(compute(oak, row).findings.find((finding) => finding.code === 'layer.wrongTechnique')).toMatchObject({
      severity: 'refuse',
      fix: { kind: 'setTechnique', techniqueId: 'sprayOn' },
    });
  });
});

/** Any recipe at all: several layers in any technique, preparations, conditions, setbacks, steps left out. */
const anyRecipe = fc
  .record({
    templateId: fc.constantFrom(...furnitureTemplates.ids),
    materialId: fc.constantFrom(...materials.map((row) => row.id)),
    finishId: fc.constantFrom(null, ...oldFinishes.map((row) => row.id)),
    era: fc.constantFrom('unknown' as const, 'recent' as const),
    layers: fc.array(
      fc.record({
        techniqueId: fc.constantFrom(...techniques.ids),
        pick: fc.nat({ max: 30 }),
        cardId: fc.constantFrom('teal', 'white', 'walnut', null),
        some: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    preparations: fc.uniqueArray(fc.constantFrom(...preparationKinds), { maxLength: 3 }),
    condition: fc.constantFrom(...conditions),
    use: fc.constantFrom(...zoneUses),
    problem: fc.constantFrom(...setbackProblems),
    sides: fc.constantFrom(1 as const, 2 as const),
    count: fc.integer({ min: 1, max: 3 }),
    airC: fc.integer({ min: 5, max: 35 }),
  })
  .map((entry) => {
    const of = find('any', 900, { ...entry, measures: {} });
    const row = recipe('r', of, 'chalk', 'teal');
    const piece = row.body.pieces[0];
    const zones = furnitureTemplates
      .get(entry.templateId)
      .zones(Object.fromEntries(furnitureTemplates.get(entry.templateId).measures.map((m) => [m.id, m.standard])));
    const layers = entry.layers.map((layer, n) => {
      const technique = techniques.get(layer.techniqueId);
      const accepted = coatings.all.filter((coating) => technique.accepts(coating));
      const coating = accepted[layer.pick % Math.max(1, accepted.length)];
      return {
        ...chosenLayer(`l${n}`, coating?.id ?? ''),
        coatingId: coating?.id ?? null,
        techniqueId: layer.techniqueId,
        colorCardId: layer.cardId,
        zoneKeys: layer.some ? [`${piece?.id}/${zones[0]?.id}`] : ('all' as const),
      };
    });
    const body: RecipeBody = {
      ...row.body,
      layers,
      preparations: entry.preparations.map((kind) => ({ kind, zoneKeys: 'all' as const })),
      setbacks: [{ id: 's', layerId: 'l0', coat: 1, problem: entry.problem, note: '' }],
      stepEdits: { clean: { skipped: true } },
      ownSteps: [{ id: 'own', title: 'Own', minutes: 12, waitHours: 1, afterStepId: 'dismantle' }],
      pieces: row.body.pieces.map((each) => ({
        ...each,
        count: entry.count,
        zoneEdits: { [zones[0]?.id ?? '']: { use: entry.use, conditions: [entry.condition], sides: entry.sides } },
      })),
    };
    const context = recipeContext([of], { assumptions: new Assumptions([override('climate.airC', entry.airC)]) });
    return { entry, body, plan: computeRecipe('r', body, context), context };
  });

describe('any recipe at all', () => {
  const runs = { numRuns: 150 };
  it('has steps that follow only earlier steps, waits that can be kept, and figures that are finite', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan }) => {
        const seen = new Set<string>();
        for (const step of plan.steps) {
          for (const link of step.after) {
            expect(seen.has(link.stepId)).toBe(true);
            for (const { fromHours, toHours } of link.allowed)
              expect(fromHours >= 0 && (toHours === null || toHours >= fromHours)).toBe(true);
          }
          expect(seen.has(step.id)).toBe(false);
          seen.add(step.id);
          expect(Number.isFinite(step.runMinutes) && step.runMinutes >= 0).toBe(true);
          for (const supply of step.supplies) expect(Number.isFinite(supply.amount) && supply.amount >= 0).toBe(true);
        }
      }),
      runs,
    );
  });
  it('takes in its steps exactly what its pieces take', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan, entry, body }) => {
        const inSteps = new Map<string, number>();
        for (const step of plan.steps)
          for (const supply of step.supplies)
            if (supply.amount > 0) inSteps.set(supply.supplyKey, (inSteps.get(supply.supplyKey) ?? 0) + supply.amount);
        // Two layers of one supply share their sessions, and so what stays in the tray: each step still shows its own.
        const keys = plan.layers.map(({ supplyKey }) => supplyKey);
        const isShared = (key: string) => keys.indexOf(key) !== keys.lastIndexOf(key);
        // Needs are kept in millionths, each zone rounded by itself.
        for (const [key, amount] of needsOf(plan, body))
          if (amount > 0 && !isShared(key))
            expect(Math.abs((inSteps.get(key) ?? 0) - amount)).toBeLessThanOrEqual(
              0.0005 * amount + 1e-6 * (plan.zones.length + plan.residues.length) * entry.count,
            );
        expect(plan.steps.reduce((sum, step) => sum + step.runMinutes, 0)).toBeCloseTo(
          minutesOfPiece(plan, 'any').likely * entry.count,
          3,
        );
      }),
      runs,
    );
  });
  it('never abrades an old finish while lead is open', () => {
    const abrasive = new Set(['scuff', 'sandBack', 'fill', 'removeRust']);
    fc.assert(
      fc.property(anyRecipe, ({ plan, entry }) => {
        const closed = new Set(plan.zones.filter((zone) => zone.noSand).map((zone) => zone.key));
        const ownMaterial = entry.templateId === 'tiles';
        expect(closed.size > 0).toBe(
          !leadFreeFinishes.includes(entry.finishId) &&
            entry.era === 'unknown' &&
            (!ownMaterial || plan.zones.length > 1),
        );
        const first = plan.steps.findIndex((step) => step.kind === 'coat');
        const before = plan.steps.slice(0, first < 0 ? plan.steps.length : first);
        for (const step of before)
          if (abrasive.has(step.kind)) expect(step.zoneKeys.filter((key) => closed.has(key))).toEqual([]);
      }),
      runs,
    );
  });
  it('gives the same plan twice and leaves its input as it was', () => {
    fc.assert(
      fc.property(anyRecipe, ({ body, context, plan }) => {
        const before = JSON.stringify(body);
        expect(JSON.stringify(computeRecipe('r', body, context).steps)).toBe(JSON.stringify(plan.steps));
        expect(JSON.stringify(body)).toBe(before);
      }),
      { numRuns: 40 },
    );
  });
});
