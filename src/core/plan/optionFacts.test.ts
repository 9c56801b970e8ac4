import { describe, expect, it } from 'vitest';
import { following, uuid } from '../fixtures/following';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pack,
  pieceIdOf,
  project,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import { parseQuantity, shownQuantity } from '../kernel/quantities';
import type { OptionRow, ProjectRows } from '../model/rows';
import { newPiece } from '../sourcing/newPiece';
import { computePlan, type OptionPlan, type Plan } from './computePlan';
import { costPerOf, reversibleOf, soldForOf, storageLitersOf } from './optionFacts';
import { explainOption } from './why/explainOption';

const TEAL = card(uuid(3), 'Teal', '#2f5d62');
const part = (findId: string, pieces = 1) => [{ findId, offerId: null, pieces }];
const chest = find('chest', 2400, { materialId: 'pine' });

/** One slot, one option. */
function one(of: OptionRow, change: Partial<ProjectRows> = {}): { plan: Plan; only: OptionPlan } {
  const plan = computePlan(
    rows({ slots: [slot('s')], finds: [chest], colorCards: [TEAL], options: [of], ...change }),
    AS_OF,
  );
  const only = plan.option(of.id);
  if (!only) throw new Error('no option');
  return { plan, only };
}

const makeover = (coatingId: string) => {
  const body = recipe('r', chest, coatingId, TEAL.id);
  const layers = body.body.layers.map((layer) =>
    coatingId.endsWith('Film') ? { ...layer, techniqueId: 'filmPanels' } : layer,
  );
  return {
    of: option('o', 's', 'makeover', { parts: part('chest'), recipeId: 'r' }),
    with: { recipes: [{ ...body, body: { ...body.body, layers } }] },
  };
};

describe('what else decides about a way', () => {
  it('tells what can be undone: nothing done, removable film, a coat for good, a thing made', () => {
    expect(reversibleOf(one(option('o', 's', 'asFound', { parts: part('chest') })).only.model)).toBe('untouched');
    const paint = makeover('chalk');
    expect(reversibleOf(one(paint.of, paint.with).only.model)).toBe('forGood');
    // On a smooth closed face film lies as it is; permanent film stays.
    const laminate = { finds: [{ ...chest, materialId: 'laminate' }] };
    for (const [film, told] of [
      ['removableFilm', 'comesOff'],
      ['permanentFilm', 'forGood'],
    ] as const) {
      const laid = makeover(film);
      expect(reversibleOf(one(laid.of, { ...laid.with, ...laminate }).only.model)).toBe(told);
    }
    // What was taken off before it is gone.
    const stripped = makeover('removableFilm');
    const [body] = stripped.with.recipes;
    const recipes = body
      ? [{ ...body, body: { ...body.body, preparations: [{ kind: 'strip' as const, zoneKeys: 'all' as const }] } }]
      : [];
    const varnished = { finds: [{ ...chest, finishId: 'glossyVarnish' }] };
    expect(reversibleOf(one(stripped.of, { ...varnished, recipes }).only.model)).toBe('forGood');
    expect(reversibleOf(one(option('m', 's', 'make')).only.model)).toBe('made');
  });

  it('tells what is given up by altering what could be sold: as it is less afterwards, never below nothing', () => {
    const piece = {
      ...newPiece(pieceIdOf('chest'), 'chest', { units: 'us', currency: 'USD', today: '2026-06-01' }),
      version: 1,
      inHouse: true,
      value: 3000,
    };
    const paint = makeover('chalk');
    const sold = (resaleAfter: number | null, worth: Partial<typeof piece> = {}) => {
      const { plan, only } = one({ ...paint.of, resaleAfter }, { ...paint.with, pieces: [{ ...piece, ...worth }] });
      return soldForOf(plan, only);
    };
    expect(sold(1000)).toEqual({ asItIs: 3000, after: 1000, forgone: 2000 });
    expect(sold(9000).forgone).toBe(0);
    expect(sold(null)).toEqual({ asItIs: 3000, after: null, forgone: null });
    // Other money, or somebody else's: nobody's to count.
    expect(sold(1000, { currency: 'EUR' }).forgone).toBeNull();
    expect(sold(1000, { borrowedFrom: 'Mara', mayAlter: true }).asItIs).toBeNull();
    const { plan, only } = one(option('o', 's', 'asFound', { parts: part('chest') }), { pieces: [piece] });
    expect(soldForOf(plan, only)).toEqual({ asItIs: 3000, after: 3000, forgone: 0 });
  });

  it('divides its cost by planned uses, looks and years', () => {
    const { only } = one(
      option('o', 's', 'asFound', { parts: part('chest'), lasts: { uses: 12, looks: 3, years: null } }),
    );
    expect(only.cashAdded.likely).toBe(2400);
    expect(costPerOf(only)).toEqual({ use: 200, look: 800, year: null });
  });

  it('tells the room that it takes: nothing for what goes back, by its overall size else', () => {
    const { only } = one(option('o', 's', 'asFound', { parts: part('chest') }));
    const { widthMm = 0, depthMm = 0, heightMm = 0 } = chest.measures;
    expect(storageLitersOf(only.model, 1)).toBeCloseTo((widthMm * depthMm * heightMm) / 1e6, 6);
    expect(storageLitersOf(only.model, 2)).toBeCloseTo((2 * widthMm * depthMm * heightMm) / 1e6, 6);
    expect(storageLitersOf({ ...only.model, option: { ...only.option, kind: 'borrow' } }, 1)).toBe(0);
    // A cubic foot is 28.316846592 l (NIST Handbook 44, from memory).
    expect(parseQuantity('1 cu ft', 'roomL', 'us')).toBeCloseTo(28.316846592, 9);
    expect(shownQuantity(28.316846592, 'roomL', 'us')).toBeCloseTo(1, 9);
  });

  it('counts as used up what is consumed, at what a unit costs, and the price of the piece', () => {
    const paint = makeover('chalk');
    const can = supply('can', 'chalk', TEAL.id, 'matt', { stash: { state: 'exact', amount: 473 } });
    const { plan, only } = one(paint.of, {
      ...paint.with,
      supplies: [{ ...can, unitCostMillionths: 4_000_000 }],
      packs: [pack('p', 'can', 473, 2400)],
    });
    const tree = explainOption(plan, only, 'usedUp');
    const line = tree.because.find(({ label }) => label.toLowerCase().includes('chalk'));
    const used = Number(line?.because[0]?.value);
    // 4 cents a milliliter.
    expect(line?.value).toBe(Math.round(used * 4));
    expect(tree.because.find(({ label }) => label === chest.name)?.value).toBe(2400);
    expect(tree.value).toBe(tree.because.reduce((sum, { value }) => sum + Number(value), 0));
  });
});

