import { PROJECT_FILE_VERSION } from '@core/formats/project/fileVersion';
import { Memo } from '@core/kernel/memo';
import type { ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import {
  type Context,
  createContext,
  type ReactNode,
  useContext,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { get, set } from '../sync/deviceStore';
import { withAnswer } from '../sync/rowsAfter';
import { ApiError, api, type Snapshot } from './api';
import { type CommandQueue, type QueueCommands, useCommandQueue } from './useCommandQueue';
import { useCutter } from './useCutter';
import { useWarmed } from './useWarmed';
import { useWatch } from './useWatch';
import type { ProjectLocale } from './words';

/** What can be done to a project; the same functions as long as it is open. */
export type ProjectCommands = QueueCommands & { dismissNews(): void };

/** How saving goes, and what happened elsewhere. */
export interface ProjectStatus extends Pick<CommandQueue, 'entries' | 'isMaking' | 'offline' | 'notKept' | 'lastAct'> {
  /** Who changed the project since this page last wrote, on another tab or device; cleared by `dismissNews`. */
  news: string | null;
  /** Whether layouts are still being searched: what is shown of them is the first, quick one. */
  isLaying: boolean;
}

// One provider for each concern, so that only what shows a change is drawn anew.
const CommandsContext = createContext<ProjectCommands | null>(null);
const RowsContext = createContext<ProjectRows | null>(null);
const PlanContext = createContext<Plan | null>(null);
const StatusContext = createContext<ProjectStatus | null>(null);
const LocaleContext = createContext<ProjectLocale | null>(null);

/** What a context holds; only inside the project's routes. */
function useOpen<T>(context: Context<T | null>): T {
  const value = useContext(context);
  if (value === null) throw new Error('this part of a project is used outside of one');
  return value;
}

/** What can be done to the open project. */
export const useCommands = (): ProjectCommands => useOpen(CommandsContext);
/** The rows of the open project, with what is on its way. */
export const useRows = (): ProjectRows => useOpen(RowsContext);
/** The plan of the open project, as of this minute. */
export const usePlan = (): Plan => useOpen(PlanContext);
/** How saving goes in the open project. */
export const useStatus = (): ProjectStatus => useOpen(StatusContext);
/** The open project's units, currency and time zone. */
export const useLocale = (): ProjectLocale => useOpen(LocaleContext);

/** The rows of the open project, or null where none is open: the house is used with and without one. */
export const useOpenRows = (): ProjectRows | null => useContext(RowsContext);
/** What can be done to the open project, or null where none is open. */
export const useOpenCommands = (): ProjectCommands | null => useContext(CommandsContext);

/** Changes are asked for so often, and more rarely while they are told of. */
const REFRESH_MS = 4000;
const HEARD_REFRESH_MS = 20_000;
/** An own change is answered within so long, else it is taken for somebody else's and read once more. */
const OWN_ANSWER_MS = 400;
/** Whoever changed something where nobody is asked who they are. */
const SOMEBODY = 'Another tab or device';
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
  const memo = useMemo(() => new Memo(), []);
  const { cutter, isLaying } = useCutter();
  const isWarm = useWarmed(rows, memo, cutter);
  const plan = useMemo(
    () => (rows && isWarm ? new Plan(rows, now, memo, cutter) : null),
    [rows, isWarm, now, memo, cutter],
  );
  const commands = useMemo<ProjectCommands>(() => ({ ...ofQueue, dismissNews: () => setNews(null) }), [ofQueue]);
  const offline =
    queue.offline || (query.isError && query.error instanceof ApiError && query.error.gone && !query.error.busy);
  const status = useMemo<ProjectStatus>(
    () => ({ entries, isMaking, offline, notKept, lastAct, news, isLaying }),
    [entries, isMaking, offline, notKept, lastAct, news, isLaying],
  );
  const units = rows?.project.units ?? null;
  const currency = rows?.project.currency ?? '';
  const timeZone = rows?.project.timeZone ?? '';
  const locale = useMemo<ProjectLocale | null>(
    () => (units === null ? null : { units, currency, timeZone }),
    [units, currency, timeZone],
  );

  // What comes first is the plan; the page around it is drawn after that, bit by bit, so that it never stands still.
  const isReady = useDeferredValue(plan !== null, false);

  if (rows && plan && locale && isReady)
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
