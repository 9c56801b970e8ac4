import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { computePlan } from '../core/plan/computePlan';
import { newSlot, newSupply } from '../core/plan/newRows';
import { chosenLayer, recipeFor } from '../core/recipe/recipeBody';
import { attic, freshStudio, nightstandOption } from './test/studio';

const { studio } = await freshStudio();

type Sent = { status: number; json: { actId: string } };
/** A command of one of two devices; it must go through. */
async function by(device: string, projectId: string, kind: string, payload: unknown): Promise<string> {
  const body = { key: randomUUID(), projectId, kind, payload, expect: {} };
  const answer = await studio.send('POST', '/api/commands', body, { 'x-device': device });
  if (answer.status !== 200) throw new Error(`${kind}: ${answer.text}`);
  return (answer as Sent).json.actId;
}
const undo = (projectId: string, actId: string, also: string[] = []) =>
  studio.send(
    'POST',
    '/api/commands',
    {
      key: randomUUID(),
      projectId,
      kind: 'undo',
      payload: { actId, also, reversalIds: Array.from({ length: 10 }, () => randomUUID()) },
      expect: {},
    },
    { 'x-device': 'one' },
  );
const contents = async (projectId: string) => {
  const { project, ledger: _ledger, finds: _finds, ...rows } = await studio.rows(projectId);
  const plain = (row: { version: number }) => ({ ...row, version: 0 });
  // Pieces and offers that only the books still name stay; they are no part of what is shown.
  const { pieces: _pieces, offers: _offers, supplies: _supplies, colorCards: _cards, ...shown } = rows;
  return JSON.stringify([
    plain(project),
    Object.values(shown).map((list) => (list as { version: number }[]).map(plain)),
  ]);
};

/** Each: what the first device did, and what the second built on it. */
const family: [string, (at: Place) => Promise<{ actId: string }>, (at: Place) => Promise<void>][] = [
  [
    'a slot that got options',
    async (at) => ({ actId: await by('one', at.projectId, 'addSlot', { row: at.extraSlot }) }),
    async (at) => {
      await by('two', at.projectId, 'addOption', nightstandOption(at.extraSlot.id));
    },
  ],
  [
    'a find that another slot uses',
    async (at) => ({ actId: await by('one', at.projectId, 'addOption', at.way) }),
    async (at) => {
      const option = { ...at.way.option, id: randomUUID(), slotId: at.otherSlot };
      await by('two', at.projectId, 'addOption', { ...at.way, find: null, option });
    },
  ],
  [
    'an offer that was ordered',
    async (at) => ({ actId: await by('one', at.projectId, 'addOption', at.newWay) }),
    async (at) => {
      const settlement = { paid: 8840, how: 'payment', ledgerId: randomUUID(), atMs: 1 };
      await by('two', at.projectId, 'orderOffer', { offerId: at.newWay.offer.id, ...settlement });
      await by('two', at.projectId, 'editOption', { id: at.newWay.option.id, values: { liking: 4 } });
    },
  ],
  [
    'a quantity that choices were made for',
    async (at) => {
      const actId = await by('one', at.projectId, 'editSlot', { id: at.slotId, values: { quantity: 2 } });
      return { actId };
    },
    async (at) => {
      await by('two', at.projectId, 'addOption', { ...at.way, find: { ...at.way.find, count: 2 } });
      const fill = { slotId: at.slotId, optionId: at.way.option.id, count: 2, fillId: randomUUID() };
      await by('two', at.projectId, 'choose', fill);
    },
  ],
  [
    'a choice that was made anew',
    async (at) => {
      await by('one', at.projectId, 'addOption', at.way);
      await by('one', at.projectId, 'addOption', at.newWay);
      const fill = { slotId: at.slotId, optionId: at.way.option.id, count: 1, fillId: randomUUID() };
      return { actId: await by('one', at.projectId, 'choose', fill) };
    },
    async (at) => {
      const fill = { slotId: at.slotId, optionId: at.newWay.option.id, count: 1, fillId: randomUUID() };
      await by('two', at.projectId, 'choose', fill);
    },
  ],
  [
    'a color that a recipe and a supply are made in',
    async (at) => ({ actId: await by('one', at.projectId, 'addColorCard', { row: at.card }) }),
    async (at) => {
      const body = recipeFor(at.way.find.id, 'nightstand', at.way.find.measures, 'piece');
      body.layers = [chosenLayer('layer', 'wallAcrylic', { colorCardId: at.card.id })];
      const recipe = { id: randomUUID(), version: 1, name: 'In fog', body, doneOn: null, uses: [] };
      const option = { ...at.way.option, kind: 'makeover' as const, recipeId: recipe.id };
      await by('two', at.projectId, 'addOption', { ...at.way, option, recipe });
      const supply = newSupply(randomUUID(), 'wallAcrylic', at.card.id, 'matt');
      await by('two', at.projectId, 'saveSupply', { supply, packs: [] });
    },
  ],
];

