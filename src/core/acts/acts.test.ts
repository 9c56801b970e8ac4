import { describe, expect, it } from 'vitest';
import { following, outcomeOf, uuid } from '../fixtures/following';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pack,
  project,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import { rowProblems } from '../formats/project/read';
import { stated } from '../kernel/price';
import type { TableName } from '../model/entities';
import { tableNames } from '../model/entities';
import { MOST_AMOUNT, MOST_UNIT_COST } from '../model/entities/supply';
import type { LedgerRow, ProjectRows, Row } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newSpot } from '../plan/newRows';
import { explainPurse } from '../plan/why/explainPurse';
import { ledgerSums } from '../pricing/ledger';
import { plainStory } from '../pricing/priceStory';
import { type RecipeBody, recipeFor } from '../recipe/recipeBody';
import { emptyBrief } from '../state/brief';
import { acts } from '.';
import { breachesOf } from './invariants';

const [P, SPOT, SLOT, FIND, OPTION, RECIPE, CARD, SUPPLY, PACK, OFFER] = Array.from({ length: 10 }, (_, n) =>
  uuid(n + 1),
) as [string, string, string, string, string, string, string, string, string, string];
const part = (findId: string) => ({ findId, offerId: null, pieces: 1 });

/** One slot with a found and a made-over nightstand and a new one; one can of teal with a pack. */
function small(): ProjectRows {
  const piece = find(FIND, 1200, { name: 'Oak nightstand' });
  const row = recipe(RECIPE, piece, 'chalk', CARD);
  row.body.pieces = row.body.pieces.map((entry) => ({ ...entry, id: uuid(60) }));
  row.body.layers = row.body.layers.map((entry) => ({ ...entry, id: uuid(61) }));
  return rows({
    project: project({ id: P }),
    spots: [newSpot(SPOT, 'Bed wall', 'bedWall', 0)],
    slots: [slot(SLOT, { spotId: SPOT })],
    finds: [piece],
    offers: [offer(OFFER, 8840)],
    recipes: [row],
    colorCards: [card(CARD, 'Teal', '#2f5d62')],
    supplies: [supply(SUPPLY, 'chalk', CARD, 'matt')],
    packs: [pack(PACK, SUPPLY, 946, 2400)],
    options: [
      option(OPTION, SLOT, 'makeover', { parts: [part(FIND)], recipeId: RECIPE }),
      option(uuid(20), SLOT, 'asFound', { parts: [part(FIND)] }),
      option(uuid(21), SLOT, 'buyNew', { parts: [{ findId: null, offerId: OFFER, pieces: 1 }] }),
    ],
    fills: [fill(SLOT, OPTION)].map((entry) => ({ ...entry, id: uuid(30) })),
  });
}
function run(before: ProjectRows, kind: string, payload: unknown) {
  const outcome = outcomeOf(before, kind, payload);
  // Whatever a command does, nothing points to nowhere afterwards.
  if (outcome.rows) expect(rowProblems(outcome.rows)).toEqual([]);
  return outcome;
}
const refusal = (before: ProjectRows, kind: string, payload: unknown) => run(before, kind, payload).refused;
const counts = (of: ProjectRows, ...tables: (TableName | 'finds')[]) =>
  tables.map((table) => (of[table] as readonly Row[]).length);

