import { KnownPieces } from './knownPieces';
import { KnownProjects } from './knownProjects';

/** What a server remembers of what it read and wrote; the database says whether it still holds. */
export interface Known {
  readonly projects: KnownProjects;
  readonly pieces: KnownPieces;
}

/** Nothing remembered yet. */
export const nothingKnown = (): Known => ({ projects: new KnownProjects(), pieces: new KnownPieces() });
