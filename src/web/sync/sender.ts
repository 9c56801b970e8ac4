import type { DoneAnswer } from '@contract/answers';
import { ApiError, api } from '../app/api';
import { personHere } from '../ui/devicePerson';
import {
  changed,
  followed,
  madeIn,
  markedSent,
  mergedOver,
  nextPicture,
  nextToSend,
  pictured,
  stuckAs,
} from './laneChanges';
import type { OpenLane } from './openLane';
import { keptPicture, letPictureGo } from './pictures';
import type { OutboxEntry } from './rowsAfter';

/** Nobody answers: asked again after this, and after twice as long each time, up to the second. */
const FIRST_RETRY_MS = 2000;
const LAST_RETRY_MS = 60_000;
/** When a server that is busy is asked again, in milliseconds. */
const BUSY_MS = 500;
/** After so many unexpected errors over one command it is shown as not saved, so that the others go on. */
const MOST_FAILURES = 3;
/** What a device says that cleared away a picture before it was sent. */
const LOST_PICTURE = {
  code: 'notFound',
  sentence: 'This picture is not on this device any more. Take it once more, or let it go.',
} as const;

/** Whom a sender sends for: the engine of its tab. */
export interface SendsFor {
  lanes(): readonly OpenLane[];
  /** Whether this tab is the one that sends. */
  mayGoOn(): boolean;
  /** A lane changed, here and on the device. */
  changed(lane: OpenLane): void;
  /** A command was answered; the device has it so a moment later, which is told by itself. */
  done(lane: OpenLane, entry: OutboxEntry, answer: DoneAnswer): void;
  doneAndKept(entry: OutboxEntry, answer: DoneAnswer): void;
  /** A command waits for the stylist. */
  stuck(entry: OutboxEntry): void;
  offline(isOffline: boolean): void;
}

/**
 * Sends what waits in the lanes: each in its order, its pictures beside it, again and ever more rarely while nobody
 * answers. What somebody typed who is not signed in here waits for them.
 */
export class Sender {
  private readonly of: SendsFor;
  private readonly failures = new Map<string, number>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private retries = 0;

  constructor(of: SendsFor) {
    this.of = of;
  }

  /** Sends all that may go. */
  pumpAll(): void {
    if (!this.of.mayGoOn()) return;
    for (const lane of this.of.lanes()) {
      void this.pump(lane);
      void this.pumpPictures(lane);
    }
  }

  /** Tries at once. */
  now(): void {
    this.stop();
    this.pumpAll();
  }

  /** Does not try again by itself. */
  stop(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
  }

  private wasAnswered(): void {
    this.retries = 0;
    this.of.offline(false);
  }

  /** Ids of rows that the other lanes are still to make. */
  private toBeMade(but: OpenLane): Set<string> {
    const ids = this.of
      .lanes()
      .filter((lane) => lane !== but)
      .flatMap((lane) => madeIn(lane.entries));
    return new Set(ids);
  }

  private async pump(lane: OpenLane): Promise<void> {
    if (lane.isSending) return;
    lane.isSending = true;
    try {
      for (;;) {
        const next = nextToSend(lane.entriesOf(personHere()), this.toBeMade(lane));
        if (!next || !this.of.mayGoOn()) return;
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
        if (!next?.picture || !this.of.mayGoOn()) return;
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
      if (!this.of.mayGoOn()) return false;
      this.wasAnswered();
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
      if (!this.of.mayGoOn()) return false;
      this.wasAnswered();
      this.failures.delete(key);
      const kept = lane.change((entries) => followed(entries, key, answer));
      if (next.picture) void letPictureGo(next.picture.id);
      this.of.done(lane, next, answer);
      await kept;
      this.of.doneAndKept(next, answer);
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
    if (!this.of.mayGoOn()) return false;
    // A server that fails is asked again; when it fails on the same command each time, the stylist is told.
    const failures = error.gone ? 0 : error.status >= 500 ? (this.failures.get(key) ?? 0) + 1 : 0;
    if (failures > 0) this.failures.set(key, failures);
    if (error.gone || (error.status >= 500 && failures < MOST_FAILURES)) {
      this.retryLater(error.busy);
      return false;
    }
    this.wasAnswered();
    const state = error.status === 409 ? 'conflict' : 'refused';
    const { answer } = error;
    const merged = state === 'conflict' ? mergedOver(next, answer.conflicts ?? [], crypto.randomUUID()) : null;
    if (merged) {
      await lane.change((entries) => changed(entries, key, () => merged));
      this.of.changed(lane);
      return true;
    }
    await lane.change((entries) => stuckAs(entries, key, state, answer));
    this.of.changed(lane);
    this.of.stuck({ ...next, state, answer });
    return true;
  }

  private retryLater(isBusy: boolean): void {
    this.of.offline(!isBusy);
    if (isBusy) this.retries = 0;
    const ms = isBusy ? BUSY_MS : Math.min(LAST_RETRY_MS, FIRST_RETRY_MS * 2 ** this.retries);
    if (this.timer !== null) return;
    if (!isBusy) this.retries += 1;
    this.timer = setTimeout(() => this.now(), ms);
  }
}
