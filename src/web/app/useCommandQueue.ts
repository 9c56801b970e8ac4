import type { DoneAnswer } from '@contract/answers';
import type { ActKind, PayloadOf } from '@core/acts';
import type { Workspace } from '@core/acts/changes';
import { actsForGood } from '@core/acts/forGood';
import type { PieceRow } from '@core/model/rows';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Decision } from '../sync/decisions';
import { keepsNothing, onStopsKeeping } from '../sync/deviceStore';
import type { OutboxEntry } from '../sync/rowsAfter';
import { REVERSALS, syncEngine } from '../sync/syncEngine';
import { useActing, whenActing } from './acting';
import { offerUndo } from './undoKey';
import { useLatest } from './useLatest';
import { useMayDo } from './useMayDo';

/** An act of this page as the message tells it. */
export interface DoneAct {
  actId: string;
  title: string;
  taken: boolean;
  /** Whether it stays: nothing takes it back. */
  stays: boolean;
}

/** What can be done in one scope (a project, or the house); the same functions as long as it is open. */
export interface QueueCommands {
  /** Queues a command; the page shows it at once. */
  run<K extends ActKind>(
    kind: K,
    payload: PayloadOf<K>,
    along?: readonly PieceRow[],
    picture?: OutboxEntry['picture'],
  ): void;
  /**
   * Does an act as soon as what it brings along is made. Until it is queued the page says that it is being saved, and
   * not that all is.
   */
  runWhenMade<T>(made: Promise<T>, act: (made: T) => void): void;
  /** Takes the latest act back, then the one before, and so on; an act still on its way is awaited first. */
  undo(): void;
  /** Takes an act back together with those that built on it. */
  undoWith(key: string, also: readonly string[]): void;
  /** Brings back what was taken back last. */
  bringBack(): void;
  resolve(key: string, decision: Decision): void;
  retry(): void;
  /** Notes an act that went another way than through the queue (an import), so that it can be taken back too. */
  noteAct(actId: string, title: string): void;
}

/** The commands of one scope: shown at once, sent in order, taken back. */
export interface CommandQueue<W extends Workspace = Workspace> extends QueueCommands {
  /** The commands alone: what only acts is not drawn anew with what waits. */
  commands: QueueCommands;
  /** What the server has, with what is on its way. */
  rows: W | null;
  /** Whether something was asked for that is not queued yet. */
  isMaking: boolean;
  entries: readonly OutboxEntry[];
  offline: boolean;
  /** What was done last, for the message; `taken` when it was an act taken back. */
  lastAct: DoneAct | null;
  /** Whether what is typed is not kept on this device: it is gone when the tab is closed before it is sent. */
  notKept: boolean;
}

const NOT_YOURS = 'Not changed: your part is hunt and bench';

/**
 * @param scopeId whose queue: a project's id, or the studio's for the house
 * @param serverRows the rows as the server gave them last
 * @param events what happens when a command is answered, or waits for the stylist
 */
