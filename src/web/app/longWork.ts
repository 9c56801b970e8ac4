import { hasEnded } from '@contract/jobState';
import type { JobAsk, JobKindName, JobResults, JobSeen, JobsAnswer } from '@contract/jobs';
import { type QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiError, api } from './api';

const LIST = ['jobs'];
/** What long work may have written. */
const WRITTEN = [['projects'], ['house']];
/** How soon it is looked again, ms: soon at first, later less often. */
const FIRST_LOOK_MS = 200;
const LAST_LOOK_MS = 2000;

/** A long work with what came of it. */
export type Work<K extends JobKindName> = JobSeen & { kind: K; result: JobResults[K] | null };

/** What is asked for: under one id it is done once. */
export interface WantedWork<K extends JobKindName> {
  id: string;
  kind: K;
  title: string;
  asked: JobAsk<K>;
}

/** Has the server do something that takes a while; it goes on when this page is closed. */
export async function beginWork<K extends JobKindName>(client: QueryClient, wanted: WantedWork<K>): Promise<Work<K>> {
  // The schema of the endpoint lists the kinds one by one, and each of them is of this form; so is the answer.
  const work = (await api.startJob(wanted as Parameters<typeof api.startJob>[0])) as Work<K>;
  await client.invalidateQueries({ queryKey: LIST });
  return work;
}

/**
 * Has it done, and follows it to its end, however it ends. While nobody answers it is asked again.
 * @param tell hears how far it is
 * @throws ApiError where it could not even be noted
 */
export async function doneWork<K extends JobKindName>(
  client: QueryClient,
  wanted: WantedWork<K>,
  tell: (work: Work<K>) => void,
): Promise<Work<K>> {
  let work = await beginWork(client, wanted);
  tell(work);
  for (let pause = FIRST_LOOK_MS; !hasEnded(work.state); pause = Math.min(LAST_LOOK_MS, pause * 1.25)) {
    await new Promise((done) => setTimeout(done, pause));
    try {
      work = (await api.job(wanted.id)) as Work<K>;
      tell(work);
    } catch (error) {
      if (!(error instanceof ApiError && error.gone)) throw error;
    }
  }
  await client.invalidateQueries({ queryKey: LIST });
  return work;
}

/** Long work of a kind that goes on in this studio, whichever device began it, and perhaps before this page was opened. */
export function useWorks(kind: JobKindName): readonly JobSeen[] {
  return useLatestWorks().filter((work) => work.kind === kind && !hasEnded(work.state));
}

/** The latest long works of the studio, ended ones too. */
export function useLatestWorks(): readonly JobSeen[] {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: LIST,
    queryFn: async () => {
      const before = client.getQueryData<JobsAnswer>(LIST)?.jobs.filter(({ state }) => !hasEnded(state)) ?? [];
      const now = await api.jobs();
      const ended = new Set(now.jobs.filter(({ state }) => hasEnded(state)).map(({ id }) => id));
      // What was brought in is there from now on, whichever visit began it.
      if (before.some(({ id }) => ended.has(id)))
        for (const queryKey of WRITTEN) void client.invalidateQueries({ queryKey });
      return now;
    },
    retry: false,
    refetchInterval: ({ state }) => (state.data?.jobs.some((job) => !hasEnded(job.state)) ? LAST_LOOK_MS : false),
  });
  return data?.jobs ?? [];
}

/** What came of a work that has ended; null until it is known. */
export function useWork<K extends JobKindName>(kind: K, id: string | null): Work<K> | null {
  const { data } = useQuery({ queryKey: ['job', id], queryFn: () => api.job(id ?? ''), enabled: id !== null });
  return data && data.kind === kind ? (data as Work<K>) : null;
}

/** Gives a long work up. */
export async function giveUp(client: QueryClient, id: string): Promise<void> {
  await api.cancelJob(id);
  await client.invalidateQueries({ queryKey: LIST });
}