describe('removing', () => {
  it('a find takes its options, their fills and recipes along, and nothing else', () => {
    const left = following(small(), 'removeFind', { id: FIND });
    expect(counts(left, 'finds', 'options', 'fills', 'recipes', 'offers')).toEqual([0, 1, 0, 0, 1]);
  });
  it('a find leaves the makeovers that stay for others; one that is done keeps it, so it can only be put away', () => {
    const start = small();
    const other = find(uuid(70), 300, { name: 'Stray frame' });
    const shared = rows({
      ...start,
      finds: [...start.finds, other],
      recipes: start.recipes.map((row) => ({
        ...row,
        body: {
          ...row.body,
          pieces: [
            ...row.body.pieces,
            { ...recipeFor(other.id, 'freeBox', {}, uuid(71)).pieces[0] } as RecipeBody['pieces'][number],
          ],
          layers: row.body.layers.map((layer) => ({ ...layer, zoneKeys: [`${uuid(60)}/top`, `${uuid(71)}/top`] })),
        },
      })),
      options: [...start.options, option(uuid(72), SLOT, 'makeover', { parts: [part(other.id)], recipeId: RECIPE })],
    });
    const left = following(shared, 'removeFind', { id: FIND });
    expect(left.recipes[0]?.body.pieces.map(({ findId }) => findId)).toEqual([other.id]);
    expect(left.recipes[0]?.body.layers[0]?.zoneKeys).toEqual([`${uuid(71)}/top`]);
    expect(breachesOf(left)).toEqual([]);
    const done = { ...shared, recipes: shared.recipes.map((row) => ({ ...row, doneOn: '2026-05-01' })) };
    expect(refusal(done, 'removeFind', { id: FIND })?.accepted).toContain('put away');
    const away = following(done, 'archiveFind', { id: FIND });
    expect(away.recipes).toEqual(done.recipes);
    expect(away.finds.find(({ id }) => id === FIND)?.archived).toBe(true);
    // With the last of its finds an unfinished makeover goes too.
    const none = following(left, 'removeFind', { id: other.id });
    expect(counts(none, 'recipes', 'finds')).toEqual([0, 0]);
  });
  it('an option takes its recipe and its own offer, not a find that others use', () => {
    expect(counts(following(small(), 'removeOption', { id: OPTION }), 'options', 'fills', 'recipes', 'finds')).toEqual([
      2, 0, 0, 1,
    ]);
    expect(counts(following(small(), 'removeOption', { id: uuid(21) }), 'options', 'offers', 'fills')).toEqual([
      2, 0, 1,
    ]);
  });
  it('a slot or a spot takes everything in it', () => {
    expect(
      counts(following(small(), 'removeSlot', { id: SLOT }), 'slots', 'options', 'fills', 'recipes', 'finds'),
    ).toEqual([0, 0, 0, 0, 1]);
    expect(counts(following(small(), 'removeSpot', { id: SPOT }), 'spots', 'slots', 'options')).toEqual([0, 0, 0]);
  });
  it('a recipe that two options share stays while one of them does', () => {
    const shared = small();
    shared.options.push(option(uuid(22), SLOT, 'makeover', { parts: [part(FIND)], recipeId: RECIPE }));
    expect(counts(following(shared, 'removeOption', { id: OPTION }), 'recipes')).toEqual([1]);
  });
});

