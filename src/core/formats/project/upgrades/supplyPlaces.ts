import type { FileUpgrade } from './index';
import { withDefaults } from './loose';

/** Version 11 did not know what places send an order for, or where the stylist buys a supply. */
export const supplyPlaces: FileUpgrade = {
  from: 11,
  upgrade: (file) => ({ ...file, sources: withDefaults(file.sources, { delivers: null }), supplyPlaces: [] }),
};
