import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: wicker and baskets. */
export const wicker: Inspection = {
  id: 'wicker',
  name: 'Wicker and baskets',
  applies: (piece) => piece.materialId === 'wicker',
  checks: [
    check(
      'wicker.strands',
      'Strands',
      'press the sides: do they crack?',
      mend('loose strands to tuck and glue', 20, ['woodGlue', 10]),
      'dry and breaking all over',
    ),
    check('wicker.handle', 'Handles', 'lift it by its handles', mend('a handle is loose', 15, ['twine', 2])),
    check('wicker.foot', 'Base', 'does it stand flat?', turnInto('leans a little', 'hang it, or stand it in a corner')),
    check('wicker.insects', 'Insects', 'tap it over something pale: dust and crumbs?', null, 'live insects', true),
    check('wicker.mold', 'Smell', 'smell inside', mend('smells musty', 15), 'black spots that go deep', true),
  ],
};