describe('buying', () => {
  const buy = (paid: number, how: 'payment' | 'promise' = 'payment') => ({
    findId: FIND,
    paid,
    how,
    ledgerId: uuid(40),
    atMs: 1,
  });
  it('a find pays once and costs nothing more', () => {
    const bought = following(small(), 'buyFind', buy(1150));
    expect(bought.finds[0]?.state).toBe('bought');
    const { money } = computePlan(bought, AS_OF).purse;
    expect(money.spent).toBe(1150);
    expect(computePlan(small(), AS_OF).purse.money.planned.likely - money.planned.likely).toBe(1200);
    expect(refusal(bought, 'buyFind', { ...buy(1150), ledgerId: uuid(41) })).toMatchObject({ field: 'findId' });
  });
  it('an ordered find is promised, not spent', () => {
    const { money } = computePlan(following(small(), 'buyFind', buy(1200, 'promise')), AS_OF).purse;
    expect([money.spent, money.promised]).toEqual([0, 1200]);
  });
  it('a promise is paid once, and then no longer promised; taken back, it is promised again', () => {
    const ordered = following(small(), 'buyFind', buy(1200, 'promise'));
    const twice = { ...buy(1200, 'promise'), ledgerId: uuid(41) };
    expect(refusal(ordered, 'buyFind', twice)).toMatchObject({ accepted: expect.stringContaining('not ordered') });
    const payment = { ...buy(1150), ledgerId: uuid(42) };
    expect(refusal(ordered, 'buyFind', payment)).toMatchObject({ field: 'reversalId' });
    const paid = following(ordered, 'buyFind', { ...payment, reversalId: uuid(43) });
    const { money } = computePlan(paid, AS_OF).purse;
    expect([paid.finds[0]?.state, money.spent, money.promised]).toEqual(['bought', 1150, 0]);
    // Taking an act back reverses each of its lines.
    const [reversal, line] = paid.ledger.slice(-2);
    const back = [
      ...paid.ledger,
      ...[reversal, line].map((entry, n) => ({
        ...(entry as LedgerRow),
        id: uuid(44 + n),
        reversesId: entry?.id ?? null,
      })),
    ];
    expect(ledgerSums(back)).toMatchObject({ spent: 0, promised: 1200 });
  });
  it('what it cost need not be known: the purse then says at least, and free at most, until it is set right', () => {
    const lost = following(small(), 'buyFind', { ...buy(0), atLeast: true });
    const { money } = computePlan(lost, AS_OF).purse;
    expect(money).toMatchObject({ spent: 0, spentAtLeast: true, promisedAtLeast: false, free: { atLeast: true } });
    const free = explainPurse(computePlan(lost, AS_OF), 'money');
    expect(free.atLeast).toBe(true);
    const spent = free.because.find(({ label }) => label === 'Spent');
    expect(spent?.note).toContain('not known how much');
    // Each thing stands there by its name.
    expect(spent?.because[0]).toMatchObject({ label: 'Oak nightstand', note: 'nobody knows how much', atLeast: true });
    const found = { paid: 900, ledgerId: uuid(42), reversalId: uuid(43), atMs: 2 };
    const right = following(lost, 'correctPayment', { lineId: uuid(40), ...found });
    expect(right.finds[0]?.state).toBe('bought');
    expect(computePlan(right, AS_OF).purse.money).toMatchObject({ spent: 900, spentAtLeast: false });
    // The line that was taken back does not count any more, so there is nothing to set right in it.
    const again = { ...found, lineId: uuid(40), ledgerId: uuid(44), reversalId: uuid(45) };
    expect(refusal(right, 'correctPayment', again)).toMatchObject({ field: 'lineId' });
  });
  it('a find that was paid for is put away instead of removed: the money stays spent, and it comes back', () => {
    const bought = following(small(), 'buyFind', buy(1150));
    expect(refusal(bought, 'removeFind', { id: FIND })?.accepted).toContain('put away');
    const away = following(bought, 'archiveFind', { id: FIND });
    expect(away.finds[0]).toMatchObject({ archived: true, state: 'bought' });
    const plan = computePlan(away, AS_OF);
    expect(plan.purse.money.spent).toBe(1150);
    // Ways that use it are gone with their choices; the new one stays.
    expect(away.options.map(({ kind }) => kind)).toEqual(['buyNew']);
    expect(breachesOf(away)).toEqual([]);
    const back = following(away, 'editFind', { id: FIND, values: { archived: false } });
    expect(back.finds[0]?.archived).toBe(false);
  });
  it('an order whose price is not known is promised at least, and its payment mirrors it', () => {
    const ordered = following(small(), 'buyFind', { ...buy(500, 'promise'), atLeast: true });
    expect(computePlan(ordered, AS_OF).purse.money).toMatchObject({ promised: 500, promisedAtLeast: true });
    const paid = following(ordered, 'buyFind', { ...buy(800), ledgerId: uuid(42), reversalId: uuid(43) });
    expect(breachesOf(paid)).toEqual([]);
    expect(computePlan(paid, AS_OF).purse.money).toMatchObject({
      spent: 800,
      promised: 0,
      spentAtLeast: false,
      promisedAtLeast: false,
    });
  });
  it('an ordered offer is settled for every option that uses it', () => {
    const ordered = following(small(), 'orderOffer', {
      offerId: OFFER,
      paid: 8840,
      how: 'payment',
      ledgerId: uuid(40),
      atMs: 1,
    });
    const plan = computePlan(ordered, AS_OF);
    const fresh = plan.slots[0]?.options.find((entry) => entry.option.kind === 'buyNew');
    expect(fresh?.cashAdded.likely).toBe(0);
    expect(plan.purse.money.spent).toBe(8840);
  });
  it('a can makes the stash grow at the average of what was paid', () => {
    const can = { ...small().supplies[0] };
    const once = following(small(), 'buySupply', { supply: can, amount: 946, paid: 2400, ledgerId: uuid(40), atMs: 1 });
    const twice = following(once, 'buySupply', {
      supply: once.supplies[0],
      amount: 946,
      paid: 3000,
      ledgerId: uuid(41),
      atMs: 2,
    });
    expect(twice.supplies[0]).toMatchObject({ stash: { state: 'exact', amount: 1892 } });
    expect((twice.supplies[0]?.unitCostMillionths ?? 0) / 1e6).toBeCloseTo((2400 + 3000) / 1892, 5);
    expect(computePlan(twice, AS_OF).purse.money.spent).toBe(5400);
    // A can of which nobody knows the price makes the others no cheaper and no dearer.
    const unknown = { supply: twice.supplies[0], amount: 946, paid: 0, atLeast: true, ledgerId: uuid(42), atMs: 3 };
    const thrice = following(twice, 'buySupply', unknown);
    expect(thrice.supplies[0]?.unitCostMillionths).toBe(twice.supplies[0]?.unitCostMillionths);
    // Bought paint is stash: the plan plans no can any more.
    expect(computePlan(twice, AS_OF).supplies.find((line) => line.key.startsWith('chalk'))?.cash.likely).toBe(0);
  });

  it('beside stock of unknown cost keeps its worth: a unit costs what was paid for one', () => {
    const base = small();
    const there = base.supplies.map((row) => ({
      ...row,
      stash: { state: 'about' as const, amount: 946 },
      unitCostMillionths: null,
    }));
    const bought = following({ ...base, supplies: there }, 'buySupply', {
      supply: there[0],
      amount: 946,
      paid: 2400,
      ledgerId: uuid(40),
      atMs: 1,
    });
    expect(bought.supplies[0]?.stash).toEqual({ state: 'exact', amount: 1892 });
    expect((bought.supplies[0]?.unitCostMillionths ?? 0) / 1e6).toBeCloseTo(2400 / 946, 5);
  });

  it('never writes what a file may not say: too much is refused with what is there, a unit has its dearest price', () => {
    const [can] = small().supplies;
    const purchase = { supply: can, amount: MOST_AMOUNT - 1, paid: 0, ledgerId: uuid(40), atMs: 1 };
    const full = following(small(), 'buySupply', purchase);
    expect(refusal(full, 'buySupply', { ...purchase, amount: 2, ledgerId: uuid(41) })).toMatchObject({
      field: 'amount',
      value: 2,
      accepted: `so much that there are at most ${MOST_AMOUNT} then`,
    });
    const drop = { ...purchase, amount: 0.001, paid: 900_000_000 };
    expect(following(small(), 'buySupply', drop).supplies[0]?.unitCostMillionths).toBe(MOST_UNIT_COST);
  });
});

