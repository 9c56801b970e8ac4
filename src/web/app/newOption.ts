import { optionDrafts } from '@core/proposals/optionDrafts';

/** Drafts of new ways to fill a slot, with ids of this device. */
export const {
  plainOption,
  startOf,
  proposedOption,
  makeoverOption,
  makeOption,
  coveredFind,
  buyNewOption,
  newColorCard,
} = optionDrafts(() => crypto.randomUUID());
