/** How far a project is: nothing was done yet, at work, or nothing is left to buy and to do. */
export const closingStates = ['planned', 'atWork', 'finished'] as const;
export type ClosingState = (typeof closingStates)[number];