describe('choosing and leaving', () => {
  it('opens a slot again, whether it was filled or left out', () => {
    expect(following(small(), 'clearChoice', { slotId: SLOT }).fills).toEqual([]);
    const out = following(small(), 'leaveOut', { slotId: SLOT });
    expect([out.slots[0]?.leftOut, out.fills.length]).toEqual([true, 0]);
    expect(following(out, 'clearChoice', { slotId: SLOT }).slots[0]?.leftOut).toBe(false);
  });
  it('takes a left-out slot in again when something is chosen for it', () => {
    const out = following(small(), 'leaveOut', { slotId: SLOT });
    const back = following(out, 'choose', { slotId: SLOT, optionId: OPTION, count: 1, fillId: uuid(31) });
    expect([back.slots[0]?.leftOut, back.fills.length]).toEqual([false, 1]);
  });
  it('takes a whole plan at once, and what was chosen before gives way', () => {
    const take = (fills: unknown[], leftOut = false) => ({ slots: [{ slotId: SLOT, fills, leftOut }] });
    const fills = [{ fillId: uuid(31), optionId: OPTION, count: 1 }];
    const taken = following(small(), 'takeChoices', take(fills));
    expect(taken.fills.map(({ id, optionId }) => [id, optionId])).toEqual([[uuid(31), OPTION]]);
    const out = following(taken, 'takeChoices', take([], true));
    expect([out.fills, out.slots[0]?.leftOut]).toEqual([[], true]);
    expect(following(out, 'takeChoices', take(fills)).slots[0]?.leftOut).toBe(false);
    expect(refusal(small(), 'takeChoices', take(fills, true))?.field).toBe('fills');
    expect(refusal(small(), 'takeChoices', take([{ ...fills[0], count: 2 }]))?.field).toBe('count');
    const must = following(small(), 'editSlot', { id: SLOT, values: { importance: 'must' } });
    expect(refusal(must, 'takeChoices', take([], true))?.accepted).toContain('not a must');
    const kept = following(small(), 'editSlot', { id: SLOT, values: { locked: true } });
    expect(refusal(kept, 'takeChoices', take([]))?.accepted).toContain('not kept as it is');
  });
  it('refuses an option of another slot, and a count beyond the slot', () => {
    const two = small();
    two.slots.push(slot(uuid(50), { spotId: SPOT, number: 2 }));
    expect(refusal(two, 'choose', { slotId: uuid(50), optionId: OPTION, count: 1, fillId: uuid(31) })?.field).toBe(
      'optionId',
    );
    expect(refusal(two, 'choose', { slotId: SLOT, optionId: OPTION, count: 2, fillId: uuid(31) })?.field).toBe('count');
  });
});

