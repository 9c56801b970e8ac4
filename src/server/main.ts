import { randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { houseTables } from '@core/formats/house/planImport';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { MS_PER_DAY } from '@core/kernel/units';
import { serve } from '@hono/node-server';
import 'reflect-metadata';
import { createApp } from './http/app';
import { troubleOf } from './http/trouble';
import { openDatabase } from './persistence/database';
import { studioScope } from './persistence/scope';
import { pruneOld } from './persistence/sql/prune';
import { ensureAppRole } from './persistence/sql/roles';
import { addStudio, allStudios, ensureLocalStudio, hasProjects, nameStudio } from './persistence/studios';
import { importHouse } from './usecases/importHouse';
import { importProject } from './usecases/importProject';

/**
 * The server as a process. Settings come by environment: DATABASE_URL, HOST, PORT, EUPORIA_WEB (built page),
 * EUPORIA_DEMO (folder of demo projects), EUPORIA_DEMO_RESET, EUPORIA_ORIGINS (further `host:port` to be reached under).
 */
/** The day on which the demo was written. */
const DEMO_DAY = '2026-05-28';

/** Tells who started this that starting it again would change nothing. */
const CANNOT = 3;

const url = process.env.DATABASE_URL;
if (!url) throw new Error('DATABASE_URL says which PostgreSQL to use; npm start sets it');
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4810);
const say = (line: string) => process.stdout.write(`${line}\n`);

// Tables are made and changed as their owner; the app itself works in a role that cannot.
const owner = await openDatabase(url, { poolSize: 2 }).catch((error: unknown) => {
  // What stands in the way is told in a sentence; starting again would change nothing.
  if (!troubleOf(error) && (error as { code?: string }).code === undefined) throw error;
  process.stderr.write(`The database does not let Euporia in: ${(error as Error).message}\n`);
  process.exit(CANNOT);
});
await pruneOld(owner);
const role = await ensureAppRole(owner);
if (role === null) say('The database’s user may make no role; Euporia works as that user.');
const database = role === null ? owner : await openDatabase(url, { migrate: false, role });
if (role !== null) await owner.close();
const DEMO_NAME = 'Demo studio';
// Back to the demo is a demo of its own beside what there is: nobody's work goes.
const isReset = process.env.EUPORIA_DEMO_RESET === '1' && (await hasProjects(database));
const retiredStudios = isReset
  ? (await allStudios(database)).filter(({ name }) => name.startsWith(DEMO_NAME)).map(({ id }) => id)
  : [];
const studioId = isReset
  ? await addStudio(database, randomUUID(), `${DEMO_NAME}, fresh on ${new Date().toISOString().slice(0, 10)}`)
  : await ensureLocalStudio(database, randomUUID());
// A fixed moment is only for pictures and journeys that must look the same every day.
const fixedNow = process.env.EUPORIA_NOW ? Date.parse(process.env.EUPORIA_NOW) : null;
const environment = { nowMs: () => fixedNow ?? Date.now(), newId: () => randomUUID() };

