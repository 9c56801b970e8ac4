import { later } from '../ui/later';
import type { CommandQueue } from './useCommandQueue';

const StuckDialog = later(async () => (await import('./StuckDialog')).StuckDialog);

/** Tells of what could not be saved, where there is something: seldom, so that what tells it is brought then. */
export function NotSaved(props: Pick<CommandQueue, 'entries' | 'resolve' | 'undoWith'>) {
  return props.entries.some(({ state }) => state !== 'waiting') ? <StuckDialog {...props} /> : null;
}
