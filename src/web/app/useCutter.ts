import { cutQuicklyChecked, questionKey } from '@core/cutting/checked';
import type { CutLayout } from '@core/cutting/layout';
import { partCount } from '@core/cutting/part';
import type { CutQuestion } from '@core/cutting/question';
import type { Cutter } from '@core/plan/model/cutPurchase';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { CuttingWork } from '../workers/cutting.worker';
import { endWithPage } from './endWithPage';

/** More layouts than an afternoon looks at; beyond it the oldest are made anew. */
const MOST_KNOWN = 3000;

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

/** A layout that was found elsewhere counts as the answer to its question from now on. */
export function rememberLayout(question: CutQuestion, layout: CutLayout): void {
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value ?? '');
  known.set(questionKey(question), layout);
}

/** A cutter that answers with what is known in full, else with a first layout, and notes what is to be searched. */
const pageCutter =
  (wanted: Map<string, CutQuestion>): Cutter =>
  (question) => {
    const key = questionKey(question);
    const full = known.get(key);
    if (full) return full;
    const quick = cutQuicklyChecked(question);
    // Boards are exact at once, and one part has nothing to gain.
    if (!quick.isQuick || partCount(question.parts) <= 1) return { ...quick, isQuick: false };
    wanted.set(key, question);
    return quick;
  };

/**
 * How the page lays parts out: with a first layout at once, and in full as soon as the worker has answered. Each answer
 * makes a new cutter, so that the plan looks again.
 */
export function useCutter(): { cutter: Cutter; isLaying: boolean } {
  const [isLaying, setLaying] = useState(false);
  const wanted = useRef(new Map<string, CutQuestion>());
  const busy = useRef(false);
  const [cutter, setCutter] = useState<Cutter>(() => pageCutter(wanted.current));
  useEffect(() => {
    let current = true;
    const answerAll = async () => {
      while (current && wanted.current.size > 0) {
        setLaying(true);
        for (const [key, question] of [...wanted.current]) {
          wanted.current.delete(key);
          if (!current) return;
          if (!known.has(key)) rememberLayout(question, await cuttingWorker().cut(question));
        }
        if (current) setCutter(() => pageCutter(wanted.current));
      }
      if (current) setLaying(false);
    };
    // What is typed changes questions quickly: the worker waits until the hand rests.
    const timer = setInterval(() => {
      if (wanted.current.size > 0 && !busy.current) {
        busy.current = true;
        void answerAll().finally(() => {
          busy.current = false;
        });
      }
    }, 150);
    return () => {
      current = false;
      clearInterval(timer);
    };
  }, []);
  return { cutter, isLaying };
}
