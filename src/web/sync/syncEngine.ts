import type { DoneAnswer } from '@contract/answers';
import { ApiError, api, onAnswered } from '../app/api';
import { studioOfTab } from '../ui/tabStudio';
import { del, get, keepsNothing, keys, onStopsKeeping } from './deviceStore';
import {
  added,
  changed,
  followed,
  type Lane,
  madeIn,
  markedSent,
  mergedOver,
  nextToSend,
  stuckAs,
  undoneWith,
} from './laneChanges';
import { LANE, type LaneEvents, OpenLane } from './openLane';
import type { OutboxEntry } from './rowsAfter';

/** Nobody answers: asked again after this, and after twice as long each time, up to the second. */
const FIRST_RETRY_MS = 2000;
const LAST_RETRY_MS = 60_000;
/** When a server that is busy is asked again, in milliseconds. */
const BUSY_MS = 500;
/** After so many unexpected errors over one command it is shown as not saved, so that the others go on. */
const MOST_FAILURES = 3;
/** Ids for the lines of the ledger that an undo may have to reverse. */
export const REVERSALS = 60;

/** Where lanes were kept before a device had one engine: one list for each tab. */
const OLD = 'outbox:';
const CHANNEL = 'euporia.sync';

/** What tabs tell each other. */
type Told =
  | { kind: 'changed'; scopeId: string }
  | { kind: 'done'; entry: OutboxEntry; answer: DoneAnswer }
  | { kind: 'stuck'; entry: OutboxEntry }
  | { kind: 'offline'; isOffline: boolean }
  | { kind: 'retry' };

/**
 * Everything on this device that is on its way to the server: a lane for each project and one for the house, each in its
 * order, kept on the device until it is answered. All tabs see all lanes; one of them sends, and when it is closed
 * another goes on where it stopped. A command keeps its key, so that what was done already is not done again.
 */
export class SyncEngine {
  /** Whether the server did not answer last time. */
  isOffline = false;
  private readonly lanes = new Map<string, OpenLane>();
  private readonly watchers = new Set<() => void>();
  private readonly failures = new Map<string, number>();
  private readonly tab = crypto.randomUUID();
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  private isSender = false;
  private isStopped = false;
  private letGo: () => void = () => undefined;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private retries = 0;
  private started: Promise<void> | null = null;

  /** Loads what earlier visits left, and sends it, here or in another tab. */
  start(): Promise<void> {
    this.started ??= this.begin();
    return this.started;
  }

  private async begin(): Promise<void> {
    this.channel?.addEventListener('message', (event: MessageEvent<Told>) => this.hear(event.data));
    globalThis.addEventListener?.('online', () => this.retry());
    onStopsKeeping(() => void this.beSender());
    onAnswered(() => {
      if (!this.isOffline) return;
      if (this.waitingLanes().length === 0) this.setOffline(false);
      else this.retry();
    });
    for (const key of await keys()) if (key.startsWith(LANE)) await this.lane(key.slice(LANE.length)).look();
    this.tellWatchers();
    // Where tabs cannot agree on one of them, each sends: a command that comes twice is done once.
    if (keepsNothing() || !navigator.locks) return this.beSender();
    void navigator.locks.request(CHANNEL, async () => {
      await this.beSender();
      // Held as long as the tab lives.
      await new Promise<void>((letGo) => {
        this.letGo = letGo;
        if (this.isStopped) letGo();
      });
    });
  }

  /** Ends it as a closed tab does: nothing more is sent or heard of here, and another tab goes on. */
  stop(): void {
    this.isStopped = true;
    this.isSender = false;
    if (this.timer) clearTimeout(this.timer);
    this.channel?.close();
    this.letGo();
  }

  private async beSender(): Promise<void> {
    if (this.isSender || this.isStopped) return;
    await this.adoptOldQueues();
    this.isSender = true;
    for (const lane of this.lanes.values()) await lane.look();
    this.pumpAll();
  }

