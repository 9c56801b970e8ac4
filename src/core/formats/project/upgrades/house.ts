import type { FileUpgrade } from './index';
import { withDefaults } from './loose';

/** Version 2 knew no stash of pieces, no tint bases and dates of cans, no end of a look. */
export const house: FileUpgrade = {
  from: 2,
  upgrade: (file) => ({
    ...file,
    ...(file.project !== null && typeof file.project === 'object'
      ? { project: { standsUntil: null, ...file.project } }
      : {}),
    finds: withDefaults(file.finds, { pieceId: null }),
    recipes: withDefaults(file.recipes, { doneOn: null }),
    supplies: withDefaults(file.supplies, {
      base: '',
      containerSize: null,
      openedOn: null,
      keepsUntil: null,
      checkedOn: null,
    }),
    packs: withDefaults(file.packs, { currency: '' }),
    tools: withDefaults(file.tools, { wear: 'good' }),
    pieces: file.pieces ?? [],
    priceNotes: file.priceNotes ?? [],
    gaps: file.gaps ?? [],
    searches: file.searches ?? [],
    supplyUses: file.supplyUses ?? [],
  }),
};
