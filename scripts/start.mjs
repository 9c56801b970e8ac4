// npm start: everything from a bare machine to a running Euporia at one loopback address.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { createConnection } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { restartsWithBackoff } from './lib/backoff.mjs';
import { lanAddresses } from './lib/lan.mjs';
import { localCertificate } from './lib/localCertificate.mjs';
import { ensureNodePackages } from './lib/nodePackages.mjs';
import { whenNpmEnds } from './lib/npmParent.mjs';
import { dataFolder, ensurePostgresBinaries, startLocalCluster } from './lib/postgres.mjs';
import { lockOf, runningOn } from './lib/running.mjs';
import { giveUp, say } from './lib/say.mjs';
import { databaseSetting, dataSetting, portSetting, usableFolder } from './lib/settings.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const demoReset = process.argv.includes('--demo-reset');
/** A studio without the demo, in a folder of its own beside it: the demo stays as it is. */
const beginEmpty = process.argv.includes('--empty');
/** For other devices of the same network, too: over TLS, and whoever comes in is asked who they are. */
const forLan = process.argv.includes('--lan');
const host = process.env.HOST ?? (forLan ? '0.0.0.0' : '127.0.0.1');
const port = portSetting(process.env.PORT, 4810);
const address = forLan ? `https://127.0.0.1:${port}/` : `http://${host}:${port}/`;
const lan = forLan ? lanAddresses(networkInterfaces()) : [];
const external = databaseSetting(process.env.DATABASE_URL);

ensureNodePackages(root);

if (beginEmpty && demoReset)
  giveUp('An empty studio has no demo to go back to: choose one of --empty and --demo-reset.', 'npm start -- --empty');
const data = dataFolder(root, dataSetting(process.env.EUPORIA_DATA, beginEmpty));
if (!external) ensurePostgresBinaries();
usableFolder(data);
const lock = lockOf(data);
/** The server says by this code that starting it again would change nothing. */
const CANNOT = 3;

function isTaken() {
  return new Promise((done) => {
    const socket = createConnection({ host: host === '0.0.0.0' ? '127.0.0.1' : host, port });
    socket.once('connect', () => {
      socket.destroy();
      done(true);
    });
    socket.once('error', () => done(false));
  });
}

let running = runningOn(data);
// One that is just ending is waited for: a stop and a start may follow each other at once.
for (let waited = 0; running?.ending && waited < 30_000; waited += 200) {
  await new Promise((done) => setTimeout(done, 200));
  running = runningOn(data);
}
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

// What the build needs of memory goes with its process.
const built = spawnSync(process.execPath, [join(root, 'scripts/build.mjs')], { cwd: root, stdio: 'inherit' });
if (built.status !== 0) giveUp('Euporia could not be built; the reason stands above.');

/** Names of this machine that its network may know. */
const lanNames = forLan
  ? ['localhost', hostname().toLowerCase(), `${hostname().toLowerCase().split('.')[0]}.local`]
  : [];
const certificate = forLan
  ? await localCertificate(data, { names: lanNames, addresses: ['127.0.0.1', ...lan], nowMs: Date.now() })
  : null;

/** Says where other devices find it, and how they know that it is this one. */
async function tellLan() {
  if (lan.length === 0) say('This machine is in no network: only it reaches Euporia just now.');
  const [first] = lan;
  for (const ip of lan) say(`On this network:  https://${ip}:${port}/`);
  if (first) {
    const { default: QRCode } = await import('qrcode');
    say(await QRCode.toString(`https://${first}:${port}/`, { type: 'terminal', small: true }));
  }
  say(
    [
      `Its certificate is its own${certificate.isNew ? ', made just now' : ''}. A device that opens it for the first time says that it does not know it:`,
      'compare the SHA-256 fingerprint that it shows with this one, and go on only if they are the same.',
      `  ${certificate.fingerprint}`,
      `To have a device trust it for good, bring ${certificate.certPath} there and install it as a certificate.`,
    ].join('\n'),
  );
}

let cluster = null;
let server = null;
let ending = false;

const keepLock = (more = {}) => writeFileSync(lock, JSON.stringify({ pid: process.pid, address, ...more }));

async function end(code) {
  if (ending) return;
  ending = true;
  if (existsSync(lock)) keepLock({ ending: true });
  if (server && server.exitCode === null && server.signalCode === null) {
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
whenNpmEnds(() => void end(0));

const databaseRestarts = restartsWithBackoff();
const serverRestarts = restartsWithBackoff();

/** Starts the database; one that ends by itself is started again at the same port, and the server finds it there. */
async function startCluster(port) {
  const onUnexpectedEnd = () => {
    if (ending) return;
    const pause = databaseRestarts.next();
    if (pause === null) {
      process.stderr.write('The local database keeps ending; its log is postgres.log in the data folder.\n');
      void end(1);
      return;
    }
    say('The local database ended by itself; starting it again …');
    setTimeout(() => void startCluster(cluster.port).catch(() => void end(1)), pause);
  };
  cluster = await startLocalCluster(data, { port, onUnexpectedEnd });
  if (ending) await cluster.stop();
}

/** Starts the server; one that ends by itself is started again, unless it says that this would change nothing. */
function startServer() {
  let isReady = false;
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
      EUPORIA_ADDRESS: lan[0] ? `https://${lan[0]}:${port}` : '',
      EUPORIA_SIGN_IN: forLan ? '1' : (process.env.EUPORIA_SIGN_IN ?? ''),
      ...(certificate ? { EUPORIA_TLS_CERT: certificate.certPath, EUPORIA_TLS_KEY: certificate.keyPath } : {}),
      EUPORIA_ORIGINS: [
        process.env.EUPORIA_ORIGINS,
        ...lan.map((ip) => `${ip}:${port}`),
        ...lanNames.map((name) => `${name}:${port}`),
      ]
        .filter(Boolean)
        .join(','),
      EUPORIA_WEB: 'dist/web',
      EUPORIA_DEMO: beginEmpty ? '' : (process.env.EUPORIA_DEMO ?? join(root, 'demo')),
      EUPORIA_DEMO_RESET: demoReset && serverStarts === 0 ? '1' : '',
    },
  });
  serverStarts += 1;
  server.on('message', (message) => {
    if (message?.ready) {
      isReady = true;
      say(`Euporia is ready: ${address}   (Ctrl-C ends it)`);
      if (forLan) void tellLan();
    }
    if (message?.failed) process.stderr.write(`The server cannot listen on ${address}: ${message.failed}\n`);
  });
  server.once('exit', (code) => {
    if (ending) return;
    if (code === CANNOT && serverStarts === 1) return void end(1);
    const pause = isReady || serverStarts > 1 ? serverRestarts.next() : null;
    if (pause === null) {
      process.stderr.write('The server ended unexpectedly; its last words stand above.\n');
      return void end(code || 1);
    }
    say('The server ended by itself; starting it again …');
    setTimeout(() => {
      if (!ending) startServer();
    }, pause);
  });
}
let serverStarts = 0;

if (!external) await startCluster();
if (ending) await cluster?.stop();
else {
  mkdirSync(data, { recursive: true });
  keepLock();
  startServer();
}
