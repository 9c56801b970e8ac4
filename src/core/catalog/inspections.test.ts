import { describe, expect, it } from 'vitest';
import { AS_OF, fill, find, option, recipe, rows, slot } from '../fixtures/projectRows';
import { computePlan } from '../plan/computePlan';
import { explainOption } from '../plan/why/explainOption';
import { consumables } from './consumables';
import type { Inspected } from './inspection';
import { breakersFound, flawMinutes, flawsFound, inspections, inspectionsFor, openAsks } from './inspections';

const thing = (change: Partial<Inspected>): Inspected => ({
  materialId: 'pine',
  finishId: null,
  templateId: 'nightstand',
  kind: 'ordinary',
  traits: [],
  name: 'Nightstand',
  era: 'unknown',
  ...change,
});
const listsOf = (change: Partial<Inspected>) => inspectionsFor(thing(change)).map(({ id }) => id);

describe.each(inspections.all)('the checklist $name', ({ id, checks }) => {
  it('has checks under its own name, each with something to look at, and takes only supplies that there are', () => {
    expect(checks.length).toBeGreaterThan(2);
    for (const check of checks) {
      expect(check.id).toMatch(/^[a-z]+\.[a-zA-Z]+$/);
      expect(check.look.length * check.how.length).toBeGreaterThan(0);
      for (const { kindId, amount } of check.flaw?.takes ?? []) {
        expect(consumables.find(kindId), `${id}: ${kindId}`).toBeDefined();
        expect(amount).toBeGreaterThan(0);
      }
      // A flaw is mended in some minutes, made into something, or makes everything fiddlier.
      const { flaw } = check;
      if (flaw) expect(flaw.minutes > 0 || flaw.use !== null || flaw.detail !== null, check.id).toBe(true);
    }
  });
});

describe('checklists', () => {
  it('are those of the material and of the kind of thing', () => {
    expect(listsOf({ traits: ['storesThings'] })).toEqual(['wood', 'storage']);
    expect(listsOf({ materialId: 'nonferrousMetal', kind: 'lamp', templateId: 'lampBase', name: 'Lamp' })).toEqual([
      'metal',
      'lamp',
    ]);
    expect(listsOf({ kind: 'toyOrCot', name: 'Cot' })).toEqual(['wood', 'children']);
    expect(listsOf({ materialId: 'realLeaf', templateId: 'foliage', name: 'Fern' })).toEqual(['greeneryReal']);
  });

  it('ask first what can hurt: lead in old paint, worms and mold in wood, the cord of a lamp, recalls of cots', () => {
    const asks = (change: Partial<Inspected>, looked: Parameters<typeof openAsks>[1] = []) =>
      openAsks(thing(change), looked).map(({ id }) => id);
    expect(asks({ finishId: 'thickOldPaint' })).toEqual(['wood.worm', 'wood.mold', 'wood.lead']);
    expect(asks({ finishId: 'thickOldPaint', era: 'recent' })).toEqual(['wood.worm', 'wood.mold']);
    expect(asks({})).not.toContain('wood.lead');
    expect(asks({ materialId: 'ferrousMetal', kind: 'lamp' })).toEqual(['lamp.cord', 'lamp.socket', 'lamp.halogen']);
    expect(asks({ kind: 'toyOrCot' })).toContain('children.recall');
    // What was looked at is asked no more, whatever was found.
    expect(asks({}, [{ check: 'wood.worm', verdict: 'fine' }])).toEqual(['wood.mold']);
  });

  it('tell flaws from reasons to leave it, and know nothing of a check from another version', () => {
    const looked = [
      { check: 'wood.drawers', verdict: 'flaw' as const },
      { check: 'wood.drawerGone', verdict: 'flaw' as const },
      { check: 'wood.worm', verdict: 'breaker' as const },
      { check: 'wood.veneer', verdict: 'fine' as const },
      { check: 'from.tomorrow', verdict: 'flaw' as const },
    ];
    expect(flawsFound(looked).map(({ flaw }) => flaw.says)).toEqual(['a drawer sticks', 'a drawer is missing']);
    expect(flawMinutes(looked)).toBe(25);
    expect(breakersFound(looked).map(({ id }) => id)).toEqual(['wood.worm']);
  });
});

describe('a flaw in the plan', () => {
  const looked = [
    { check: 'wood.wobble', verdict: 'flaw' as const },
    { check: 'wood.knob', verdict: 'flaw' as const },
  ];
  const stand = (inspected: typeof looked) => find('stand', 1200, { materialId: 'pine', inspected });
  const planOf = (inspected: typeof looked) =>
    computePlan(
      rows({
        slots: [slot('1')],
        finds: [stand(inspected)],
        recipes: [recipe('r', stand(inspected), 'chalk', null)],
        options: [
          option('plain', '1', 'asFound', { parts: [{ findId: 'stand', offerId: null, pieces: 1 }] }),
          option('made', '1', 'makeover', { parts: [{ findId: 'stand', offerId: null, pieces: 1 }], recipeId: 'r' }),
        ],
        fills: [fill('1', 'plain')],
      }),
      AS_OF,
    );

  it('is mended before it stands: its minutes and what it takes count as it is', () => {
    const [before, after] = [planOf([]).option('plain'), planOf(looked).option('plain')];
    expect((after?.hoursAdded.likely ?? 0) - (before?.hoursAdded.likely ?? 0)).toBeCloseTo(35, 6);
    // A bottle of glue and a knob, at the table's prices.
    expect((after?.cashAdded.likely ?? 0) - (before?.cashAdded.likely ?? 0)).toBe(500 + 400);
  });

  it('goes into the makeover as steps of its own, before anything is prepared, and counts once', () => {
    const plan = planOf(looked);
    const steps = plan.recipes.get('r')?.steps ?? [];
    expect(steps.filter(({ kind }) => kind === 'mend').map(({ title }) => title)).toEqual([
      'Find stand: mend: wobbles',
      'Find stand: mend: a knob is missing',
    ]);
    const [before, after] = [planOf([]).option('made'), plan.option('made')];
    // 35 minutes by a practiced hand, and 15 % overhead as on all work of a makeover.
    expect((after?.hoursAdded.likely ?? 0) - (before?.hoursAdded.likely ?? 0)).toBeCloseTo(35 * 1.15, 4);
    expect((after?.cashAdded.likely ?? 0) - (before?.cashAdded.likely ?? 0)).toBe(900);
  });

  it('adds up to what is shown, line by line', () => {
    const plan = planOf(looked);
    for (const id of ['plain', 'made'])
      for (const figure of ['cashAdded', 'hoursAdded'] as const) {
        const option_ = plan.option(id);
        if (!option_) throw new Error(id);
        const tree = explainOption(plan, option_, figure);
        const sum = tree?.because.reduce((all, line) => all + Number(line.value), 0) ?? 0;
        expect(sum).toBeCloseTo(option_[figure].likely, 6);
      }
  });
});
