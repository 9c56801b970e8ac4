import { useEffect } from 'react';

/** Keeps the screen awake while a timer runs, where the device allows it; again when the page is looked at again. */
export function useAwake(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = async () => {
      try {
        const held = await navigator.wakeLock.request('screen');
        if (isOver) await held.release();
        else lock = held;
      } catch {
        // The device decides; a screen that goes dark stops no timer.
      }
    };
    const again = () => {
      if (document.visibilityState === 'visible') void hold();
    };
    void hold();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [isWanted]);
}
