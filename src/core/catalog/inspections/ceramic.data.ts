import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: ceramic. */
export const ceramic: Inspection = {
  id: 'ceramic',
  name: 'Ceramic',
  applies: (piece) => ['glazedCeramic', 'terracotta', 'concrete'].includes(piece.materialId),
  checks: [
    check(
      'ceramic.ring',
      'Its ring',
      'tap it: a dull sound means a crack',
      turnInto('a hairline crack', 'keep it dry: no water, no heat'),
      'it falls apart when it is lifted',
    ),
    check('ceramic.chips', 'Chips', 'look at rim and foot', mend('a chip to fill', 15, ['epoxyPutty', 5])),
    check(
      'ceramic.drain',
      'Drain hole',
      'for plants: is there one?',
      turnInto('no drain hole', 'as a cover pot with a liner'),
    ),
    check('ceramic.glaze', 'Old glaze', 'old or unknown glaze may hold lead: not for food', null, null, true),
  ],
};
