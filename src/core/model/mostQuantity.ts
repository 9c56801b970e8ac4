/** The most that a slot may ask for, typed or by its spot's seats. */
export const MOST_QUANTITY = 2_000;
