import type { DoneAnswer } from '@contract/answers';
import type { CommandKind, PayloadOf } from '@contract/commands';
import { computePlan, type Plan } from '@core/plan/computePlan';
import type { ProjectRows } from '@core/plan/rows';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { get, set } from 'idb-keyval';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { ApiError, api, type Snapshot } from './api';
import { Outbox } from './outbox';
import { type OutboxEntry, withAnswer, withWaiting } from './rowsAfter';

/** An act of this page as the message tells it. */
export interface DoneAct {
  actId: string;
  title: string;
  taken: boolean;
}

/** What a stage needs of the open project. */
export interface ProjectAccess {
  rows: ProjectRows;
  plan: Plan;
  /** Queues a command; the page shows it at once. */
  run<K extends CommandKind>(kind: K, payload: PayloadOf<K>): void;
  entries: readonly OutboxEntry[];
  offline: boolean;
  /** What was done last, for the message; `taken` when it was an act taken back. */
  lastAct: DoneAct | null;
  /** Takes the latest act back, then the one before, and so on; an act still on its way is awaited first. */
  undo(): void;
  /** Brings back what was taken back last. */
  bringBack(): void;
  resolve(key: string, keepMine: boolean): void;
  retry(): void;
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
  const [, redraw] = useState(0);
  const [lastAct, setLastAct] = useState<ProjectAccess['lastAct']>(null);
  const [news, setNews] = useState(false);
  const ownTags = useRef(new Set<string>());
  const acts = useRef<DoneAct[]>([]);
  const takenBack = useRef(new Set<string>());
  /** Key of a command on its way that shall be taken back once it is answered. */
  const undoAfter = useRef<string | null>(null);
  const undoNow = useRef<() => void>(() => {});
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
        if (known && !ownTags.current.has(fresh.tag)) setNews(true);
        void set(`snapshot.2:${projectId}`, fresh);
        return fresh;
      } catch (error) {
        if (known || !(error instanceof ApiError && error.gone)) throw error;
        const kept = await get<Snapshot>(`snapshot.2:${projectId}`);
        if (kept) return kept;
        throw error;
      }
    },
    refetchInterval: REFRESH_MS,
    refetchOnWindowFocus: 'always',
    retry: false,
    staleTime: 0,
  });

  const outbox = useMemo(
    () =>
      new Outbox(projectId, {
        changed: () => redraw((n) => n + 1),
        done: (entry: OutboxEntry, answer: DoneAnswer) => {
          ownTags.current.add(answer.tag);
          client.setQueryData<Snapshot>(queryKey, (present) =>
            present ? { rows: withAnswer(present.rows, answer), tag: answer.tag } : present,
          );
          const undone = entry.command.kind === 'undo' ? (entry.command.payload as PayloadOf<'undo'>).actId : null;
          const taken = undone !== null && !takenBack.current.has(undone);
          const title = taken ? 'Taken back' : undone === null ? answer.title : 'Brought back';
          const act = { actId: answer.actId, title, taken };
          if (taken) takenBack.current.add(answer.actId);
          else acts.current.push(act);
          setLastAct(act);
          if (undoAfter.current === entry.command.key) {
            undoAfter.current = null;
            undoNow.current();
          }
        },
        stuck: () => void client.invalidateQueries({ queryKey }),
      }),
    [projectId, client, queryKey],
  );
  useEffect(() => {
    void outbox.open();
    const online = () => outbox.retry();
    window.addEventListener('online', online);
    return () => {
      window.removeEventListener('online', online);
      outbox.close();
    };
  }, [outbox]);

  const serverRows = query.data?.rows;
  const { entries } = outbox;
  const rows = useMemo(() => (serverRows ? withWaiting(serverRows, entries) : null), [serverRows, entries]);
  const lastPlan = useRef<Plan | null>(null);
  const plan = useMemo(() => (rows ? computePlan(rows, now, lastPlan.current) : null), [rows, now]);
  lastPlan.current = plan;
  const latest = useRef<ProjectRows | null>(null);
  latest.current = rows;

  const run = useCallback(
    <K extends CommandKind>(kind: K, payload: PayloadOf<K>) => {
      // Several commands in one breath each see what the one before did.
      const seen = latest.current;
      if (!seen) return;
      const command = outbox.enqueue(kind, payload, seen);
      latest.current = withWaiting(seen, [{ command, state: 'waiting', answer: null }]);
    },
    [outbox],
  );
  const takeBack = useCallback(
    (actId: string) => {
      run('undo', { actId, reversalIds: Array.from({ length: 4 }, () => crypto.randomUUID()) });
      setLastAct(null);
    },
    [run],
  );
  undoNow.current = () => {
    const act = acts.current.pop();
    if (act) takeBack(act.actId);
  };
  const undo = useCallback(() => {
    const last = outbox.entries.findLast((entry) => entry.state === 'waiting');
    if (last && last.command.kind !== 'undo') undoAfter.current = last.command.key;
    else undoNow.current();
  }, [outbox]);
  const bringBack = useCallback(() => {
    if (lastAct?.taken) takeBack(lastAct.actId);
  }, [lastAct, takeBack]);
  const resolve = useCallback(
    (key: string, keepMine: boolean) =>
      void outbox.resolve(
        key,
        keepMine,
        client.getQueryData<Snapshot>(queryKey)?.rows ?? (latest.current as ProjectRows),
      ),
    [outbox, client, queryKey],
  );

  const offline = outbox.offline || (query.isError && query.error instanceof ApiError && query.error.gone);
  const access = useMemo<ProjectAccess | null>(
    () =>
      rows && plan
        ? {
            rows,
            plan,
            run,
            entries,
            offline,
            lastAct,
            undo,
            bringBack,
            resolve,
            retry: () => outbox.retry(),
            news,
            dismissNews: () => setNews(false),
          }
        : null,
    [rows, plan, run, entries, offline, lastAct, undo, bringBack, resolve, outbox, news],
  );

  if (access) return <ProjectContext.Provider value={access}>{props.children}</ProjectContext.Provider>;
  if (query.isError) return <>{props.failed(query.error, () => void query.refetch())}</>;
  return <>{props.skeleton}</>;
}
