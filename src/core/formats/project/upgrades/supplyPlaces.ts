import type { FileUpgrade } from './index';
import { eachRow, isObject, withDefaults } from './loose';

/** Version 11 did not know what places send an order for, where the stylist buys a supply, or what rented went back. */
export const supplyPlaces: FileUpgrade = {
  from: 11,
  upgrade: (file) => ({
    ...file,
    sources: withDefaults(file.sources, { delivers: null }),
    offers: eachRow(file.offers, ({ rented, ...offer }) => ({
      ...offer,
      rented: isObject(rented) ? { wentBackOn: null, ...rented } : rented,
    })),
    supplyPlaces: [],
  }),
};
