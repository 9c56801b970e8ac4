import type { CommandQueue } from './useCommandQueue';

/** How saving goes: something is under way, is kept on the device until the server answers, cannot be sent, or all is done. */
export type Saving = 'underWay' | 'keptHere' | 'offline' | 'done';

/** Commands that wait for the server. */
export const waitingIn = (entries: readonly { state: string }[]): number =>
  entries.filter(({ state }) => state === 'waiting').length;

/** How saving goes in a queue; what is asked for and still being made counts as under way. */
export function howSaving({
  entries,
  isMaking,
  offline,
}: Pick<CommandQueue, 'isMaking' | 'offline'> & { entries: readonly { state: string }[] }): Saving {
  const waits = waitingIn(entries) > 0;
  if (offline && waits) return 'keptHere';
  if (isMaking || waits) return 'underWay';
  return offline ? 'offline' : 'done';
}
