import type { PhotoPair } from '../model/entities/photo';
import type { PhotoRow } from '../model/rows';

/** An after photo with the before photo that it is held against. */
export interface PairedPhotos {
  after: PhotoRow;
  before: PhotoRow | null;
  /** How it lies over it; null where there is nothing to hold it against. */
  pair: PhotoPair | null;
}

/** An after photo that nobody lined up yet: it lies over the before photo as it is. */
export const asItIs = (beforeId: string): PhotoPair => ({
  beforeId,
  xPercent: 0,
  yPercent: 0,
  zoom: 1,
  turnDegrees: 0,
});

/** The photos of a kind, the earliest first. */
export const photosOf = (photos: readonly PhotoRow[], kind: PhotoRow['kind']): PhotoRow[] =>
  photos.filter((photo) => photo.kind === kind).sort((a, b) => a.atMs - b.atMs);

/**
 * The after photos, the earliest first, each with its before photo: the one that it was lined up with, as long as that is
 * there; else the first before photo, as it is.
 */
export function photoPairs(photos: readonly PhotoRow[]): PairedPhotos[] {
  const befores = photosOf(photos, 'before');
  return photosOf(photos, 'after').map((after) => {
    const before = befores.find(({ id }) => id === after.pair?.beforeId) ?? befores[0] ?? null;
    const isLinedUp = before !== null && after.pair?.beforeId === before.id;
    return { after, before, pair: isLinedUp ? after.pair : before && asItIs(before.id) };
  });
}
