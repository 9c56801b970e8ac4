import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WorkWindows } from '../calendar/workWindows';
import { Assumptions, assumptionDefinitions } from '../catalog/assumptions';
import { minutesOfPiece } from '../fixtures/demand';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { ML_PER_US_FLUID_OUNCE, ML_PER_US_GALLON } from '../kernel/units';
import type { FindRow, RecipeRow } from '../model/rows';
import { emptyHousehold } from '../state/brief';
import { techniques } from '../technique';
import type { QuantityInput } from '../technique/technique';
import { computeRecipe } from './computeRecipe';
import { needsOf } from './needsOf';
import { readyDates, scheduleWork } from './readyDates';
import { chosenLayer } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import { cautionsAt } from './recipeFindings';

const amount = (id: string, input: QuantityInput): number => techniques.get(id).quantity(input, {});
const context = (of: FindRow, change: Partial<RecipeContext> = {}): RecipeContext => recipeContext([of], change);
const compute = (of: FindRow, row: RecipeRow, change: Partial<RecipeContext> = {}) =>
  computeRecipe(row.id, row.body, context(of, change));
const layerIds = (plan: ReturnType<typeof compute>) => plan.layers.map((layer) => layer.coating.id);
const codes = (plan: ReturnType<typeof compute>) =>
  plan.findings.map((finding) => `${finding.severity}:${finding.code}`);

describe('quantities', () => {
  it('takes 18.52 fl oz for a 2.2916 m² dresser, 2 coats at 375 ft²/gal with 10 % loss', () => {
    // Example 20 of the trade's reference sheet: 0.14471 gal = 18.52 fl oz = 0.5478 L.
    const mL = amount('brushOn', {
      projectedAreaM2: 24.6667 * 0.09290304,
      texture: 1,
      absorption: 1,
      coats: 2,
      spreadingRate: 375 * (0.09290304 / (ML_PER_US_GALLON / 1000)),
      lossPercent: 10,
      detail: 'flat',
    });
    expect(mL / ML_PER_US_FLUID_OUNCE).toBeCloseTo(18.52, 2);
  });
  it('puts absorption on the first coat only and the loss on all of it once', () => {
    const base = { projectedAreaM2: 1, texture: 1, spreadingRate: 10, lossPercent: 8, detail: 'flat' as const };
    expect(amount('brushOn', { ...base, absorption: 1.3, coats: 2 })).toBeCloseTo((1.3 + 1) * 100 * 1.08, 9);
    expect(amount('brushOn', { ...base, absorption: 1.3, coats: 0 })).toBe(0);
  });
  it('sprays projected area over rate and efficiency, with no texture and no loss', () => {
    expect(
      amount('sprayOn', {
        projectedAreaM2: 1.39,
        texture: 2,
        absorption: 2,
        coats: 3,
        spreadingRate: 1.39,
        lossPercent: 8,
        detail: 'spindles',
      }),
    ).toBeCloseTo(3 / 0.6, 9);
  });
  it('gives the primer the absorption of the wood and the paint none', () => {
    const of = find('pine', 900, { materialId: 'pine' });
    const plan = compute(of, recipe('r', of, 'chalk', 'white'));
    const [primer, paint] = plan.stacks.get('piece-pine/top') ?? [];
    expect([primer?.quantity.absorption, paint?.quantity.absorption]).toEqual([1.3, 1]);
  });
});

