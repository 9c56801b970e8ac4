import type { FileUpgrade } from './index';
import { eachRow, withDefaults } from './loose';

/** Supplies whose kind has a closer name now. */
const renamed: Readonly<Record<string, string>> = { film: 'removableFilm' };

/** Version 8 did not know of stock that is cut: sizes, leftovers, artworks, layouts. */
export const cutting: FileUpgrade = {
  from: 8,
  upgrade: (file) => ({
    ...file,
    supplies: eachRow(withDefaults(file.supplies, { stock: null, offcuts: [] }), (supply) => ({
      ...supply,
      kindId: renamed[String(supply.kindId)] ?? supply.kindId,
    })),
    supplyUses: withDefaults(file.supplyUses, { cut: null }),
    artworks: [],
    layouts: [],
  }),
};
