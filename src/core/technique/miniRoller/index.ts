import { isBrushCoat, technique } from '../parts';

/** A short foam or nap roller on flat faces: quicker than a brush, smoother, and it leaves some paint in the tray. */
export const miniRoller = technique({
  id: 'miniRoller',
  name: 'By mini-roller',
  words: ['mini roller', 'mini-roller', 'foam roller'],
  family: 'cover',
  remark: 'thin coats, lightly laid off in one direction; edges and corners with a brush first',
  accepts: isBrushCoat,
  rate: { perM2: 'miniRoller' },
  detailFactor: (detail) => rollerFactors[detail],
  toolIds: ['miniRoller', 'brush'],
  lossKey: 'technique.roller.lossPercent',
  residueKey: 'technique.miniRoller.residueMl',
});

/** A roller reaches flat faces; what is profiled or open it goes over again and again (a modelling choice). */
export const rollerFactors = { flat: 1, profiles: 2, spindles: 4, weave: 4 } as const;