describe('borrowing and renting', () => {
  const lent = find(uuid(11), 0, {
    name: 'Tall vase',
    pieceId: uuid(12),
    story: { ...find('x', 0).story, tag: { state: 'free' } },
    borrowedFrom: 'Mara',
    backBy: '2026-06-10',
  });
  const start = rows({
    project: project({ id: uuid(1), revealDate: '2026-06-20', standsUntil: '2026-07-01' }),
    slots: [slot(uuid(41))],
  });
  const way = (kind: OptionRow['kind'], change: object) => ({
    option: option(uuid(61), uuid(41), kind, change),
    find: null,
    offer: null,
    recipe: null,
    colorCard: null,
  });

  it('costs nothing to borrow but fetching and bringing back, and says when it goes back too early', () => {
    const added = following(start, 'addOption', { ...way('borrow', { parts: part(lent.id) }), find: lent });
    const piece = added.pieces.find(({ id }) => id === lent.pieceId);
    expect([piece?.borrowedFrom, piece?.backBy, piece?.inHouse]).toEqual(['Mara', '2026-06-10', false]);
    const only = computePlan(added, AS_OF).option(uuid(61));
    expect(only?.cashAdded.likely).toBe(0);
    expect(only?.hoursAdded.likely).toBe(40);
    expect(only?.findings.map(({ code }) => code)).toContain('house.goesBack');
    expect(only?.refused).toBe(false);
  });

  it('refuses to alter what is borrowed while its owner was not asked', () => {
    const body = recipe(uuid(21), lent, 'chalk', null);
    const asked = { ...way('makeover', { parts: part(lent.id), recipeId: body.id }), find: lent, recipe: body };
    const lentHere = following(start, 'addOption', { ...way('borrow', { parts: part(lent.id) }), find: lent });
    const again = { ...asked, find: null, option: { ...asked.option, id: uuid(62) } };
    expect(() => following(lentHere, 'addOption', again)).toThrow(/lets us alter/);
  });

  it('costs its rent, leaves the deposit out of every figure and says so, and says when it is due too early', () => {
    const screen = offer(uuid(31), 4500, {
      name: 'Folding screen',
      assemblyMinutes: 0,
      leadDays: 0,
      rented: { backBy: '2026-06-25', deposit: 6000, wentBackOn: null },
    });
    const parts = [{ findId: null, offerId: screen.id, pieces: 1 }];
    const added = following(start, 'addOption', { ...way('rent', { parts }), offer: screen });
    const chosen = { ...added, fills: [fill(uuid(41), uuid(61))] };
    const plan = computePlan(chosen, AS_OF);
    const only = plan.option(uuid(61));
    expect([only?.cashAdded.likely, plan.purse.money.planned.likely]).toEqual([4500, 4500]);
    expect(only?.findings.map(({ code }) => code)).toEqual(expect.arrayContaining(['rent.goesBack', 'rent.deposit']));
    // What is rented is no yardstick for what is bought.
    expect(plan.slots[0]?.yardstickId).toBeNull();
    const open = { ...added, offers: [{ ...screen, rented: { backBy: null, deposit: 0, wentBackOn: null } }] };
    expect(
      computePlan(open, AS_OF)
        .option(uuid(61))
        ?.findings.map(({ code }) => code),
    ).toEqual(['rent.noDate']);
  });
});
