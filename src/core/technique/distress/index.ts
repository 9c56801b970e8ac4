import { partialTechnique } from '../parts';

/** Rubbing through the top layer where hands would have: lays nothing, opens what lies beneath. */
export const distress = partialTechnique(5, {
  id: 'distress',
  words: ['distress', 'distressed', 'shabby', 'worn'],
  name: 'Distressed through the layer',
  family: 'age',
  remark: 'edges, corners, around the knobs; P220, and stop early',
  accepts: () => false,
  lays: false,
  rate: { perM2: 'distress' },
  toolIds: ['sandingBlock', 'dustMask'],
  extras: [{ kindId: 'sandpaper', perM2: 0.5 }],
  demands: (state) => {
    if (state.origin !== 'laid')
      return { verdict: 'never', waitHours: 0, reason: 'there is no new layer to rub through yet' };
    if (state.film === 'wax' || state.film === 'none')
      return { verdict: 'never', waitHours: 0, reason: 'there is no film to rub through' };
    return { verdict: 'afterWait', waitHours: 12, reason: 'rub through a film that is dry, not one that still rolls' };
  },
});