export function useCommandQueue<W extends Workspace>(
  scopeId: string,
  serverRows: W | null,
  events: { answered(answer: DoneAnswer): void; stuck(): void },
): CommandQueue<W> {
  const [, redraw] = useState(0);
  const [lastAct, setLastAct] = useState<DoneAct | null>(null);
  const acts = useRef<DoneAct[]>([]);
  const takenBack = useRef(new Set<string>());
  /** When something was done here last, so that a key takes back what was done last anywhere. */
  const touched = useRef(0);
  /** Key of a command on its way that shall be taken back once it is answered. */
  const undoAfter = useRef<string | null>(null);
  const latestEvents = useLatest(events);

  useEffect(
    () =>
      syncEngine.attach(scopeId, {
        changed: () => redraw((n) => n + 1),
        done: (entry: OutboxEntry, answer: DoneAnswer) => {
          latestEvents.current.answered(answer);
          // Of what another tab did only the rows are news here: taking back touches one's own.
          if (!syncEngine.isOwn(entry)) return;
          const undone = entry.command.kind === 'undo' ? (entry.command.payload as PayloadOf<'undo'>).actId : null;
          const taken = undone !== null && !takenBack.current.has(undone);
          const title = taken ? 'Taken back' : undone === null ? answer.title : 'Brought back';
          const stays = actsForGood.has(entry.command.kind);
          const act = { actId: answer.actId, title, taken, stays };
          if (stays) acts.current = [];
          else if (taken) takenBack.current.add(answer.actId);
          else acts.current.push(act);
          setLastAct(act);
          if (undoAfter.current === entry.command.key) {
            undoAfter.current = null;
            undoNow.current();
          }
        },
        stuck: () => latestEvents.current.stuck(),
      }),
    [scopeId],
  );
  const entries = syncEngine.entriesOf(scopeId);

  const acting = useActing(serverRows !== null);
  const shown = useRef<W | null>(null);
  const rows = useMemo(() => {
    if (serverRows && !entries.some(({ state }) => state === 'waiting')) return serverRows;
    // What waits cannot be seen yet: what stood there goes on standing there for this moment.
    return serverRows && acting ? acting.withWaiting(serverRows, entries) : shown.current;
  }, [serverRows, entries, acting]);
  shown.current = rows;
  const latest = useLatest(rows);
  const server = useLatest(serverRows);

  const mayDo = useLatest(useMayDo());
  const [making, setMaking] = useState(0);
  const awaited = useCallback((work: Promise<void>) => {
    setMaking((n) => n + 1);
    void work.finally(() => setMaking((n) => n - 1));
  }, []);
  const runWhenMade = useCallback<CommandQueue['runWhenMade']>((made, act) => awaited(made.then(act)), [awaited]);
  const run = useCallback(
    <K extends ActKind>(
      kind: K,
      payload: PayloadOf<K>,
      along: readonly PieceRow[] = [],
      picture?: OutboxEntry['picture'],
    ) => {
      // Said at once, and not when it was sent: what is kept on this device would wait for somebody to let it go.
      if (!mayDo.current(kind)) return setLastAct({ actId: '', title: NOT_YOURS, taken: false, stays: true });
      touched.current = performance.now();
      const coming = whenActing(({ typeAct, withWaiting }) => {
        // Several commands in one breath each see what the one before did.
        const seen = latest.current;
        if (!seen) return;
        const entry = typeAct(syncEngine, scopeId, kind, payload, seen, along, picture);
        latest.current = withWaiting(seen, [entry]);
      });
      if (coming) awaited(coming);
    },
    [scopeId, awaited],
  );
  const takeBack = useCallback(
    (actId: string) => {
      run('undo', { actId, reversalIds: Array.from({ length: REVERSALS }, () => crypto.randomUUID()) });
      setLastAct(null);
    },
    [run],
  );
  const undoNow = useLatest(() => {
    const act = acts.current.pop();
    if (act) takeBack(act.actId);
  });
  const undo = useCallback(() => {
    const last = syncEngine
      .entriesOf(scopeId)
      .findLast((entry) => entry.state === 'waiting' && syncEngine.isOwn(entry));
    if (last && last.command.kind !== 'undo') undoAfter.current = last.command.key;
    else undoNow.current();
  }, [scopeId]);
  const latestAct = useLatest(lastAct);
  const bringBack = useCallback(() => {
    if (latestAct.current?.taken) takeBack(latestAct.current.actId);
  }, [takeBack]);
  const resolve = useCallback(
    (key: string, decision: Decision) =>
      whenActing(
        ({ decide }) => void decide(syncEngine, scopeId, key, decision, server.current ?? (latest.current as W)),
      ),
    [scopeId],
  );
  useEffect(() => offerUndo({ touchedAt: () => touched.current, undo }), [undo]);
  const noteAct = useCallback((actId: string, title: string) => {
    touched.current = performance.now();
    const act = { actId, title, taken: false, stays: false };
    acts.current.push(act);
    setLastAct(act);
  }, []);
  const retry = useCallback(() => syncEngine.retry(), []);
  const undoWith = useCallback(
    (key: string, also: readonly string[]) => void syncEngine.undoWith(scopeId, key, also),
    [scopeId],
  );
  const [notKept, setNotKept] = useState(keepsNothing);
  useEffect(() => onStopsKeeping(() => setNotKept(true)), []);
  const [offline, setOffline] = useState(syncEngine.isOffline);
  useEffect(() => syncEngine.watch(() => setOffline(syncEngine.isOffline)), []);

  const isMaking = making > 0;
  const commands = useMemo<QueueCommands>(
    () => ({ run, runWhenMade, undo, undoWith, bringBack, resolve, retry, noteAct }),
    [run, runWhenMade, undo, undoWith, bringBack, resolve, retry, noteAct],
  );
  return useMemo(
    () => ({ ...commands, commands, rows, isMaking, entries, offline, notKept, lastAct }),
    [commands, rows, isMaking, entries, offline, notKept, lastAct],
  );
}
