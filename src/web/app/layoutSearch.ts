import { cutQuicklyChecked, questionKey } from '@core/cutting/checked';
import type { CutLayout } from '@core/cutting/layout';
import { partCount } from '@core/cutting/part';
import type { CutQuestion } from '@core/cutting/question';
import type { Cutter } from '@core/plan/model/cutPurchase';
import { type Remote, wrap } from 'comlink';
import type { CuttingWork } from '../workers/cutting.worker';
import { endWithPage } from './endWithPage';

/** More layouts than an afternoon looks at; beyond it the oldest are made anew. */
const MOST_KNOWN = 3000;
/** What is typed changes questions quickly: the worker waits until the hand rests, ms. */
const REST_MS = 150;

/** Layouts that were made in full, by their question; they hold whatever project is open. */
const known = new Map<string, CutLayout>();
let worker: Remote<CuttingWork> | null = null;

/** The worker that lays out, started when it is first asked. */
export function cuttingWorker(): Remote<CuttingWork> {
  worker ??= wrap<CuttingWork>(
    endWithPage(new Worker(new URL('../workers/cutting.worker.ts', import.meta.url), { type: 'module' })),
  );
  return worker;
}

/** A layout counts as the answer to its question from now on. */
function rememberLayout(question: CutQuestion, layout: CutLayout): void {
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value ?? '');
  known.set(questionKey(question), layout);
}

/**
 * How the page lays parts out: with a first layout at once, and in full as soon as the worker has answered. Each round of
 * answers makes a new cutter, so that the plan looks again.
 */
export class LayoutSearch {
  cutter: Cutter = this.newCutter();
  private readonly wanted = new Map<string, CutQuestion>();
  private isBusy = false;
  private timer: ReturnType<typeof setInterval> | null = null;

  private readonly found: () => void;

  /** @param found is told when there is a new cutter */
  constructor(found: () => void) {
    this.found = found;
  }

  start(): void {
    this.timer ??= setInterval(() => {
      if (this.wanted.size === 0 || this.isBusy) return;
      this.isBusy = true;
      void this.answerAll().finally(() => {
        this.isBusy = false;
      });
    }, REST_MS);
  }

  stop(): void {
    if (this.timer !== null) clearInterval(this.timer);
    this.timer = null;
  }

  /** Answers with what is known in full, else with a first layout, and notes what is to be searched. */
  private newCutter(): Cutter {
    return (question) => {
      const key = questionKey(question);
      const full = known.get(key);
      if (full) return full;
      const quick = cutQuicklyChecked(question);
      // Boards are exact at once, and one part has nothing to gain.
      if (!quick.isQuick || partCount(question.parts) <= 1) return { ...quick, isQuick: false };
      this.wanted.set(key, question);
      return quick;
    };
  }

  private async answerAll(): Promise<void> {
    for (const [key, question] of [...this.wanted]) {
      if (this.timer === null) return;
      this.wanted.delete(key);
      if (!known.has(key)) rememberLayout(question, await cuttingWorker().cut(question));
    }
    if (this.timer === null) return;
    this.cutter = this.newCutter();
    this.found();
  }
}
