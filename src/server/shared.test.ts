import { randomUUID } from 'node:crypto';
import { stated } from '@core/kernel/price';
import type { ProjectRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { newPack, newSupply } from '@core/plan/newRows';
import { describe, expect, it } from 'vitest';
import { withAnswer } from '../web/sync/rowsAfter';
import { attic, freshStudio, studioApp, type TestStudio } from './test/studio';

const { own, studio } = await freshStudio();

/** A color of the house with a can of it and the size it is sold in; no project speaks of it. */
async function canOfAColor() {
  const card = {
    id: randomUUID(),
    version: 1,
    name: `Rain ${randomUUID().slice(0, 6)}`,
    lab: { L: 52, a: -4, b: -11 },
  };
  const elsewhere = await attic(studio);
  await studio.command(elsewhere.projectId, 'setPalette', {
    palette: [{ colorCardId: card.id, role: 'main' }],
    cards: [card],
  });
  const supply = {
    ...newSupply(randomUUID(), 'chalk', card.id, 'matt'),
    stash: { state: 'exact' as const, amount: 300 },
  };
  const pack = newPack(randomUUID(), supply.id, 'Pint', 473, stated(1800), 'USD');
  const saved = await studio.command(studio.studioId, 'saveSupply', { supply, packs: [pack] });
  expect(saved.status).toBe(200);
  return { card, supply, pack, elsewhere };
}

const paletteOf = (id: string) => ({
  palette: [{ colorCardId: id, role: 'main' as const }],
  cards: [],
});
const holds = (rows: Pick<ProjectRows, 'supplies' | 'packs'>, can: Awaited<ReturnType<typeof canOfAColor>>) => [
  rows.supplies.some((row) => row.id === can.supply.id),
  rows.packs.some((row) => row.id === can.pack.id),
];

describe('what a project holds of the house', () => {
  it('is the supplies of its own colors and of no color, with their packs', async () => {
    const can = await canOfAColor();
    const white = newSupply(randomUUID(), 'gesso', null, null);
    const whitePack = newPack(randomUUID(), white.id, 'Jar', 250, stated(700), 'USD');
    await studio.command(studio.studioId, 'saveSupply', { supply: white, packs: [whitePack] });
    const { projectId } = await attic(studio);
    const rows = await studio.rows(projectId);
    expect(holds(rows, can)).toEqual([false, false]);
    expect(rows.supplies.map((row) => row.id)).toContain(white.id);
    expect(rows.packs.map((row) => row.id)).toContain(whitePack.id);
    expect(holds(await studio.rows(can.elsewhere.projectId), can)).toEqual([true, true]);
  });

  it('comes with the answer of the act that speaks of a color first, and goes with its undo', async () => {
    const can = await canOfAColor();
    const { projectId } = await attic(studio);
    const page = await studio.rows(projectId);
    const answer = await studio.command(projectId, 'setPalette', paletteOf(can.card.id));
    expect(answer.status).toBe(200);
    const now = withAnswer(page, answer.json);
    expect(holds(now, can)).toEqual([true, true]);
    const read = await studio.rows(projectId);
    expect(holds(read, can)).toEqual([true, true]);
    expect(computePlan(now, 0).purse).toEqual(computePlan(read, 0).purse);
    const undo = (actId: string) => studio.command(projectId, 'undo', { actId, also: [], reversalIds: [] });
    const undone = await undo(answer.json.actId);
    expect(holds(await studio.rows(projectId), can)).toEqual([false, false]);
    // Brought back, by whatever way, the color brings its can again.
    const again = await undo(undone.json.actId);
    expect(holds(withAnswer(page, again.json), can)).toEqual([true, true]);
  });

  it('is the same for the server that remembers a project and for one that reads it', async () => {
    const can = await canOfAColor();
    const { projectId } = await attic(studio);
    await studio.command(projectId, 'setPalette', paletteOf(can.card.id));
    // The remembered rows hold the can: buying more of it under another id is buying that very can.
    const buy = (app: TestStudio) =>
      app.command(projectId, 'buySupply', {
        supply: newSupply(randomUUID(), 'chalk', can.card.id, 'matt'),
        amount: 100,
        paid: 900,
        ledgerId: randomUUID(),
        atMs: 1,
      });
    for (const app of [studio, studioApp(own.database, studio.studioId)]) expect((await buy(app)).status).toBe(200);
    const { supplies } = await studio.rows(projectId);
    expect(supplies.filter((row) => row.colorCardId === can.card.id)).toMatchObject([
      { id: can.supply.id, stash: { amount: 500 } },
    ]);
  });

  it('a can that is there and that nobody spoke of is found when it is bought', async () => {
    const can = await canOfAColor();
    const { projectId, slotId } = await attic(studio);
    await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'Shelf' } });
    const bought = await studio.command(projectId, 'buySupply', {
      supply: newSupply(randomUUID(), 'chalk', can.card.id, 'matt'),
      amount: 100,
      paid: 900,
      ledgerId: randomUUID(),
      atMs: 1,
    });
    expect(bought.status).toBe(200);
    const { supplies } = await studio.rows(projectId);
    expect(supplies.filter((row) => row.colorCardId === can.card.id)).toMatchObject([
      { id: can.supply.id, stash: { amount: 400 } },
    ]);
  });

  it('goes along in a file just as before: the can of a color that is used, none of another', async () => {
    const can = await canOfAColor();
    const other = await canOfAColor();
    const file = (await studio.send('GET', `/api/projects/${can.elsewhere.projectId}/file`)).json as ProjectRows;
    expect(holds(file, can)).toEqual([true, true]);
    expect(holds(file, other)).toEqual([false, false]);
  });
});
