import { rollerFactors } from '../miniRoller';
import { isBrushCoat, technique } from '../parts';

/** A wide roller with its tray, for walls and ceilings. */
export const roller = technique({
  id: 'roller',
  name: 'By roller',
  words: ['roller', 'roll', 'rolled'],
  family: 'cover',
  remark: 'cut in the edges with a brush, then roll in a W and lay off from top to bottom; keep a wet edge',
  accepts: isBrushCoat,
  rate: { perM2: 'roller' },
  detailFactor: (detail) => rollerFactors[detail],
  toolIds: ['roller', 'brush'],
  lossKey: 'technique.roller.lossPercent',
  residueKey: 'technique.roller.residueMl',
});
