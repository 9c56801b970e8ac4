import { describe, expect, it } from 'vitest';
import { finishLeftBy } from '../catalog/substrates.data';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import type { FindRow } from '../model/rows';
import { sentenceFor } from '../words/sentences';
import { computeRecipe } from './computeRecipe';
import { isRepairable } from './isRepairable';
import { chosenLayer, type RecipeBody } from './recipeBody';
import { looks } from './repairAttempts';
import { repairsFor } from './repairs';

const locale = { units: 'us', currency: 'USD', timeZone: 'UTC' } as const;
const planOf = (of: FindRow, body: RecipeBody) => computeRecipe('r', body, recipeContext([of]));
const codes = (of: FindRow, body: RecipeBody) => planOf(of, body).findings.map((finding) => finding.code);
const said = (of: FindRow, body: RecipeBody, code: string) =>
  planOf(of, body)
    .findings.filter((finding) => finding.code === code)
    .map((finding) => sentenceFor(finding, locale));
const kinds = (of: FindRow, body: RecipeBody) => planOf(of, body).steps.map((step) => step.kind);
function repairsOf(of: FindRow, body: RecipeBody, code?: string) {
  const finding = planOf(of, body).findings.find((entry) => isRepairable(entry) && (!code || entry.code === code));
  return finding ? repairsFor('r', body, recipeContext([of]), finding, () => 0, 1500) : [];
}

describe('a work that a joint relies on', () => {
  const of = find('shelf', 900, { finishId: finishLeftBy('wallAcrylic') });
  const body = recipe('r', of, 'waterborneEnamel', 'teal').body;
  it('raises the joint again when it is left out, and putting it back is a repair', () => {
    expect(codes(of, body)).not.toContain('joint.stepLeftOut');
    for (const step of ['scuff', 'clean']) {
      const without = { ...body, stepEdits: { [step]: { skipped: true } } };
      expect(codes(of, without)).toContain('joint.stepLeftOut');
      const [repair] = repairsOf(of, without, 'joint.stepLeftOut');
      expect(repair).toMatchObject({ kind: 'putBack', look: 'asPlanned' });
      expect(codes(of, repair?.body ?? without)).not.toContain('joint.stepLeftOut');
    }
  });
  it('leaves wax where it is when washing is left out: then nothing holds', () => {
    const waxed = find('waxed', 900, { finishId: finishLeftBy('clearWax') });
    const row = recipe('r', waxed, 'chalk', 'teal').body;
    const washed = { ...row, preparations: [{ kind: 'dewax' as const, zoneKeys: 'all' as const }] };
    const enamel = { ...washed, layers: [chosenLayer('paint', 'wallAcrylic', { colorCardId: 'teal' })] };
    expect(codes(waxed, enamel)).not.toContain('joint.never');
    const skipped = { ...enamel, stepEdits: { dewax: { skipped: true } } };
    expect(codes(waxed, skipped)).toContain('joint.never');
    expect(repairsOf(waxed, skipped).map((repair) => repair.kind)).toContain('putBack');
  });
  it('counts a primer as not there when all its coats are taken out', () => {
    const laminate = find('flat', 900, { materialId: 'laminate' });
    const row = recipe('r', laminate, 'wallAcrylic', 'teal').body;
    const primer = planOf(laminate, row).layers.find((layer) => layer.coating.role === 'primer');
    expect(primer).toBeDefined();
    const without = { ...row, stepEdits: { [`coat:${primer?.id}:1`]: { skipped: true } } };
    expect(codes(laminate, without)).toContain('joint.wouldPeel');
    expect(planOf(laminate, without).steps.some((step) => step.layerId === primer?.id && step.skipped)).toBe(true);
    expect(repairsOf(laminate, without)[0]?.kind).toBe('putBack');
  });
  it('speaks up when a wait is cut shorter than the joint asks, and waiting is a repair', () => {
    const pine = find('pine', 900, { materialId: 'pine' });
    const row = recipe('r', pine, 'oilStain', 'walnut').body;
    const body = { ...row, layers: [...row.layers, chosenLayer('clear', 'waterClear')] };
    const short = { ...body, stepEdits: { 'coat:clear:1': { waitHours: 4 } } };
    expect(said(pine, short, 'joint.tooSoon')[0]).toContain('wants 72 h');
    expect(repairsOf(pine, short, 'joint.tooSoon')[0]?.kind).toBe('wait');
    const longer = { ...body, stepEdits: { 'coat:clear:1': { waitHours: 100 } } };
    expect(codes(pine, longer)).not.toContain('joint.tooSoon');
  });
});

