import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { readProjectFile } from '@core/formats/project/read';
import { withFinds } from '@core/model/finds';
import { computePlan } from '@core/plan/computePlan';
import { emptyBrief, emptyHousehold } from '@core/state/brief';
import { describe, expect, it } from 'vitest';
import { openDatabase } from './persistence/database';
import { Initial1764000000000 } from './persistence/migrations/1764000000000-initial';
import { attic, freshDatabase, freshStudio, HOST, nightstandOption, studioApp, testStudio } from './test/studio';

const { own, studio } = await freshStudio();

const demo = (name: string): ProjectFile =>
  JSON.parse(readFileSync(fileURLToPath(new URL(`../../demo/${name}`, import.meta.url)), 'utf8'));
const attics = demo('1-attic-bedroom.project.json');

/** Everything a plan says, without the ids of its rows, which an import makes anew. */
function figuresOf(rows: ProjectFile) {
  const plan = computePlan(withFinds(rows), Date.parse(attics.asOf));
  // Sums of amounts may differ in their last bit with the order of rows: six decimals of a milliliter are enough.
  const rounded = (_key: string, value: unknown) => (typeof value === 'number' ? Math.round(value * 1e6) / 1e6 : value);
  const even = (value: unknown) => JSON.parse(JSON.stringify(value, rounded));
  const sorted = (list: unknown[]) => list.map((entry) => JSON.stringify(entry, rounded)).sort();
  return {
    purse: even(plan.purse),
    fullCash: even(plan.fullCash),
    slots: plan.slots.map(({ slot, options, open }) => [
      slot.name,
      open,
      sorted(
        options.map((option) => [
          option.cashAdded,
          option.hoursAdded,
          option.usableMs,
          option.comparison,
          option.worthUpTo,
        ]),
      ),
    ]),
    supplies: sorted(plan.supplies.map((line) => [line.name, line.need, line.cash, line.left])),
    steps: sorted([...plan.recipes.values()].map((recipe) => recipe.steps.map((step) => [step.kind, step.runMinutes]))),
  };
}

describe('the schema of the database', () => {
  it('is what the entities say: no drift', async () => {
    const { upQueries } = await own.database.source.driver.createSchemaBuilder().log();
    expect(upQueries.map((query) => query.query)).toEqual([]);
  });

  it('is brought forward from its first shape with the rows in it', async () => {
    const { database, drop, url } = await freshDatabase({ migrate: false });
    await database.source.query('create extension if not exists "uuid-ossp"');
    await database.source.runMigrations({ transaction: 'all', fake: true });
    await database.source.query('delete from migrations');
    await new Initial1764000000000().up(database.source.createQueryRunner());
    await database.source.query(
      "insert into migrations (timestamp, name) values (1764000000000, 'Initial1764000000000')",
    );
    const studioId = randomUUID();
    const projectId = randomUUID();
    await database.source.query("insert into studio (id, name) values ($1, 'Old')", [studioId]);
    await database.source.query(
      `insert into project (studio_id, id, name, room, currency, units, time_zone, budget, contingency_thousandths, tax, skill, school, eye, household)
       values ($1, $2, 'Old', '', 'USD', 'us', 'UTC', 5000, 10000, '{"percentThousandths":0,"included":false}', 'practiced', 'untilHidden', 'ordinary', '{"youngestChildYears":4,"pregnancy":false}')`,
      [studioId, projectId],
    );
    await database.source.query(
      "insert into spot (studio_id, id, project_id, name, kind, position) values ($1, $2, $3, 'Table', 'table', 0)",
      [studioId, randomUUID(), projectId],
    );
    await database.close();
    const forward = await openDatabase(url);
    const rows = await studioApp(forward, studioId).rows(projectId);
    expect(rows.project.household).toEqual({ ...emptyHousehold, youngestChildYears: 4 });
    expect(rows.project.brief).toEqual(emptyBrief);
    expect(rows.spots[0]).toMatchObject({ kind: 'diningTable', measures: {}, tasks: [] });
    expect(computePlan(rows, 0).purse.money.free.likely).toBe(5000);
    await forward.close();
    await drop();
  });

  it('refuses a change or removal of a record', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    await studio.command(projectId, 'buyFind', {
      findId: payload.find.id,
      paid: 1200,
      how: 'payment',
      ledgerId: randomUUID(),
      atMs: 1,
    });
    for (const sql of ['update ledger_line set amount = 1', 'delete from ledger_line', 'delete from act'])
      await expect(own.database.source.query(sql)).rejects.toThrow('never changed');
  });

  it('cannot store a reference across studios', async () => {
    const { projectId } = await attic(studio);
    const other = randomUUID();
    await own.database.source.query('insert into studio (id, name) values ($1, $2)', [other, 'Other']);
    await expect(
      own.database.source.query(
        "insert into spot (studio_id, id, project_id, name, kind, measures, features, daylight, tasks, position) values ($1, $2, $3, $4, $5, '{}', '[]', 'unknown', '[]', 0)",
        [other, randomUUID(), projectId, 'Stolen', 'wall'],
      ),
    ).rejects.toThrow('fk_spot_project_id');
  });

  it('another studio sees nothing of this one', async () => {
    const { projectId } = await attic(studio);
    const other = randomUUID();
    await own.database.source.query('insert into studio (id, name) values ($1, $2)', [other, 'Other']);
    const outsider = studioApp(own.database, other);
    expect((await outsider.send('GET', `/api/projects/${projectId}/snapshot`)).status).toBe(404);
    expect((await outsider.send('GET', '/api/projects')).json.projects).toEqual([]);
    expect((await outsider.command(projectId, 'removeProject', { id: projectId })).status).toBe(404);
  });
});

