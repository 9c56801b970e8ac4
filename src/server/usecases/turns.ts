/** Too many wait already; who is turned away may ask again in a moment. */
export class BusyError extends Error {}

/** How many may wait for one place before others are turned away. */
const MOST_WAITING = 400;

/**
 * Lets what touches the same place go one after the other, and only so much at once in all. Whoever waits here holds no
 * connection to the database, so those who only read find one. What keeps writes apart is the database itself: several
 * servers, each with turns of its own, stay correct.
 */
export class Turns {
  private readonly lines = new Map<string, Promise<void>>();
  private readonly waitingFor = new Map<string, number>();
  private readonly atOnce: number;
  private active = 0;
  private readonly next: (() => void)[] = [];

  /** @param atOnce how many may be at work at the same time, whatever they touch */
  constructor(atOnce: number) {
    this.atOnce = atOnce;
  }

  /**
   * Does work in its turn.
   * @throws BusyError when too many wait for that place already
   */
  async take<T>(place: string, work: () => Promise<T>): Promise<T> {
    const waiting = this.waitingFor.get(place) ?? 0;
    if (waiting >= MOST_WAITING) throw new BusyError(`${waiting} wait for ${place}`);
    this.waitingFor.set(place, waiting + 1);
    const before = this.lines.get(place) ?? Promise.resolve();
    const done = before.then(() => this.withinAll(work));
    const ended = done.then(
      () => {},
      () => {},
    );
    this.lines.set(place, ended);
    try {
      return await done;
    } finally {
      const left = (this.waitingFor.get(place) ?? 1) - 1;
      if (left > 0) this.waitingFor.set(place, left);
      else {
        this.waitingFor.delete(place);
        if (this.lines.get(place) === ended) this.lines.delete(place);
      }
    }
  }

  private async withinAll<T>(work: () => Promise<T>): Promise<T> {
    if (this.active >= this.atOnce) await new Promise<void>((go) => this.next.push(go));
    else this.active += 1;
    try {
      return await work();
    } finally {
      // The place goes on to whoever waits longest.
      const following = this.next.shift();
      if (following) following();
      else this.active -= 1;
    }
  }
}
