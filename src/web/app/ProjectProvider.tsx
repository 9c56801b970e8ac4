import { PROJECT_FILE_VERSION } from '@core/formats/project/fileVersion';
import type { ProjectRows } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { get, set } from '../sync/deviceStore';
import { withAnswer } from '../sync/rowsAfter';
import { ApiError, api, type Snapshot } from './api';
import {
  type ComingPlan,
  CommandsContext,
  LocaleContext,
  PlanContext,
  type ProjectCommands,
  type ProjectStatus,
  RowsContext,
  StatusContext,
} from './projectStore';
import { useNow } from './today';
import { useCommandQueue } from './useCommandQueue';
import { usePlanOf } from './usePlanOf';
import { useWatch } from './useWatch';
import type { ProjectLocale } from './words';

/** Changes are asked for so often, and more rarely while they are told of. */
const REFRESH_MS = 4000;
const HEARD_REFRESH_MS = 20_000;
/** An own change is answered within so long, else it is taken for somebody else's and read once more. */
const OWN_ANSWER_MS = 400;
/** Whoever changed something where nobody is asked who they are. */
const SOMEBODY = 'Another tab or device';

/** A plan with the promise that it comes, for what waits for it. */
function useComing(plan: Plan | null): ComingPlan {
  const [{ isThere, told }] = useState(() => {
    let told = () => {};
    const isThere = new Promise<void>((resolve) => {
      told = resolve;
    });
    return { isThere, told };
  });
  useEffect(() => {
    if (plan) told();
  }, [plan, told]);
  return useMemo(() => ({ plan, isThere }), [plan, isThere]);
}

/** Loads a project, keeps its outbox, and gives both to its stages. */
export function ProjectProvider(props: {
  projectId: string;
  skeleton: ReactNode;
  failed: (error: unknown, retry: () => void) => ReactNode;
  children: ReactNode;
}) {
  const { projectId } = props;
  const client = useQueryClient();
  const queryKey = useMemo(() => ['project', projectId], [projectId]);
  const [news, setNews] = useState<string | null>(null);
  const changedBy = useRef<string | null>(null);
  const ownTags = useRef(new Set<string>());
  const now = useNow();

  const hears = useWatch(projectId, (change) => {
    if (!change) return void client.invalidateQueries({ queryKey });
    const { tag, who } = change;
    // An own change may be told of before its answer is here.
    setTimeout(() => {
      if (tag === client.getQueryData<Snapshot>(queryKey)?.tag || ownTags.current.has(tag)) return;
      changedBy.current = who;
      void client.invalidateQueries({ queryKey });
    }, OWN_ANSWER_MS);
  });

  const query = useQuery({
    queryKey,
    queryFn: async (): Promise<Snapshot> => {
      const known = client.getQueryData<Snapshot>(queryKey) ?? null;
      try {
        const fresh = await api.snapshot(projectId, known?.tag ?? null);
        // While the answer was under way an own command may have been answered: the later tag wins.
        const present = client.getQueryData<Snapshot>(queryKey);
        if (!fresh) return present ?? (known as Snapshot);
        if (present && present.tag !== known?.tag) return present;
        // What this page did in the house changes the project too; that is no news.
        if (known && !ownTags.current.has(fresh.tag) && projectPart(fresh.tag) !== projectPart(known.tag))
          setNews(changedBy.current ?? SOMEBODY);
        void set(keptSnapshot(projectId), fresh);
        return fresh;
      } catch (error) {
        if (known || !(error instanceof ApiError && error.gone)) throw error;
        const kept = await get<Snapshot>(keptSnapshot(projectId));
        if (kept) return kept;
        throw error;
      }
    },
    refetchInterval: hears ? HEARD_REFRESH_MS : REFRESH_MS,
    refetchOnWindowFocus: 'always',
    retry: false,
    staleTime: 0,
  });

  const queue = useCommandQueue<ProjectRows>(projectId, query.data?.rows ?? null, {
    answered: (answer) => {
      ownTags.current.add(answer.tag);
      client.setQueryData<Snapshot>(queryKey, (present) =>
        present ? { rows: withAnswer(present.rows, answer), tag: answer.tag } : present,
      );
      // The house shows where pieces are promised, and what all projects need.
      void client.invalidateQueries({ queryKey: ['house'] });
    },
    stuck: () => void client.invalidateQueries({ queryKey }),
  });

  const { rows, commands: ofQueue, entries, isMaking, notKept, lastAct } = queue;
  const plan = useComing(usePlanOf(rows, now));
  const commands = useMemo<ProjectCommands>(() => ({ ...ofQueue, dismissNews: () => setNews(null) }), [ofQueue]);
  const offline =
    queue.offline || (query.isError && query.error instanceof ApiError && query.error.gone && !query.error.busy);
  const status = useMemo<ProjectStatus>(
    () => ({ entries, isMaking, offline, notKept, lastAct, news }),
    [entries, isMaking, offline, notKept, lastAct, news],
  );
  const units = rows?.project.units ?? null;
  const currency = rows?.project.currency ?? '';
  const timeZone = rows?.project.timeZone ?? '';
  const locale = useMemo<ProjectLocale | null>(
    () => (units === null ? null : { units, currency, timeZone }),
    [units, currency, timeZone],
  );

  // The page is drawn bit by bit, so that it never stands still.
  const isReady = useDeferredValue(rows !== null, false);

  if (rows && locale && isReady)
    return (
      <CommandsContext.Provider value={commands}>
        <LocaleContext.Provider value={locale}>
          <StatusContext.Provider value={status}>
            <RowsContext.Provider value={rows}>
              <PlanContext.Provider value={plan}>{props.children}</PlanContext.Provider>
            </RowsContext.Provider>
          </StatusContext.Provider>
        </LocaleContext.Provider>
      </CommandsContext.Provider>
    );
  if (query.isError) return <>{props.failed(query.error, () => void query.refetch())}</>;
  return <>{props.skeleton}</>;
}

/** The project's own revision in a tag; the studio's follows the point. */
const projectPart = (tag: string) => tag.split('.')[0];

/** Where the last rows of a project are kept on this device: rows of another shape are not taken for them. */
const keptSnapshot = (projectId: string) => `snapshot.${PROJECT_FILE_VERSION}:${projectId}`;
