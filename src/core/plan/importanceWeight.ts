import type { Importance } from '../model/rows';

/** How much a slot counts, in the spread of the budget, in Balance and at the bench: a must cannot be left out. */
export const importanceWeight: Readonly<Record<Importance, number>> = { must: 5, wanted: 3, nice: 1 };
