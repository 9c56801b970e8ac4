// npm start: everything from a bare machine to a running Euporia at one loopback address.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createConnection } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureNodePackages } from './lib/nodePackages.mjs';
import { dataFolder, startLocalCluster } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const demoReset = process.argv.includes('--demo-reset');
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4810);
const address = `http://${host}:${port}/`;

ensureNodePackages(root);

const external = process.env.DATABASE_URL;
const data = dataFolder(root, process.env.EUPORIA_DATA);
const lock = join(data, 'euporia.run');

/** Another start of the same data that still runs, by its lock. */
function runningElsewhere() {
  if (!existsSync(lock)) return null;
  try {
    const known = JSON.parse(readFileSync(lock, 'utf8'));
    const command = readFileSync(`/proc/${known.pid}/cmdline`, 'utf8');
    return command.includes('start.mjs') ? known : null;
  } catch {
    return null;
  }
}

function isTaken() {
  return new Promise((done) => {
    const socket = createConnection({ host, port });
    socket.once('connect', () => {
      socket.destroy();
      done(true);
    });
    socket.once('error', () => done(false));
  });
}

const running = runningElsewhere();
if (running) {
  say(`Euporia runs already: ${running.address}`);
  if (demoReset) giveUp('The demo is not reset while it runs: end it with Ctrl-C first.', 'npm start -- --demo-reset');
  process.exit(0);
}
if (await isTaken()) {
  const { ownerOfPort } = await import('./lib/ports.mjs');
  giveUp(
    `Port ${port} is taken${ownerOfPort(port)}. Euporia keeps its address, since devices know it; end the other program, or choose a port yourself:`,
    `PORT=${port + 1} npm start`,
  );
}

const { buildServer, buildWeb } = await import('./lib/build.mjs');
await buildServer(root);
await buildWeb(root);

let cluster = null;
let server = null;
let ending = false;

async function end(code) {
  if (ending) return;
  ending = true;
  if (server && server.exitCode === null) {
    const gone = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    await Promise.race([gone, new Promise((done) => setTimeout(done, 8000))]);
    if (server.exitCode === null && server.signalCode === null) server.kill('SIGKILL');
  }
  await cluster?.stop();
  rmSync(lock, { force: true });
  process.exit(code);
}
process.on('SIGINT', () => void end(0));
process.on('SIGTERM', () => void end(0));
process.on('SIGHUP', () => void end(0));

let restarts = 0;
/** Starts the database; one that ends by itself is started again at the same port, and the server finds it there. */
async function startCluster(port) {
  const onUnexpectedEnd = () => {
    if (ending) return;
    restarts += 1;
    if (restarts > 5) {
      process.stderr.write('The local database keeps ending; its log is postgres.log in the data folder.\n');
      void end(1);
      return;
    }
    say('The local database ended by itself; starting it again …');
    setTimeout(() => void startCluster(cluster.port).catch(() => void end(1)), 500 * restarts);
  };
  cluster = await startLocalCluster(data, { port, onUnexpectedEnd });
  if (ending) await cluster.stop();
}

if (!external) await startCluster();
if (ending) await cluster?.stop();
else {
  mkdirSync(data, { recursive: true });
  writeFileSync(lock, JSON.stringify({ pid: process.pid, address }));
  server = spawn(process.execPath, ['--enable-source-maps', join(root, 'dist/server/main.js')], {
    cwd: root,
    // Its own group, so that Ctrl-C is handled once, in order: the app first, then the database.
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: external ?? cluster.url,
      HOST: host,
      PORT: String(port),
      EUPORIA_WEB: 'dist/web',
      EUPORIA_DEMO: process.env.EUPORIA_DEMO ?? join(root, 'demo'),
      EUPORIA_DEMO_RESET: demoReset ? '1' : '',
    },
  });
  server.on('message', (message) => {
    if (message?.ready) say(`Euporia is ready: ${address}   (Ctrl-C ends it)`);
    if (message?.failed) process.stderr.write(`The server cannot listen on ${address}: ${message.failed}\n`);
  });
  server.once('exit', (code) => {
    if (!ending) {
      process.stderr.write('The server ended unexpectedly; its last words stand above.\n');
      void end(code || 1);
    }
  });
}
