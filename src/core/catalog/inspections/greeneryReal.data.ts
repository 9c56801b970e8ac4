import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: real greenery. */
export const greeneryReal: Inspection = {
  id: 'greeneryReal',
  name: 'Real greenery',
  applies: (piece) => piece.materialId === 'realLeaf',
  checks: [
    check(
      'real.fresh',
      'Freshness',
      'bend a stem: does it snap or give?',
      turnInto('half wilted', 'cut it down and use the tops'),
      'leaves fall when it is touched',
    ),
    check(
      'real.pests',
      'Pests',
      'look under the leaves',
      mend('a few aphids to rinse off', 10),
      'webs or scale insects: they move to other plants',
      true,
    ),
    check('real.poison', 'Pets and children', 'which plant is it? some can kill', null, null, true),
    check('real.light', 'Light', 'does it get the light it needs there?', null),
  ],
};
