import { randomUUID } from 'node:crypto';
import type { WrittenFile } from '@core/formats/project/projectFile';
import { readProjectFile } from '@core/formats/project/read';
import { newLedgerLine } from '@core/model/newLedgerLine';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { newSlot, newSupply } from '../core/plan/newRows';
import { chosenLayer, recipeFor } from '../core/recipe/recipeBody';
import { attic, freshStudio, nightstandOption } from './test/studio';

const { own, studio } = await freshStudio();

const done = async (projectId: string, kind: string, payload: unknown): Promise<string> => {
  const body = { key: randomUUID(), projectId, kind, payload, expect: {} };
  const answer = await studio.send('POST', '/api/commands', body);
  if (answer.status !== 200) throw new Error(`${kind}: ${answer.text}`);
  return answer.json.actId;
};
const fileOf = async (projectId: string) =>
  (await studio.send('GET', `/api/projects/${projectId}/file`)).json as WrittenFile;
const bring = (file: unknown, mode: 'copy' | 'update', key: string = randomUUID()) =>
  studio.work('importProject', { mode, file }, key);
const projects = async () => (await studio.send('GET', '/api/projects?limit=200')).json.projects.length as number;
const money = async (projectId: string) => computePlan(await studio.rows(projectId), 0).purse.money;
const undo = (projectId: string, actId: string) =>
  studio.send('POST', '/api/commands', {
    key: randomUUID(),
    projectId,
    kind: 'undo',
    payload: { actId, reversalIds: [] },
    expect: {},
  });

/** A project with a made-over nightstand in a color of its own, its paint bought. */
async function painted() {
  const { projectId, slotId, spotId } = await attic(studio);
  const way = nightstandOption(slotId);
  const card = {
    id: randomUUID(),
    version: 1,
    name: `Moss ${randomUUID().slice(0, 6)}`,
    lab: { L: 40, a: -20, b: 20 },
  };
  const body = recipeFor(way.find.id, 'nightstand', way.find.measures, 'piece');
  body.layers = [chosenLayer('layer', 'wallAcrylic', { colorCardId: card.id })];
  const recipe = { id: randomUUID(), version: 1, name: 'In moss', body, doneOn: null, uses: [] };
  const option = { ...way.option, kind: 'makeover' as const, recipeId: recipe.id };
  await done(projectId, 'addOption', { ...way, option, recipe, colorCard: card });
  const supply = newSupply(randomUUID(), 'wallAcrylic', card.id, 'matt');
  const bought = { supply, amount: 946, paid: 2400, ledgerId: randomUUID(), atMs: 1 };
  await done(projectId, 'buySupply', bought);
  return { projectId, slotId, spotId, way, card, recipe, option, supply };
}

/** What finishing a makeover took of a can. */
const pouredFrom = (supplyId: string) => ({
  id: randomUUID(),
  version: 1,
  supplyId,
  what: 'x',
  amount: 200,
  onDate: '2026-06-02',
  cut: null,
});

describe('a file whose ledger names what nothing shows any more', () => {
  it('can be read again: the color, its supply and the piece come along for the books', async () => {
    const at = await painted();
    const settlement = { paid: 1200, how: 'payment' as const, ledgerId: randomUUID(), atMs: 2 };
    const bought = await done(at.projectId, 'buyFind', { findId: at.way.find.id, ...settlement });
    await undo(at.projectId, bought);
    await done(at.projectId, 'removeOption', { id: at.option.id });
    await done(at.projectId, 'removeFind', { id: at.way.find.id });
    const file = await fileOf(at.projectId);
    expect(file.colorCards.map((card) => card.id)).toContain(at.card.id);
    const read = readProjectFile(file);
    expect(read.ok ? [] : read.errors).toEqual([]);
    const copied = await bring(file, 'copy');
    expect(copied.status).toBe(200);
    expect((await money(copied.json.projectId)).spent).toBe(2400);
  });
});

