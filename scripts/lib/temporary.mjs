import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startLocalCluster } from './postgres.mjs';

/** Settings for a database that nobody will miss: quick, since nothing is synced to the disk. */
const QUICK = ['fsync=off', 'synchronous_commit=off', 'full_page_writes=off'];

/** A folder under the system's temporary place that other users can enter. */
export function temporaryFolder(name) {
  const folder = mkdtempSync(join(tmpdir(), `${name}-`));
  chmodSync(folder, 0o755);
  return folder;
}

/** A cluster of its own in a temporary folder; `stop` removes it. */
export async function temporaryCluster(name, options = {}) {
  const folder = temporaryFolder(name);
  const cluster = await startLocalCluster(folder, { settings: QUICK, ...options });
  return {
    ...cluster,
    folder,
    async stop() {
      await cluster.stop();
      rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
    },
  };
}
