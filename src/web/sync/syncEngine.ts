import type { DoneAnswer } from '@contract/answers';
import { ApiError, api, onAnswered } from '../app/api';
import { personHere } from '../ui/devicePerson';
import { showFromServer } from '../ui/localPictures';
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
  nextPicture,
  nextToSend,
  pictured,
  stuckAs,
  undoneWith,
} from './laneChanges';
import { LANE, type LaneEvents, OpenLane } from './openLane';
import { forgetPictures, keptPicture, letPictureGo, showPicturesOf } from './pictures';
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
    for (const key of await keys()) if (key.startsWith(LANE)) await this.seeLane(this.lane(key.slice(LANE.length)));
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
    for (const lane of this.lanes.values()) await this.seeLane(lane);
    const entries = [...this.lanes.values()].flatMap((lane) => lane.entries);
    void forgetPictures(new Set(entries.flatMap(({ picture }) => (picture ? [picture.id] : []))));
    this.pumpAll();
  }

  /** Sees what a lane holds, with the pictures that go with it. */
  private async seeLane(lane: OpenLane): Promise<void> {
    await lane.look();
    await showPicturesOf(lane.entries);
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

  /** What is on its way in a lane, in its order, of whoever is signed in here. */
  entriesOf(scopeId: string): Lane {
    return this.lanes.get(scopeId)?.entriesOf(personHere()) ?? NOTHING;
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
  enqueue(typed: Pick<OutboxEntry, 'command' | 'along' | 'makes' | 'seen' | 'picture'>): OutboxEntry {
    const entry: OutboxEntry = {
      ...typed,
      state: 'waiting',
      answer: null,
      by: this.tab,
      ...(personHere() === '' ? {} : { personId: personHere() }),
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
        void this.seeLane(lane).then(() => {
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
        if (entry.picture) showFromServer(entry.picture.id);
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
    if (!this.isSender) return;
    for (const lane of this.lanes.values()) {
      void this.pump(lane);
      void this.pumpPictures(lane);
    }
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
        const next = nextToSend(lane.entriesOf(personHere()), this.toBeMade(lane));
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

  /** Brings the pictures of a lane to the server, one after the other, while what does not hang on them goes on. */
  private async pumpPictures(lane: OpenLane): Promise<void> {
    if (lane.isSendingPictures) return;
    lane.isSendingPictures = true;
    try {
      for (;;) {
        const next = nextPicture(lane.entriesOf(personHere()));
        if (!next?.picture || !this.isSender) return;
        if (!(await this.sendPicture(lane, next, next.picture))) return;
        void this.pump(lane);
      }
    } finally {
      lane.isSendingPictures = false;
    }
  }

  /** Brings the picture of a command to the server. @returns whether the lane may go on */
  private async sendPicture(
    lane: OpenLane,
    next: OutboxEntry,
    picture: NonNullable<OutboxEntry['picture']>,
  ): Promise<boolean> {
    const { key } = next.command;
    try {
      const blob = await keptPicture(picture.id);
      if (!blob) throw new ApiError(422, LOST_PICTURE);
      const size = await api.putPhoto(picture.id, picture.name, blob, next.studioId ?? null);
      if (this.isStopped) return false;
      this.setOffline(false);
      this.failures.delete(key);
      await lane.change((entries) => pictured(entries, key, size));
      return true;
    } catch (error) {
      return this.notSent(lane, next, error);
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
      if (next.picture) void letPictureGo(next.picture.id);
      this.tellDone(next, answer);
      this.tell(lane);
      await kept;
      this.say({ kind: 'done', entry: next, answer });
      // What speaks of a row that this one made may go now.
      if (next.makes) this.pumpAll();
      return true;
    } catch (error) {
      return this.notSent(lane, next, error);
    }
  }

  /** What becomes of a command that did not go through. @returns whether the lane may go on */
  private async notSent(lane: OpenLane, next: OutboxEntry, error: unknown): Promise<boolean> {
    const { key } = next.command;
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

  private retryLater(isBusy: boolean): void {
    this.setOffline(!isBusy);
    const ms = isBusy ? BUSY_MS : Math.min(LAST_RETRY_MS, FIRST_RETRY_MS * 2 ** this.retries);
    if (this.timer !== null) return;
    if (!isBusy) this.retries += 1;
    this.timer = setTimeout(() => this.retry(), ms);
  }
}

/** What a device says that cleared away a picture before it was sent. */
const LOST_PICTURE = {
  code: 'notFound',
  sentence: 'This picture is not on this device any more. Take it once more, or let it go.',
} as const;

const NOTHING: Lane = [];

/** The one engine of this page. */
export const syncEngine = new SyncEngine();
