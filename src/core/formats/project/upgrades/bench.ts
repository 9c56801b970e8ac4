import type { FileUpgrade } from './index';
import { isObject } from './loose';

const evening = [{ fromMinute: 1080, toMinute: 1200 }];
const weekendDay = [{ fromMinute: 600, toMinute: 900 }];

/** Version 12 knew nothing of when and where the making is done, of weather, of the bench plan, its steps and its log. */
export const bench: FileUpgrade = {
  from: 12,
  upgrade: (file) => ({
    ...file,
    ...(isObject(file.project)
      ? {
          project: {
            workshop: {
              version: 1,
              week: [weekendDay, evening, evening, evening, evening, evening, weekendDay],
              exceptions: [],
              helpers: [],
              dryingPlaces: [
                { id: 'table', name: 'Table', areaM2: 1.2 },
                { id: 'floor', name: 'Floor, on a drop cloth', areaM2: 3 },
              ],
              region: 'mildCoast',
              isSouthern: false,
              hasShelter: false,
            },
            ...file.project,
          },
        }
      : {}),
    weatherDays: [],
    benchPlans: [],
    stepRuns: [],
    logEntries: [],
  }),
};
