import { cutChecked } from '@core/cutting/checked';
import { searchCuts } from '@core/cutting/cutStock';
import type { CutLayout } from '@core/cutting/layout';
import type { CutQuestion } from '@core/cutting/question';
import { validateLayout } from '@core/cutting/validateLayout';
import { expose } from 'comlink';

/** How often a search says how far it is, and hears whether it shall stop. */
const TELL_MS = 120;

let stopped = false;

/** The layout of a plan, as the server would make it. */
const cut = (question: CutQuestion): CutLayout => cutChecked(question);

/**
 * Searches on for so many rounds, or until it is told to stop; the best that passed its check so far is told on the way.
 * @returns the best layout; null where none passed its check
 */
async function search(
  question: CutQuestion,
  rounds: number,
  tell: (share: number, layout: CutLayout | null) => void,
): Promise<CutLayout | null> {
  stopped = false;
  let best: CutLayout | null = null;
  const keep = (layout: CutLayout) => {
    if (validateLayout(question, layout).length === 0) best = layout;
  };
  const run = searchCuts(question, rounds);
  let step = run.next();
  let told = performance.now();
  while (!step.done) {
    if (performance.now() - told > TELL_MS) {
      const { round, layout } = step.value;
      keep(layout());
      tell(round / rounds, best);
      // A turn of the loop, so that a message to stop is heard.
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (stopped) return best;
      told = performance.now();
    }
    step = run.next();
  }
  keep(step.value);
  return best;
}

function stop(): void {
  stopped = true;
}

const work = { cut, search, stop };
export type CuttingWork = typeof work;
expose(work);
