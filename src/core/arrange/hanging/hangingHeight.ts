import { inches } from '../lookChecks/where';

/**
 * The height of the middle of what hangs by itself: 57 in above the floor, as galleries do; other schools say 58 or 60
 * (common practice, from memory: figures 8).
 */
export const hangingHeightMm = inches(57);
