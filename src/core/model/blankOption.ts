import type { OptionRow } from './rows';

/** What an option says of itself while nobody said anything. */
export const blankOption = {
  handsOnMinutes: null,
  liking: null,
  yardstick: false,
  resaleAfter: null,
  lasts: { uses: null, looks: null, years: null },
} as const satisfies Partial<OptionRow>;
