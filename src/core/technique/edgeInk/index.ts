import { isBrushPaint, partialTechnique } from '../parts';

/** Ink or paint dragged along the edges, as if handled for years. */
export const edgeInk = partialTechnique(4, {
  id: 'edgeInk',
  words: ['ink the edges', 'inked edges'],
  name: 'Edges inked',
  family: 'age',
  remark: 'a nearly dry foam pad dragged along edges and corners only',
  accepts: isBrushPaint,
  rate: { perM2: 'dryBrush' },
  toolIds: ['foamPad'],
});
