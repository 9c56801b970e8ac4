import { technique } from '../parts';

/** Color and clear coat out of one tin. */
export const stainAndSeal = technique({
  id: 'stainAndSeal',
  words: ['stain and seal'],
  name: 'Stain and seal in one',
  family: 'translucent',
  remark: 'even, unhurried strokes: where they overlap it is darker',
  difficulty: 2,
  skillAsked: 'keeping a wet edge',
  accepts: (coating) => coating.group === 'sealingStain',
  coats: 'table',
});
