import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer as createSecureServer } from 'node:https';
import { serve } from '@hono/node-server';
import 'reflect-metadata';
import { seedDemo } from './demo/seedDemo';
import { createApp } from './http/app';
import { troubleOf } from './http/trouble';
import { prepareQueue, searchInThread } from './jobs';
import { openDatabase } from './persistence/database';
import { studioScope } from './persistence/scope';
import { pruneOld } from './persistence/sql/prune';
import { ensureAppRole } from './persistence/sql/roles';
import { addStudio, allStudios, ensureLocalStudio, hasProjects, nameStudio } from './persistence/studios';
import { planningInThread } from './planning/planningInThread';

/**
 * The server as a process. Settings come by environment: DATABASE_URL, HOST, PORT, EUPORIA_WEB (built page),
 * EUPORIA_DEMO (folder of demo projects), EUPORIA_DEMO_RESET, EUPORIA_ORIGINS (further `host:port` to be reached under),
 * EUPORIA_TLS_CERT and EUPORIA_TLS_KEY (files), PUBLIC_ORIGIN (the address before a proxy), TRUST_PROXY (1 where a proxy
 * of one's own says who asks), EUPORIA_SIGN_IN (1 asks who somebody is on this machine, too), EUPORIA_ADDRESS (where other
 * devices of the network reach it).
 */
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
await prepareQueue(owner, role).catch((error: Error) => {
  process.stderr.write(`The queue for long work cannot be made in this database: ${error.message}\n`);
  process.exit(CANNOT);
});
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

const demo = process.env.EUPORIA_DEMO;
if (demo && (isReset || !(await hasProjects(database)))) {
  if (!isReset) await nameStudio(database, studioId, DEMO_NAME);
  await seedDemo(database, studioScope(studioId, 'demo'), demo, environment);
}

const names = new Set([host, '127.0.0.1', 'localhost', '[::1]']);
const allowedHosts = new Set([...names].map((name) => `${name.toLowerCase()}:${port}`));
if (port === 80) for (const name of names) allowedHosts.add(name.toLowerCase());
for (const extra of (process.env.EUPORIA_ORIGINS ?? '').split(','))
  if (extra.trim()) allowedHosts.add(extra.trim().toLowerCase());

// Whoever is not at this machine has to say who they are; a proxy before it brings everybody to loopback.
const publicOrigin = process.env.PUBLIC_ORIGIN ? new URL(process.env.PUBLIC_ORIGIN) : null;
if (publicOrigin) allowedHosts.add(publicOrigin.host.toLowerCase());
const isReachable = !['127.0.0.1', 'localhost', '::1'].includes(host) || publicOrigin !== null;
const { EUPORIA_TLS_CERT, EUPORIA_TLS_KEY } = process.env;
const tls =
  EUPORIA_TLS_CERT && EUPORIA_TLS_KEY
    ? { cert: readFileSync(EUPORIA_TLS_CERT), key: readFileSync(EUPORIA_TLS_KEY) }
    : null;
const signIn =
  isReachable || process.env.EUPORIA_SIGN_IN === '1'
    ? {
        isSecure: tls !== null || publicOrigin?.protocol === 'https:',
        trustsProxy: process.env.TRUST_PROXY === '1',
        address: publicOrigin?.origin ?? (process.env.EUPORIA_ADDRESS || null),
      }
    : undefined;

const app = createApp({
  database,
  studioId,
  retiredStudios,
  allowedHosts,
  webFolder: process.env.EUPORIA_WEB ?? null,
  environment,
  log: say,
  signIn,
  search: searchInThread(new URL('./searchThread.js', import.meta.url)),
  plan: planningInThread(new URL('./planningThread.js', import.meta.url)),
  onSetUp: (code) => say(`Nobody owns this studio yet. To set it up, open it and give this code: ${code}`),
});
// What an earlier server left undone goes on.
await app.jobs.start();
const secured = tls ? { createServer: createSecureServer, serverOptions: tls } : {};
const server = serve({ fetch: app.fetch, hostname: host, port, ...secured }, () =>
  process.send?.({ ready: true, port }),
);
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
