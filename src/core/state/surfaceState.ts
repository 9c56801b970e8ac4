import type { Lab } from '../color/lab';

export type Film = 'none' | 'waterborne' | 'oil' | 'solvent' | 'shellac' | 'wax' | 'powdery';
export type Sheen = 'raw' | 'matt' | 'satin' | 'gloss' | 'unknown';
export type FilmAge = 'wet' | 'recoatable' | 'dry' | 'cured';
export type Bleed = 'none' | 'tannin' | 'stain';

/** What lies on top of a zone at a moment: a layer needs such a state and leaves another. */
export interface SurfaceState {
  substrateId: string;
  film: Film;
  sheen: Sheen;
  age: FilmAge;
  porous: boolean;
  bleed: Bleed;
  sealed: boolean;
  /** The coating that made the film, or null for a bare material or an old finish of unknown make. */
  productId: string | null;
  /** Whether the film was laid over gloss or a hard plastic, which some primers take longer on. */
  overHard: boolean;
  color: Lab | null;
}