/** A demo is as fresh as on the day it was written: its dates move by the whole days that have passed since. */
function moveDates(file: unknown, nowMs: number): unknown {
  const demo = file as ProjectFile;
  const days = Math.round((nowMs - Date.parse(demo.asOf)) / MS_PER_DAY);
  const moved =
    demo.project.revealDate === null
      ? null
      : new Date(Date.parse(`${demo.project.revealDate}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10);
  // A week of hours moves to the Monday of the week it falls into now.
  const weeks = demo.project.brief.weeks.map((week) => {
    const day = new Date(Date.parse(`${week.monday}T00:00:00Z`) + days * MS_PER_DAY);
    day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));
    return { ...week, monday: day.toISOString().slice(0, 10) };
  });
  // What shops take off, what was seen and bought, what goes back: every date in these tables moves.
  const { sources, sightings, receipts, trips, ads, pieces, weatherDays } = demo;
  const tables = JSON.stringify({ sources, sightings, receipts, ads, pieces, weatherDays });
  // A trip stays on its day of the week: its stops are open on some days only.
  const wholeWeeks = Math.ceil(days / 7) * 7;
  return {
    ...demo,
    ...(JSON.parse(moveDays(tables, days)) as typeof demo),
    trips: JSON.parse(moveDays(JSON.stringify(trips), wholeWeeks)) as typeof trips,
    project: { ...demo.project, revealDate: moved, brief: { ...demo.project.brief, weeks } },
    ledger: demo.ledger.map((line) => ({ ...line, atMs: line.atMs + days * MS_PER_DAY })),
    logEntries: demo.logEntries.map((entry) => ({ ...entry, atMs: entry.atMs + days * MS_PER_DAY })),
    stepRuns: demo.stepRuns.map(({ stretches, doneMs, ...run }) => ({
      ...run,
      stretches: stretches.map(({ startMs, endMs }) => ({
        startMs: startMs + days * MS_PER_DAY,
        endMs: endMs === null ? null : endMs + days * MS_PER_DAY,
      })),
      doneMs: doneMs === null ? null : doneMs + days * MS_PER_DAY,
    })),
  };
}

/** Every date in a text moves by so many days. */
function moveDays(text: string, days: number): string {
  return text.replace(/(?<![\w-])\d{4}-\d{2}-\d{2}(?![\w-])/g, (date) =>
    new Date(Date.parse(`${date}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10),
  );
}

/** The same for a table. */
const moveTable = (text: string, nowMs: number): string =>
  moveDays(text, Math.round((nowMs - Date.parse(DEMO_DAY)) / MS_PER_DAY));

const demo = process.env.EUPORIA_DEMO;
if (demo && (isReset || !(await hasProjects(database)))) {
  if (!isReset) await nameStudio(database, studioId, DEMO_NAME);
  for (const name of (await readdir(demo))
    .filter((file) => file.endsWith('.project.json'))
    .sort()
    .reverse()) {
    const file: unknown = JSON.parse(await readFile(join(demo, name), 'utf8'));
    const answer = await importProject(
      database,
      studioScope(studioId, 'demo'),
      moveDates(file, environment.nowMs()),
      'copy',
      randomUUID(),
      environment,
    );
    if (answer.status !== 200) throw new Error(`the demo project ${name} was refused: ${JSON.stringify(answer.body)}`);
  }
  for (const kind of houseTables) {
    const text = moveTable(await readFile(join(demo, `house.${kind}.csv`), 'utf8'), environment.nowMs());
    const today = new Date(environment.nowMs()).toISOString().slice(0, 10);
    const request = { kind, text, units: 'us' as const, currency: 'USD', today };
    await importHouse(
      database,
      studioScope(studioId, 'demo'),
      request,
      environment,
      async (progress) => {
        if (progress.state === 'done' && (progress.counts.bad ?? 0) > 0)
          throw new Error(`lines of the demo’s ${kind} were refused`);
      },
      () => false,
    );
  }
}

const names = new Set([host, '127.0.0.1', 'localhost', '[::1]']);
const allowedHosts = new Set([...names].map((name) => `${name.toLowerCase()}:${port}`));
if (port === 80) for (const name of names) allowedHosts.add(name.toLowerCase());
for (const extra of (process.env.EUPORIA_ORIGINS ?? '').split(','))
  if (extra.trim()) allowedHosts.add(extra.trim().toLowerCase());

const app = createApp({
  database,
  studioId,
  retiredStudios,
  allowedHosts,
  webFolder: process.env.EUPORIA_WEB ?? null,
  environment,
  log: say,
});
const server = serve({ fetch: app.fetch, hostname: host, port }, () => process.send?.({ ready: true, port }));
server.on('error', (error: NodeJS.ErrnoException) => {
  process.send?.({ failed: error.code ?? error.message });
  void database.close().finally(() => process.exit(CANNOT));
});

let ending = false;
function end() {
  if (ending) return;
  ending = true;
  server.close(() => {
    void database.close().finally(() => process.exit(0));
  });
  // Connections that a browser keeps open must not hold the end back.
  if ('closeIdleConnections' in server) server.closeIdleConnections();
  setTimeout(() => {
    if ('closeAllConnections' in server) server.closeAllConnections();
  }, 1500).unref();
}
process.on('SIGINT', end);
process.on('SIGTERM', end);
process.on('disconnect', end);
