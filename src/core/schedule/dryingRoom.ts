import type { DryingPlace, Minute, Stretch } from './benchProblem';

interface Lying extends Stretch {
  rowId: string;
  areaM2: number;
}

/** What lies where until when. A row's pieces lie once, however many of its coats are drying. */
export class DryingRoom {
  private readonly places: readonly DryingPlace[];
  private readonly lying: Lying[][];

  constructor(places: readonly DryingPlace[]) {
    this.places = places;
    this.lying = places.map(() => []);
  }

  /**
   * The first place with room from a moment to another; null where there is none.
   * What is larger than a place has room where nothing else lies.
   */
  placeFor(rowId: string, areaM2: number, from: Minute, to: Minute): number | null {
    for (let n = 0; n < this.places.length; n += 1) if (this.hasRoom(n, rowId, areaM2, from, to)) return n;
    return null;
  }

  /** The next moment at which something stops lying anywhere, after a moment; Infinity where nothing lies. */
  nextEnd(after: Minute): Minute {
    let next = Number.POSITIVE_INFINITY;
    for (const list of this.lying) for (const { end } of list) if (end > after && end < next) next = end;
    return next;
  }

  lay(place: number, rowId: string, areaM2: number, start: Minute, end: Minute): void {
    this.lying[place]?.push({ rowId, areaM2, start, end });
  }

  private hasRoom(place: number, rowId: string, areaM2: number, from: Minute, to: Minute): boolean {
    const capacity = this.places[place]?.areaM2 ?? 0;
    // Where all that lies there at some time has room together there is nothing to look at closely.
    let most = areaM2;
    for (const other of this.lying[place] ?? [])
      if (other.start < to && other.end > from && other.rowId !== rowId) most += other.areaM2;
    if (most <= capacity) return true;
    const others = (this.lying[place] ?? []).filter(
      (other) => other.rowId !== rowId && other.start < to && other.end > from,
    );
    if (others.length === 0) return true;
    // The most lies at the beginning, or when one of the others comes.
    const moments = [from, ...others.map(({ start }) => start).filter((start) => start > from)];
    return moments.every((moment) => {
      const rows = new Map<string, number>();
      for (const { rowId: other, areaM2: area, start, end } of others)
        if (start <= moment && moment < end) rows.set(other, Math.max(rows.get(other) ?? 0, area));
      let sum = areaM2;
      for (const area of rows.values()) sum += area;
      return sum <= capacity + 1e-9;
    });
  }
}
