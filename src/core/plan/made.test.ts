import { describe, expect, it } from 'vitest';
import { AS_OF, card, fill, find, option, pack, project, recipe, rows, slot, supply } from '../fixtures/projectRows';
import type { ProjectRows, RecipeRow, SlotRow } from '../model/rows';
import { needsOf } from '../recipe/needsOf';
import { computePlan } from './computePlan';
import { madeBody } from './madeBody';

const teal = card('teal', 'Teal', '#2f5d62');
const stools = find('stools', 900, { name: 'Stools', count: 4, finishId: 'soundOldPaint', sheen: 'matt' });
const teals = recipe('in teal', stools, 'chalk', 'teal');

/** A slot for some stools, of which some are chosen to be made over by one recipe. */
function bench(chosen: number, change: Partial<ProjectRows> = {}, more: Partial<SlotRow> = {}): ProjectRows {
  return rows({
    project: project({ hoursOnHandMinutes: 1000 }),
    slots: [slot('seats', { quantity: 4, ...more })],
    finds: [stools],
    colorCards: [teal],
    recipes: [teals],
    options: [
      option('over', 'seats', 'makeover', {
        parts: [{ findId: 'stools', offerId: null, pieces: 1 }],
        recipeId: 'in teal',
      }),
    ],
    supplies: [supply('can', 'chalk', 'teal', 'matt')],
    packs: [pack('quart', 'can', 946, 3600)],
    fills: chosen > 0 ? [fill('seats', 'over', chosen)] : [],
    ...change,
  });
}
const paintOf = (of: ProjectRows) => {
  const plan = computePlan(of, AS_OF);
  const computed = plan.recipes.get('in teal');
  const [row] = of.recipes;
  if (!computed || !row) throw new Error('no recipe');
  const needs = needsOf(computed, madeBody(of, row));
  const chalk = [...needs].find(([key]) => key.startsWith('chalk'))?.[1] ?? 0;
  return { page: chalk, plan: plan.supplies.find((line) => line.key.startsWith('chalk'))?.need ?? 0 };
};

describe('a recipe of a slot with several', () => {
  it('takes paint for as many as are chosen, on its page as in the plan', () => {
    const one = paintOf(bench(1));
    for (const chosen of [1, 2, 4]) {
      const here = paintOf(bench(chosen));
      expect(here.page).toBeCloseTo(here.plan, 6);
      // Every stool has the same surfaces; what sticks to the tools is the same for each.
      expect(here.page / one.page).toBeCloseTo(chosen, 1);
    }
  });

  it('keeps the count that it was thought for until something is chosen', () => {
    const alone = bench(0);
    expect(madeBody(alone, teals)).toBe(teals.body);
    expect(madeBody(bench(2), teals).pieces.map(({ count }) => count)).toEqual([2]);
    expect(madeBody(bench(1), teals)).toBe(teals.body);
  });

  it('gives the same body for the same choices, so that nothing is computed anew', () => {
    expect(madeBody(bench(3), teals)).toBe(madeBody(bench(3), teals));
    expect(teals.body.pieces[0]?.count).toBe(1);
  });

  it('counts an own entry of the recipe beside the chosen ones by itself', () => {
    const [piece] = teals.body.pieces;
    if (!piece) throw new Error('no piece');
    const spare: RecipeRow = {
      ...teals,
      body: { ...teals.body, pieces: [piece, { ...piece, id: 'spare', count: 3 }] },
    };
    expect(madeBody(bench(2, { recipes: [spare] }), spare).pieces.map(({ count }) => count)).toEqual([2, 3]);
  });
});

describe('a makeover that is done', () => {
  const hands = (of: ProjectRows) => computePlan(of, AS_OF).purse.hands;
  const done = bench(2, { recipes: [{ ...teals, doneOn: '2026-06-01' }] });

  it('does not give its hours back: what was worked is neither planned nor free', () => {
    const before = hands(bench(2));
    const after = hands(done);
    expect(before.doneMinutes).toBe(0);
    expect(after.doneMinutes).toBeGreaterThan(60);
    expect(after.planned.likely).toBe(0);
    expect(after.freeMinutes).toBe(1000 - after.doneMinutes);
    expect(after.freeMinutes).toBeCloseTo(before.freeMinutes ?? 0, 0);
  });

  it('that nobody chose costs the purse nothing', () => {
    expect(hands(bench(0, { recipes: [{ ...teals, doneOn: '2026-06-01' }] }))).toMatchObject({
      doneMinutes: 0,
      freeMinutes: 1000,
    });
  });
});

describe('something made from scratch for a slot of several', () => {
  const napkins = (chosen: number): ProjectRows => {
    const made = recipe('napkins', stools, 'chalk', 'teal');
    const [piece] = made.body.pieces;
    if (!piece) throw new Error('no piece');
    const build = { id: 'napkin', values: { shrinkPercent: 0 }, materials: {} };
    return rows({
      slots: [slot('napkins', { quantity: 8 })],
      recipes: [
        {
          ...made,
          body: {
            ...made.body,
            layers: [],
            pieces: [{ ...piece, findId: null, templateId: 'flatCloth', build, count: 1 }],
          },
        },
      ],
      options: [option('sewn', 'napkins', 'make', { recipeId: 'napkins' })],
      fills: chosen > 0 ? [fill('napkins', 'sewn', chosen)] : [],
    });
  };

  it('takes its parts as often as it is chosen, once and not by their square', () => {
    for (const chosen of [1, 3, 8]) {
      const plan = computePlan(napkins(chosen), AS_OF);
      const cloth = plan.supplies.find(({ key }) => key.startsWith('fabric|'));
      const parts = cloth?.cut?.units.reduce((sum, unit) => sum + unit.placed.length, 0);
      expect(parts).toBe(chosen);
      // Thread is counted, not laid out: four hems of 18 in each.
      const thread = plan.supplies.find(({ key }) => key.startsWith('thread'))?.need ?? 0;
      expect(thread).toBeCloseTo((chosen * 2.8 * 4 * 457.2) / 1000, 6);
    }
  });
});
