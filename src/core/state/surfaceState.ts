import type { Lab } from '../color/lab';

export const films = ['none', 'waterborne', 'oil', 'solvent', 'shellac', 'wax', 'powdery', 'vinyl'] as const;
export type Film = (typeof films)[number];
export const sheens = ['raw', 'matt', 'satin', 'gloss', 'unknown'] as const;
export type Sheen = (typeof sheens)[number];
export type FilmAge = 'wet' | 'recoatable' | 'dry' | 'cured';
export type Bleed = 'none' | 'tannin' | 'stain';
/** Wax or silicone polish lying on a surface, or what stays of it after it was washed off twice. */
export type Residue = 'none' | 'polish' | 'traces';

/** What lies on top of a zone at a moment: a layer needs such a state and leaves another. */
export interface SurfaceState {
  substrateId: string;
  /** A bare material, an old finish found on the piece, or a layer of this recipe. */
  origin: 'material' | 'oldFinish' | 'laid';
  film: Film;
  sheen: Sheen;
  age: FilmAge;
  porous: boolean;
  bleed: Bleed;
  sealed: boolean;
  /** Polish keeps everything off; only shellac ties over the traces that washing leaves. */
  residue: Residue;
  /** The coating that made the film, or null for a bare material or an old finish of unknown make. */
  productId: string | null;
  /** Whether the film was laid over gloss or a hard plastic, which some primers take longer on. */
  overHard: boolean;
  color: Lab | null;
}
