import type { PieceRow } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import { proxy, wrap } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api } from '../../app/api';
import { endWithPage, endWorker } from '../../app/endWithPage';
import type { ProjectLocale } from '../../app/words';
import type { ProposalsWork, ToldSlot } from '../../workers/proposals.worker';

/** Pieces of the house that are looked at for a slot: the best answers. */
const MOST_OF_HOUSE = 8;

/** How far proposing has come. */
export interface ProposalsState {
  told: readonly ToldSlot[];
  isSearching: boolean;
  /** Whether it was stopped by hand: what is told stands. */
  isStopped: boolean;
  /** Why the house could not be asked; what the project knows is proposed all the same. */
  houseProblem: string | null;
  problem: string | null;
}

const nothingYet: ProposalsState = {
  told: [],
  isSearching: true,
  isStopped: false,
  houseProblem: null,
  problem: null,
};

/** The pieces of the house that are free for some slots, each once; null with why where the house does not answer. */
async function housePieces(projectId: string, slotIds: readonly string[]): Promise<PieceRow[]> {
  const pages = await Promise.all(
    slotIds.map((slotId) => api.fits(projectId, slotId, { limit: MOST_OF_HOUSE, offset: 0 })),
  );
  const free = pages.flatMap(({ fits }) => fits.filter((fit) => fit.free && fit.fits).map(({ piece }) => piece));
  return [...new Map(free.map((piece) => [piece.id, piece])).values()];
}

/**
 * Proposes ways for some slots in a worker, told slot by slot. What is proposed is for the plan as it was when it was
 * asked: a page that adds ways asks anew.
 * @param slotIds the same list as long as the same slots are asked for
 */
export function useProposals(plan: Plan, slotIds: readonly string[], locale: ProjectLocale) {
  const [state, setState] = useState<ProposalsState>(nothingYet);
  const [turn, setTurn] = useState(0);
  const asked = useRef({ plan, locale });
  asked.current = { plan, locale };
  /** Ends what is asked now, wherever it is: while the house answers, or in the worker. */
  const end = useRef<() => void>(() => undefined);
  const stop = useCallback(() => {
    end.current();
    setState((before) => ({ ...before, isSearching: false, isStopped: true }));
  }, []);
  // Asked once for these slots, and anew by hand.
  const question = useMemo(() => ({ slotIds, turn }), [slotIds, turn]);
  useEffect(() => {
    let current = true;
    let worker: Worker | null = null;
    end.current = () => {
      current = false;
      if (worker) endWorker(worker);
    };
    setState(nothingYet);
    const tell = (change: (before: ProposalsState) => Partial<ProposalsState>) => {
      if (current) setState((before) => ({ ...before, ...change(before) }));
    };
    const ask = async () => {
      const { rows, asOfMs } = asked.current.plan;
      const house = await housePieces(rows.project.id, question.slotIds).catch((error: unknown) => {
        tell(() => ({ houseProblem: error instanceof Error ? error.message : String(error) }));
        return [];
      });
      if (!current) return;
      worker = endWithPage(
        new Worker(new URL('../../workers/proposals.worker.ts', import.meta.url), { type: 'module' }),
      );
      await wrap<ProposalsWork>(worker).propose(
        rows,
        asOfMs,
        asked.current.locale,
        question.slotIds,
        house,
        proxy((told) => tell(({ told: before }) => ({ told: [...before, told] }))),
      );
      tell(() => ({ isSearching: false }));
      endWorker(worker);
    };
    ask().catch((error: unknown) =>
      tell(() => ({ isSearching: false, problem: error instanceof Error ? error.message : String(error) })),
    );
    return () => end.current();
  }, [question]);
  const again = useCallback(() => setTurn((before) => before + 1), []);
  return { ...state, stop, again };
}
