import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveUp, say } from './say.mjs';

/** Installs node packages when they are missing or older than the lockfile. */
export function ensureNodePackages(root) {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    giveUp(`Euporia needs Node.js 20.19 or newer 20 or 22; this is ${process.versions.node}.`);
  const lock = readFileSync(join(root, 'package-lock.json'));
  const hash = createHash('sha256').update(lock).update(process.version).digest('hex');
  const mark = join(root, 'node_modules', '.euporia-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === hash) return;
  say('Installing node packages …');
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (result.status !== 0) giveUp('The node packages could not be installed.', 'npm ci');
  writeFileSync(mark, hash);
}
