import type { FileUpgrade } from './index';
import { withDefaults } from './loose';

/** Version 9 did not know of slots whose choice stays whatever Balance finds. */
export const balance: FileUpgrade = {
  from: 9,
  upgrade: (file) => ({ ...file, slots: withDefaults(file.slots, { locked: false }) }),
};
