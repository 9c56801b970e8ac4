import { KnownPieces } from './knownPieces';
import { KnownProjects } from './knownProjects';
import { KnownSnapshots } from './knownSnapshots';

/** What a server remembers of what it read and wrote; the database says whether it still holds. */
export interface Known {
  readonly projects: KnownProjects;
  readonly pieces: KnownPieces;
  readonly snapshots: KnownSnapshots;
}

/** Nothing remembered yet. */
export const nothingKnown = (): Known => ({
  projects: new KnownProjects(),
  pieces: new KnownPieces(),
  snapshots: new KnownSnapshots(),
});
