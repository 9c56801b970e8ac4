import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveUp, say } from './say.mjs';

const read = (path) => {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
};

/**
 * Whether what stands in node_modules is what the lockfile asks for. npm keeps a list of what it installed; packages
 * for other systems are left out of it, and are not missed.
 */
export function packagesAreThere(root) {
  const wanted = read(join(root, 'package-lock.json'))?.packages ?? {};
  const there = read(join(root, 'node_modules', '.package-lock.json'))?.packages ?? {};
  return Object.entries(wanted).every(([path, entry]) => {
    if (path === '' || entry.link) return true;
    const found = there[path];
    if (!found) return entry.optional === true || entry.os !== undefined || entry.cpu !== undefined;
    return found.version === entry.version && existsSync(join(root, path, 'package.json'));
  });
}

/** Whether every package that the project names itself can at least be found. */
function worksSomehow(root) {
  const { dependencies = {}, devDependencies = {} } = read(join(root, 'package.json')) ?? {};
  return Object.keys({ ...dependencies, ...devDependencies }).every((name) =>
    existsSync(join(root, 'node_modules', name, 'package.json')),
  );
}

/** Installs node packages when they are missing or other than the lockfile says. What works is never taken away first. */
export function ensureNodePackages(root) {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    giveUp(`Euporia needs Node.js 20.19 or newer 20 or 22; this is ${process.versions.node}.`);
  if (packagesAreThere(root)) return;
  const isEmpty = !existsSync(join(root, 'node_modules'));
  say('Installing node packages …');
  // Over packages that are there, an install mends what differs; only into nothing is everything laid anew.
  const args = isEmpty ? ['ci'] : ['install', '--no-save', '--prefer-offline'];
  const result = spawnSync('npm', [...args, '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (result.status === 0) return;
  if (!worksSomehow(root)) giveUp('The node packages could not be installed.', 'npm ci');
  say('They could not be brought up to date just now (no connection?); going on with those that are there.');
}
