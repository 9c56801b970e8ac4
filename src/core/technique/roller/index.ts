import { rolled } from '../parts';

/** A wide roller with its tray, for walls and ceilings. */
export const roller = rolled({
  id: 'roller',
  name: 'By roller',
  words: ['roller', 'roll', 'rolled'],
  remark: 'cut in the edges with a brush, then roll in a W and lay off from top to bottom; keep a wet edge',
  rate: { perM2: 'roller' },
  toolId: 'roller',
  residueKey: 'technique.roller.residueMl',
});
