import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Assumptions, type OverrideRow } from '../catalog/assumptions';
import { coatings } from '../catalog/coatings';
import { materials, oldFinishes } from '../catalog/substrates';
import { labFromHex } from '../color/lab';
import { minutesOfPiece, needsOfPiece } from '../fixtures/demand';
import { find, recipe } from '../fixtures/projectRows';
import { leadFreeFinishes, recipeContext } from '../fixtures/recipes';
import type { FindRow } from '../model/rows';
import { furnitureTemplates } from '../surface/templates';
import { computeRecipe, type RecipePlan } from './computeRecipe';
import type { RecipeContext } from './recipeContext';

const contextFor = (of: FindRow, change: Partial<RecipeContext> = {}, overrides: OverrideRow[] = []): RecipeContext =>
  recipeContext([of], { assumptions: new Assumptions(overrides), ...change });

/** Any piece with any finish: a template, a material, an old finish or none, a coating, a color. */
const anyRecipe = fc
  .record({
    templateId: fc.constantFrom(...furnitureTemplates.ids),
    materialId: fc.constantFrom(...materials.map((row) => row.id)),
    finishId: fc.constantFrom(null, ...oldFinishes.map((row) => row.id)),
    era: fc.constantFrom('unknown' as const, 'old' as const, 'recent' as const),
    leadTest: fc.constantFrom('notTested' as const, 'negative' as const, 'positive' as const),
    coatingId: fc.constantFrom(...coatings.ids),
    cardId: fc.constantFrom('teal', 'white', 'yellow', null),
    skill: fc.constantFrom('beginner' as const, 'practiced' as const, 'professional' as const),
    preparation: fc.constantFrom('scuffAndGo' as const, 'cleanSandPrime' as const),
    school: fc.constantFrom('untilHidden' as const, 'alwaysTwo' as const, 'asLabel' as const),
    count: fc.integer({ min: 1, max: 4 }),
  })
  .map((entry) => {
    const of = find('piece', 1200, {
      templateId: entry.templateId,
      measures: {},
      materialId: entry.materialId,
      finishId: entry.finishId,
      era: entry.era,
      leadTest: entry.leadTest,
      color: labFromHex('#a9794f'),
    });
    const row = recipe('r', of, entry.coatingId, entry.cardId);
    row.body.pieces = row.body.pieces.map((piece) => ({ ...piece, count: entry.count }));
    const { skill, preparation, school } = entry;
    const context = contextFor(of, { skill, preparation, school });
    return { entry, of, row, context, plan: computeRecipe('r', row.body, context) };
  });
const runs = { numRuns: 150 };
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

describe('the steps of any recipe', () => {
  it('only wait for steps that come before them, each known, each id once', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan }) => {
        const seen = new Set<string>();
        for (const step of plan.steps) {
          for (const link of step.after) {
            expect(seen.has(link.stepId)).toBe(true);
            expect(link.allowed.length).toBeGreaterThan(0);
            for (const { fromHours, toHours } of link.allowed) {
              expect(fromHours).toBeGreaterThanOrEqual(0);
              if (toHours !== null) expect(toHours).toBeGreaterThanOrEqual(fromHours);
            }
          }
          expect(seen.has(step.id)).toBe(false);
          seen.add(step.id);
        }
      }),
      runs,
    );
  });

  it('take exactly what the pieces take: supplies and minutes add up', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan, entry }) => {
        const needs = needsOfPiece(plan, 'piece');
        const inSteps = new Map<string, number>();
        for (const step of plan.steps)
          for (const supply of step.supplies)
            inSteps.set(supply.supplyKey, (inSteps.get(supply.supplyKey) ?? 0) + supply.amount);
        // Each term is whole in millionths, so their sum may lie some millionths beside the step's amount.
        for (const [key, amount] of needs) expect(inSteps.get(key) ?? 0).toBeCloseTo(amount * entry.count, 3);
        expect(inSteps.size).toBe(needs.size);
        expect(sum(plan.steps.map((step) => step.runMinutes))).toBeCloseTo(
          minutesOfPiece(plan, 'piece').likely * entry.count,
          3,
        );
      }),
      runs,
    );
  });

  it('keep minutes, amounts and areas finite and not below nothing, with low ≤ likely ≤ high', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan }) => {
        for (const step of plan.steps)
          for (const minutes of [step.setUpMinutes, step.runMinutes, step.cleanUpMinutes])
            expect(Number.isFinite(minutes) && minutes >= 0).toBe(true);
        for (const findId of plan.demands.keys()) {
          const { low, likely, high } = minutesOfPiece(plan, findId);
          expect(low).toBeLessThanOrEqual(likely + 1e-9);
          expect(high).toBeGreaterThanOrEqual(likely - 1e-9);
          for (const amount of needsOfPiece(plan, findId).values())
            expect(Number.isFinite(amount) && amount >= 0).toBe(true);
        }
      }),
      runs,
    );
  });

  it('never scuff an old finish while lead is open or found', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan, entry }) => {
        const open =
          !leadFreeFinishes.includes(entry.finishId) &&
          (entry.leadTest === 'positive' || (entry.leadTest === 'notTested' && entry.era !== 'recent'));
        const first = plan.steps.findIndex((step) => step.kind === 'coat');
        const before = plan.steps.slice(0, first < 0 ? plan.steps.length : first);
        const onOldFinish = (key: string) =>
          plan.zones.find((zone) => zone.key === key)?.substrate.layer === 'oldFinish';
        if (open)
          for (const step of before)
            if (step.kind === 'scuff' || step.kind === 'removeRust')
              expect(step.zoneKeys.filter(onOldFinish)).toEqual([]);
      }),
      runs,
    );
  });

  it('are slower for a beginner and quicker for a professional, by the factor of the skill', () => {
    fc.assert(
      fc.property(anyRecipe, ({ row, of }) => {
        const run = (skill: RecipeContext['skill']) =>
          sum(
            computeRecipe('r', row.body, contextFor(of, { skill }))
              .steps.filter((step) => step.kind !== 'testPatch')
              .map((step) => step.runMinutes),
          );
        expect(run('beginner')).toBeCloseTo(run('practiced') * 1.5, 6);
        expect(run('professional')).toBeCloseTo(run('practiced') * 0.65, 6);
      }),
      runs,
    );
  });

  it('give every joint a verdict with a reason, and a finding where it would peel', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan }) => {
        for (const [key, entries] of plan.stacks)
          for (const entry of entries) {
            expect(entry.joint.reason).not.toBe('');
            if (entry.joint.verdict === 'barrierPrimer' || entry.joint.verdict === 'never')
              expect(plan.findings.some((finding) => finding.where.id === `${key}|${entry.layerId}`)).toBe(true);
          }
      }),
      runs,
    );
  });

  it('ask for a clear coat over chalk-type paint and put it last', () => {
    fc.assert(
      fc.property(anyRecipe, ({ plan, entry }) => {
        // A wall is painted and not clear-coated.
        if (entry.coatingId !== 'chalk' || [...plan.uses].includes('wall')) return;
        expect(plan.layers.at(-1)?.coating.role).toBe('clear');
      }),
      runs,
    );
  });
});