describe('supplies', () => {
  it('come with their packs; known ones change, missing ones go', () => {
    const base = small();
    const saved = following(base, 'saveSupply', {
      supply: { ...base.supplies[0], stash: { state: 'about', amount: 300 } },
      packs: [{ ...pack(uuid(70), SUPPLY, 473, 1500) }],
    });
    expect(saved.supplies[0]?.stash).toEqual({ state: 'about', amount: 300 });
    expect(saved.packs.map((entry) => entry.id)).toEqual([uuid(70)]);
  });
  it('are one for each kind, color and sheen', () => {
    const base = small();
    expect(
      refusal(base, 'saveSupply', { supply: { ...supply(uuid(71), 'chalk', CARD, 'matt') }, packs: [] }),
    ).toMatchObject({ field: 'supply' });
    expect(
      refusal(base, 'saveSupply', { supply: base.supplies[0], packs: [{ ...pack(uuid(72), uuid(73), 1, 1) }] }),
    ).toMatchObject({ field: 'packs' });
  });
});

describe('assumptions and tools', () => {
  const override = (id: string, value: number) => ({
    override: { id, version: 1, key: 'labor.overheadPercent', scope: 'project', value, note: '' },
  });
  it('an assumption changed twice is one override', () => {
    const once = following(small(), 'setOverride', override(uuid(80), 20));
    const twice = following(once, 'setOverride', override(uuid(81), 25));
    expect(twice.overrides.map((row) => [row.id, row.value])).toEqual([[uuid(80), 25]]);
    expect(following(twice, 'resetOverrides', { ids: [uuid(80)] }).overrides).toEqual([]);
  });
  it('outside its limits it is refused by the schema', () => {
    const { payload } = acts.get('setOverride').act;
    expect(payload.safeParse(override(uuid(80), 400)).success).toBe(false);
    expect(payload.safeParse({ override: { ...override(uuid(80), 1).override, key: 'labor.magic' } }).success).toBe(
      false,
    );
  });
  it('a tool is noted once', () => {
    const tool = (id: string, owned: boolean) => ({
      tool: { id, version: 1, toolId: 'respirator', owned, wear: 'good' as const },
    });
    const noted = following(following(small(), 'setTool', tool(uuid(82), true)), 'setTool', tool(uuid(83), false));
    expect(noted.tools.map((row) => [row.id, row.owned])).toEqual([[uuid(82), false]]);
  });
});

