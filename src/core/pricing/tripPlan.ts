/** A way between two places, one way; null is home. */
export interface TripLeg {
  fromId: string | null;
  toId: string | null;
  minutes: number;
  distanceM: number | null;
}