describe('a changed assumption', () => {
  const of = find('piece', 1200, { finishId: 'soundOldPaint', sheen: 'matt' });
  const row = recipe('r', of, 'chalk', 'teal', { dropped: ['topcoat:waterClear'] });
  const withOverride = (key: string, value: number, scope = 'project'): RecipePlan =>
    computeRecipe('r', row.body, contextFor(of, {}, [{ id: 'o', version: 1, key, scope, value, note: '' }]));
  const paint = (plan: RecipePlan) => needsOfPiece(plan, 'piece').get('chalk|teal|matt') ?? 0;
  const usual = computeRecipe('r', row.body, contextFor(of));

  it('moves the quantity by its own factor', () => {
    const rate = coatings.get('chalk').spreadingRate.usual;
    expect(paint(withOverride('coating.chalk.spreadingRateM2PerL', rate / 2))).toBeCloseTo(paint(usual) * 2, 4);
    expect(paint(withOverride('coating.chalk.lossPercent', 0))).toBeCloseTo(paint(usual) / 1.08, 4);
  });

  it('of one can only moves that can', () => {
    const rate = coatings.get('chalk').spreadingRate.usual;
    const one = withOverride('coating.chalk.spreadingRateM2PerL', rate / 2, 'supply:chalk|teal|matt');
    const other = withOverride('coating.chalk.spreadingRateM2PerL', rate / 2, 'supply:chalk|white|matt');
    expect(paint(one)).toBeCloseTo(paint(usual) * 2, 4);
    expect(paint(other)).toBeCloseTo(paint(usual), 9);
  });

  it('moves waits between coats', () => {
    const plan = withOverride('coating.chalk.recoatHours', 9);
    const second = plan.steps.find((step) => step.coat === 2);
    expect(second?.after[0]?.allowed[0]?.fromHours).toBe(9);
  });
});

describe('a thing that is made and painted', () => {
  it('is built, then coated, then hung: nothing is screwed to the wall before it is dry', () => {
    const stool = find('stool', 900, {});
    const made = recipe('shelf', stool, 'chalk', 'teal');
    const pieces = made.body.pieces.map((piece) => ({
      ...piece,
      findId: null,
      templateId: 'shelf',
      measures: { widthMm: 900, depthMm: 200, heightMm: 50, brackets: 0 },
      build: { id: 'floatingShelf', values: {}, materials: {} },
    }));
    const { steps } = computeRecipe('shelf', { ...made.body, pieces }, recipeContext([]));
    const at = (kind: string) => steps.findIndex((step) => step.kind === kind);
    const lastCoat = steps.findLastIndex((step) => step.kind === 'coat');
    expect(at('saw')).toBe(0);
    expect(at('glue')).toBeLessThan(at('coat'));
    expect(at('drill')).toBeGreaterThan(lastCoat);
    // It waits until what was coated last may be handled.
    const [after] = steps[at('drill')]?.after ?? [];
    expect(after?.stepId).toBe(steps[lastCoat]?.id);
    expect(after?.allowed[0]?.fromHours).toBeGreaterThan(0);
  });
});
