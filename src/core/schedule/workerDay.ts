import type { Minute, Stretch, Worker } from './benchProblem';

/** What a worker does in a window: sorted, apart. */
export interface Block extends Stretch {
  /** The session it is; null for a task alone. */
  session: OpenSession | null;
}

/** A session while it is being laid: where it stands, and what may still join it. */
export interface OpenSession {
  worker: number;
  window: number;
  block: Block;
  key: string;
  setUpMinutes: number;
  cleanUpMinutes: number;
  /** Tasks by number in the order in which they are done. */
  tasks: number[];
}

/** A worker's windows with what is in them already, and how much of each cap is used. */
export class WorkerDays {
  readonly worker: Worker;
  readonly blocks: Block[][];
  /** The longest free stretch of each window, minutes. */
  readonly freest: number[];
  private readonly used: number[];

  constructor(worker: Worker) {
    this.worker = worker;
    this.blocks = worker.windows.map(() => []);
    this.freest = worker.windows.map(({ start, end }) => end - start);
    this.used = worker.caps.map(() => 0);
  }

  /** The first window that ends after a moment; the number of windows where there is none. */
  windowAfter(moment: Minute): number {
    const { windows } = this.worker;
    let low = 0;
    let high = windows.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((windows[middle] as Stretch).end <= moment) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /**
   * Minutes that a worker may still work at a moment under the caps.
   * @param planned what is about to be done beside it
   */
  leftAt(moment: Minute, planned: readonly Stretch[] = []): number {
    let left = Number.POSITIVE_INFINITY;
    this.worker.caps.forEach((cap, n) => {
      if (moment < cap.start || cap.end <= moment) return;
      let used = this.used[n] ?? 0;
      for (const { start, end } of planned) if (cap.start <= start && start < cap.end) used += end - start;
      left = Math.min(left, cap.minutes - used);
    });
    return left;
  }

  /** Notes minutes of work at a moment. */
  use(moment: Minute, minutes: number): void {
    this.worker.caps.forEach((cap, n) => {
      if (cap.start <= moment && moment < cap.end) this.used[n] = (this.used[n] ?? 0) + minutes;
    });
  }

  /** Puts a block into a window, in its place. */
  put(window: number, block: Block): void {
    const list = this.blocks[window] as Block[];
    let at = list.length;
    while (at > 0 && (list[at - 1] as Block).start > block.start) at -= 1;
    list.splice(at, 0, block);
    this.changed(window);
  }

  /** Takes the block out again that begins at a moment. */
  takeOut(start: Minute): void {
    const window = this.windowAfter(start);
    const list = this.blocks[window] ?? [];
    const at = list.findIndex((block) => block.start === start);
    if (at < 0) return;
    list.splice(at, 1);
    this.changed(window);
  }

  /** Notes that something in a window became longer. */
  changed(window: number): void {
    const { start, end } = this.worker.windows[window] as Stretch;
    let most = 0;
    let from = start;
    for (const block of this.blocks[window] as Block[]) {
      most = Math.max(most, block.start - from);
      from = Math.max(from, block.end);
    }
    this.freest[window] = Math.max(most, end - from);
  }

  /** The free stretches of a window, in order. */
  gaps(window: number): Stretch[] {
    const { start, end } = this.worker.windows[window] as Stretch;
    const found: Stretch[] = [];
    let from = start;
    for (const block of this.blocks[window] as Block[]) {
      if (block.start > from) found.push({ start: from, end: block.start });
      from = Math.max(from, block.end);
    }
    if (end > from) found.push({ start: from, end });
    return found;
  }

  /** The free moment that a block may be lengthened to. */
  roomAfter(window: number, block: Block): Minute {
    const list = this.blocks[window] as Block[];
    const next = list[list.indexOf(block) + 1];
    return next ? next.start : (this.worker.windows[window] as Stretch).end;
  }

  /** The free moment that a block may begin at the earliest. */
  roomBefore(window: number, block: Block): Minute {
    const list = this.blocks[window] as Block[];
    const previous = list[list.indexOf(block) - 1];
    return previous ? previous.end : (this.worker.windows[window] as Stretch).start;
  }
}
