import { importProject } from '../usecases/importProject';
import { GivenUp, type JobKind } from './jobKind';

/** A project file is brought in, all of it or nothing. */
export const importProjectJob: JobKind<'importProject'> = {
  kind: 'importProject',
  projectOf: () => null,
  writesIn: 'imports',
  async run({ database, environment, scope, id, isGivenUp, end }, { mode, file }) {
    if (isGivenUp()) throw new GivenUp();
    return importProject(database, scope, file, mode, id, environment, { end });
  },
};
