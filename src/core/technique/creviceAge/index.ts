import { isBrushPaint, partialTechnique } from '../parts';

/** Thinned dark paint or wax pushed into the crevices and wiped off what stands up. */
export const creviceAge = partialTechnique(12, {
  id: 'creviceAge',
  words: ['age', 'aged', 'antique', 'antiqued'],
  name: 'Crevices aged',
  family: 'age',
  remark: 'brush into the low parts, wipe the high ones within a minute',
  accepts: (coating) => isBrushPaint(coating) || coating.id === 'darkWax' || coating.id === 'glaze',
  rate: { perM2: 'crevice' },
  toolIds: ['chipBrush'],
  paintShare: () => 0.5,
  extras: [{ kindId: 'rag', perM2: 0.5 }],
});
