import type { DoneAnswer } from '@contract/answers';
import { change, get, keepsNothing } from './deviceStore';
import type { Lane } from './laneChanges';
import type { OutboxEntry } from './rowsAfter';

/** Under what a lane is kept on the device, before whose it is. */
export const LANE = 'lane:';

/** What a page hears of the lane that it shows. */
export interface LaneEvents {
  /** Something in the lane or the connection changed. */
  changed(): void;
  done(entry: OutboxEntry, answer: DoneAnswer): void;
  stuck(entry: OutboxEntry): void;
}

/** The commands of one project, or of the house, as this tab sees them. */
export class OpenLane {
  entries: Lane = [];
  isSending = false;
  isSendingPictures = false;
  readonly pages = new Set<LaneEvents>();
  /** Changes of this tab that the device has not kept yet. */
  private unkept = 0;
  /** What was asked last: the same list as long as nothing changed. */
  private own: { all: Lane; personId: string; entries: Lane } | null = null;
  private keeping: Promise<unknown> = Promise.resolve();
  readonly scopeId: string;

  constructor(scopeId: string) {
    this.scopeId = scopeId;
  }

  /** What of it somebody typed; what was typed where nobody was asked who they are is everybody's. */
  entriesOf(personId: string): Lane {
    if (this.own?.all !== this.entries || this.own.personId !== personId) {
      const isOwn = (entry: OutboxEntry) => entry.personId === undefined || entry.personId === personId;
      const entries = this.entries.every(isOwn) ? this.entries : this.entries.filter(isOwn);
      this.own = { all: this.entries, personId, entries };
    }
    return this.own.entries;
  }

  /** Changes what this tab sees at once, and what the device keeps as one step; settles when it is kept. */
  change(how: (lane: Lane) => Lane): Promise<void> {
    this.entries = how(this.entries);
    this.unkept += 1;
    const kept = this.keeping.then(async () => {
      // A lane that is empty stays, empty: between looking and forgetting another tab might put something in.
      const present = await change<Lane>(`${LANE}${this.scopeId}`, (before) => how(before ?? []));
      this.unkept -= 1;
      // Where the device stopped keeping, what this tab sees is all there is.
      if (this.unkept === 0 && !keepsNothing()) this.entries = present;
    });
    this.keeping = kept;
    return kept;
  }

  /** Sees what other tabs did to it; what this tab does not have kept yet comes on top. */
  async look(): Promise<void> {
    if (this.unkept > 0 || keepsNothing()) return;
    const present = (await get<Lane>(`${LANE}${this.scopeId}`)) ?? [];
    if (this.unkept === 0 && !keepsNothing()) this.entries = present;
  }
}
