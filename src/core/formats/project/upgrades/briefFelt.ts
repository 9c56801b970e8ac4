import type { FileUpgrade } from './index';
import { isObject, withDefaults } from './loose';

/**
 * Version 5 knew no wish below the budget, no leaving, no reason for a photo waived, no slot that keeps a function, and no amount paid
 * that is known from below only.
 */
export const briefFelt: FileUpgrade = {
  from: 5,
  upgrade: (file) => {
    const { project } = file;
    const brief = isObject(project) ? project.brief : undefined;
    return {
      ...file,
      ...(isObject(project) && isObject(brief)
        ? {
            project: {
              ...project,
              brief: { beforePhotoWhy: '', wishedBudget: null, leavingDate: null, comesAgain: false, ...brief },
            },
          }
        : {}),
      slots: withDefaults(file.slots, { keeps: [] }),
      ledger: withDefaults(file.ledger, { atLeast: false }),
    };
  },
};
