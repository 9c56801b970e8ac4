/** What can go wrong on a coat. */
export const setbackProblems = ['wrinkled', 'peeled', 'bled', 'ran'] as const;
export type SetbackProblem = (typeof setbackProblems)[number];