describe('an older file over its own project', () => {
  it('pays nothing twice, leaves the house as it is, keeps what was done, and is taken back as one act', async () => {
    const at = await painted();
    const older = await fileOf(at.projectId);
    // Meanwhile: a find is bought, the makeover done, paint counted anew, the slot renamed.
    const settlement = { paid: 1200, how: 'payment' as const, ledgerId: randomUUID(), atMs: 2 };
    await done(at.projectId, 'buyFind', { findId: at.way.find.id, ...settlement });
    const use = pouredFrom(at.supply.id);
    await done(at.projectId, 'finishRecipe', { recipeId: at.recipe.id, doneOn: '2026-06-02', uses: [use] });
    await done(at.projectId, 'editSlot', { id: at.slotId, values: { name: 'Renamed since' } });
    const before = await studio.rows(at.projectId);
    const updated = await bring(older, 'update');
    expect(updated.status).toBe(200);
    const after = await studio.rows(at.projectId);
    expect(after.slots[0]?.name).toBe(older.slots[0]?.name);
    // The shelf, the books and what was done are as they were.
    expect(after.supplies).toEqual(before.supplies);
    expect(after.ledger).toEqual(before.ledger);
    expect((await money(at.projectId)).spent).toBe(3600);
    expect(after.finds[0]?.state).toBe('bought');
    expect(after.recipes[0]).toMatchObject({ doneOn: '2026-06-02', uses: [use.id] });
    const taken = await undo(at.projectId, updated.json.actId);
    expect(taken.status).toBe(200);
    expect((await studio.rows(at.projectId)).slots[0]?.name).toBe('Renamed since');
  });

  it('brings back what was removed since, and lets go of what it does not know; nothing of it twice', async () => {
    const at = await painted();
    const older = await fileOf(at.projectId);
    await done(at.projectId, 'removeOption', { id: at.option.id });
    await done(at.projectId, 'addSlot', { row: newSlot(randomUUID(), at.spotId, 7, 'New since') });
    expect((await bring(older, 'update')).status).toBe(200);
    const rows = await studio.rows(at.projectId);
    expect([rows.options.length, rows.recipes.length, rows.slots.length]).toEqual([1, 1, 1]);
    const again = await bring(older, 'update');
    expect([again.status, again.json.actId]).toEqual([200, null]);
  });

  it('that names another project’s spot touches nothing there', async () => {
    const [mine, other] = [await painted(), await painted()];
    const file = await fileOf(mine.projectId);
    const strange = {
      ...file,
      spots: file.spots.map((spot) => ({ ...spot, id: other.spotId, name: 'Renamed elsewhere' })),
      slots: file.slots.map((slot) => ({ ...slot, spotId: other.spotId })),
    };
    expect((await bring(strange, 'update')).status).toBe(200);
    expect((await studio.rows(other.projectId)).spots[0]?.name).toBe('Bed wall');
    const [spot] = (await studio.rows(mine.projectId)).spots;
    expect([spot?.name, spot?.id === other.spotId]).toEqual(['Renamed elsewhere', false]);
    const goesOn = { id: other.slotId, values: { note: 'still works' } };
    expect((await studio.command(other.projectId, 'editSlot', goesOn)).status).toBe(200);
  });

  it('that pays for a thing the studio has paid for already is refused with words', async () => {
    const at = await painted();
    const older = await fileOf(at.projectId);
    const settlement = { paid: 1200, how: 'payment' as const, ledgerId: randomUUID(), atMs: 2 };
    await done(at.projectId, 'buyFind', { findId: at.way.find.id, ...settlement });
    const line = newLedgerLine(randomUUID(), 'payment', { kind: 'piece', id: at.way.find.pieceId }, 1300, 3);
    const refused = await bring({ ...older, ledger: [...older.ledger, line] }, 'update');
    expect([refused.status, refused.text]).toEqual([422, expect.stringContaining('one payment or promise')]);
    expect((await money(at.projectId)).spent).toBe(3600);
  });
});

describe('a file that could not be read again', () => {
  it('is not sent: the place is named, and the project stays as it is', async () => {
    const { projectId, slotId } = await attic(studio);
    expect((await studio.send('GET', `/api/projects/${projectId}/file`)).status).toBe(200);
    // Nothing that the app does writes this; somebody at the database did.
    await own.database.source.query('update "slot" set quantity = -3 where id = $1', [slotId]);
    const refused = await studio.send('GET', `/api/projects/${projectId}/file`);
    expect(refused.status).toBe(409);
    expect(refused.json.code).toBe('file.notReadBack');
    expect(refused.json.fields).toMatchObject([{ field: 'slots.0.quantity', value: -3 }]);
    // It is still shown, so that it can be mended; that the row is wrong is seen there too.
    await expect(studio.rows(projectId)).rejects.toThrow(/answers 200 with what it does not promise[\s\S]*quantity/);
  });
});

