import { isBrushPaint, partialTechnique } from '../parts';

/** Scratches and worn corners only, in the color that is there. */
export const touchUp = partialTechnique(5, {
  id: 'touchUp',
  words: ['touch up', 'touched up'],
  name: 'Touch-up',
  family: 'cover',
  remark: 'while brush and can are out for another piece; feather the edge',
  accepts: isBrushPaint,
  toolIds: ['artistBrush'],
});