interface Place {
  projectId: string;
  slotId: string;
  otherSlot: string;
  extraSlot: ReturnType<typeof newSlot>;
  way: ReturnType<typeof nightstandOption>;
  newWay: { option: { id: string }; offer: { id: string } };
  card: { id: string; version: number; name: string; lab: { L: number; a: number; b: number } };
}

async function place(): Promise<Place> {
  const { projectId, slotId, spotId } = await attic(studio);
  const otherSlot = newSlot(randomUUID(), spotId, 2, 'Nightstand, right');
  await studio.command(projectId, 'addSlot', { row: otherSlot });
  const way = nightstandOption(slotId);
  const offer = {
    id: randomUUID(),
    version: 1,
    name: 'New nightstand',
    sourceId: null,
    price: { state: 'stated' as const, low: 8840, high: 8840 },
    delivery: 0,
    deliveryTaxed: true,
    pieces: 1,
    assemblyMinutes: 0,
    leadDays: 0,
    templateId: 'nightstand',
    measures: {},
    color: null,
    dream: false,
    arrivedOn: null,
    rented: null,
  };
  const option = {
    ...way.option,
    id: randomUUID(),
    kind: 'buyNew' as const,
    parts: [{ findId: null, offerId: offer.id, pieces: 1 }],
  };
  return {
    projectId,
    slotId,
    otherSlot: otherSlot.id,
    extraSlot: newSlot(randomUUID(), spotId, 3, 'Something tall'),
    way,
    newWay: { ...nightstandOption(slotId), find: null, offer, option } as unknown as Place['newWay'],
    card: { id: randomUUID(), version: 1, name: `Fog ${randomUUID().slice(0, 6)}`, lab: { L: 80, a: 0, b: 2 } },
  };
}

describe('an act that another device has built on', () => {
  it.each(family)(
    '%s: is refused with what stands in the way, and the project can be worked on',
    async (_what, act, build) => {
      const at = await place();
      const { actId } = await act(at);
      await build(at);
      const before = await contents(at.projectId);
      const refused = await undo(at.projectId, actId);
      expect([refused.status, refused.json.code]).toEqual([409, 'undo.builtOn']);
      expect(refused.json.acts.length).toBeGreaterThan(0);
      for (const entry of refused.json.acts)
        expect(entry).toMatchObject({ ownDevice: false, title: expect.any(String) });
      expect(await contents(at.projectId)).toBe(before);
      const edit = { id: at.slotId, values: { note: 'goes on' } };
      expect((await studio.command(at.projectId, 'editSlot', edit)).status).toBe(200);
    },
  );

  it.each(family)('%s: goes together with those, and comes back with them', async (what, act, build) => {
    const at = await place();
    const start = await contents(at.projectId);
    const { actId } = await act(at);
    await build(at);
    const built = await contents(at.projectId);
    const refused = await undo(at.projectId, actId);
    const also = refused.json.acts.map((entry: { actId: string }) => entry.actId);
    const done = await undo(at.projectId, actId, also);
    expect([done.status, done.text]).toEqual([200, expect.any(String)]);
    const file = await studio.send('GET', `/api/projects/${at.projectId}/file`);
    expect(file.status).toBe(200);
    // Only what built on it goes along: a way that was added beside a quantity or a choice stays.
    if (!/quantity|made anew/.test(what)) expect(await contents(at.projectId)).toBe(start);
    const back = await undo(at.projectId, done.json.actId);
    expect(back.status).toBe(200);
    expect(await contents(at.projectId)).toBe(built);
  });
});