describe('the project file', () => {
  it('goes in and out as the same project: the same plan, to the cent', async () => {
    const imported = await studio.work('importProject', { mode: 'copy', file: attics });
    expect(imported.status).toBe(200);
    const out = (await studio.send('GET', `/api/projects/${imported.json.projectId}/file`)).json as ProjectFile;
    expect(readProjectFile(out).ok).toBe(true);
    const counts = (file: ProjectFile) =>
      [file.slots, file.sightings, file.options, file.recipes, file.fills].map((list) => list.length);
    expect(counts(out)).toEqual(counts(attics));
    expect(figuresOf(out)).toEqual(figuresOf(attics));
  });

  it('brings back payments that were taken back and done again, whatever their order in the file', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    const settle = { findId: payload.find.id, paid: 1200, atMs: 1 };
    await studio.command(projectId, 'buyFind', { ...settle, how: 'promise', ledgerId: randomUUID() });
    const paid = { ...settle, how: 'payment' as const, ledgerId: randomUUID(), reversalId: randomUUID() };
    const act = await studio.command(projectId, 'buyFind', paid);
    await studio.command(projectId, 'undo', { actId: act.json.actId, reversalIds: [] });
    const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json as ProjectFile;
    expect(file.ledger).toHaveLength(5);
    // Reversals first: the worst order a file can have.
    const depth = (id: string | null): number =>
      id === null ? 0 : 1 + depth(file.ledger.find((line) => line.id === id)?.reversesId ?? null);
    file.ledger.sort((a, b) => depth(b.reversesId) - depth(a.reversesId));
    for (const mode of ['copy', 'update'] as const) {
      const imported = await studio.work('importProject', { mode, file });
      expect(imported.status).toBe(200);
      const back = withFinds(
        (await studio.send('GET', `/api/projects/${imported.json.projectId}/file`)).json as ProjectFile,
      );
      expect(computePlan(back, 1).purse.money).toMatchObject({ spent: 0, promised: 1200 });
    }
    const [first, second] = file.ledger;
    const circle = {
      ...file,
      ledger: [
        { ...first, reversesId: second?.id },
        { ...second, reversesId: first?.id },
      ],
    };
    const refusedFile = await studio.work('importProject', { mode: 'copy', file: circle });
    expect(JSON.stringify(refusedFile.json)).toContain('ledger.0.reversesId');
    // A line is reversed once: a second reversal of it is refused by its place, not stumbled over.
    const again = { ...file, ledger: [...file.ledger, { ...file.ledger[0], id: randomUUID() }] };
    const refusedAgain = await studio.work('importProject', { mode: 'copy', file: again });
    expect(refusedAgain.status).toBe(422);
    expect(JSON.stringify(refusedAgain.json)).toContain('a line that no other line reverses');
  });

  it('imported as a copy lists its rows in the order of the file', async () => {
    const { json } = await studio.work('importProject', { mode: 'copy', file: attics });
    const copy = await studio.rows(json.projectId);
    const again = (await studio.send('GET', `/api/projects/${json.projectId}/file`)).json as ProjectFile;
    const names = (list: readonly { name: string }[]) => list.map(({ name }) => name);
    for (const table of ['spots', 'slots', 'offers', 'recipes', 'pieces'] as const)
      expect([names(copy[table]), names(again[table])]).toEqual([names(attics[table]), names(attics[table])]);
    expect(copy.options.map(({ kind }) => kind)).toEqual(attics.options.map(({ kind }) => kind));
    expect(copy.ledger.map(({ amount }) => amount)).toEqual(attics.ledger.map(({ amount }) => amount));
  });

  it('imported twice as a copy shares the studio’s supplies instead of doubling them', async () => {
    const { database, drop } = await freshDatabase();
    try {
      const fresh = await testStudio(database);
      await fresh.work('importProject', { mode: 'copy', file: attics });
      const count = async () => Number((await database.source.query('select count(*) from supply'))[0].count);
      const before = await count();
      await fresh.work('importProject', { mode: 'copy', file: attics });
      expect(await count()).toBe(before);
    } finally {
      await drop();
    }
  });

  it('updates its own project, and only in its own studio', async () => {
    const made = await studio.work('importProject', { mode: 'copy', file: attics });
    const file = (await studio.send('GET', `/api/projects/${made.json.projectId}/file`)).json as ProjectFile;
    await studio.command(made.json.projectId, 'editProject', { id: made.json.projectId, values: { name: 'Changed' } });
    const updated = await studio.work('importProject', { mode: 'update', file });
    expect(updated.status).toBe(200);
    expect((await studio.rows(made.json.projectId)).project.name).toBe(attics.project.name);
    const foreign = await studio.work('importProject', {
      mode: 'update',
      file: { ...file, studioId: randomUUID() },
    });
    expect(foreign.status).toBe(404);
  });

  it.each<[string, (file: ProjectFile) => unknown, string, string]>([
    ['another format', (file) => ({ ...file, format: 'recipes' }), 'file.unreadable', 'format'],
    ['a newer version', (file) => ({ ...file, formatVersion: 99 }), 'file.newer', 'formatVersion'],
    [
      'a damaged row',
      (file) => ({ ...file, slots: [{ ...file.slots[0], quantity: 'two' }] }),
      'file.unreadable',
      'slots.0.quantity',
    ],
    ['a reference to nowhere', (file) => ({ ...file, spots: [] }), 'file.unreadable', 'slots.0.spotId'],
    [
      'a repeated id',
      (file) => ({ ...file, sightings: [...file.sightings, file.sightings[0]] }),
      'file.unreadable',
      `sightings.${attics.sightings.length}.id`,
    ],
    ['no project at all', () => [1, 2, 3], 'file.unreadable', '(all)'],
  ])('refuses %s with the place, and imports nothing', async (_what, damage, code, place) => {
    const before = (await studio.send('GET', '/api/projects?limit=200')).json.projects.length;
    const answer = await studio.work('importProject', { mode: 'copy', file: damage(attics) });
    expect(answer.status).toBe(422);
    expect(answer.json.code).toBe(code);
    expect(answer.json.fields[0].field).toBe(place);
    expect((await studio.send('GET', '/api/projects?limit=200')).json.projects.length).toBe(before);
  });
});

