import type { ProjectRows } from '@core/model/rows';
import { computePlan, type Plan } from '@core/plan/computePlan';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { ApiError, api, type Snapshot } from './api';
import { get, set } from './deviceStore';
import { withAnswer } from './rowsAfter';
import { type CommandQueue, useCommandQueue } from './useCommandQueue';

/** What a stage needs of the open project. */
export interface ProjectAccess extends Omit<CommandQueue<ProjectRows>, 'rows'> {
  rows: ProjectRows;
  plan: Plan;
  /** When another tab or device changed the project since this page last wrote; cleared by `dismissNews`. */
  news: boolean;
  dismissNews(): void;
}

const ProjectContext = createContext<ProjectAccess | null>(null);

/** The open project; only inside the project's routes. */
export function useProject(): ProjectAccess {
  const access = useContext(ProjectContext);
  if (!access) throw new Error('useProject is used outside a project');
  return access;
}

/** The open project, or null where none is open: the house is used with and without one. */
export function useOpenProject(): ProjectAccess | null {
  return useContext(ProjectContext);
}

const REFRESH_MS = 4000;
const CLOCK_MS = 60_000;

/** The present moment, moving once a minute so that dates stay true on an open page. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), CLOCK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
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
  const [news, setNews] = useState(false);
  const ownTags = useRef(new Set<string>());
  const now = useNow();

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
          setNews(true);
        void set(`snapshot.5:${projectId}`, fresh);
        return fresh;
      } catch (error) {
        if (known || !(error instanceof ApiError && error.gone)) throw error;
        const kept = await get<Snapshot>(`snapshot.5:${projectId}`);
        if (kept) return kept;
        throw error;
      }
    },
    refetchInterval: REFRESH_MS,
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

  const { rows } = queue;
  const lastPlan = useRef<Plan | null>(null);
  const plan = useMemo(() => (rows ? computePlan(rows, now, lastPlan.current) : null), [rows, now]);
  lastPlan.current = plan;

  const offline = queue.offline || (query.isError && query.error instanceof ApiError && query.error.gone);
  const access = useMemo<ProjectAccess | null>(
    () => (rows && plan ? { ...queue, rows, plan, offline, news, dismissNews: () => setNews(false) } : null),
    [rows, plan, queue, offline, news],
  );

  if (access) return <ProjectContext.Provider value={access}>{props.children}</ProjectContext.Provider>;
  if (query.isError) return <>{props.failed(query.error, () => void query.refetch())}</>;
  return <>{props.skeleton}</>;
}

/** The project's own revision in a tag; the studio's follows the point. */
const projectPart = (tag: string) => tag.split('.')[0];
