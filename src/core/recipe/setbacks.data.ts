import type { PreparationKind } from '../state/preparation';
import type { SetbackProblem } from '../state/setback';

/** What mends a coat that went wrong, and what it teaches. Common practice, from memory. */
export interface Mending {
  name: string;
  /** Hours to let it dry before anything is done. */
  restHours: number;
  works: readonly PreparationKind[];
  /** A primer laid before the coat is repeated. */
  primerId: string | null;
  /** Whether only this coat is repeated, or the layer from its first coat to this one. */
  repeats: 'coat' | 'layer';
  lesson: string;
}

export const mendings: Readonly<Record<SetbackProblem, Mending>> = {
  wrinkled: {
    name: 'Wrinkled',
    restHours: 48,
    works: ['sandBack'],
    primerId: null,
    repeats: 'coat',
    lesson: 'it was recoated too early or too thick: keep the wait, lay it thinner',
  },
  peeled: {
    name: 'Peeled',
    restHours: 24,
    works: ['sandBack', 'clean'],
    primerId: 'bondingPrimer',
    repeats: 'layer',
    lesson: 'it did not grip: scuff well and put a bonding primer beneath',
  },
  bled: {
    name: 'Bled through',
    restHours: 4,
    works: [],
    primerId: 'shellacPrimer',
    repeats: 'coat',
    lesson: 'tannin or a stain came up: seal with shellac first',
  },
  ran: {
    name: 'Ran or sagged',
    restHours: 24,
    works: ['scuff'],
    primerId: null,
    repeats: 'coat',
    lesson: 'less on the brush, lighter passes of the can, lay it flat where you can',
  },
};
