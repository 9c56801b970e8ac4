import { describe, expect, it } from 'vitest';
import { editRecipes } from '../acts/recipes/editRecipes';
import { coatings } from '../catalog/coatings';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { AS_OF, card, fill, find, option, project, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { standInWords } from '../formats/shoppingList/savings';
import { Memo } from '../kernel/memo';
import type { ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import { standInsFor } from './standIns';

let ids = 0;
const newId = () => {
  ids += 1;
  return `new${ids}`;
};

/** Two owned pieces in one color, chosen. */
function room(coatingId: string, change: Partial<ProjectRows> = {}): ProjectRows {
  const names = ['a', 'b'];
  return rows({
    project: project(),
    slots: names.map((id) => slot(`s${id}`)),
    finds: names.map((id) => find(id, 0, { state: 'owned' })),
    colorCards: [card('c', 'Teal', '#2f5d62')],
    recipes: names.map((id) => recipe(`r${id}`, find(id, 0), coatingId, 'c')),
    options: names.map((id) =>
      option(`o${id}`, `s${id}`, 'makeover', { parts: [{ findId: id, offerId: null, pieces: 1 }], recipeId: `r${id}` }),
    ),
    fills: names.map((id) => fill(`s${id}`, `o${id}`)),
    ...change,
  });
}

const keysOf = (of: ProjectRows) => computePlan(of, AS_OF).supplies.map(({ key }) => key);
const keyOf = (of: ProjectRows, kindId: string) =>
  keysOf(of).find((key) => partsOfSupplyKey(key).kindId === kindId) ?? '';

describe('what does as well in the place of a coating', () => {
  it('is another of its kind, in every recipe that lays it, and comes to what the board says afterwards', () => {
    const of = room('chalk');
    const plan = computePlan(of, AS_OF);
    const clear = keyOf(of, 'waterClear');
    const found = standInsFor(plan, clear, newId, new Memo());
    expect(found.map(({ coatingId }) => coatingId)).toContain('waterbornePolyurethane');
    for (const standIn of found) {
      const after = computePlan(
        {
          ...of,
          recipes: of.recipes.map((row) => ({
            ...row,
            body: standIn.recipes.find(({ id }) => id === row.id)?.body ?? row.body,
          })),
        },
        AS_OF,
      );
      expect(after.sums.cash.likely - plan.sums.cash.likely).toBe(standIn.moreCashMinor);
      expect(after.sums.minutes.likely - plan.sums.minutes.likely).toBeCloseTo(standIn.moreMinutes, 6);
      expect(after.supplies.some(({ key }) => key === clear)).toBe(false);
      expect(after.chosen.every(({ model }) => !after.option(model.option.id)?.refused)).toBe(true);
      expect(standIn.recipes).toHaveLength(2);
    }
  });

  it('is taken in all recipes as one act', () => {
    const of = room('chalk');
    const [first] = standInsFor(computePlan(of, AS_OF), keyOf(of, 'waterClear'), newId, new Memo());
    const recipes = first?.recipes.map(({ id, body }) => ({ id, values: { body } })) ?? [];
    expect(editRecipes.decide(of, { recipes })).toMatchObject([
      { table: 'recipes', op: 'update', id: 'ra' },
      { table: 'recipes', op: 'update', id: 'rb' },
    ]);
    // One that is gone meanwhile takes the others with it.
    expect(editRecipes.decide({ ...of, recipes: of.recipes.slice(1) }, { recipes })).toHaveProperty('refused');
  });

  it('takes what is in the house for nothing, and says so', () => {
    const of = room('chalk', {
      supplies: [supply('wp', 'waterbornePolyurethane', null, 'satin', { stash: { state: 'exact', amount: 900 } })],
    });
    const found = standInsFor(computePlan(of, AS_OF), keyOf(of, 'waterClear'), newId, new Memo());
    const there = found.find(({ coatingId }) => coatingId === 'waterbornePolyurethane');
    expect(there).toMatchObject({ isThere: true, stash: 900 });
    expect(there?.moreCashMinor).toBeLessThan(0);
    expect(there && standInWords(there, { currency: 'USD' })).toContain('there is enough in the house');
  });

  it('never brings what is refused, or what more is to be feared of, for any supply of a furnished room', () => {
    const of = furnishedRoom();
    const plan = computePlan(of, AS_OF);
    let tried = 0;
    for (const { key } of plan.supplies)
      for (const standIn of standInsFor(plan, key, newId, new Memo())) {
        tried += 1;
        const own = coatings.find(partsOfSupplyKey(key).kindId);
        expect(coatings.get(standIn.coatingId)).toMatchObject({ group: own?.group, role: own?.role });
      }
    expect(tried).toBeGreaterThan(2);
  });

  it('is nothing for what is no coating, for what nobody lays, or for what is done', () => {
    const of = room('chalk');
    const plan = computePlan(of, AS_OF);
    expect(standInsFor(plan, 'paintbrush||', newId, new Memo())).toEqual([]);
    expect(standInsFor(plan, 'oilPolyurethane||satin', newId, new Memo())).toEqual([]);
    const done = { ...of, recipes: of.recipes.map((row) => ({ ...row, doneOn: '2026-05-01' })) };
    expect(standInsFor(computePlan(done, AS_OF), keyOf(of, 'waterClear'), newId, new Memo())).toEqual([]);
  });
});
