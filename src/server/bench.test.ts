import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { logEntry } from '../core/fixtures/logEntry';
import type { LogEntryRow } from '../core/model/rows';
import { attic, freshStudio } from './test/studio';

const { studio } = await freshStudio();
const AT = Date.parse('2026-06-01T13:00:00Z');

function line(minutes: number): LogEntryRow {
  return logEntry({ id: randomUUID(), atMs: AT, recipeName: 'Nightstand', projectName: 'Attic', minutes });
}

/** A project with a task of its spot, as devices send it. */
async function atTheBench() {
  const { projectId, slotId, spotId } = await attic(studio);
  const task = { id: randomUUID(), name: 'Degrease and rinse', minutes: 10, dryHours: 1, done: false };
  await studio.command(projectId, 'editSpot', { id: spotId, values: { tasks: [task] } });
  const step = (by: string) => ({
    id: randomUUID(),
    recipeId: null,
    spotId,
    optionId: null,
    stepId: task.id,
    what: task.name,
    people: 1,
    by,
  });
  return { projectId, slotId, spotId, step };
}

describe('a step at the bench, on the server', () => {
  it('says by which clock timers run', async () => {
    const answer = await studio.send('GET', '/api/projects');
    expect(Number(answer.headers.get('x-now'))).toBe(AT);
  });

  it('finished by four devices at once is logged once; the others are told', async () => {
    const { projectId, step } = await atTheBench();
    await studio.command(projectId, 'beginStep', { ...step('Ann'), atMs: AT });
    const answers = await Promise.all(
      ['Ann', 'Ben', 'Cleo', 'Dan'].map((by) =>
        studio.command(projectId, 'finishStep', { ...step(by), atMs: AT + 60_000, entry: line(12.25) }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422, 422, 422]);
    for (const { status, json } of answers)
      if (status !== 200) expect(JSON.stringify(json)).toContain('finished it already, and is logged once');
    const { stepRuns, logEntries } = await studio.rows(projectId);
    expect(stepRuns).toHaveLength(1);
    // Of the four lines that were sent the studio holds one.
    expect(logEntries.filter(({ id }) => id === stepRuns[0]?.logId)).toHaveLength(1);
    expect(logEntries.filter(({ minutes }) => minutes === 12.25)).toHaveLength(1);
  });

  it('finished by a device that had no signal meanwhile is said to be finished already, not to be chosen between', async () => {
    const { projectId, step } = await atTheBench();
    await studio.command(projectId, 'beginStep', { ...step('Ann'), atMs: AT });
    const [run] = (await studio.rows(projectId)).stepRuns;
    const seen = { expect: { [`stepRuns:${run?.id}`]: run?.version ?? 0 } };
    await studio.command(projectId, 'finishStep', { ...step('Ann'), atMs: AT + 60_000, entry: line(12) }, seen);
    const late = await studio.command(projectId, 'finishStep', { ...step('Ben'), atMs: AT, entry: line(9) }, seen);
    expect([late.status, late.json.code]).toEqual([422, 'command.refused']);
    expect(JSON.stringify(late.json)).toContain('Ann finished it already');
    // What was told of it elsewhere, and can still be said, is shown side by side.
    const { stepRuns, logEntries } = await studio.rows(projectId);
    expect(logEntries.filter(({ id }) => id === stepRuns[0]?.logId).map(({ minutes }) => minutes)).toEqual([12]);
    const told = { runId: run?.id ?? '', values: { people: 2 } };
    const conflict = await studio.command(projectId, 'tellStep', told, seen);
    expect([conflict.status, conflict.json.code]).toEqual([409, 'conflict']);
  });

  it('of which two devices say what went wrong says the later one, in its line too', async () => {
    const { projectId, step } = await atTheBench();
    await studio.command(projectId, 'beginStep', { ...step('Ann'), atMs: AT });
    const [run] = (await studio.rows(projectId)).stepRuns;
    const answers = await Promise.all(
      (['notClean', 'scratched'] as const).map((wrong) =>
        studio.command(projectId, 'tellStep', { runId: run?.id ?? '', values: { wrong } }),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
    const told = (await studio.rows(projectId)).stepRuns[0]?.wrong;
    await studio.command(projectId, 'finishStep', { ...step('Ann'), atMs: AT + 60_000, entry: line(12) });
    const { stepRuns, logEntries } = await studio.rows(projectId);
    expect(logEntries.find(({ id }) => id === stepRuns[0]?.logId)?.wrong).toBe(told);
  });

  it('begun by two devices at once is at one pair of hands', async () => {
    const { projectId, step } = await atTheBench();
    const answers = await Promise.all(
      ['Ann', 'Ben', 'Cleo'].map((by) => studio.command(projectId, 'beginStep', { ...step(by), atMs: AT })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422, 422]);
    expect((await studio.rows(projectId)).stepRuns).toHaveLength(1);
  });

  it('stays as it was logged when its task is edited and something else is taken back', async () => {
    const { projectId, slotId, spotId, step } = await atTheBench();
    const edited = await studio.command(projectId, 'editSlot', { id: slotId, values: { name: 'Left of the bed' } });
    await studio.command(projectId, 'finishStep', { ...step('Ann'), atMs: AT, entry: line(12) });
    const { stepRuns, logEntries } = await studio.rows(projectId);
    const edited2 = await studio.command(projectId, 'editSpot', { id: spotId, values: { tasks: [] } });
    expect(edited2.status).toBe(200);
    await studio.command(projectId, 'undo', { actId: edited.json.actId, reversalIds: [] });
    const after = await studio.rows(projectId);
    expect(after.stepRuns).toEqual(stepRuns);
    expect(after.logEntries).toEqual(logEntries);
  });

  it('taken back is at hand again, and its line is gone', async () => {
    const { projectId, step } = await atTheBench();
    await studio.command(projectId, 'beginStep', { ...step('Ann'), atMs: AT });
    const entry = line(12);
    const done = await studio.command(projectId, 'finishStep', { ...step('Ann'), atMs: AT + 60_000, entry });
    await studio.command(projectId, 'undo', { actId: done.json.actId, reversalIds: [] });
    const { stepRuns, logEntries } = await studio.rows(projectId);
    expect(stepRuns[0]).toMatchObject({ state: 'running', logId: null });
    expect(logEntries.some(({ id }) => id === entry.id)).toBe(false);
  });

  it('its log teaches every project of the studio', async () => {
    const first = await atTheBench();
    await studio.command(first.projectId, 'finishStep', { ...first.step('Ann'), atMs: AT, entry: line(30) });
    const second = await atTheBench();
    const { logEntries } = await studio.rows(second.projectId);
    expect(logEntries.some(({ minutes }) => minutes === 30)).toBe(true);
  });
});