describe('a roller', () => {
  const panel = find('panel', 900, {
    templateId: 'door',
    materialId: 'mdf',
    finishId: 'soundOldPaint',
    sheen: 'matt',
    era: 'recent',
    measures: { widthMm: 600, heightMm: 2000, thickMm: 40, panels: 0 },
  });
  const paintOf = (techniqueId: string, count: number, change: Partial<RecipeRow['body']> = {}) => {
    const row = recipe('r', panel, 'wallAcrylic', 'white');
    const body = {
      ...row.body,
      ...change,
      pieces: row.body.pieces.map((piece) => ({ ...piece, count })),
      layers: row.body.layers.map((layer) => ({ ...layer, techniqueId, coats: 2 })),
    };
    const plan = computeRecipe('r', body, context(panel));
    const key = plan.layers.find(({ coating }) => coating.id === 'wallAcrylic')?.supplyKey ?? '';
    return { plan, amount: needsOf(plan, body).get(key) ?? 0 };
  };
  it('loses twelve percent, and leaves 80 ml in its tray each session, however many pieces it rolls', () => {
    const brushed = paintOf('brushOn', 1).amount / 1.08;
    expect(paintOf('roller', 1).amount).toBeCloseTo(brushed * 1.12 + 2 * 80, 3);
    expect(paintOf('roller', 6).amount).toBeCloseTo(6 * brushed * 1.12 + 2 * 80, 3);
    expect(paintOf('miniRoller', 6).amount).toBeCloseTo(6 * brushed * 1.12 + 2 * 40, 3);
  });
  it('takes a quarter of the brush’s minutes on flat faces, and is no quicker on spindles', () => {
    const minutes = (of: ReturnType<typeof paintOf>) =>
      of.plan.steps
        .filter(({ kind, title }) => kind === 'coat' && title.toLowerCase().includes('wall acrylic'))
        .reduce((sum, step) => sum + step.runMinutes, 0);
    expect(minutes(paintOf('miniRoller', 1)) / minutes(paintOf('brushOn', 1))).toBeCloseTo(4 / 15, 9);
    const [brush, mini] = [techniques.get('brushOn'), techniques.get('miniRoller')];
    expect(4 * mini.detailFactor('spindles')).toBeGreaterThan(4 * brush.detailFactor('spindles'));
  });
  it('takes nothing for a coat that is left out: no paint, no tray, no session', () => {
    const whole = paintOf('roller', 1);
    const layer = whole.plan.layers.find(({ coating }) => coating.id === 'wallAcrylic');
    const without = (...coats: string[]) =>
      paintOf('roller', 1, {
        stepEdits: Object.fromEntries(coats.map((coat) => [`coat:${layer?.id}:${coat}`, { skipped: true }])),
      });
    const half = without('2', '2:back');
    const none = without('1', '2', '1:back', '2:back');
    expect(half.amount).toBeCloseTo(whole.amount / 2, 3);
    expect([whole, half, none].map(({ plan }) => plan.sessions.get(layer?.supplyKey ?? '') ?? 0)).toEqual([2, 1, 0]);
    expect(none.amount).toBe(0);
  });
});

describe('layers that hold', () => {
  it('proposes a bonding primer between glossy varnish and chalk-type paint, and a clear coat on top', () => {
    const of = find('oak', 1200, { finishId: 'glossyVarnish', sheen: 'gloss' });
    expect(layerIds(compute(of, recipe('r', of, 'chalk', 'teal')))).toEqual(['bondingPrimer', 'chalk', 'waterClear']);
  });
  it('says that it would peel when the primer is dropped, and how to put it back', () => {
    const of = find('oak', 1200, { finishId: 'glossyVarnish', sheen: 'gloss' });
    const proposal = 'primer:bondingPrimer@layer-r';
    const plan = compute(of, recipe('r', of, 'chalk', 'teal', { dropped: [proposal] }));
    expect(layerIds(plan)).toEqual(['chalk', 'waterClear']);
    expect(plan.findings.find((finding) => finding.code === 'joint.wouldPeel')).toMatchObject({
      severity: 'stop',
      fix: { kind: 'restoreProposal', proposal },
    });
  });
  it('blocks the knots of pine with shellac under a light color', () => {
    const of = find('pine', 900, { materialId: 'pine' });
    expect(layerIds(compute(of, recipe('r', of, 'wallAcrylic', 'white')))).toEqual([
      'shellacPrimer',
      'wallAcrylic',
      'waterClear',
    ]);
  });
  it('keeps waterborne primers off bare iron', () => {
    const of = find('iron', 900, { materialId: 'ferrousMetal' });
    expect(layerIds(compute(of, recipe('r', of, 'waterborneEnamel', 'white')))[0]).toBe('rustPrimer');
  });
  it('scuffs sound matt paint of recent age and primes nothing', () => {
    const of = find('old', 900, { finishId: 'soundOldPaint', sheen: 'matt', era: 'recent' });
    const plan = compute(of, recipe('r', of, 'waterborneEnamel', 'white'));
    expect(layerIds(plan)).toEqual(['waterborneEnamel']);
    expect(plan.steps.map((step) => step.kind)).toContain('scuff');
  });
  it('warns when the clear coat of a chalk-type paint is dropped', () => {
    const of = find('old', 900, { finishId: 'soundOldPaint', sheen: 'matt', era: 'recent' });
    expect(codes(compute(of, recipe('r', of, 'chalk', 'teal', { dropped: ['topcoat:waterClear'] })))).toContain(
      'warn:topcoat.missing',
    );
  });
  it('gives table tops the usual build of a clear coat and other zones the least', () => {
    const of = find('old', 900, { finishId: 'soundOldPaint', sheen: 'matt', era: 'recent' });
    const plan = compute(of, recipe('r', of, 'chalk', 'teal'));
    const clear = (zone: string) => plan.stacks.get(`piece-old/${zone}`)?.at(-1)?.coats.coats;
    expect([clear('top'), clear('carcass')]).toEqual([3, 2]);
  });
  it('lets an aerosol enamel follow itself within the hour or after 48 hours', () => {
    const of = find('iron', 900, { materialId: 'ferrousMetal' });
    const plan = compute(of, recipe('r', of, 'aerosolEnamel', 'white'));
    const second = plan.steps.find((step) => step.id === 'coat:layer-r:2');
    expect(second?.after[0]?.allowed).toEqual([
      { fromHours: 0.05, toHours: 1, extraSteps: [] },
      { fromHours: 48, toHours: null, extraSteps: [] },
    ]);
  });

  it('says so for a pair that nobody knows, and asks for a test patch', () => {
    const of = find('lam', 900, { materialId: 'laminate' });
    const plan = compute(of, recipe('r', of, 'waterClear', null));
    expect(codes(plan)).toContain('warn:joint.notKnown');
    expect(plan.steps.map((step) => step.kind)).toContain('testPatch');
  });
});