describe('the sketch', () => {
  const box = { xMm: 10, yMm: 0, widthMm: 300, heightMm: 400 };
  it('moves several slots in one act, and refuses one that is gone', () => {
    expect(following(small(), 'arrangeSlots', { boxes: [{ id: SLOT, box }] }).slots[0]?.box).toEqual(box);
    expect(refusal(small(), 'arrangeSlots', { boxes: [{ id: uuid(99), box }] })?.field).toBe('boxes');
  });
  it('lays several slots of this project only, with quantities from the seats', () => {
    const table = { ...small(), spots: [{ ...newSpot(SPOT, 'Table', 'diningTable', 0), measures: { seats: 4 } }] };
    const laid = following(table, 'addSlots', {
      rows: [slot(uuid(90), { spotId: SPOT, number: 2, perSeat: { parts: 2, spares: 1 } })],
    });
    expect(laid.slots.find((row) => row.id === uuid(90))?.quantity).toBe(9);
    expect(refusal(table, 'addSlots', { rows: [slot(uuid(91), { spotId: uuid(98) })] })?.field).toBe('rows');
  });
  it('cuts choices when a slot asks for fewer', () => {
    const base = small();
    const many = rows({
      ...base,
      slots: [slot(SLOT, { spotId: SPOT, quantity: 4 })],
      finds: [find(FIND, 1200, { story: { ...plainStory(stated(1200)), pieces: 4 }, count: 4 })],
      fills: [
        { id: uuid(30), version: 1, slotId: SLOT, optionId: OPTION, count: 2 },
        { id: uuid(31), version: 1, slotId: SLOT, optionId: uuid(20), count: 2 },
      ],
    });
    const fewer = following(many, 'editSlot', { id: SLOT, values: { quantity: 3 } });
    expect(fewer.fills.map((row) => row.count)).toEqual([2, 1]);
    expect(following(many, 'editSlot', { id: SLOT, values: { quantity: 2 } }).fills.map((row) => row.count)).toEqual([
      2,
    ]);
    expect(following(many, 'editSlot', { id: SLOT, values: { quantity: 6 } }).fills.map((row) => row.count)).toEqual([
      2, 2,
    ]);
  });
  it('moves a slot only to a spot of this project', () => {
    expect(refusal(small(), 'editSlot', { id: SLOT, values: { spotId: uuid(98) } })?.field).toBe('values.spotId');
  });
});