describe('the same request sent again', () => {
  it('an import makes one project, one after the other or at once', async () => {
    const { projectId } = await painted();
    const file = await fileOf(projectId);
    const before = await projects();
    const key = randomUUID();
    const first = await bring(file, 'copy', key);
    expect((await bring(file, 'copy', key)).json).toEqual(first.json);
    const once = randomUUID();
    const answers = await Promise.all([1, 2, 3].map(() => bring(file, 'copy', once)));
    expect(new Set(answers.map((answer) => `${answer.status} ${answer.json.projectId}`)).size).toBe(1);
    expect(await projects()).toBe(before + 2);
    // The key stands for this file: another one under it is refused, not taken for it.
    expect((await bring({ ...file, asOf: '2027-01-01T00:00:00Z' }, 'copy', key)).json.code).toBe('key.reused');
  });

  it('a copy makes one project', async () => {
    const { projectId } = await painted();
    const before = await projects();
    const request = { id: randomUUID(), kind: 'duplicate', name: 'Once more' };
    const answers = await Promise.all(
      [1, 2, 3].map(() => studio.send('POST', `/api/projects/${projectId}/copy`, request)),
    );
    expect(answers.map((answer) => [answer.status, answer.json.projectId])).toEqual(
      [1, 2, 3].map(() => [200, request.id]),
    );
    expect(await projects()).toBe(before + 1);
  });

  it('a table for the house is brought in once', async () => {
    const id = randomUUID();
    const request = {
      kind: 'supplies' as const,
      text: 'Kind,Color,Color code,Left\nRibbon,Once red,#a02020,3',
      units: 'us' as const,
      currency: 'USD',
      today: '2026-06-01',
    };
    const answered = await Promise.all([1, 2].map(() => studio.work('importHouse', request, id)));
    const acts = answered.map(({ json }) => json.actId);
    expect(acts[0]).toBe(acts[1]);
    const { colorCards } = (await studio.send('GET', '/api/house')).json;
    expect(colorCards.filter((card: { name: string }) => card.name === 'Once red')).toHaveLength(1);
  });
});

describe('done, not done, done', () => {
  it('takes the stock once: what was taken comes back in between', async () => {
    const at = await painted();
    const stash = async () => (await studio.rows(at.projectId)).supplies.find((row) => row.id === at.supply.id)?.stash;
    const finish = () => ({
      recipeId: at.recipe.id,
      doneOn: '2026-06-02',
      uses: [pouredFrom(at.supply.id)],
    });
    await done(at.projectId, 'finishRecipe', finish());
    expect((await stash())?.amount).toBe(746);
    await done(at.projectId, 'reopenRecipe', { recipeId: at.recipe.id });
    expect((await stash())?.amount).toBe(946);
    await done(at.projectId, 'finishRecipe', finish());
    expect((await stash())?.amount).toBe(746);
    expect((await studio.rows(at.projectId)).supplyUses).toHaveLength(1);
    const twice = await studio.command(at.projectId, 'editRecipe', {
      id: at.recipe.id,
      values: { doneOn: null } as never,
    });
    expect(twice.status).toBe(422);
  });
});

describe('the numbers that Euporia is made for', () => {
  it('hold: one slot more than a hundred is refused with a sentence, by hand and by file', async () => {
    const { projectId, spotId } = await attic(studio);
    const slots = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, n) => newSlot(randomUUID(), spotId, from + n + 1, `Slot ${from + n}`));
    await done(projectId, 'addSlots', { rows: slots(1, 60) });
    await done(projectId, 'addSlots', { rows: slots(60, 100) });
    const more = await studio.command(projectId, 'addSlot', { row: newSlot(randomUUID(), spotId, 200, 'One more') });
    expect(more.status).toBe(422);
    expect(more.json.fields).toEqual([{ field: 'slot', value: 101, accepted: 'at most 100 of them in a project' }]);
    const file = await fileOf(projectId);
    const extra = { ...file.slots[0], id: randomUUID(), number: 201 };
    const brought = await bring({ ...file, slots: [...file.slots, extra] }, 'copy');
    expect([brought.status, brought.json.fields[0].accepted]).toEqual([422, 'at most 100 of them in a project']);
  });
});