describe('what was paid', () => {
  it('stays in the books when the act that brought the thing is taken back, and counts for nothing', async () => {
    const at = await place();
    const supply = newSupply(randomUUID(), 'chalk', null, 'matt');
    const bought = await by('one', at.projectId, 'buySupply', {
      supply,
      amount: 946,
      paid: 2400,
      ledgerId: randomUUID(),
      atMs: 1,
    });
    expect((await undo(at.projectId, bought)).status).toBe(200);
    const rows = await studio.rows(at.projectId);
    expect(rows.ledger).toHaveLength(2);
    expect(rows.supplies.find((row) => row.id === supply.id)).toMatchObject({
      stash: { state: 'none', amount: 0 },
      unitCostMillionths: null,
    });
    // It can be bought again, and the file with all of this can be read.
    const again = { supply, amount: 100, paid: 300, ledgerId: randomUUID(), atMs: 2 };
    await by('two', at.projectId, 'buySupply', again);
    expect((await studio.rows(at.projectId)).supplies.filter((row) => row.kindId === 'chalk')).toHaveLength(1);
  });
});

describe('a file brought into the house', () => {
  it('taken back and brought back is there again, every line of it', async () => {
    const names = async () =>
      (await studio.send('GET', '/api/house/pieces?words=pewter')).json.pieces.map(
        (piece: { name: string }) => piece.name,
      );
    const answered = await studio.work('importHouse', {
      kind: 'pieces',
      text: 'Name\nPewter mug\nPewter plate\nPewter jug',
      units: 'us',
      currency: 'USD',
      today: '2026-06-01',
    });
    const { actId } = answered.json;
    expect((await names()).length).toBe(3);
    const taken = await undo(studio.studioId, actId);
    expect(taken.status).toBe(200);
    expect(await names()).toEqual([]);
    const back = await undo(studio.studioId, taken.json.actId);
    expect(back.status).toBe(200);
    expect((await names()).length).toBe(3);
    expect(back.json.rows).toHaveLength(3);
    const again = await undo(studio.studioId, back.json.actId);
    expect([again.status, await names()]).toEqual([200, []]);
  });
});

describe('money that was ordered, paid and set right', () => {
  it('is taken back one act after the other, and each can be brought back', async () => {
    const at = await place();
    await by('one', at.projectId, 'addOption', at.newWay);
    const ids = () => ({ ledgerId: randomUUID(), reversalId: randomUUID(), atMs: 1 });
    const order = (paid: number, how: string) => ({ offerId: at.newWay.offer.id, paid, how, ...ids() });
    const acts = [await by('one', at.projectId, 'orderOffer', order(8000, 'promise'))];
    const payment = { ...order(0, 'payment'), atLeast: true };
    acts.push(await by('one', at.projectId, 'orderOffer', payment));
    acts.push(await by('one', at.projectId, 'correctPayment', { lineId: payment.ledgerId, paid: 8840, ...ids() }));
    const purse = async () => {
      const { money } = computePlan(await studio.rows(at.projectId), 1).purse;
      return [money.spent, money.promised, money.spentAtLeast];
    };
    const stood: unknown[] = [await purse()];
    const undone: string[] = [];
    for (const actId of [...acts].reverse()) {
      const answer = await undo(at.projectId, actId);
      expect([answer.status, answer.text]).toEqual([200, expect.any(String)]);
      undone.push(answer.json.actId);
      stood.push(await purse());
    }
    expect(stood).toEqual([
      [8840, 0, false],
      [0, 0, true],
      [0, 8000, false],
      [0, 0, false],
    ]);
    for (const actId of undone.reverse()) expect((await undo(at.projectId, actId)).status).toBe(200);
    expect(await purse()).toEqual([8840, 0, false]);
  });
});