describe('the brief', () => {
  it('takes a palette with new cards in one act, and no card that is not here', () => {
    const fresh = card(uuid(95), 'Cream', '#f4f2ea');
    const set = following(small(), 'setPalette', {
      palette: [
        { colorCardId: CARD, role: 'main' },
        { colorCardId: fresh.id, role: 'ground' },
      ],
      cards: [fresh],
    });
    expect(set.project.brief.palette).toHaveLength(2);
    expect(set.colorCards).toHaveLength(2);
    expect(
      refusal(small(), 'setPalette', { palette: [{ colorCardId: uuid(96), role: 'main' }], cards: [] })?.field,
    ).toBe('palette');
  });
  it('lets go of a photo wherever it was used', () => {
    const photo = {
      id: uuid(97),
      version: 1,
      kind: 'anchor' as const,
      name: 'door',
      widthPx: 9,
      heightPx: 9,
      sizeBytes: 9,
      atMs: 1,
    };
    const anchored = {
      ...small(),
      project: project({ id: P, brief: { ...emptyBrief, anchor: { what: 'the door', why: '', photoId: null } } }),
    };
    const withPhoto = following(anchored, 'addPhoto', { photo, inspiration: null });
    expect(withPhoto.project.brief.anchor?.photoId).toBe(photo.id);
    const noted = following(withPhoto, 'addInspiration', {
      inspiration: { id: uuid(94), version: 1, photoId: photo.id, seenAt: '', taken: 'the blue' },
    });
    const gone = following(noted, 'removePhoto', { id: photo.id });
    expect([gone.project.brief.anchor?.photoId, gone.inspirations[0]?.photoId, gone.photos.length]).toEqual([
      null,
      null,
      0,
    ]);
    const kept = following(noted, 'removeInspiration', { id: uuid(94) });
    expect([kept.inspirations.length, kept.photos.length]).toEqual([0, 1]);
    const loose = { ...noted, project: anchored.project };
    const both = following(loose, 'removeInspiration', { id: uuid(94) });
    expect([both.inspirations.length, both.photos.length]).toEqual([0, 0]);
  });
});

describe('a change', () => {
  it('names every table, so that none is forgotten in files', () => {
    const empty = rows();
    for (const table of tableNames) expect(Array.isArray(empty[table])).toBe(true);
  });
});

describe('one recipe for several finds', () => {
  const stray = find(uuid(70), 300, { name: 'Stray frame' });
  const withStray = () => rows({ ...small(), finds: [...small().finds, stray] });
  const covering = (rowsBefore: ProjectRows, change: object = {}) => {
    const body = rowsBefore.recipes[0]?.body;
    const [piece] = recipe(uuid(71), stray, 'chalk', CARD).body.pieces;
    return {
      recipeId: RECIPE,
      findId: stray.id,
      body: { ...body, pieces: [...(body?.pieces ?? []), { ...piece, id: uuid(72) }] },
      option: option(uuid(73), SLOT, 'makeover', { parts: [part(stray.id)], recipeId: RECIPE }),
      ...change,
    };
  };
  it('covers the other find and gives it a makeover that shares the sessions', () => {
    const start = withStray();
    const { rows: after } = run(start, 'coverFind', covering(start));
    if (!after) throw new Error('refused');
    expect(after.recipes[0]?.body.pieces.map((piece) => piece.findId)).toEqual([FIND, stray.id]);
    const plan = computePlan(after, AS_OF);
    const [first, second] = [OPTION, uuid(73)].map((id) =>
      plan.slots.flatMap((entry) => entry.options).find((entry) => entry.option.id === id),
    );
    expect(second?.model.recipe).toBe(first?.model.recipe);
    expect(second?.model.draws.map((draw) => draw.key)).toContain(`chalk|${CARD}|matt`);
  });
  it('refuses what is not there, or a body that leaves the find out', () => {
    const start = withStray();
    const field = (change: object) => outcomeOf(start, 'coverFind', covering(start, change)).refused?.field;
    expect(field({ recipeId: uuid(99) })).toBe('recipeId');
    expect(field({ findId: uuid(99) })).toBe('findId');
    expect(field({ body: start.recipes[0]?.body })).toBe('body.pieces');
    expect(field({ option: option(uuid(73), SLOT, 'makeover', { parts: [part(FIND)], recipeId: RECIPE }) })).toBe(
      'option',
    );
  });
});
