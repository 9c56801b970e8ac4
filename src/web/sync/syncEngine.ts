import type { DoneAnswer } from '@contract/answers';
import { onAnswered } from '../app/api';
import { personHere } from '../ui/devicePerson';
import { showFromServer } from '../ui/localPictures';
import { studioOfTab } from '../ui/tabStudio';
import { del, get, keepsNothing, keys, onStopsKeeping } from './deviceStore';
import { added, followed, type Lane, undoneWith } from './laneChanges';
import { LANE, type LaneEvents, OpenLane } from './openLane';
import { forgetPictures, showPicturesOf } from './pictures';
import type { OutboxEntry } from './rowsAfter';
import { Sender } from './sender';

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
  private readonly tab = crypto.randomUUID();
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  private isSender = false;
  private isStopped = false;
  private letGo: () => void = () => undefined;
  private started: Promise<void> | null = null;
  private readonly sender = new Sender({
    lanes: () => [...this.lanes.values()],
    mayGoOn: () => this.isSender,
    changed: (lane) => {
      this.tell(lane);
      this.say({ kind: 'changed', scopeId: lane.scopeId });
    },
    done: (lane, entry, answer) => {
      this.tellDone(entry, answer);
      this.tell(lane);
    },
    doneAndKept: (entry, answer) => this.say({ kind: 'done', entry, answer }),
    stuck: (entry) => {
      this.tellStuck(entry);
      this.say({ kind: 'stuck', entry });
    },
    offline: (isOffline) => this.setOffline(isOffline),
  });

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
      // What somebody typed who has signed out here waits for them, connected or not.
      if ([...this.lanes.values()].every((lane) => lane.entriesOf(personHere()).length === 0)) this.setOffline(false);
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
    this.sender.stop();
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
    this.sender.pumpAll();
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
    if (this.isSender) this.sender.now();
    else this.say({ kind: 'retry' });
  }

  /** Changes a lane here, on the device, and in the other tabs; then sends what may go. */
  async alter(scopeId: string, how: (lane: Lane) => Lane): Promise<void> {
    const lane = this.lane(scopeId);
    const kept = lane.change(how);
    this.tell(lane);
    await this.start();
    await kept;
    this.say({ kind: 'changed', scopeId });
    this.sender.pumpAll();
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
          this.sender.pumpAll();
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
    if (this.isOffline !== isOffline) this.say({ kind: 'offline', isOffline });
    this.noteOffline(isOffline);
  }
}

const NOTHING: Lane = [];

/** The one engine of this page. */
export const syncEngine = new SyncEngine();