describe('requests from elsewhere', () => {
  const body = {
    key: randomUUID(),
    projectId: randomUUID(),
    kind: 'clearChoice',
    payload: { slotId: randomUUID() },
    expect: {},
  };
  it.each<[string, Record<string, string>, number]>([
    ['a foreign Host', { host: 'evil.example' }, 403],
    ['a foreign Origin', { origin: 'http://evil.example' }, 403],
    ['our name on another port as Origin', { origin: 'http://127.0.0.1:9999' }, 403],
    ['a cross-site request', { 'sec-fetch-site': 'cross-site' }, 403],
    ['a form', { 'content-type': 'text/plain' }, 415],
    ['no content type', { 'content-type': '' }, 415],
  ])('%s is refused', async (_what, headers, status) => {
    expect((await studio.send('POST', '/api/commands', body, headers)).status).toBe(status);
  });

  it('our own page is let in', async () => {
    const answer = await studio.send('POST', '/api/commands', body, {
      origin: `http://${HOST}`,
      'sec-fetch-site': 'same-origin',
    });
    expect(answer.status).toBe(404);
  });

  it('a request that is too large is refused', async () => {
    const answer = await studio.send('POST', '/api/commands', { ...body, payload: { text: 'x'.repeat(2_200_000) } });
    expect(answer.status).toBe(413);
  });
});

describe('a database that is gone', () => {
  it('is said with 503, leaves no key behind, and the same request goes through when it is back', async () => {
    const { database, drop, url } = await freshDatabase();
    const lone = await testStudio(database);
    const { projectId, slotId } = await attic(lone);
    const name = new URL(url).pathname.slice(1);
    const key = randomUUID();
    const edit = () => lone.command(projectId, 'editSlot', { id: slotId, values: { name: 'Later' } }, { key });
    await own.database.source.query(`alter database ${name} with allow_connections false`);
    await own.database.source.query(`select pg_terminate_backend(pid) from pg_stat_activity where datname = '${name}'`);
    const during = await edit();
    expect([during.status, during.json.code]).toEqual([503, 'database.gone']);
    expect((await lone.send('GET', '/api/health')).status).toBe(503);
    await own.database.source.query(`alter database ${name} with allow_connections true`);
    const after = await edit();
    expect(after.status).toBe(200);
    expect((await lone.rows(projectId)).slots[0]?.name).toBe('Later');
    await drop();
  });
});
