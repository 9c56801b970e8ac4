import type { FileUpgrade } from './index';

/** Version 16 kept no frozen plans and nothing of what is left to do afterwards. */
export const closing: FileUpgrade = {
  from: 16,
  upgrade: (file) => ({ ...file, planFreezes: [], looseEnds: [] }),
};
