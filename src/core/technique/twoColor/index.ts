import { isBrushPaint, partialTechnique, shareParameter } from '../parts';

/** A second color on parts of a zone: a band, a panel, a raised pattern. */
export const twoColor = partialTechnique(25, {
  id: 'twoColor',
  words: ['two tone', 'two colors', 'band', 'stripe', 'stripes'],
  name: 'Second color, on parts',
  family: 'decorate',
  remark: 'cut in with a small brush, or mask with tape pressed down over the dry first color',
  difficulty: 2,
  skillAsked: 'a steady hand along an edge',
  parameters: [shareParameter(25)],
  accepts: isBrushPaint,
  toolIds: ['brush', 'artistBrush'],
  extras: [{ kindId: 'maskingTape', perM2: 4 }],
  coats: 'untilHidden',
});
