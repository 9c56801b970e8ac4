import { z } from 'zod';
import { currencyCodes } from '../../kernel/currencies.data';
import { registered } from '../fields';

/** The currency of a price, or an empty text where it counts for any project. */
export const anyCurrency = z.union([z.literal(''), registered({ ids: currencyCodes })], {
  error: 'a currency code like USD, or nothing',
});
