import { readFileSync } from 'node:fs';

/** A process's parent and when it started, as the system tells; null when it is gone or nothing tells. */
function about(pid) {
  try {
    // The name stands in brackets and may hold anything, spaces too.
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1).split(' ');
    return { parent: Number(fields[1]), startedAt: fields[19] };
  } catch {
    return null;
  }
}

/** The npm that runs this script, through however many shells; null when none does. */
function npmAbove() {
  for (let pid = process.ppid, steps = 0; pid > 1 && steps < 6; steps += 1) {
    let command = '';
    try {
      command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
    } catch {
      return null;
    }
    const found = about(pid);
    if (!found) return null;
    if (/\bnpm\b/.test(command)) return { pid, startedAt: found.startedAt };
    pid = found.parent;
  }
  return null;
}

/**
 * Calls back once the npm that runs this script is gone: a signal that ends npm does not always reach what it runs.
 * Without npm above it does nothing.
 */
export function whenNpmEnds(work) {
  if (process.env.npm_lifecycle_event === undefined) return;
  const npm = npmAbove();
  if (!npm) return;
  const timer = setInterval(() => {
    if (about(npm.pid)?.startedAt === npm.startedAt) return;
    clearInterval(timer);
    work();
  }, 400);
  timer.unref();
}
