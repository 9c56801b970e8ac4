import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { giveUp, say } from './say.mjs';

const isRoot = () => process.getuid?.() === 0;

function apt(...args) {
  return spawnSync('apt-get', args, {
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

/**
 * Installs Debian packages. Without root, or where there is no apt-get, says the exact command and ends.
 * @param what what they are for, in a few words
 */
export function installDebianPackages(what, packages) {
  const command = `sudo apt-get update && sudo apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (!isRoot()) giveUp(`${what} is not installed, and only root can install it. Please run:`, command);
  if (spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status !== 0)
    giveUp(`${what} is not installed, and this system has no apt-get. Please install: ${packages.join(', ')}`);
  say(`Installing ${what} (${packages.join(', ')}) …`);
  const install = () => apt('install', '-y', '--no-install-recommends', ...packages);
  let result = install();
  if (result.status !== 0) {
    apt('update', '-qq');
    result = install();
  }
  if (result.status !== 0) giveUp(`${what} could not be installed:\n${result.stderr ?? ''}`, command);
}

/** Keeps Debian's PostgreSQL package from making and starting a cluster of its own; an existing cluster is not touched. */
export function switchOffMainCluster() {
  const folder = '/etc/postgresql-common/createcluster.d';
  const file = `${folder}/euporia.conf`;
  if (!isRoot() || existsSync(file)) return;
  mkdirSync(folder, { recursive: true });
  writeFileSync(
    file,
    '# Written before PostgreSQL was installed: no cluster of its own is needed.\ncreate_main_cluster = false\n',
  );
}
