import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { computePlan } from '../core/plan/computePlan';
import { newSlot } from '../core/plan/newRows';
import { attic, freshStudio, nightstandOption } from './test/studio';

const { studio } = await freshStudio();

const slotRow = (spotId: string, id: string = randomUUID()) => ({ row: newSlot(id, spotId, 2, 'Lamp') });

describe('a project', () => {
  it('is made, read whole, and answers 304 while nothing changed', async () => {
    const { projectId, slotId } = await attic(studio);
    const first = await studio.send('GET', `/api/projects/${projectId}/snapshot`);
    expect(first.json.slots.map((slot: { id: string }) => slot.id)).toEqual([slotId]);
    const tag = first.headers.get('etag') ?? '';
    expect(
      (await studio.send('GET', `/api/projects/${projectId}/snapshot`, undefined, { 'if-none-match': tag })).status,
    ).toBe(304);
    await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'Nightstand' } });
    const again = await studio.send('GET', `/api/projects/${projectId}/snapshot`, undefined, { 'if-none-match': tag });
    expect(again.status).toBe(200);
    expect(again.json.slots[0]).toMatchObject({ name: 'Nightstand', version: 2 });
  });

  it('stands in the list with the purse that its own plan computes', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    await studio.command(projectId, 'choose', { slotId, optionId: payload.option.id, count: 1, fillId: randomUUID() });
    const { json } = await studio.send('GET', '/api/projects?limit=200');
    const entry = json.projects.find((project: { id: string }) => project.id === projectId);
    const plan = computePlan(await studio.rows(projectId), Date.parse('2026-06-01T13:00:00Z'));
    expect(entry.summary.money).toMatchObject({ planned: plan.purse.money.planned, free: plan.purse.money.free });
    expect(entry.summary.money.planned.likely).toBe(1200);
    expect(entry.summary.slots).toEqual({ all: 1, settled: 1 });
  });

  it('that does not exist is not found, here and for commands', async () => {
    const nobody = randomUUID();
    expect((await studio.send('GET', `/api/projects/${nobody}/snapshot`)).status).toBe(404);
    expect((await studio.send('GET', '/api/projects/attic/snapshot')).status).toBe(422);
    const answer = await studio.command(nobody, 'clearChoice', { slotId: randomUUID() });
    expect([answer.status, answer.json.code]).toEqual([404, 'notFound']);
  });
});

describe('an idempotency key', () => {
  it('gets the same answer for the same request, and the work is done once', async () => {
    const { projectId, spotId } = await attic(studio);
    const key = randomUUID();
    const payload = slotRow(spotId);
    const first = await studio.command(projectId, 'addSlot', payload, { key });
    const second = await studio.command(projectId, 'addSlot', payload, { key });
    expect(second).toMatchObject({ status: 200, json: first.json });
    expect((await studio.rows(projectId)).slots).toHaveLength(2);
  });

  it('sent ten times at once does the work once', async () => {
    const { projectId, spotId } = await attic(studio);
    const key = randomUUID();
    const payload = slotRow(spotId);
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => studio.command(projectId, 'addSlot', payload, { key })),
    );
    for (const answer of answers) expect(answer.json).toEqual(answers[0]?.json);
    expect(answers[0]?.status).toBe(200);
    expect((await studio.rows(projectId)).slots).toHaveLength(2);
  });

  it('is refused for another request', async () => {
    const { projectId, spotId } = await attic(studio);
    const key = randomUUID();
    await studio.command(projectId, 'addSlot', slotRow(spotId), { key });
    const other = await studio.command(projectId, 'addSlot', slotRow(spotId), { key });
    expect([other.status, other.json.code]).toEqual([422, 'key.reused']);
  });

  it('keeps a refusal too', async () => {
    const { projectId } = await attic(studio);
    const key = randomUUID();
    const payload = slotRow(randomUUID());
    const first = await studio.command(projectId, 'addSlot', payload, { key });
    expect(first.status).toBe(422);
    expect(await studio.command(projectId, 'addSlot', payload, { key })).toMatchObject({ json: first.json });
  });

  it('refused ten times at once is refused in one way, and stays so when it would be taken by then', async () => {
    const { projectId, slotId } = await attic(studio);
    const key = randomUUID();
    const wanted = { id: slotId, values: { name: 'Mine' } };
    const ask = (of: string) =>
      studio.command(projectId, 'editSlot', wanted, { key: of, expect: { [`slots:${slotId}`]: 2 } });
    const answers = await Promise.all(Array.from({ length: 10 }, () => ask(key)));
    for (const answer of answers) expect(answer).toMatchObject({ status: 409, json: answers[0]?.json });
    // Somebody brings the row to the version that was waited for.
    await studio.command(projectId, 'editSlot', { id: slotId, values: { note: 'theirs' } });
    expect(await ask(key)).toMatchObject({ status: 409, json: answers[0]?.json });
    expect((await studio.rows(projectId)).slots[0]?.name).not.toBe('Mine');
    expect((await ask(randomUUID())).status).toBe(200);
    expect((await studio.rows(projectId)).slots[0]).toMatchObject({ name: 'Mine', version: 3 });
  });
});

