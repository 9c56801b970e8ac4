import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: glass. */
export const glass: Inspection = {
  id: 'glass',
  name: 'Glass',
  applies: (piece) => piece.materialId === 'glass',
  checks: [
    check(
      'glass.chips',
      'Rim',
      'run a fingertip lightly round the rim',
      turnInto('a chip at the rim', 'turn it to the wall, or fill it with moss'),
      'a crack that runs',
    ),
    check(
      'glass.cloudy',
      'Cloudiness',
      'breathe on it: does the haze stay?',
      turnInto('cloudy for good', 'frost or paint it'),
    ),
    check(
      'glass.labels',
      'Labels and glue',
      'is there a label on it?',
      mend('label and glue to soak off', 10, ['alcohol', 20]),
    ),
    check('glass.heat', 'For heat or food', 'is it meant for candles, or for drinking?', null, null, true),
  ],
};
