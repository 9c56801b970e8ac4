import { useEffect, useState } from 'react';
import type { Lane } from './laneChanges';
import { syncEngine } from './syncEngine';

/** What waits on this device, lane by lane, and whether the server answers. */
export interface Waiting {
  lanes: readonly { scopeId: string; entries: Lane }[];
  isOffline: boolean;
}

const look = (): Waiting => ({ lanes: syncEngine.waitingLanes(), isOffline: syncEngine.isOffline });

/** Everything of this device that is still to be sent, of every project, whichever tab it was typed in. */
export function useWaiting(): Waiting {
  const [waiting, setWaiting] = useState(look);
  useEffect(() => syncEngine.watch(() => setWaiting(look())), []);
  return waiting;
}
