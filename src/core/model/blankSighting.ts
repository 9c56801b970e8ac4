import type { SightingRow } from './rows';

/** What a sighting says of itself while nobody said anything. */
export const blankSighting = {
  sourceId: null,
  note: '',
  reason: '',
  archived: false,
  tagColor: '',
  plenty: null,
  thinkUntil: null,
  because: '',
  seenOn: null,
  photoId: null,
  tagPhotoId: null,
  standIn: '',
} as const satisfies Partial<SightingRow>;
