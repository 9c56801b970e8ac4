import { hasEnded } from '@contract/jobState';
import type { BalanceJobAsk, JobSeen } from '@contract/jobs';
import type { BalanceAsk } from '@core/balance/ask';
import type { ToldAnswer } from '@core/balance/toldPlan';
import { sameValue } from '@core/kernel/sameValue';
import { MS_PER_DAY } from '@core/kernel/units';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Snapshot } from '../../app/api';
import { beginWork, useLatestWorks, useWork } from '../../app/longWork';
import { usePlan } from '../../app/projectStore';

/** What is asked, as it travels. */
const askOf = (
  projectId: string,
  { goal, limits, lockedSlotIds, leastLiking, without }: BalanceAsk,
): BalanceJobAsk => ({
  projectId,
  goal,
  limits,
  lockedSlotIds: [...lockedSlotIds],
  leastLiking,
  without: [...(without ?? [])],
});

/** A search on the server, of the plan and the question as they are now. */
export interface ServerSearch {
  /** The one that goes on; it may be of another question, or begun on another device. */
  goesOn: JobSeen | null;
  /** What the last one found, where it is of just this plan and question. */
  answer: ToldAnswer | null;
  /** Whether the last one is of the plan as it was, or of another question. */
  isOfBefore: boolean;
  problem: string;
  begin(): void;
}

/** Searches longer than a page would, on the server, where it goes on when the page is closed. */
export function useServerSearch(ask: BalanceAsk): ServerSearch {
  const client = useQueryClient();
  const { rows, asOfMs } = usePlan();
  const { project } = rows;
  const works = useLatestWorks().filter(({ kind, projectId }) => kind === 'balance' && projectId === project.id);
  const goesOn = works.find(({ state }) => !hasEnded(state)) ?? null;
  // What was searched for days ago is of no use any more.
  const last = works.find(({ state, startedAtMs }) => state === 'done' && asOfMs - startedAtMs < MS_PER_DAY) ?? null;
  const found = useWork('balance', last?.id ?? null)?.result ?? null;
  const asked = askOf(project.id, ask);
  const tag = client.getQueryData<Snapshot>(['project', project.id])?.tag ?? '';
  const isOfThis = found !== null && found.tag === tag && sameValue(found.asked, asked);
  const [problem, setProblem] = useState('');
  const begin = () => {
    setProblem('');
    beginWork(client, { id: crypto.randomUUID(), kind: 'balance', title: project.name, asked }).catch((error: Error) =>
      setProblem(error.message),
    );
  };
  return { goesOn, answer: isOfThis ? found.answer : null, isOfBefore: found !== null && !isOfThis, problem, begin };
}
