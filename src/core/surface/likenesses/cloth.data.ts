import { box, type Likeness, line, poly } from './likeness';

/** What is of cloth: laid, folded, hung. */
export const cloth: readonly Likeness[] = [
  {
    id: 'laidCloth',
    templateId: 'flatCloth',
    words: ['runner', 'liner', 'rug', 'mat', 'placemat', 'doormat', 'carpet', 'bath mat', 'table runner'],
    plan: 'square',
    front: [box(0, 0, 1, 1), box(0.02, 0.3, 0.98, 0.7, 8)],
  },
  {
    id: 'foldedCloth',
    words: [
      'throw',
      'blanket',
      'quilt',
      'towel',
      'napkin',
      'scarf',
      'bedspread',
      'coverlet',
      'duvet',
      'tablecloth',
      'cloth',
      'lace',
      'doily',
    ],
    plan: 'square',
    front: [0, 1, 2].map((n) =>
      poly(
        [
          [0.03, 0.02 + n * 0.33],
          [0.96, 0.02 + n * 0.33],
          [1, 0.17 + n * 0.33],
          [0.97, 0.32 + n * 0.33],
          [0.02, 0.32 + n * 0.33],
          [0, 0.17 + n * 0.33],
        ],
        n % 2 === 0 ? 4 : -6,
      ),
    ),
  },
  {
    id: 'pillow',
    templateId: 'cushion',
    words: ['pillow', 'cushion', 'bolster'],
    front: [
      poly([
        [0, 0.12],
        [0.06, 0],
        [0.5, 0.08],
        [0.94, 0],
        [1, 0.12],
        [0.96, 0.5],
        [1, 0.88],
        [0.94, 1],
        [0.5, 0.94],
        [0.06, 1],
        [0, 0.88],
        [0.04, 0.5],
      ]),
      line(
        [
          [0.16, 0.14],
          [0.3, 0.28],
        ],
        0.02,
      ),
      line(
        [
          [0.84, 0.14],
          [0.7, 0.28],
        ],
        0.02,
      ),
    ],
  },
  {
    id: 'hanging',
    words: ['tapestry', 'macrame', 'wall hanging', 'banner', 'bunting', 'flag', 'apron'],
    plan: 'square',
    front: [
      box(0, 0, 1, 0.05, 0, 'wood'),
      poly([
        [0.08, 0.05],
        [0.92, 0.05],
        [0.92, 0.7],
        [0.5, 0.86],
        [0.08, 0.7],
      ]),
      ...[0.16, 0.33, 0.5, 0.67, 0.84].map((x) =>
        line(
          [
            [x, 0.7],
            [x, 1],
          ],
          0.03,
          6,
        ),
      ),
    ],
  },
  {
    id: 'curtainPanel',
    templateId: 'curtain',
    words: ['curtain', 'curtain panel', 'drape', 'valance', 'blind', 'shower curtain'],
    plan: 'square',
    front: [
      box(0, 0, 1, 1),
      ...[0.12, 0.28, 0.44, 0.6, 0.76, 0.92].map((x) =>
        line(
          [
            [x, 0.02],
            [x, 0.98],
          ],
          0.03,
        ),
      ),
    ],
  },
];
