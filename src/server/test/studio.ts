import { randomUUID } from 'node:crypto';
import type { Command } from '@contract/command';
import { type ErrorCode, errorCodes } from '@contract/errors';
import { hasEnded } from '@contract/jobState';
import type { JobKindName, jobAsks } from '@contract/jobs';
import type { ActKind, PayloadOf } from '@core/acts';
import { labFromHex } from '@core/color/lab';
import { stated } from '@core/kernel/price';
import { blankOption } from '@core/model/blankOption';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { afterAll } from 'vitest';
import type { z } from 'zod';
import { project as projectRow } from '../../core/fixtures/projectRows';
import { blankSighting } from '../../core/model/blankSighting';
import { type ProjectRows, type StoredRows, withFinds } from '../../core/model/rows';
import { newSlot, newSpot } from '../../core/plan/newRows';
import { plainStory } from '../../core/pricing/priceStory';
import { type AppSettings, createApp } from '../http/app';
import { prepareQueue } from '../jobs';
import { type Database, openDatabase } from '../persistence/database';
import { ensureLocalStudio } from '../persistence/studios';
import { holdAnswer } from './answersHold';

export const HOST = '127.0.0.1:4810';
const NOW = Date.parse('2026-06-01T13:00:00Z');

function clusterUrl(): URL {
  const url = process.env.TEST_DATABASE_URL;
  if (!url) throw new Error('TEST_DATABASE_URL names the cluster for server tests; npm test sets it');
  return new URL(url);
}

/** A database of its own in the test cluster, migrated; dropped by `drop`. */
export async function freshDatabase(
  options: { migrate?: boolean } = {},
): Promise<{ database: Database; url: string; drop(): Promise<void> }> {
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  const admin = await openDatabase(clusterUrl().href, { migrate: false, poolSize: 1 });
  await admin.source.query(`create database ${name}`);
  const url = clusterUrl();
  url.pathname = `/${name}`;
  const database = await openDatabase(url.href, { poolSize: 6, ...options });
  if (options.migrate !== false) await prepareQueue(database, null);
  return {
    database,
    url: url.href,
    async drop() {
      await database.close().catch(() => undefined);
      await admin.source.query(`drop database if exists ${name} with (force)`);
      await admin.close();
    },
  };
}

/** A database of its own for one file of tests, with a studio in it; gone when the file is done. */
export async function freshStudio() {
  const own = await freshDatabase();
  afterAll(() => own.drop());
  return { own, studio: await testStudio(own.database) };
}

/** A studio with an app over it, spoken to by requests as a page sends them. */
export async function testStudio(database: Database, studioId: string = randomUUID()) {
  const id = await ensureLocalStudio(database, studioId);
  return studioApp(database, id);
}

export function studioApp(
  database: Database,
  studioId: string,
  settings: Partial<
    Pick<AppSettings, 'summaryPatienceMs' | 'summaryGatherMs' | 'retiredStudios' | 'log' | 'signIn' | 'onSetUp'>
  > & { nowMs?: () => number } = { summaryPatienceMs: 25_000 },
) {
  const { nowMs = () => NOW, ...more } = settings;
  const app = createApp({
    database,
    studioId,
    allowedHosts: new Set([HOST]),
    webFolder: null,
    ...more,
    environment: { nowMs, newId: () => randomUUID() },
  });
  const send = async (method: string, path: string, body?: unknown, headers: Record<string, string> = {}) => {
    const response = await app.request(`http://${HOST}${path}`, {
      method,
      headers: {
        host: HOST,
        'x-device': 'test',
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    // biome-ignore lint/suspicious/noExplicitAny: answers are looked into field by field; the any ends in the tests
    let json: any = null;
    try {
      json = JSON.parse(text);
    } catch {
      // Not JSON: the test looks at the status.
    }
    holdAnswer(method, path, response.status, text);
    return { status: response.status, json, text, headers: response.headers };
  };
  const command = <K extends ActKind>(
    projectId: string,
    kind: K,
    payload: PayloadOf<K>,
    change: Partial<Command> = {},
  ) => send('POST', '/api/commands', { key: randomUUID(), projectId, kind, payload, expect: {}, ...change });
  const rows = async (projectId: string): Promise<ProjectRows> =>
    withFinds((await send('GET', `/api/projects/${projectId}/snapshot`)).json as StoredRows);
  /** A long work, to its end: what came of it, or why not, as if it had been answered at once. */
  const work = async <K extends JobKindName>(
    kind: K,
    asked: z.input<(typeof jobAsks)[K]>,
    id: string = randomUUID(),
  ) => {
    let seen = await send('POST', '/api/jobs', { id, kind, title: 'a test', asked });
    if (seen.status !== 200) return seen;
    while (!hasEnded(seen.json.state)) {
      await new Promise((done) => setTimeout(done, 20));
      seen = await send('GET', `/api/jobs/${id}`);
    }
    const { refusal, result } = seen.json;
    return {
      ...seen,
      status: refusal === null ? 200 : errorCodes[refusal.code as ErrorCode].status,
      json: refusal ?? result,
    };
  };
  return { app, studioId, send, command, rows, work };
}
export type TestStudio = Awaited<ReturnType<typeof testStudio>>;

/** A project with one spot and one slot, made through the API. */
export async function attic(studio: TestStudio) {
  const projectId = randomUUID();
  const spotId = randomUUID();
  const slotId = randomUUID();
  await studio.command(projectId, 'createProject', {
    project: projectRow({ id: projectId }),
    spot: { ...newSpot(spotId, 'Bed wall', 'bedWall', 0), widthMm: 3000, heightMm: 2200 },
  });
  await studio.command(projectId, 'addSlot', {
    row: newSlot(slotId, spotId, 1, 'Nightstand, left'),
  });
  return { projectId, spotId, slotId };
}

/** A thrifted nightstand at $12 for a slot, as found, as the page would send it. */
export function nightstandOption(slotId: string) {
  const findId = randomUUID();
  return {
    option: {
      id: randomUUID(),
      version: 1,
      slotId,
      kind: 'asFound' as const,
      parts: [{ findId, offerId: null, pieces: 1 }],
      recipeId: null,
      ...blankOption,
    },
    find: {
      id: findId,
      version: 1,
      name: 'Oak nightstand',
      ...blankSighting,
      state: 'seen' as const,
      kind: 'ordinary' as const,
      templateId: 'nightstand',
      measures: completeMeasures(furnitureTemplates.get('nightstand'), {}),
      materialId: 'veneer',
      finishId: null,
      sheen: 'unknown' as const,
      color: labFromHex('#a9794f'),
      era: 'unknown' as const,
      leadTest: 'notTested' as const,
      cordCondition: 'none' as const,
      story: plainStory(stated(1200)),
      repairMinutes: 0,
      pieceId: randomUUID(),
      count: 1,
      counted: true,
      freshDays: null,
      inHouse: false,
      borrowedFrom: '',
      backBy: null,
      inspected: [],
      sorted: true,
    },
    offer: null,
    recipe: null,
    colorCard: null,
  };
}
