import { importHouse } from '../usecases/importHouse';
import { GivenUp, type JobKind } from './jobKind';

/** A table is brought into the house, as one act. */
export const importHouseJob: JobKind<'importHouse'> = {
  kind: 'importHouse',
  projectOf: () => null,
  writesIn: 'imports',
  run: ({ database, environment, scope, id, isGivenUp, tell, end }, asked) =>
    importHouse(database, scope, asked, id, environment, {
      step: (done, of) => {
        if (isGivenUp()) throw new GivenUp();
        tell(done, of);
      },
      end,
    }),
};