describe('two people at the same thing', () => {
  it('the second is told, with both versions, and nothing is overwritten', async () => {
    const { projectId, slotId } = await attic(studio);
    const expect1 = { [`slots:${slotId}`]: 1 };
    await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'Theirs' } }, { expect: expect1 });
    const second = await studio.command(
      projectId,
      'editSlot',
      { id: slotId, values: { name: 'Mine' } },
      { expect: expect1 },
    );
    expect(second.status).toBe(409);
    expect(second.json.conflicts).toEqual([
      expect.objectContaining({
        table: 'slots',
        id: slotId,
        expected: 1,
        theirs: expect.objectContaining({ name: 'Theirs', version: 2 }),
        mine: { name: 'Mine' },
      }),
    ]);
    expect((await studio.rows(projectId)).slots[0]?.name).toBe('Theirs');
  });

  it('a row that the other removed is a conflict, not a lost edit', async () => {
    const { projectId, slotId } = await attic(studio);
    await studio.command(projectId, 'removeSlot', { id: slotId });
    const late = await studio.command(
      projectId,
      'editSlot',
      { id: slotId, values: { name: 'Mine' } },
      { expect: { [`slots:${slotId}`]: 1 } },
    );
    expect(late.status).toBe(409);
    expect(late.json.conflicts[0]).toMatchObject({ theirs: null, mine: { name: 'Mine' } });
  });

  it('at once: one wins, the other conflicts, whoever is first', async () => {
    const { projectId, slotId } = await attic(studio);
    const edit = (name: string) =>
      studio.command(projectId, 'editSlot', { id: slotId, values: { name } }, { expect: { [`slots:${slotId}`]: 1 } });
    const answers = await Promise.all(['a', 'b', 'c', 'd'].map(edit));
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409]);
  });
});

describe('undo', () => {
  it('takes back a removal with everything that went with it', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    await studio.command(projectId, 'choose', { slotId, optionId: payload.option.id, count: 1, fillId: randomUUID() });
    const removed = await studio.command(projectId, 'removeSlot', { id: slotId });
    expect(await studio.rows(projectId)).toMatchObject({ slots: [], options: [], fills: [] });
    await studio.command(projectId, 'undo', { actId: removed.json.actId, reversalIds: [] });
    const back = await studio.rows(projectId);
    expect([back.slots.length, back.options.length, back.fills.length]).toEqual([1, 1, 1]);
  });

  it('reverses a payment in the ledger instead of erasing it; undoing the undo pays once again', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    const spent = async () => computePlan(await studio.rows(projectId), 0).purse.money.spent;
    const bought = await studio.command(projectId, 'buyFind', {
      findId: payload.find.id,
      paid: 1200,
      how: 'payment',
      ledgerId: randomUUID(),
      atMs: 1,
    });
    expect(await spent()).toBe(1200);
    const undone = await studio.command(projectId, 'undo', { actId: bought.json.actId, reversalIds: [randomUUID()] });
    expect(await spent()).toBe(0);
    const after = await studio.rows(projectId);
    expect(after.ledger).toHaveLength(2);
    expect(after.finds[0]?.state).toBe('seen');
    await studio.command(projectId, 'undo', { actId: undone.json.actId, reversalIds: [randomUUID()] });
    expect(await spent()).toBe(1200);
    expect((await studio.rows(projectId)).finds[0]?.state).toBe('bought');
  });

  it('is refused twice, and conflicts with a later change of the same row', async () => {
    const { projectId, slotId } = await attic(studio);
    const first = await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'One' } });
    await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'Two' } });
    const late = await studio.command(projectId, 'undo', { actId: first.json.actId, reversalIds: [] });
    expect(late.status).toBe(409);
    const last = await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'Three' } });
    await studio.command(projectId, 'undo', { actId: last.json.actId, reversalIds: [] });
    expect((await studio.rows(projectId)).slots[0]?.name).toBe('Two');
    const twice = await studio.command(projectId, 'undo', { actId: last.json.actId, reversalIds: [] });
    expect([twice.status, twice.json.code]).toEqual([422, 'command.refused']);
  });

  it('brings a removed project back', async () => {
    const { projectId } = await attic(studio);
    const removed = await studio.command(projectId, 'removeProject', { id: projectId });
    expect((await studio.send('GET', `/api/projects/${projectId}/snapshot`)).status).toBe(404);
    await studio.command(projectId, 'undo', { actId: removed.json.actId, reversalIds: [] });
    expect((await studio.send('GET', `/api/projects/${projectId}/snapshot`)).status).toBe(200);
  });
});

describe('bad fields', () => {
  it('come back as field, value and what is accepted', async () => {
    const { projectId, slotId } = await attic(studio);
    const answer = await studio.command(projectId, 'editSlot', { id: slotId, values: { quantity: 0 } });
    expect(answer.status).toBe(422);
    expect(answer.json.fields).toEqual([
      { field: 'values.quantity', value: 0, accepted: expect.stringContaining('from 1 to') },
    ]);
  });

  it('unknown fields, unknown commands and broken JSON are refused by name', async () => {
    const { projectId, slotId } = await attic(studio);
    const outsider = await studio.command(projectId, 'editSlot', { id: slotId, values: { owner: 'me' } } as never);
    expect(outsider.json.fields[0]).toEqual({ field: 'values.owner', value: 'me', accepted: 'no such field' });
    const unknown = await studio.send('POST', '/api/commands', {
      key: randomUUID(),
      projectId,
      kind: 'sellHouse',
      payload: {},
      expect: {},
    });
    expect(unknown.json.fields[0].accepted).toContain('addSlot');
    const broken = await studio.send('POST', '/api/commands', '{"key": ');
    expect(broken.status).toBe(400);
  });

  it('cannot fill a slot beyond its quantity', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    const answer = await studio.command(projectId, 'choose', {
      slotId,
      optionId: payload.option.id,
      count: 2,
      fillId: randomUUID(),
    });
    expect(answer.json.fields[0]).toMatchObject({ field: 'count', value: 2, accepted: expect.stringContaining('1') });
  });

  it('a must cannot be left out', async () => {
    const { projectId, slotId } = await attic(studio);
    await studio.command(projectId, 'editSlot', { id: slotId, values: { importance: 'must' } });
    expect((await studio.command(projectId, 'leaveOut', { slotId })).status).toBe(422);
  });
});
