import { technique } from '../parts';

/** Penetrating stain and conditioner: wiped on, left, wiped off. */
export const stain = technique({
  id: 'stain',
  words: ['stain', 'stained'],
  name: 'Stain, wiped on and off',
  family: 'translucent',
  remark: 'inside and outside of every groove; wipe off after five to fifteen minutes, end grain first',
  accepts: (coating) =>
    coating.group === 'waterborneStain' || coating.id === 'oilStain' || coating.group === 'conditioner',
  rate: { perM2: 'stainWipe' },
  toolIds: ['chemicalGloves'],
  extras: [{ kindId: 'rag', perM2: 0.5 }],
  coats: 'table',
  demands: (state) =>
    state.film === 'none'
      ? null
      : {
          verdict: 'never',
          waitHours: 0,
          reason: 'there is nothing to soak into: strip it, or lay a gel stain on top',
        },
});
