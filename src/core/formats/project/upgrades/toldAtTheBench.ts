import type { FileUpgrade } from './index';
import { isObject } from './loose';

/** In version 13 only a coat could be said to have gone wrong, in its line of the log. */
export const toldAtTheBench: FileUpgrade = {
  from: 13,
  upgrade: (file) => ({
    ...file,
    ...(Array.isArray(file.stepRuns)
      ? { stepRuns: file.stepRuns.map((run) => (isObject(run) ? { wrong: null, ...run } : run)) }
      : {}),
  }),
};
