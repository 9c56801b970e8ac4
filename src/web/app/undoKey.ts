import { useEffect } from 'react';
import { isTyping } from './isTyping';

/** A queue whose last act the key can take back. */
interface Undoable {
  /** When something was done there last. */
  touchedAt(): number;
  undo(): void;
}

const open = new Set<Undoable>();

/** Lets the key reach a queue as long as it is open. */
export function offerUndo(queue: Undoable): () => void {
  open.add(queue);
  return () => open.delete(queue);
}

/** Takes back what was done last, in whichever queue that was: within a project the house has one of its own. */
export function undoLatest(): void {
  const [latest] = [...open].sort((a, b) => b.touchedAt() - a.touchedAt());
  latest?.undo();
}

/** The key `u` takes the last act back. */
export function useUndoKey(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'u' || isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      undoLatest();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
