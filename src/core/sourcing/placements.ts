/**
 * A piece promised to a slot of a project, or standing in the looks of a spot without any slot, from the project's reveal
 * until its look comes down. Dates are local, YYYY-MM-DD.
 */
export interface Placement {
  pieceId: string;
  projectId: string;
  projectName: string;
  /** The slot, or the spot. */
  placeId: string;
  /** Null where it stands in looks only. */
  slotNumber: number | null;
  /** The slot's name, or the spot's. */
  placeName: string;
  count: number;
  /** Null: from now on. */
  from: string | null;
  /** Null: nobody knows how long. */
  until: string | null;
}

/** A time in days, both ends within; an open end is null. */
export interface Stay {
  from: string | null;
  until: string | null;
}

/**
 * Whether two stays share a day.
 * @returns true where the one ends on the day on which the other begins
 */
export function overlaps(one: Stay, other: Stay): boolean {
  return (
    (one.from === null || other.until === null || one.from <= other.until) &&
    (other.from === null || one.until === null || other.from <= one.until)
  );
}

/**
 * How many of a piece are spoken for at the busiest moment within a stay.
 * @returns pieces, 0 where nobody asks for one within the stay
 * @example one until June 10 and two from June 10 on → 3, on that day
 */
export function mostInUse(placements: readonly (Stay & { count: number })[], during: Stay): number {
  const there = placements.filter((placement) => overlaps(placement, during));
  // The busiest day is one on which a stay begins, or the first day asked about; null is before every date.
  const begins = (day: string | null, from: string | null) => from === null || (day !== null && from <= day);
  const lasts = (day: string | null, until: string | null) => until === null || day === null || until >= day;
  let most = 0;
  for (const day of [during.from, ...there.map((placement) => placement.from)]) {
    if (during.from !== null && !begins(day, during.from)) continue;
    const atOnce = there.filter(({ from, until }) => begins(day, from) && lasts(day, until));
    most = Math.max(
      most,
      atOnce.reduce((sum, placement) => sum + placement.count, 0),
    );
  }
  return most;
}

/**
 * Whether a placement is of another place than the wanted one. Within a project a slot and a look do not stand in each
 * other's way here: what is arranged is often promised later, and the look's own rule says where a piece stands twice.
 */
export const isElsewhere = (
  wanted: Pick<Placement, 'projectId' | 'placeId' | 'slotNumber'>,
  other: Placement,
): boolean =>
  other.placeId !== wanted.placeId &&
  (other.projectId !== wanted.projectId || (other.slotNumber === null) === (wanted.slotNumber === null));

/**
 * Who stands in the way: placements elsewhere that overlap, when together with the wanted one they need more of
 * the piece than there is. Empty when it is free. Several looks of one spot are one placement.
 * @param wanted the promise that is to be made
 * @param others every promise of the piece, the place’s own among them or not
 * @param pieceCount how many there are of it
 */
export function placementClash(
  wanted: Placement,
  others: readonly Placement[],
  pieceCount: number,
): readonly Placement[] {
  const rivals = others.filter(
    (other) => other.pieceId === wanted.pieceId && isElsewhere(wanted, other) && overlaps(other, wanted),
  );
  return mostInUse(rivals, wanted) + wanted.count > pieceCount ? rivals : [];
}
