import { technique } from '../parts';

/** Thick stain that sits on top: the one that colors an old finish. */
export const gelStain = technique({
  id: 'gelStain',
  words: ['gel stain'],
  name: 'Gel stain',
  family: 'translucent',
  remark: 'a thin coat, left where it lies or wiped to taste; a second one darkens',
  accepts: (coating) => coating.id === 'gelStain',
  rate: { perM2: 'stainWipe' },
  toolIds: ['brush', 'chemicalGloves'],
  extras: [{ kindId: 'rag', perM2: 0.5 }],
  coats: 'table',
});
