import { isBrushPaint, partialTechnique } from '../parts';

/** A pattern through a stencil, dabbed nearly dry. */
export const stencil = partialTechnique(35, {
  id: 'stencil',
  words: ['stencil', 'stenciled'],
  name: 'Stencil',
  family: 'decorate',
  remark: 'measure the repeat from the middle; dab nearly dry, or it bleeds under',
  difficulty: 2,
  skillAsked: 'measuring the repeat, and patience',
  accepts: isBrushPaint,
  rate: { perM2: 'stencil' },
  detailFactor: () => 1,
  toolIds: ['stencil', 'stencilBrush'],
  extras: [{ kindId: 'maskingTape', perM2: 2 }],
  coats: 1,
  demands: (state) =>
    state.film === 'none' && state.origin === 'material'
      ? { verdict: 'scuff', waitHours: 0, reason: 'on a bare ground the color creeps under: lay a base color first' }
      : null,
});
