import type { FileUpgrade } from './index';

/** Version 16 kept no frozen plans, nothing of what is left to do afterwards, and no boxes. */
export const closing: FileUpgrade = {
  from: 16,
  upgrade: (file) => ({ ...file, planFreezes: [], looseEnds: [], boxes: [] }),
};
