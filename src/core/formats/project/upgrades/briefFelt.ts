import type { FileUpgrade } from './index';
import { isObject, withDefaults } from './loose';

/**
 * Version 5 knew no wish below the budget, no leaving, no reason for a photo waived, no slot that keeps a function, no amount paid that
 * is known from below only, and of a piece neither whether it was counted nor its outline, what it carries, its room
 * inside, tiers and freshness.
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
      sightings: withDefaults(file.sightings, { archived: false }),
      spots: withDefaults(file.spots, { gapMm: null }),
      pieces: withDefaults(file.pieces, {
        counted: true,
        outline: 'unknown',
        carriesG: null,
        innerWidthMm: null,
        innerDepthMm: null,
        innerHeightMm: null,
        tiers: null,
        freshDays: null,
      }),
      ledger: withDefaults(file.ledger, { atLeast: false }),
    };
  },
};
