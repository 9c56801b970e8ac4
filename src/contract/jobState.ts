/** How far a long work has come. */
export const jobStates = ['waiting', 'working', 'done', 'refused', 'cancelled'] as const;
export type JobState = (typeof jobStates)[number];

/** Whether a work has come to its end, one way or another. */
export const hasEnded = (state: JobState): boolean => state !== 'waiting' && state !== 'working';
