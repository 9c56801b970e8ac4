import type { DoneAnswer } from '@contract/answers';
import type { Command } from '@contract/command';
import type { ActKind, PayloadOf } from '@core/acts';
import type { Workspace } from '@core/acts/changes';
import type { PieceRow } from '@core/model/rows';
import { ApiError, api } from './api';
import { del, get, keys, set } from './deviceStore';
import { expectedVersions, type OutboxEntry, withPieces, withWaiting } from './rowsAfter';

export interface OutboxEvents {
  /** Something in the queue or the connection changed. */
  changed(): void;
  done(entry: OutboxEntry, answer: DoneAnswer): void;
  stuck(entry: OutboxEntry): void;
}

const RETRY_MS = 2000;
/** When a server that is busy is asked again, in milliseconds. */
const BUSY_MS = 500;
/** After so many unexpected errors over one command it is shown as not saved, so that the others go on. */
const MOST_FAILURES = 3;

/** Ids for the lines of the ledger that an undo may have to reverse. */
export const REVERSALS = 60;

/** Whether the server has answered for good: the same intent may then go out under a new key. */
const isSettled = (entry: OutboxEntry) => entry.answer !== null && entry.answer.code !== 'unexpected';

/** The name of this tab's queue; a copied tab gets a name of its own. */
async function claimTab(): Promise<string> {
  let name = sessionStorage.getItem('euporia.tab') ?? crypto.randomUUID();
  const hold = (wanted: string) =>
    new Promise<boolean>((settled) => {
      void navigator.locks.request(`euporia.outbox.${wanted}`, { ifAvailable: true }, (lock) => {
        settled(lock !== null);
        // Held as long as the tab lives, so that others know its queue is looked after.
        return lock === null ? undefined : new Promise(() => {});
      });
    });
  if (!(await hold(name))) {
    name = crypto.randomUUID();
    await hold(name);
  }
  sessionStorage.setItem('euporia.tab', name);
  return name;
}
let tab: Promise<string> | null = null;

/**
 * One project's queue of commands, in order, kept on the device until each is answered. Survives reloads and closed
 * tabs: a queue that nobody looks after is adopted by the next tab of the project.
 */
export class Outbox {
  entries: OutboxEntry[] = [];
  offline = false;
  private sending = false;
  private readonly failures = new Map<string, number>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private storeKey: string | null = null;
  private closed = false;
  /** Whose queue it is: a project's id, or the studio's for the house. */
  readonly scopeId: string;
  private readonly events: OutboxEvents;

  constructor(scopeId: string, events: OutboxEvents) {
    this.scopeId = scopeId;
    this.events = events;
  }

  /** Loads what an earlier visit left and starts sending. */
  async open(): Promise<void> {
    this.closed = false;
    tab ??= claimTab();
    const own = `outbox:${this.scopeId}:${await tab}`;
    const found: OutboxEntry[] = [];
    for (const key of await keys()) {
      if (!key.startsWith(`outbox:${this.scopeId}:`)) continue;
      if (key === own) found.push(...((await get<OutboxEntry[]>(key)) ?? []));
      else {
        const other = key.split(':')[2] ?? '';
        await navigator.locks.request(`euporia.outbox.${other}`, { ifAvailable: true }, async (lock) => {
          if (lock === null) return;
          found.unshift(...((await get<OutboxEntry[]>(key)) ?? []));
          await set(own, [...found, ...this.entries]);
          await del(key);
        });
      }
    }
    if (this.closed || this.storeKey !== null) return void this.pump();
    this.storeKey = own;
    this.entries = [...found, ...this.entries];
    await this.keep();
    this.events.changed();
    void this.pump();
  }

  close(): void {
    this.closed = true;
    if (this.timer) clearTimeout(this.timer);
  }

  /** Queues a command; `rows` are what its author saw, `along` what of the house it speaks of beyond them. */
  enqueue<K extends ActKind>(
    kind: K,
    payload: PayloadOf<K>,
    rows: Workspace,
    along: readonly PieceRow[] = [],
  ): Command {
    const command: Command = {
      key: crypto.randomUUID(),
      projectId: this.scopeId,
      kind,
      payload,
      expect: expectedVersions(withPieces(rows, along), kind, payload),
    };
    const more = along.length > 0 ? { along } : {};
    this.entries = [...this.entries, { command, state: 'waiting', answer: null, ...more }];
    void this.keep();
    this.events.changed();
    void this.pump();
    return command;
  }

