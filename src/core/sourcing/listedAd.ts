/** One ad as a list has it: prices in whole units of its currency, lengths in cm, distances in km. */
export interface ListedAd {
  /** Unlike any other of its list. */
  number: string;
  title: string;
  text: string;
  price: number | null;
  currency: string;
  place: string;
  distanceKm: number | null;
  widthCm: number | null;
  depthCm: number | null;
  heightCm: number | null;
  /** Local date, or empty. */
  postedOn: string;
}

/** A list of ads on one day: what the open format says. */
export interface AdList {
  format: 'euporia.ads';
  formatVersion: 1;
  /** What the list calls itself. */
  feed: string;
  onDate: string;
  ads: ListedAd[];
}
