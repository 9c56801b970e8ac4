import { isBrushPaint, partialTechnique } from '../parts';

/** Nearly no paint on a stiff brush, skimmed over the raised parts. */
export const dryBrush = partialTechnique(30, {
  id: 'dryBrush',
  words: ['dry brush', 'dry brushed'],
  name: 'Dry brush',
  family: 'decorate',
  remark: 'wipe the brush nearly dry on paper, skim; it catches on what stands up',
  accepts: isBrushPaint,
  rate: { perM2: 'dryBrush' },
  toolIds: ['chipBrush'],
});
