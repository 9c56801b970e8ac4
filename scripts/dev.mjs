// npm run dev: the page with hot reload, the server restarted when its sources change, the same local database.
import { spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureNodePackages } from './lib/nodePackages.mjs';
import { dataFolder, freePort, startLocalCluster } from './lib/postgres.mjs';
import { say } from './lib/say.mjs';
import { databaseSetting, portSetting } from './lib/settings.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
ensureNodePackages(root);
const host = '127.0.0.1';
const port = portSetting(process.env.PORT, 4810);
const apiPort = await freePort();
const external = databaseSetting(process.env.DATABASE_URL);
const cluster = external ? null : await startLocalCluster(dataFolder(root, process.env.EUPORIA_DATA));

const children = [];
function start(script, args, env) {
  const child = spawn(process.execPath, [join(root, 'node_modules', script), ...args], {
    cwd: root,
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  children.push(child);
  return child;
}
start('tsx/dist/cli.mjs', ['watch', '--clear-screen=false', 'src/server/main.ts'], {
  DATABASE_URL: external ?? cluster.url,
  HOST: host,
  PORT: String(apiPort),
  EUPORIA_ORIGINS: `${host}:${port},localhost:${port}`,
  EUPORIA_DEMO: join(root, 'demo'),
});
start('vite/bin/vite.js', ['--config', 'vite.config.ts', '--port', String(port)], {
  EUPORIA_API: `http://${host}:${apiPort}`,
});
say(`The page with hot reload: http://${host}:${port}/   (Ctrl-C ends it)`);

let ending = false;
async function end() {
  if (ending) return;
  ending = true;
  for (const child of children) if (child.exitCode === null && child.pid) process.kill(-child.pid, 'SIGTERM');
  await cluster?.stop();
  process.exit(0);
}
process.on('SIGINT', () => void end());
process.on('SIGTERM', () => void end());
for (const child of children) child.once('exit', () => void end());
