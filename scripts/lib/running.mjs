// Which start of Euporia works on a data folder.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The file by which a start says that the data is in its hands. */
export const lockOf = (data) => join(data, 'euporia.run');

/** The start that runs on a data folder, as its lock tells of it, or null. */
export function runningOn(data) {
  const lock = lockOf(data);
  if (!existsSync(lock)) return null;
  try {
    const known = JSON.parse(readFileSync(lock, 'utf8'));
    const command = readFileSync(`/proc/${known.pid}/cmdline`, 'utf8');
    return command.includes('start.mjs') ? known : null;
  } catch {
    return null;
  }
}