describe('cautions at the step where they matter', () => {
  const at = (plan: ReturnType<typeof compute>, code: string) =>
    plan.findings.filter((finding) => finding.code === `caution.${code}`);
  it('takes the no-sand route on an old finish of unknown age, and offers the test', () => {
    const of = find('oak', 1200, { finishId: 'soundOldPaint', sheen: 'matt', era: 'unknown' });
    const plan = compute(of, recipe('r', of, 'chalk', 'teal'));
    expect(plan.steps.map((step) => step.kind)).not.toContain('scuff');
    expect(plan.steps.map((step) => step.kind)).toEqual(expect.arrayContaining(['leadTest', 'wetClean', 'testPatch']));
    expect(layerIds(plan)[0]).toBe('bondingPrimer');
    expect(codes(plan)).toEqual(expect.arrayContaining(['warn:caution.lead.oldFinish', 'note:lead.testOffered']));
  });
  it('offers the test where only one zone of a piece has an old finish, and not where none has', () => {
    const bare = find('oak', 1200, { era: 'unknown' });
    const row = recipe('r', bare, 'chalk', 'teal');
    expect(codes(compute(bare, row))).not.toContain('note:lead.testOffered');
    const zone = compute(bare, row).zones[0]?.zone.id ?? '';
    const edited: typeof row = {
      ...row,
      body: {
        ...row.body,
        pieces: row.body.pieces.map((piece) => ({ ...piece, zoneEdits: { [zone]: { finishId: 'soundOldPaint' } } })),
      },
    };
    const plan = compute(bare, edited);
    expect(plan.steps.map((step) => step.kind)).toContain('leadTest');
    expect(plan.findings.find((finding) => finding.code === 'lead.testOffered')?.fix).toEqual({
      kind: 'setLeadTest',
      findId: 'oak',
    });
  });
  it('scuffs again once the test is negative, and stops when it is positive', () => {
    const negative = find('oak', 1200, { finishId: 'soundOldPaint', sheen: 'matt', leadTest: 'negative' });
    expect(compute(negative, recipe('r', negative, 'chalk', 'teal')).steps.map((step) => step.kind)).toContain('scuff');
    const positive = find('oak', 1200, { finishId: 'soundOldPaint', sheen: 'matt', leadTest: 'positive' });
    const plan = compute(positive, recipe('r', positive, 'chalk', 'teal'));
    expect(at(plan, 'lead.found')[0]?.severity).toBe('stop');
    expect(plan.steps.map((step) => step.kind)).not.toContain('scuff');
  });
  it('puts a primer under every paint where the school is clean, sand, prime; it can be dropped', () => {
    const of = find('oak', 1200, { finishId: 'soundOldPaint', sheen: 'matt' });
    const layersOf = (preparation: RecipeContext['preparation'], dropped: string[] = []) =>
      compute(of, recipe('r', of, 'chalk', 'teal', { dropped }), { preparation }).layers.map(
        (layer) => layer.coating.id,
      );
    expect(layersOf('scuffAndGo')).toEqual(['chalk', 'waterClear']);
    expect(layersOf('cleanSandPrime')).toEqual(['bondingPrimer', 'chalk', 'waterClear']);
    expect(layersOf('cleanSandPrime', ['primer:bondingPrimer@layer-r'])).toEqual(['chalk', 'waterClear']);
  });
  it('keeps small children and pregnancies away while lead is open', () => {
    const of = find('oak', 1200, { finishId: 'soundOldPaint', era: 'unknown' });
    const plan = (household: RecipeContext['household']) =>
      compute(of, recipe('r', of, 'chalk', 'teal'), { household });
    expect(at(plan({ ...emptyHousehold, youngestChildYears: 5, pregnancy: false }), 'lead.child')).toHaveLength(1);
    expect(at(plan({ ...emptyHousehold, youngestChildYears: null, pregnancy: true }), 'lead.child')).toHaveLength(1);
    expect(at(plan({ ...emptyHousehold, youngestChildYears: 9, pregnancy: false }), 'lead.child')).toHaveLength(0);
  });
  it('stops at every aerosol coat for air and for flames, and asks for the respirator', () => {
    const of = find('frame', 500, { templateId: 'pictureFrame', measures: {}, materialId: 'pine' });
    const plan = compute(of, recipe('r', of, 'aerosolEnamel', 'teal'));
    const coats = plan.steps.filter((step) => step.layerId === 'layer-r');
    expect(coats.length).toBeGreaterThan(0);
    for (const step of coats)
      expect(cautionsAt(plan, step.id).map((finding) => finding.code)).toEqual(
        expect.arrayContaining(['caution.aerosol.air', 'caution.vapor.ignition']),
      );
    expect(plan.toolIds).toContain('respirator');
  });
  it('asks to have a lamp’s cord checked, milder when it is sound, not at all without a cord', () => {
    const lamp = (cordCondition: FindRow['cordCondition']) => {
      const of = find('lamp', 500, {
        templateId: 'lampBase',
        measures: {},
        materialId: 'ferrousMetal',
        kind: 'lamp',
        cordCondition,
      });
      return at(compute(of, recipe('r', of, 'aerosolEnamel', 'teal')), 'lamp.wiring').map(
        (finding) => finding.severity,
      );
    };
    expect([lamp('unknown'), lamp('damaged'), lamp('sound'), lamp('none')]).toEqual([
      ['stop', 'stop'],
      ['stop', 'stop'],
      ['warn', 'warn'],
      [],
    ]);
  });
  it('asks for a mask where dust is made and warns of oily rags with an oil primer', () => {
    const of = find('iron', 900, { materialId: 'ferrousMetal' });
    const plan = compute(of, recipe('r', of, 'waterborneEnamel', 'teal'));
    expect(at(plan, 'dust.mask')[0]?.where.id).toBe('removeRust');
    expect(at(plan, 'rags.selfHeating')[0]?.severity).toBe('stop');
  });
  it('stops for food, flames and what children reach, and refuses recalled kinds', () => {
    const of = find('box', 900, { templateId: 'freeBox', measures: {} });
    const used = (use: 'food' | 'flame' | 'childReach', change: Partial<FindRow> = {}) => {
      const piece = { ...of, ...change };
      const row = recipe('r', piece, 'waterborneEnamel', 'teal');
      row.body.pieces = row.body.pieces.map((entry) => ({ ...entry, zoneEdits: { top: { use } } }));
      return compute(piece, row, { household: { ...emptyHousehold, youngestChildYears: 3, pregnancy: false } });
    };
    expect(at(used('food'), 'food.contact').every((finding) => finding.severity === 'stop')).toBe(true);
    expect(at(used('food'), 'food.contact').length).toBeGreaterThan(0);
    expect(at(used('flame'), 'flame.clearance')).toHaveLength(1);
    expect(at(used('childReach'), 'child.contact')[0]?.severity).toBe('stop');
    expect(at(used('food', { kind: 'dropSideCot' }), 'kind.recalled')[0]).toMatchObject({
      severity: 'refuse',
      figures: { instead: expect.stringContaining('boards') },
    });
    expect(at(used('food', { kind: 'spaceHeater' }), 'kind.hotAppliance')[0]?.severity).toBe('refuse');
  });
  it('asks of every zone that food touches whether what lies uppermost there is safe', () => {
    const of = find('oak', 900);
    const row = recipe('r', of, 'waterborneEnamel', 'teal');
    const zones = compute(of, row).zones;
    const [food, other] = [zones[0], zones.at(-1)];
    expect(food?.key).not.toBe(other?.key);
    row.body.pieces = row.body.pieces.map((entry) => ({
      ...entry,
      zoneEdits: { [food?.zone.id ?? '']: { use: 'food' } },
    }));
    const stops = (...more: ReturnType<typeof chosenLayer>[]) =>
      at(compute(of, { ...row, body: { ...row.body, layers: [...row.body.layers, ...more] } }), 'food.contact').length >
      0;
    const clear = (zoneKeys: string[] | 'all') => chosenLayer('clear', 'waterClear', { zoneKeys });
    expect(stops()).toBe(true);
    expect(stops(clear('all'))).toBe(false);
    expect(stops(clear([other?.key ?? '']))).toBe(true);
    const accent = chosenLayer('accent', 'waterborneEnamel', { colorCardId: 'teal', zoneKeys: [other?.key ?? ''] });
    expect(stops(clear([food?.key ?? '']), accent)).toBe(false);
  });
});

