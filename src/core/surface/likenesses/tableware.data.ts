import { box, type Likeness, line, oval, poly, turned } from './likeness';

/** What stands on a table or in a cupboard. */
export const tableware: readonly Likeness[] = [
  {
    id: 'bowl',
    words: ['bowl', 'basin', 'dish', 'dough bowl', 'mixing bowl'],
    // What grows in a bowl is drawn as what holds it.
    not: /\b(?:planter|succulents?|plants?)\b/i,
    instead: ['planter', 'wreath'],
    front: [
      turned([
        [0.12, 1],
        [0.34, 0.97],
        [0.66, 0.78],
        [0.88, 0.44],
        [0.88, 0.4],
        [1, 0.42],
      ]),
      oval(0.5, 0.12, 0.5, 0.12, -14),
    ],
  },
  {
    id: 'fruitBowl',
    instead: ['planter'],
    words: [
      'fruit',
      'fruit bowl',
      'lemon',
      'lime',
      'apple',
      'orange',
      'pear',
      'peach',
      'plum',
      'grape',
      'clementine',
      'pomegranate',
    ],
    front: [
      oval(0.3, 0.42, 0.15, 0.2, 8),
      oval(0.68, 0.42, 0.15, 0.2, 2),
      oval(0.42, 0.24, 0.15, 0.2, 4),
      oval(0.6, 0.22, 0.14, 0.19, 12),
      oval(0.5, 0.42, 0.16, 0.2, 6),
      turned(
        [
          [0.46, 1],
          [0.62, 0.96],
          [0.86, 0.6],
          [0.92, 0.36],
          [1, 0.4],
        ],
        0,
        'linen',
      ),
    ],
  },
  {
    id: 'dishStack',
    words: ['plate', 'saucer', 'platter', 'dinnerware', 'crockery', 'china'],
    front: [0, 1, 2, 3, 4].map((n) =>
      turned(
        [
          [0.02 + n * 0.19, 1],
          [0.1 + n * 0.19, 0.94],
          [0.2 + n * 0.19, 0.62],
        ],
        n % 2 === 0 ? 4 : -4,
      ),
    ),
  },
  {
    id: 'cup',
    words: ['cup', 'mug', 'teacup', 'creamer', 'tankard'],
    front: [
      line(
        [
          [0.76, 0.24],
          [0.97, 0.28],
          [0.99, 0.52],
          [0.88, 0.66],
          [0.74, 0.68],
        ],
        0.08,
        0,
      ),
      poly([
        [0.02, 0.04],
        [0.8, 0.04],
        [0.76, 0.7],
        [0.66, 0.96],
        [0.16, 0.96],
        [0.06, 0.7],
      ]),
      oval(0.41, 0.05, 0.39, 0.05, -14),
    ],
  },
  {
    id: 'teapot',
    instead: ['planter'],
    words: ['teapot', 'coffee pot', 'kettle', 'watering can', 'gravy boat'],
    front: [
      poly([
        [0.04, 0.3],
        [0.12, 0.28],
        [0.3, 0.62],
        [0.26, 0.8],
      ]),
      line(
        [
          [0.78, 0.36],
          [0.98, 0.34],
          [0.98, 0.66],
          [0.76, 0.76],
        ],
        0.07,
        0,
      ),
      oval(0.52, 0.62, 0.3, 0.36),
      box(0.3, 0.94, 0.74, 1, -8),
      oval(0.52, 0.27, 0.19, 0.07, 8),
      oval(0.52, 0.14, 0.06, 0.07, -6),
    ],
  },
  {
    id: 'goblet',
    words: ['goblet', 'glass', 'tumbler', 'coupe', 'wine glass', 'flute', 'champagne glass'],
    front: [
      turned(
        [
          [0.02, 0.8],
          [0.3, 0.86],
          [0.46, 0.6],
          [0.54, 0.12],
          [0.9, 0.1],
          [0.94, 0.6],
          [1, 0.7],
        ],
        0,
        'glass',
      ),
      oval(0.5, 0.03, 0.4, 0.03, -8, 'water'),
    ],
  },
  {
    id: 'footedDish',
    words: ['compote', 'tureen', 'trifle', 'footed bowl', 'urn planter', 'trophy'],
    front: [
      turned([
        [0.2, 1],
        [0.42, 0.94],
        [0.6, 0.5],
        [0.66, 0.16],
        [0.84, 0.18],
        [0.94, 0.5],
        [1, 0.56],
      ]),
      oval(0.5, 0.2, 0.5, 0.07, -12),
    ],
  },
  {
    id: 'cakeStand',
    words: ['cake stand', 'pedestal', 'riser', 'stand', 'cake plate'],
    front: [
      turned([
        [0.16, 0.2],
        [0.5, 0.14],
        [0.8, 0.22],
        [0.94, 0.54],
        [1, 0.6],
      ]),
      poly(
        [
          [0, 0.02],
          [1, 0.02],
          [0.97, 0.14],
          [0.6, 0.2],
          [0.4, 0.2],
          [0.03, 0.14],
        ],
        6,
      ),
    ],
  },
  {
    id: 'tieredStand',
    words: ['tiered stand', 'tiered tray', 'tier tray', 'tier stand', 'etagere'],
    instead: ['tray'],
    boards: [
      { left: 0.05, top: 0.97, right: 0.95, bottom: 1 },
      { left: 0.13, top: 0.69, right: 0.87, bottom: 0.71 },
      { left: 0.25, top: 0.37, right: 0.75, bottom: 0.39 },
    ],
    front: [
      box(0.47, 0.04, 0.53, 1, -10),
      oval(0.5, 0.04, 0.06, 0.05),
      turned([
        [0.3, 0.56],
        [0.38, 0.5],
      ]),
      turned([
        [0.62, 0.8],
        [0.7, 0.74],
      ]),
      turned([
        [0.9, 1],
        [1, 0.9],
      ]),
    ],
  },
  {
    id: 'cutlery',
    words: ['cutlery', 'silverware', 'fork', 'spoon', 'knife', 'utensil', 'rolling pin'],
    plan: 'square',
    front: [
      line(
        [
          [0.2, 0.3],
          [0.2, 0.98],
        ],
        0.1,
        0,
        'metal',
      ),
      oval(0.2, 0.18, 0.12, 0.16, 0, 'metal'),
      line(
        [
          [0.55, 0.04],
          [0.55, 0.98],
        ],
        0.1,
        0,
        'metal',
      ),
      box(0.44, 0.02, 0.66, 0.34, 6, 'metal'),
      line(
        [
          [0.86, 0.04],
          [0.86, 0.98],
        ],
        0.14,
        -6,
        'metal',
      ),
    ],
  },
];
