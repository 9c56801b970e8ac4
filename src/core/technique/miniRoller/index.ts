import { rolled } from '../parts';

/** A short foam or nap roller on flat faces: quicker than a brush, smoother, and it leaves some paint in the tray. */
export const miniRoller = rolled({
  id: 'miniRoller',
  name: 'By mini-roller',
  words: ['mini roller', 'foam roller'],
  remark: 'thin coats, lightly laid off in one direction; edges and corners with a brush first',
  rate: { perM2: 'miniRoller' },
  toolId: 'miniRoller',
  residueKey: 'technique.miniRoller.residueMl',
});
