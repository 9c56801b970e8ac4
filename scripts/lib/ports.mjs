import { readdirSync, readFileSync, readlinkSync } from 'node:fs';

/** Who listens on a port, as far as the system tells: " by node (process 123)", or nothing. */
export function ownerOfPort(port) {
  const hex = port.toString(16).toUpperCase().padStart(4, '0');
  const inodes = new Set();
  for (const table of ['/proc/net/tcp', '/proc/net/tcp6']) {
    try {
      for (const line of readFileSync(table, 'utf8').split('\n').slice(1)) {
        const parts = line.trim().split(/\s+/);
        if (parts[1]?.endsWith(`:${hex}`) && parts[3] === '0A') inodes.add(`socket:[${parts[9]}]`);
      }
    } catch {
      // No such table on this system.
    }
  }
  try {
    for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
      try {
        for (const fd of readdirSync(`/proc/${pid}/fd`)) {
          if (inodes.has(readlinkSync(`/proc/${pid}/fd/${fd}`)))
            return ` by ${readFileSync(`/proc/${pid}/comm`, 'utf8').trim()} (process ${pid})`;
        }
      } catch {
        // Another user's process.
      }
    }
  } catch {
    // No process table on this system.
  }
  return '';
}
