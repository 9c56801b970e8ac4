import { describe, expect, it } from 'vitest';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { mishapKinds, wrongProblems } from '../state/mishap';
import { setbackProblems } from '../state/setback';
import { computeRecipe } from './computeRecipe';
import { lessonFindings } from './lessons';
import { mishaps } from './mishaps.data';
import type { Lesson } from './recipeContext';
import { isSetback, wrongLesson, wrongName, wrongsAt } from './wentWrong';

const oak = find('oak', 1200, { materialId: 'veneer', finishId: null, state: 'owned' });
const planned = computeRecipe('r', recipe('r', oak, 'chalk', 'teal').body, recipeContext([oak]));

describe('what can go wrong', () => {
  it('has a name, something to do at once and a lesson, for every kind', () => {
    for (const problem of wrongProblems) {
      expect(wrongName(problem)).toMatch(/^[A-Z]/);
      expect(wrongLesson(problem)).toMatch(/^[a-z]/);
    }
    for (const kind of mishapKinds) expect(mishaps[kind].mend).toMatch(/^[A-Z].*\.$/);
    expect(new Set(wrongProblems.map(wrongName)).size).toBe(wrongProblems.length);
  });

  it('is offered somewhere, each kind of it', () => {
    const works = [...new Set(Object.values(mishaps).flatMap(({ at }) => at))];
    const groups = [null, 'decoupage', 'film', 'oilStain', 'waterbornePaint'] as const;
    const offered = new Set(works.flatMap((work) => groups.flatMap((group) => wrongsAt(work, group))));
    expect([...offered].sort()).toEqual([...wrongProblems].sort());
  });

  it('is what happens at that work: paint bleeds, paper creases, a saw splinters', () => {
    const paint = wrongsAt('coat', 'waterbornePaint');
    expect(paint).toEqual(expect.arrayContaining(['peeled', 'ran', 'bledUnderTape', 'brushMarks']));
    expect(paint.filter((problem) => ['bubbled', 'creased', 'blotched'].includes(problem))).toEqual([]);
    const paper = wrongsAt('coat', 'decoupage');
    expect(paper).toEqual(expect.arrayContaining(['bubbled', 'creased', 'tore', 'lifted']));
    expect(paper.filter(isSetback)).toEqual([]);
    expect(wrongsAt('coat', 'oilStain')).toContain('blotched');
    expect(wrongsAt('saw', null)).toEqual(['cutWrong', 'splintered', 'split']);
    // Only a coat is laid again; nothing else is.
    for (const work of ['saw', 'sew', 'place', 'spotTask', 'scuff', 'dismantle'] as const)
      expect(wrongsAt(work, null).filter(isSetback)).toEqual([]);
    expect(wrongsAt('leadTest', null)).toEqual([]);
  });
});

describe('what went wrong before', () => {
  const said = (lessons: Lesson[], recipeId = 'r') =>
    lessonFindings(recipeId, planned.zones, planned.layers, planned.steps, { lessons }).map(
      ({ code, where, figures }) => [code, where.kind, where.id, (figures as { problem?: string }).problem],
    );
  const surface = planned.zones[0]?.substrate.id ?? '';
  const byHand: Lesson = { recipeId: 'other', coatingId: null, substrateId: surface, problem: 'sandedThrough' };

  it('by hand is said at the first step of that work on a like surface, once', () => {
    const step = planned.steps.find(({ kind, skipped }) => mishaps.sandedThrough.at.includes(kind) && !skipped);
    expect(step).toBeDefined();
    expect(said([byHand, byHand])).toEqual([['lesson.atWork', 'step', step?.id, 'sandedThrough']]);
  });

  it('is not said of itself, on another surface, or where that work is not done', () => {
    expect(said([byHand], 'other')).toEqual([]);
    expect(said([{ ...byHand, substrateId: 'glass' }])).toEqual([]);
    expect(said([{ ...byHand, problem: 'puckered' }])).toEqual([]);
  });

  it('with a coating is said at its layer, whatever it was', () => {
    for (const problem of ['peeled', 'brushMarks'] as const)
      expect(said([{ ...byHand, coatingId: 'chalk', problem }])).toEqual([
        ['lesson.learned', 'layer', planned.layers.find(({ coating }) => coating.id === 'chalk')?.id, problem],
      ]);
    expect(said(setbackProblems.map((problem) => ({ ...byHand, problem })))).toEqual([]);
  });
});
