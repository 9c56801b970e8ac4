import { isBrushPaint, technique } from '../parts';

/** Leaves painted one by one, both faces of each. */
export const leafByLeaf = technique({
  id: 'leafByLeaf',
  words: ['leaf by leaf'],
  name: 'Leaf by leaf',
  family: 'decorate',
  remark: 'open and bend the stems first; thin paint, both faces, hang to dry',
  accepts: isBrushPaint,
  rate: { each: 'leaf' },
  detailFactor: () => 1,
  toolIds: ['artistBrush'],
});
