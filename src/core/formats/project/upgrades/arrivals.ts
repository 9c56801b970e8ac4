import type { FileUpgrade } from './index';
import { withDefaults } from './loose';

/** Version 7 did not know of what was ordered whether it had come. */
export const arrivals: FileUpgrade = {
  from: 7,
  upgrade: (file) => ({ ...file, offers: withDefaults(file.offers, { arrivedOn: null }) }),
};
