// What some fields of rows may be, apart from what checks a row: pages offer these lists, and that is large.

/** Ways to fill a slot. */
export const optionKinds = ['own', 'borrow', 'asFound', 'makeover', 'make', 'rent', 'buyNew'] as const;
export type OptionKind = (typeof optionKinds)[number];

/** What a photo shows. */
export const photoKinds = [
  'before',
  'after',
  'inspiration',
  'anchor',
  'palette',
  'find',
  'tag',
  'receipt',
  'step',
] as const;
export type PhotoKind = (typeof photoKinds)[number];

/** When a piece stands out. */
export const seasons = ['any', 'spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof seasons)[number];

/** How much a slot counts. */
export const importances = ['must', 'wanted', 'nice'] as const;
export type Importance = (typeof importances)[number];

/** What a slot does in the arrangement. */
export const slotRoles = [
  'anchor',
  'height',
  'light',
  'greenery',
  'texture',
  'riser',
  'personal',
  'scent',
  'function',
  'filler',
] as const;
export type SlotRole = (typeof slotRoles)[number];