  private async adoptOldQueues(): Promise<void> {
    for (const key of await keys()) {
      if (!key.startsWith(OLD)) continue;
      const left = (await get<OutboxEntry[]>(key)) ?? [];
      const scopeId = key.split(':')[1] ?? '';
      if (scopeId !== '')
        await this.lane(scopeId).change((lane) => left.reduce<Lane>((sum, entry) => added(sum, entry), lane));
      await del(key);
    }
  }

  private lane(scopeId: string): OpenLane {
    const known = this.lanes.get(scopeId) ?? new OpenLane(scopeId);
    this.lanes.set(scopeId, known);
    return known;
  }

  /** What is on its way in a lane, in its order. */
  entriesOf(scopeId: string): Lane {
    return this.lanes.get(scopeId)?.entries ?? NOTHING;
  }

  /** The lanes in which something waits. */
  waitingLanes(): { scopeId: string; entries: Lane }[] {
    return [...this.lanes.values()].flatMap(({ scopeId, entries }) =>
      entries.length === 0 ? [] : [{ scopeId, entries }],
    );
  }

  /** Whether an entry was typed in this tab. */
  isOwn(entry: OutboxEntry): boolean {
    return entry.by === this.tab;
  }

  /** A page that shows a lane hears of it from now on; gives the way to stop. */
  attach(scopeId: string, page: LaneEvents): () => void {
    const { pages } = this.lane(scopeId);
    pages.add(page);
    void this.start().then(() => page.changed());
    return () => pages.delete(page);
  }

  /** Tells whenever any lane, or the connection, changed. */
  watch(watcher: () => void): () => void {
    this.watchers.add(watcher);
    void this.start();
    return () => this.watchers.delete(watcher);
  }

  /** Queues a command, as it was typed in this tab. */
  enqueue(typed: Pick<OutboxEntry, 'command' | 'along' | 'makes' | 'seen'>): OutboxEntry {
    const entry: OutboxEntry = {
      ...typed,
      state: 'waiting',
      answer: null,
      by: this.tab,
      studioId: studioOfTab(),
      atMs: Date.now(),
    };
    void this.alter(entry.command.projectId, (lane) => added(lane, entry));
    return entry;
  }

  /** Takes further acts into a stuck undo: what stands in its way is taken back with it. */
  undoWith(scopeId: string, key: string, also: readonly string[]): Promise<void> {
    const fresh = crypto.randomUUID();
    const reversalIds = Array.from({ length: REVERSALS }, () => crypto.randomUUID());
    return this.alter(scopeId, (lane) => undoneWith(lane, key, also, () => fresh, reversalIds));
  }

  /** Tries at once, for example when the browser says that the network is back. */
  retry(): void {
    if (!this.isSender) {
      this.say({ kind: 'retry' });
      return;
    }
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.pumpAll();
  }

  /** Changes a lane here, on the device, and in the other tabs; then sends what may go. */
  async alter(scopeId: string, how: (lane: Lane) => Lane): Promise<void> {
    const lane = this.lane(scopeId);
    const kept = lane.change(how);
    this.tell(lane);
    await this.start();
    await kept;
    this.say({ kind: 'changed', scopeId });
    this.pumpAll();
  }

  private say(told: Told): void {
    if (!this.isStopped) this.channel?.postMessage(told);
  }

  private tell(lane: OpenLane): void {
    for (const page of lane.pages) page.changed();
    this.tellWatchers();
  }

  private tellWatchers(): void {
    for (const watcher of this.watchers) watcher();
  }

  private tellDone(entry: OutboxEntry, answer: DoneAnswer): void {
    for (const page of this.lane(entry.command.projectId).pages) page.done(entry, answer);
  }

  private tellStuck(entry: OutboxEntry): void {
    for (const page of this.lane(entry.command.projectId).pages) page.stuck(entry);
  }

  /** What another tab says. */
  private hear(told: Told): void {
    switch (told.kind) {
      case 'changed': {
        const lane = this.lane(told.scopeId);
        void lane.look().then(() => {
          this.tell(lane);
          this.pumpAll();
        });
        break;
      }
      case 'done': {
        const { entry, answer } = told;
        const lane = this.lane(entry.command.projectId);
        // The device has it so already.
        lane.entries = followed(lane.entries, entry.command.key, answer);
        this.tellDone(entry, answer);
        this.tell(lane);
        break;
      }
      case 'stuck':
        this.tellStuck(told.entry);
        break;
      case 'offline':
        this.noteOffline(told.isOffline);
        break;
      case 'retry':
        if (this.isSender) this.retry();
        break;
      default:
        told satisfies never;
    }
  }