describe('a recipe under bad input', () => {
  it('names what it cannot use and computes the rest', () => {
    const of = find('oak', 1200);
    const row = recipe('r', of, 'chalk', null);
    const plan = compute(of, {
      ...row,
      body: {
        ...row.body,
        layers: [
          ...row.body.layers,
          chosenLayer('x', 'limeWash'),
          { ...chosenLayer('y', 'chalk'), techniqueId: 'rolledOn' },
        ],
      },
    });
    expect(codes(plan)).toEqual(
      expect.arrayContaining(['refuse:layer.unknownCoating', 'refuse:layer.unknownTechnique', 'warn:layer.noColor']),
    );
    expect(minutesOfPiece(plan, 'oak').likely).toBeGreaterThan(0);
  });
  it('leaves its inputs untouched and gives the same plan twice', () => {
    const of = find('oak', 1200, { finishId: 'glossyVarnish' });
    const row = recipe('r', of, 'chalk', 'teal');
    const before = JSON.stringify(row);
    expect(JSON.stringify(compute(of, row))).toBe(JSON.stringify(compute(of, row)));
    expect(JSON.stringify(row)).toBe(before);
  });
  it('takes overruled minutes, waits and coats, and says that they are yours', () => {
    const of = find('oak', 1200, { finishId: 'glossyVarnish', era: 'recent' });
    const row = recipe('r', of, 'chalk', 'teal', {
      stepEdits: { 'coat:layer-r:1': { runMinutes: 60, waitHours: 30 } },
    });
    const step = compute(of, row).steps.find((entry) => entry.id === 'coat:layer-r:1');
    expect(step).toMatchObject({ runMinutes: 60, overruled: ['minutes', 'wait'] });
    expect(step?.after[0]?.allowed[0]?.fromHours).toBe(30);
  });
});

