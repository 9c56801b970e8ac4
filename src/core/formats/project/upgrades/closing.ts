import type { FileUpgrade } from './index';
import { isObject } from './loose';

/** Version 16 kept no frozen plans, nothing of what is left to do afterwards, no boxes, no bills and no wishes. */
export const closing: FileUpgrade = {
  from: 16,
  upgrade: (file) => ({
    ...file,
    ...(isObject(file.project) ? { project: { archivedOn: null, ...file.project } } : {}),
    planFreezes: [],
    looseEnds: [],
    boxes: [],
    letterheads: [],
    billDrafts: [],
    bills: [],
    clientPayments: [],
    wishes: [],
  }),
};
