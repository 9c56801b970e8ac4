import { useEffect, useState } from 'react';
import { persistently } from './persistently';

/** All that acts need: what they decide and what must hold after them, as large as much of a stage. */
const load = () => import('../sync/acting');
export type Acting = Awaited<ReturnType<typeof load>>;

let here: Acting | null = null;
let coming: Promise<Acting> | null = null;

/** Brings what acts need; what was typed waits for it. */
function bringActing(): Promise<Acting> {
  coming ??= persistently(load).then((acting) => {
    here = acting;
    return acting;
  });
  return coming;
}

/**
 * Does something with what acts need: at once where it is here, else when it comes, in the order in which it was asked
 * for.
 *
 * @returns null where it was done at once, else what is done when it was
 */
export function whenActing(act: (acting: Acting) => void): Promise<void> | null {
  if (!here) return bringActing().then(act);
  act(here);
  return null;
}

/** What acts need, once it is here; a page is shown without it, and brings it as soon as it stands there. */
export function useActing(isShown: boolean): Acting | null {
  const [acting, setActing] = useState(here);
  useEffect(() => {
    if (acting || !isShown) return;
    const timer = setTimeout(() => void bringActing().then(setActing), 0);
    return () => clearTimeout(timer);
  }, [acting, isShown]);
  return acting;
}
