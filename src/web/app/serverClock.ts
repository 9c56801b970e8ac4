/** Under this key a device keeps how far its clock is off, for when it is without a signal. */
const KEPT_UNDER = 'euporia.clock';
/** A slow answer says little about the clock, ms. */
const SLOW_MS = 3000;

let aheadMs: number | null = null;

function kept(): number {
  try {
    return Number(localStorage.getItem(KEPT_UNDER) ?? 0) || 0;
  } catch {
    return 0;
  }
}

/**
 * Notes the server's clock from an answer: halfway between asking and hearing.
 * @param saidMs what the answer says, epoch milliseconds; null where it says nothing
 */
export function noteServerClock(saidMs: string | null, askedMs: number, heardMs: number): void {
  const said = Number(saidMs);
  if (saidMs === null || !Number.isFinite(said) || heardMs - askedMs > SLOW_MS) return;
  aheadMs = Math.round(said - (askedMs + heardMs) / 2);
  try {
    localStorage.setItem(KEPT_UNDER, String(aheadMs));
  } catch {
    // A device that keeps nothing asks again.
  }
}

/** The present by the server's clock, epoch milliseconds; without a signal by how far this device was off before. */
export function serverNow(): number {
  aheadMs ??= kept();
  return Date.now() + aheadMs;
}
