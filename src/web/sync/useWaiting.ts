import { useEffect, useState } from 'react';
import type { Lane } from './laneChanges';
import { syncEngine } from './syncEngine';

/** What waits on this device, lane by lane, and whether the server answers. */
export interface Waiting {
  lanes: readonly { scopeId: string; entries: Lane }[];
  isOffline: boolean;
  /** False until the device was asked: until then nobody knows whether something waits. */
  isKnown: boolean;
}

const look = (isKnown: boolean): Waiting => ({
  lanes: syncEngine.waitingLanes(),
  isOffline: syncEngine.isOffline,
  isKnown,
});

/** Everything of this device that is still to be sent, of every project, whichever tab it was typed in. */
export function useWaiting(): Waiting {
  const [waiting, setWaiting] = useState(() => look(false));
  useEffect(() => {
    let gone = false;
    let isKnown = false;
    const tell = () => {
      if (!gone) setWaiting(look(isKnown));
    };
    void syncEngine.start().then(() => {
      isKnown = true;
      tell();
    });
    const stop = syncEngine.watch(tell);
    return () => {
      gone = true;
      stop();
    };
  }, []);
  return waiting;
}
