/** Tests of a surface that anyone can make with what is in the kitchen. */
export const surfaceTestIds = ['waterBeads', 'alcoholSoftens', 'chalksOff', 'waxCurls', 'magnetHolds'] as const;
export type SurfaceTestId = (typeof surfaceTestIds)[number];