  private noteOffline(isOffline: boolean): void {
    if (this.isOffline === isOffline) return;
    this.isOffline = isOffline;
    for (const lane of this.lanes.values()) for (const page of lane.pages) page.changed();
    this.tellWatchers();
  }

  private setOffline(isOffline: boolean): void {
    if (!isOffline) this.retries = 0;
    if (this.isOffline !== isOffline) this.say({ kind: 'offline', isOffline });
    this.noteOffline(isOffline);
  }

  private pumpAll(): void {
    if (this.isSender) for (const lane of this.lanes.values()) void this.pump(lane);
  }

  /** Ids of rows that the other lanes are still to make. */
  private toBeMade(but: OpenLane): Set<string> {
    const ids = [...this.lanes.values()].filter((lane) => lane !== but).flatMap((lane) => madeIn(lane.entries));
    return new Set(ids);
  }

  private async pump(lane: OpenLane): Promise<void> {
    if (lane.isSending) return;
    lane.isSending = true;
    try {
      for (;;) {
        const next = nextToSend(lane.entries, this.toBeMade(lane));
        if (!next || !this.isSender) return;
        const { key } = next.command;
        // It is noted beforehand: what may be done already is never sent under another key.
        if (!next.sent) await lane.change((entries) => markedSent(entries, key));
        if (!(await this.sendOne(lane, next))) return;
      }
    } finally {
      lane.isSending = false;
    }
  }

  /** Sends one command. @returns whether the next may follow */
  private async sendOne(lane: OpenLane, next: OutboxEntry): Promise<boolean> {
    const { key } = next.command;
    try {
      const answer = await api.command(next.command, next.studioId ?? null);
      if (this.isStopped) return false;
      this.setOffline(false);
      this.failures.delete(key);
      const kept = lane.change((entries) => followed(entries, key, answer));
      this.tellDone(next, answer);
      this.tell(lane);
      await kept;
      this.say({ kind: 'done', entry: next, answer });
      // What speaks of a row that this one made may go now.
      if (next.makes) this.pumpAll();
      return true;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (this.isStopped) return false;
      // A server that fails is asked again; when it fails on the same command each time, the stylist is told.
      const failures = error.gone ? 0 : error.status >= 500 ? (this.failures.get(key) ?? 0) + 1 : 0;
      if (failures > 0) this.failures.set(key, failures);
      if (error.gone || (error.status >= 500 && failures < MOST_FAILURES)) {
        this.retryLater(error.busy);
        return false;
      }
      this.setOffline(false);
      const state = error.status === 409 ? 'conflict' : 'refused';
      const { answer } = error;
      const merged = state === 'conflict' ? mergedOver(next, answer.conflicts ?? [], crypto.randomUUID()) : null;
      if (merged) {
        await lane.change((entries) => changed(entries, key, () => merged));
        this.tell(lane);
        this.say({ kind: 'changed', scopeId: lane.scopeId });
        return true;
      }
      await lane.change((entries) => stuckAs(entries, key, state, answer));
      const stuck: OutboxEntry = { ...next, state, answer };
      this.tellStuck(stuck);
      this.tell(lane);
      this.say({ kind: 'changed', scopeId: lane.scopeId });
      this.say({ kind: 'stuck', entry: stuck });
      return true;
    }
  }

  private retryLater(isBusy: boolean): void {
    this.setOffline(!isBusy);
    const ms = isBusy ? BUSY_MS : Math.min(LAST_RETRY_MS, FIRST_RETRY_MS * 2 ** this.retries);
    if (this.timer !== null) return;
    if (!isBusy) this.retries += 1;
    this.timer = setTimeout(() => this.retry(), ms);
  }
}

const NOTHING: Lane = [];

/** The one engine of this page. */
export const syncEngine = new SyncEngine();
