import type { FileUpgrade } from './index';
import { withDefaults } from './loose';

/** Version 10 did not know of plans that are kept by name, of renting, of resale, or how long a thing is of use. */
export const plans: FileUpgrade = {
  from: 10,
  upgrade: (file) => ({
    ...file,
    options: withDefaults(file.options, { resaleAfter: null, lasts: { uses: null, looks: null, years: null } }),
    offers: withDefaults(file.offers, { rented: null }),
    plans: [],
  }),
};