describe('works on what they would spoil', () => {
  // Common practice, no source.
  it.each([
    ['dewax', 'polystyreneFoam'],
    ['strip', 'fauxLeaf'],
    ['dewax', 'pine'],
  ] as const)('%s is left out on %s, with the reason', (work, materialId) => {
    const of = find('thing', 900, { materialId, templateId: 'freeBox', measures: {} });
    const row = recipe('r', of, 'chalk', 'teal').body;
    const asked = { ...row, preparations: [{ kind: work, zoneKeys: 'all' as const }] };
    expect(kinds(of, asked)).not.toContain(work);
    expect(said(of, asked, 'preparation.impossible')).toHaveLength(1);
  });
  it('lead that a test found is not stripped', () => {
    const of = find('door', 900, { finishId: 'thickOldPaint', era: 'old', leadTest: 'positive' });
    const row = recipe('r', of, 'chalk', 'teal').body;
    const asked = { ...row, preparations: [{ kind: 'strip' as const, zoneKeys: 'all' as const }] };
    expect(kinds(of, asked)).not.toContain('strip');
    expect(said(of, asked, 'preparation.impossible')[0]).toContain('lead');
  });
  it('cloth and leaves are never scuffed, and what is scuffed is washed first', () => {
    for (const materialId of ['fabric', 'realLeaf', 'paper', 'inkjetPrint', 'polystyreneFoam']) {
      const of = find('soft', 900, { materialId, templateId: 'freeBox', measures: {} });
      expect(kinds(of, recipe('r', of, 'aerosolEnamel', 'teal').body)).not.toContain('scuff');
    }
    const chalky = find('old', 900, { finishId: finishLeftBy('chalk') });
    const steps = kinds(chalky, recipe('r', chalky, 'chalk', 'teal').body);
    if (steps.includes('scuff')) expect(steps.indexOf('clean')).toBeLessThan(steps.indexOf('scuff'));
    const milk = find('old', 900, { finishId: finishLeftBy('milkPaint') });
    const enamel = kinds(milk, recipe('r', milk, 'oilPolyurethane', null).body);
    expect(enamel.filter((kind) => kind === 'clean' || kind === 'scuff')[0]).not.toBe('scuff');
  });
});

describe('what repairs keep', () => {
  it('a wash stays a wash where a barrier or another base will do; covering coats come after and say so', () => {
    const of = find('basket', 900, { materialId: 'veneer', finishId: 'glossyVarnish', era: 'recent' });
    const row = recipe('r', of, 'wallAcrylic', 'white').body;
    const wash = { ...row, layers: row.layers.map((layer) => ({ ...layer, techniqueId: 'wash' })) };
    const repairs = repairsOf(of, wash);
    expect(repairs.length).toBeGreaterThan(0);
    const order = repairs.map((repair) => looks.indexOf(repair.look));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const repair of repairs.filter((entry) => entry.look !== 'anotherLook'))
      expect(repair.body.layers.map((layer) => layer.techniqueId)).toContain('wash');
  });
  it('a stain stays a stain: the same base below, the other stain, then a veil; paint is another look', () => {
    const of = find('pine', 900, { materialId: 'pine' });
    const row = recipe('r', of, 'oilConditioner', null).body;
    const body = {
      ...row,
      layers: [...row.layers, chosenLayer('stain', 'stainAndSealWater', { colorCardId: 'walnut' })],
    };
    const repairs = repairsOf(of, body);
    expect(repairs.map((repair) => `${repair.kind}:${repair.coating}`)).toEqual(
      expect.arrayContaining(['insteadBelow:waterborneConditioner', 'instead:oilStain']),
    );
    expect(repairs.at(-1)?.look).toBe('anotherLook');
  });
  it('leaving out is offered where something else stays', () => {
    const of = find('oak', 900, { materialId: 'veneer' });
    const row = recipe('r', of, 'chalk', 'teal').body;
    const dark = { ...row, layers: [...row.layers, chosenLayer('dark', 'darkWax', { colorCardId: 'walnut' })] };
    const repairs = repairsOf(of, dark);
    expect(repairs.find((repair) => repair.kind === 'leaveOut')?.body.layers.map((layer) => layer.id)).toEqual([
      'layer-r',
    ]);
    expect(repairs[0]?.look).toBe('asChosen');
  });
});

describe('a zone that touches food or lips', () => {
  const mug = find('mug', 300, { materialId: 'glazedCeramic', templateId: 'freeBox', measures: {}, era: 'recent' });
  const inUse = (row: RecipeBody): RecipeBody => ({
    ...row,
    pieces: row.pieces.map((piece) => ({
      ...piece,
      zoneEdits: { top: { use: 'food' }, sides: { included: false }, underside: { included: false } },
    })),
  });
  // 21 CFR 175.300 names the claim that a label may make; from memory.
  it.each([
    ['wallAcrylic', ['topcoat:waterClear'], 'food.displayOnly'],
    ['craftAcrylic', ['topcoat:waterClear'], 'food.belowRim'],
    ['wallAcrylic', [], 'food.ifLabelled'],
    ['chalk', [], 'food.ifLabelled'],
  ])('with %s, without %j, says %s', (coating, dropped, code) => {
    const row = inUse(recipe('r', mug, coating, 'teal', { dropped: [...dropped] }).body);
    expect(codes(mug, row).filter((entry) => entry.startsWith('food.'))).toEqual([code]);
  });
  it('says what the label must say, and after how long', () => {
    const row = inUse(recipe('r', mug, 'chalk', 'teal').body);
    expect(said(mug, row, 'food.ifLabelled')[0]).toMatch(
      /label says.*food contact.*full cure, about 21 days.*display only/,
    );
  });
});