  /** Sends a stuck command again as a new one, now against the rows as they are; or lets it go. */
  async resolve(key: string, keepMine: boolean, rows: Workspace): Promise<void> {
    const entry = this.entries.find((candidate) => candidate.command.key === key);
    if (!entry) return;
    if (!keepMine) this.entries = this.entries.filter((candidate) => candidate !== entry);
    else {
      const { kind, payload } = entry.command;
      const again: OutboxEntry = isSettled(entry)
        ? {
            ...entry,
            command: {
              ...entry.command,
              key: crypto.randomUUID(),
              expect: expectedVersions(withPieces(rows, entry.along), kind, payload),
            },
            state: 'waiting',
            answer: null,
            sent: false,
          }
        : { ...entry, state: 'waiting', answer: null };
      this.entries = this.entries.map((candidate) => (candidate === entry ? again : candidate));
    }
    // Later edits of the same rows were held: they are put against the rows as they are now.
    let at = withWaiting(rows, []);
    this.entries = this.entries.map((candidate) => {
      if (candidate.state !== 'waiting') return candidate;
      if (candidate.sent) {
        at = withWaiting(at, [candidate]);
        return candidate;
      }
      const fresh = {
        ...candidate,
        command: {
          ...candidate.command,
          expect: expectedVersions(withPieces(at, candidate.along), candidate.command.kind, candidate.command.payload),
        },
      };
      at = withWaiting(at, [fresh]);
      return fresh.command.key === candidate.command.key &&
        JSON.stringify(fresh.command.expect) !== JSON.stringify(candidate.command.expect)
        ? { ...fresh, command: { ...fresh.command, key: crypto.randomUUID() } }
        : fresh;
    });
    await this.keep();
    this.events.changed();
    void this.pump();
  }

  /** Tries at once, for example when the browser says that the network is back. */
  retry(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    void this.pump();
  }

  private async keep(): Promise<void> {
    if (this.storeKey === null) return;
    if (this.entries.length === 0) await del(this.storeKey);
    else await set(this.storeKey, this.entries);
  }

  /** Takes a further act into a stuck undo: what stands in its way is taken back with it. */
  async undoWith(key: string, also: readonly string[]): Promise<void> {
    this.entries = this.entries.map((entry) => {
      if (entry.command.key !== key || entry.command.kind !== 'undo') return entry;
      const payload = entry.command.payload as PayloadOf<'undo'>;
      const reversalIds = Array.from({ length: REVERSALS }, () => crypto.randomUUID());
      const command = {
        ...entry.command,
        key: crypto.randomUUID(),
        payload: { ...payload, also: [...new Set([...(payload.also ?? []), ...also])], reversalIds },
      };
      return { command, state: 'waiting', answer: null };
    });
    await this.keep();
    this.events.changed();
    void this.pump();
  }

  /** Rows that a stuck command holds: later edits of them wait. */
  private heldRows(): Set<string> {
    const held = new Set<string>();
    for (const entry of this.entries)
      if (entry.state !== 'waiting') for (const place of Object.keys(entry.command.expect)) held.add(place);
    return held;
  }

  /**
   * Lets a done command go. What was typed after it was meant for the rows as it left them, whatever the page saw when:
   * an answer that comes late, after the page has read the rows afresh, would make the next edit a conflict with itself.
   */
  private follow(done: OutboxEntry, answer: DoneAnswer): void {
    const at = this.entries.findIndex((entry) => entry.command.key === done.command.key);
    const made = new Map(answer.rows.map(({ table, row }) => [`${table}:${row.id}`, row.version]));
    this.entries = this.entries.flatMap((entry, n) => {
      if (n === at) return [];
      if (n < at || entry.state !== 'waiting' || entry.sent) return [entry];
      const expect = { ...entry.command.expect };
      for (const place of Object.keys(expect)) {
        const version = made.get(place);
        if (typeof version !== 'number') continue;
        expect[place] = version;
        // Later ones are meant for the rows as this one leaves them.
        made.delete(place);
      }
      return [{ ...entry, command: { ...entry.command, expect } }];
    });
  }

  private async pump(): Promise<void> {
    if (this.sending || this.closed || this.storeKey === null) return;
    this.sending = true;
    try {
      for (;;) {
        const held = this.heldRows();
        const next = this.entries.find(
          (entry) => entry.state === 'waiting' && !Object.keys(entry.command.expect).some((place) => held.has(place)),
        );
        if (!next || this.closed) return;
        // It is noted beforehand: what may be done already is never sent under another key.
        if (!next.sent) {
          this.entries = this.entries.map((entry) => (entry === next ? { ...next, sent: true } : entry));
          await this.keep();
        }
        try {
          const answer = await api.command(next.command);
          this.offline = false;
          this.follow(next, answer);
          this.events.done(next, answer);
        } catch (error) {
          if (!(error instanceof ApiError)) throw error;
          // A server that fails is asked again; when it fails on the same command each time, the stylist is told.
          const failures = error.gone ? 0 : error.status >= 500 ? (this.failures.get(next.command.key) ?? 0) + 1 : 0;
          if (failures > 0) this.failures.set(next.command.key, failures);
          if (error.gone || (error.status >= 500 && failures < MOST_FAILURES)) {
            this.offline = !error.busy;
            this.events.changed();
            this.timer = setTimeout(() => this.retry(), error.busy ? BUSY_MS : RETRY_MS);
            return;
          }
          this.offline = false;
          const stuck: OutboxEntry = {
            ...next,
            state: error.status === 409 ? 'conflict' : 'refused',
            answer: error.answer,
          };
          this.entries = this.entries.map((entry) => (entry.command.key === next.command.key ? stuck : entry));
          this.events.stuck(stuck);
        }
        await this.keep();
        this.events.changed();
      }
    } finally {
      this.sending = false;
    }
  }
}
