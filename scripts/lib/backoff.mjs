/** Restarts older than this are forgotten: what ran well for a while may stumble again. */
const FORGOTTEN_AFTER_MS = 10 * 60_000;
const MOST = 5;

/** How long to wait before something is started once more: longer each time, and not for ever. */
export function restartsWithBackoff(now = Date.now) {
  let times = [];
  return {
    /** Milliseconds to wait, or null when it has ended too often in a short while. */
    next() {
      times = times.filter((time) => now() - time < FORGOTTEN_AFTER_MS);
      if (times.length >= MOST) return null;
      times.push(now());
      return 500 * 2 ** (times.length - 1);
    },
  };
}