describe('the calendar', () => {
  const windows = () => new WorkWindows(Date.parse('2026-06-01T13:00:00Z'), 'America/New_York'); // Monday, 9:00
  const local = (ms: number) => new Date(ms).toISOString();
  it('lays splittable work into the evenings and lets unsplittable work wait for a long enough window', () => {
    expect(local(scheduleWork(windows(), Date.parse('2026-06-01T13:00:00Z'), 90, true).endMs)).toBe(
      '2026-06-01T23:30:00.000Z',
    );
    expect(local(scheduleWork(windows(), Date.parse('2026-06-01T13:00:00Z'), 150, true).endMs)).toBe(
      '2026-06-02T22:30:00.000Z',
    );
    expect(local(scheduleWork(windows(), Date.parse('2026-06-01T13:00:00Z'), 150, false).startMs)).toBe(
      '2026-06-06T14:00:00.000Z',
    );
  });
  it('keeps the evening at 18:00 through a clock change', () => {
    const autumn = new WorkWindows(Date.parse('2026-10-31T12:00:00Z'), 'America/New_York');
    const starts = [0, 1, 2, 3].map((index) => local(autumn.at(index).startMs));
    // Sat and Sun 10:00 (EDT, then EST), Mon and Tue 18:00 EST.
    expect(starts).toEqual([
      '2026-10-31T14:00:00.000Z',
      '2026-11-01T15:00:00.000Z',
      '2026-11-02T23:00:00.000Z',
      '2026-11-03T23:00:00.000Z',
    ]);
  });
  it('counts a quarter of full cure, at least 72 h, for what is handled; full cure within a child’s reach; handling time for what is only seen', () => {
    const of = find('frame', 500, {
      templateId: 'pictureFrame',
      measures: {},
      finishId: 'soundOldPaint',
      sheen: 'matt',
      era: 'recent',
    });
    const usable = (use: 'seen' | 'handled' | 'childReach') => {
      const row = recipe('r', of, 'waterborneEnamel', 'teal');
      row.body.pieces = row.body.pieces.map((entry) => ({ ...entry, zoneEdits: { face: { use }, edge: { use } } }));
      const plan = compute(of, row);
      const dates = readyDates(plan, new Assumptions([]), windows(), Date.parse('2026-06-01T13:00:00Z'));
      const last = Math.max(...dates.laid.filter((step) => step.stepId.startsWith('coat')).map((step) => step.endMs));
      return Math.round((dates.usableMs - last) / 3_600_000);
    };
    // Waterborne enamel: handle after 16 h, full cure 30 days.
    expect(usable('handled')).toBe(180);
    expect(usable('childReach')).toBe(720);
    expect(usable('seen')).toBeGreaterThanOrEqual(16);
    expect(usable('seen')).toBeLessThan(72);
  });
  it('never starts a coat outside what its joint allows', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('chalk', 'wallAcrylic', 'waterborneEnamel', 'aerosolEnamel'),
        fc.constantFrom('pine', 'veneer', 'laminate', 'ferrousMetal'),
        fc.integer({ min: 0, max: 60 * 24 * 14 }),
        (coatingId, materialId, minutes) => {
          const of = find('any', 500, { materialId });
          const start = Date.parse('2026-06-01T00:00:00Z') + minutes * 60_000;
          const plan = compute(of, recipe('r', of, coatingId, 'teal'));
          const dates = readyDates(plan, new Assumptions([]), new WorkWindows(start, 'Europe/Lisbon'), start);
          for (const step of plan.steps) {
            const laid = dates.laid.find((entry) => entry.stepId === step.id);
            for (const link of step.after) {
              const before = dates.laid.find((entry) => entry.stepId === link.stepId);
              const gap = ((laid?.startMs ?? 0) - (before?.endMs ?? 0)) / 3_600_000;
              expect(
                link.allowed.some(
                  (interval) =>
                    gap >= interval.fromHours - 1e-6 && (interval.toHours === null || gap <= interval.toHours + 1e-6),
                ),
              ).toBe(true);
            }
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('assumptions', () => {
  it('takes the label of a supply before the project before the table', () => {
    const key = 'coating.chalk.spreadingRateM2PerL';
    const row = (scope: string, value: number) => ({ id: scope, version: 1, key, scope, value, note: '' });
    const assumptions = new Assumptions([row('project', 8), row('supply:chalk|teal|matt', 7)]);
    expect(assumptions.get(key, ['supply:chalk|teal|matt'])).toMatchObject({ value: 7, source: { kind: 'label' } });
    expect(assumptions.get(key, ['supply:other'])).toMatchObject({ value: 8, source: { kind: 'you' } });
    expect(new Assumptions([]).get(key)).toMatchObject({
      value: 9.82,
      source: { kind: 'common practice', memory: true },
    });
    expect(() => assumptions.get('coating.none')).toThrow('coating.none');
  });
  it('keeps every usual figure inside its own range and its limits', () => {
    for (const definition of assumptionDefinitions.values()) {
      const { low, usual, high } = definition.figure;
      expect([
        definition.key,
        low <= usual && usual <= high && usual >= definition.minimum && usual <= definition.maximum,
      ]).toEqual([definition.key, true]);
    }
  });
});
