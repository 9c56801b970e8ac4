/** A level board on which things stand: its top above the foot of what has it, how thick it is, from where to where; mm. */
export interface Board {
  topMm: number;
  thickMm: number;
  leftMm: number;
  rightMm: number;
  /** What it is called where it is no board among others: the bed. */
  name?: string;
}

/** Boards from the lowest to the highest. */
export const lowestFirst = (boards: readonly Board[]): Board[] => [...boards].sort((a, b) => a.topMm - b.topMm);
