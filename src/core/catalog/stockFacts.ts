import type { CutStock } from './cutStock';

/** A stock as a supply has it: what is usual of its kind, with the size and the print of this very one. */
export interface StockFacts extends CutStock {
  /** How long the pattern is before it repeats, mm; null where nothing has to meet. */
  repeatMm: number | null;
  /** Whether the pattern of the next strip begins half a repeat lower. */
  isHalfDrop: boolean;
  /** Motifs that one sheet gives; null while nobody counted. */
  motifs: number | null;
  /** Whether its print has a way up, or a nap that lies one way. */
  isDirectional: boolean;
}

/** What a supply says of its own stock; null where it is as usual of its kind. */
export interface OwnStock {
  widthMm: number | null;
  lengthMm: number | null;
  repeatMm: number | null;
  isHalfDrop: boolean;
  motifs: number | null;
  isDirectional: boolean;
}

/** A supply of which nothing is known beyond its kind. */
export const asUsual: OwnStock = {
  widthMm: null,
  lengthMm: null,
  repeatMm: null,
  isHalfDrop: false,
  motifs: null,
  isDirectional: false,
};

/** A kind's usual stock with what is known of this one. */
export function stockFacts(usual: CutStock, own: OwnStock | null): StockFacts {
  const { widthMm, lengthMm, ...print } = own ?? asUsual;
  return {
    ...usual,
    ...print,
    widthMm: widthMm ?? usual.widthMm,
    lengthMm: usual.lengthMm === null ? null : (lengthMm ?? usual.lengthMm),
  };
}
