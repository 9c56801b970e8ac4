import type { Source } from '../kernel/source';
import type { Verdict } from '../state/joint';
import type { PreparationKind } from '../state/preparation';
import type { Bleed, Film, Sheen } from '../state/surfaceState';
import type { Figure } from './figure';

/** `primers` in order of preference; empty means the layer may lie on the prepared surface itself. */
export interface PrimerDemand {
  verdict: Verdict;
  primers: readonly string[];
  reason: string;
  /** What happens where it does not hold, to read after "would". */
  fails: string;
}

/** What a family of finishes asks for as the first layer on a substrate. */
export interface PrimerColumn {
  waterbornePaint: PrimerDemand;
  oilPaint: PrimerDemand;
  solventPaint: PrimerDemand;
  clear: PrimerDemand;
  stain: PrimerDemand;
  wax: PrimerDemand;
  decoupage: PrimerDemand;
  film: PrimerDemand;
}

/**
 * One row of the substrates table: a bare material, or an old finish that lies on one.
 * `absorption` multiplies the first coat; `texture` multiplies the area.
 */
export interface Substrate {
  id: string;
  name: string;
  layer: 'material' | 'oldFinish';
  film: Film;
  porous: boolean;
  hard: boolean;
  /** The sheen that its name already says; null where one has to look. */
  sheen: Sheen | null;
  /** What one who does not know the product sees: "chalky paint". Empty where its name says so. */
  plainly: string;
  bleed: Bleed;
  absorption: Figure;
  texture: Figure;
  prepare: readonly PreparationKind[];
  /** Hours until it is dry after washing. */
  dryHours: Figure;
  /** Whether it can be dulled with paper: cloth, leaves, foam and the like are never scuffed. */
  scuffs: boolean;
  /** Null for a film of a known product: the compatibility table speaks of it by that name. */
  primer: PrimerColumn | null;
  /** The coating that made this film, when it is known. */
  productId: string | null;
  /** How sure a finish is to fail on it: 0 low to 3 will fail. */
  risk: 0 | 1 | 2 | 3;
  /** How a piece of it looks when nobody has picked a color, for drawing and hiding. */
  usualColor: string;
  words: readonly string[];
  remark: string;
  source: Source;
}
