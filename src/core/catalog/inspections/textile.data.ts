import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: textiles. */
export const textile: Inspection = {
  id: 'textile',
  name: 'Textiles',
  applies: (piece) => ['fabric', 'leather'].includes(piece.materialId),
  checks: [
    check(
      'textile.stains',
      'Stains',
      'unfold it wholly in daylight',
      turnInto('stained', 'cut around it'),
      'stained all over',
    ),
    check('textile.holes', 'Holes', 'hold it against the light', mend('a hole to darn', 15), 'moth holes all over'),
    check('textile.wash', 'Washable', 'is there a label? wool and silk shrink', null),
    check('textile.bugs', 'Moths and bugs', 'look into folds and seams', null, 'live moths or bugs', true),
    check('textile.size', 'Size', 'measure it: labels lie', null),
  ],
};