describe('a candle', () => {
  const candle = find('candle', 200, { kind: 'candle', materialId: 'candleWax', templateId: 'freeBox', measures: {} });
  it('may be painted through candle medium, for show: a stop and never lit, not refused', () => {
    const plan = planOf(candle, recipe('r', candle, 'craftAcrylic', 'teal').body);
    expect(plan.layers.map((layer) => layer.coating.id)).toEqual(
      expect.arrayContaining(['candleMedium', 'craftAcrylic']),
    );
    expect(plan.findings.filter((finding) => finding.severity === 'refuse')).toEqual([]);
    expect(plan.findings.find((finding) => finding.code === 'caution.flame.clearance')?.severity).toBe('stop');
  });
  it('is one by its wax, even where nobody said so', () => {
    const pillar = { ...candle, kind: 'ordinary' as const };
    expect(codes(pillar, recipe('r', pillar, 'craftAcrylic', 'teal').body)).toContain('caution.flame.clearance');
  });
});

describe('what asks for lead', () => {
  it.each([
    ['waterClear', false],
    ['clearWax', false],
    ['aerosolClear', false],
    ['oilPolyurethane', true],
    ['alkydEnamel', true],
  ])('an old coat of %s: %s', (coating, asks) => {
    const of = find('old', 900, { finishId: finishLeftBy(coating), era: 'unknown' });
    const found = codes(of, recipe('r', of, 'chalk', 'teal').body);
    expect(found.includes('caution.lead.oldFinish')).toBe(asks);
    expect(found.includes('lead.testOffered')).toBe(asks);
  });
});

describe('tannin', () => {
  const pine = find('pine', 900, { materialId: 'pine' });
  it('shows as brown spots on a light color, and says so', () => {
    const row = recipe('r', pine, 'wallAcrylic', 'white').body;
    const bare = {
      ...row,
      dropped: ['primer:shellacPrimer@layer-r', 'primer:oilBlockPrimer@layer-r', 'primer:bondingPrimer@layer-r'],
    };
    expect(said(pine, bare, 'joint.wouldPeel')[0]).toContain('would turn brown in spots');
  });
  it('does not show on a dark color: it holds without a blocker, and the joint says what tannin does', () => {
    const plan = planOf(pine, recipe('r', pine, 'wallAcrylic', 'teal').body);
    expect(plan.layers.map((layer) => layer.coating.id)).not.toContain('shellacPrimer');
    const joint = [...plan.stacks.values()][0]?.[0]?.joint;
    expect(joint).toMatchObject({ verdict: 'scuff', ruleId: 'bleedingWood.darkWaterborne' });
    expect(joint?.reason).toContain('does not show');
  });
});

describe('a trial before the whole is risked', () => {
  const trial = (of: FindRow, body: RecipeBody) => planOf(of, body).steps.find((step) => step.id === 'testPatch');
  it.each<[string, Partial<FindRow>, string, string | null]>([
    ['texture spray on a glaze', { materialId: 'glazedCeramic' }, 'aerosolStone', 'glaze'],
    ['plastic leaves', { materialId: 'fauxLeaf' }, 'aerosolEnamel', 'leaves'],
    ['an unknown old finish under solvent', { finishId: 'soundOldPaint' }, 'aerosolEnamel', 'solvent'],
    ['bare hardwood under stain', { materialId: 'hardwood' }, 'oilStain', null],
  ])('%s', (_words, change, coating, because) => {
    const of = find('thing', 300, { templateId: 'freeBox', measures: {}, ...change });
    const step = trial(of, recipe('r', of, coating, 'teal').body);
    if (because === null) expect(step).toBeUndefined();
    else expect(step?.hint).toContain(because);
  });
  it('is kept, with you as its source, where a home test of yours released the surface', () => {
    const of = find('old', 900, { finishId: 'soundOldPaint', era: 'unknown', leadTest: 'negative' });
    const step = trial(of, recipe('r', of, 'chalk', 'teal').body);
    expect(step?.source).toEqual({ kind: 'you' });
    const tested = find('old', 900, { finishId: finishLeftBy('wallAcrylic') });
    const row = recipe('r', tested, 'chalk', 'teal').body;
    const told = { ...row, pieces: row.pieces.map((piece) => ({ ...piece, tests: { alcoholSoftens: true } })) };
    expect(trial(tested, row)).toBeUndefined();
    expect(trial(tested, told)?.source).toEqual({ kind: 'you' });
  });
  it('is of one piece where there are several', () => {
    const of = find('leaves', 300, { materialId: 'fauxLeaf', templateId: 'freeBox', measures: {}, count: 12 });
    const row = recipe('r', of, 'aerosolEnamel', 'teal').body;
    const many = { ...row, pieces: row.pieces.map((piece) => ({ ...piece, count: 12 })) };
    expect(trial(of, many)?.title).toContain('Trial piece first');
  });
});
