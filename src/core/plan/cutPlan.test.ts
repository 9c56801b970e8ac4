import { describe, expect, it } from 'vitest';
import { validateLayout } from '../cutting/validateLayout';
import { AS_OF, card, fill, find, option, pack, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { exactly } from '../kernel/amount';
import type { ProjectRows, SupplyRow } from '../model/rows';
import { computePlan } from './computePlan';
import { cutPurchaseOf, cutQuestionOf } from './model/cutPurchase';

const part = (findId: string) => ({ findId, offerId: null, pieces: 1 });
/** Two chests of drawer fronts of 250 × 120 mm without an edge to wrap, papered; a sheet of 305 mm holds two of them. */
function twoChests(change: Partial<SupplyRow> = {}, fills = ['a', 'b']): ProjectRows {
  const chest = (id: string) => find(id, 1000, { templateId: 'drawerFronts', materialId: 'pine' });
  const papered = (id: string) => {
    const of = chest(id);
    const made = recipe(`recipe-${id}`, of, 'decoupageMedium', 'meadow', {
      dropped: ['topcoat:waterClear'],
    });
    const [piece] = made.body.pieces;
    return {
      ...made,
      body: {
        ...made.body,
        pieces: piece
          ? [
              {
                ...piece,
                templateId: 'drawerFronts',
                measures: { drawers: 3, widthMm: 250, heightMm: 120, depthMm: 300 },
                zoneEdits: {
                  fronts: { shape: { kind: 'rectangle', values: { widthMm: 250, heightMm: 120 } }, count: 3 },
                },
              },
            ]
          : [],
        layers: [
          {
            id: 'paper',
            techniqueId: 'paperSheets',
            coatingId: 'decoupageMedium',
            colorCardId: 'meadow',
            sheetId: 'paper',
            sheen: 'matt' as const,
            zoneKeys: 'all' as const,
            coats: null,
            values: { overlapMm: 6 },
          },
        ],
      },
    };
  };
  return rows({
    slots: [slot('1'), slot('2', { number: 2 })],
    finds: [chest('a'), chest('b')],
    recipes: [papered('a'), papered('b')],
    colorCards: [card('meadow', 'Meadow print', '#d9e0c4')],
    supplies: [
      supply('sheets', 'paper', 'meadow', null, change),
      // Plenty of what else it takes, so that only the paper costs.
      supply('medium', 'decoupageMedium', null, 'matt', {
        stash: { state: 'exact', amount: 900 },
        unitCostMillionths: 0,
      }),
    ],
    packs: [pack('sheet', 'sheets', 1, 200)],
    options: [
      option('a', '1', 'makeover', { parts: [part('a')], recipeId: 'recipe-a' }),
      option('b', '2', 'makeover', { parts: [part('b')], recipeId: 'recipe-b' }),
    ],
    fills: fills.map((id) => fill(id === 'a' ? '1' : '2', id)),
  });
}

const KEY = 'paper|meadow|';
const sheetsOf = (of: ProjectRows) => computePlan(of, AS_OF).supplies.find(({ key }) => key === KEY);
const cashOf = (of: ProjectRows, id: string, figure: 'cashAdded' | 'cashAlone') =>
  computePlan(of, AS_OF).option(id)?.[figure].likely;

describe('two makeovers of one paper', () => {
  it('are laid out together: three fronts each alone take two sheets, six together three', () => {
    const plan = twoChests();
    // 262 × 132 with the bleed: two on a sheet of 304.8.
    expect(sheetsOf(plan)).toMatchObject({ need: 3, cash: exactly(600), optionIds: ['a', 'b'] });
    expect(sheetsOf(twoChests({}, ['a']))).toMatchObject({ need: 2, cash: exactly(400) });
  });

  it('so each adds one sheet to the other, and two alone', () => {
    const plan = twoChests();
    expect(cashOf(plan, 'a', 'cashAlone')).toBe(1000 + 400);
    expect(cashOf(plan, 'a', 'cashAdded')).toBe(1000 + 200);
  });

  it('take what is in the house first: whole sheets, and leftovers that hold a part', () => {
    const stash = { state: 'exact' as const, amount: 1 };
    expect(sheetsOf(twoChests({ stash }))).toMatchObject({ fromStash: 1, cash: exactly(400) });
    const offcuts = [{ id: 'rest', widthMm: 304.8, lengthMm: 140, count: 2 }];
    expect(sheetsOf(twoChests({ stash, offcuts }))).toMatchObject({ cash: exactly(200) });
    expect(sheetsOf(twoChests({ offcuts: [{ id: 'scrap', widthMm: 120, lengthMm: 120, count: 9 }] }))).toMatchObject({
      cash: exactly(600),
    });
  });

  it('go by the size of this very paper', () => {
    const stock = {
      widthMm: 600,
      lengthMm: 800,
      repeatMm: null,
      isHalfDrop: false,
      motifs: null,
      isDirectional: false,
    };
    expect(sheetsOf(twoChests({ stock }))).toMatchObject({ need: 1 });
    // A print with a way up stays as it stands: 262 across takes one column of a sheet 500 wide, six rows of 132.
    const upright = { ...stock, widthMm: 500, lengthMm: 800, isDirectional: true };
    expect(sheetsOf(twoChests({ stock: upright }))).toMatchObject({ need: 1 });
    expect(sheetsOf(twoChests({ stock: { ...upright, lengthMm: 700 } }))).toMatchObject({ need: 2 });
    expect(sheetsOf(twoChests({ stock: { ...stock, widthMm: 500, lengthMm: 700 } }))).toMatchObject({ need: 1 });
  });

  it('have a layout that can be cut', () => {
    const plan = computePlan(twoChests(), AS_OF);
    const pool = plan.model.supply(KEY);
    const total = plan.totals.of(`supply ${KEY}`);
    const question = cutQuestionOf(pool, total);
    const cut = cutPurchaseOf(pool, total);
    expect(question && cut && validateLayout(question, cut.layout)).toEqual([]);
  });

  it('take no paper for a layer that is left out', () => {
    const of = twoChests({}, ['a']);
    const recipes = of.recipes.map((row) => ({
      ...row,
      body: {
        ...row.body,
        stepEdits: Object.fromEntries([1, 2, 3, 4].map((n) => [`coat:paper:${n}`, { skipped: true }])),
      },
    }));
    expect(sheetsOf({ ...of, recipes })).toBeUndefined();
  });
});
